<script setup lang="ts">
import {
  grow,
  coarse,
  edgeInsetMm,
  polygon,
  pressG,
  stepOf,
  type Build,
  type Lift,
  type Outline,
  type CakePlan,
  type Point,
} from '@pyrgotect/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import { partName } from '../parts/part-edits.ts';
import { useBuild } from '../stores/build.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';
import { moveDowel } from './dowel-edits.ts';
import { arrowOf, followPointer, type PointerAt } from '../drawings/follow-pointer.ts';

/** The cake from above with every dowel where it stands: discs as large as their loads, to be moved. */
const props = defineProps<{ build: Build; plan: CakePlan; selected: string | null }>();
const emit = defineEmits<{ select: [id: string] }>();
const settings = useSettings();
const units = useUnits();
const store = useBuild();
const pane = useTemplateRef<HTMLElement>('pane');
const { width, height } = useElementSize(pane);

const support = computed(() => props.plan.support);
/** The lift that is worked on: the chosen tier's, the chosen board's, or the lowest. */
const lift = computed<Lift | null>(() => {
  const lifts = support.value?.lifts ?? [];
  const tierId = props.selected ? partName(props.selected)?.tierId : undefined;
  const own = lifts.filter((one) => one.tierId === tierId);
  return own.find((one) => props.selected!.startsWith(one.id)) ?? own.at(-1) ?? lifts[0] ?? null;
});
const footOf = (i: number): Point => {
  const foot = support.value?.tiers[i]?.foot;
  return { x: foot?.x ?? 0, y: foot?.y ?? 0 };
};
const home = computed<Point>(() => footOf(lift.value?.tierIndex ?? 0));

const reach = computed(() => {
  const outlines = [
    ...(props.plan.board ? [{ outline: props.plan.board.outline, at: { x: 0, y: 0 } }] : []),
    ...props.build.tiers.map((tier, i) => ({ outline: tier.outline, at: footOf(i) })),
  ];
  const far = outlines.flatMap(({ outline, at }) =>
    polygon(outline, 6).flatMap((p) => [Math.abs(p.x + at.x), Math.abs(p.y + at.y)]),
  );
  return Math.max(60, ...far);
});
const pxPerMm = computed(
  () =>
    Math.min((width.value || 500) - 60, (height.value || 600) - (height.value < 330 ? 40 : 150)) /
    (2 * reach.value),
);
const X = (mm: number): number => (width.value || 500) / 2 + mm * pxPerMm.value;
const Y = (mm: number): number =>
  (height.value || 600) / 2 + (height.value < 330 ? 0 : 8) - mm * pxPerMm.value;
const rim = (outline: Outline, at: Point): string =>
  polygon(coarse(outline))
    .map((p) => `${X(p.x + at.x).toFixed(1)},${Y(p.y + at.y).toFixed(1)}`)
    .join(' ');

const rims = computed(() => props.build.tiers.map((tier, i) => rim(tier.outline, footOf(i))));
const boardRim = computed(() =>
  props.plan.board ? rim(props.plan.board.outline, { x: 0, y: 0 }) : '',
);
/** Where dowels may stand under the board above. */
const inner = computed(() => {
  const now = lift.value;
  if (!now?.row) return '';
  const inset = grow(coarse(now.outline), -(edgeInsetMm + now.row.outerMm / 2));
  const at = { x: home.value.x + now.outlineAt.x, y: home.value.y + now.outlineAt.y };
  return inset ? rim(inset, at) : '';
});
const core = computed(() => {
  const i = lift.value?.tierIndex ?? 0;
  const { centre } = props.build.tiers[i]!;
  return centre ? rim(centre.outline, footOf(i)) : '';
});

