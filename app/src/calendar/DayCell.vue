<script setup lang="ts">
import type { CalendarDay } from '@pyrgotect/core';
import { useUnits } from '../figures/units.ts';
import type { ShelfEntry } from '../storage/database.ts';
import { useShelf } from '../stores/shelf.ts';

/** One day: what is served, and how full of work it is. */
defineProps<{ day: CalendarDay | null; due: ShelfEntry[] }>();
const units = useUnits();
const shelf = useShelf();
</script>

<template>
  <div class="cell">
    <router-link
      v-for="entry in due"
      :key="entry.id"
      class="due"
      :class="{ finished: entry.finished }"
      :to="`/build/${entry.id}/stack`"
    >
      {{ entry.serveAt!.slice(11, 16) }} {{ entry.name }}
      <small v-if="shelf.examples.has(entry.id)">example</small>
      <small v-else-if="entry.order !== 'confirmed'">to be confirmed</small>
    </router-link>
    <div v-if="day" class="load" :class="{ over: day.isOver }">
      <v-progress-linear
        :model-value="100 * day.fullness"
        :color="day.isOver ? 'error' : 'primary'"
        height="5"
        aria-hidden="true"
      />
      <template v-if="day.isOver">▲ </template>{{ units.text(day.workMin, 'minutes') }}
      <small>of {{ units.text(day.roomMin, 'minutes') }}</small>
    </div>
  </div>
</template>

<style scoped>
.cell {
  display: grid;
  gap: 3px;
  padding: 0 4px 4px;
  text-align: left;
  font-size: var(--size-note);
}
.due {
  padding: 2px 5px;
  color: var(--milk);
  background: var(--ink);
  text-decoration: none;
  border-radius: 3px;
  overflow-wrap: anywhere;
  line-height: 1.2;
}
.due small {
  display: block;
}
.due.finished {
  color: var(--soft);
  background: var(--oat);
}
/* paper gets no grounds, and may be printed in black alone */
@media print {
  .due,
  .due.finished {
    color: var(--ink);
    background: none;
    border: 1px solid var(--ink);
  }
  .due.finished {
    border-style: dashed;
  }
}
.load {
  color: var(--ink);
}
.load.over {
  color: var(--stop);
  font-weight: 600;
}
</style>
