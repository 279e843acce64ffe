<script setup lang="ts">
import ChoiceField from '../figures/ChoiceField.vue';
import type { Sorting, States } from './arranged.ts';

/** Which cakes the shelf shows, and in which order. */
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
</script>

<template>
  <p class="soft">
    Shown are <ChoiceField v-model="state" label="Which cakes" :options="stateChoices" />, by
    <ChoiceField v-model="sorting" label="Order of the shelf" :options="sortChoices" />.
  </p>
</template>
