<script setup lang="ts">
import { maxTableLength, readFoods, writeFoods, type CsvProblem, type Food } from '@pyrgotect/core';
import { ref } from 'vue';
import { download } from '../parts/download.ts';
import { usePantry } from '../stores/pantry.ts';
import PasteRecipe from './PasteRecipe.vue';

/** Recipes pasted or read from a table, ingredients read from and saved as a table. */
defineProps<{ table: 'recipes' | 'foods' }>();
const emit = defineEmits<{ close: [] }>();
const pantry = usePantry();
const problems = ref<CsvProblem[]>([]);
const read = ref<Food[] | null>(null);
const fileName = ref('');

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  fileName.value = file.name;
  read.value = null;
  if (file.size > maxTableLength) {
    problems.value = [
      {
        line: 0,
        column: null,
        value: null,
        message: `The file is ${(file.size / 1e6).toFixed(0)} MB large. A table is at most ${maxTableLength / 1e6} MB.`,
      },
    ];
    return;
  }
  const result = readFoods(
    await file.text(),
    pantry.pantry.foods,
    () => `own-${crypto.randomUUID().slice(0, 13)}`,
  );
  problems.value = result.ok ? [] : result.problems;
  read.value = result.ok ? result.rows : null;
}
const isKnown = (food: Food): boolean => pantry.pantry.foods.some((row) => row.id === food.id);
async function save(): Promise<void> {
  if (!read.value) return;
  await pantry.saveRows('foods', read.value);
  emit('close');
}
</script>

<template>
  <v-dialog :model-value="true" max-width="860" @update:model-value="emit('close')">
    <v-card class="import" data-test="import-dialog">
      <PasteRecipe v-if="table === 'recipes'" @close="emit('close')" />
      <template v-else>
        <h1>Ingredients as a table</h1>
        <p class="lead">
          Save them, change stock, packs and prices where you like, and read them back. Commas or
          semicolons, points or decimal commas. All of a table is taken, or nothing of it.
        </p>
        <p class="buttons">
          <button
            type="button"
            class="key"
            data-test="save-table"
            @click="download('ingredients.csv', writeFoods(pantry.pantry.foods), 'text/csv')"
          >
            Save as a table
          </button>
          <label class="key">
            Read a table
            <input
              class="visually-hidden"
              type="file"
              accept=".csv,.tsv,.txt,text/csv"
              aria-label="Table of ingredients"
              @change="take"
            />
          </label>
        </p>
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
            >: {{ read.filter(isKnown).length }} of them change, the others are new.
          </p>
          <p class="buttons">
            <button type="button" class="key solid" data-test="take-table" @click="save">
              Take them
            </button>
            <button type="button" class="key" @click="read = null">Leave them</button>
          </p>
        </template>
        <p class="buttons">
          <button type="button" class="key" @click="emit('close')">Close</button>
        </p>
      </template>
    </v-card>
  </v-dialog>
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
