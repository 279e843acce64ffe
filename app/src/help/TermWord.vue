<script setup lang="ts">
import { computed, ref, useId, useTemplateRef } from 'vue';
import TermPicture from './TermPicture.vue';
import { terms, type Term, type TermId } from './terms.ts';

/** A word that says what it means where it stands: pointed at, pressed, or reached with Tab. */
const props = defineProps<{ id: TermId }>();
const term = computed<Term>(() => terms[props.id]);
const open = ref(false);
const word = useTemplateRef<HTMLElement>('word');
const textId = useId();
/** A finger that rests on it has pressed it already. */
const point = (event: PointerEvent, to: boolean): void => {
  if (event.pointerType === 'mouse') open.value = to;
};
</script>

<template>
  <button
    ref="word"
    type="button"
    class="word"
    :aria-describedby="open ? textId : undefined"
    @pointerenter="point($event, true)"
    @pointerleave="point($event, false)"
    @focus="open = true"
    @blur="open = false"
    @click="open = true"
    @keydown.esc="open = false"
  >
    <slot>{{ term.word }}</slot>
  </button>
  <!-- there only while it is read: what is closed is nowhere on the page; it is closed by the word alone -->
  <v-tooltip
    v-if="open && word"
    :model-value="true"
    :target="word"
    location="top"
    :max-width="280"
    content-class="term"
    :aria-label="term.means"
    @update:model-value="() => undefined"
  >
    <TermPicture v-if="term.drawn" :of="term.drawn" />
    <div :id="textId">{{ term.means }}</div>
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
