<script setup lang="ts">
import { showText, temperatureLog, type TemperatureLine } from '@pyrgotect/core';
import { format, parseISO } from 'date-fns';
import { computed } from 'vue';
import { useBuild } from '../stores/build.ts';
import { useSettings } from '../stores/settings.ts';

/** What is measured, against which limit, what was read and what is done where it is outside. */
const store = useBuild();
const settings = useSettings();
const lines = computed(() =>
  store.build && store.plan?.steps.ok ? temperatureLog(store.build, store.plan.steps.value) : [],
);
const degrees = (c: number): string => showText(c, 'temperature', settings.system);
function limitOf({ fromC, toC, withinMin }: TemperatureLine): string {
  if (toC === null) return '';
  const within =
    withinMin === null ? '' : ` within ${showText(withinMin, 'minutes', settings.system)}`;
  return fromC === null
    ? `down to ${degrees(toC)}${within}`
    : `${degrees(fromC)} to ${degrees(toC)}`;
}
</script>

<template>
  <section v-if="lines.length > 0" data-test="temperature-log">
    <h2>Temperatures against their limits</h2>
    <table class="ledger">
      <thead>
        <tr>
          <th>What</th>
          <th>Limit</th>
          <th>Read</th>
          <th>When</th>
          <th>If it is outside</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.id">
          <td>
            {{ settings.words(line.title) }} <small>{{ line.label }}</small>
          </td>
          <td>{{ limitOf(line) }}</td>
          <td>
            <span
              v-for="reading in line.readings"
              :key="reading.at"
              class="reading"
              :class="{ outside: reading.isWithin === false }"
              >{{ degrees(reading.tempC)
              }}{{
                reading.isWithin === false ? ', outside' : reading.isWithin ? ', within' : ''
              }}</span
            >
            <span v-if="line.readings.length === 0" class="blank">________</span>
          </td>
          <td>
            <span v-for="reading in line.readings" :key="reading.at" class="reading">{{
              format(parseISO(reading.at), 'd MMM, HH:mm')
            }}</span>
            <span v-if="line.readings.length === 0" class="blank">________</span>
          </td>
          <td>
            <small>{{ settings.words(line.action) }}</small>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="soft">
      Limits for what cools from hot are those of usual food codes: your local code and licence
      decide.
    </p>
  </section>
</template>

<style scoped>
.reading {
  display: block;
  white-space: nowrap;
}
.outside {
  font-weight: 700;
  color: var(--stop);
}
.blank {
  color: var(--soft);
}
tr {
  break-inside: avoid;
}
</style>
