<script setup lang="ts">
import { coatStyles, limits, shapes, styleRows, wishLimits, type Portion } from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import WhenField from '../figures/WhenField.vue';
import WordField from '../figures/WordField.vue';
import OwnRowDialog from '../pantry/OwnRowDialog.vue';
import { usePantry } from '../stores/pantry.ts';
import { anything, type Asked } from './useAsked.ts';

/** What a customer would say, in one sentence. */
const asked = defineModel<Asked>({ required: true });
const pantry = usePantry();

const portions: { value: Portion; text: string }[] = [
  { value: 'dessert', text: 'dessert portions' },
  { value: 'small', text: 'small portions' },
];
const looks = coatStyles.map((value) => ({ value, text: styleRows[value].title.toLowerCase() }));
const rowsOf = (rows: readonly { id: string; name: string }[], any: string) => [
  { value: anything, text: any },
  ...rows.map(({ id, name }) => ({ value: id, text: name.toLowerCase() })),
];
const sponges = computed(() => rowsOf(pantry.pantry.sponges, 'any sponge'));
const fillings = computed(() =>
  rowsOf(
    pantry.pantry.spreads.filter(({ canFill }) => canFill),
    'its frosting',
  ),
);
const frostings = computed(() =>
  rowsOf(
    pantry.pantry.spreads.filter(({ canFill, canCoat }) => canFill && canCoat),
    'any frosting',
  ),
);
const shapeChoices = [
  { value: anything, text: 'any shape' },
  ...shapes.map((value) => ({
    value,
    text: { round: 'round', square: 'square', rectangle: 'a tray' }[value],
  })),
];
const tierChoices = [
  { value: anything, text: 'as many tiers as it takes' },
  ...[1, 2, 3, 4, 5].map((n) => ({
    value: String(n),
    text: n === 1 ? 'one tier' : `${n} tiers`,
  })),
];
const proportionChoices = [
  { value: anything, text: 'in any proportion' },
  { value: 'short and wide', text: 'short and wide' },
  { value: 'even steps', text: 'in even steps' },
  { value: 'tall', text: 'tall' },
  { value: 'one tall tier', text: 'with one tall tier' },
];
const kitchenChoices = [
  { value: 'no', text: 'all of it on the table' },
  { value: 'yes', text: 'with plain cakes cut in the kitchen' },
];
const buyChoices = [
  { value: 'no', text: 'my own tins' },
  { value: 'yes', text: 'any tin of the pantry, to buy or borrow' },
];
const travelChoices = [
  { value: 'yes', text: 'driven' },
  { value: 'no', text: 'eaten where it is made' },
];

/** What of one's own is being named. */
const making = ref<'sponge' | 'filling' | 'frosting' | null>(null);
</script>

<template>
  <p class="sentence">
    A cake for
    <QuantityField
      :model-value="asked.servings"
      :of="limits.servings"
      label="Guests"
      @update:model-value="(n) => (asked.servings = n)"
    />
    guests in
    <ChoiceField v-model="asked.portion" label="Portion" :options="portions" />, for
    <WordField
      v-model="asked.occasion"
      class="what"
      :most="80"
      aria-label="Occasion"
      placeholder="what for"
    />, served <WhenField v-model="asked.serveAt" nullable label="Date and time of serving" />,
    <ChoiceField v-model="asked.travels" label="Does it travel" :options="travelChoices" />
    <template v-if="asked.travels === 'yes'">
      for
      <QuantityField
        :model-value="asked.minutes"
        :of="limits.roadMin"
        label="Minutes on the road"
        @update:model-value="(n) => (asked.minutes = n)" /></template
    >:
    <ChoiceField
      v-model="asked.sponge"
      label="Sponge"
      :options="sponges"
      more="new sponge …"
      @more="making = 'sponge'"
    />, filled with
    <ChoiceField
      v-model="asked.filling"
      label="Filling"
      :options="fillings"
      more="new filling …"
      @more="making = 'filling'"
    />, under
    <ChoiceField
      v-model="asked.frosting"
      label="Frosting"
      :options="frostings"
      more="new frosting …"
      @more="making = 'frosting'"
    />, <ChoiceField v-model="asked.look" label="Look" :options="looks" />;
    <ChoiceField v-model="asked.shape" label="Shape" :options="shapeChoices" />,
    <ChoiceField v-model="asked.tiers" label="Tiers" :options="tierChoices" />,
    <ChoiceField v-model="asked.proportion" label="Height" :options="proportionChoices" />, at most
    <QuantityField
      :model-value="asked.mostMm"
      :of="wishLimits.mostMm"
      nullable
      auto="any height"
      label="Height at most"
      @update:model-value="(n: number | null) => (asked.mostMm = n)"
    />
    and
    <QuantityField
      :model-value="asked.mostG"
      :of="wishLimits.mostG"
      nullable
      auto="any weight"
      label="Weight at most"
      @update:model-value="(n: number | null) => (asked.mostG = n)"
    />; <ChoiceField v-model="asked.mayKitchen" label="Kitchen cakes" :options="kitchenChoices" />,
    from <ChoiceField v-model="asked.mayBuy" label="Tins" :options="buyChoices" />.
    <OwnRowDialog
      v-if="making"
      :kind="making"
      @close="making = null"
      @made="(id) => making && (asked[making] = id)"
    />
  </p>
</template>

<style scoped>
.sentence {
  max-width: none;
}
.what.v-input {
  min-width: 12ch;
}
</style>
