<script setup lang="ts">
import type { DayPlan, LevelProof } from '@pyrgotect/core';
import { computed } from 'vue';
import { useUnits } from '../figures/units.ts';

/** How near a plan of the days is to the best there can be, level by level. */
const props = defineProps<{ plan: DayPlan; at: (min: number) => string }>();
const { text } = useUnits();
const minutes = (min: number): string => text(min, 'minutes');
const runs = (n: number): string => (n === 1 ? 'one stretch of work' : `${n} stretches of work`);
const better = ({ value, bound, isProved }: LevelProof, no: string): string =>
  isProved ? no : `at best ${minutes(bound)} of ${minutes(value)}`;
const lines = computed(() => {
  const { late, fresh, begin, sessions } = props.plan.proof;
  return [
    {
      id: 'late',
      isProved: late.isProved,
      words:
        late.value < 0.5
          ? 'Nothing waits longer than it keeps.'
          : `Too long waits ${minutes(late.value)} in all: ${better(late, 'no plan has less')}.`,
    },
    {
      id: 'fresh',
      isProved: fresh.isProved,
      words:
        fresh.value < 0.5
          ? 'What must be fresh is used at once.'
          : `What must be fresh waits ${minutes(fresh.value)} in all: ${better(fresh, 'no plan makes it less')}.`,
    },
    {
      id: 'begin',
      isProved: begin.isProved,
      words: begin.isProved
        ? `No plan begins more than ${minutes(Math.max(1, begin.over))} later.`
        : `It could begin at ${props.at(-begin.bound)} at the latest: this one is at most ${text(props.plan.gapShare, 'share')} longer than the best there is.`,
    },
    {
      id: 'sessions',
      isProved: sessions.isProved,
      words: `It takes ${runs(sessions.value)}: ${sessions.isProved ? 'no plan takes fewer' : `at best ${sessions.bound === 1 ? 'one' : sessions.bound}`}.`,
    },
  ];
});
</script>

<template>
  <ul data-test="proof">
    <li v-for="line in lines" :key="line.id" :class="{ open: !line.isProved }">
      {{ line.words }}
      <small>{{ line.isProved ? 'proved' : 'not proved' }}</small>
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 10px;
  columns: 2;
  column-gap: 28px;
  max-width: 760px;
}
li {
  break-inside: avoid;
  padding: 3px 0;
}
small {
  color: var(--accent);
  font-weight: 600;
}
.open small {
  color: var(--soft);
}
@media (max-width: 700px) {
  ul {
    columns: 1;
  }
}
</style>
