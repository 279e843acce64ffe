<script setup lang="ts">
import { computed } from 'vue';
import { useDraft } from './draft.ts';

/**
 * Words the user decides, taken when the field is left or Enter is pressed. What is being typed
 * stays in the field while answers of the plan come in around it. With a name of its own it stands
 * under that name, as long as there is room; without, it stands in a sentence.
 */
const props = defineProps<{
  modelValue: string;
  /** Its name, written over it. */
  name?: string;
  /** As many characters at most. */
  most?: number;
  /** Nothing typed goes back to what was there. */
  needed?: boolean;
}>();
const emit = defineEmits<{ 'update:modelValue': [words: string] }>();
const { text, isTyped, type, show, given } = useDraft(() => props.modelValue);

function take(): void {
  if (!isTyped()) return;
  const now = text.value.trim().slice(0, props.most);
  if (now === props.modelValue || (!now && props.needed)) return show();
  emit('update:modelValue', now);
  given();
}
const stands = computed(() =>
  props.name === undefined
    ? ({ class: 'in-line worded', variant: 'plain' } as const)
    : ({ class: 'under-name', variant: 'underlined', label: props.name } as const),
);
</script>

<template>
  <v-text-field
    :model-value="text"
    v-bind="stands"
    density="compact"
    hide-details
    persistent-placeholder
    :maxlength="most"
    @update:model-value="type"
    @change="take"
    @blur="take"
  />
</template>
