<script setup lang="ts">
import { type Build, type Layer, type CakePlan } from '@pyrgotect/core';
import { computed } from 'vue';
import TroubleLine from '../../figures/TroubleLine.vue';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';
import LevelDial from './LevelDial.vue';
import RimReadings from './RimReadings.vue';
import { hourText, useLevel } from './useLevel.ts';

/** A dial for each layer, with its rim readings, the turn it gets, and the wedge that remains. */
const props = defineProps<{ build: Build; plan: CakePlan; big?: boolean }>();
const units = useUnits();
const { tier, editTier, store } = useSheet(props);
const { measured, best, now, wedge, order, trouble, again } = useLevel(tier);
const mm = (value: number): string => units.text(value, 'thickness');
/** Tilts are a matter of tenths. */
const fine = (value: number): string => units.text(value, 'fine');
const eight = computed(() => tier.value.layers.some((layer) => layer.rimMm.length === 8));

const setLayer = (index: number, label: string, change: Partial<Layer>): void =>
  editTier(label, (t) => void Object.assign(t.layers[index]!, change));
function turnAll(): void {
  const found = best.value;
  if (!found) return;
  editTier('Turn the layers level', (t) => {
    measured.value.forEach(({ index }, k) => (t.layers[index]!.turnSteps = found.turns[k]!));
  });
}
function turnBack(): void {
  editTier('Turns taken back', (t) => t.layers.forEach((layer) => (layer.turnSteps = null)));
}
function stackInOrder(): void {
  const advice = order.value;
  if (!advice || measured.value.length !== tier.value.layers.length) return;
  editTier('Order of the layers', (t) => {
    t.layers = advice.order.map((i) => JSON.parse(JSON.stringify(t.layers[i])) as Layer);
  });
}
function readings(count: 4 | 8): void {
  editTier(`${count} readings a rim`, (t) => {
    for (const layer of t.layers) {
      const { rimMm } = layer;
      if (count === 8 && rimMm.length !== 8)
        layer.rimMm = Array.from({ length: 8 }, (_, i) =>
          i % 2 === 0 ? (rimMm[i / 2] ?? null) : null,
        );
      if (count === 4 && rimMm.length === 8) layer.rimMm = [0, 2, 4, 6].map((i) => rimMm[i]!);
    }
  });
}
const isBest = computed(() => best.value !== null && now.value.tiltMm <= best.value.tiltMm + 0.005);
const freeOrder = computed(
  () =>
    order.value !== null &&
    measured.value.length === tier.value.layers.length &&
    order.value.order.some((layer, place) => layer !== place),
);
const summary = computed(() => {
  const n = measured.value.length;
  if (n === 0) return 'Measure the layers round their rims';
  if (n > 8) return 'More than eight layers: level the lower and the upper half on their own';
  if (n === 1) return `Layer ${measured.value[0]!.index + 1} alone: measure the others too`;
  if (now.value.tiltMm < 0.25) return 'It stands level';
  return `It leans by ${mm(now.value.tiltMm)} to either side`;
});
</script>

<template>
  <div data-test="level-solver" :class="{ wide: big }">
    <TroubleLine :trouble="trouble" what="The turns" @again="again" />
    <h2 data-test="level-summary" aria-live="polite">{{ summary }}</h2>
    <p v-if="measured.length > 1 && now.tiltMm >= 0.25" class="sentence">
      As they are turned now, <b>{{ units.text(wedge.massG, 'small') }}</b> more of the top filling
      levels it, thickest at <b>{{ hourText(wedge.thickAtHour) }}</b>, nothing opposite.
    </p>
    <p v-if="best && !isBest" class="row">
      <KeyButton variant="flat" data-test="turn-all" @click="turnAll"> Turn them level </KeyButton>
      <span class="soft">leaves {{ best.tiltMm < 0.05 ? 'nothing' : mm(best.tiltMm) }}</span>
    </p>
    <p v-else-if="best" class="lead">
      No other turns in steps of 15° leave less.
      <KeyButton size="small" @click="turnBack">Take the turns back</KeyButton>
    </p>

    <ol class="dials">
      <li
        v-for="(layer, i) in tier.layers"
        :key="i"
        :class="{ chosen: store.selected === `${tier.id}/layer/${i}` }"
      >
        <LevelDial
          :rim="layer.rimMm"
          :turn="layer.turnSteps ?? 0"
          :flipped="layer.flipped"
          :label="`Turn of layer ${i + 1}`"
          :size="big ? 132 : 104"
          @turn="(turnSteps) => setLayer(i, `Turn of layer ${i + 1}`, { turnSteps })"
        />
        <div>
          <b>Layer {{ i + 1 }}</b>
          <KeyButton
            class="flip"
            size="small"
            :aria-pressed="layer.flipped"
            @click="setLayer(i, `Layer ${i + 1} turned over`, { flipped: !layer.flipped })"
          >
            {{ layer.flipped ? 'upside down' : 'right way up' }}
          </KeyButton>
          <RimReadings
            :layer="layer"
            :number="i + 1"
            :big="big"
            @change="(rimMm) => setLayer(i, `Rim of layer ${i + 1}`, { rimMm })"
          />
          <p v-for="m in measured.filter((x) => x.index === i)" :key="m.index" class="soft">
            mean {{ mm(m.solve.fit.meanMm) }}, tilt {{ fine(m.solve.fit.tiltMm) }}, uneven by
            {{ fine(m.solve.fit.roughMm) }}
          </p>
        </div>
      </li>
    </ol>
    <p v-if="freeOrder && order" class="row">
      <KeyButton size="small" @click="stackInOrder">
        Stack as {{ order.order.map((k) => k + 1).join(', ') }} from the bottom
      </KeyButton>
      <span class="soft"
        >where the order is free: sturdy and flat below, the smoothest face on top</span
      >
    </p>
    <p class="lead">
      The orange stick is each layer’s mark, its 12 o’clock when it was measured; the green arc is
      its high side. Turn a dial by hand to see what it leaves.
      <KeyButton size="small" @click="readings(eight ? 4 : 8)">
        {{ eight ? 'Four readings a rim' : 'Eight readings a rim' }}
      </KeyButton>
    </p>
  </div>
</template>

<style scoped>
.dials {
  list-style: none;
  margin: 12px 0 0;
  padding: 0;
  display: flex;
  flex-direction: column-reverse;
}
.dials li {
  display: flex;
  gap: 14px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 4px 0 4px 6px;
  border-left: 4px solid transparent;
}
.dials li.chosen {
  border-left-color: var(--accent);
}
.dials p {
  margin: 3px 0 0;
  font-size: var(--size-note);
}
.flip {
  margin-left: 10px;
}
.row {
  display: flex;
  gap: 12px;
  align-items: center;
  margin-top: 8px;
}
.wide .row .key {
  font-size: var(--size-title);
  padding: 12px 20px;
}
.wide .flip {
  font-size: var(--size-lead);
  padding: 8px 14px;
}
</style>
