<script setup lang="ts">
import {
  drained,
  givesJuice,
  compoteSettings,
  macerate,
  stabilise,
  stabilisers,
  starchForCompote,
  type Bowl,
  type CompoteSetting,
  type Stabiliser,
  valueWord,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { usePantry } from '../../stores/pantry.ts';
import { useUnits } from '../../figures/units.ts';

/** Doses that are guessed by hand: what makes cream stand, how fruit weighs in, starch for a compote. */
defineProps<{ bowl: Bowl }>();
const units = useUnits();
const pantry = usePantry();
const creamG = ref(500);
const how = ref<Stabiliser>('icing sugar');
const howChoices = stabilisers.map((value) => ({ value, text: valueWord(value) }));
const dose = computed(() => stabilise(creamG.value, how.value));

const fruitId = ref('raspberries');
const fruits = computed(() =>
  pantry.pantry.foods.filter(givesJuice).map((food) => ({ value: food.id, text: food.name })),
);
const fruit = computed(() => pantry.pantry.foods.find((food) => food.id === fruitId.value));
const fruitG = ref(400);
const sugarG = ref(60);
const cookedG = ref(380);
const setting = ref<CompoteSetting>('spreadable');
const settingWords: Record<CompoteSetting, string> = {
  sauce: 'runs like a sauce',
  spreadable: 'spreads and stays',
  sliceable: 'slices clean',
};
const settingChoices = compoteSettings.map((value) => ({ value, text: settingWords[value] }));
const water = computed(() => fruit.value?.waterShare ?? 0.85);
const drawn = computed(() =>
  macerate(fruitG.value, water.value, fruit.value?.sugarShare ?? 0.06, sugarG.value),
);
const starch = computed(() =>
  starchForCompote(fruitG.value, water.value, sugarG.value, cookedG.value, setting.value),
);
const mass = (g: number): string => units.text(g, g < 20 ? 'fineMass' : 'small');
</script>

<template>
  <section data-test="doses">
    <h2>Cream, fruit and starch</h2>
    <p class="sentence">
      <QuantityField v-model="creamG" :of="{ kind: 'bowl', min: 1, max: 20000 }" label="Cream" /> of
      cream stand with <ChoiceField v-model="how" label="Stabiliser" :options="howChoices" />:
      <b>{{ mass(dose.doseG) }}</b><template v-if="dose.waterG > 0"
        >, in {{ mass(dose.waterG) }} of water</template
      >, {{ dose.words }}.
    </p>
    <p class="sentence">
      <QuantityField v-model="fruitG" :of="{ kind: 'bowl', min: 1, max: 20000 }" label="Fruit" /> of
      <ChoiceField v-model="fruitId" label="Which fruit" :options="fruits" /> under
      <QuantityField
        v-model="sugarG"
        :of="{ kind: 'bowl', min: 0, max: 20000 }"
        label="Sugar over it"
      />
      of sugar give <b>{{ mass(drawn.syrupG) }}</b> of syrup and leave
      <b>{{ mass(drawn.drainedG) }}</b> of fruit; only drained,
      {{ mass(drained(fruitG, water, false)) }} fresh or
      {{ mass(drained(fruitG, water, true)) }} from the freezer.
    </p>
    <p class="sentence">
      Cooked down with all of it to
      <QuantityField
        v-model="cookedG"
        :of="{ kind: 'bowl', min: 1, max: 20000 }"
        label="Cooked down to"
      />, a compote that
      <ChoiceField v-model="setting" label="How firm" :options="settingChoices" /> takes
      <b>{{ mass(starch.starchG) }}</b> of cornflour for its {{ mass(starch.waterG) }} of water.
    </p>
    <p class="soft">Doses by trade custom; the balance of the juice is an estimate.</p>
  </section>
</template>

<style scoped>
section {
  border-top: 2px solid var(--ink);
  margin-top: 16px;
  padding-top: 6px;
}
</style>