/* A full disc is a dowel that carries all it may; what it carries at worst fills it from the middle. */
const fullPx = computed(() => Math.max(11, Math.min(20, 15 * pxPerMm.value)));
const discs = computed(() =>
  (lift.value?.placed ?? []).map((dowel, i) => ({
    ...dowel,
    i,
    x: X(home.value.x + dowel.at.x),
    y: Y(home.value.y + dowel.at.y),
    r: fullPx.value * Math.sqrt(Math.min(1, dowel.used)),
    isOver: dowel.used > 1 || dowel.hindrance !== null,
    restText: units.text(pressG(dowel.restN), 'weight'),
    worstText: units.text(pressG(dowel.worstN), 'weight'),
  })),
);
const others = computed(() =>
  (support.value?.lifts ?? [])
    .filter((one) => one.id !== lift.value?.id)
    .flatMap((one) =>
      one.placed.map((dowel) => ({
        id: one.id,
        x: X(footOf(one.tierIndex).x + dowel.at.x),
        y: Y(footOf(one.tierIndex).y + dowel.at.y),
        r: Math.max(2, ((one.row?.outerMm ?? 6) / 2) * pxPerMm.value),
      })),
    ),
);
const load = computed(() => {
  const at = lift.value?.load.at;
  return at ? { x: X(home.value.x + at.x), y: Y(home.value.y + at.y) } : null;
});
const title = computed(() => {
  const now = lift.value;
  if (!now) return 'From above';
  const tier = props.build.tiers[now.tierIndex]!.name;
  return now.deck === null
    ? `In ${tier}, under ${props.build.tiers[now.tierIndex + 1]!.name}`
    : `In ${tier}, under its board ${now.deck + 1}`;
});

/* Dragging: the dowel follows the finger in whole millimetres. */
const held = ref<number | null>(null);
function hold(event: PointerEvent, i: number): void {
  if (!followPointer(event, { move: drag, end: letGo })) return;
  held.value = i;
  store.endRun();
  if (lift.value) emit('select', lift.value.id);
}
function drag(at: PointerAt): void {
  if (held.value === null || !lift.value) return;
  const x = (at.x - X(0)) / pxPerMm.value - home.value.x;
  const y = (Y(0) - at.y) / pxPerMm.value - home.value.y;
  moveDowel(lift.value, held.value, Math.round(x), Math.round(y));
}
function letGo(): void {
  held.value = null;
  store.endRun();
}
function nudge(event: KeyboardEvent, i: number): void {
  const by = arrowOf(event);
  const now = lift.value;
  if (!by || !now) return;
  event.preventDefault();
  const step = stepOf('thickness', settings.system) * (event.shiftKey ? 5 : 1);
  const { at } = now.placed[i]!;
  moveDowel(now, i, at.x + by.right * step, at.y + by.up * step);
}
</script>

