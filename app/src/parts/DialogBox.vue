<script setup lang="ts">
import { nextTick, onBeforeUnmount, onUpdated, ref, useTemplateRef, watch } from 'vue';
import { focusBefore, giveFocusBack } from './focus.ts';

/** A dialog of the library, called by its heading; when it closes, focus is where it was opened from. */
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
const overlay = useTemplateRef<{ contentEl?: HTMLElement }>('overlay');
/** What its heading says, for who does not see it. */
const heading = ref<string>();
function readHeading(): void {
  heading.value =
    overlay.value?.contentEl?.querySelector('h1, h2')?.textContent.trim() || undefined;
}
watch(
  () => props.modelValue,
  (isOpen) => {
    // what it holds stands a moment after it has opened
    if (isOpen) void nextTick(() => nextTick(readHeading));
  },
  { immediate: true },
);
onUpdated(readHeading);
onBeforeUnmount(() => {
  if (props.modelValue) giveFocusBack(before);
});
</script>

<template>
  <v-dialog
    ref="overlay"
    :aria-label="heading"
    :model-value="modelValue"
    @update:model-value="(isOpen) => emit('update:modelValue', isOpen)"
  >
    <slot />
  </v-dialog>
</template>
