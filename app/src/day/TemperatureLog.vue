<script setup lang="ts">
import { temperatureLog, type TemperatureLine } from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { dayAndHour } from '../locale/when.ts';
import { computed } from 'vue';
import { useBuild } from '../stores/build.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';

/** What is measured, against which limit, what was read and what is done where it is outside. */
const store = useBuild();
const settings = useSettings();
const units = useUnits();
const lines = computed(() =>
  store.build && store.plan?.steps.ok ? temperatureLog(store.build, store.plan.steps.value) : [],
);
const degrees = (c: number): string => units.text(c, 'temperature');
const minutes = (n: number): string => units.text(n, 'minutes');
const wantedOf = ({ wanted, action }: TemperatureLine): string =>
  wanted === null
    ? ''
    : action === 'cool faster'
      ? `down to ${degrees(wanted.toC)}`
      : `${degrees(wanted.fromC)} to ${degrees(wanted.toC)}`;
const limitsOf = ({ limits }: TemperatureLine): string =>
  limits.map(({ toC, withinMin }) => `${degrees(toC)} within ${minutes(withinMin)}`).join(', ');
const actions: Record<TemperatureLine['action'], string> = {
  'cool faster':
    'Spread thin on a tray in the fridge, or the bowl in ice and water. Past a limit: thrown away.',
  'bring it there': 'Warmed gently or cooled, stirred, and measured again.',
  'measure again': 'Measured again after ten minutes.',
};
</script>

<template>
  <section v-if="lines.length > 0" data-test="temperature-log">
    <h2>Temperatures against their limits</h2>
    <table class="ledger">
      <thead>
        <tr>
          <th>What</th>
          <th>Wanted</th>
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
          <td>
            {{ wantedOf(line) }}
            <small v-if="line.limits.length > 0">code: {{ limitsOf(line) }}</small>
          </td>
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
              dayAndHour(parseISO(reading.at), 'plain')
            }}</span>
            <span v-if="line.readings.length === 0" class="blank">________</span>
          </td>
          <td>
            <small>{{ actions[line.action] }}</small>
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
td small {
  display: block;
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
