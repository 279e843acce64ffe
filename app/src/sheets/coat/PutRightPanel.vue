<script setup lang="ts">
import {
  faults,
  putRight,
  stiffnesses,
  type Build,
  type Fault,
  type HowMuch,
  type CakePlan,
  valueWord,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';
import FromLeft from './FromLeft.vue';
import FruitAndCream from './FruitAndCream.vue';

/** A bowl that is not as it should be: why, what to do, and how much of it for this bowl. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const units = useUnits();
const { pantry } = useSheet(props);
const bowls = computed(() => (props.plan.bowls.ok ? props.plan.bowls.value : []));
const chosen = ref('');
const bowl = computed(() => bowls.value.find((b) => b.id === chosen.value) ?? bowls.value[0]);
const bowlChoices = computed(() => bowls.value.map((b) => ({ value: b.id, text: b.name })));
const fault = ref<Fault>('too stiff');
const faultChoices = faults.map((value) => ({ value, text: valueWord(value) }));
const by = ref<HowMuch>('a little');
const byChoices = (Object.keys(stiffnesses) as HowMuch[]).map((value) => ({
  value,
  text: valueWord(value),
}));
const typedG = ref<number | null>(null);
const tempC = ref(21);
const massG = computed(() => typedG.value ?? bowl.value?.makeG ?? 0);
const answer = computed(() => {
  const { spreads, recipes, foods, kitchen } = pantry.pantry;
  const spread = spreads.find((row) => row.id === bowl.value?.spreadId);
  const recipe = recipes.find((row) => row.id === spread?.recipeId);
  if (!spread || !recipe || massG.value <= 0) return null;
  return putRight({
    fault: fault.value,
    by: by.value,
    massG: massG.value,
    tempC: tempC.value,
    spread,
    recipe,
    recipes,
    foods,
    kitchen,
  });
});
</script>

<template>
  <div v-if="bowl" data-test="put-right">
    <p class="sentence">
      <QuantityField
        :model-value="massG"
        :of="{ kind: 'bowl', min: 1, max: 30000 }"
        label="In the bowl"
        @update:model-value="(g) => (typedG = g)"
      />
      of
      <ChoiceField
        :model-value="bowl.id"
        label="Which bowl"
        :options="bowlChoices"
        @update:model-value="
          (id) => {
            chosen = id;
            typedG = null;
          }
        "
      />
      at
      <QuantityField
        :model-value="tempC"
        :of="{ kind: 'temperature', min: -5, max: 60 }"
        label="Its temperature"
        @update:model-value="(c) => (tempC = c)"
      />
      is <ChoiceField v-model="by" label="How much" :options="byChoices" />
      <ChoiceField v-model="fault" label="What is wrong" :options="faultChoices" />.
    </p>
    <template v-if="answer">
      <p class="lead">{{ units.say(answer.cause) }}</p>
      <ul>
        <li v-for="remedy in answer.remedies" :key="remedy.title" data-test="remedy">
          <h2>
            {{ remedy.title
            }}<template v-if="remedy.amount"
              >: {{ units.text(remedy.amount.value, remedy.amount.kind) }}
              <span class="soft">{{ remedy.amount.label }}</span></template
            >
          </h2>
          <p>{{ units.say(remedy.todo) }}</p>
          <p class="soft why">{{ units.say(remedy.why) }}</p>
        </li>
      </ul>
      <p v-if="answer.remedies.length === 0" class="lead">
        At this temperature there is nothing to add or take away: beat it, and look again.
      </p>
      <p v-if="answer.caution" class="lead">▲ {{ units.say(answer.caution) }}</p>
    </template>
    <FromLeft :build="build" :plan="plan" :bowl="bowl" />
    <FruitAndCream :bowl="bowl" />
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 10px 0;
}
li {
  border-top: 1px solid var(--line);
  padding: 8px 0;
}
p {
  margin: 2px 0;
}
.why {
  font-size: var(--size-note);
}
h2 .soft {
  font-weight: 400;
  font-size: var(--size-text);
}
</style>
