<script setup lang="ts">
import { limits, pipingMin, showText, type Build, type PipingJob } from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { usePantry } from '../../stores/pantry.ts';
import { useSettings } from '../../stores/settings.ts';

/** What is piped, job by job: of what, which colour, how much, and how long it takes. */
const props = defineProps<{ build: Build }>();
const emit = defineEmits<{ edit: [label: string, recipe: (jobs: PipingJob[]) => void] }>();
const settings = useSettings();
const pantry = usePantry();
const spreads = computed(() => [
  { value: '', text: 'the coat’s frosting' },
  ...pantry.pantry.spreads.filter((s) => s.canCoat).map((s) => ({ value: s.id, text: s.name })),
]);
const change = (id: string, to: Partial<PipingJob>): void =>
  emit('edit', 'Piping', (jobs) => {
    const job = jobs.find((each) => each.id === id);
    if (job) Object.assign(job, to);
  });
const drop = (id: string): void =>
  emit('edit', 'Piping left off', (jobs) => {
    const at = jobs.findIndex((each) => each.id === id);
    if (at >= 0) jobs.splice(at, 1);
  });
const text = (event: Event, most: number): string =>
  (event.target as HTMLInputElement).value.trim().slice(0, most);
const minutes = (job: PipingJob): string =>
  showText(pipingMin(job, pantry.pantry.kitchen), 'minutes', settings.system);
const frosting = (job: PipingJob): string => job.spreadId ?? '';
const jobs = computed(() => props.build.piping);
</script>

<template>
  <p v-for="job in jobs" :key="job.id" class="sentence">
    <input
      class="word"
      type="text"
      maxlength="80"
      aria-label="What is piped"
      :value="job.name"
      @change="change(job.id, { name: text($event, 80) || 'piping' })"
    />
    of
    <ChoiceField
      :model-value="frosting(job)"
      label="Frosting for piping"
      :options="spreads"
      @update:model-value="(id) => change(job.id, { spreadId: id || null })"
    />,
    <input
      class="word short"
      type="text"
      maxlength="40"
      aria-label="Colour of the piping"
      placeholder="as it is"
      :value="job.tint"
      @change="change(job.id, { tint: text($event, 40) })"
    />:
    <QuantityField
      :model-value="job.massG"
      kind="bowl"
      label="Amount for piping"
      :min="0"
      :max="limits.pipingG.max"
      @update:model-value="(g) => g !== null && change(job.id, { massG: g })"
    />
    in
    <QuantityField
      :model-value="job.pieces"
      kind="count"
      label="Pieces piped"
      :min="0"
      :max="limits.pipedPieces.max"
      @update:model-value="(n) => n !== null && change(job.id, { pieces: n })"
    />
    pieces and
    <QuantityField
      :model-value="job.lineMm"
      kind="size"
      label="Length piped"
      :min="0"
      :max="limits.pipedMm.max"
      @update:model-value="(mm) => mm !== null && change(job.id, { lineMm: mm })"
    />
    of line, about {{ minutes(job) }}.
    <button
      type="button"
      class="key small quiet"
      :aria-label="`Leave off ${job.name}`"
      @click="drop(job.id)"
    >
      ×
    </button>
  </p>
</template>

<style scoped>
.word {
  font: inherit;
  font-weight: 600;
  color: var(--accent);
  background: var(--lift);
  border: 0;
  border-bottom: 1.8px solid var(--accent);
  padding: 1px 6px;
  width: 11em;
}
.short {
  width: 6.5em;
}
</style>
