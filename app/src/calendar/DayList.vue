<script setup lang="ts">
import type { CalendarDay } from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { dayText } from '../locale/when.ts';
import { useUnits } from '../figures/units.ts';
import type { ShelfEntry } from '../storage/database.ts';
import DayCell from './DayCell.vue';

/** The days on which something happens, one below the other: for narrow windows. */
defineProps<{
  days: { date: string; day: CalendarDay | null; due: ShelfEntry[] }[];
  nameOf: ReadonlyMap<string, string>;
}>();
const units = useUnits();
</script>

<template>
  <p v-if="days.length === 0" class="soft">Nothing is due or to be made here.</p>
  <ol class="days">
    <li v-for="{ date, day, due } in days" :key="date">
      <h2>{{ dayText(parseISO(date), 'short') }}</h2>
      <div>
        <DayCell :day="day" :due="due" />
        <p v-for="cake in day?.cakes ?? []" :key="cake.cakeId" class="soft">
          {{ nameOf.get(cake.cakeId) }}: {{ units.text(cake.minutes, 'minutes') }}
        </p>
      </div>
    </li>
  </ol>
</template>

<style scoped>
.days {
  margin: 12px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 8px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
h2 {
  margin: 0;
  font-size: var(--size-text);
}
p {
  margin: 0 4px;
  font-size: var(--size-note);
}
</style>
