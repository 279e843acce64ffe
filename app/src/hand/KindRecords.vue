<script setup lang="ts">
import {
  biasBetween,
  handFactor,
  handRows,
  handScatter,
  type HandKind,
  type KeptRecord,
} from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { dayText } from '../locale/when.ts';
import type { Data, Layout } from 'plotly.js';
import { computed, ref } from 'vue';
import ChartPane from '../charts/ChartPane.vue';
import { useHand } from '../stores/hand.ts';
import { biasWords, offBy } from './bias-words.ts';
import { veiled } from '../styles/palette.ts';
import { useScheme } from '../styles/scheme.ts';
import { fixed } from '../locale/number.ts';

/** One kind of figure: what it does to plans, and every record it rests on. */
const props = defineProps<{ kind: HandKind }>();
const hand = useHand();
const { colours } = useScheme();
const row = computed(() => handRows[props.kind]);
const known = computed(() => hand.hands.get(props.kind)!);
const records = computed(() => hand.records.filter((one) => one.kind === props.kind));
const counted = computed(() => records.value.filter(({ excluded }) => excluded === null));
const isOn = computed(() => !hand.off.includes(props.kind));
const percent = (ratio: number): number => Math.round(1000 * (ratio - 1)) / 10;
const ends = computed(() => biasBetween(known.value));
const said = (reason: boolean): KeptRecord[] =>
  [...records.value].reverse().filter(({ excluded }) => (excluded !== null) === reason);
const points = (some: KeptRecord[], colour: string, symbol: string, name: string): Data => ({
  type: 'scatter',
  mode: 'markers',
  name,
  x: some.map(({ at }) => at),
  y: some.map(({ ratio }) => percent(ratio)),
  text: some.map(({ buildName, title }) => `${buildName}: ${title}`),
  hovertemplate: '%{text}<br>%{y} %<extra></extra>',
  marker: { color: colour, size: 10, symbol },
});
const data = computed<Data[]>(() => [
  points(said(false), colours.value.accent, 'circle', 'counted'),
  points(said(true), colours.value.stop, 'x', 'left out'),
]);
const layout = computed<Partial<Layout>>(() => ({
  showlegend: said(true).length > 0,
  legend: { orientation: 'h', y: 1.2, x: 0 },
  margin: { l: 60, r: 14, t: 26, b: 40 },
  xaxis: { type: 'date' },
  yaxis: { ticksuffix: ' %', zeroline: true, zerolinewidth: 2 },
  shapes: [
    {
      type: 'rect',
      xref: 'paper',
      x0: 0,
      x1: 1,
      y0: percent(ends.value[0]),
      y1: percent(ends.value[1]),
      fillcolor: veiled(colours.value.accent, 0.16),
      line: { width: 0 },
    },
    {
      type: 'line',
      xref: 'paper',
      x0: 0,
      x1: 1,
      y0: percent(handFactor(known.value)),
      y1: percent(handFactor(known.value)),
      line: { color: colours.value.accent, width: 2.5 },
    },
  ],
}));
const leaving = ref<string | null>(null);
const reasons = [
  'a slip of the pen',
  'another recipe',
  'somebody else did it',
  'the scale was off',
];
const anew = (): Promise<void> =>
  hand.exclude(
    counted.value.map(({ id }) => id),
    `begun anew on ${dayText(new Date(), 'full')}`,
  );
async function leaveOut(reason: string): Promise<void> {
  if (leaving.value) await hand.exclude([leaving.value], reason);
  leaving.value = null;
}
</script>

<template>
  <section data-test="kind">
    <h2>{{ row.title }}: {{ biasWords(kind, known) }}</h2>
    <p class="lead">
      From {{ counted.length }} {{ counted.length === 1 ? 'record' : 'records' }}: most likely
      between {{ offBy(ends[0]) }} and {{ offBy(ends[1]) }}, with a spread of
      {{ Math.round(100 * handScatter(known)) }} % about it (usual:
      {{ Math.round(100 * row.cv) }} %). A record counts half as much for every twenty builds since.
    </p>
    <p class="row">
      <v-checkbox :model-value="isOn" data-test="switch" @update:model-value="hand.switchKind(kind)"
        ><template #label>{{
          isOn
            ? `Plans follow it: ${row.moves}, times ${fixed(handFactor(known), 2)}`
            : 'Plans do not follow it'
        }}</template></v-checkbox
      >
      <KeyButton v-if="counted.length > 0" size="small" data-test="begin-anew" @click="anew">
        Begin anew
      </KeyButton>
    </p>
    <ChartPane
      v-if="records.length > 1"
      :data="data"
      :layout="layout"
      :height="210"
      :label="`Records of ${row.title.toLowerCase()} over time`"
    />
    <table class="ledger">
      <thead>
        <tr>
          <th>When</th>
          <th>Cake and step</th>
          <th class="end">Off by</th>
          <th><span class="visually-hidden">Count it or not</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="record in records" :key="record.id" :class="{ out: record.excluded !== null }">
          <td class="when">{{ dayText(parseISO(record.at), 'dated') }}</td>
          <td>
            {{ record.buildName }}<small>{{ record.title }}, {{ record.label }}</small>
            <small v-if="record.excluded" class="why">left out: {{ record.excluded }}</small>
            <span v-if="leaving === record.id" class="reasons">
              <KeyButton
                v-for="reason in reasons"
                :key="reason"
                size="small"
                @click="leaveOut(reason)"
              >
                {{ reason }}
              </KeyButton>
            </span>
          </td>
          <td class="end">{{ offBy(record.ratio) }}</td>
          <td class="end">
            <KeyButton v-if="record.excluded" size="small" @click="hand.exclude([record.id], null)">
              count it
            </KeyButton>
            <KeyButton
              v-else
              size="small"
              :aria-expanded="leaving === record.id"
              @click="leaving = leaving === record.id ? null : record.id"
            >
              leave out
            </KeyButton>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.ledger {
  width: 100%;
}
.row {
  display: flex;
  gap: 18px;
  align-items: center;
  justify-content: space-between;
  flex-wrap: wrap;
}
small {
  display: block;
  color: var(--soft);
}
.out td {
  opacity: 0.8;
}
.why {
  color: var(--stop);
}
.when {
  white-space: nowrap;
}
.reasons {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 6px;
}
</style>
