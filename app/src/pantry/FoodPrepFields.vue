<script setup lang="ts">
import {
  pantryLimits,
  preparedFrom,
  prepWays,
  type Food,
  type FoodPrep,
  type PrepWay,
} from '@pyrgotect/core';
import { computed } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { useUnits } from '../figures/units.ts';

/** How an ingredient is made ready before it is weighed out. Changes the row that is being edited. */
const props = defineProps<{ food: Food }>();
// the dialog's own draft: it is saved or thrown away as a whole
const food = computed(() => props.food);
const units = useUnits();
const words: Record<PrepWay, string> = {
  wash: 'washed',
  peel: 'peeled',
  hull: 'stalks or stones taken off',
  toast: 'toasted',
  cut: 'cut',
  grind: 'ground',
  grate: 'grated',
  mash: 'mashed',
  sugar: 'strewn with sugar',
  soak: 'soaked in hot water',
};
const begun = (): FoodPrep => ({
  ways: ['wash'],
  minPer100G: 1,
  leftShare: 1,
  inShare: 0,
  drainedShare: 1,
  leastMin: 0,
  mostMin: null,
});
function setWay(way: PrepWay): void {
  const now = food.value.prep ?? { ...begun(), ways: [] };
  const chosen = new Set(now.ways);
  if (!chosen.delete(way)) chosen.add(way);
  // in the order in which it is done, whatever was ticked first
  const ways = prepWays.filter((one) => chosen.has(one));
  food.value.prep = ways.length > 0 ? { ...now, ways } : null;
}
const begins = computed(() => {
  const { prep } = food.value;
  if (!prep) return '';
  const { boughtG, inG } = preparedFrom(100, prep);
  const text = (g: number): string => units.text(g, 'small');
  return `${text(100)} ready begin as ${text(boughtG)} bought${inG > 0 ? ` and ${text(inG)} of ${prep.ways.includes('soak') ? 'hot water' : 'sugar'}` : ''}.`;
});
</script>

<template>
  <div data-test="food-prep">
    <h2>Made ready</h2>
    <p class="soft">
      {{
        food.prep
          ? `Bench, day and shopping reckon with it. ${begins}`
          : 'It is used as it is bought.'
      }}
    </p>
    <label v-for="way in prepWays" :key="way" class="line">
      <span>{{ words[way] }}</span>
      <v-checkbox-btn
        :model-value="food.prep?.ways.includes(way) ?? false"
        @update:model-value="setWay(way)"
      />
    </label>
    <p v-if="food.prep" class="sentence">
      It takes
      <QuantityField
        v-model="food.prep.minPer100G"
        :of="pantryLimits.prepMin"
        label="Minutes for 100 g of it"
      />
      for each 100 g;
      <QuantityField
        v-model="food.prep.leftShare"
        :of="pantryLimits.leftShare"
        label="Share that is left once it is clean"
      />
      of what was bought is left. It takes
      <QuantityField
        v-model="food.prep.inShare"
        :of="pantryLimits.inShare"
        label="Sugar or water to its weight"
      />
      of its weight of sugar or water, and weighs
      <QuantityField
        v-model="food.prep.drainedShare"
        :of="pantryLimits.drainedShare"
        label="Its weight once drained"
      />
      of that before once it has drained. It waits at least
      <QuantityField
        v-model="food.prep.leastMin"
        :of="pantryLimits.holdMin"
        label="Waits at least"
      />
      and keeps
      <QuantityField
        v-model="food.prep.mostMin"
        :of="pantryLimits.holdMin"
        label="Keeps at most"
        nullable
        auto="for days"
      />.
    </p>
  </div>
</template>

<style scoped src="./line.css" />
