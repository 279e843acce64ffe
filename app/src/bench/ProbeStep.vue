<script setup lang="ts">
import {
  forecastOf,
  minutesUntil,
  pantryLimits,
  type BenchTimer,
  type Build,
  type Recordable,
  type Step,
} from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { hourText } from '../locale/when.ts';
import { computed } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { useDevices } from '../stores/devices.ts';
import { usePantry } from '../stores/pantry.ts';
import { useUnits } from '../figures/units.ts';
import type { BenchHand } from './useBench.ts';

/** The thermometer in the bowl: how warm, and when it will be as warm as the work wants it. */
const props = defineProps<{ step: Step; build: Build; bench: BenchHand }>();
const devices = useDevices();
const units = useUnits();
const pantry = usePantry();
const degrees = (c: number): string => units.text(c, 'temperature');
const probe = computed(() => props.step.probe!);
const roomC = computed(() => props.build.brief.kitchenC ?? pantry.pantry.kitchen.roomC);
const said = computed(() => {
  const { tempC } = devices;
  if (tempC === null) return '';
  const { fromC, toC } = probe.value;
  if (tempC >= fromC && tempC <= toC) return 'Now: it is as warm as it should be.';
  const wantedC = tempC > toC ? toC : fromC;
  const fit = devices.fitFor(roomC.value);
  const away = tempC > toC ? 'It is still too warm.' : 'It is too cool: warm it gently.';
  if (!fit) return `${away} The curve is not known yet: a minute more of readings.`;
  const minutes = minutesUntil(fit, wantedC);
  if (minutes === null || minutes > 600)
    return `${away} As it stands, it does not get to ${degrees(wantedC)}.`;
  const time = minutes < 1.5 ? 'a minute' : `${Math.round(minutes)} min`;
  return `In about ${time} it is at ${degrees(wantedC)}, by its own curve so far.`;
});
const record = computed<Recordable>(() => ({
  kind: 'temperature',
  label: probe.value.label,
  planned: (probe.value.fromC + probe.value.toC) / 2,
  show: 'temperature',
}));
const note = (c: number): void => void props.bench.addNote(props.step, record.value, c);

/** Nothing stands in the field: what is typed is noted and the field is empty again. */
const typed: number | null = null;

/** What waits goes on as the last reading says, whoever read it. */
const forecast = computed(() =>
  forecastOf(props.step, props.bench.bench.value, pantry.pantry.kitchen),
);
const timer = computed<BenchTimer | undefined>(() =>
  props.bench.timers.value.find(({ stepKey }) => stepKey === props.step.key),
);
const goesOn = computed(() => {
  const found = forecast.value;
  if (!found) return '';
  const read = `Read ${degrees(found.readC)} at ${hourText(parseISO(found.at))}: `;
  if (found.leftMin === null) return `${read}here it never gets to ${degrees(probe.value.toC)}.`;
  if (found.leftMin < 1) return `${read}cold enough.`;
  const at = new Date(Date.parse(found.at) + found.leftMin * 60_000);
  return `${read}${units.text(found.leftMin, 'minutes')} more to ${degrees(probe.value.toC)}, at about ${hourText(at)}.`;
});
/** A timer that ends at another time than the reading says, by more than this, is moved on request, min. */
const worthMin = 3;
const moveTo = computed(() => {
  const total = forecast.value?.totalMin;
  if (total == null || !timer.value) return null;
  return Math.abs(total - timer.value.minutes) > worthMin ? Math.max(1, Math.round(total)) : null;
});
</script>

<template>
  <section v-if="devices.tempC !== null" class="probe" data-test="probe" aria-label="Thermometer">
    <output>{{ degrees(devices.tempC) }}</output>
    <span>
      <b>{{ said }}</b>
      <small
        >{{ probe.label }}, wanted {{ degrees(probe.fromC) }} to {{ degrees(probe.toC) }}</small
      >
    </span>
    <KeyButton data-test="note-temp" @click="note(devices.tempC)"> Note it </KeyButton>
  </section>
  <section v-else class="probe typed" data-test="probe-typed" aria-label="Thermometer">
    <span>
      <span class="where-read">{{ probe.label }}</span> it reads{{ ' ' }}
      <QuantityField
        :model-value="typed"
        :of="{ kind: 'temperature', min: -20, max: pantryLimits.hottestC.max }"
        label="What the thermometer reads"
        auto="…"
        nullable
        @update:model-value="(c) => c !== null && note(c)"
      />
      <small>wanted {{ degrees(probe.fromC) }} to {{ degrees(probe.toC) }}</small>
    </span>
  </section>
  <p v-if="goesOn" class="goes-on" data-test="goes-on">
    {{ goesOn }}
    <KeyButton
      v-if="moveTo !== null && timer"
      data-test="move-timer"
      @click="bench.setMinutes(timer.id, moveTo)"
    >
      Set its timer to {{ units.text(moveTo, 'minutes') }} in all
    </KeyButton>
  </p>
</template>

<style scoped>
.probe {
  display: flex;
  gap: 18px;
  align-items: center;
  border: 2px solid var(--ink);
  border-radius: 6px;
  padding: 10px 14px;
  margin-top: 18px;
  background: var(--raised);
}
.typed {
  padding: 8px 14px;
  border-width: 1.5px;
}
.goes-on {
  font-size: var(--size-title);
  margin-top: 10px;
}
.goes-on .key {
  display: block;
  margin-top: 8px;
}
.where-read::first-letter {
  text-transform: uppercase;
}
.where-read {
  display: inline-block;
}
output {
  font: 700 var(--size-big)/1 var(--heading);
  white-space: nowrap;
}
span {
  flex: 1;
}
b,
small {
  display: block;
}
small {
  color: var(--soft);
  font-size: var(--size-text);
}
.key {
  min-height: 56px;
  font-size: var(--size-title);
}
</style>
