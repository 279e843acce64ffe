<script setup lang="ts">
import { foodOf, householdText, weightText, type ScaledIngredient } from '@pyrgotect/core';
import { usePantry } from '../stores/pantry.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';

defineProps<{ title: string; note: string; ingredients: ScaledIngredient[] }>();
const settings = useSettings();
const units = useUnits();
const pantry = usePantry();
const household = (item: ScaledIngredient): string | null =>
  item.pieces === null
    ? householdText(
        pantry.pantry.foods.find((food) => food.id === item.foodId) ?? null,
        item.massG,
        pantry.pantry.kitchen.measuring,
        settings.system,
      )
    : null;
const text = (item: ScaledIngredient): string =>
  weightText(
    item.massG,
    item.massG < 20 ? 'fineMass' : 'bowl',
    foodOf(pantry.pantry.foods, item.foodId) ?? null,
    pantry.pantry.kitchen.measuring,
    settings.system,
  );
/** "or 3 and 20 g milk": whole eggs with the rest made up. */
const wholeText = (item: ScaledIngredient): string => {
  if (!item.nearest || Math.abs(item.nearest.makeUpG) < 2) return '';
  // whites that are whipped, or yolks, are never stretched with anything
  if (foodOf(pantry.pantry.foods, item.foodId)?.boughtAs) return '';
  const { pieces, makeUpG } = item.nearest;
  const rest = units.text(Math.abs(makeUpG), 'small');
  return makeUpG > 0 ? `, or ${pieces} and ${rest} milk or water` : `, or ${pieces} less ${rest}`;
};
</script>

<template>
  <section>
    <h2>{{ title }}</h2>
    <p class="soft">{{ note }}</p>
    <ul>
      <li v-for="item in ingredients" :key="item.name">
        <span>{{ item.name }}</span>
        <b>
          {{ text(item) }}
          <small v-if="item.pieces !== null">of {{ item.pieces }}{{ wholeText(item) }}</small>
          <small v-else-if="household(item)">{{ household(item) }}</small>
        </b>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  columns: 2;
  column-gap: 34px;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  border-top: 1px solid var(--line);
  padding: 4px 0;
  break-inside: avoid;
}
b {
  white-space: nowrap;
  text-align: right;
  min-width: 0;
}
small {
  white-space: normal;
  font-weight: 400;
  color: var(--soft);
}
p {
  margin: 0;
}
</style>
