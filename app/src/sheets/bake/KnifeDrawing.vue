<script setup lang="ts">
import { MM_PER_IN, type BakedCake, type Tone } from '@pyrgotect/core';
import { computed } from 'vue';
import { fillOf } from '../../section/tones.ts';

/** One baked cake from the side, its cuts numbered in their order, with a scale beside it. */
const props = defineProps<{ cake: BakedCake; tone: Tone; high: number; inches: boolean }>();
const px = computed(() => 130 / props.high);
const floor = 140;
const Y = (mm: number): number => floor - mm * px.value;
const wide = 150;
const left = 40;
const outline = computed(() => {
  const top = Y(props.cake.edgeMm);
  return `M${left} ${floor}V${top}Q${left + wide / 2} ${Y(props.cake.edgeMm + 2 * props.cake.crownMm)} ${left + wide} ${top}V${floor}Z`;
});
/** Marks each half inch or centimetre, named at the whole ones. */
const ticks = computed(() => {
  const unit = props.inches ? MM_PER_IN : 10;
  return Array.from({ length: Math.floor((props.high * 2) / unit) + 1 }, (_, i) => ({
    mm: (i * unit) / 2,
    text: i % 2 === 0 ? String(i / 2) : '',
  }));
});
</script>

<template>
  <svg width="236" height="150" role="img" :aria-label="`Cake ${cake.index + 1} with its cuts`">
    <path :d="outline" :fill="fillOf(tone)" class="cake" />
    <g v-for="tick in ticks" :key="tick.mm" class="tick">
      <line :x1="tick.text ? 20 : 26" x2="32" :y1="Y(tick.mm)" :y2="Y(tick.mm)" />
      <text x="16" :y="Y(tick.mm) + 4" text-anchor="end" font-size="12.5">{{ tick.text }}</text>
    </g>
    <line x1="14" x2="232" :y1="floor" :y2="floor" class="board" />
    <g v-for="(cut, i) in cake.cuts" :key="i">
      <line
        :x1="left - 4"
        :x2="left + wide + 14"
        :y1="Y(cut.atMm)"
        :y2="Y(cut.atMm)"
        class="knife"
      />
      <text :x="left + wide + 20" :y="Y(cut.atMm) + 4.5" font-size="13.5" font-weight="600">
        {{ i + 1 }}
      </text>
    </g>
    <text x="2" y="12" font-size="12.5">{{ inches ? 'in' : 'cm' }}</text>
  </svg>
</template>

<style scoped>
.cake {
  stroke: var(--pen);
  stroke-width: 1.2;
}
.knife {
  stroke: var(--accent);
  stroke-width: 2;
}
.board {
  stroke: var(--ink);
  stroke-width: 2;
}
.tick line {
  stroke: var(--soft);
  stroke-width: 1;
}
</style>
