<script setup lang="ts">
import { dayAndHour } from '../locale/when.ts';
import { useDay } from '../stores/day.ts';
import BatchCards from './BatchCards.vue';
import WhatBecomes from './WhatBecomes.vue';
import DayChart from './DayChart.vue';
import SessionLists from './SessionLists.vue';
import TemperatureLog from './TemperatureLog.vue';

/** The days on paper: the chart, and every task with its time, worked down with a pencil. */
const day = useDay();
</script>

<template>
  <section v-if="day.rows.length > 0" class="days" data-test="day-print">
    <h2>The days</h2>
    <DayChart for-print />
    <table>
      <tbody>
        <tr v-for="{ at, task, isCritical } in day.rows" :key="task.id">
          <td class="when">{{ dayAndHour(day.dateOf(at.startMin), 'weekday') }}</td>
          <td>{{ task.title }}{{ isCritical ? ' ◆' : '' }}</td>
          <td class="when">{{ task.handsMin }} min</td>
          <td class="when">
            {{
              at.endMin > at.handsEndMin
                ? `until ${dayAndHour(day.dateOf(at.endMin), 'weekday')}`
                : ''
            }}
          </td>
        </tr>
      </tbody>
    </table>
    <SessionLists />
    <BatchCards />
    <WhatBecomes />
    <TemperatureLog />
    <p class="soft">◆ sets the start: if it takes longer, you begin earlier.</p>
  </section>
</template>

<style scoped>
.days {
  break-inside: avoid;
}
table {
  border-collapse: collapse;
  width: 100%;
}
td {
  border-top: 0.5pt solid var(--line);
  padding: 2px 8px 2px 0;
}
.when {
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
</style>
