<script setup lang="ts">
import {
  placesFromAbove,
  polygon,
  toppingLook,
  type Colour,
  type Outline,
  type PlannedPiping,
  type ToppingPlan,
  type Look,
} from '@pyrgotect/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import { fillOf } from '../../section/tones.ts';
import { arrowOf, followPointer, type PointerAt } from '../../drawings/follow-pointer.ts';

/**
 * The top from above with what is piped and put on it. A piece can be taken and set elsewhere: then
 * all of its kind stay where they lie.
 */
const props = defineProps<{
  finished: Outline;
  above: Outline | null;
  toppings: ToppingPlan[];
  piping: { job: PlannedPiping; tone: Look }[];
  topTone: Look;
  colours: readonly Colour[];
  chosen: number;
}>();
const emit = defineEmits<{ choose: [i: number]; place: [i: number, spots: [number, number][]] }>();
const box = useTemplateRef<HTMLElement>('box');
const { width } = useElementSize(box);
const outline = computed(() => polygon(props.finished));
const reach = computed(() => {
  const xs = outline.value.map((p) => Math.abs(p.x));
  const ys = outline.value.map((p) => Math.abs(p.y));
  const border = Math.max(0, ...props.piping.map(({ job }) => job.acrossMm));
  return { x: Math.max(...xs) + border + 4, y: Math.max(...ys) + border + 4 };
});
const px = computed(() =>
  Math.min((Math.max(240, width.value) - 10) / (2 * reach.value.x), 330 / (2 * reach.value.y)),
);
const wide = computed(() => 2 * reach.value.x * px.value);
const high = computed(() => 2 * reach.value.y * px.value);
const X = (mm: number): number => wide.value / 2 + mm * px.value;
const Y = (mm: number): number => high.value / 2 - mm * px.value;
const points = (some: { x: number; y: number }[]): string =>
  some.map((p) => `${X(p.x).toFixed(1)},${Y(p.y).toFixed(1)}`).join(' ');

const held = ref<{ topping: number; piece: number; x: number; y: number } | null>(null);
function take(press: PointerEvent, topping: number, piece: number): void {
  const move = (at: PointerAt): void => {
    const x = (at.x - wide.value / 2) / px.value;
    held.value = { topping, piece, x, y: -(at.y - high.value / 2) / px.value };
  };
  const begun = followPointer(press, { move, end: letGo, cancel: () => (held.value = null) });
  if (begun) move(begun);
  emit('choose', topping);
}
function set(topping: number, piece: number, to: { x: number; y: number }): void {
  const spots = props.toppings[topping]!.places.map((place, k): [number, number] =>
    k === piece
      ? [Math.round(to.x), Math.round(to.y)]
      : [Math.round(place.x * 10) / 10, Math.round(place.y * 10) / 10],
  );
  emit('place', topping, spots);
}
function letGo(): void {
  const one = held.value;
  held.value = null;
  if (one) set(one.topping, one.piece, one);
}
function key(event: KeyboardEvent, topping: number, piece: number): void {
  const step = arrowOf(event);
  if (!step) return;
  event.preventDefault();
  event.stopPropagation();
  const place = props.toppings[topping]!.places[piece]!;
  set(topping, piece, { x: place.x + 2 * step.right, y: place.y + 2 * step.up });
}
const placed = computed(() =>
  props.toppings.flatMap((plan, topping) =>
    plan.places.map((place, piece) => {
      const own = held.value?.topping === topping && held.value.piece === piece;
      return { plan, topping, piece, ...(own ? { x: held.value!.x, y: held.value!.y } : place) };
    }),
  ),
);
</script>

<template>
  <div ref="box" class="top" data-test="top-view">
    <svg :width="wide" :height="high" role="group" aria-label="The top from above, back uppermost">
      <polygon :points="points(outline)" :fill="fillOf(topTone)" class="cake" />
      <circle
        v-if="finished.kind === 'ring'"
        :cx="X(0)"
        :cy="Y(0)"
        :r="(finished.holeMm / 2) * px"
        class="hole"
      />
      <polygon v-if="above" :points="points(polygon(above))" class="above" />
      <text v-if="above" :x="X(0)" :y="Y(0) + 4" text-anchor="middle" font-size="13.5">
        tier above
      </text>
      <template v-for="{ job, tone } in piping" :key="job.id">
        <circle
          v-for="(place, k) in placesFromAbove(job)"
          :key="k"
          :cx="X(place.x)"
          :cy="Y(place.y)"
          :r="(job.acrossMm / 2) * px"
          :fill="fillOf(tone)"
          class="piped"
          :class="{ line: job.pieces === 0 }"
        />
      </template>
      <template v-for="(plan, i) in toppings" :key="plan.topping.id">
        <circle
          v-if="plan.topping.kind === 'heap'"
          :cx="X(0)"
          :cy="Y(0)"
          :r="(plan.topping.acrossMm / 2) * px"
          :fill="fillOf(toppingLook(plan.topping, colours))"
          class="piece"
          @click="emit('choose', i)"
        />
      </template>
      <circle
        v-for="one in placed"
        :key="`${one.topping}/${one.piece}`"
        :cx="X(one.x)"
        :cy="Y(one.y)"
        :r="Math.max(3, (one.plan.topping.acrossMm / 2) * px)"
        :fill="fillOf(toppingLook(one.plan.topping, colours))"
        class="piece"
        :class="{ on: one.topping === chosen }"
        role="button"
        tabindex="0"
        :aria-label="`${one.plan.topping.name}, piece ${one.piece + 1}: move with the arrow keys`"
        data-test="piece"
        @pointerdown="take($event, one.topping, one.piece)"
        @keydown="key($event, one.topping, one.piece)"
      />
    </svg>
  </div>
</template>

<style scoped>
.top {
  margin: 8px 0;
}
svg {
  display: block;
  touch-action: none;
}
.cake {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.hole {
  fill: var(--milk);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.above {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1;
  stroke-dasharray: 5 3;
}
.piped {
  stroke: var(--pen);
  stroke-width: 0.6;
}
.piped.line {
  stroke: none;
}
.piece {
  stroke: var(--pen);
  stroke-width: 1;
  cursor: grab;
}
.piece.on {
  stroke: var(--accent);
  stroke-width: 2.2;
}
</style>
