<script setup lang="ts">
import { ref, useTemplateRef } from 'vue';

/** A button that takes a file, or several: chosen, or dropped on it. */
const props = defineProps<{
  /** What the file is, for who does not see the button. */
  label: string;
  accept: string;
  /** A phone takes a picture at once. */
  camera?: boolean;
  size?: 'small';
  /** Several may be chosen at once; where they are dropped is the business of the page. */
  several?: boolean;
}>();
const emit = defineEmits<{ take: [file: File]; takeAll: [files: File[]] }>();
const input = useTemplateRef<HTMLInputElement>('input');
const isOver = ref(false);
function chosen(): void {
  const files = [...(input.value?.files ?? [])];
  // the same file can be taken once more
  if (input.value) input.value.value = '';
  take(files);
}
function drop(event: DragEvent): void {
  isOver.value = false;
  if (!props.several) take([...(event.dataTransfer?.files ?? [])]);
}
function take(files: readonly File[]): void {
  if (props.several) emit('takeAll', [...files]);
  else if (files[0]) emit('take', files[0]);
}
defineExpose({ choose: () => input.value?.click() });
</script>

<template>
  <span class="file">
    <KeyButton
      :size="size"
      :class="{ over: isOver }"
      @click="input?.click()"
      @dragover.prevent="isOver = true"
      @dragleave="isOver = false"
      @drop.prevent="drop"
      ><slot
    /></KeyButton>
    <input
      ref="input"
      class="visually-hidden"
      type="file"
      :accept="accept"
      :multiple="several"
      :capture="camera ? 'environment' : undefined"
      :aria-label="label"
      tabindex="-1"
      @change="chosen"
    />
  </span>
</template>

<style scoped>
.file {
  position: relative;
  display: inline-block;
}
.over {
  background: var(--accent-wash);
  border-style: dashed;
}
</style>
