<script setup lang="ts">
import {
  freshId,
  limits,
  newPiped,
  newPiping,
  type Build,
  type PipingJob,
  type CakePlan,
  word,
} from '@pyrgotect/core';
import { useSheet } from '../useSheet.ts';
import PipedJob from './PipedJob.vue';

/** Everything that is piped: fitted round its line, or by weight alone. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { store, tier } = useSheet(props);
const edit = (label: string, recipe: (jobs: PipingJob[]) => void): void =>
  store.edit(label, (draft) => recipe(draft.piping));
function add(): void {
  const id = freshId('piping');
  edit('Piping', (jobs) => {
    jobs.push({ ...newPiping(id, 0), name: word('border'), piped: newPiped(tier.value.id) });
  });
}
const change = (id: string, to: Partial<PipingJob>): void =>
  edit('Piping', (jobs) => {
    const job = jobs.find((each) => each.id === id);
    if (job) Object.assign(job, to);
  });
const drop = (id: string): void =>
  edit('Piping left off', (jobs) => {
    const at = jobs.findIndex((each) => each.id === id);
    if (at >= 0) jobs.splice(at, 1);
  });
</script>

<template>
  <div data-test="piping">
    <p v-if="build.piping.length === 0" class="lead">
      Nothing is piped yet. A border is fitted evenly round the outline it goes along, whatever its
      shape; drips of the same tier end above it.
    </p>
    <PipedJob
      v-for="job in build.piping"
      :key="job.id"
      :job="job"
      :build="build"
      :planned="plan.piping.find((each) => each.id === job.id) ?? null"
      :tier-id="tier.id"
      @change="(to) => change(job.id, to)"
      @drop="drop(job.id)"
    />
    <p>
      <KeyButton
        v-if="build.piping.length < limits.pipingJobs.max"
        size="small"
        data-test="add-piping"
        @click="add"
      >
        Something to pipe
      </KeyButton>
    </p>
  </div>
</template>
