<script setup lang="ts">
import {
  freshId,
  drills,
  handRows,
  suggestedDrills,
  trendOf,
  type Drill,
  type Try,
} from '@pyrgotect/core';
import type { Data, Layout } from 'plotly.js';
import { computed, onMounted, onUnmounted, ref, shallowRef } from 'vue';
import ChartPane from '../charts/ChartPane.vue';
import QuantityField from '../figures/QuantityField.vue';
import { rangeOf } from '../bench/noting.ts';
import { database } from '../storage/database.ts';
import { useDevices } from '../stores/devices.ts';
import { useHand } from '../stores/hand.ts';
import { useUnits } from '../figures/units.ts';
import { useScheme } from '../styles/scheme.ts';

/** Short exercises for what scatters: a target, tries from the scale or typed, and how they go. */
const hand = useHand();
const units = useUnits();
const { colours } = useScheme();
const devices = useDevices();
const stop = devices.listen();
onUnmounted(stop);
const tries = shallowRef<Try[]>([]);
const load = async (): Promise<void> => {
  tries.value = (await database.tries.toArray()).sort((a, b) => a.at.localeCompare(b.at));
};
onMounted(load);
const suggested = computed(() => suggestedDrills(hand.hands));
const chosenId = ref<string | null>(null);
const chosen = computed<Drill>(
  () => drills.find(({ id }) => id === chosenId.value) ?? suggested.value[0]?.drill ?? drills[0]!,
);
const why = (drill: Drill): string => {
  const found = suggested.value.find((one) => one.drill.id === drill.id);
  return found
    ? `${handRows[found.kind].title.toLowerCase()}, a scatter of ${Math.round(100 * found.scatter)} %`
    : '';
};
const mine = computed(() => tries.value.filter(({ drill }) => drill === chosen.value.id));
const trend = computed(() => trendOf(chosen.value, mine.value));
const text = (n: number): string => units.text(n, chosen.value.show);
const isWeighed = computed(() => chosen.value.show !== 'span');
const typed = ref<number | null>(null);
async function add(actual: number): Promise<void> {
  const { id, target } = chosen.value;
  await database.tries.add({
    id: freshId('try', 13),
    drill: id,
    at: new Date().toISOString(),
    target,
    actual,
  });
  typed.value = null;
  await load();
}
async function takeBack(): Promise<void> {
  const last = mine.value.at(-1);
  if (last) await database.tries.delete(last.id);
  await load();
}
async function take(): Promise<void> {
  if (devices.settledG === null) return;
  await add(Math.max(0.1, devices.settledG));
  devices.ask({ do: 'tare' });
}
const data = computed<Data[]>(() => [
  {
    type: 'scatter',
    mode: 'lines+markers',
    x: mine.value.map((_, i) => i + 1),
    y: mine.value.map(({ actual, target }) => Math.round(1000 * (actual / target - 1)) / 10),
    hovertemplate: 'try %{x}: %{y} %<extra></extra>',
    marker: { color: colours.value.accent, size: 9 },
    line: { color: colours.value.accent, width: 1.5 },
  },
]);
const layout: Partial<Layout> = {
  xaxis: { title: { text: 'try' }, dtick: 1, tick0: 1 },
  yaxis: { ticksuffix: ' %', zeroline: true, zerolinewidth: 2 },
};
</script>

<template>
  <div class="practice" data-test="practice">
    <PickList class="lines" aria-label="What can be practised" :selected="[chosen.id]">
      <v-list-item
        v-for="drill in drills"
        :key="drill.id"
        :value="drill.id"
        :title="drill.title"
        :subtitle="why(drill) ? `worth it: ${why(drill)}` : 'nothing asks for it yet'"
        :class="{ worth: why(drill) }"
        lines="two"
        @click="chosenId = drill.id"
      />
    </PickList>
    <section>
      <h2>{{ chosen.title }}: {{ text(chosen.target) }}, {{ chosen.tries }} times</h2>
      <p class="lead">{{ chosen.how }}</p>
      <p class="row">
        <template v-if="isWeighed && devices.scaleIsThere">
          <output>{{ text(devices.grams ?? 0) }}</output>
          <KeyButton
            variant="flat"
            data-test="take-try"
            :disabled="devices.settledG === null"
            @click="take"
          >
            {{ devices.settledG === null ? 'wait …' : 'Take it' }}
          </KeyButton>
        </template>
        {{ isWeighed && devices.scaleIsThere ? 'or typed' : 'A try, typed' }}
        <QuantityField
          v-model="typed"
          :of="{ kind: chosen.show, min: 0.1, max: rangeOf(chosen).max }"
          label="One try"
          nullable
          auto="–"
        />
        <KeyButton
          data-test="add-try"
          :disabled="typed === null"
          @click="typed !== null && add(typed)"
        >
          Enter it
        </KeyButton>
        <KeyButton v-if="mine.length > 0" variant="text" @click="takeBack">
          take the last one back
        </KeyButton>
      </p>
      <p v-if="trend.cv !== null" class="said" data-test="trend">
        The last {{ Math.min(chosen.tries, trend.count) }} scatter by
        <b>{{ Math.round(100 * trend.cv) }} %</b> and lie
        {{ Math.round(Math.abs(trend.bias! - 1) * 100) }} %
        {{ trend.bias! >= 1 ? 'over' : 'under' }} the target<template v-if="trend.better !== null"
          >; the first round scattered by {{ Math.round(100 * trend.firstCv!) }} %,
          {{ trend.better < 1 ? 'so you are steadier' : 'so you are not steadier yet' }}</template
        >.
      </p>
      <p v-else class="soft">
        {{ trend.count === 0 ? 'No try yet.' : 'One try: one more tells.' }}
      </p>
      <ChartPane
        v-if="mine.length > 1"
        :data="data"
        :layout="layout"
        :height="240"
        :label="`Tries of: ${chosen.title}`"
      />
    </section>
  </div>
</template>

<style scoped>
.practice {
  display: grid;
  grid-template-columns: 290px minmax(0, 1fr);
  gap: 30px;
}
.worth :deep(.v-list-item-subtitle) {
  color: var(--accent);
  font-weight: 600;
}
h2 {
  margin-top: 0;
}
.row {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
  margin: 12px 0;
}
output {
  font: 700 var(--size-head)/1 var(--heading);
}
@media (max-width: 900px) {
  .practice {
    grid-template-columns: 1fr;
  }
}
</style>
