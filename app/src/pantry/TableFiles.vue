<script setup lang="ts">
import {
  maxTableLength,
  stockColumns,
  writeFoods,
  writePutAway,
  type CsvProblem,
  type CsvResult,
  type Food,
  type Stock,
} from '@pyrgotect/core';
import { format } from 'date-fns';
import { computed, ref, shallowRef } from 'vue';
import FileKey from '../parts/FileKey.vue';
import { download } from '../parts/download.ts';
import { plain } from '../storage/builds.ts';
import { usePantry } from '../stores/pantry.ts';
import { askSolver } from '../workers/useAnswer.ts';

/** Ingredients, or what was put away, saved as a table and read from one. */
const { table } = defineProps<{ table: 'foods' | 'stock' }>();
const emit = defineEmits<{ close: [] }>();
const pantry = usePantry();
const words = computed(() =>
  table === 'foods'
    ? {
        title: 'Ingredients as a table',
        change: 'change stock, packs and prices where you like',
        label: 'Table of ingredients',
        one: 'ingredient',
        many: 'ingredients',
      }
    : {
        title: 'What is put away as a table',
        change: 'count what is left in freezer and fridge',
        label: 'Table of what is put away',
        one: 'row',
        many: 'rows',
      },
);
const files = computed(() => {
  const { foods } = pantry.pantry;
  return table === 'foods'
    ? [
        ...[{ id: 'save-table', text: 'Save as a table', name: 'ingredients', make: () => writeFoods(foods) }], // prettier-ignore
        ...[{ id: 'save-stock-table', text: 'Save stock and prices', name: 'stock and prices', make: () => writeFoods(foods, stockColumns) }], // prettier-ignore
      ]
    : [{ id: 'save-table', text: 'Save as a table', name: 'put away', make: () => writePutAway(pantry.pantry) }]; // prettier-ignore
});

const problems = ref<CsvProblem[]>([]);
const read = shallowRef<Food[] | Stock[] | null>(null);
/** How many of them the pantry had when they were read. */
const known = ref(0);
const fileName = ref('');
/** Share of the reading or writing that is done; null when there is none under way. */
const working = ref<number | null>(null);
const said = (message: string): CsvProblem => ({ line: 0, column: null, value: null, message });

/** Reads it beside the page: a table of thousands of rows takes a while. */
function rowsOf(text: string): Promise<CsvResult<Food> | CsvResult<Stock>> {
  const { foods, sponges, spreads, stock } = plain(pantry.pantry);
  return table === 'foods'
    ? askSolver(async (solver): Promise<CsvResult<Food>> => solver.foods(text, foods))
    : askSolver(async (solver): Promise<CsvResult<Stock>> =>
        solver.putAway(text, { sponges, spreads, stock }, format(new Date(), 'yyyy-MM-dd')),
      );
}
async function take(file: File): Promise<void> {
  fileName.value = file.name;
  read.value = null;
  if (file.size > maxTableLength) {
    problems.value = [
      said(
        `The file is ${(file.size / 1e6).toFixed(0)} MB large. A table is at most ${maxTableLength / 1e6} MB.`,
      ),
    ];
    return;
  }
  working.value = 0;
  try {
    const had = new Set(pantry.pantry[table].map(({ id }) => id));
    const result = await rowsOf(await file.text());
    problems.value = result.ok ? [] : result.problems;
    known.value = result.ok ? result.rows.filter(({ id }) => had.has(id)).length : 0;
    read.value = result.ok ? result.rows : null;
  } catch (error) {
    problems.value = [said((error as Error).message)];
  }
  working.value = null;
}
async function save(): Promise<void> {
  if (!read.value) return;
  working.value = 0;
  await pantry.saveRows(table, read.value, (share) => {
    working.value = 100 * share;
  });
  emit('close');
}
</script>

<template>
  <h1>{{ words.title }}</h1>
  <p class="lead">
    Save them, {{ words.change }}, and read them back; a column that the table does not have stays
    as it is here. Commas, semicolons, tabs or another sign that the first line names (sep=/),
    points or decimal commas. All of a table is taken, or nothing of it.
  </p>
  <p class="buttons">
    <KeyButton
      v-for="file in files"
      :key="file.id"
      :data-test="file.id"
      @click="download(`${file.name}.csv`, file.make(), 'text/csv')"
    >
      {{ file.text }}
    </KeyButton>
    <FileKey accept=".csv,.tsv,.txt,text/csv" :label="words.label" @take="take"
      >Read a table</FileKey
    >
  </p>
  <v-progress-linear
    v-if="working !== null"
    :model-value="working"
    :indeterminate="working === 0"
    color="primary"
    aria-label="Reading and writing the table"
  />
  <ul v-if="problems.length > 0" class="problems" role="alert">
    <li>
      <b>Nothing of {{ fileName }} was taken.</b>
    </li>
    <li v-for="problem in problems" :key="problem.message">{{ problem.message }}</li>
  </ul>
  <template v-if="read">
    <p>
      <b>{{ read.length }} {{ read.length === 1 ? words.one : words.many }} in {{ fileName }}</b
      >: {{ known }} of them change, the others are new.
    </p>
    <p class="buttons">
      <KeyButton variant="flat" data-test="take-table" :disabled="working !== null" @click="save">
        Take them
      </KeyButton>
      <KeyButton @click="read = null">Leave them</KeyButton>
    </p>
  </template>
  <p class="buttons">
    <KeyButton @click="emit('close')">Close</KeyButton>
  </p>
</template>

<style scoped>
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 12px;
}
.problems {
  list-style: none;
  background: var(--stop-wash);
  border-left: 4px solid var(--stop);
  padding: 8px 12px;
  margin-top: 12px;
}
</style>