<template>
  <div ref="pane" class="pane" data-test="support-plan">
    <svg
      v-if="width > 0"
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      role="group"
      :aria-label="title"
    >
      <text class="when-tall" x="20" y="34" font-size="16.5">{{ title }}</text>
      <polygon v-if="boardRim" :points="boardRim" class="board" />
      <polygon
        v-for="(points, i) in rims"
        :key="build.tiers[i]!.id"
        :points="points"
        class="tier"
        :class="{ now: i === lift?.tierIndex, above: i > (lift?.tierIndex ?? 0) }"
        @click="emit('select', build.tiers[i]!.id)"
      >
        <title>{{ build.tiers[i]!.name }}</title>
      </polygon>
      <polygon v-if="core" :points="core" class="core"><title>hidden centre</title></polygon>
      <polygon v-if="inner" :points="inner" class="inner" />
      <circle
        v-for="(dowel, k) in others"
        :key="`${dowel.id}${k}`"
        :cx="dowel.x"
        :cy="dowel.y"
        :r="dowel.r"
        class="other"
        @click="emit('select', dowel.id)"
      />
      <g v-if="load" class="load">
        <title>the weight above acts here</title>
        <path :d="`M${load.x - 9} ${load.y}h18M${load.x} ${load.y - 9}v18`" />
      </g>
      <circle
        v-if="support?.rod"
        class="rod"
        :cx="X(support.rod.at.x)"
        :cy="Y(support.rod.at.y)"
        :r="Math.max(3, (support.rod.row.outerMm / 2) * pxPerMm)"
      >
        <title>rod</title>
      </circle>
      <g
        v-for="disc in discs"
        :key="disc.i"
        class="dowel"
        :class="{ over: disc.isOver, held: held === disc.i }"
        role="slider"
        tabindex="0"
        :aria-label="`Dowel ${disc.i + 1}`"
        :aria-valuenow="Math.round(disc.used * 100)"
        aria-valuemin="0"
        aria-valuemax="100"
        :aria-valuetext="`carries ${disc.restText}, at most ${disc.worstText}`"
        @pointerdown="hold($event, disc.i)"
        @keydown="nudge($event, disc.i)"
      >
        <circle class="reach" :cx="disc.x" :cy="disc.y" :r="fullPx + 6" />
        <circle class="full" :cx="disc.x" :cy="disc.y" :r="fullPx" />
        <circle class="used" :cx="disc.x" :cy="disc.y" :r="disc.r" />
        <text
          class="when-tall"
          :x="disc.x"
          :y="disc.y + fullPx + 14"
          text-anchor="middle"
          font-size="13.5"
        >
          {{ disc.restText }}
        </text>
        <text class="number" :x="disc.x" :y="disc.y + 4.5" text-anchor="middle" font-size="13.5">
          {{ disc.i + 1 }}
        </text>
        <title>
          Dowel {{ disc.i + 1 }}: {{ disc.restText }} at rest, {{ disc.worstText }} at worst
        </title>
      </g>
      <g v-if="discs.length > 0" class="legend">
        <text class="when-tall" x="20" :y="height - 44" font-size="13.5">
          Disc: what each carries at worst, a full ring is all it may. Figure: at rest.
        </text>
        <text class="when-tall" x="20" :y="height - 24" font-size="13.5">
          ✛ where the weight above acts. Drag a dowel, or arrow keys.
        </text>
      </g>
      <text v-else x="20" :y="height - 24" font-size="13.5" class="soft-text">
        {{
          lift ? 'No dowels stand here yet.' : 'One tier on its board: nothing stands on dowels.'
        }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.pane {
  position: absolute;
  inset: 0;
}
svg {
  display: block;
  touch-action: none;
}
text {
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--oat);
  stroke-width: 3px;
}
.dowel text,
.number {
  stroke: var(--milk);
}
.dowel .number {
  stroke: none;
}
.board {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.tier {
  fill: var(--milk);
  stroke: var(--line);
  stroke-width: 1.3;
  cursor: pointer;
}
.tier.now {
  stroke: var(--ink);
  stroke-width: 1.8;
}
.tier.above {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 6 4;
}
.core {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 2 3;
}
.inner {
  fill: none;
  stroke: var(--accent);
  stroke-width: 1;
  stroke-dasharray: 3 3;
  pointer-events: none;
}
.other {
  fill: var(--line);
  stroke: var(--soft);
}
.load path {
  stroke: var(--ink);
  stroke-width: 2;
}
.rod {
  fill: var(--ink);
}
.dowel {
  cursor: grab;
}
.dowel.held {
  cursor: grabbing;
}
.dowel:focus {
  outline: none;
}
.dowel:focus-visible .full {
  stroke-width: 3.5;
}
.reach {
  fill: transparent;
}
.full {
  fill: var(--raised);
  stroke: var(--accent);
  stroke-width: 1.6;
}
.used {
  fill: var(--accent);
  opacity: 0.42;
}
.over .full {
  stroke: var(--stop);
}
.over .used {
  fill: var(--stop);
}
.number {
  font-weight: 700;
  pointer-events: none;
}
.legend text {
  fill: var(--soft);
}
</style>
