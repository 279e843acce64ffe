<script setup lang="ts">
import {
  dosesOf,
  dropsOf,
  dropsToG,
  gelsOf,
  isSameMix,
  mixFor,
  stoodHex,
  mixedHex,
  type Build,
  type Colour,
  type Dose,
  type GelDose,
  type Tone,
  word,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import { useUnits } from '../figures/units.ts';
import { hatches } from '../section/tones.ts';
import { usePantry } from '../stores/pantry.ts';

/** Which gels make a colour, in which frosting, and what comes of it: mixed by light, not by paint. */
const props = defineProps<{ build: Build; colour: Colour }>();
const emit = defineEmits<{ take: [doses: GelDose[]] }>();
const hex = computed(() => props.colour.hex);
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
const mix = computed(() => mixFor(hex.value, ground.value, gels.value));
const proposed = computed(() => dosesOf(mix.value));
/** The gels that were taken for this colour, and what they make in this frosting; one that is gone is left out. */
const taken = computed((): Dose[] =>
  props.colour.doses.flatMap(({ foodId, gPerKg }) => {
    const gel = gels.value.find(({ id }) => id === foodId);
    return gel ? [{ gel, gPerKg }] : [];
  }),
);
const isTaken = computed(() => isSameMix(proposed.value, props.colour.doses));
const stood = computed(() => stoodHex(ground.value, mix.value.doses));
const colours = computed(() => [
  { name: 'as it is', hex: ground.value },
  { name: word('wanted'), hex: hex.value },
  { name: word('mixed'), hex: mix.value.hex },
  { name: 'next day', hex: stood.value },
  ...(taken.value.length > 0 && !isTaken.value
    ? [{ name: 'as it is weighed', hex: mixedHex(ground.value, taken.value) }]
    : []),
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
    <p class="sentence" data-test="gel-taken">
      <template v-if="colour.doses.length > 0"
        >At the bench and in the shopping:
        <template v-for="({ gel, gPerKg }, i) in taken" :key="gel.name"
          >{{ i > 0 ? ', ' : '' }}{{ text(gPerKg, 'fineMass') }} of {{ gel.name }}</template
        >
        to the kilogram<template v-if="colour.gPerKg !== null"
          >, as much of it all as the spot took</template
        >.
        <KeyButton variant="text" size="small" @click="emit('take', [])"
          >Leave the gel open</KeyButton
        ></template
      ><template v-else>Which gels is left open: at the bench it says “colour gel”.</template
      >{{ ' ' }}
      <KeyButton v-if="!isTaken && proposed.length > 0" size="small" @click="emit('take', proposed)"
        >Weigh this mix</KeyButton
      >
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
