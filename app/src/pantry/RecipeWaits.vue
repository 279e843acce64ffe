<script setup lang="ts">
import {
  coolPlaces,
  pantryLimits,
  type CoolPlace,
  type Recipe,
  type RecipeHold,
} from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import { placeWords } from './place-words.ts';

/** What a recipe waits for between its steps and before its use: Day and bench leave that time. */
const recipe = defineModel<Recipe>({ required: true });
const holds = computed(() => recipe.value.holds ?? []);
const places = coolPlaces.map((value) => ({ value, text: placeWords[value] }));
const afters = computed(() =>
  Array.from({ length: Math.max(1, recipe.value.steps.length) }, (_, i) => ({
    value: String(i + 1),
    text: i + 1 >= recipe.value.steps.length ? 'at the end' : `after step ${i + 1}`,
  })),
);
const afterOf = (hold: RecipeHold): string =>
  String(Math.min(hold.after, Math.max(1, recipe.value.steps.length)));
function add(): void {
  const hold: RecipeHold = {
    after: Math.max(1, recipe.value.steps.length),
    fromC: recipe.value.hottestC,
    toC: 26,
    where: 'bowl',
    leastMin: 0,
    mostMin: null,
  };
  recipe.value.holds = [...holds.value, hold];
}
</script>

<template>
  <div data-test="recipe-waits">
    <h2>Waits</h2>
    <p class="soft">
      {{
        recipe.holds === null
          ? 'Nobody has said. What gets hot is taken to cool in its bowl until it can be spread.'
          : holds.length === 0
            ? 'It can be used at once.'
            : 'Day and bench leave this time; how long it takes to cool follows from how much it is.'
      }}
    </p>
    <p v-for="(hold, i) in holds" :key="i" class="sentence">
      <ChoiceField
        :model-value="afterOf(hold)"
        :label="`Wait ${i + 1}: after which step`"
        :options="afters"
        @update:model-value="(n) => (hold.after = Number(n))"
      />
      it waits
      <ChoiceField
        :model-value="hold.where"
        :label="`Wait ${i + 1}: where`"
        :options="places"
        @update:model-value="(where: CoolPlace) => (hold.where = where)"
      />
      from
      <QuantityField
        v-model="hold.fromC"
        :of="pantryLimits.hottestC"
        :label="`Wait ${i + 1}: how warm at first`"
        nullable
        auto="no matter"
      />
      until it is at
      <QuantityField
        v-model="hold.toC"
        :of="pantryLimits.holdToC"
        :label="`Wait ${i + 1}: how warm at its end`"
        nullable
        auto="no matter"
      />, at least
      <QuantityField
        v-model="hold.leastMin"
        :of="pantryLimits.holdMin"
        :label="`Wait ${i + 1}: at least`"
      />, at most
      <QuantityField
        v-model="hold.mostMin"
        :of="pantryLimits.holdMin"
        :label="`Wait ${i + 1}: at most`"
        nullable
        auto="as it keeps"
      />.
      <KeyButton
        variant="text"
        size="small"
        :aria-label="`Take out wait ${i + 1}`"
        @click="recipe.holds = holds.filter((_, k) => k !== i)"
      >
        ×
      </KeyButton>
    </p>
    <p>
      <KeyButton size="small" @click="add">Add a wait</KeyButton>
      <KeyButton
        v-if="recipe.holds === null"
        variant="text"
        size="small"
        @click="recipe.holds = []"
      >
        It can be used at once
      </KeyButton>
    </p>
  </div>
</template>
