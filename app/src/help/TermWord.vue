<script setup lang="ts">
import { computed, ref } from 'vue';
import TermPicture from './TermPicture.vue';
import { terms, type Term, type TermId } from './terms.ts';

/** A word that says what it means where it stands: pointed at, pressed, or reached with Tab. */
const props = defineProps<{ id: TermId }>();
const term = computed<Term>(() => terms[props.id]);
const open = ref(false);
</script>

<template>
  <v-tooltip
    v-model="open"
    location="top"
    open-on-focus
    :max-width="280"
    content-class="term"
    :aria-label="term.means"
  >
    <template #activator="{ props: opener }">
      <button
        type="button"
        class="word"
        v-bind="opener"
        @click="open = true"
        @keydown.esc="open = false"
      >
        <slot>{{ term.word }}</slot>
      </button>
    </template>
    <TermPicture v-if="term.drawn" :of="term.drawn" />
    <div>{{ term.means }}</div>
  </v-tooltip>
</template>

<style scoped>
.word {
  font: inherit;
  color: inherit;
  letter-spacing: inherit;
  background: none;
  border: 0;
  padding: 0;
  cursor: help;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}
</style>
