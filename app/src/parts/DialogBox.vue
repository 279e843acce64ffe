<script setup lang="ts">
import { onBeforeUnmount, watch } from 'vue';
import { focusBefore, giveFocusBack } from './focus.ts';

/** A dialog of the library; when it closes, focus is where it was opened from. */
const props = withDefaults(defineProps<{ modelValue?: boolean }>(), { modelValue: true });
const emit = defineEmits<{ 'update:modelValue': [isOpen: boolean] }>();
let before: HTMLElement | null = null;
watch(
  () => props.modelValue,
  (isOpen, wasOpen) => {
    if (isOpen) before = focusBefore();
    else if (wasOpen) giveFocusBack(before);
  },
  { immediate: true },
);
onBeforeUnmount(() => {
  if (props.modelValue) giveFocusBack(before);
});
</script>

<template>
  <v-dialog
    :model-value="modelValue"
    @update:model-value="(isOpen) => emit('update:modelValue', isOpen)"
  >
    <slot />
  </v-dialog>
</template>
