<script setup lang="ts">
import { type CakePlan } from '@pyrgotect/core';
import { computed } from 'vue';
import { useUnits } from '../figures/units.ts';

/** The way of the weight down through the section: what stands on each board, wider the more it is. */
const props = defineProps<{
  plan: CakePlan;
  toX: (mm: number) => number;
  toY: (mm: number) => number;
}>();
const units = useUnits();
const arrows = computed(() => {
  const support = props.plan.support;
  if (!support) return [];
  const most = support.tiers[0]!.carried.massG;
  return support.tiers.map((tier) => {
    const wide = 3 + 11 * (tier.carried.massG / most);
    const x = props.toX(tier.foot.x + tier.carried.x);
    const y = props.toY(tier.foot.upMm);
    return {
      id: tier.tierId,
      x,
      y,
      path: `M${x - wide / 2} ${y - 30}V${y - 11}H${x - wide}L${x} ${y}L${x + wide} ${y - 11}H${x + wide / 2}V${y - 30}Z`,
      text: units.text(tier.carried.massG, 'weight'),
    };
  });
});
</script>

<template>
  <g class="path" aria-hidden="true">
    <g v-for="arrow in arrows" :key="arrow.id">
      <path :d="arrow.path" />
      <rect :x="arrow.x + 15" :y="arrow.y - 30" width="58" height="21" rx="3" />
      <text :x="arrow.x + 44" :y="arrow.y - 15" text-anchor="middle" font-size="13.5">
        {{ arrow.text }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.path {
  pointer-events: none;
}
path {
  fill: var(--accent);
  stroke: var(--milk);
  stroke-width: 1;
}
rect {
  fill: var(--milk);
  stroke: var(--accent);
}
text {
  fill: var(--ink);
  font-weight: 600;
}
</style>
