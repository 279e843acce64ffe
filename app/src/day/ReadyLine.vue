<script setup lang="ts">
import { usualSpread, type ReadyAnswer, type ReadyQuestion } from '@pyrgotect/core';
import { computed } from 'vue';
import { useBuild } from '../stores/build.ts';
import { useDay } from '../stores/day.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';
import { useAnswer } from '../workers/useAnswer.ts';

/** How sure it is that all is ready, and what threatens that most. */
const store = useBuild();
const day = useDay();
const settings = useSettings();
const units = useUnits();
const runs = 300;
const question = computed<ReadyQuestion | null>(() => {
  if (!day.plan || !day.question || !store.build) return null;
  // of a cake that is done there is nothing to be sure of
  if (store.build.bench.finished) return null;
  return {
    ...day.question,
    plan: { placed: day.answer?.ok ? day.answer.plan.placed : [] },
    handsCv: store.corrections.time?.cv ?? usualSpread.handsCv,
    waitCv: store.corrections.chill?.cv ?? usualSpread.waitCv,
    spareMin: store.build.day.spareMin,
    runs,
  };
});
const { answer } = useAnswer<ReadyQuestion, ReadyAnswer>(
  () => question.value,
  (solver, asked) => solver.ready(asked),
);
const share = (n: number): string => `${Math.round(100 * n)} of 100`;
const title = (id: string): string => settings.words(day.taskOf(id)?.title ?? id);
const said = computed(() => {
  const found = answer.value;
  if (!found) return null;
  const parts = [`Ready in time in ${share(found.readyShare)}.`];
  if (found.lateTenthMin > store.build!.day.spareMin)
    parts.push(
      `In one of ten it is ${units.text(found.lateTenthMin - store.build!.day.spareMin, 'minutes')} late.`,
    );
  if (found.threat && found.threat.gainShare > 0.005)
    parts.push(
      `What threatens that most: “${title(found.threat.id)}”. Were its minutes sure, it would be ${share(found.readyShare + found.threat.gainShare)}.`,
    );
  if (found.weakest && found.weakest.keptShare < 0.9)
    parts.push(
      `“${title(found.weakest.after)}” waits no longer than it keeps for “${title(found.weakest.id)}” in ${share(found.weakest.keptShare)}.`,
    );
  return parts.join(' ');
});
</script>

<template>
  <p v-if="said" class="soft" data-test="ready">
    {{ said }}
    <small>By the spread of your minutes; without records, by what is usual.</small>
  </p>
</template>
