<script setup lang="ts">
import {
  maxTableLength,
  stockColumns,
  writeFoods,
  type CsvProblem,
  type CsvResult,
  type Food,
} from '@pyrgotect/core';
import { ref, shallowRef } from 'vue';
import { download } from '../parts/download.ts';
import { plain } from '../storage/builds.ts';
import { usePantry } from '../stores/pantry.ts';
import { askSolver } from '../workers/useAnswer.ts';
import PasteRecipe from './PasteRecipe.vue';
import RecipeFiles from './RecipeFiles.vue';
import DialogBox from '../parts/DialogBox.vue';
import FileKey from '../parts/FileKey.vue';

/** Recipes pasted or read from a table, ingredients read from and saved as a table. */
defineProps<{ table: 'recipes' | 'foods' }>();
const emit = defineEmits<{ close: [] }>();
const pantry = usePantry();
const problems = ref<CsvProblem[]>([]);
const read = shallowRef<Food[] | null>(null);
/** How many of them the pantry had when they were read. */
const known = ref(0);
const fileName = ref('');
/** Share of the reading or writing that is done; null when there is none under way. */
const working = ref<number | null>(null);
const said = (message: string): CsvProblem => ({ line: 0, column: null, value: null, message });

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
    const text = await file.text();
    const had = plain(pantry.pantry.foods);
    const result = await askSolver(async (solver): Promise<CsvResult<Food>> =>
      solver.foods(text, had),
    );
    problems.value = result.ok ? [] : result.problems;
    const ids = new Set(had.map(({ id }) => id));
    known.value = result.ok ? result.rows.filter(({ id }) => ids.has(id)).length : 0;
    read.value = result.ok ? result.rows : null;
  } catch (error) {
    problems.value = [said((error as Error).message)];
  }
  working.value = null;
}
async function save(): Promise<void> {
  if (!read.value) return;
  working.value = 0;
  await pantry.saveRows('foods', read.value, (share) => (working.value = 100 * share));
  emit('close');
}
</script>

<template>
  <DialogBox max-width="860" @update:model-value="emit('close')">
    <v-card class="import" data-test="import-dialog">
      <template v-if="table === 'recipes'">
        <PasteRecipe @close="emit('close')" />
        <RecipeFiles />
      </template>
      <template v-else>
        <h1>Ingredients as a table</h1>
        <p class="lead">
          Save them, change stock, packs and prices where you like, and read them back; a column
          that the table does not have stays as it is here. Commas, semicolons, tabs or another sign
          that the first line names (sep=/), points or decimal commas. All of a table is taken, or
          nothing of it.
        </p>
        <p class="buttons">
          <KeyButton
            data-test="save-table"
            @click="download('ingredients.csv', writeFoods(pantry.pantry.foods), 'text/csv')"
          >
            Save as a table
          </KeyButton>
          <KeyButton
            data-test="save-stock-table"
            @click="
              download(
                'stock and prices.csv',
                writeFoods(pantry.pantry.foods, stockColumns),
                'text/csv',
              )
            "
          >
            Save stock and prices
          </KeyButton>
          <FileKey accept=".csv,.tsv,.txt,text/csv" label="Table of ingredients" @take="take"
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
            <b
              >{{ read.length }} {{ read.length === 1 ? 'ingredient' : 'ingredients' }} in
              {{ fileName }}</b
            >: {{ known }} of them change, the others are new.
          </p>
          <p class="buttons">
            <KeyButton
              variant="flat"
              data-test="take-table"
              :disabled="working !== null"
              @click="save"
            >
              Take them
            </KeyButton>
            <KeyButton @click="read = null">Leave them</KeyButton>
          </p>
        </template>
        <p class="buttons">
          <KeyButton @click="emit('close')">Close</KeyButton>
        </p>
      </template>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.import {
  padding: 20px 26px;
  display: block;
  overflow: auto;
}
.buttons {
  display: flex;
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
