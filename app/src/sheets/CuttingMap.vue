<script setup lang="ts">
import {
  cuttingMap,
  polygon,
  type Cutting,
  type Outline,
  type Point,
  type Portion,
  depthMm,
  widthMm,
} from '@pyrgotect/core';
import { computed, useId } from 'vue';

const props = defineProps<{ outline: Outline; portion: Portion; cutting: Cutting; size: number }>();
const scale = computed(
  () => (props.size - 12) / Math.max(widthMm(props.outline), depthMm(props.outline), 1),
);
const text = (points: Point[]): string =>
  points
    .map(
      (p) =>
        `${(props.size / 2 + p.x * scale.value).toFixed(1)},${(props.size / 2 - p.y * scale.value).toFixed(1)}`,
    )
    .join(' ');
const pieces = computed(() =>
  cuttingMap(props.outline, props.portion, props.cutting).map((piece) => ({
    points: text(piece.points),
    counted: piece.counted,
  })),
);
const rim = computed(() => text(polygon(props.outline)));
const clipId = useId();
</script>

<template>
  <svg
    :width="size"
    :height="size"
    :viewBox="`0 0 ${size} ${size}`"
    role="img"
    :aria-label="`Cutting map, ${pieces.filter((p) => p.counted).length} pieces`"
  >
    <defs>
      <clipPath :id="clipId"><polygon :points="rim" /></clipPath>
    </defs>
    <polygon :points="rim" fill="url(#tone-butter)" />
    <g :clip-path="`url(#${clipId})`">
      <polygon
        v-for="(piece, i) in pieces"
        :key="i"
        :points="piece.points"
        :class="piece.counted ? 'counted' : 'scrap'"
      />
    </g>
    <polygon :points="rim" class="rim" />
  </svg>
</template>

<style scoped>
.rim {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.counted {
  fill: none;
  stroke: var(--pen);
  stroke-width: 1;
}
.scrap {
  fill: var(--milk);
  fill-opacity: 0.82;
  stroke: var(--pen);
  stroke-width: 0.6;
  stroke-dasharray: 3 2;
}
</style>
