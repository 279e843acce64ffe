<script setup lang="ts">
import { allergens, traits, type CocoaParts, type Food, type Trait } from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import { usePantry } from '../stores/pantry.ts';
import AllergenPick from './AllergenPick.vue';
import WordField from '../figures/WordField.vue';

/** What an ingredient holds and what it is called elsewhere. Changes the row that is being edited. */
const props = defineProps<{ food: Food }>();
// the dialog's own draft: it is saved or thrown away as a whole
const food = computed(() => props.food);
const pantry = usePantry();
const words: Record<Trait, string> = {
  animal: 'from an animal: milk, egg, honey',
  slaughtered: 'from a slaughtered animal',
  gelatine: 'gelatine',
  alcohol: 'alcohol',
  leaven: 'makes it rise',
};
const wholes = computed(() => [
  { value: '', text: 'as itself' },
  ...pantry.pantry.foods
    .filter((other) => other.pieceG !== null && other.boughtAs === null)
    .map((other) => ({ value: other.id, text: `taken out of ${other.name}` })),
]);
function setTrait(trait: Trait): void {
  food.value.traits = food.value.traits.includes(trait)
    ? food.value.traits.filter((other) => other !== trait)
    : [...food.value.traits, trait];
}
const cocoaParts: { key: keyof CocoaParts; text: string }[] = [
  { key: 'butter', text: 'cocoa butter' },
  { key: 'nonFat', text: 'dry cocoa' },
  { key: 'milkSolids', text: 'dry milk without its fat' },
  { key: 'milkFat', text: 'milk fat' },
  { key: 'otherFat', text: 'other fat, of a compound' },
];
function setChocolate(): void {
  food.value.cocoa = food.value.cocoa
    ? null
    : { butter: 0.34, nonFat: 0.2, milkSolids: 0, milkFat: 0, otherFat: 0 };
}
const names = (words: string): string[] =>
  words
    .split(',')
    .map((name) => name.trim().slice(0, 80))
    .filter(Boolean)
    .slice(0, 20);
</script>

<template>
  <div>
    <div class="line">
      <span>holds</span>
      <AllergenPick
        :model-value="food.allergens"
        :of="allergens"
        :none="food.declared ? 'no allergen' : 'not known yet: choose'"
        label="Allergens it holds"
        @update:model-value="(chosen) => (food.allergens = chosen)"
      />
    </div>
    <label class="line" data-test="declared">
      <span
        >its label has been read: what is not named here is not in it
        <small class="soft">until then every cake with it says “not known”</small></span
      >
      <v-checkbox-btn
        :model-value="food.declared"
        @update:model-value="food.declared = !food.declared"
      />
    </label>
    <div class="line">
      <span>may contain traces of</span>
      <AllergenPick
        :model-value="food.mayContain"
        :of="allergens"
        none="nothing"
        label="Traces it may contain"
        @update:model-value="(chosen) => (food.mayContain = chosen)"
      />
    </div>
    <label v-for="trait in traits" :key="trait" class="line">
      <span>{{ words[trait] }}</span>
      <v-checkbox-btn
        :model-value="food.traits.includes(trait)"
        @update:model-value="setTrait(trait)"
      />
    </label>
    <div class="line">
      <span>is bought</span>
      <ChoiceField
        :model-value="food.boughtAs ?? ''"
        label="Bought as"
        :options="wholes"
        @update:model-value="(id) => (food.boughtAs = id || null)"
      />
    </div>
    <label class="line">
      <span>is a chocolate, or a compound</span>
      <v-checkbox-btn :model-value="food.cocoa !== null" @update:model-value="setChocolate" />
    </label>
    <template v-if="food.cocoa">
      <div v-for="part in cocoaParts" :key="part.key" class="line">
        <span>{{ part.text }}</span>
        <QuantityField
          :model-value="food.cocoa[part.key]"
          :of="{ kind: 'share', min: 0, max: 1 }"
          :label="part.text"
          @update:model-value="(n) => (food.cocoa![part.key] = n)"
        />
      </div>
    </template>
    <label class="line">
      <span>also called, with commas between</span>
      <WordField
        :most="800"
        :model-value="food.aliases.join(', ')"
        @update:model-value="food.aliases = names($event)"
      />
    </label>
  </div>
</template>

<style scoped src="./line.css" />
<style scoped>
.line input {
  font: inherit;
  color: var(--ink);
  background: var(--raised);
  border: 0;
  border-bottom: 1.8px solid var(--accent);
  padding: 4px 6px;
  flex: 1;
  max-width: 380px;
}
</style>
