<script setup lang="ts">
import {
  MM_PER_IN,
  isDrawnByRow,
  placesAlong,
  type DripPlan,
  type DripRun,
  type Outline,
  type PlannedPiping,
  type Look,
} from '@pyrgotect/core';
import { useElementSize, useRafFn } from '@vueuse/core';
import { computed, onScopeDispose, ref, useTemplateRef, watchEffect } from 'vue';
import { flowing } from '../../section/flowing.ts';
import { fillOf } from '../../section/tones.ts';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import { followPointer, type PointerAt } from '../../drawings/follow-pointer.ts';
import { fixed } from '../../locale/number.ts';

/**
 * The side of a tier unrolled, true to scale, with its drips as they run. What is shown comes from
 * stored results, so that time can be pulled to and fro. Lengths can be drawn along the rim by hand.
 */
const props = defineProps<{
  tierId: string;
  drip: DripPlan;
  runs: DripRun[] | null;
  current: boolean;
  finished: Outline;
  coatTone: Look;
  tone: Look;
  floodMm: number;
  /** What is piped round the foot and the side. */
  piping: { job: PlannedPiping; tone: Look }[];
  /** Lengths along the rim as drawn by hand; null when they are not. */
  hand: number[] | null;
}>();
const emit = defineEmits<{ curve: [lengths: number[]] }>();
const settings = useSettings();
const units = useUnits();
const box = useTemplateRef<HTMLElement>('box');
const { width } = useElementSize(box);

const left = 40;
const top = 34;
const px = computed(() => (Math.max(200, width.value) - left - 12) / props.drip.rimMm);
const floor = computed(() => top + props.drip.sideMm * px.value);
const high = computed(() => floor.value + 34);
const X = (mm: number): number => left + mm * px.value;
const Y = (mm: number): number => top + mm * px.value;

const borders = computed(() =>
  props.piping.flatMap(({ job, tone }) => {
    const isLine = job.pieces === 0 || isDrawnByRow(job);
    const onSide = job.piped?.where === 'side' || job.piped?.where === 'whole side';
    const ups = job.rows.map(({ upMm }) => upMm);
    const count = isLine ? 1 : job.pieces / Math.max(1, ups.length);
    return ups.map((atMm, row) => ({
      job,
      tone,
      isLine,
      row,
      w: (isLine ? props.drip.rimMm : job.acrossMm) * px.value,
      h: (onSide ? job.acrossMm : job.highMm) * px.value,
      upMm: onSide ? atMm - job.acrossMm / 2 : 0,
      xs: Array.from({ length: count }, (_, i) =>
        X((((i + 0.5 + (row % 2) / 2) % count) * props.drip.rimMm) / count),
      ),
    }));
  }),
);

/* Early seconds are where things happen: the slider goes by the root of time. */
const lastS = 300;
const at = ref(1000);
const seconds = computed(() => lastS * (at.value / 1000) ** 2);
const lengthAt = (run: DripRun): number => {
  const i = seconds.value / run.everyS;
  const [a, b] = [
    run.lengthsMm[Math.floor(i)] ?? run.restMm,
    run.lengthsMm[Math.ceil(i)] ?? run.restMm,
  ];
  return a + (b - a) * (i - Math.floor(i));
};
const shown = computed(() =>
  props.drip.drips.map((rest, i) => {
    const run = props.runs?.[i];
    return {
      i,
      x: X(((i + 0.5) * props.drip.rimMm) / props.drip.count),
      mm: run ? lengthAt(run) : rest.lengthMm,
      wanted: props.drip.wantedMm[i]!,
      pooledG: run && seconds.value >= lastS - 1 ? run.pooledG : 0,
      moving: run ? lengthAt(run) < run.restMm - 0.5 : false,
    };
  }),
);
/* The other drawings follow while time is pulled. */
watchEffect(() => {
  flowing.value =
    props.runs && seconds.value < lastS
      ? { tierId: props.tierId, lengthsMm: shown.value.map((one) => one.mm) }
      : null;
});
onScopeDispose(() => (flowing.value = null));
const w = computed(() => props.drip.spec.widthMm * px.value);
const path = (x: number, mm: number): string => {
  const half = w.value / 2;
  const r = Math.min(half * 1.1, (mm * px.value) / 2);
  const y = Y(mm);
  return `M${x - half} ${top - 2}V${y - r}Q${x - half} ${y} ${x} ${y}Q${x + half} ${y} ${x + half} ${y - r}V${top - 2}Z`;
};
const longest = computed(() => Math.max(...shown.value.map((one) => one.mm)));
const moving = computed(() => shown.value.filter((one) => one.moving).length);
const pooledG = computed(() => shown.value.reduce((sum, one) => sum + one.pooledG, 0));
const timeText = computed(() =>
  seconds.value < 60
    ? `${fixed(seconds.value, seconds.value < 10 ? 1 : 0)} s`
    : `${Math.floor(seconds.value / 60)} min ${Math.round(seconds.value % 60)} s`,
);
const length = (mm: number): string => units.text(mm, 'span');

