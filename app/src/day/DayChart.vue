<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { format, startOfDay } from 'date-fns';
import { computed, useTemplateRef } from 'vue';
import { useDay } from '../stores/day.ts';

/** The days as bands, one under the other: hands above, what waits below, each in its own line. */
const day = useDay();
const pane = useTemplateRef<HTMLElement>('pane');
const { width, height } = useElementSize(pane);

interface Bar {
  key: string;
  id: string;
  from: number;
  to: number;
  lane: number;
  kind: 'hands' | 'oven' | 'fridge' | 'wait';
  title: string;
  isCritical: boolean;
}
interface Band {
  key: string;
  title: string;
  bars: Bar[];
  hands: number;
  waits: number;
}
const minutesOf = (date: Date): number => date.getHours() * 60 + date.getMinutes();

/** Every stretch of hands and of waiting, cut at midnight. */
const pieces = computed(() =>
  day.rows.flatMap(({ at, task, isCritical }) => {
    const oven = task.uses.some((use) => use.resource === 'oven');
    const fridge = task.uses.some((use) => use.resource === 'fridge');
    const again = at.againMin !== null && task.again ? task.again : null;
    const waitEnd = at.againMin ?? at.endMin;
    const spans: { from: number; to: number; kind: Bar['kind'] }[] = [
      { from: at.startMin, to: at.handsEndMin, kind: 'hands' },
      { from: at.handsEndMin, to: waitEnd, kind: oven ? 'oven' : fridge ? 'fridge' : 'wait' },
      ...(again
        ? [
            {
              from: at.againMin!,
              to: at.againMin! + again.handsMin,
              kind: 'hands' as const,
            },
            { from: at.againMin! + again.handsMin, to: at.endMin, kind: 'wait' as const },
          ]
        : []),
    ];
    return spans
      .filter((span) => span.to > span.from)
      .flatMap((span, k) => {
        const cut: { from: Date; to: Date }[] = [];
        let from = day.dateOf(span.from);
        const end = day.dateOf(span.to);
        for (let turn = 0; turn < 20 && from < end; turn++) {
          const midnight = new Date(from.getFullYear(), from.getMonth(), from.getDate() + 1);
          const to = end < midnight ? end : midnight;
          cut.push({ from, to });
          from = to;
        }
        return cut.map((piece, n) => ({
          ...piece,
          kind: span.kind,
          key: `${at.id}/${k}/${n}`,
          id: at.id,
          title: task.title,
          isCritical,
        }));
      });
  }),
);
/** Bars in as few lines as they fit without lying on each other. */
function lanesOf(bars: { from: number; to: number; lane: number }[]): number {
  const ends: number[] = [];
  for (const bar of bars.sort((a, b) => a.from - b.from)) {
    let lane = ends.findIndex((end) => end <= bar.from + 1e-6);
    if (lane < 0) lane = ends.push(0) - 1;
    ends[lane] = bar.to;
    bar.lane = lane;
  }
  return ends.length;
}
const bands = computed<Band[]>(() => {
  const days = new Map<string, Band>();
  for (const piece of [...pieces.value].sort((a, b) => a.from.getTime() - b.from.getTime())) {
    const key = format(startOfDay(piece.from), 'yyyy-MM-dd');
    const band = days.get(key) ?? {
      key,
      title: format(piece.from, 'EEEE d MMMM'),
      bars: [],
      hands: 0,
      waits: 0,
    };
    days.set(key, band);
    const from = minutesOf(piece.from);
    band.bars.push({
      ...piece,
      from,
      to: Math.max(from + 3, from + (piece.to.getTime() - piece.from.getTime()) / 60_000),
      lane: 0,
    });
  }
  for (const band of days.values()) {
    band.hands = lanesOf(band.bars.filter((bar) => bar.kind === 'hands'));
    band.waits = lanesOf(band.bars.filter((bar) => bar.kind !== 'hands'));
  }
  // a night in which something only stands needs no band of its own
  return [...days.values()].filter((band) => band.bars.some((bar) => bar.kind === 'hands'));
});
const fromHour = computed(() =>
  Math.floor(
    Math.min(
      18,
      ...bands.value.flatMap((band) =>
        band.bars.filter((bar) => bar.kind === 'hands').map((bar) => bar.from / 60),
      ),
    ),
  ),
);
const left = 22;
const pxPerHour = computed(() => ((width.value || 500) - 2 * left) / (24 - fromHour.value));
const X = (minutes: number): number =>
  left + Math.max(0, minutes / 60 - fromHour.value) * pxPerHour.value;
