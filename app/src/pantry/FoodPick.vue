<script setup lang="ts">
import { freshId, emptyFood, foodOf, type Food } from '@pyrgotect/core';
import { computed, defineAsyncComponent, ref } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import { usePantry } from '../stores/pantry.ts';

const RowDialog = defineAsyncComponent(() => import('./RowDialog.vue'));

/**
 * Which ingredient of the pantry something eaten is, in a sentence: one that is there, or one made on
 * the spot, with its allergens asked. Without one its name stands, and that nothing is known of it.
 */
const props = defineProps<{ modelValue: string | null; name: string; label: string }>();
const emit = defineEmits<{ pick: [food: Food] }>();
const pantry = usePantry();
const fresh = ref<Food | null>(null);
const other = 'new ingredient';
const row = computed(() => foodOf(pantry.pantry.foods, props.modelValue));
const options = computed(() => [
  ...(row.value ? [] : [{ value: '', text: `${props.name} (contents not known)` }]),
  ...[...pantry.pantry.foods]
    .sort((a, b) => a.name.localeCompare(b.name))
    .map((food) => ({
      value: food.id,
      text: food.declared ? food.name : `${food.name} (contents not known)`,
    })),
  { value: other, text: 'another: a new ingredient …' },
]);
function choose(id: string): void {
  if (id === other)
    fresh.value = emptyFood(
      freshId('own', 13),
      row.value || props.modelValue !== null ? '' : props.name,
    );
  const food = foodOf(pantry.pantry.foods, id);
  if (food) emit('pick', food);
}
function made(id: string): void {
  const food = foodOf(pantry.pantry.foods, id);
  if (food) emit('pick', food);
}
</script>

<template>
  <span class="food-pick" :class="{ unknown: !row?.declared }">
    <ChoiceField
      :model-value="row?.id ?? ''"
      :label="label"
      :options="options"
      @update:model-value="choose"
    />
    <RowDialog v-if="fresh" table="foods" :row="fresh" is-new @saved="made" @close="fresh = null" />
  </span>
</template>

<style scoped>
.unknown :deep(select) {
  color: var(--warn);
  border-bottom-color: var(--warn);
}
</style>
