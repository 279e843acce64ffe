<script setup lang="ts">
import { recordablesOf, type Build, type Recordable, type Step } from '@pyrgotect/core';
import { format, parseISO } from 'date-fns';
import { computed, reactive, ref, useTemplateRef } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { useUnits } from '../figures/units.ts';
import NotePhoto from './NotePhoto.vue';
import { elapsedMin, rangeOf } from './noting.ts';
import type { BenchHand } from './useBench.ts';
import DialogBox from '../parts/DialogBox.vue';

/** What really happened at a step, in two touches: figures as planned or typed, words, a photo. */
const props = defineProps<{ step: Step; steps: Step[]; build: Build; bench: BenchHand }>();
const emit = defineEmits<{ close: [] }>();
const units = useUnits();
const text = (n: number, { show }: Pick<Recordable, 'show'>): string => units.text(n, show);
const records = computed(() => recordablesOf(props.step));
const values = reactive<Record<string, number | null>>({});
const words = ref('');
const problem = ref('');
const camera = useTemplateRef<HTMLInputElement>('camera');

const clockMin = computed(() => elapsedMin(props.build, new Date()));
/** What is offered at one touch: what was planned, or what the clock says. */
function offered(record: Recordable): { value: number; text: string } | null {
  if (record.kind === 'minutes' && record.hand === 'time')
    return clockMin.value !== null && clockMin.value < 4 * record.planned
      ? { value: clockMin.value, text: `${text(clockMin.value, record)} by the clock` }
      : null;
  return record.planned > 0
    ? { value: record.planned, text: `as planned, ${text(record.planned, record)}` }
    : null;
}
function take(record: Recordable, value: number): void {
  props.bench.addNote(props.step, record, value);
  emit('close');
}
function add(): void {
  const filled = records.value.filter(({ label }) => typeof values[label] === 'number');
  if (filled.length === 0 && words.value.trim() === '') return;
  for (const [i, record] of filled.entries())
    props.bench.addNote(
      props.step,
      record,
      values[record.label]!,
      i === 0 ? words.value.trim() : '',
    );
  if (filled.length === 0) props.bench.addNote(props.step, null, null, words.value.trim());
  emit('close');
}
async function photo(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  problem.value = '';
  try {
    await props.bench.addPhoto(props.step, file);
    emit('close');
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
const notes = computed(() =>
  [...props.build.bench.notes].reverse().map((note) => ({
    ...note,
    title:
      props.steps.find((s) => s.key === note.stepKey)?.title ??
      note.planned?.title ??
      'a step of an earlier plan',
    shown:
      note.value === null
        ? ''
        : `${note.planned ? `${note.planned.label}: ` : ''}${units.text(note.value, note.planned?.show ?? 'count')}`,
  })),
);
</script>

<template>
  <DialogBox max-width="660" @update:model-value="emit('close')">
    <v-card class="notes" data-test="notes">
      <h1>What happened</h1>
      <p class="soft">{{ step.title }}</p>
      <div v-for="record in records" :key="record.label" class="figure">
        <span class="label">{{ record.label }}</span>
        <QuantityField
          :model-value="values[record.label] ?? null"
          :of="{ ...rangeOf(record), kind: record.show }"
          :label="record.label"
          nullable
          auto=""
          wide
          @update:model-value="(n) => (values[record.label] = n)"
        />
        <button
          v-if="offered(record)"
          type="button"
          class="key"
          @click="take(record, offered(record)!.value)"
        >
          {{ offered(record)!.text }}
        </button>
      </div>
      <label class="words"
        >in words
        <input
          v-model="words"
          type="text"
          maxlength="2000"
          placeholder="what you would like to know next time"
          @keydown.enter="add"
      /></label>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p class="row">
        <button type="button" class="key solid" data-test="add-note" @click="add">Note it</button>
        <button type="button" class="key" data-test="add-photo" @click="camera?.click()">
          A photo
        </button>
        <input
          ref="camera"
          class="visually-hidden"
          type="file"
          accept="image/*"
          capture="environment"
          tabindex="-1"
          aria-label="A photo of this step"
          @change="photo"
        />
        <button type="button" class="key" @click="emit('close')">Close</button>
      </p>
      <template v-if="notes.length > 0">
        <h2>Noted so far</h2>
        <ul>
          <li v-for="note in notes" :key="note.id">
            <NotePhoto v-if="note.kind === 'photo'" :id="note.id" :title="note.title" />
            <span>
              <b v-if="note.shown">{{ note.shown }}</b> {{ note.text }}
              <small>{{ note.title }}, {{ format(parseISO(note.at), 'd MMM HH:mm') }}</small>
            </span>
            <button
              type="button"
              class="key small"
              :aria-label="`Take out the note on ${note.title}`"
              @click="bench.removeNote(note.id)"
            >
              take out
            </button>
          </li>
        </ul>
      </template>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.notes {
  padding: 22px 26px;
  display: block;
  overflow: auto;
  font-size: var(--size-lead);
}
.figure {
  font-size: var(--size-title);
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto minmax(0, 1.1fr);
  gap: 12px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 8px 0;
}
.figure .key {
  min-height: 46px;
  justify-self: end;
}
.words {
  display: grid;
  color: var(--soft);
  margin-top: 12px;
}
.words input {
  font: inherit;
  color: var(--ink);
  background: var(--raised);
  border: 0;
  border-bottom: 2px solid var(--accent);
  padding: 9px 8px;
}
.problem {
  color: var(--stop);
}
.row {
  display: flex;
  gap: 10px;
  margin-top: 16px;
}
.row .key {
  font-size: var(--size-lead);
  padding: 10px 18px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 8px 0;
}
li span {
  flex: 1;
}
small {
  display: block;
  color: var(--soft);
}
@media (max-width: 560px) {
  .figure {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>
