<script setup lang="ts">
import { ref, useTemplateRef } from 'vue';

/** A button that takes one file: chosen, or dropped on it. */
defineProps<{
  /** What the file is, for who does not see the button. */
  label: string;
  accept: string;
  /** A phone takes a picture at once. */
  camera?: boolean;
  size?: 'small';
}>();
const emit = defineEmits<{ take: [file: File] }>();
const input = useTemplateRef<HTMLInputElement>('input');
const isOver = ref(false);
function chosen(): void {
  const file = input.value?.files?.[0];
  // the same file can be taken once more
  if (input.value) input.value.value = '';
  if (file) emit('take', file);
}
function drop(event: DragEvent): void {
  isOver.value = false;
  const file = event.dataTransfer?.files[0];
  if (file) emit('take', file);
}
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
