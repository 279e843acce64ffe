<script setup lang="ts">
import { tinOutlineAt, widthMm, type BakedCake, type Sponge, type Tin } from '@pyrgotect/core';
import { computed } from 'vue';
import { fillOf } from '../section/tones.ts';
import { useUnits } from '../figures/units.ts';

/** A tin to scale: raw batter, the edge and crown it bakes to, and where the knife goes. */
const props = defineProps<{
  tin: Tin;
  cake: BakedCake;
  sponge: Sponge | null;
  pxPerMm: number;
  high: number;
}>();
const units = useUnits();
const pad = 62;
const wide = computed(() => widthMm(tinOutlineAt(props.tin, props.tin.depthMm)));
const width = computed(() => wide.value * props.pxPerMm + 2 * pad);
const height = computed(() => props.high * props.pxPerMm + 24);
const floor = computed(() => height.value - 8);
const Y = (mm: number): number => floor.value - mm * props.pxPerMm;
const halfAt = (mm: number): number => (widthMm(tinOutlineAt(props.tin, mm)) / 2) * props.pxPerMm;
const mid = computed(() => width.value / 2);
/** The inside of the tin up to a height, from the left rim round the bottom to the right one. */
function inside(upToMm: number): string {
  // a straight or leaning side needs its ends only; a bowl is drawn in short steps
  const steps = props.tin.form === 'upright' ? 1 : 16;
  const heights = Array.from({ length: steps + 1 }, (_, i) => (upToMm * i) / steps);
  const left = heights.map((mm) => `${mid.value - halfAt(mm)} ${Y(mm)}`).reverse();
  const right = heights.map((mm) => `${mid.value + halfAt(mm)} ${Y(mm)}`);
  return `M${[...left, ...right].join('L')}`;
}
const wall = computed(() => inside(props.tin.depthMm));
const batter = computed(() => `${inside(Math.min(props.cake.fillMm, props.tin.depthMm))}Z`);
const baked = computed(() => {
  const half = halfAt(props.cake.edgeMm);
  const top = Y(props.cake.edgeMm);
  return `M${mid.value - half} ${top}Q${mid.value} ${Y(props.cake.edgeMm + 2 * props.cake.crownMm)} ${mid.value + half} ${top}`;
});
const labels = computed(() => {
  const gap = 13;
  let last = Infinity;
  return [...props.cake.cuts]
    .sort((a, b) => a.atMm - b.atMm)
    .map((cut) => {
      last = Math.min(Y(cut.atMm) + 4, last - gap);
      return { cut, y: last, order: props.cake.cuts.indexOf(cut) + 1 };
    });
});
</script>

<template>
  <svg
    :width="width"
    :height="height"
    :viewBox="`0 0 ${width} ${height}`"
    role="img"
    :aria-label="`${tin.name}: batter to ${units.text(cake.fillMm, 'thickness')}`"
  >
    <path :d="batter" :fill="fillOf(sponge?.tone ?? 'butter')" class="batter" />
    <path :d="baked" class="baked" />
    <path :d="wall" class="wall" />
    <line :x1="4" :x2="width - 4" :y1="floor" :y2="floor" class="floor" />
    <text
      :x="mid - halfAt(cake.fillMm) - 9"
      :y="Math.max(12, Y(cake.fillMm) + 4)"
      text-anchor="end"
      font-size="13.5"
    >
      {{ units.text(cake.fillMm, 'thickness') }}
    </text>
    <g v-for="label in labels" :key="label.order">
      <line
        class="knife"
        :x1="mid - halfAt(label.cut.atMm) - 3"
        :x2="mid + halfAt(label.cut.atMm) + 10"
        :y1="Y(label.cut.atMm)"
        :y2="Y(label.cut.atMm)"
      />
      <text :x="mid + halfAt(tin.depthMm) + 13" :y="label.y" font-size="13.5">
        {{ units.text(label.cut.atMm, 'thickness') }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.wall {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.4;
  stroke-linejoin: round;
}
.batter {
  stroke: var(--ink);
  stroke-width: 0.8;
}
.baked {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.3;
  stroke-dasharray: 5 3;
}
.knife {
  stroke: var(--accent);
  stroke-width: 1.6;
}
.floor {
  stroke: var(--soft);
  stroke-width: 1;
}
</style>
