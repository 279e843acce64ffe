<script setup lang="ts">
import { insetOf, limits, type Cover, type Lines, type LinePoint } from '@pyrgotect/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import QuantityField from '../../figures/QuantityField.vue';
import { linesPath } from '../../section/tones.ts';
import { useUnits } from '../../figures/units.ts';
import { pathOutline } from '../svg-path.ts';
import { arrowOf, followPointer, type PointerAt } from '../../drawings/follow-pointer.ts';
import FileKey from '../../parts/FileKey.vue';

/**
 * The line of a turned shape or of a silhouette, drawn with handles over the stack as it stands:
 * by pointer, by arrow keys, or point by point in figures; or read from an SVG file.
 */
const props = defineProps<{
  points: LinePoint[];
  /** A turned shape: only its right half is drawn. */
  half: boolean;
  /** The cake before this cut, seen the same way. */
  behind: Lines;
  cover: Cover;
}>();
const emit = defineEmits<{ change: [points: LinePoint[]] }>();
const units = useUnits();
const box = useTemplateRef<HTMLElement>('box');
const { width } = useElementSize(box);
const chosen = ref<number | null>(null);
const drag = ref<LinePoint[] | null>(null);
const now = computed(() => drag.value ?? props.points);
const problem = ref('');
const high = 330;
const frame = computed(() => {
  const all = [...now.value, ...props.behind.flat()];
  const x1 = Math.max(20, ...all.map((p) => Math.abs(p[0]))) * 1.08;
  const y1 = Math.max(20, ...all.map((p) => p[1])) * 1.06;
  const room = Math.max(240, width.value * 0.62);
  const px = Math.min((high - 30) / y1, (room - 40) / (props.half ? x1 : 2 * x1));
  const w = Math.max(190, (props.half ? x1 : 2 * x1) * px + 40);
  const axis = props.half ? 24 : w / 2;
  return { px, axis, base: high - 16, w };
});
const X = (mm: number): number => frame.value.axis + mm * frame.value.px;
const Y = (mm: number): number => frame.value.base - mm * frame.value.px;
const path = computed(() =>
  props.half
    ? `M${now.value.map(([x, y]) => `${X(x)} ${Y(y)}`).join('L')}`
    : linesPath([now.value], X, Y),
);
const round = (mm: number): number => Math.round(mm * 2) / 2;
const bounded = ([x, y]: LinePoint): LinePoint => [
  Math.min(limits.carvePlace.max, Math.max(props.half ? 0 : limits.carvePlace.min, round(x))),
  Math.min(limits.carvePlace.max, Math.max(0, round(y))),
];
function press(i: number, event: PointerEvent): void {
  chosen.value = i;
  drag.value = props.points.map((p): LinePoint => [...p]);
  const move = ({ x, y }: PointerAt): void => {
    const { axis, base, px } = frame.value;
    const to = bounded([(x - axis) / px, (base - y) / px]);
    drag.value = drag.value?.map((p, k) => (k === i ? to : p)) ?? null;
  };
  followPointer(event, { move, end: release, cancel: () => (drag.value = null) });
}
function release(): void {
  if (drag.value && JSON.stringify(drag.value) !== JSON.stringify(props.points))
    emit('change', drag.value);
  drag.value = null;
}
const replace = (i: number, to: LinePoint): void =>
  emit(
    'change',
    props.points.map((p, k) => (k === i ? bounded(to) : p)),
  );
function key(i: number, event: KeyboardEvent): void {
  const step = event.shiftKey ? 10 : 1;
  const p = props.points[i]!;
  const way = arrowOf(event);
  if (way) replace(i, [p[0] + step * way.right, p[1] + step * way.up]);
  else if (event.key === 'Delete' || event.key === 'Backspace') drop(i);
  else if (event.key === 'Enter') add(i);
  else return;
  event.preventDefault();
  event.stopPropagation();
}
/** A point more, half-way to the next. */
function add(i: number): void {
  const a = props.points[i]!;
  const b = props.points[(i + 1) % props.points.length]!;
  const next = bounded(
    i + 1 === props.points.length && props.half
      ? [a[0] * 0.8, a[1] + 5]
      : [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2],
  );
  emit('change', [...props.points.slice(0, i + 1), next, ...props.points.slice(i + 1)]);
  chosen.value = i + 1;
}
function drop(i: number): void {
  if (props.points.length <= (props.half ? 2 : 3)) return;
  emit(
    'change',
    props.points.filter((_, k) => k !== i),
  );
  chosen.value = null;
}
/** A line from a file is as high as the one it replaces. */
const sizeMm = ref(Math.max(...props.points.map((p) => p[1])));
async function open(file: File): Promise<void> {
  problem.value = '';
  const text = file.size > 2_000_000 ? '' : await file.text();
  const read = pathOutline(text, 'line', 100);
  if (!read.ok) {
    problem.value = text ? read.problem : 'The file is too large.';
    return;
  }
  const ys = read.outline.points.map((p) => p[1]);
  const [low, top] = [Math.min(...ys), Math.max(...ys)];
  const scale = sizeMm.value / Math.max(1e-6, top - low);
  const line = read.outline.points.map(([x, y]): LinePoint => [
    round(x * scale),
    round((y - low) * scale),
  ]);
  const every = Math.ceil(line.length / 120);
  let kept = line.filter((_, i) => i % every === 0);
  if (props.half) {
    // the right half of what was drawn, from below up
    kept = kept
      .filter((p) => p[0] >= -0.5)
      .sort((a, b) => a[1] - b[1])
      .map(bounded);
  }
  if (kept.length < (props.half ? 2 : 3))
    problem.value = 'Too little of the line lies to the right of its middle.';
  else emit('change', kept);
}
const text = (mm: number): string => units.text(mm, 'span');
</script>

