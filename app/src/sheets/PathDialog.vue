<script setup lang="ts">
import { limits, type Outline } from '@pyrgotect/core';
import { computed, ref } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { pathOutline } from './svg-path.ts';
import DialogBox from '../parts/DialogBox.vue';
import FileKey from '../parts/FileKey.vue';
import WordField from '../figures/WordField.vue';

/** Reads an outline from an SVG file or a pasted path; nothing changes until it is taken. */
const props = defineProps<{ wide: number }>();
const emit = defineEmits<{ close: []; take: [outline: Outline] }>();
const text = ref('');
const name = ref('own shape');
const wideMm = ref(props.wide);
const read = computed(() =>
  text.value.trim() ? pathOutline(text.value, name.value, wideMm.value) : null,
);
const drawing = computed(() => {
  const outline = read.value?.ok ? read.value.outline : null;
  if (!outline) return '';
  const high = Math.max(...outline.points.map(([, y]) => Math.abs(y))) * 2;
  const scale = 180 / Math.max(wideMm.value, high, 1);
  return outline.points
    .map(([x, y]) => `${(100 + x * scale).toFixed(1)},${(100 - y * scale).toFixed(1)}`)
    .join(' ');
});
async function open(file: File): Promise<void> {
  name.value = file.name.replace(/\.svg$/i, '').slice(0, 60) || name.value;
  text.value = file.size > 2_000_000 ? 'too large' : await file.text();
}
function take(): void {
  if (read.value?.ok) emit('take', read.value.outline);
}
</script>

<template>
  <DialogBox max-width="640" @update:model-value="emit('close')">
    <v-card class="path" data-test="path-dialog">
      <h1>A shape of its own</h1>
      <p class="lead">
        An SVG file with one closed line, or the line itself (what stands in d="…").
      </p>
      <p>
        <FileKey accept=".svg,image/svg+xml" label="SVG file" @take="open">Choose a file</FileKey>
      </p>
      <v-textarea
        v-model="text"
        class="line"
        rows="4"
        aria-label="Path"
        spellcheck="false"
        placeholder="M0 0 …"
      />
      <p v-if="read && !read.ok" class="problem" role="alert">{{ read.problem }}</p>
      <div v-if="read?.ok" class="seen">
        <svg width="200" height="200" role="img" aria-label="The line that was read">
          <polygon :points="drawing" />
        </svg>
        <p class="sentence">
          It is called
          <WordField v-model="name" aria-label="Name of the shape" :most="80" />, and is
          <QuantityField
            :model-value="wideMm"
            :of="limits.sideMm"
            label="Width of the shape"
            @update:model-value="(mm) => (wideMm = mm)"
          />
          wide.
        </p>
      </div>
      <div class="foot">
        <KeyButton @click="emit('close')">Leave it</KeyButton>
        <KeyButton variant="flat" :disabled="!read?.ok" @click="take"> Take this line </KeyButton>
      </div>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.path {
  padding: 22px 26px;
}
.line {
  margin-top: 8px;
}
.line :deep(textarea) {
  font: var(--size-note)/1.4 monospace;
}
.problem {
  background: var(--stop-wash);
  border-left: 4px solid var(--stop);
  padding: 7px 12px;
}
.seen {
  display: flex;
  gap: 20px;
  align-items: center;
}
polygon {
  fill: url('#tone-butter');
  stroke: var(--ink);
  stroke-width: 1.5;
}
.foot {
  display: flex;
  justify-content: flex-end;
  gap: 10px;
  margin-top: 16px;
}
</style>
