<script setup lang="ts">
import {
  inDegrees,
  type Build,
  type CakePlan,
  type CourseGate,
  type CourseStretch,
} from '@pyrgotect/core';
import { dayAndHour } from '../../locale/when.ts';
import type { Data, Layout } from 'plotly.js';
import { computed, ref } from 'vue';
import ChartPane from '../../charts/ChartPane.vue';
import SheetTabs from '../../parts/SheetTabs.vue';
import { useBuild } from '../../stores/build.ts';
import { useDay } from '../../stores/day.ts';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import { veiled } from '../../styles/palette.ts';
import { useScheme } from '../../styles/scheme.ts';

/** How warm each tier is from its first layer to the table, by the plan of the days. */
defineProps<{ build: Build; plan: CakePlan }>();
const store = useBuild();
const day = useDay();
const settings = useSettings();
const units = useUnits();
const { colours } = useScheme();
const chosen = ref<string | null>(null);
const course = computed(
  () => day.courses.find(({ tierId }) => tierId === chosen.value) ?? day.courses[0] ?? null,
);
const tabs = computed(() =>
  day.courses.map(({ tierId, tierName }) => ({ id: tierId, text: tierName })),
);
const shown = computed({
  get: () => course.value?.tierId ?? '',
  set: (id: string) => (chosen.value = id),
});
const degrees = (c: number): number => inDegrees(c, settings.system);
const temperature = (c: number): string => units.text(c, 'temperature');
const minutes = (n: number): string => units.text(n, 'minutes');
const when = (at: number): string => dayAndHour(day.dateOf(at), 'weekday');
const stackedFrom = computed(() =>
  (course.value?.parts ?? [])
    .map(
      ({ name, massG, tempC }) => `${name} ${units.text(massG, 'bowl')} at ${temperature(tempC)}`,
    )
    .join(', '),
);
const unit = computed(() => `°${settings.system.temperature}`);

const asks: Record<CourseGate['what'], string> = {
  coat: 'firm to be coated',
  flow: 'its coat, as reckoned',
  carve: 'firm to carve',
  leave: 'cold for the road',
  eat: '',
};
const depth = (gate: CourseGate): string =>
  `outer ${units.text(gate.depthMm, 'thickness')}; the middle ${temperature(gate.middleC)}`;

/** Has what runs reckoned over the coat that it will meet. */
const reckonWith = (gate: CourseGate): void => {
  const id = course.value?.tierId;
  store.edit('Temperature of the coat', (draft) => {
    const tier = draft.tiers.find((one) => one.id === id);
    const flow = tier?.pour ?? tier?.drip;
    if (flow) flow.coatC = Math.round(gate.foundC);
  });
};

const line = (name: string, y: number[], color: string, dash: 'solid' | 'dot'): Data => ({
  type: 'scatter',
  mode: 'lines',
  name,
  x: course.value!.points.map(({ atMin }) => day.dateOf(atMin)),
  y,
  line: { color, width: 2.5, dash },
  hovertemplate: `%{x|%a %H:%M}: %{y:.0f} ${unit.value}<extra>${name}</extra>`,
});
const data = computed<Data[]>(() => {
  const points = course.value?.points ?? [];
  return points.length === 0
    ? []
    : [
        line(
          'outer 1 cm',
          points.map(({ outsideC }) => degrees(outsideC)),
          colours.value.accent,
          'solid',
        ),
        line(
          'the middle',
          points.map(({ middleC }) => degrees(middleC)),
          colours.value['warn-mark'],
          'dot',
        ),
      ];
});
const isWarm = ({ place }: CourseStretch): boolean => place !== 'fridge' && place !== 'freezer';
const layout = computed<Partial<Layout>>(() => ({
  xaxis: { type: 'date', tickformat: '%a %H:%M', nticks: 7 },
  yaxis: { title: { text: unit.value } },
  legend: { orientation: 'h', x: 0, y: 1.16 },
  // out of the cold is shaded
  shapes: (course.value?.stretches ?? []).filter(isWarm).map(({ fromMin, toMin }) => ({
    type: 'rect' as const,
    x0: day.dateOf(fromMin).getTime(),
    x1: day.dateOf(toMin).getTime(),
    y0: 0,
    y1: 1,
    yref: 'paper' as const,
    fillcolor: veiled(colours.value['warn-mark'], 0.14),
    line: { width: 0 },
  })),
}));
</script>

<template>
  <div data-test="warmth">
    <p v-if="!course" class="lead">
      When the days are planned, this shows how warm each tier is at every step.
    </p>
    <template v-else>
      <SheetTabs v-if="tabs.length > 1" v-model="shown" :tabs="tabs" label="Tier" />
      <p v-if="course.parts.length > 0" data-test="stacked-from">
        Stacked at <b>{{ temperature(course.stackedC) }}</b>: {{ stackedFrom }}.
      </p>
      <table v-if="course.gates.length > 0" class="ledger">
        <thead>
          <tr>
            <th>Then</th>
            <th>Step</th>
            <th class="end">Wanted</th>
            <th class="end">By this plan</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="gate in course.gates" :key="`${gate.stepKey}/${gate.what}`">
            <td class="when">{{ when(gate.atMin) }}</td>
            <td>
              {{ gate.title }}
              <small class="soft">{{ depth(gate) }}</small>
              <small v-if="gate.moreMin === null" class="over"
                >never so cold in this fridge within a day</small
              >
              <small v-else-if="gate.moreMin > 0" class="over"
                >{{ minutes(gate.moreMin) }} more in the cold</small
              >
              <KeyButton
                v-if="gate.isOff"
                size="small"
                data-test="reckon-with"
                @click="reckonWith(gate)"
              >
                Reckon with {{ temperature(gate.foundC) }}
              </KeyButton>
            </td>
            <td class="end">
              <template v-if="gate.wantedC !== null"
                >{{ temperature(gate.wantedC) }}
                <small class="soft">{{ asks[gate.what] }}</small></template
              >
              <template v-else>–</template>
            </td>
            <td class="end">
              <b :class="{ over: gate.moreMin !== 0 }">{{ temperature(gate.foundC) }}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <ChartPane
        :data="data"
        :layout="layout"
        :height="280"
        :label="`${course.tierName}: how warm its outside and its middle are until it is served; shaded where it is out of the cold`"
      />
      <p class="soft">
        Shaded: out of the cold, with hands on it, on the road or at the table. Between tasks it is
        taken to stand in the fridge. An estimate, right to two degrees or so; what you read with a
        thermometer at a step where it chills stands in its place, for all that follows.
      </p>
    </template>
  </div>
</template>

<style scoped>
td small {
  display: block;
}
.when {
  white-space: nowrap;
}
.over {
  color: var(--stop);
}
</style>
