<script setup lang="ts">
import { computed, nextTick, onMounted, onUnmounted, ref, shallowRef } from 'vue';

/** Six stops on the screen of a cake, each beside what it is about. It changes nothing. */
const emit = defineEmits<{ end: [] }>();
interface Stop {
  at: string;
  title: string;
  text: string;
}
const stops: Stop[] = [
  {
    at: '[data-walk="section"]',
    title: 'The cake, cut through',
    text: 'To scale, always of what stands in the plan. Drag a ring beside a layer or a filling, and it gets thicker; press a part, and its line opens beside it.',
  },
  {
    at: '[data-walk="stages"]',
    title: 'The way from order to table',
    text: 'Brief, stack, bake, carve, coat, finish, support, day: in whatever order you like. A mark beside a number says that something there wants a look.',
  },
  {
    at: '[data-walk="sheet"]',
    title: 'Sentences to be filled in',
    text: 'What is underlined in green can be changed: type “22 mm”, “7/8 in” or half of something. Words with a dotted line say what they mean.',
  },
  {
    at: '[data-walk="tally"]',
    title: 'What it comes to',
    text: 'Height, weight, servings, frosting, hours. Press a figure to see how it came about, line by line.',
  },
  {
    at: '[data-test="tally-cautions"]',
    title: 'What does not hold',
    text: 'Cautions say what is wrong and what to do, and lead to the place.',
  },
  {
    at: '[data-walk="bench"]',
    title: 'To the bench',
    text: 'Step by step with amounts and timers; what you note there makes the next plan better. Nothing needs a network, and every change is kept at once.',
  },
];
const at = ref(0);
const place = shallowRef<HTMLElement | null>(null);
const stop = computed(() => stops[at.value]!);
function find(): void {
  place.value?.classList.remove('walk-here');
  place.value = document.querySelector<HTMLElement>(stop.value.at);
  place.value?.classList.add('walk-here');
}
onUnmounted(() => place.value?.classList.remove('walk-here'));
onMounted(() => void nextTick(find));
function go(by: number): void {
  if (at.value + by >= stops.length) return emit('end');
  at.value += by;
  find();
}
</script>

<template>
  <v-menu
    v-if="place"
    :key="at"
    :model-value="true"
    :target="place"
    :close-on-content-click="false"
    location="end center"
    persistent
    scrim
    :max-width="320"
    @keydown.esc="emit('end')"
  >
    <v-card class="stop" role="dialog" aria-modal="true" :aria-label="stop.title" data-test="walk">
      <h2>{{ stop.title }}</h2>
      <p>{{ stop.text }}</p>
      <p class="row">
        <span class="soft">{{ at + 1 }} of {{ stops.length }}</span>
        <span class="grow" />
        <KeyButton variant="text" @click="emit('end')">Leave it</KeyButton>
        <KeyButton v-if="at > 0" @click="go(-1)">Back</KeyButton>
        <KeyButton color="primary" data-test="walk-next" @click="go(1)">{{
          at + 1 === stops.length ? 'That is all' : 'Next'
        }}</KeyButton>
      </p>
    </v-card>
  </v-menu>
</template>

<style scoped>
.stop {
  padding: 12px 18px 14px;
  border: 2px solid var(--accent);
}
h2 {
  margin: 0 0 4px;
}
.row {
  display: flex;
  align-items: center;
  gap: 6px;
  margin-bottom: 0;
}
.grow {
  flex: 1;
}
</style>
