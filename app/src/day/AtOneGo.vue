<script setup lang="ts">
import { atOneGo, type DayAnswer, type DayQuestion } from '@pyrgotect/core';
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import TroubleLine from '../figures/TroubleLine.vue';
import { useUnits } from '../figures/units.ts';
import { useBuild } from '../stores/build.ts';
import { useDay } from '../stores/day.ts';
import { useSettings } from '../stores/settings.ts';
import { useAnswer } from '../workers/useAnswer.ts';
import { noPlanWords } from './no-plan.ts';
import { spansOf } from './bands.ts';
import BarLegend from './BarLegend.vue';

/** The work of a cake that has no day yet, one task under the other, counted back from serving. */
const store = useBuild();
const day = useDay();
const settings = useSettings();
const units = useUnits();
const pane = useTemplateRef<HTMLElement>('pane');
const { width, height } = useElementSize(pane);
const { answer, trouble, again } = useAnswer<DayQuestion, DayAnswer>(
  () => (store.build && day.tasks.length > 0 ? atOneGo(day.tasks, store.build.day) : null),
  (solver, question) => solver.day(question),
);
const problem = computed(() =>
  noPlanWords(
    answer.value,
    (id) => day.taskOf(id)?.title ?? id,
    (min) => units.text(min, 'minutes'),
  ),
);
const plan = computed(() => (answer.value?.ok ? answer.value.plan : null));

const left = 20;
const headPx = 104;
const footPx = 44;
/** How wide a letter of a task’s name is, at most on average. */
const letterPx = 6.2;
const hours = computed(() => Math.max(1, Math.ceil((plan.value?.spanMin ?? 0) / 60)));
const X = (min: number): number =>
  left + ((min + 60 * hours.value) / (60 * hours.value)) * (width.value - 2 * left);
const ticks = computed(() => {
  const each = [1, 2, 3, 6, 12, 24].find((h) => hours.value / h <= 10) ?? 48;
  return Array.from({ length: Math.floor(hours.value / each) + 1 }, (_, i) => i * each);
});
const rowPx = computed(() => {
  const n = Math.max(1, plan.value?.placed.length ?? 1);
  return Math.min(30, Math.max(17, (height.value - headPx - footPx) / n));
});
const rows = computed(() =>
  [...(plan.value?.placed ?? [])]
    .sort((a, b) => a.startMin - b.startMin)
    .flatMap((at, i) => {
      const task = day.tasks.find(({ id }) => id === at.id);
      if (!task) return [];
      const title = settings.words(task.title);
      const [before, behind] = [X(at.startMin) - 6, width.value - X(at.endMin) - 6];
      const isBehind = behind > letterPx * title.length || behind > before;
      const letters = Math.floor((isBehind ? behind : before) / letterPx);
      return [
        {
          id: at.id,
          y: headPx + i * rowPx.value,
          title: title.length > letters ? `${title.slice(0, letters - 1)}…` : title,
          whole: title,
          spans: spansOf(at, task),
          textX: isBehind ? X(at.endMin) + 6 : before,
          anchor: isBehind ? ('start' as const) : ('end' as const),
        },
      ];
    }),
);
const allHigh = computed(() =>
  Math.max(height.value, headPx + rows.value.length * rowPx.value + footPx),
);
const people = computed(() => {
  const count = store.build?.day.people ?? 1;
  return count === 1 ? 'one pair of hands' : `${count} pairs of hands`;
});
const said = computed(() => [
  `At one go it takes ${units.text(plan.value?.spanMin ?? 0, 'minutes')},`,
  `with ${people.value} and no night between`,
]);
</script>

<template>
  <div
    ref="pane"
    class="pane"
    role="group"
    aria-label="The work, at one go"
    tabindex="0"
    data-test="at-one-go"
  >
    <v-progress-linear
      v-if="!answer && !trouble && day.tasks.length > 0"
      indeterminate
      color="primary"
      aria-label="The work is laid out"
    />
    <TroubleLine :trouble="trouble" what="The work at one go" @again="again" />
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <svg
      v-if="width > 0 && plan"
      :width="width"
      :height="allHigh"
      role="img"
      :aria-label="said.join(' ')"
    >
      <text x="20" y="34" font-size="16.5">{{ said[0] }}</text>
      <text x="20" y="55" font-size="16.5">{{ said[1] }}</text>
      <text x="20" y="78" font-size="13.5" class="soft">hours before it is cut</text>
      <g v-for="tick in ticks" :key="tick" class="hour">
        <line :x1="X(-60 * tick)" :x2="X(-60 * tick)" :y1="headPx - 4" :y2="allHigh - footPx" />
        <text :x="X(-60 * tick)" :y="headPx - 10" text-anchor="middle" font-size="12.5">
          {{ tick }}
        </text>
      </g>
      <g v-for="row in rows" :key="row.id" :data-task="row.id">
        <g v-for="(span, k) in row.spans" :key="k" :class="span.kind">
          <rect
            :x="X(span.from)"
            :y="row.y + (span.kind === 'hands' ? 2 : rowPx * 0.28)"
            :width="Math.max(2.5, X(span.to) - X(span.from) - 1)"
            :height="span.kind === 'hands' ? rowPx - 4 : rowPx * 0.44"
          />
        </g>
        <text
          :x="row.textX"
          :y="row.y + rowPx / 2 + 4.5"
          :text-anchor="row.anchor"
          font-size="12.5"
        >
          {{ row.title }}
          <title>{{ row.whole }}</title>
        </text>
      </g>
      <g class="legend" :transform="`translate(20 ${allHigh - 16})`">
        <BarLegend />
      </g>
    </svg>
  </div>
</template>

<style scoped src="./bars.css" />
<style scoped>
.problem {
  margin: 20px;
  font-weight: 600;
}
</style>
