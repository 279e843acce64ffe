<script setup lang="ts">
import { minutesUntil, type Build, type Step } from '@pyrgotect/core';
import { computed } from 'vue';
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
    <button
      type="button"
      class="key"
      data-test="note-temp"
      @click="
        bench.addNote(
          step,
          {
            kind: 'temperature',
            label: probe.label,
            planned: (probe.fromC + probe.toC) / 2,
            show: 'temperature',
          },
          devices.tempC,
        )
      "
    >
      Note it
    </button>
  </section>
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
