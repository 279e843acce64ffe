<script setup lang="ts">
import { limits, type Outline } from '@pyrgotect/core';
import { computed, ref, watch } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { svgLines } from './svg-lines.ts';
import { lineOutline, sizeOf } from './svg-path.ts';
import DialogBox from '../parts/DialogBox.vue';
import FileKey from '../parts/FileKey.vue';
import WordField from '../figures/WordField.vue';

/** Reads an outline from an SVG file or a pasted path; nothing changes until it is taken. */
const props = defineProps<{ wide: number }>();
const emit = defineEmits<{ close: []; take: [outline: Outline] }>();
const text = ref('');
const name = ref('own shape');
const wideMm = ref(props.wide);
/** Which of several lines it is. */
const which = ref(0);
watch(text, () => (which.value = 0));
/** A thumbnail, px. */
const thumb = 64;
const found = computed(() => (text.value.trim() ? svgLines(text.value) : null));
/** The lines that close to an outline, the largest first; and why the first other one does not. */
const lines = computed(() => {
  const given = found.value?.ok ? found.value.lines : [];
  const read = given.map((line) => ({ ...line, read: lineOutline(line.d, line.name, 100) }));
  return {
    problem:
      read.map((line) => (line.read.ok ? null : line.read.problem)).find((why) => why) ?? null,
    usable: read
      .flatMap((line) => (line.read.ok ? [{ ...line, outline: line.read.outline }] : []))
      .map((line) => ({ ...line, size: sizeOf(line.d) }))
      .sort((a, b) => b.size - a.size),
  };
});
const chosen = computed(() => lines.value.usable[which.value] ?? null);
const problem = computed(() => {
  if (!found.value) return null;
  if (!found.value.ok) return found.value.problem;
  return chosen.value ? null : (lines.value.problem ?? 'There is no line in it.');
});
const read = computed(() =>
  chosen.value ? lineOutline(chosen.value.d, name.value, wideMm.value) : null,
);
const pointsIn = (outline: Extract<Outline, { kind: 'path' }>, px: number): string => {
  const reach = Math.max(...outline.points.map(([x, y]) => Math.max(Math.abs(x), Math.abs(y))), 1);
  const scale = (px * 0.45) / reach;
  return outline.points
    .map(([x, y]) => `${(px / 2 + x * scale).toFixed(1)},${(px / 2 - y * scale).toFixed(1)}`)
    .join(' ');
};
const drawing = computed(() => (read.value?.ok ? pointsIn(read.value.outline, 200) : ''));
const nameOf = (i: number): string => lines.value.usable[i]?.name || `line ${i + 1}`;
function choose(i: number): void {
  which.value = i;
  const called = lines.value.usable[i]?.name;
  if (called) name.value = called;
}
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
        An SVG file, of which one closed line is taken, or the line itself (what stands in d="…").
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
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <template v-if="lines.usable.length > 1">
        <p class="lead">
          {{ lines.usable.length }} lines close to a shape, the largest first. Which is it?
        </p>
        <div class="lines" role="group" aria-label="Lines of the drawing">
          <KeyButton
            v-for="(line, i) in lines.usable"
            :key="i"
            class="line-key"
            :variant="i === which ? 'flat' : 'outlined'"
            :aria-pressed="i === which"
            :aria-label="nameOf(i)"
            @click="choose(i)"
          >
            <svg :width="thumb" :height="thumb" aria-hidden="true">
              <polygon :points="pointsIn(line.outline, thumb)" />
            </svg>
          </KeyButton>
        </div>
      </template>
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
.lines {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  max-height: 170px;
  overflow: auto;
}
.line-key {
  height: 76px !important;
  padding: 4px !important;
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
