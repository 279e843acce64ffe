<script setup lang="ts">
import {
  flutedLine,
  flutesOf,
  lookOf,
  placesFromAbove,
  polygon,
  topSeen,
  toppingLook,
  type Build,
  type CakePlan,
  type Point,
  type Tier,
  type TierPlan,
  type Tone,
} from '@pyrgotect/core';
import { computed } from 'vue';
import { usePantry } from '../stores/pantry.ts';
import { fillOf } from './tones.ts';

/** The finished cake from above, over its elevation and to the same scale: tiers, borders, toppings. */
const props = defineProps<{
  build: Build;
  plan: CakePlan;
  x: number;
  y: number;
  pxPerMm: number;
}>();
const pantry = usePantry();
const X = (mm: number): number => props.x + mm * props.pxPerMm;
const Y = (mm: number): number => props.y - mm * props.pxPerMm;
const text = (points: Point[]): string =>
  points.map((p) => `${X(p.x).toFixed(1)},${Y(p.y).toFixed(1)}`).join(' ');
const toneOf = (id: string): Tone =>
  pantry.pantry.spreads.find((row) => row.id === id)?.tone ?? 'ivory';
const board = computed(() => (props.plan.board ? text(polygon(props.plan.board.outline)) : ''));
/** Its outline with the waves of its tin, where the coat shows them. */
function lineOf(tier: Tier, plan: TierPlan): Point[] {
  const flutes = flutesOf(tier, plan);
  const { finished } = plan;
  return flutes && (finished.kind === 'round' || finished.kind === 'ring')
    ? flutedLine(finished.diameterMm / 2, flutes)
    : polygon(finished);
}
const tiers = computed(() =>
  props.plan.tiers.map((tierPlan, i) => {
    const tier = props.build.tiers[i]!;
    return {
      id: tier.id,
      outline: text(lineOf(tier, tierPlan)),
      holeMm: tierPlan.finished.kind === 'ring' ? tierPlan.finished.holeMm : 0,
      tone: topSeen(tier, tierPlan, props.build.colours, pantry.pantry),
      piping: props.plan.piping
        .filter((job) => job.piped?.tierId === tier.id)
        .map((job) => ({
          job,
          tone: lookOf(props.build.colours, job.tint, toneOf(job.spread)),
          r: (job.acrossMm / 2) * props.pxPerMm,
        })),
      pieces: tierPlan.finish.toppings.flatMap(({ topping, places }) =>
        (topping.kind === 'heap' ? [{ x: 0, y: 0 }] : places).map((place) => ({
          ...place,
          tone: toppingLook(topping, props.build.colours),
          r: Math.max(1.5, (topping.acrossMm / 2) * props.pxPerMm),
        })),
      ),
    };
  }),
);
</script>

<template>
  <g aria-hidden="true">
    <polygon v-if="board" :points="board" class="board" />
    <template v-for="tier in tiers" :key="tier.id">
      <polygon :points="tier.outline" :fill="fillOf(tier.tone)" class="tier" />
      <circle
        v-if="tier.holeMm > 0"
        :cx="X(0)"
        :cy="Y(0)"
        :r="(tier.holeMm / 2) * pxPerMm"
        class="hole"
      />
      <template v-for="{ job, tone, r } in tier.piping" :key="job.id">
        <circle
          v-for="(place, k) in placesFromAbove(job)"
          :key="k"
          :cx="X(place.x)"
          :cy="Y(place.y)"
          :r="r"
          :fill="fillOf(tone)"
          :class="job.pieces > 0 ? 'piece' : 'line'"
        />
      </template>
      <circle
        v-for="(piece, k) in tier.pieces"
        :key="k"
        :cx="X(piece.x)"
        :cy="Y(piece.y)"
        :r="piece.r"
        :fill="fillOf(piece.tone)"
        class="piece"
      />
    </template>
  </g>
</template>

<style scoped>
.board {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.tier {
  stroke: var(--pen);
  stroke-width: 1.2;
}
.hole {
  fill: var(--oat);
  stroke: var(--pen);
  stroke-width: 1.2;
}
.piece {
  stroke: var(--pen);
  stroke-width: 0.7;
}
</style>
