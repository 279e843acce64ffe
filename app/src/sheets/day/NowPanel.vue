<script setup lang="ts">
import { type Build, type DayQuestion, type CakePlan, type Replan } from '@pyrgotect/core';
import { dayAndHour } from '../../locale/when.ts';
import { computed } from 'vue';
import { useDay } from '../../stores/day.ts';
import { useUnits } from '../../figures/units.ts';
import TroubleLine from '../../figures/TroubleLine.vue';
import { useAnswer } from '../../workers/useAnswer.ts';

/** What is left by the bench, from now on: is there time, what is missing, what would save it. */
defineProps<{ build: Build; plan: CakePlan }>();
const day = useDay();
const units = useUnits();
const text = (n: number): string => units.text(n, 'minutes');
// the question changes every quarter of an hour, not every second
const nowMin = computed(() => Math.ceil(day.nowMin / 15) * 15);
const { answer, current, trouble, again } = useAnswer<
  { question: DayQuestion; nowMin: number },
  Replan
>(
  () =>
    day.deadline && nowMin.value < 0 && day.left.length > 0
      ? { question: day.asked(day.left, true), nowMin: nowMin.value - day.shiftMin }
      : null,
  (solver, { question, nowMin: at }) => solver.replan(question, at),
);
const next = computed(() => {
  const found = answer.value?.answer;
  if (!found?.ok) return null;
  const own = found.plan.placed.find(({ id }) =>
    day.left.some((task) => task.id === day.bareId(id)),
  );
  return own ? { at: day.dateOf(own.startMin + day.shiftMin), task: day.taskOf(own.id) } : null;
});
</script>

<template>
  <div data-test="now" :aria-busy="!current">
    <TroubleLine :trouble="trouble" what="What is left to do" @again="again" />
    <p v-if="!day.deadline" class="lead">
      Brief says when it is served; then this can be worked out.
    </p>
    <p v-else-if="nowMin >= 0" class="lead">
      The time it was to be ready has passed. Change it in Brief to plan again.
    </p>
    <p v-else-if="day.left.length === 0" class="lead">Everything is ticked off at the bench.</p>
    <template v-else-if="answer">
      <p v-if="answer.shortMin === 0 && next" class="sentence">
        {{ day.left.length }} tasks are left, and there is time. Next:
        <b>{{ next.task?.title }}</b>, {{ dayAndHour(next.at, 'long') }} at the latest.
      </p>
      <template v-else>
        <p class="sentence">
          {{ day.left.length }} tasks are left, and
          <b class="over">{{
            Number.isFinite(answer.shortMin)
              ? `${text(answer.shortMin)} of working time are missing`
              : 'they do not fit into two weeks'
          }}</b>.
        </p>
        <h2>What would save it</h2>
        <p v-if="answer.savers.length === 0" class="soft">
          None of what can be worked out here: longer hours, a later time, or another cake.
        </p>
        <ul>
          <li v-for="saver in answer.savers" :key="saver.title">
            {{ saver.title }}: <b>{{ text(saver.gainMin) }}</b>{{
              saver.isEnough ? ', and there is time enough' : ''
            }}
          </li>
        </ul>
        <p v-if="answer.together" class="lead" data-test="together">
          None of it alone is enough. Together it is: <b>{{ answer.together.join(', and ') }}</b>.
        </p>
      </template>
    </template>
    <p v-else-if="!trouble" class="soft">Working it out…</p>
  </div>
</template>

<style scoped>
.over {
  color: var(--stop);
}
</style>