/** Where the back, the right, the front and the left of the cake come along the rim. */
const quarters = computed(() => {
  const places = placesAlong(props.finished, 240);
  const find = (better: (a: { x: number; y: number }, b: { x: number; y: number }) => boolean) =>
    places.reduce((best, place, i) => (better(place, places[best]!) ? i : best), 0) / 240;
  return [
    { text: 'back', share: find((a, b) => a.y > b.y + 1e-6) },
    { text: 'right', share: find((a, b) => a.x > b.x + 1e-6) },
    { text: 'front', share: find((a, b) => a.y < b.y - 1e-6) },
    { text: 'left', share: find((a, b) => a.x < b.x - 1e-6) },
  ].map(({ text, share }) => ({
    text,
    x: X(((share + 0.5 / props.drip.count) % 1) * props.drip.rimMm),
  }));
});
const ticks = computed(() => {
  const unit = settings.system.length === 'in' ? MM_PER_IN : 10;
  // figures keep clear of each other
  const every = [1, 2, 5, 10].find((n) => n * unit * px.value >= 13) ?? 20;
  return Array.from({ length: Math.floor(props.drip.sideMm / unit) + 1 }, (_, i) => i)
    .filter((i) => i % every === 0)
    .map((i) => ({ y: Y(i * unit), text: String(i) }));
});

/* Playing */
const playedFrom = ref(0);
const { pause, resume, isActive } = useRafFn(
  ({ timestamp }) => {
    if (playedFrom.value === 0) playedFrom.value = timestamp;
    const share = (timestamp - playedFrom.value) / 7000;
    at.value = Math.min(1000, Math.round(share * 1000));
    if (share >= 1) pause();
  },
  { immediate: false },
);
function play(): void {
  if (isActive.value) return pause();
  playedFrom.value = 0;
  at.value = 0;
  resume();
}
function scrub(event: Event): void {
  pause();
  at.value = Number((event.target as HTMLInputElement).value);
}

/* Drawing lengths by hand: kept until the finger is lifted, then handed on as one change. */
const drawn = ref<number[] | null>(null);
const curve = computed(() => drawn.value ?? props.hand ?? []);
const curvePath = computed(() =>
  curve.value
    .map(
      (mm, i) =>
        `${i ? 'L' : 'M'}${X(((i + 0.5) * props.drip.rimMm) / curve.value.length)} ${Y(mm)}`,
    )
    .join(''),
);
let last = -1;
function draw({ x, y }: PointerAt): void {
  if (!drawn.value) return;
  const count = drawn.value.length;
  const share = (x - left) / (px.value * props.drip.rimMm);
  const i = Math.min(count - 1, Math.max(0, Math.floor(share * count)));
  const mm = Math.min(props.drip.freeMm, Math.max(3, (y - top) / px.value));
  const next = [...drawn.value];
  const step = last < 0 ? 1 : Math.sign(i - last) || 1;
  // a fast hand skips points: those between get it too
  for (let k = last < 0 ? i : last; ; k += step) {
    next[k] = mm;
    if (k === i) break;
  }
  last = i;
  drawn.value = next;
}
function begin(event: PointerEvent): void {
  if (props.hand === null) return;
  drawn.value = curve.value.map((mm) => mm);
  last = -1;
  const begun = followPointer(event, { move: draw, end, cancel: () => (drawn.value = null) });
  if (begun) draw(begun);
  else drawn.value = null;
}
function end(): void {
  if (drawn.value)
    emit(
      'curve',
      drawn.value.map((mm) => Math.round(mm * 2) / 2),
    );
  drawn.value = null;
}
</script>

