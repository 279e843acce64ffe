<script setup lang="ts">
import { tooEarly, type Plan, type Step } from '@pyrgotect/core';
import { computed } from 'vue';
import { useUnits } from '../figures/units.ts';
import { useDay } from '../stores/day.ts';
import { useSettings } from '../stores/settings.ts';
import type { BenchHand } from './useBench.ts';

/** Said before something is made that does not keep, while what takes it is not ready. */
const props = defineProps<{ step: Step; steps: Step[]; plan: Plan; bench: BenchHand }>();
const emit = defineEmits<{ take: [step: Step] }>();
const day = useDay();
const settings = useSettings();
const { text } = useUnits();
const found = computed(() =>
  tooEarly(
    props.step,
    props.steps,
    day.tasks,
    props.plan.bowls.ok ? props.plan.bowls.value : [],
    props.bench.done.value,
  ),
);
const stepOf = (key: string): Step | undefined => props.steps.find((one) => one.key === key);
/** As many as one takes in at a glance; the next is the first of them. */
const mostShown = 3;
const first = computed(() => (found.value?.first ?? []).flatMap((key) => stepOf(key) ?? []));
</script>

<template>
  <section v-if="found" class="early" data-test="too-early" aria-label="Too early">
    <p>
      <b>Not yet.</b> It is used within {{ text(found.keepsMin, 'minutes') }} of being made, for “{{
        settings.words(stepOf(found.use)?.title ?? '')
      }}”, and before that {{ text(found.openMin, 'minutes') }} of work and waiting are open. First:
    </p>
    <KeyButton v-for="one in first.slice(0, mostShown)" :key="one.key" @click="emit('take', one)">
      {{ settings.words(one.title) }}
    </KeyButton>
    <span v-if="first.length > mostShown" class="more"
      >and {{ first.length - mostShown }} more</span
    >
  </section>
</template>

<style scoped>
.early {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  background: var(--warn-wash);
  border-left: 5px solid var(--warn-mark);
  padding: 10px 14px;
  margin-top: 14px;
}
p {
  flex-basis: 100%;
  margin: 0;
  font-size: var(--size-lead);
}
.key {
  min-height: 48px;
  font-size: var(--size-lead);
  white-space: normal;
  text-align: left;
}
.more {
  color: var(--soft);
}
</style>
