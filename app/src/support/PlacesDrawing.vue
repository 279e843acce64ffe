<script setup lang="ts">
import {
  coarse,
  polygon,
  type Build,
  type NonFood,
  type CakePlan,
  type Point,
} from '@pyrgotect/core';
import { computed } from 'vue';

/** Where each part that is not food is in one tier, from above: its number in the list beside it. */
const props = defineProps<{
  build: Build;
  plan: CakePlan;
  items: NonFood[];
  tier: number;
  size: number;
}>();
const feet = computed(() => props.plan.support?.tiers.map(({ foot }) => foot) ?? []);
const rims = computed(() => [
  ...(props.plan.board ? [polygon(coarse(props.plan.board.outline))] : []),
  ...props.build.tiers.map((tier, i) =>
    polygon(coarse(tier.outline)).map((p) => ({
      x: p.x + (feet.value[i]?.x ?? 0),
      y: p.y + (feet.value[i]?.y ?? 0),
    })),
  ),
]);
const reach = computed(() =>
  Math.max(60, ...rims.value.flatMap((rim) => rim.flatMap((p) => [Math.abs(p.x), Math.abs(p.y)]))),
);
const px = computed(() => props.size / 2 / (reach.value + 4));
const X = (p: Point): number => props.size / 2 + p.x * px.value;
const Y = (p: Point): number => props.size / 2 - p.y * px.value;
const here = computed(() =>
  props.items.flatMap((item, n) =>
    item.tierId === null || item.tierId === props.build.tiers[props.tier]!.id
      ? [{ ...item, n: n + 1 }]
      : [],
  ),
);
const text = (rim: Point[]): string =>
  rim.map((p) => `${X(p).toFixed(1)},${Y(p).toFixed(1)}`).join(' ');
</script>

<template>
  <svg
    :width="size"
    :height="size"
    :viewBox="`0 0 ${size} ${size}`"
    role="img"
    :aria-label="`Places of what is not food in ${build.tiers[tier]!.name}, from above`"
  >
    <polygon
      v-for="(rim, i) in rims"
      :key="i"
      :class="{ now: i === tier + (plan.board ? 1 : 0) }"
      :points="text(rim)"
    />
    <template v-for="item in here" :key="item.key">
      <g v-for="(place, k) in item.places" :key="k">
        <circle :cx="X(place)" :cy="Y(place)" r="7" />
        <text :x="X(place)" :y="Y(place) + 3.5" text-anchor="middle">{{ item.n }}</text>
      </g>
    </template>
  </svg>
</template>

<style scoped>
polygon {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.6;
}
.now {
  stroke-width: 1.8;
}
circle {
  fill: #fff;
  stroke: var(--ink);
}
text {
  font-size: var(--size-fine);
  font-weight: 700;
  fill: var(--pen);
}
</style>