<template>
  <div ref="box" class="side" data-test="unrolled">
    <svg
      :width="Math.max(200, width)"
      :height="high"
      role="img"
      :aria-label="`Side unrolled: ${drip.count} drips, the longest now ${length(longest)}`"
      :class="{ hand: hand !== null, old: !current }"
      @pointerdown="begin"
    >
      <rect
        :x="X(0)"
        :y="top"
        :width="drip.rimMm * px"
        :height="drip.sideMm * px"
        :fill="fillOf(coatTone)"
        class="wall"
      />
      <g v-for="tick in ticks" :key="tick.text" class="tick">
        <line :x1="left - 8" :x2="left - 2" :y1="tick.y" :y2="tick.y" />
        <text :x="left - 11" :y="tick.y + 4" text-anchor="end" font-size="12.5">
          {{ tick.text }}
        </text>
      </g>
      <text x="2" :y="top - 10" font-size="12.5" class="soft-text">
        {{ settings.system.length }}
      </text>
      <g v-for="quarter in quarters" :key="quarter.text" class="quarter">
        <line :x1="quarter.x" :x2="quarter.x" :y1="top - 12" :y2="top - 5" />
        <text :x="quarter.x" :y="top - 16" text-anchor="middle" font-size="12.5" class="soft-text">
          {{ quarter.text }}
        </text>
      </g>
      <rect
        :x="X(0)"
        :y="top - 2 - Math.max(2, floodMm * px)"
        :width="drip.rimMm * px"
        :height="Math.max(2, floodMm * px) + 2 + 3 * px"
        :fill="fillOf(tone)"
        class="bead"
      />
      <path
        v-for="one in shown"
        :key="one.i"
        :d="path(one.x, one.mm)"
        :fill="fillOf(tone)"
        class="drip"
        data-test="drip"
      />
      <g v-if="hand === null">
        <line
          v-for="one in shown"
          :key="one.i"
          :x1="one.x - w * 0.8"
          :x2="one.x + w * 0.8"
          :y1="Y(one.wanted)"
          :y2="Y(one.wanted)"
          class="wanted"
        />
      </g>
      <path v-else :d="curvePath" class="curve" />
      <template v-for="border in borders" :key="`${border.job.id}/${border.row}`">
        <rect
          v-for="(x, i) in border.xs"
          :key="i"
          :x="x - border.w / 2"
          :y="Y(drip.sideMm - border.upMm) - border.h"
          :width="border.w"
          :height="border.h"
          :rx="border.isLine ? 1 : border.w / 2"
          :ry="border.isLine ? 1 : border.h / 2"
          :fill="fillOf(border.tone)"
          class="border"
        />
      </template>
      <line :x1="left - 10" :x2="Math.max(200, width)" :y1="floor" :y2="floor" class="board" />
      <text :x="left" :y="floor + 18" font-size="13.5">
        {{ length(drip.rimMm) }} round, {{ length(drip.sideMm) }} high
      </text>
      <text
        v-if="hand !== null"
        :x="Math.max(200, width) - 12"
        :y="floor + 18"
        text-anchor="end"
        font-size="13.5"
        class="soft-text"
      >
        draw the lengths with finger or mouse
      </text>
    </svg>
    <div class="time">
      <KeyButton size="small" :disabled="!runs" @click="play">
        {{ isActive ? 'Stop' : 'Let it run' }}
      </KeyButton>
      <input
        type="range"
        min="0"
        max="1000"
        :value="at"
        :disabled="!runs"
        aria-label="Time since the drips were begun"
        :aria-valuetext="timeText"
        data-test="scrub"
        @input="scrub"
      />
      <output data-test="drip-time">
        <template v-if="runs">
          after {{ timeText }}: longest {{ length(longest)
          }}<template v-if="moving > 0">, {{ moving }} still moving</template
          ><template v-else>, all at rest</template
          ><template v-if="pooledG > 0.05"
            >, {{ units.text(pooledG, 'fineMass') }} against {{ drip.stoppedBy }}</template
          >
        </template>
        <template v-else>Letting it run …</template>
      </output>
    </div>
  </div>
</template>

<style scoped>
.side {
  margin: 8px 0 4px;
}
svg {
  display: block;
}
svg.hand {
  touch-action: none;
  cursor: crosshair;
}
svg.old {
  opacity: 0.7;
}
.wall {
  stroke: var(--ink);
  stroke-width: 1;
}
.drip,
.bead {
  stroke: var(--pen);
  stroke-width: 0.8;
}
.bead {
  stroke: none;
}
.wanted {
  stroke: var(--accent);
  stroke-width: 1.4;
}
.curve {
  fill: none;
  stroke: var(--accent);
  stroke-width: 2.4;
}
.border {
  stroke: var(--pen);
  stroke-width: 0.7;
}
.board {
  stroke: var(--ink);
  stroke-width: 2;
}
.tick line,
.quarter line {
  stroke: var(--soft);
}
.time {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
}
.time input {
  flex: 1;
  min-width: 140px;
  accent-color: var(--accent);
}
output {
  font-size: var(--size-text);
  min-width: 250px;
}
</style>
