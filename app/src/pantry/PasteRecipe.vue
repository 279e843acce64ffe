<script setup lang="ts">
import {
  fieldProblem,
  maxTableLength,
  outOfProportion,
  pantryLimits,
  readPasted,
  readRecipeTable,
  rowSchemas,
  usualYieldG,
  type CsvProblem,
  type Food,
  type Ingredient,
  type Measuring,
  type ReadLine,
  type Recipe,
  type Spread,
  measurings,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import { ValidationError } from 'yup';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import { usePantry } from '../stores/pantry.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';
import FoodPick from './FoodPick.vue';
import RecipeYield from './RecipeYield.vue';

/** A recipe pasted line by line: each line read into grams beside what was written. */
const emit = defineEmits<{ close: [] }>();
const pantry = usePantry();
const settings = useSettings();
const units = useUnits();
const text = ref('');
const name = ref('');
const waiting = ref<{ name: string; lines: string[] }[]>([]);
const tableProblems = ref<CsvProblem[]>([]);
const problems = ref<string[]>([]);
const measuring = ref<Measuring>(pantry.pantry.kitchen.measuring);
const measuringChoices = measurings.map((value) => ({ value, text: value }));
/** Grams put right by hand, by the line's own text and place. */
const byHand = ref<Record<string, number>>({});
const keyOf = (line: ReadLine, i: number): string => `${i}/${line.text}`;
const lines = computed(() =>
  readPasted(text.value, pantry.pantry.foods, measuring.value, settings.system),
);
const gramsOf = (line: ReadLine, i: number): number | null =>
  byHand.value[keyOf(line, i)] ?? line.massG;
const total = computed(() =>
  lines.value.reduce((sum, line, i) => sum + (gramsOf(line, i) ?? 0), 0),
);
const isFood = (line: ReadLine): boolean => line.kind === 'ingredient';
const unread = computed(
  () => lines.value.filter((line, i) => isFood(line) && gramsOf(line, i) === null).length,
);
/** Which ingredient a line is, where the user said so, by the line's own text and place. */
const chosen = ref<Record<string, Food>>({});
const foodIdOf = (line: ReadLine, i: number): string | null =>
  chosen.value[keyOf(line, i)]?.id ?? line.foodId;
const nameOf = (line: ReadLine, i: number): string =>
  chosen.value[keyOf(line, i)]?.name ?? line.name;
const odd = computed(
  () =>
    new Map(
      outOfProportion(
        lines.value.map((line, i) => ({ massG: gramsOf(line, i), foodId: foodIdOf(line, i) })),
        pantry.pantry.foods,
      ).map(({ index, why }) => [index, why]),
    ),
);
const asked = computed(
  () => lines.value.filter((line, i) => isFood(line) && foodIdOf(line, i) === null).length,
);
const typedYield = ref<number | null>(null);
const yieldG = computed(() => typedYield.value ?? Math.round(usualYieldG(total.value)));

/** A frosting needs a row of its own to be chosen: one it is like lends density and stiffness. */
const likeId = ref('');
const holdsLike = computed<Recipe['holds']>(() => {
  const like = pantry.pantry.spreads.find((row) => row.id === likeId.value);
  const { holds } = pantry.pantry.recipes.find((row) => row.id === like?.recipeId) ?? {};
  return holds?.map((hold) => ({ ...hold, after: pantryLimits.holdAfter.max })) ?? null;
});
const likes = computed(() => [
  { value: '', text: 'only a recipe' },
  ...pantry.pantry.spreads.map((row) => ({
    value: row.id,
    text: `a frosting like ${row.name.toLowerCase()}`,
  })),
]);

async function takeTable(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  const result =
    file.size > maxTableLength
      ? {
          ok: false as const,
          problems: [
            { line: 0, column: null, value: null, message: 'The file is too large for a recipe.' },
          ],
        }
      : readRecipeTable(await file.text());
  tableProblems.value = result.ok ? [] : result.problems;
  if (result.ok) {
    waiting.value = result.rows;
    next();
  }
}
/** The next recipe of a table with several. */
function next(): void {
  const [first, ...rest] = waiting.value;
  waiting.value = rest;
  byHand.value = {};
  chosen.value = {};
  typedYield.value = null;
  if (!first) return;
  name.value = first.name.slice(0, 80);
  text.value = first.lines.join('\n');
}
const freshId = (): string => `own-${crypto.randomUUID().slice(0, 13)}`;
async function save(): Promise<void> {
  problems.value = [];
  const ingredients = lines.value.flatMap((line, i): Ingredient[] => {
    const massG = gramsOf(line, i);
    return massG === null
      ? []
      : [
          {
            name: nameOf(line, i).slice(0, 80),
            massG,
            ...(line.pieceG === null ? {} : { pieceG: line.pieceG }),
            allergens: [],
            foodId: foodIdOf(line, i),
            recipeId: null,
          },
        ];
  });
  const recipe: Recipe = {
    id: freshId(),
    name: name.value.trim(),
    source: 'own',
    ranges: {},
    yieldG: yieldG.value,
    ingredients,
    // what was not understood is kept as it was written
    steps: lines.value
      .filter((line, i) => gramsOf(line, i) === null)
      .map((line) => line.text.trim().slice(0, 400)),
    bake: null,
    caution: null,
    hazards: [],
    hottestC: null,
    // it waits as the one does that it is like
    holds: holdsLike.value,
  };
  const like = pantry.pantry.spreads.find((row) => row.id === likeId.value);
  const spread: Spread | null = like
    ? { ...like, id: freshId(), name: recipe.name, source: 'own', ranges: {}, recipeId: recipe.id }
    : null;
  try {
    rowSchemas.recipes.validateSync(recipe, { strict: true, abortEarly: false });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    problems.value = (error.inner.length > 0 ? error.inner : [error]).map((each) =>
      fieldProblem(each.path, each.errors[0], 'the recipe'),
    );
    return;
  }
  await pantry.saveRow('recipes', recipe);
  if (spread) await pantry.saveRow('spreads', spread);
  if (waiting.value.length > 0) next();
  else emit('close');
}
</script>

<template>
  <div>
    <h1>A recipe of your own</h1>
    <p class="sentence">
      <input
        v-model="name"
        class="name"
        type="text"
        maxlength="80"
        placeholder="what it is called"
        aria-label="Name of the recipe"
      />
      becomes <ChoiceField v-model="likeId" label="What it becomes" :options="likes" />. Cups of
      flour and sugar are
      <ChoiceField v-model="measuring" label="How a cup is filled" :options="measuringChoices" />.
    </p>
    <div class="both">
      <label>
        paste it here, one ingredient a line
        <textarea
          v-model="text"
          rows="11"
          data-test="paste"
          placeholder="2 1/4 cups plain flour&#10;200 g butter&#10;4 eggs&#10;1 tsp vanilla"
        />
      </label>
      <div class="read" data-test="read-lines">
        <table>
          <tbody>
            <tr
              v-for="(line, i) in lines"
              :key="i"
              :class="{ unread: isFood(line) && gramsOf(line, i) === null }"
            >
              <td>
                <FoodPick
                  v-if="isFood(line) && line.foodId === null"
                  :model-value="foodIdOf(line, i)"
                  :name="nameOf(line, i)"
                  :label="`Which ingredient “${line.text.trim()}” is`"
                  @pick="(food) => (chosen[keyOf(line, i)] = food)"
                />
                <template v-else>{{ line.kind === 'ingredient' ? line.name : line.text }}</template>
                <small v-if="isFood(line)">{{ line.text.trim() }}</small>
                <small
                  v-if="line.problem && !chosen[keyOf(line, i)] && gramsOf(line, i) === line.massG"
                  >{{ line.problem }}</small
                >
                <small v-if="odd.get(i)" class="odd" role="alert">{{ odd.get(i) }}</small>
              </td>
              <td v-if="!isFood(line)" class="end soft">
                {{ line.kind === 'heading' ? 'a title' : 'method' }}
              </td>
              <td v-else class="end">
                <QuantityField
                  :model-value="gramsOf(line, i)"
                  :of="{
                    kind: (gramsOf(line, i) ?? 0) < 20 ? 'fineMass' : 'small',
                    min: 0.1,
                    max: 20000,
                  }"
                  :label="`Weight of ${line.name}`"
                  auto="?"
                  @update:model-value="(g) => g !== null && (byHand[keyOf(line, i)] = g)"
                />
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="lines.length === 0" class="soft">Each line appears here in grams as it is read.</p>
      </div>
    </div>
    <p v-if="unread > 0" class="lead">
      {{ unread }} {{ unread === 1 ? 'line is' : 'lines are' }} without grams: type them, or leave
      them and they are kept as words among the steps.
    </p>
    <p v-if="asked > 0" class="lead" data-test="asked">
      Of {{ asked }} {{ asked === 1 ? 'line' : 'lines' }} the pantry has no ingredient of that name:
      choose it, or make it, or every cake with this recipe says “not known”.
    </p>
    <p v-if="yieldG > total + 1 && total > 0" class="lead odd" role="alert">
      More comes out than goes in: {{ units.text(yieldG, 'bowl') }} of
      {{ units.text(total, 'bowl') }}. Is a line missing, or the yield too high?
    </p>
    <p v-if="lines.length > 0" class="sentence">
      {{ units.text(total, 'bowl') }} go in and
      <QuantityField
        :model-value="yieldG"
        :of="{ kind: 'bowl', min: 10, max: 50000 }"
        label="Yield"
        @update:model-value="(g) => (typedYield = g)"
      />
      come out <RecipeYield @take="(g) => (typedYield = g)" />.
    </p>
    <ul v-if="problems.length + tableProblems.length > 0" class="problems" role="alert">
      <li v-for="problem in problems" :key="problem">{{ problem }}.</li>
      <li v-for="problem in tableProblems" :key="problem.message">{{ problem.message }}</li>
    </ul>
    <p class="buttons">
      <button type="button" class="key solid" data-test="save-pasted" @click="save">
        {{ waiting.length > 0 ? `Save, then the next of ${waiting.length}` : 'Save it' }}
      </button>
      <label class="key">
        Read a table of recipes
        <input
          class="visually-hidden"
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          aria-label="Table of recipes"
          @change="takeTable"
        />
      </label>
      <button type="button" class="key" @click="emit('close')">Leave it</button>
    </p>
  </div>
</template>

<style scoped>
.name,
textarea {
  font: inherit;
  color: var(--ink);
  background: var(--raised);
  border: 0;
  border-bottom: 1.8px solid var(--accent);
  padding: 4px 6px;
}
.name {
  width: 15em;
}
.both {
  display: grid;
  grid-template-columns: 1fr 1.15fr;
  gap: 22px;
  margin-top: 10px;
}
.both label {
  display: grid;
  gap: 4px;
  align-content: start;
  color: var(--soft);
  font-size: var(--size-note);
}
textarea {
  font-size: var(--size-text);
  resize: vertical;
}
.read {
  max-height: 330px;
  overflow: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: var(--size-text);
}
td {
  border-top: 1px solid var(--line);
  padding: 3px 6px 3px 0;
}
td small {
  display: block;
  color: var(--soft);
}
td .odd,
.odd {
  color: var(--warn);
}
.unread td {
  color: var(--stop);
}
.end {
  text-align: right;
}
.buttons {
  display: flex;
  gap: 10px;
  margin-top: 14px;
}
.problems {
  list-style: none;
  background: var(--stop-wash);
  border-left: 4px solid var(--stop);
  padding: 8px 12px;
}
</style>
