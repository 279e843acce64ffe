<script setup lang="ts">
import { allergens, diets, valueWord, valueWords } from '@pyrgotect/core';
import { computed } from 'vue';
import type { Asked } from './useAsked.ts';

/** Who may not eat what. */
const asked = defineModel<Asked>({ required: true });
const toggle = <T,>(from: T[], one: T): T[] =>
  from.includes(one) ? from.filter((each) => each !== one) : [...from, one];
const chips = computed(() => [
  ...allergens.map((one) => ({
    one,
    isOn: asked.value.keepOut.includes(one),
    turn: () => (asked.value.keepOut = toggle(asked.value.keepOut, one)),
  })),
  ...diets.map((one) => ({
    one,
    isOn: asked.value.diets.includes(one),
    turn: () => (asked.value.diets = toggle(asked.value.diets, one)),
  })),
]);
const kept = computed(() => chips.value.filter(({ isOn }) => isOn).map(({ one }) => one));
</script>

<template>
  <v-expansion-panels variant="accordion" class="diets">
    <v-expansion-panel
      :title="kept.length === 0 ? 'Everybody eats everything' : `Keep out: ${valueWords(kept)}`"
    >
      <template #text>
        <p class="chips">
          <v-chip
            v-for="{ one, isOn, turn } in chips"
            :key="one"
            :variant="isOn ? 'flat' : 'outlined'"
            :color="isOn ? 'secondary' : undefined"
            :aria-pressed="isOn"
            @click="turn"
            >{{ valueWord(one) }}</v-chip
          >
        </p>
        <p class="lead">
          By what the pantry says of its recipes. What it may have touched in your kitchen the
          program cannot know; your local food code says what to declare.
        </p>
      </template>
    </v-expansion-panel>
  </v-expansion-panels>
</template>

<style scoped>
.diets {
  margin: 12px 0 18px;
  max-width: 760px;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
