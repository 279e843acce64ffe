<script setup lang="ts">
import { angleOf, fitRim, turnCount } from '@pyrgotect/core';
import { computed } from 'vue';
import { followPointer, type PointerAt } from '../../drawings/follow-pointer.ts';

/**
 * One layer seen from above: its rim readings as bars round it, its mark where the turn puts it, the
 * high side dark. It is turned by dragging or with the arrow keys, a step of 15 degrees each.
 */
const props = defineProps<{
  rim: (number | null)[];
  turn: number;
  flipped: boolean;
  label: string;
  size: number;
}>();
const emit = defineEmits<{ turn: [steps: number] }>();
const middle = computed(() => props.size / 2);
const r = computed(() => props.size / 2 - 17);
const fit = computed(() => fitRim(props.rim));
/** Clock angle on the dial of a direction on the layer. */
const onDial = (angle: number): number =>
  (props.flipped ? -angle : angle) + (props.turn * 2 * Math.PI) / turnCount;
const at = (angle: number, radius: number): { x: number; y: number } => ({
  x: middle.value + Math.sin(angle) * radius,
  y: middle.value - Math.cos(angle) * radius,
});
const bars = computed(() => {
  const seen = props.rim.filter((z): z is number => z !== null);
  if (seen.length === 0) return [];
  const low = Math.min(...seen);
  const span = Math.max(1, Math.max(...seen) - low);
  return props.rim.flatMap((z, i) => {
    if (z === null) return [];
    const angle = onDial(angleOf(i, props.rim.length));
    const [a, b] = [at(angle, r.value - 3 - (9 * (z - low)) / span), at(angle, r.value)];
    return [{ i, a, b }];
  });
});
const mark = computed(() => [at(onDial(0), r.value - 2), at(onDial(0), r.value + 11)] as const);
const high = computed(() => {
  if (!fit.value || fit.value.tiltMm < 0.05) return '';
  const angle = onDial(fit.value.highAt);
  const [a, b] = [at(angle - 0.9, r.value), at(angle + 0.9, r.value)];
  return `M${a.x} ${a.y}A${r.value} ${r.value} 0 0 1 ${b.x} ${b.y}`;
});
const turnTo = (steps: number): void => emit('turn', (steps + turnCount) % turnCount);
function drag({ x, y }: PointerAt): void {
  const angle = Math.atan2(x - middle.value, middle.value - y);
  const steps = Math.round((angle / (2 * Math.PI)) * turnCount);
  if ((steps + turnCount) % turnCount !== props.turn) turnTo(steps);
}
function hold(event: PointerEvent): void {
  const begun = followPointer(event, { move: drag });
  if (begun) drag(begun);
}
</script>

<template>
  <svg
    :width="size"
    :height="size"
    :viewBox="`0 0 ${size} ${size}`"
    role="slider"
    tabindex="0"
    :aria-label="label"
    aria-valuemin="0"
    :aria-valuemax="turnCount - 1"
    :aria-valuenow="turn"
    :aria-valuetext="`${turn * 15} degrees`"
    @pointerdown="hold"
    @keydown.right.prevent.stop="turnTo(turn + 1)"
    @keydown.up.prevent.stop="turnTo(turn + 1)"
    @keydown.left.prevent.stop="turnTo(turn - 1)"
    @keydown.down.prevent.stop="turnTo(turn - 1)"
  >
    <circle :cx="middle" :cy="middle" :r="r" class="face" />
    <path v-if="high" :d="high" class="high" />
    <line
      v-for="bar in bars"
      :key="bar.i"
      :x1="bar.a.x"
      :y1="bar.a.y"
      :x2="bar.b.x"
      :y2="bar.b.y"
      class="bar"
    />
    <line :x1="mark[0].x" :y1="mark[0].y" :x2="mark[1].x" :y2="mark[1].y" class="mark" />
    <text :x="middle" :y="middle + 6" text-anchor="middle" font-size="16.5" font-weight="600">
      {{ turn * 15 }}°
    </text>
  </svg>
</template>

<style scoped>
svg {
  touch-action: none;
  cursor: grab;
  display: block;
}
.face {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.high {
  fill: none;
  stroke: var(--accent);
  stroke-width: 5;
}
.bar {
  stroke: var(--ink);
  stroke-width: 3;
}
.mark {
  stroke: var(--warn-mark);
  stroke-width: 4;
  stroke-linecap: round;
}
</style>
