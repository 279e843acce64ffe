<script setup lang="ts">
import {
  cuttingMap,
  polygon,
  type Board,
  type Brief,
  type Outline,
  type Point,
} from '@pyrgotect/core';
import { computed, useId } from 'vue';

/** The cake from above, over its section and to the same scale: board, coat, cake and portions. */
const props = defineProps<{
  cake: Outline;
  finished: Outline;
  board: Board | null;
  brief: Brief;
  x: number;
  y: number;
  pxPerMm: number;
}>();
const clip = useId();
const text = (points: Point[]): string =>
  points
    .map(
      (p) =>
        `${(props.x + p.x * props.pxPerMm).toFixed(1)},${(props.y - p.y * props.pxPerMm).toFixed(1)}`,
    )
    .join(' ');
const board = computed(() => (props.board ? text(polygon(props.board.outline)) : ''));
const finished = computed(() => text(polygon(props.finished)));
const cake = computed(() => text(polygon(props.cake)));
const hole = computed(() => (props.cake.kind === 'ring' ? props.cake.holeMm : 0));
const pieces = computed(() =>
  cuttingMap(props.cake, props.brief.portion, props.brief.cutting).map((piece) =>
    text(piece.points),
  ),
);
</script>

<template>
  <g class="plan" aria-hidden="true">
    <defs>
      <clipPath :id="clip"><polygon :points="cake" /></clipPath>
    </defs>
    <polygon v-if="board" :points="board" class="board" />
    <polygon :points="finished" class="finished" />
    <g :clip-path="`url(#${clip})`">
      <polygon v-for="(piece, i) in pieces" :key="i" :points="piece" class="piece" />
    </g>
    <polygon :points="cake" class="cake" />
    <circle v-if="hole > 0" :cx="x" :cy="y" :r="(hole / 2) * pxPerMm" class="hole" />
  </g>
</template>

<style scoped>
.board {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.finished {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.cake {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.9;
  stroke-dasharray: 6 3;
}
.hole {
  fill: var(--oat);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.piece {
  fill: none;
  stroke: var(--soft);
  stroke-width: 0.6;
}
</style>
