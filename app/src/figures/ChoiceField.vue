<script setup lang="ts" generic="T extends string">
import { computed } from 'vue';
import type { PantryTable } from '@pyrgotect/core';
import { useRouter } from 'vue-router';
import { usePantry } from '../stores/pantry.ts';
import { useSettings } from '../stores/settings.ts';

/** A choice set in a sentence. */
const props = defineProps<{
  modelValue: T;
  label: string;
  options: { value: T; text: string }[];
  /** One more line, which asks for something that is not there yet. */
  more?: string;
  /** The table of the pantry that its rows are in: the one chosen can be gone to, and changed there. */
  rowsOf?: PantryTable;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: T]; more: [] }>();
const settings = useSettings();
// of no row: ids have no such signs
const asksMore = '…';
const asksRow = '→';
// only where it is asked for: most choices are of no rows
const router = props.rowsOf ? useRouter() : null;
const chosenRow = computed(() =>
  props.rowsOf ? props.options.find(({ value }) => value === props.modelValue) : undefined,
);
const isRowId = (id: string): boolean =>
  props.rowsOf !== undefined && usePantry().pantry[props.rowsOf].some((row) => row.id === id);
const item = (value: string, title: string, disabled = false) => ({
  title,
  value,
  props: { disabled, 'data-value': value },
});
const items = computed(() => {
  const known = props.options.some((option) => option.value === props.modelValue);
  return [
    ...(known ? [] : [item(props.modelValue, 'not in the pantry', true)]),
    ...props.options.map((option) => item(option.value, settings.words(option.text))),
    ...(props.more ? [item(asksMore, props.more)] : []),
    ...(chosenRow.value && isRowId(chosenRow.value.value)
      ? [item(asksRow, `change “${settings.words(chosenRow.value.text)}” in the pantry …`)]
      : []),
  ];
});
function take(chosen: string): void {
  if (chosen === asksMore) return emit('more');
  if (chosen === asksRow)
    return void router?.push({
      path: '/pantry',
      query: { table: props.rowsOf, row: props.modelValue },
    });
  const option = props.options.find((o) => o.value === chosen);
  if (option && option.value !== props.modelValue) emit('update:modelValue', option.value);
}
</script>

<template>
  <v-select
    class="in-line"
    variant="plain"
    density="compact"
    hide-details
    :model-value="modelValue"
    :items="items"
    :aria-label="label"
    :data-value="modelValue"
    :menu-props="{ contentClass: 'choices' }"
    @update:model-value="take"
  />
</template>
