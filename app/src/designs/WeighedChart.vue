<script setup lang="ts">
import type { Weighed } from '@pyrgotect/core';
import type { Data, Layout } from 'plotly.js';
import { computed, ref } from 'vue';
import ChartPane from '../charts/ChartPane.vue';
import { useUnits } from '../figures/units.ts';
import { useScheme } from '../styles/scheme.ts';

/** Every cake that was planned, by work and cost; those that are offered stand out. */
const props = defineProps<{ weighed: readonly Weighed[] }>();
const { colours } = useScheme();
const units = useUnits();
const isOpen = ref<string | null>(null);
const minutesToHour = 60;

/** The sign of the money, without an amount. */
const currency = computed(() => units.text(0, 'money').replace(/[\d.,\s]/g, ''));
const told = ({ tiers, weights }: Weighed): string =>
  [
    tiers === 1 ? 'one tier' : `${tiers} tiers`,
    `${units.text(weights.heightMm, 'size')} high`,
    `${weights.over} over`,
  ].join(', ');
const data = computed<Data[]>(() => {
  const points = (name: string, all: readonly Weighed[], color: string, size: number): Data => ({
    type: 'scatter',
    mode: 'markers',
    name,
    x: all.map(({ weights }) => weights.handsOnMin / minutesToHour),
    y: all.map(({ weights }) => weights.cost),
    text: all.map(told),
    hovertemplate: '%{text}<extra></extra>',
    marker: { color, size },
  });
  const { accent, soft } = colours.value;
  return [
    points(
      'weighed',
      props.weighed.filter(({ offered }) => !offered),
      soft,
      7,
    ),
    points(
      'offered',
      props.weighed.filter(({ offered }) => offered),
      accent,
      13,
    ),
  ];
});
const layout = computed<Partial<Layout>>(() => ({
  legend: { orientation: 'h', x: 0, y: 1.16 },
  xaxis: { title: { text: 'hours of work' }, rangemode: 'tozero' },
  yaxis: { title: { text: `cost of what goes in, ${currency.value}` }, rangemode: 'tozero' },
}));
</script>

<template>
  <v-expansion-panels v-model="isOpen" variant="accordion" class="weighed">
    <v-expansion-panel :title="`All ${weighed.length} that were planned`" value="chart">
      <template #text>
        <p class="lead">
          None of them beats one that is offered in portions over, work, work on the day, cost,
          height, what is left over and steadiness at once; the tallest and the one with most tiers
          are offered whatever they cost.
        </p>
        <ChartPane
          :data="data"
          :layout="layout"
          :height="280"
          label="Work and cost of every cake that was planned"
        />
      </template>
    </v-expansion-panel>
  </v-expansion-panels>
</template>

<style scoped>
.weighed {
  margin-top: 22px;
}
</style>
