<script setup lang="ts">
import { recordablesOf, type Build, type Recordable, type Step } from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { dayAndHour } from '../locale/when.ts';
import { computed, reactive, ref } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { useUnits } from '../figures/units.ts';
import NotePhoto from './NotePhoto.vue';
import { elapsedMin, rangeOf } from './noting.ts';
import type { BenchHand } from './useBench.ts';
import DialogBox from '../parts/DialogBox.vue';
import FileKey from '../parts/FileKey.vue';

/** What really happened at a step, in two touches: figures as planned or typed, words, a photo. */
const props = defineProps<{ step: Step; steps: Step[]; build: Build; bench: BenchHand }>();
const emit = defineEmits<{ close: [] }>();
const units = useUnits();
const text = (n: number, { show }: Pick<Recordable, 'show'>): string => units.text(n, show);
const records = computed(() => recordablesOf(props.step));
const values = reactive<Record<string, number | null>>({});
const words = ref('');
const problem = ref('');

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
async function photo(file: File): Promise<void> {
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
        <KeyButton v-if="offered(record)" @click="take(record, offered(record)!.value)">
          {{ offered(record)!.text }}
        </KeyButton>
      </div>
      <v-text-field
        v-model="words"
        class="words"
        label="in words"
        variant="underlined"
        density="compact"
        hide-details
        maxlength="2000"
        placeholder="what you would like to know next time"
        persistent-placeholder
        @keydown.enter="add"
      />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p class="row">
        <KeyButton variant="flat" data-test="add-note" @click="add">Note it</KeyButton>
        <FileKey
          accept="image/*"
          camera
          label="A photo of this step"
          data-test="add-photo"
          @take="photo"
          >A photo</FileKey
        >
        <KeyButton @click="emit('close')">Close</KeyButton>
      </p>
      <template v-if="notes.length > 0">
        <h2>Noted so far</h2>
        <ul>
          <li v-for="note in notes" :key="note.id">
            <NotePhoto v-if="note.kind === 'photo'" :id="note.id" :title="note.title" />
            <span>
              <b v-if="note.shown">{{ note.shown }}</b> {{ note.text }}
              <small>{{ note.title }}, {{ dayAndHour(parseISO(note.at), 'plain') }}</small>
            </span>
            <KeyButton
              size="small"
              :aria-label="`Take out the note on ${note.title}`"
              @click="bench.removeNote(note.id)"
            >
              take out
            </KeyButton>
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
  margin-top: 12px;
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
