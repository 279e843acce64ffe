<script setup lang="ts">
import { showText, type Build, type Kind, type NoteKind, type Step } from '@pyrgotect/core';
import { format, parseISO } from 'date-fns';
import { computed, ref } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { useSettings } from '../stores/settings.ts';

const props = defineProps<{ step: Step; steps: Step[]; build: Build }>();
const emit = defineEmits<{
  close: [];
  add: [stepKey: string, kind: NoteKind, value: number | null, text: string];
  remove: [id: string];
}>();
const settings = useSettings();
const value = ref<number | null>(null);
const words = ref('');
const showKind: Record<NoteKind, Kind> = {
  mass: 'bowl',
  height: 'thickness',
  minutes: 'minutes',
  words: 'count',
  count: 'count',
};
const record = computed(() => props.step.record);
const notes = computed(() =>
  props.build.bench.notes.map((note) => ({
    ...note,
    title: props.steps.find((s) => s.key === note.stepKey)?.title ?? 'a step of an earlier plan',
    shown: note.value === null ? '' : showText(note.value, showKind[note.kind], settings.system),
  })),
);
function add(): void {
  if (value.value === null && words.value.trim() === '') return;
  emit(
    'add',
    props.step.key,
    value.value === null ? 'words' : (record.value?.kind ?? 'words'),
    value.value,
    words.value.trim(),
  );
  emit('close');
}
</script>

<template>
  <v-dialog :model-value="true" max-width="620" @update:model-value="emit('close')">
    <v-card class="notes" data-test="notes">
      <h1>What happened</h1>
      <p class="soft">{{ step.title }}</p>
      <p v-if="record" class="figure">
        {{ record.label }}
        <QuantityField
          v-model="value"
          :kind="record.show"
          :label="record.label"
          :min="0"
          :max="100000"
          nullable
          auto=""
          wide
        />
        <span v-if="record.planned > 0" class="soft"
          >{{ showText(record.planned, record.show, settings.system) }} planned</span
        >
      </p>
      <label class="words"
        >in words
        <input
          v-model="words"
          type="text"
          maxlength="2000"
          placeholder="what you would like to know next time"
          @keydown.enter="add"
      /></label>
      <p class="row">
        <button type="button" class="key solid" data-test="add-note" @click="add">Note it</button>
        <button type="button" class="key" @click="emit('close')">Close</button>
      </p>
      <template v-if="notes.length > 0">
        <h2>Noted so far</h2>
        <ul>
          <li v-for="note in notes" :key="note.id">
            <span>
              <b v-if="note.shown">{{ note.shown }}</b> {{ note.text }}
              <small>{{ note.title }}, {{ format(parseISO(note.at), 'd MMM HH:mm') }}</small>
            </span>
            <button
              type="button"
              class="key small"
              :aria-label="`Take out the note on ${note.title}`"
              @click="emit('remove', note.id)"
            >
              take out
            </button>
          </li>
        </ul>
      </template>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.notes {
  padding: 22px 26px;
  display: block;
  overflow: auto;
  font-size: 17px;
}
.figure {
  font-size: 20px;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: baseline;
  margin: 16px 0 8px;
}
.words {
  display: grid;
  color: var(--soft);
  margin-top: 12px;
}
.words input {
  font: inherit;
  color: var(--ink);
  background: var(--lift);
  border: 0;
  border-bottom: 2px solid var(--accent);
  padding: 9px 8px;
}
.row {
  display: flex;
  gap: 10px;
  margin-top: 16px;
}
.row .key {
  font-size: 17px;
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
small {
  display: block;
  color: var(--soft);
}
</style>
