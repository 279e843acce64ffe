<script setup lang="ts">
import {
  factorOf,
  heatQuestion,
  inDegrees,
  type Build,
  type HeatPlan,
  type HeatQuestion,
  type HeatStretch,
  type CakePlan,
  valueWord,
} from '@pyrgotect/core';
import type { Data, Layout } from 'plotly.js';
import { computed, ref } from 'vue';
import ChartPane from '../../charts/ChartPane.vue';
import SheetTabs from '../../parts/SheetTabs.vue';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import TroubleLine from '../../figures/TroubleLine.vue';
import { useAnswer } from '../../workers/useAnswer.ts';
import { useBakeSheet } from './useBakeSheet.ts';
import { veiled } from '../../styles/palette.ts';
import { useScheme } from '../../styles/scheme.ts';

/** From the oven to the table: when it is done, cold, firm, ready to eat, with the curves behind it. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const units = useUnits();
const { colours } = useScheme();
const { store, pantry, tier, tierPlan, recipe } = useBakeSheet(props);
const question = computed<HeatQuestion | null>(() =>
  heatQuestion(tier.value, tierPlan.value, pantry.pantry, props.build.day.chillIn),
);
/** The waits as bench and day have them, with the hand's own correction. */
const times = computed(() => {
  const own = store.plan!.times[props.build.tiers.indexOf(tier.value)]!;
  const chill = factorOf(store.corrections, 'chill');
  return {
    coolMin: own.coolMin,
    firmMin: own.firmMin * chill,
    nextCoatMin: own.nextCoatMin * chill,
    carveMin: own.carveMin * chill,
  };
});
const { answer, trouble, again } = useAnswer<HeatQuestion, HeatPlan>(
  () => question.value,
  (solver, q) => solver.heat(q),
);
/** Of the cake that is done first, as at the bench. */
const window = computed(() => {
  const windows = tierPlan.value.bake.ok
    ? tierPlan.value.bake.value.cakes.flatMap((cake) => cake.window ?? [])
    : [];
  return [...windows].sort((a, b) => a.minutes - b.minutes)[0] ?? null;
});
type Name = HeatStretch['name'];
const shown = ref<Name>('oven');
const tabs: { id: Name; text: string }[] = [
  { id: 'oven', text: 'In the oven' },
  { id: 'rack', text: 'On the rack' },
  { id: 'fridge', text: 'In the fridge' },
  { id: 'room', text: 'Out for serving' },
];
const stretch = computed(() => answer.value?.curve.find((s) => s.name === shown.value) ?? null);
const degrees = (c: number): number => inDegrees(c, settings.system);
const unit = computed(() => `°${settings.system.temperature}`);
const minutes = (n: number): string => (Number.isFinite(n) ? units.text(n, 'minutes') : 'never');
const rises = computed(() => shown.value === 'oven' || shown.value === 'room');
const data = computed<Data[]>(() => {
  const s = stretch.value;
  if (!s) return [];
  const line = (name: string, c: number[], color: string, dash: 'solid' | 'dot'): Data => ({
    type: 'scatter',
    mode: 'lines',
    name,
    x: s.minutes,
    y: c.map(degrees),
    line: { color, width: 2.5, dash },
    hovertemplate: `%{x:.0f} min: %{y:.0f} ${unit.value}<extra>${name}</extra>`,
  });
  return [
    line('the middle', s.centreC, colours.value['warn-mark'], 'solid'),
    line(s.name === 'oven' ? 'the outside' : 'outer 1 cm', s.shellC, colours.value.accent, 'dot'),
  ];
});
const layout = computed<Partial<Layout>>(() => {
  const s = stretch.value;
  const window = shown.value === 'oven' ? answer.value?.bake : null;
  return {
    xaxis: { title: { text: 'minutes' }, rangemode: 'tozero' },
    yaxis: { title: { text: unit.value } },
    legend: { orientation: 'h', x: 0, y: 1.16 },
    shapes: [
      ...(window
        ? [
            {
              type: 'rect' as const,
              x0: window.fromMin,
              x1: window.toMin,
              y0: 0,
              y1: 1,
              yref: 'paper' as const,
              fillcolor: veiled(colours.value['warn-mark'], 0.14),
              line: { width: 0 },
            },
          ]
        : []),
      ...(s?.marks ?? []).map((mark) => ({
        type: 'line' as const,
        x0: mark.minute,
        x1: mark.minute,
        y0: 0,
        y1: 1,
        yref: 'paper' as const,
        line: { color: colours.value.faint, width: 1.2, dash: 'dash' as const },
      })),
    ],
    annotations: (s?.marks ?? []).map((mark, i) => ({
      x: mark.minute,
      // under a curve that rises, over one that falls
      y: rises.value ? 0.08 + 0.13 * i : 0.98 - 0.13 * i,
      yref: 'paper' as const,
      text: `${mark.text}, ${minutes(mark.minute)}`,
      showarrow: false,
      xanchor:
        mark.minute > (s!.minutes.at(-1) ?? 0) * 0.6 ? ('right' as const) : ('left' as const),
      xshift: mark.minute > (s!.minutes.at(-1) ?? 0) * 0.6 ? -4 : 4,
    })),
  };
});
</script>

<template>
  <div data-test="heat">
    <TroubleLine :trouble="trouble" what="Baking and cooling" @again="again" />
    <template v-if="answer">
      <p class="sentence">
        <template v-if="window"
          >Look from <b>{{ minutes(window.fromMin) }}</b>, likely done after
          <b>{{ minutes(window.minutes) }}</b>, by <b>{{ minutes(window.toMin) }}</b>.</template
        >
        On a rack <b>{{ minutes(times.coolMin) }}</b> until it can be cut. In the
        {{ valueWord(build.day.chillIn) }} <b>{{ minutes(times.firmMin) }}</b> firm the crumb coat,
        <b>{{ minutes(times.nextCoatMin) }}</b> make it ready for the next coat or for drips,
        <b>{{ minutes(tierPlan.carve ? times.carveMin : answer.carveMin) }}</b> firm enough to
        carve, <b>{{ minutes(answer.throughMin) }}</b> cold right through. Out
        <b>{{ minutes(store.plan?.serving?.outMin ?? answer.warmMin) }}</b> before it is
        cut<template v-if="answer.freezeLayerMin !== null"
          >; a wrapped layer is frozen after <b>{{ minutes(answer.freezeLayerMin) }}</b></template
        >.
      </p>
      <SheetTabs v-model="shown" :tabs="tabs" label="Stretch of the curve">
        <ChartPane
          v-if="stretch"
          :data="data"
          :layout="layout"
          :height="280"
          :label="`Temperatures, ${tabs.find((t) => t.id === shown)!.text.toLowerCase()}`"
        />
      </SheetTabs>
      <p class="lead">
        All of it is estimate: conduction through a body of this size, the bake calibrated by
        {{ recipe?.bake ? `the time of ${recipe.name} in its own tin` : 'an ordinary sponge' }}.
        Right to about a quarter; short for cupcakes and very deep cakes. The heat of setting and
        freezing is left out but for the wrapped layer, which is given up to
        {{ units.text(60, 'thickness') }}. Keep what is perishable cold by the clock of your local
        food code, not by this.
      </p>
    </template>
    <p v-else-if="!question" class="lead">There is nothing baked in a tin to work it out for.</p>
    <p v-else-if="!trouble" class="lead">Working it out …</p>
  </div>
</template>
