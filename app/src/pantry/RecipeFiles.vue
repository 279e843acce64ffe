<script setup lang="ts">
import { writeRecipePage, writeRecipes, writeWebRecipes, type Recipe } from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import { download } from '../parts/download.ts';
import { fileName } from '../parts/file-name.ts';
import { usePantry } from '../stores/pantry.ts';

/** Recipes leave as files that other kitchens and their programs read. */
const pantry = usePantry();
const all = computed(() => pantry.pantry.recipes);
const own = computed(() => all.value.filter(({ source }) => source === 'own'));
const count = (list: readonly Recipe[]): string =>
  `${list.length} ${list.length === 1 ? 'recipe' : 'recipes'}`;
const which = ref(own.value.length > 0 ? 'own' : 'all');
const choices = computed(() => [
  ...(own.value.length > 0 ? [{ value: 'own', text: `your own ${count(own.value)}` }] : []),
  { value: 'all', text: `all ${count(all.value)}` },
  ...all.value.map(({ id, name }) => ({ value: id, text: name })),
]);
const chosen = computed(() =>
  which.value === 'all'
    ? all.value
    : which.value === 'own'
      ? own.value
      : all.value.filter(({ id }) => id === which.value),
);
const title = computed(() => (chosen.value.length === 1 ? chosen.value[0]!.name : 'Recipes'));
type Form = 'page' | 'json' | 'table';
const forms: { value: Form; text: string }[] = [
  { value: 'page', text: 'a page that people and programs read' },
  { value: 'json', text: 'JSON-LD (schema.org Recipe)' },
  { value: 'table', text: 'a table' },
];
const form = ref<Form>('page');
function save(): void {
  const name = fileName(title.value);
  if (form.value === 'table') download(`${name}.csv`, writeRecipes(chosen.value), 'text/csv');
  else if (form.value === 'json')
    download(`${name}.json`, writeWebRecipes(chosen.value), 'application/ld+json');
  else download(`${name}.html`, writeRecipePage(chosen.value, title.value), 'text/html');
}
</script>

<template>
  <section data-test="recipe-files">
    <h2>Recipes as files</h2>
    <p class="sentence">
      Save <ChoiceField v-model="which" label="Which recipes" :options="choices" /> as
      <ChoiceField v-model="form" label="Kind of file" :options="forms" />, in grams, with their
      steps. <KeyButton size="small" data-test="save-recipes" @click="save">Save</KeyButton>
    </p>
  </section>
</template>

<style scoped>
section {
  margin-top: 18px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
</style>
