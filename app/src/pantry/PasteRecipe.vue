<script setup lang="ts">
import {
  freshId,
  fieldProblem,
  rowFields,
  maxTableLength,
  outOfProportion,
  readMethod,
  readPasted,
  isWebRecipe,
  maxPageLength,
  readRecipeTable,
  readWebRecipes,
  rowSchemas,
  rowsOfPasted,
  sentencesOf,
  tooMuchPasted,
  spongesLike,
  usualYieldG,
  type Becomes,
  type CsvProblem,
  type Food,
  type Ingredient,
  type Measuring,
  type ReadLine,
  type Recipe,
  type Sponge,
  type TakenRecipe,
  measurings,
  valueWord,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import { ValidationError } from 'yup';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import { usePantry } from '../stores/pantry.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';
import PastedBake from './PastedBake.vue';
import PastedLines from './PastedLines.vue';
import { handedRecipe, holdsRecipes } from './handed-recipe.ts';
import type { PastedLine } from './pasted-line.ts';
import RecipeYield from './RecipeYield.vue';
import FileKey from '../parts/FileKey.vue';
import WordField from '../figures/WordField.vue';

/** A recipe pasted line by line: each line read into grams beside what was written. */
const props = defineProps<{
  /** What it is to become, where that is known already; with the name it was given there. */
  as?: { name: string; becomes: Exclude<Becomes, { kind: 'recipe' }> };
}>();
const emit = defineEmits<{ close: []; made: [id: string] }>();
const pantry = usePantry();
const settings = useSettings();
const units = useUnits();
const text = ref('');
const name = ref(props.as?.name ?? '');
const waiting = ref<TakenRecipe[]>([]);
const tableProblems = ref<CsvProblem[]>([]);
const problems = ref<string[]>([]);
const measuring = ref<Measuring>(pantry.pantry.kitchen.measuring);
const measuringChoices = measurings.map((value) => ({ value, text: valueWord(value) }));
/** Grams put right by hand, by the line's own text and place. */
const byHand = ref<Record<string, number>>({});
const keyOf = (line: ReadLine, i: number): string => `${i}/${line.text}`;
/** What is far more than a recipe is not read, and not shown line by line. */
const tooMuch = computed(() => tooMuchPasted(text.value));
const refused = ref('');
/** A text that no recipe is as long as is not even set: that alone would hold the page up. */
function paste(event: ClipboardEvent): void {
  const pasted = event.clipboardData?.getData('text') ?? '';
  if (isWebRecipe(pasted)) {
    event.preventDefault();
    takeText(pasted);
    return;
  }
  refused.value = tooMuchPasted(pasted) ?? '';
  if (refused.value) event.preventDefault();
}
const lines = computed(() =>
  tooMuch.value
    ? []
    : readPasted(text.value, pantry.pantry.foods, measuring.value, settings.system),
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

/** What was not read as an amount is kept as it was written, and read for how it is made. */
const toDo = computed(() => lines.value.filter((line, i) => gramsOf(line, i) === null));
const method = computed(() =>
  readMethod(
    toDo.value.map((line) => line.text),
    lines.value.map((line, i) => ({ foodId: foodIdOf(line, i) })),
    pantry.pantry.foods,
    settings.system,
  ),
);
/** What was understood of each line of method. */
const saidOf = computed(() => {
  const said = new Map<ReadLine, string>();
  let next = 0;
  for (const line of toDo.value) {
    const upTo = next + sentencesOf(line.text).length;
    said.set(line, method.value.said.slice(next, upTo).flat().map(units.say).join('; '));
    next = upTo;
  }
  return said;
});

const rows = computed(() =>
  lines.value.map((line, i): PastedLine => ({
    line,
    massG: gramsOf(line, i),
    foodId: foodIdOf(line, i),
    name: nameOf(line, i),
    isPutRight: chosen.value[keyOf(line, i)] !== undefined || gramsOf(line, i) !== line.massG,
    odd: odd.value.get(i) ?? '',
    said: saidOf.value.get(line) ?? '',
  })),
);

/** What it becomes: a frosting or a sponge needs a row of its own, and one it is like lends it the rest. */
const chosenKind = ref<string | null>(
  props.as ? `${props.as.becomes.kind}/${props.as.becomes.likeId}` : null,
);
const alike = computed(() =>
  spongesLike(
    lines.value.map((line, i) => ({ foodId: foodIdOf(line, i), massG: gramsOf(line, i) ?? 0 })),
    pantry.pantry,
  ),
);
/** What is baked is taken for a batter, most like the sponge that is made of the same. */
const guessed = computed(() =>
  method.value.bake && alike.value[0] ? `sponge/${alike.value[0].id}` : 'recipe',
);
const kind = computed({
  get: () => chosenKind.value ?? guessed.value,
  set: (value) => (chosenKind.value = value),
});
const becomes = computed<Becomes>(() => {
  const likeId = kind.value.slice(kind.value.indexOf('/') + 1);
  if (kind.value.startsWith('spread/')) return { kind: 'spread', likeId };
  return kind.value.startsWith('sponge/') ? { kind: 'sponge', likeId } : { kind: 'recipe' };
});
const spongeLike = computed<Sponge | null>(() => {
  const { value: to } = becomes;
  if (to.kind !== 'sponge') return null;
  return pantry.pantry.sponges.find(({ id }) => id === to.likeId) ?? null;
});
const bake = ref<Recipe['bake']>(null);
const likes = computed(() => [
  { value: 'recipe', text: 'only a recipe' },
  ...(!props.as && alike.value.length > 0 ? alike.value : pantry.pantry.sponges).map((row) => ({
    value: `sponge/${row.id}`,
    text: `a cake like ${row.name.toLowerCase()}`,
  })),
  ...pantry.pantry.spreads.map((row) => ({
    value: `spread/${row.id}`,
    text: `a frosting like ${row.name.toLowerCase()}`,
  })),
]);

const tooLarge: CsvProblem = {
  line: 0,
  column: null,
  value: null,
  message: 'The file is too large for a recipe.',
};
async function takeFile(file: File): Promise<void> {
  if (file.size > maxPageLength) tableProblems.value = [tooLarge];
  else takeText(await file.text());
}
/** Recipes of a table, of JSON-LD or of a saved page; the first of them is shown, the others wait. */
function takeText(given: string): void {
  const isWeb = isWebRecipe(given);
  if (!isWeb && given.length > maxTableLength) {
    tableProblems.value = [tooLarge];
    return;
  }
  const result = isWeb ? readWebRecipes(given) : readRecipeTable(given);
  tableProblems.value = result.ok ? [] : result.problems;
  if (result.ok) {
    waiting.value = result.rows;
    next();
  }
}
/* what was brought to the shelf and is a recipe */
const handed = handedRecipe.value;
handedRecipe.value = null;
/** The next recipe of a table with several. */
function next(): void {
  const [first, ...rest] = waiting.value;
  waiting.value = rest;
  byHand.value = {};
  chosen.value = {};
  typedYield.value = first?.yieldG ?? null;
  chosenKind.value = null;
  if (!first) return;
  name.value = first.name.slice(0, 80);
  text.value = first.lines.join('\n');
}
if (handed !== null) {
  // plain words are pasted, anything else is read
  if (isWebRecipe(handed) || holdsRecipes('x.csv', handed)) takeText(handed);
  else text.value = handed;
}
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
  const { recipe, spread, sponge } = rowsOfPasted(
    {
      name: name.value.trim(),
      yieldG: yieldG.value,
      ingredients,
      method: method.value,
      bake: becomes.value.kind === 'sponge' ? bake.value : null,
      becomes: becomes.value,
    },
    pantry.pantry,
    () => freshId('own', 13),
  );
  try {
    rowSchemas.recipes.validateSync(recipe, { strict: true, abortEarly: false });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    problems.value = (error.inner.length > 0 ? error.inner : [error]).map((each) =>
      fieldProblem(each.path, each.errors[0], 'the recipe', rowFields.recipes),
    );
    return;
  }
  await pantry.saveRow('recipes', recipe);
  if (spread) await pantry.saveRow('spreads', spread);
  if (sponge) await pantry.saveRow('sponges', sponge);
  const made = spread ?? sponge;
  if (made) emit('made', made.id);
  if (waiting.value.length > 0) next();
  else emit('close');
}
</script>

<template>
  <div>
    <h1>A recipe of your own</h1>
    <p class="sentence">
      <WordField
        v-model="name"
        class="called"
        :most="80"
        placeholder="what it is called"
        aria-label="Name of the recipe"
      />
      becomes <ChoiceField v-model="kind" label="What it becomes" :options="likes" />. Cups of flour
      and sugar are
      <ChoiceField v-model="measuring" label="How a cup is filled" :options="measuringChoices" />.
    </p>
    <div class="both">
      <v-textarea
        v-model="text"
        label="paste it here, one ingredient a line"
        variant="outlined"
        rows="11"
        data-test="paste"
        placeholder="2 1/4 cups plain flour&#10;200 g butter&#10;4 eggs&#10;1 tsp vanilla"
        persistent-placeholder
        @paste="paste"
      />
      <PastedLines
        :rows="rows"
        @pick="(i, food) => (chosen[keyOf(lines[i]!, i)] = food)"
        @weigh="(i, g) => (byHand[keyOf(lines[i]!, i)] = g)"
      />
    </div>
    <p v-if="tooMuch ?? refused" class="problems" role="alert" data-test="too-much">
      {{ tooMuch ?? refused }}
    </p>
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
    <PastedBake
      v-if="spongeLike && lines.length > 0"
      :method="method"
      :batter-g="yieldG"
      :like="spongeLike"
      @bake="(next) => (bake = next)"
    />
    <ul v-if="problems.length + tableProblems.length > 0" class="problems" role="alert">
      <li v-for="problem in problems" :key="problem">{{ problem }}.</li>
      <li v-for="problem in tableProblems" :key="problem.message">{{ problem.message }}</li>
    </ul>
    <p class="buttons">
      <KeyButton variant="flat" data-test="save-pasted" @click="save">
        {{ waiting.length > 0 ? `Save, then the next of ${waiting.length}` : 'Save it' }}
      </KeyButton>
      <FileKey
        accept=".csv,.tsv,.txt,.json,.jsonld,.html,.htm,text/csv,text/html,application/ld+json"
        label="Recipes in a file"
        @take="takeFile"
        >Read a saved page or a table</FileKey
      >
      <KeyButton @click="emit('close')">Leave it</KeyButton>
    </p>
  </div>
</template>

<style scoped>
.called.v-input {
  width: 15em;
}
.both {
  display: grid;
  grid-template-columns: 1fr 1.15fr;
  gap: 22px;
  margin-top: 10px;
}
.odd {
  color: var(--warn);
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
