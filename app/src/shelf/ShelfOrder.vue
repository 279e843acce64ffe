<script setup lang="ts">
import { watch } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import { keepDrawnOf } from '../storage/drawn.ts';
import { useShelf } from '../stores/shelf.ts';
import type { Sorting, States } from './arranged.ts';
import { cannotDraw, useCardShows, type CardShows } from './useCardPicture.ts';

/** Which cakes the shelf shows, in which order, and what of each. */
const state = defineModel<States>('state', { required: true });
const sorting = defineModel<Sorting>('sorting', { required: true });
const stateChoices: { value: States; text: string }[] = [
  { value: 'all', text: 'all cakes' },
  { value: 'open', text: 'cakes without an offer' },
  { value: 'offered', text: 'cakes that are offered' },
  { value: 'confirmed', text: 'cakes that are confirmed' },
];
const sortChoices: { value: Sorting; text: string }[] = [
  { value: 'date', text: 'when they are served' },
  { value: 'customer', text: 'who ordered them' },
  { value: 'name', text: 'their name' },
  { value: 'changed', text: 'the last change' },
];
const shelf = useShelf();
const shows = useCardShows();
watch(
  () => shows.value === 'picture',
  (isPicture) => {
    if (isPicture) void keepDrawnOf(new Set(shelf.entries.map(({ id }) => id)));
  },
  { immediate: true },
);
const showChoices: { value: CardShows; text: string }[] = [
  { value: 'section', text: 'its section' },
  { value: 'picture', text: 'its picture' },
];
</script>

<template>
  <p class="soft">
    Shown are <ChoiceField v-model="state" label="Which cakes" :options="stateChoices" />, by
    <ChoiceField v-model="sorting" label="Order of the shelf" :options="sortChoices" />, each by
    <ChoiceField v-model="shows" label="What a card shows" :options="showChoices" />.
    <span v-if="shows === 'picture' && cannotDraw" role="status">
      This browser draws no pictures aside: sections instead.
    </span>
  </p>
</template>
