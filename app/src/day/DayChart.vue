<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import { useDay } from '../stores/day.ts';
import BarLegend from './BarLegend.vue';
import { bandsOf, barWords, minutesOf, type Band, type Bar } from './bands.ts';
import { ribbonsOf } from './ribbons.ts';
import { useDrag } from './useDrag.ts';

/** The days as bands, one under the other: hands above, what waits below, each in its own line. */
const props = defineProps<{ forPrint?: boolean }>();
const day = useDay();
const pane = useTemplateRef<HTMLElement>('pane');
const size = useElementSize(pane);
const width = computed(() => (props.forPrint ? 690 : size.width.value));
const height = computed(() => (props.forPrint ? 430 : size.height.value));

const bands = computed<Band[]>(() => bandsOf([...day.rows, ...day.otherRows], day.dateOf));
const ribbons = computed(() => ribbonsOf(day.clocks, day.dateOf));
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
const ribbonPx = 8;
const lineCount = computed(() =>
  bands.value.reduce((sum, band) => sum + band.hands * 1.5 + band.waits * 0.7 + 0.6, 0),
);
const linePx = computed(() =>
  Math.min(
    30,
    Math.max(
      9,
      ((height.value || 600) - 150 - (headPx + ribbonPx * day.clocks.length) * bands.value.length) /
        Math.max(1, lineCount.value),
    ),
  ),
);
const placed = computed(() => {
  let y = 52;
  return bands.value.map((band) => {
    const top = y;
    const waitsY = top + headPx + band.hands * 1.5 * linePx.value + 3;
    const ribbonsY = waitsY + band.waits * 0.7 * linePx.value + 3;
    y = ribbonsY + day.clocks.length * ribbonPx + 0.6 * linePx.value;
    return { band, top, waitsY, ribbonsY, bottom: y };
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
const allHigh = computed(() => Math.max(height.value, (placed.value.at(-1)?.bottom ?? 0) + 62));

/** The time under a point of the chart, minutes before the deadline. */
function timeAt(x: number, y: number): number | null {
  const under = placed.value.find((one) => y < one.bottom) ?? placed.value[placed.value.length - 1];
  if (!under || !day.deadline) return null;
  const minutes = ((x - left) / pxPerHour.value + fromHour.value) * 60;
  const at = new Date(under.band.day);
  at.setMinutes(Math.round(Math.max(0, Math.min(1439, minutes))));
  return (at.getTime() - day.deadline.getTime()) / 60_000;
}
const { held, said, grab, nudge } = useDrag(timeAt);
/** Where the task that is being dragged would lie. */
const ghosts = computed(() => {
  const now = held.value;
  if (!now) return [];
  const start = day.dateOf(now.startMin);
  const band = placed.value.find(
    ({ band: one }) => one.day.toDateString() === start.toDateString(),
  );
  const row = day.rows.find(({ at }) => at.id === now.id);
  if (!band || !row) return [];
  const from = minutesOf(start);
  return [
    {
      x: X(from),
      y: band.top + headPx - 3,
      wide: Math.max(4, X(Math.min(1440, from + Math.max(5, row.task.handsMin))) - X(from)),
      high: 1.35 * linePx.value + 6,
    },
  ];
});
const isPinned = (id: string): boolean =>
  day.tasks.some((task) => task.id === id && task.pinMin !== undefined);
</script>

<template>
  <div
    ref="pane"
    class="pane"
    :class="{ paper: forPrint }"
    role="group"
    aria-label="The days, hour by hour"
    tabindex="0"
    data-test="day-chart"
  >
    <p v-if="said" class="said" :class="{ against: said.isAgainst }" data-test="drag-says">
      {{ said.text }}
    </p>
    <svg v-if="width > 0" :width="width" :height="allHigh" role="group" aria-label="The days">
      <text x="20" y="34" font-size="16.5">The days</text>
      <text v-if="bands.length === 0" x="20" y="70" font-size="15" class="soft">
        No plan of the days yet.
      </text>
      <g
        v-for="{ band, top, waitsY, ribbonsY, bottom } in placed"
        :key="band.key"
        :data-day="band.key"
      >
        <text :x="left" :y="top + 20" font-size="15" font-weight="600">{{ band.title }}</text>
        <g v-for="hour in hours" :key="hour" class="hour">
          <line :x1="X(hour * 60)" :x2="X(hour * 60)" :y1="top + 40" :y2="bottom - 4" />
          <text :x="X(hour * 60)" :y="top + 37" text-anchor="middle" font-size="12.5">
            {{ hour }}
          </text>
        </g>
        <g
          v-for="bar in band.bars.filter((one) => one.to > fromHour * 60)"
          :key="bar.key"
          class="bar"
          :class="[
            bar.kind,
            {
              critical: bar.isCritical,
              chosen: bar.id === day.chosen,
              other: bar.cake !== null,
              held: held?.id === bar.id,
            },
          ]"
          :data-task="bar.id"
          :tabindex="bar.cake === null && bar.kind === 'hands' ? 0 : undefined"
          :role="bar.cake === null && bar.kind === 'hands' ? 'button' : undefined"
          :aria-label="
            bar.cake === null && bar.kind === 'hands'
              ? `${bar.title}: arrow keys move it by a quarter of an hour`
              : undefined
          "
          @pointerdown="bar.cake === null && grab($event, bar.id)"
          @keydown.left.prevent.stop="nudge(bar.id, -15)"
          @keydown.right.prevent.stop="nudge(bar.id, 15)"
          @keydown.delete.prevent.stop="day.pin(bar.id, null)"
        >
          <rect
            :x="X(bar.from)"
            :y="yOf(bar, top, waitsY)"
            :width="Math.max(2.5, X(Math.min(1440, bar.to)) - X(bar.from) - 1)"
            :height="highOf(bar)"
          />
          <circle
            v-if="bar.kind === 'hands' && isPinned(bar.id)"
            :cx="X(bar.from) + 5"
            :cy="yOf(bar, top, waitsY) + 6"
            r="3"
          />
          <title>
            {{ bar.cake ? `${bar.cake}: ` : '' }}{{ bar.title }} ({{ barWords[bar.kind] }})
          </title>
        </g>
        <g v-for="ribbon in ribbons.filter((one) => one.day === band.key)" :key="ribbon.key">
          <rect
            :x="X(ribbon.from)"
            :y="ribbonsY + ribbon.row * ribbonPx"
            :width="Math.max(2, X(ribbon.to) - X(ribbon.from))"
            height="4.5"
            :class="ribbon.isOver ? 'out over' : 'out'"
          />
          <title>{{ ribbon.title }}</title>
        </g>
      </g>
      <rect
        v-for="(ghost, i) in ghosts"
        :key="i"
        class="ghost"
        :class="{ against: said?.isAgainst }"
        :x="ghost.x"
        :y="ghost.y"
        :width="ghost.wide"
        :height="ghost.high"
      />
      <g
        v-if="bands.length > 0"
        class="legend when-tall"
        :transform="`translate(20 ${allHigh - 36})`"
      >
        <BarLegend />
        <g class="hands critical">
          <rect x="368" y="-11" width="18" height="12" />
          <text x="392" y="0" font-size="13.5">sets the start</text>
        </g>
        <g v-if="day.clocks.length > 0">
          <rect class="out" x="0" y="14" width="18" height="5" />
          <text x="24" y="20" font-size="13.5">out of the cold</text>
        </g>
        <g v-if="day.otherRows.length > 0" class="hands other">
          <rect x="138" y="9" width="18" height="12" />
          <text x="162" y="20" font-size="13.5">another cake</text>
        </g>
        <text v-if="!forPrint" x="276" y="20" font-size="13.5" class="soft">
          drag a task to put it at its time
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped src="./bars.css" />
<style scoped>
.pane.paper {
  position: static;
}
.said {
  position: absolute;
  left: 104px;
  right: 14px;
  top: 12px;
  margin: 0;
  font-weight: 600;
  line-height: 1.25;
  pointer-events: none;
}
.said.against {
  color: var(--stop);
}
.bar {
  cursor: grab;
  touch-action: none;
}
.hands.critical rect {
  fill: var(--ink);
}
.other {
  cursor: default;
}
.other rect {
  fill: var(--line);
  stroke: var(--soft);
}
.chosen rect {
  stroke: var(--stop);
  stroke-width: 2.5;
}
.held rect {
  opacity: 0.35;
}
.bar circle {
  fill: var(--milk);
}
.ghost {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
  pointer-events: none;
}
.ghost.against {
  stroke: var(--stop);
}
.out {
  fill: var(--warn-mark);
}
.out.over {
  fill: var(--stop);
}
</style>
