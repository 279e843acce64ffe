<script setup lang="ts">
import { onBeforeUnmount } from 'vue';
import { followPointer, type PointerAt } from '../drawings/follow-pointer.ts';

/** A boundary of the section to take hold of: mouse, finger, or arrow keys. */
const props = defineProps<{
  label: string;
  x: number;
  y: number;
  /** Where the boundary begins; the whole line from there can be taken. */
  from: number;
  value: number;
  min: number;
  max: number;
  text: string;
  chosen: boolean;
  arrow?: boolean;
}>();
const emit = defineEmits<{
  hold: [];
  drag: [px: { start: number; by: number }, shift: boolean, at: { x: number; y: number }];
  nudge: [steps: number, shift: boolean];
  release: [];
}>();

let frame = 0;
onBeforeUnmount(() => cancelAnimationFrame(frame));

function down(event: PointerEvent): void {
  const start = props.value;
  const move = ({ event: { clientY, shiftKey } }: PointerAt): void => {
    const by = event.clientY - clientY;
    cancelAnimationFrame(frame);
    frame = requestAnimationFrame(() =>
      emit('drag', { start, by }, shiftKey, { x: props.x, y: props.y }),
    );
  };
  // the last move of the finger still counts
  const end = (): void => void requestAnimationFrame(() => emit('release'));
  if (!followPointer(event, { move, end })) return;
  event.preventDefault();
  (event.currentTarget as SVGElement).focus();
  emit('hold');
}
function key(event: KeyboardEvent): void {
  const steps: Record<string, number> = {
    ArrowUp: 1,
    ArrowRight: 1,
    ArrowDown: -1,
    ArrowLeft: -1,
    PageUp: 5,
    PageDown: -5,
  };
  const by = steps[event.key];
  if (by === undefined) return;
  event.preventDefault();
  event.stopPropagation();
  emit('nudge', by, event.shiftKey);
}
</script>

<template>
  <g
    class="handle"
    :class="{ chosen, arrow }"
    role="slider"
    tabindex="0"
    :aria-label="label"
    aria-orientation="vertical"
    :aria-valuenow="Math.round(value * 10) / 10"
    :aria-valuemin="min"
    :aria-valuemax="max"
    :aria-valuetext="text"
    @pointerdown="down"
    @keydown="key"
  >
    <line v-if="!arrow" class="grab" :x1="from" :x2="x" :y1="y" :y2="y" />
    <line v-if="!arrow" class="stem" :x1="x - 12" :x2="x" :y1="y" :y2="y" />
    <circle class="reach" :cx="x" :cy="y" r="12" />
    <circle v-if="!arrow" class="knob" :cx="x" :cy="y" :r="chosen ? 6.5 : 4.8" />
    <path v-else class="knob" :d="`M${x} ${y - 21}l8 11h-16z`" />
  </g>
</template>

<style scoped>
.handle {
  cursor: ns-resize;
  outline: none;
}
.grab {
  stroke: transparent;
  stroke-width: 7;
}
.reach {
  fill: transparent;
}
.stem {
  stroke: var(--soft);
  stroke-width: 0.8;
}
.knob {
  fill: var(--milk);
  stroke: var(--accent);
  stroke-width: 2;
}
.handle:hover .knob,
.handle.chosen .knob {
  fill: var(--accent);
}
.handle:focus-visible .knob {
  stroke-width: 4;
  fill: var(--accent-wash);
}
</style>