<template>
  <div ref="box" class="line-editor" data-test="line-editor">
    <svg :width="frame.w" :height="high" role="group" aria-label="The line, with its points">
      <path class="behind" :d="linesPath(behind, X, Y)" />
      <line class="axis" :x1="X(0)" :x2="X(0)" y1="4" :y2="frame.base + 6" />
      <line class="ground" x1="4" :x2="frame.w - 4" :y1="frame.base" :y2="frame.base" />
      <path class="line" :class="{ half }" :d="path" />
      <g
        v-for="(p, i) in now"
        :key="i"
        class="point"
        :class="{ on: chosen === i }"
        tabindex="0"
        role="slider"
        :aria-label="`Point ${i + 1}`"
        :aria-valuenow="p[1]"
        :aria-valuetext="`${text(p[0])} out, ${text(p[1])} up`"
        @focus="chosen = i"
        @pointerdown.prevent="press(i, $event)"
        @keydown="key(i, $event)"
      >
        <circle :cx="X(p[0])" :cy="Y(p[1])" r="13" class="reach" />
        <circle :cx="X(p[0])" :cy="Y(p[1])" r="5" />
      </g>
    </svg>
    <div class="beside">
      <p v-if="chosen !== null && points[chosen]" class="sentence">
        Point {{ chosen + 1 }}:
        <QuantityField
          :model-value="points[chosen]![0]"
          :of="{ ...limits.carvePlace, min: half ? 0 : limits.carvePlace.min }"
          label="Out from the axis"
          @update:model-value="(mm) => replace(chosen!, [mm, points[chosen!]![1]])"
        />
        out,
        <QuantityField
          :model-value="points[chosen]![1]"
          :of="{ ...limits.carvePlace, min: 0 }"
          label="Up from the foot"
          @update:model-value="(mm) => replace(chosen!, [points[chosen!]![0], mm])"
        />
        up.
        <KeyButton size="small" @click="add(chosen)">Point after it</KeyButton>
        <KeyButton variant="text" size="small" @click="drop(chosen)">Take it out</KeyButton>
      </p>
      <p class="soft small-words">
        Drag a point, or choose it and use the arrow keys (Shift for a centimetre, Enter for one
        more, Delete).
        {{ insetOf(cover) > 0 ? `Coat and cover take ${text(insetOf(cover))}.` : '' }}
        <label class="file"
          >Or a line from an SVG file, made
          <QuantityField
            :model-value="sizeMm"
            :of="{ ...limits.carvePlace, min: 5 }"
            label="Height of the line from a file"
            @update:model-value="(mm) => (sizeMm = mm)"
          />
          high:
          <FileKey
            size="small"
            accept=".svg,image/svg+xml"
            label="SVG file of the line"
            @take="open"
            >choose it</FileKey
          >
        </label>
      </p>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    </div>
  </div>
</template>

<style scoped>
.line-editor {
  display: flex;
  gap: 16px;
  align-items: flex-start;
  flex-wrap: wrap;
}
.beside {
  flex: 1;
  min-width: 200px;
}
svg {
  display: block;
  background: var(--raised);
  border: 1px solid var(--line);
  touch-action: none;
  max-width: 100%;
}
.behind {
  fill: var(--oat);
  stroke: var(--soft);
  stroke-width: 1;
  fill-rule: evenodd;
}
.axis {
  stroke: var(--soft);
  stroke-dasharray: 8 3 2 3;
}
.ground {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.line {
  fill: var(--accent-wash);
  fill-opacity: 0.5;
  stroke: var(--accent);
  stroke-width: 2;
}
.line.half {
  fill: none;
}
.point circle {
  fill: var(--milk);
  stroke: var(--accent);
  stroke-width: 2;
}
.point .reach {
  fill: transparent;
  stroke: none;
}
.point.on circle:not(.reach) {
  fill: var(--accent);
}
.point {
  cursor: move;
  outline: none;
}
.point:focus-visible circle:not(.reach) {
  stroke: var(--ink);
  stroke-width: 3;
}
.small-words {
  font-size: var(--size-note);
}
.file {
  display: block;
}
.problem {
  color: var(--stop);
  font-weight: 600;
}
</style>
