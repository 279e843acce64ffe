<script setup lang="ts">
import {
  G_PER_OZ,
  phrase,
  stepOf,
  takeWay,
  type Build,
  type HeightAnswer,
  type HeightQuestion,
  type HeightWay,
  type CakePlan,
  word,
} from '@pyrgotect/core';
import { proxy } from 'comlink';
import type { Data, Layout } from 'plotly.js';
import { computed, ref, watch } from 'vue';
import ChartPane from '../../charts/ChartPane.vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import TroubleLine from '../../figures/TroubleLine.vue';
import { useAnswer } from '../../workers/useAnswer.ts';
import { useSheet } from '../useSheet.ts';
import { useScheme } from '../../styles/scheme.ts';

/** Which tins, cakes and cuts reach a wished height: a point for each way, to be chosen. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const units = useUnits();
const { colours } = useScheme();
const { pantry, tier, tierPlan, editTier } = useSheet(props);

const step = computed(() => stepOf('size', settings.system));
const nearStep = (mm: number): number => Math.round(mm / step.value) * step.value;
const wanted = ref(nearStep(tierPlan.value.stack.uncutMm));
watch(
  () => tier.value.id,
  () => (wanted.value = nearStep(tierPlan.value.stack.uncutMm)),
);
const layerMm = ref<[number, number]>([15, 40]);
const gapMm = ref<[number, number]>([4, 12]);
const share = ref(0.25);
const tins = ref<'mine' | 'all'>('mine');
const tinChoices = [
  { value: 'mine' as const, text: 'the tins I own' },
  { value: 'all' as const, text: 'any tin in the pantry' },
];
const ranges = { layer: layerMm, gap: gapMm };
const set = (name: keyof typeof ranges, at: 0 | 1, mm: number | null): void => {
  if (mm === null) return;
  const next: [number, number] = [...ranges[name].value];
  next[at] = mm;
  ranges[name].value = [Math.min(...next), Math.max(...next)];
};

const question = computed<HeightQuestion | null>(() => {
  const sponge = pantry.pantry.sponges.find((row) => row.id === tier.value.spongeId);
  const find = (id: string) => pantry.pantry.spreads.find((row) => row.id === id);
  const coatSpread = find(tier.value.coat.spreadId);
  const spread = find(tier.value.gaps[0]?.spreadId ?? tier.value.coat.spreadId);
  if (!sponge || !spread || !coatSpread) return null;
  // what the ways replace is not part of the question, so that taking one does not ask anew
  const asked = {
    ...tier.value,
    layers: [],
    gaps: tier.value.gaps.slice(0, 1),
    tinId: '',
    slicesPerCake: 1,
  };
  return {
    heightMm: wanted.value,
    tier: { ...asked, gaps: asked.gaps.map((gap) => ({ ...gap, heightMm: 1 })) },
    layerMm: layerMm.value,
    gapMm: gapMm.value,
    fillingShare: share.value,
    stepMm: stepOf('thickness', settings.system),
    maxLayers: 8,
    sponge,
    spread,
    coatSpread,
    tins: pantry.pantry.tins,
    kitchen: pantry.pantry.kitchen,
    onlyOwned: tins.value === 'mine',
  };
});
const { answer, current, progress, trouble, again } = useAnswer<HeightQuestion, HeightAnswer>(
  () => question.value,
  (solver, q, tell) => solver.height(q, proxy(tell)),
);

const tinName = (id: string): string => pantry.pantry.tins.find((t) => t.id === id)?.name ?? id;
const text = (mm: number, kind: 'size' | 'thickness' | 'bowl' = 'thickness'): string =>
  units.text(mm, kind);
const isNow = (way: HeightWay): boolean =>
  way.tinId === tier.value.tinId &&
  way.slices === tier.value.slicesPerCake &&
  way.layers === tier.value.layers.length &&
  tier.value.layers.every((layer) => Math.abs(layer.heightMm - way.layerMm) < 0.01) &&
  tier.value.gaps.every((gap) => Math.abs(gap.heightMm - way.gapMm) < 0.01);
const cakes = (way: HeightWay): string =>
  `${way.cakes} ${way.cakes === 1 ? 'cake' : 'cakes'} in the ${tinName(way.tinId)}, ${way.slices === 1 ? 'not split' : `each split into ${way.slices}`}`;
const ways = computed(() => answer.value?.ways ?? []);
const reached = computed(() => ways.value.filter((way) => Math.abs(way.missMm) < 0.5));
/** The ways worth reading: those that no other beats, or the nearest ones when none reaches. */
const listed = computed(() => {
  const from = reached.value.length > 0 ? reached.value : ways.value.slice(0, 5);
  const best = from.filter((way) => way.best);
  return (best.length > 0 ? best : from).slice(0, 7);
});
const summary = computed(() => {
  if (trouble.value) return '';
  if (!answer.value || !current.value) return 'Working it out …';
  const { nearest, problem } = answer.value;
  if (reached.value.length > 0)
    return `${reached.value.length} ${reached.value.length === 1 ? 'way reaches' : 'ways reach'} ${text(wanted.value, 'size')}`;
  if (!nearest) return problem ?? 'No way was found.';
  return units.say(
    phrase(
      `${problem ?? ''} The nearest comes to {height}, {miss} ${nearest.missMm > 0 ? 'over' : 'short'}.`,
      {
        height: [nearest.heightMm, 'span'],
        miss: [Math.abs(nearest.missMm), 'thickness'],
      },
    ),
  );
});
function take(way: HeightWay): void {
  if (!current.value) return;
  editTier(`${way.layers} layers, ${text(way.heightMm, 'size')} high`, (t) => takeWay(t, way));
}

