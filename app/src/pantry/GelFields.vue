<script setup lang="ts">
import {
  fromSpot,
  gelFrom,
  limits,
  mixedHex,
  newGelSpot,
  spotG,
  spotOf,
  type Food,
  type GelSpot,
} from '@pyrgotect/core';
import { computed } from 'vue';
import HexField from '../colours/HexField.vue';
import QuantityField from '../figures/QuantityField.vue';
import { useUnits } from '../figures/units.ts';

/** What a gel colours, by a spot that was tried. Changes the row that is being edited. */
const props = defineProps<{ food: Food }>();
const { text } = useUnits();
// the dialog's own draft: it is saved or thrown away as a whole
const food = computed(() => props.food);
const set = (to: Partial<GelSpot>): void => {
  food.value.gel = { ...(food.value.gel ?? newGelSpot()), ...to };
};
const spotLimits = {
  kind: 'fineMass' as const,
  min: spotOf(limits.gelGPerKg.min),
  max: spotOf(limits.gelGPerKg.max),
};
/** Grams to the kilogram that are shown, from a pastel to as much as one takes. */
const ladder = [0.5, 2, 5, 10, 25];
const known = computed(() => {
  const { gel } = food.value;
  return gel && gelFrom(food.value.name, gel.onHex, gel.gPerKg, gel.hex);
});
const steps = computed(() => {
  const [{ gel: spot }, gel] = [food.value, known.value];
  return spot && gel
    ? ladder.map((gPerKg) => ({ gPerKg, hex: mixedHex(spot.onHex, [{ gel, gPerKg }]) }))
    : [];
});
/** It cannot lighten: one that is said to is taken as none. */
const takesNothing = computed(() => known.value?.perG.every((taken) => taken === 0) ?? false);
</script>

<template>
  <div data-test="gel-fields">
    <h2>Colours frosting</h2>
    <p v-if="!food.gel">
      <KeyButton size="small" @click="set({})">it is a gel that colours</KeyButton>
    </p>
    <template v-else>
      <p class="sentence">
        On a spot of {{ text(spotG, 'bowl') }},
        <QuantityField
          :model-value="spotOf(food.gel.gPerKg)"
          :of="spotLimits"
          label="Gel on the spot"
          @update:model-value="(g) => set({ gPerKg: fromSpot(g) })"
        />
        of it made frosting that looks like
        <HexField
          :model-value="food.gel.onHex"
          label="Frosting before"
          @update:model-value="(onHex) => set({ onHex })"
        />
        look like
        <HexField
          :model-value="food.gel.hex"
          label="Frosting with the gel"
          @update:model-value="(hex) => set({ hex })"
        />.
        <KeyButton variant="text" size="small" @click="food.gel = null">it is no gel</KeyButton>
      </p>
      <p class="lead">
        Colour a spot, let it stand an hour, hold it beside the screen in daylight, and change the
        second patch until both look alike. So much of it to the kilogram then gives, in that
        frosting:
      </p>
      <ul>
        <li v-for="each in steps" :key="each.gPerKg">
          <i :style="{ background: each.hex }" aria-hidden="true" />
          {{ text(each.gPerKg, 'fineMass') }}
        </li>
      </ul>
      <p v-if="takesNothing" class="warn" role="status">
        ▲ A gel takes light away: one that lightens its frosting is taken as none.
      </p>
    </template>
  </div>
</template>

<style scoped src="../colours/patches.css" />
