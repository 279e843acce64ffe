<script setup lang="ts" generic="T extends string">
import { computed } from 'vue';
import { useSettings } from '../stores/settings.ts';

/** A choice set in a sentence. */
const props = defineProps<{
  modelValue: T;
  label: string;
  options: { value: T; text: string }[];
  /** One more line, which asks for something that is not there yet. */
  more?: string;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: T]; more: [] }>();
const settings = useSettings();
/** Of no row: ids have no dots. */
const asksMore = '…';
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
  ];
});
function take(chosen: string): void {
  if (chosen === asksMore) return emit('more');
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
