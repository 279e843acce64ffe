<script setup lang="ts">
import {
  toppingLook,
  type Colour,
  type DripPlan,
  type Look,
  type ToppingPlan,
} from '@pyrgotect/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import { useUnits } from '../../figures/units.ts';
import { fillOf } from '../../section/tones.ts';
import { arrowOf, followPointer, type PointerAt } from '../../drawings/follow-pointer.ts';

/**
 * The side of a tier unrolled, the front in its middle, with the pieces and ribbons on it. A piece can be
 * taken and set elsewhere: then all of its kind stay where they are.
 */
const props = defineProps<{
  toppings: ToppingPlan[];
  colours: readonly Colour[];
  rimMm: number;
  highMm: number;
  stripes: { look: Look; from: number; to: number }[];
  drip: { plan: DripPlan; look: Look } | null;
  chosen: number;
}>();
const emit = defineEmits<{ choose: [i: number]; place: [i: number, spots: [number, number][]] }>();
const { text } = useUnits();
const box = useTemplateRef<HTMLElement>('box');
const { width } = useElementSize(box);
const [left, top] = [8, 24];
const px = computed(() => (Math.max(240, width.value) - 2 * left) / props.rimMm);
const wide = computed(() => 2 * left + props.rimMm * px.value);
const floor = computed(() => top + props.highMm * px.value);
const X = (share: number): number => left + share * props.rimMm * px.value;
const Y = (upMm: number): number => floor.value - upMm * px.value;

const held = ref<{ topping: number; piece: number; share: number; upMm: number } | null>(null);
function take(press: PointerEvent, topping: number, piece: number): void {
  const move = (at: PointerAt): void => {
    const share = Math.min(0.9999, Math.max(0, (at.x - left) / (props.rimMm * px.value)));
    held.value = { topping, piece, share, upMm: Math.max(0, (floor.value - at.y) / px.value) };
  };
  const begun = followPointer(press, { move, end: letGo, cancel: () => (held.value = null) });
  if (begun) move(begun);
  emit('choose', topping);
}
function set(topping: number, piece: number, share: number, upMm: number): void {
  const { shares, upsMm } = props.toppings[topping]!.onSide!;
  const spots = shares.map((own, k): [number, number] =>
    k === piece
      ? [Math.round(share * 1e4) / 1e4, Math.max(0, Math.round(upMm))]
      : [Math.round(own * 1e4) / 1e4, Math.round(upsMm[k]! * 10) / 10],
  );
  emit('place', topping, spots);
}
function letGo(): void {
  const one = held.value;
  held.value = null;
  if (one) set(one.topping, one.piece, one.share, one.upMm);
}
/** Arrow keys move it so far, mm. */
const nudgeMm = 2;
function key(event: KeyboardEvent, topping: number, piece: number): void {
  const step = arrowOf(event);
  if (!step) return;
  event.preventDefault();
  event.stopPropagation();
  const { shares, upsMm } = props.toppings[topping]!.onSide!;
  const share = (shares[piece]! + (nudgeMm * step.right) / props.rimMm + 1) % 1;
  set(topping, piece, share, upsMm[piece]! + nudgeMm * step.up);
}
const lookAt = ({ topping }: ToppingPlan): Look => toppingLook(topping, props.colours);
const placed = computed(() =>
  props.toppings.flatMap((plan, topping) =>
    (plan.onSide?.shares ?? []).map((share, piece) => {
      const own = held.value?.topping === topping && held.value.piece === piece ? held.value : null;
      return {
        plan,
        topping,
        piece,
        share: own?.share ?? share,
        upMm: own?.upMm ?? plan.onSide!.upsMm[piece]!,
      };
    }),
  ),
);
const ribbons = computed(() =>
  props.toppings.flatMap((plan, i) =>
    plan.topping.kind === 'ribbon' ? [{ plan, i, upMm: plan.topping.side?.upMm ?? 0 }] : [],
  ),
);
const quarters = [
  { text: 'left', share: 0.25 },
  { text: 'front', share: 0.5 },
  { text: 'right', share: 0.75 },
];
</script>

<template>
  <div ref="box" class="side" data-test="side-view">
    <svg
      :width="wide"
      :height="floor + 22"
      role="group"
      aria-label="The side unrolled, the front in the middle"
    >
      <rect
        v-for="(stripe, i) in stripes"
        :key="i"
        :x="left"
        :y="Y(stripe.to * highMm)"
        :width="rimMm * px"
        :height="(stripe.to - stripe.from) * highMm * px"
        :fill="fillOf(stripe.look)"
      />
      <template v-if="drip">
        <rect
          v-for="(one, i) in drip.plan.drips"
          :key="`drip-${i}`"
          :x="X((i + 0.5) / drip.plan.count) - (drip.plan.spec.widthMm / 2) * px"
          :y="top"
          :width="drip.plan.spec.widthMm * px"
          :height="one.lengthMm * px"
          :rx="(drip.plan.spec.widthMm / 2) * px"
          :fill="fillOf(drip.look)"
          class="drip"
        />
      </template>
      <rect :x="left" :y="top" :width="rimMm * px" :height="highMm * px" fill="none" class="wall" />
      <g v-for="quarter in quarters" :key="quarter.text">
        <line :x1="X(quarter.share)" :x2="X(quarter.share)" :y1="top - 8" :y2="top" class="mark" />
        <text
          :x="X(quarter.share)"
          :y="top - 11"
          text-anchor="middle"
          font-size="12.5"
          class="soft-text"
        >
          {{ quarter.text }}
        </text>
      </g>
      <rect
        v-for="{ plan, i, upMm } in ribbons"
        :key="plan.topping.id"
        :x="left"
        :y="Y(Math.min(highMm, upMm + plan.topping.acrossMm))"
        :width="rimMm * px"
        :height="Math.min(highMm - Math.min(highMm, upMm), plan.topping.acrossMm) * px"
        :fill="fillOf(lookAt(plan))"
        class="piece"
        :class="{ on: i === chosen }"
        @click="emit('choose', i)"
      />
      <circle
        v-for="one in placed"
        :key="`${one.topping}/${one.piece}`"
        :cx="X(one.share)"
        :cy="Y(one.upMm)"
        :r="Math.max(4, (one.plan.topping.acrossMm / 2) * px)"
        :fill="fillOf(lookAt(one.plan))"
        class="piece"
        :class="{ on: one.topping === chosen, slides: one.plan.onSide!.hold.slides }"
        role="button"
        tabindex="0"
        :aria-label="`${one.plan.topping.name}, piece ${one.piece + 1} on the side: move with the arrow keys`"
        data-test="side-piece"
        @pointerdown="take($event, one.topping, one.piece)"
        @keydown="key($event, one.topping, one.piece)"
      />
      <line :x1="2" :x2="wide - 2" :y1="floor" :y2="floor" class="board" />
      <text :x="left" :y="floor + 16" font-size="12.5" class="soft-text">
        {{ text(rimMm, 'span') }} round, {{ text(highMm, 'span') }} high
      </text>
    </svg>
  </div>
</template>

<style scoped>
.side {
  margin: 8px 0;
}
svg {
  display: block;
  touch-action: none;
}
.wall {
  stroke: var(--ink);
  stroke-width: 1.2;
}
.mark {
  stroke: var(--soft);
}
.drip {
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
.piece.slides {
  stroke-dasharray: 4 3;
}
.board {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