const gramsIn = computed(() => (settings.system.mass === 'g' ? 1 : 1 / G_PER_OZ));
const chart = computed<Data[]>(() => {
  const shown = reached.value.length > 0 ? reached.value : ways.value.slice(0, 12);
  const points = (some: HeightWay[], name: string, marker: object): Data => ({
    type: 'scatter',
    mode: 'markers',
    name,
    x: some.map((way) => way.fillingShare * 100),
    y: some.map((way) => way.batterG * gramsIn.value),
    customdata: some.map((way) => ways.value.indexOf(way)),
    text: some.map(
      (way) =>
        `${way.layers} layers of ${text(way.layerMm)}, fillings ${text(way.gapMm)}; ${cakes(way)}`,
    ),
    hoverinfo: 'text',
    marker,
  });
  const now = shown.filter(isNow);
  return [
    points(
      shown.filter((way) => !way.best && !isNow(way)),
      word('others'),
      { size: 11, color: 'rgba(0,0,0,0)', line: { color: colours.value.faint, width: 1.5 } },
    ),
    points(
      shown.filter((way) => way.best && !isNow(way)),
      'no other beats it',
      { size: 13, color: colours.value.accent, symbol: 'diamond' },
    ),
    points(now, 'this cake', { size: 17, color: colours.value['warn-mark'], symbol: 'square' }),
  ];
});
const layout = computed<Partial<Layout>>(() => ({
  xaxis: { title: { text: 'filling in the stack, %' }, rangemode: 'tozero' },
  yaxis: { title: { text: `batter, ${settings.system.mass}` }, rangemode: 'tozero' },
  legend: { orientation: 'h', x: 0, y: 1.12 },
  shapes: [
    {
      type: 'line',
      x0: share.value * 100,
      x1: share.value * 100,
      y0: 0,
      y1: 1,
      yref: 'paper',
      line: { color: colours.value.faint, width: 1, dash: 'dot' },
    },
  ],
}));
const choose = (what: unknown): void => {
  const way = typeof what === 'number' ? ways.value[what] : undefined;
  if (way) take(way);
};
</script>