const headPx = 46;
const lineCount = computed(() =>
  bands.value.reduce((sum, band) => sum + band.hands * 1.5 + band.waits * 0.7 + 0.6, 0),
);
const linePx = computed(() =>
  Math.min(
    30,
    Math.max(
      9,
      ((height.value || 600) - 100 - headPx * bands.value.length) / Math.max(1, lineCount.value),
    ),
  ),
);
const placed = computed(() => {
  let y = 52;
  return bands.value.map((band) => {
    const top = y;
    const waitsY = top + headPx + band.hands * 1.5 * linePx.value + 3;
    y = waitsY + band.waits * 0.7 * linePx.value + 0.6 * linePx.value;
    return { band, top, waitsY, bottom: y };
  });
});
const yOf = (bar: Bar, top: number, waitsY: number): number =>
  bar.kind === 'hands'
    ? top + headPx + bar.lane * 1.5 * linePx.value
    : waitsY + bar.lane * 0.7 * linePx.value;
const highOf = (bar: Bar): number => (bar.kind === 'hands' ? 1.35 : 0.6) * linePx.value;
const hours = computed(() =>
  Array.from({ length: 24 - fromHour.value + 1 }, (_, i) => fromHour.value + i).filter(
    (hour) => pxPerHour.value > 26 || hour % 2 === 0,
  ),
);
const words: Record<Bar['kind'], string> = {
  hands: 'hands',
  oven: 'oven',
  fridge: 'fridge',
  wait: 'standing',
};
</script>

<template>
  <div ref="pane" class="pane" data-test="day-chart">
    <svg
      v-if="width > 0"
      :width="width"
      :height="Math.max(height, (placed.at(-1)?.bottom ?? 0) + 40)"
      role="group"
      aria-label="The days"
    >
      <text x="20" y="34" font-size="16">The days</text>
      <text v-if="bands.length === 0" x="20" y="70" font-size="15" class="soft">
        No plan of the days yet.
      </text>
      <g v-for="{ band, top, waitsY, bottom } in placed" :key="band.key" :data-day="band.key">
        <text :x="left" :y="top + 20" font-size="15" font-weight="600">{{ band.title }}</text>
        <g v-for="hour in hours" :key="hour" class="hour">
          <line :x1="X(hour * 60)" :x2="X(hour * 60)" :y1="top + 40" :y2="bottom - 4" />
          <text :x="X(hour * 60)" :y="top + 37" text-anchor="middle" font-size="12">
            {{ hour }}
          </text>
        </g>
        <g
          v-for="bar in band.bars.filter((one) => one.to > fromHour * 60)"
          :key="bar.key"
          class="bar"
          :class="[bar.kind, { critical: bar.isCritical, chosen: bar.id === day.chosen }]"
          @click="day.chosen = bar.id"
        >
          <rect
            :x="X(bar.from)"
            :y="yOf(bar, top, waitsY)"
            :width="Math.max(2.5, X(Math.min(1440, bar.to)) - X(bar.from) - 1)"
            :height="highOf(bar)"
          />
          <title>{{ bar.title }} ({{ words[bar.kind] }})</title>
        </g>
      </g>
      <g
        class="legend"
        :transform="`translate(20 ${Math.max(height, (placed.at(-1)?.bottom ?? 0) + 40) - 18})`"
      >
        <g
          v-for="(kind, i) in ['hands', 'oven', 'fridge', 'wait'] as const"
          :key="kind"
          :class="kind"
        >
          <rect :x="i * 92" y="-11" width="18" height="12" />
          <text :x="i * 92 + 24" y="0" font-size="13">{{ words[kind] }}</text>
        </g>
        <g class="hands critical">
          <rect x="368" y="-11" width="18" height="12" />
          <text x="392" y="0" font-size="13">sets the start</text>
        </g>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.pane {
  position: absolute;
  inset: 0;
  overflow: auto;
}
text {
  fill: var(--ink);
}
.soft,
.hour text {
  fill: var(--soft);
}
.hour line {
  stroke: var(--line);
}
.bar {
  cursor: pointer;
}
.hands rect {
  fill: var(--accent);
}
.hands.critical rect {
  fill: var(--ink);
}
.oven rect {
  fill: var(--warn-mark);
}
.fridge rect {
  fill: var(--lift);
  stroke: var(--accent);
}
.wait rect {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 3 2;
}
.chosen rect {
  stroke: var(--stop);
  stroke-width: 2.5;
}
</style>
