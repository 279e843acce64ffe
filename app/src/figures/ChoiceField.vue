<script setup lang="ts" generic="T extends string">
import { useId } from 'vue';
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
const id = useId();
/** Of no row: ids have no dots. */
const asksMore = '…';
function take(event: Event): void {
  const select = event.target as HTMLSelectElement;
  const chosen = select.value;
  if (chosen === asksMore) {
    select.value = props.modelValue;
    return emit('more');
  }
  const option = props.options.find((o) => o.value === chosen);
  if (option) emit('update:modelValue', option.value);
}
</script>

<template>
  <span class="choice">
    <label class="visually-hidden" :for="id">{{ label }}</label>
    <select :id="id" :value="modelValue" :title="label" @change="take">
      <option v-if="!options.some((o) => o.value === modelValue)" :value="modelValue" disabled>
        not in the pantry
      </option>
      <option v-for="option in options" :key="option.value" :value="option.value">
        {{ settings.words(option.text) }}
      </option>
      <option v-if="more" :value="asksMore">{{ more }}</option>
    </select>
  </span>
</template>

<style scoped>
select {
  font: inherit;
  font-weight: 600;
  color: var(--accent);
  background: var(--raised);
  border: 0;
  border-bottom: 1.8px solid var(--accent);
  border-radius: 3px 3px 0 0;
  padding: 1px 4px;
  line-height: 1.35;
  max-width: min(22em, calc(100vw - 52px));
  field-sizing: content;
  cursor: pointer;
}
select:focus {
  outline: 2px solid var(--accent);
  outline-offset: 0;
}
option {
  color: var(--ink);
  background: var(--milk);
}
</style>