<template>
  <div data-test="height-solver">
    <TroubleLine :trouble="trouble" what="The ways to this height" @again="again" />
    <p class="sentence">
      Make this tier
      <QuantityField
        :model-value="wanted"
        :of="{ kind: 'span', min: 20, max: 900 }"
        label="Wanted finished height"
        @update:model-value="(mm) => (wanted = mm)"
      />
      high, coat included<template v-if="tierPlan.carve">, before it is carved</template>, from
      <ChoiceField v-model="tins" label="Which tins" :options="tinChoices" />, with layers of
      <QuantityField
        :model-value="layerMm[0]"
        :of="{ kind: 'thickness', min: 5, max: 100 }"
        label="Thinnest layer"
        @update:model-value="(mm) => set('layer', 0, mm)"
      />
      to
      <QuantityField
        :model-value="layerMm[1]"
        :of="{ kind: 'thickness', min: 5, max: 100 }"
        label="Thickest layer"
        @update:model-value="(mm) => set('layer', 1, mm)"
      />, fillings of
      <QuantityField
        :model-value="gapMm[0]"
        :of="{ kind: 'thickness', min: 1, max: 60 }"
        label="Thinnest filling"
        @update:model-value="(mm) => set('gap', 0, mm)"
      />
      to
      <QuantityField
        :model-value="gapMm[1]"
        :of="{ kind: 'thickness', min: 1, max: 60 }"
        label="Thickest filling"
        @update:model-value="(mm) => set('gap', 1, mm)"
      />, about
      <QuantityField
        :model-value="share"
        :of="{ kind: 'share', min: 0.02, max: 0.6 }"
        label="Wished share of filling"
        @update:model-value="(s) => (share = s)"
      />
      of it filling.
    </p>
    <h2 data-test="height-summary" aria-live="polite">{{ summary }}</h2>
    <progress
      v-if="progress !== null"
      :value="progress"
      max="1"
      aria-label="Working out the ways"
    />
    <ChartPane
      v-if="ways.length > 0"
      :data="chart"
      :layout="layout"
      :height="250"
      label="Every way to this height, by its share of filling and its batter"
      @choose="choose"
    />
    <p v-if="ways.length > 0" class="lead">
      Choose a point, or a line below, and the cake is built that way.
    </p>
    <table v-if="listed.length > 0" class="ways">
      <thead>
        <tr>
          <th scope="col">stack</th>
          <th scope="col">baked as</th>
          <th scope="col" class="right">batter</th>
          <th scope="col" class="right">cut off</th>
          <th scope="col" class="right">loads</th>
          <th scope="col"><span class="visually-hidden">take it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(way, i) in listed" :key="i" :class="{ now: isNow(way) }">
          <td>
            {{ way.layers }} × {{ text(way.layerMm)
            }}<template v-if="way.layers > 1">, fillings {{ text(way.gapMm) }}</template>
            <template v-if="Math.abs(way.missMm) >= 0.5"
              >: {{ text(way.heightMm, 'size') }}</template
            >
          </td>
          <td class="soft">{{ cakes(way) }}</td>
          <td class="right">{{ text(way.batterG, 'bowl') }}</td>
          <td class="right">{{ text(way.wasteG, 'bowl') }}</td>
          <td class="right">{{ way.loads }}</td>
          <td class="right">
            <span v-if="isNow(way)">this cake</span>
            <KeyButton
              v-else
              size="small"
              data-test="take-way"
              :disabled="!current"
              @click="take(way)"
            >
              Build it so
            </KeyButton>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="lead">
      The dab, the coat, domes left on and what soft fillings settle are all in the height. Fillings
      are given as they are spread.
    </p>
  </div>
</template>

<style scoped>
progress {
  width: 100%;
  height: 5px;
  accent-color: var(--accent);
}
.ways {
  border-collapse: collapse;
  width: 100%;
  font-size: var(--size-note);
}
.ways th,
.ways td {
  text-align: left;
  padding: 5px 10px 5px 0;
  border-top: 1px solid var(--line);
  font-weight: 400;
  vertical-align: middle;
}
.ways thead th {
  color: var(--soft);
  border: 0;
  font-size: var(--size-note);
}
.ways .right {
  text-align: right;
  white-space: nowrap;
}
.ways .now td {
  font-weight: 700;
}
</style>
