<script setup lang="ts">
import {
  biasBetween,
  handFactor,
  handKinds,
  handQuantile,
  handRows,
  type Hand,
  type HandKind,
  word,
} from '@pyrgotect/core';
import type { Data, Layout } from 'plotly.js';
import { computed } from 'vue';
import ChartPane from '../charts/ChartPane.vue';
import { useHand } from '../stores/hand.ts';
import { veiled } from '../styles/palette.ts';
import { useScheme } from '../styles/scheme.ts';

/** Every kind of figure with records: where it lies, how sure that is, and where the next will fall. */
const chosen = defineModel<HandKind | null>({ required: true });
const hand = useHand();
const { colours } = useScheme();
const percent = (factor: number): number => 100 * (factor - 1);
const rows = computed(() =>
  handKinds.flatMap((kind) => {
    const known = hand.hands.get(kind);
    return known && known.count > 0 ? [{ kind, known }] : [];
  }),
);
const names = computed(() => rows.value.map(({ kind }) => handRows[kind].title));
const span = (low: number, high: number): string =>
  `${Math.round(percent(low))} % to ${Math.round(percent(high))} %`;
const said = (known: Hand): string => {
  const [low, high] = biasBetween(known);
  return `${Math.round(percent(handFactor(known)))} %, most likely ${span(low, high)}<br>the next one ${span(handQuantile(known, 0.05), handQuantile(known, 0.95))}, nine times in ten<br>${known.count} ${known.count === 1 ? 'record' : 'records'}`;
};
const line = (
  width: number,
  ends: (known: Hand) => [number, number],
  colour: string,
  name: string,
): Data => ({
  type: 'scatter',
  mode: 'lines',
  name,
  x: rows.value.flatMap(({ known }) => [...ends(known).map(percent), null]) as number[],
  y: rows.value.flatMap(({ kind }) => [
    handRows[kind].title,
    handRows[kind].title,
    handRows[kind].title,
  ]),
  line: { width, color: colour },
  hoverinfo: 'skip',
  connectgaps: false,
});
const data = computed<Data[]>(() => [
  line(
    9,
    (known) => [handQuantile(known, 0.05), handQuantile(known, 0.95)],
    veiled(colours.value.faint, 0.4),
    'the next one, nine times in ten',
  ),
  line(9, biasBetween, colours.value.accent, 'bias, nine times in ten'),
  {
    type: 'scatter',
    mode: 'markers',
    name: word('bias'),
    x: rows.value.map(({ known }) => percent(handFactor(known))),
    y: names.value,
    customdata: rows.value.map(({ kind }) => kind) as never,
    text: rows.value.map(({ known }) => said(known)),
    hovertemplate: '<b>%{y}</b><br>%{text}<extra></extra>',
    showlegend: false,
    marker: {
      size: rows.value.map(({ kind }) => (kind === chosen.value ? 17 : 12)),
      color: colours.value.ink,
      line: { color: colours.value.milk, width: 2 },
    },
  },
]);
const layout = computed<Partial<Layout>>(() => ({
  margin: { l: 190, r: 20, t: 8, b: 74 },
  xaxis: {
    title: { text: 'more or less than planned, %' },
    ticksuffix: ' %',
    zeroline: true,
    zerolinewidth: 2,
  },
  yaxis: { type: 'category', categoryarray: [...names.value].reverse(), automargin: true },
  legend: { orientation: 'h', y: -0.24, x: 0 },
}));
</script>

<template>
  <ChartPane
    :data="data"
    :layout="layout"
    :height="Math.max(220, 110 + 34 * rows.length)"
    label="Bias and spread of every kind of figure"
    @choose="(kind) => (chosen = kind as HandKind)"
  />
</template>
