<script setup lang="ts">
import type { CakePlan } from '@pyrgotect/core';
import { computed } from 'vue';
import { useUnits } from '../figures/units.ts';
import { useSettings } from '../stores/settings.ts';

/** How large a cake is, beside a dinner plate and a ruler that stands: outlines to one scale. */
const props = defineProps<{ plan: CakePlan }>();
const settings = useSettings();
const { text } = useUnits();
/** A dinner plate, across and high, mm. */
const plate = { wide: 270, high: 24 };
const gapMm = 40;

const tiers = computed(() => props.plan.section.tiers);
const board = computed(() => {
  const part = props.plan.section.parts.find(({ kind }) => kind === 'board');
  return part ? { from: part.x0, wide: part.x1 - part.x0, high: part.y1 - part.y0 } : null;
});
const half = computed(() => props.plan.section.halfWidthMm);
const topMm = computed(() => props.plan.section.topMm + (board.value?.high ?? 0));
const marks = computed(() => {
  const unit = settings.isMetric ? 10 : 25.4;
  const every = settings.isMetric ? 5 : 2;
  return Array.from({ length: Math.ceil(topMm.value / unit) + 1 }, (_, n) => ({
    n,
    up: n * unit,
    isLong: n % every === 0,
  }));
});
const left = computed(() => -half.value - 70);
const wide = computed(() => half.value * 2 + 70 + gapMm + plate.wide + 12);
const high = computed(() => topMm.value + 40);
const Y = (up: number): number => topMm.value + 14 - up;
</script>

<template>
  <figure>
    <svg
      :viewBox="`${left} 0 ${wide} ${high}`"
      role="img"
      :aria-label="`${text(topMm, 'size')} high with its board, beside a plate of ${text(plate.wide, 'size')}`"
    >
      <g class="ruler">
        <line :x1="left + 62" :x2="left + 62" :y1="Y(0)" :y2="Y(marks.at(-1)!.up)" />
        <g v-for="{ n, up, isLong } in marks" :key="n">
          <line :x1="left + (isLong ? 46 : 54)" :x2="left + 62" :y1="Y(up)" :y2="Y(up)" />
          <text v-if="isLong" :x="left + 40" :y="Y(up) + 6" text-anchor="end">{{ n }}</text>
        </g>
      </g>
      <rect
        v-if="board"
        :x="board.from"
        :y="Y(board.high)"
        :width="board.wide"
        :height="board.high"
      />
      <rect
        v-for="tier in tiers"
        :key="tier.tierId"
        :x="tier.atMm - tier.widthMm / 2"
        :y="Y(tier.toMm + (board?.high ?? 0))"
        :width="tier.widthMm"
        :height="tier.toMm - tier.fromMm"
        rx="3"
      />
      <path
        :d="`M${half + gapMm} ${Y(plate.high)}h${plate.wide}l-60 ${plate.high}h${-(plate.wide - 120)}z`"
      />
      <line :x1="left + 62" :x2="left + wide - 6" :y1="Y(0)" :y2="Y(0)" />
    </svg>
    <figcaption>
      beside a dinner plate of {{ text(plate.wide, 'size') }}; the ruler counts
      {{ settings.isMetric ? 'centimetres' : 'inches' }}
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  max-height: 62mm;
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
text {
  fill: var(--ink);
  stroke: none;
  font-size: var(--size-lead);
}
figcaption {
  font-size: var(--size-fine);
  color: var(--soft);
}
</style>
