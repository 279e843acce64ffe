<script setup lang="ts">
import {
  composed,
  coolingPlaces,
  creamForDull,
  creamForSplit,
  fitsOf,
  putGanacheRight,
  type Build,
  type GanacheParts,
  type CakePlan,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';

/** A bowl of ganache that does not run as it should: degrees, minutes or grams for this bowl. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { text } = useUnits();
const { pantry, tier, choices } = useSheet(props);
const composable = computed(() => pantry.pantry.ganaches.filter((row) => row.fluid === 'ganache'));
const used = computed(() => tier.value.drip ?? tier.value.pour);
const chosen = ref('');
const row = computed(
  () =>
    composable.value.find((one) => one.id === (chosen.value || used.value?.ganacheId)) ??
    composable.value[0],
);
const massG = ref(300);
const tempC = ref(24);
const ratio = ref<number | null>(null);
const wantedMm = ref(1);
const faults = [
  { value: 'runs', text: 'does not run as it should' },
  { value: 'split', text: 'has split: fat stands on it' },
  { value: 'whipped', text: 'is over-whipped: grainy and dull' },
] as const;
const fault = ref<(typeof faults)[number]['value']>('runs');
const parts = computed<GanacheParts | null>(() => {
  if (!row.value) return null;
  try {
    const own = row.value.id === used.value?.ganacheId ? used.value.ratio : null;
    const found = composed(row.value, ratio.value ?? own, pantry.pantry.foods);
    if (!found) return null;
    const of = (g: number): number => (g * massG.value) / 1000;
    return {
      chocolate: found.chocolate,
      cream: found.cream,
      chocolateG: of(found.parts.chocolateG),
      creamG: of(found.parts.creamG),
      butterG: of(found.parts.butterG),
      syrupG: of(found.parts.syrupG),
      sugarG: of(found.parts.sugarG),
    };
  } catch {
    return null;
  }
});
const stiffer = computed(() =>
  row.value ? (fitsOf(row.value, pantry.pantry.foods).all?.stiffer ?? 1) : 1,
);
const answer = computed(() =>
  parts.value
    ? putGanacheRight(
        parts.value,
        tempC.value,
        wantedMm.value,
        { tempC: pantry.pantry.kitchen.fridgeC, surfaceW: coolingPlaces.fridge.surfaceW },
        stiffer.value,
      )
    : null,
);
const tooThick = computed(() =>
  answer.value ? answer.value.nowMm > answer.value.wantedMm : false,
);
const splitG = computed(() => (parts.value ? creamForSplit(parts.value) : 0));
</script>

<template>
  <div v-if="row" data-test="ganache-right">
    <p class="sentence">
      <QuantityField
        :model-value="massG"
        :of="{ kind: 'bowl', min: 10, max: 20000 }"
        label="Ganache in the bowl"
        @update:model-value="(g) => (massG = g)"
      />
      of
      <ChoiceField
        :model-value="row.id"
        label="Which ganache"
        :options="choices(composable)"
        @update:model-value="
          (id) => {
            chosen = id;
            ratio = null;
          }
        "
      />, made
      <QuantityField
        :model-value="ratio"
        :of="{ kind: 'factor', min: 0.2, max: 8 }"
        label="Ratio it was really made at"
        auto="as planned"
        nullable
        @update:model-value="(n) => (ratio = n)"
      />
      to 1, at
      <QuantityField
        :model-value="tempC"
        :of="{ kind: 'temperature', min: 5, max: 60 }"
        label="Temperature it has"
        @update:model-value="(c) => (tempC = c)"
      />
      <ChoiceField v-model="fault" label="What is wrong with the ganache" :options="[...faults]" />.
    </p>
    <template v-if="fault === 'runs' && answer">
      <p class="sentence">
        It stands <b>{{ text(answer.nowMm, 'fine') }}</b> thick on an upright side, and should stand
        <QuantityField
          :model-value="wantedMm"
          :of="{ kind: 'fine', min: 0.2, max: 10 }"
          label="Film it should stand at"
          @update:model-value="(mm) => (wantedMm = mm)"
        />: about 1 for drips, which thicken as they cool; 2 for a poured coat; 5 and more to
        spread.
      </p>
      <p v-if="answer.isRight" class="lead">It is right: use it now.</p>
      <ul v-else>
        <li data-test="by-degrees">
          <h2>
            {{ tooThick ? 'Warm it' : 'Let it cool' }} to {{ text(answer.rightC, 'temperature') }}
          </h2>
          <p v-if="tooThick">
            In a microwave about <b>{{ Math.max(3, Math.round(answer.microwaveS)) }} s</b> in all at
            half power, a few seconds at a time with stirring; or over warm water for as long as it
            takes.
          </p>
          <p v-else-if="answer.coolMin !== null">
            In the fridge about <b>{{ text(answer.coolMin, 'minutes') }}</b>, stirred every few
            minutes so that no rim sets.
          </p>
          <p v-else>That is colder than the fridge: it has to be made firmer.</p>
          <p v-if="answer.rightC > 40" class="lead">
            That melts a buttercream coat: thin it with cream instead.
          </p>
        </li>
        <li v-if="answer.addCreamG > 0.5" data-test="by-grams">
          <h2>
            Or thin it as it is: {{ text(answer.addCreamG, 'small') }}
            <span class="soft">{{ parts!.cream.name }}</span>
          </h2>
          <p>Warm, stirred in a spoon at a time from the middle out.</p>
        </li>
        <li v-if="answer.addChocolateG > 0.5" data-test="by-grams">
          <h2>
            Or make it firmer: {{ text(answer.addChocolateG, 'small') }}
            <span class="soft">{{ parts!.chocolate.name }}</span>
          </h2>
          <p>Melted, at the temperature of the bowl, stirred in.</p>
        </li>
      </ul>
      <p class="lead">
        From its ratio, its temperature and
        {{ stiffer === 1 ? 'a table' : 'your test drips' }}: an estimate. A drip at the back says
        more.
      </p>
    </template>
    <template v-if="fault === 'split'">
      <h2 v-if="splitG > 0.5">
        {{ text(splitG, 'small') }} <span class="soft">{{ parts!.cream.name }}, warm</span>
      </h2>
      <h2 v-else>A spoon of warm cream</h2>
      <p class="sentence">
        {{
          splitG > 0.5
            ? 'There is too much fat for its water. Stirred in a spoon at a time from the middle out, with a stick blender held under the surface.'
            : 'Its fat and water are in balance: it parted because it was too hot, or stirred too little. Let it come to 35 °C and blend it under the surface.'
        }}
      </p>
    </template>
    <template v-if="fault === 'whipped'">
      <h2>Melt it and whip it less</h2>
      <p class="sentence">
        All {{ text(massG, 'bowl') }} over warm water to {{ text(34, 'temperature') }}, cooled to
        {{ text(10, 'temperature') }}, and whipped only until it holds. If it is only dull, fold in
        <b>{{ text(creamForDull(massG), 'small') }}</b> of liquid cream by hand.
      </p>
    </template>
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
h2 {
  margin-top: 6px;
}
h2 .soft {
  font-weight: 400;
  font-size: var(--size-text);
}
</style>
