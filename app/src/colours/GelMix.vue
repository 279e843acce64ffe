<script setup lang="ts">
import {
  dropsOf,
  dropsToG,
  gelsOf,
  mixFor,
  stoodHex,
  type Build,
  type Tone,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import { useUnits } from '../figures/units.ts';
import { hatches } from '../section/tones.ts';
import { usePantry } from '../stores/pantry.ts';

/** Which gels make a colour, in which frosting, and what comes of it: mixed by light, not by paint. */
const props = defineProps<{ build: Build; hex: string }>();
const pantry = usePantry();
const { text } = useUnits();

/** Frostings of this cake, that of the first coat before the others. */
const frostings = computed(() => {
  const ids = new Set(
    props.build.tiers.flatMap(({ coat, gaps }) => [
      coat.spreadId,
      ...gaps.map((gap) => gap.spreadId),
    ]),
  );
  return pantry.pantry.spreads.filter(({ id }) => ids.has(id));
});
const chosenId = ref(props.build.tiers[0]!.coat.spreadId);
const ground = computed(() => {
  const tone: Tone = frostings.value.find(({ id }) => id === chosenId.value)?.tone ?? 'ivory';
  return hatches[tone].ground;
});
const gels = computed(() => gelsOf(pantry.pantry.foods));
const mix = computed(() => mixFor(props.hex, ground.value, gels.value));
const stood = computed(() => stoodHex(ground.value, mix.value.doses));
const colours = computed(() => [
  { name: 'as it is', hex: ground.value },
  { name: 'wanted', hex: props.hex },
  { name: 'mixed', hex: mix.value.hex },
  { name: 'next day', hex: stood.value },
]);
</script>

<template>
  <section data-test="gel-mix">
    <h3>Which gels make it</h3>
    <p class="sentence">
      In
      <ChoiceField
        v-model="chosenId"
        label="Frosting that is coloured"
        :options="frostings.map(({ id, name }) => ({ value: id, text: name }))"
      />:
      <template v-if="mix.doses.length === 0"
        >nothing, it is as near as any gel brings it.</template
      >
      <template v-for="({ gel, gPerKg }, i) in mix.doses" :key="gel.name"
        >{{ i > 0 ? ', ' : '' }}<b>{{ text(gPerKg, 'fineMass') }}</b> of
        <router-link :to="`/pantry?table=foods&row=${gel.id}`">{{ gel.name }}</router-link> (some
        {{ dropsOf(gPerKg) }} drops)</template
      ><template v-if="mix.doses.length > 0"> to the kilogram.</template>
    </p>
    <ul>
      <li v-for="each in colours" :key="each.name">
        <i :style="{ background: each.hex }" aria-hidden="true" />{{ each.name }}
      </li>
    </ul>
    <p v-if="!mix.reached" class="warn" data-test="not-reached">
      ▲ These gels do not reach it in this frosting: the nearest is shown. A paler frosting takes a
      clearer colour.
    </p>
    <p class="lead">
      An estimate, of the {{ gels.length }} gels in the pantry, with {{ dropsToG }} drops to the
      gram; each maker’s differ: try a spot of yours at its row there.
    </p>
  </section>
</template>

<style scoped src="./patches.css" />
<style scoped>
h3 {
  margin: 12px 0 4px;
  font-size: var(--size-text);
}
</style>
