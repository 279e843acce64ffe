<script setup lang="ts">
import { computed } from 'vue';
import type { Scale } from './scale.ts';

const props = defineProps<{
  scale: Scale;
  halfWidthMm: number;
  y: number;
  inches: boolean;
  widthText: string;
}>();

const marks = computed(() => {
  const unit = props.inches ? 25.4 : 10;
  // labels at least 30 px apart
  const every = [1, 2, 5, 10, 20].find((n) => n * unit * props.scale.pxPerMm >= 30) ?? 50;
  const fine = unit * props.scale.pxPerMm >= 5 ? 1 : every;
  const most = Math.ceil(props.halfWidthMm / unit);
  const found: { x: number; long: boolean; text: string }[] = [];
  for (let n = -most; n <= most; n += 1) {
    if (n % fine !== 0) continue;
    const long = n % every === 0;
    found.push({
      x: props.scale.axisPx + n * unit * props.scale.pxPerMm,
      long,
      text: long ? `${Math.abs(n)}` : '',
    });
  }
  return found;
});
</script>

<template>
  <g class="ruler" aria-hidden="true">
    <g v-for="mark in marks" :key="mark.x">
      <line :x1="mark.x" :x2="mark.x" :y1="y" :y2="y + (mark.long ? 9 : 4)" />
      <text
        v-if="mark.text"
        class="soft-text"
        :x="mark.x"
        :y="y + 22"
        text-anchor="middle"
        font-size="12.5"
      >
        {{ mark.text }}
      </text>
    </g>
    <text class="soft-text" x="20" :y="y + 22" font-size="12.5">{{ inches ? 'in' : 'cm' }}</text>
    <text :x="scale.axisPx + halfWidthMm * scale.pxPerMm + 20" :y="y + 22" font-size="13.5">
      {{ widthText }} wide
    </text>
  </g>
</template>

<style scoped>
.ruler line {
  stroke: var(--ink);
  stroke-width: 1;
}
</style>
