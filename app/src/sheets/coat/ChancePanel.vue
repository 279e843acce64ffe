<script setup lang="ts">
import {
  chancePartsOf,
  G_PER_OZ,
  leftoverUse,
  limits,
  type BowlChance,
  type Build,
  type ChanceQuestion,
  type CakePlan,
  word,
} from '@pyrgotect/core';
import type { Data, Layout } from 'plotly.js';
import { computed, ref } from 'vue';
import ChartPane from '../../charts/ChartPane.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import TroubleLine from '../../figures/TroubleLine.vue';
import { useAnswer } from '../../workers/useAnswer.ts';
import { useSheet } from '../useSheet.ts';
import { useScheme } from '../../styles/scheme.ts';
import TermWord from '../../help/TermWord.vue';

/** What each bowl may need, over 5,000 simulated cakes, and how often it runs short. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const units = useUnits();
const { colours } = useScheme();
const { store, pantry } = useSheet(props);
const bowls = computed(() => (props.plan.bowls.ok ? props.plan.bowls.value : []));
const question = computed<ChanceQuestion | null>(() =>
  bowls.value.length === 0
    ? null
    : {
        bowls: bowls.value.map((bowl) => ({
          id: bowl.id,
          parts: chancePartsOf(bowl),
          madeG: bowl.makeG,
        })),
        draws: 5000,
        seed: 1,
        short: props.build.shortShare,
      },
);
const { answer, current, trouble, again } = useAnswer<ChanceQuestion, BowlChance[]>(
  () => question.value,
  (solver, q) => solver.chance(q),
);
const chosen = ref('');
const bowl = computed(() => bowls.value.find((b) => b.id === chosen.value) ?? bowls.value[0]);
const chanceOf = (id: string): BowlChance | undefined =>
  answer.value?.find((each) => each.id === id);
const chance = computed(() => chanceOf(bowl.value?.id ?? ''));
const mass = (g: number): string => units.text(g, 'bowl');
const oneIn = (share: number): string =>
  share <= 0
    ? 'never in 5,000'
    : share >= 0.5
      ? `${Math.round(share * 100)} in 100`
      : `1 in ${Math.round(1 / share)}`;
const accepted = computed(() => Math.round(1 / props.build.shortShare));
const spreadOf = (id: string) => pantry.pantry.spreads.find((row) => row.id === id);

const unit = computed(() => (settings.system.mass === 'g' ? 1 : 1 / G_PER_OZ));
const data = computed<Data[]>(() => {
  if (!chance.value || !bowl.value) return [];
  const { fromG, wideG, counts } = chance.value.bins;
  const middles = counts.map((_, i) => fromG + (i + 0.5) * wideG);
  const short = middles.map((g) => g > bowl.value!.makeG);
  const bars = (name: string, isShort: boolean, color: string): Data => ({
    type: 'bar',
    name,
    x: middles.map((g) => g * unit.value),
    y: counts.map((n, i) => (short[i] === isShort ? n / 50 : 0)),
    width: wideG * unit.value * 0.94,
    marker: { color },
    hoverinfo: 'skip',
  });
  return [
    bars('it is enough', false, colours.value.accent),
    bars('it runs short', true, colours.value.stop),
  ];
});
const layout = computed<Partial<Layout>>(() => {
  const line = (g: number, dash: 'solid' | 'dot') => ({
    type: 'line' as const,
    x0: g * unit.value,
    x1: g * unit.value,
    y0: 0,
    y1: 1,
    yref: 'paper' as const,
    line: { color: colours.value['warn-mark'], width: 2, dash },
  });
  const mark = (g: number, text: string, y: number) => ({
    x: g * unit.value,
    y,
    yref: 'paper' as const,
    text,
    showarrow: false,
    xanchor: 'left' as const,
    xshift: 5,
  });
  return {
    barmode: 'stack',
    bargap: 0,
    legend: { orientation: 'h', x: 0, y: 1.16 },
    xaxis: { title: { text: `needed, ${settings.system.mass}` } },
    yaxis: { title: { text: 'cakes in 100' }, rangemode: 'tozero' },
    shapes: bowl.value ? [line(bowl.value.needG, 'dot'), line(bowl.value.makeG, 'solid')] : [],
    annotations: bowl.value
      ? [
          mark(bowl.value.needG, word('planned'), 1.04),
          mark(bowl.value.makeG, `made: ${mass(bowl.value.makeG)}`, 0.92),
        ]
      : [],
  };
});
</script>

<template>
  <div v-if="bowl" data-test="chance">
    <p class="sentence">
      I accept to <TermWord id="short">run short</TermWord> once in
      <QuantityField
        :model-value="accepted"
        :of="{ kind: 'count', min: 2, max: Math.round(1 / limits.shortShare.min) }"
        label="Cakes to one that runs short"
        @update:model-value="
          (n) =>
            store.edit('Accepted chance of running short', (d) => {
              d.shortShare = 1 / n;
            })
        "
      />
      cakes.
    </p>
    <table class="ledger">
      <thead>
        <tr>
          <th scope="col">bowl</th>
          <th scope="col" class="end">nine in ten need</th>
          <th scope="col" class="end">make</th>
          <th scope="col" class="end">likely left</th>
          <th scope="col" class="end">another batch</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in bowls" :key="each.id" :class="{ now: each.id === bowl.id }">
          <td>
            <button type="button" :aria-pressed="each.id === bowl.id" @click="chosen = each.id">
              {{ each.name }}
            </button>
          </td>
          <template v-if="chanceOf(each.id)">
            <td class="end">
              {{ mass(chanceOf(each.id)!.lowG) }} to {{ mass(chanceOf(each.id)!.highG) }}
            </td>
            <td class="end">
              <b>{{ mass(each.makeG) }}</b>
            </td>
            <td class="end">{{ mass(chanceOf(each.id)!.leftG) }}</td>
            <td class="end" data-test="short">{{ oneIn(chanceOf(each.id)!.short) }}</td>
          </template>
          <td v-else colspan="4" class="soft">Working it out …</td>
        </tr>
      </tbody>
    </table>
    <TroubleLine :trouble="trouble" what="The chances" @again="again" />
    <ChartPane
      v-if="chance"
      :data="data"
      :layout="layout"
      :height="260"
      :label="`What the ${bowl.name} may need`"
    />
    <p v-if="chance && spreadOf(bowl.spreadId)" class="lead" :class="{ old: !current }">
      {{ bowl.name }}:
      {{ units.say(leftoverUse(spreadOf(bowl.spreadId)!, chance.leftG)) }}
    </p>
    <p class="lead">
      5,000 cakes are simulated, always the same ones. Coats vary by 18 %, nine tenths of it the
      hand that spreads them all; piping by 20 %, what is weighed by 4 %, losses by 30 %: a start,
      until your own records say better.
    </p>
  </div>
</template>

<style scoped>
table {
  width: 100%;
  margin-bottom: 8px;
}
td button {
  text-align: left;
  text-decoration: underline dotted var(--soft) 1px;
  text-underline-offset: 3px;
}
.now td {
  font-weight: 700;
}
.old {
  opacity: 0.6;
}
</style>
