<script setup lang="ts">
import {
  alcoholByVolume,
  alcoholShareOf,
  allergens,
  hazards,
  pantryLimits,
  dietsKept,
  householdText,
  recipeContents,
  type GelatineWish,
  type Ingredient,
  type Recipe,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import HoldsLine from '../figures/HoldsLine.vue';
import QuantityField from '../figures/QuantityField.vue';
import { usePantry } from '../stores/pantry.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';
import AllergenPick from './AllergenPick.vue';
import GelatineFields from './GelatineFields.vue';
import RecipeWaits from './RecipeWaits.vue';
import SwapLine from './SwapLine.vue';
import WordField from '../figures/WordField.vue';

/** A recipe's lines and steps. Changes the row that is being edited, or replaces it by a swap. */
const props = defineProps<{ recipe: Recipe }>();
const emit = defineEmits<{ replace: [recipe: Recipe] }>();
// the dialog's own draft: it is saved or thrown away as a whole
const recipe = computed(() => props.recipe);
const pantry = usePantry();
const settings = useSettings();
const units = useUnits();
const swapping = ref<number | null>(null);
const contents = computed(() => recipeContents(props.recipe, pantry.pantry));
const kept = computed(() => dietsKept(contents.value));
const total = computed(() => props.recipe.ingredients.reduce((sum, line) => sum + line.massG, 0));
/** What a line can be: an ingredient, another recipe, or only its name. */
const choices = computed(() => [
  { value: '', text: 'not in the pantry' },
  ...pantry.pantry.foods.map((food) => ({ value: `food/${food.id}`, text: food.name })),
  ...pantry.pantry.recipes
    .filter((other) => other.id !== props.recipe.id)
    .map((other) => ({ value: `recipe/${other.id}`, text: `recipe: ${other.name}` })),
]);
const choiceOf = (line: Ingredient): string =>
  line.foodId ? `food/${line.foodId}` : line.recipeId ? `recipe/${line.recipeId}` : '';
function choose(line: Ingredient, value: string): void {
  const [kind, id] = [value.split('/')[0], value.slice(value.indexOf('/') + 1)];
  const food = kind === 'food' ? pantry.pantry.foods.find((row) => row.id === id) : undefined;
  const part = kind === 'recipe' ? pantry.pantry.recipes.find((row) => row.id === id) : undefined;
  line.foodId = food?.id ?? null;
  line.recipeId = part?.id ?? null;
  if (food || part) line.name = (food ?? part)!.name.slice(0, 80);
  if (food?.pieceG) line.pieceG = food.pieceG;
  else delete line.pieceG;
}
const setGrams = (lines: GelatineWish['lines']): void =>
  lines.forEach(({ index, massG }) => (recipe.value.ingredients[index]!.massG = massG));
const household = (line: Ingredient): string =>
  householdText(
    pantry.pantry.foods.find((food) => food.id === line.foodId) ?? null,
    line.massG,
    pantry.pantry.kitchen.measuring,
    settings.system,
  ) ?? (line.foodId ? 'weigh it' : '');
const soakWays = [
  { value: 'not' as const, text: 'not brushed on layers' },
  { value: 'brushed' as const, text: 'brushed on layers' },
];
/** As heavy as a thin syrup, until it is weighed. */
const usualSoak = 1.15;
const strength = computed(() =>
  alcoholByVolume(
    alcoholShareOf(recipe.value, pantry.pantry),
    recipe.value.soakGPerMl ?? usualSoak,
  ),
);
const add = (): void => {
  recipe.value.ingredients.push({
    name: '',
    massG: 100,
    allergens: [],
    foodId: null,
    recipeId: null,
  });
};
const stepsOf = (event: Event): string[] =>
  (event.target as HTMLTextAreaElement).value
    .split('\n')
    .map((step) => step.trim())
    .filter(Boolean);
</script>

<template>
  <div>
    <h2>Ingredients</h2>
    <p class="soft">
      {{ units.text(total, 'bowl') }} go in, {{ units.text(recipe.yieldG, 'bowl') }} come out.
      <HoldsLine :held="contents" />
      {{ kept.length > 0 ? `It is: ${kept.join(', ')}.` : '' }}
    </p>
    <ul>
      <template v-for="(line, i) in recipe.ingredients" :key="i">
        <li>
          <ChoiceField
            class="what"
            :model-value="choiceOf(line)"
            :label="`What ingredient ${i + 1} is`"
            :options="choices"
            @update:model-value="(value) => choose(line, value)"
          />
          <WordField
            v-if="!line.foodId && !line.recipeId"
            v-model="line.name"
            class="called"
            :most="80"
            :aria-label="`Ingredient ${i + 1}`"
          />
          <QuantityField
            v-model="line.massG"
            :of="{ kind: 'small', min: 0.1, max: 20000 }"
            :label="`Weight of ingredient ${i + 1}`"
          />
          <span class="soft cup">{{ household(line) }}</span>
          <AllergenPick
            v-if="!line.foodId && !line.recipeId"
            :model-value="line.allergens"
            :of="allergens"
            none="no allergen"
            :label="`Allergens of ingredient ${i + 1}`"
            @update:model-value="(chosen) => (line.allergens = chosen)"
          />
          <KeyButton
            v-if="line.foodId"
            variant="text"
            size="small"
            :aria-label="`Swap ${line.name}`"
            @click="swapping = swapping === i ? null : i"
          >
            swap
          </KeyButton>
          <KeyButton
            variant="text"
            size="small"
            :aria-label="`Take out ${line.name}`"
            @click="recipe.ingredients.splice(i, 1)"
          >
            ×
          </KeyButton>
        </li>
        <SwapLine
          v-if="swapping === i"
          :recipe="recipe"
          :index="i"
          @swap="
            (to) => {
              emit('replace', to);
              swapping = null;
            }
          "
        />
      </template>
    </ul>
    <p><KeyButton size="small" @click="add">Add an ingredient</KeyButton></p>
    <p class="sentence">
      While it is made it gets
      <QuantityField
        :model-value="recipe.hottestC"
        :of="pantryLimits.hottestC"
        label="How hot it gets"
        nullable
        auto="not said"
        @update:model-value="(c) => (recipe.hottestC = c)"
      />
      hot, and what can hurt is
      <AllergenPick
        :model-value="recipe.hazards"
        :of="hazards"
        none="nothing"
        label="What can hurt while it is made"
        @update:model-value="(chosen) => (recipe.hazards = chosen)"
      />.
      {{
        recipe.hottestC === null
          ? 'Until that is said it is offered to no child and no helper.'
          : ''
      }}
    </p>
    <p v-if="recipe.bake === null" class="sentence">
      Making one mixing of it takes
      <QuantityField
        :model-value="recipe.makeMin"
        :of="pantryLimits.makeMin"
        label="Minutes of work for one mixing"
        @update:model-value="(n) => (recipe.makeMin = n)"
      />
      of hands.
    </p>
    <p class="sentence" data-test="recipe-soak">
      It is
      <ChoiceField
        :model-value="recipe.soakGPerMl === null ? 'not' : 'brushed'"
        label="Whether it is brushed on layers"
        :options="soakWays"
        @update:model-value="(way) => (recipe.soakGPerMl = way === 'not' ? null : usualSoak)"
      /><template v-if="recipe.soakGPerMl !== null"
        >, and weighs
        <QuantityField
          :model-value="recipe.soakGPerMl"
          :of="pantryLimits.soakGPerMl"
          label="Density of the soak"
          @update:model-value="(d) => (recipe.soakGPerMl = d)"
        /><template v-if="strength > 0"
          >; <b>{{ units.text(strength, 'share') }}</b> alcohol by volume</template
        ></template
      >.
    </p>
    <v-textarea
      class="steps"
      label="steps, one a line"
      rows="4"
      auto-grow
      :model-value="recipe.steps.join('\n')"
      @change="recipe.steps = stepsOf($event)"
    />
    <GelatineFields :recipe="recipe" @set="(lines) => setGrams(lines)" />
    <RecipeWaits :model-value="recipe" />
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
}
.what.v-input {
  width: 220px;
}
.called.v-input {
  width: 150px;
}
.cup {
  flex: 1;
  font-size: var(--size-note);
  white-space: nowrap;
}
.steps {
  margin-top: 14px;
}
</style>
