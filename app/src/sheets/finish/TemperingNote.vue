<script setup lang="ts">
import { seedFor, temperingOf, type Chocolate } from '@pyrgotect/core';
import { computed } from 'vue';
import { usePantry } from '../../stores/pantry.ts';
import { useUnits } from '../../figures/units.ts';

/** How a chocolate is melted: tempered with unmelted pieces, or a compound that needs none of it. */
const props = defineProps<{ chocolate: Chocolate; massG: number }>();
const { text } = useUnits();
const pantry = usePantry();
const tempering = computed(() => temperingOf(props.chocolate));
/** Of the whole amount: melt and seeds together. */
const seeds = computed(() => {
  const of1 = seedFor(props.chocolate, 1, pantry.pantry.kitchen.roomC);
  if (!of1) return null;
  const meltG = props.massG / (1 + of1.seedG);
  return { meltG, seedG: props.massG - meltG };
});
const span = ([low, high]: readonly [number, number]): string =>
  `${text(low, 'temperature')} to ${text(high, 'temperature')}`;
</script>

<template>
  <section data-test="tempering">
    <h2>{{ tempering ? 'Tempering' : 'Melting' }}</h2>
    <template v-if="tempering && seeds">
      <p class="sentence">
        Melt <b>{{ text(seeds.meltG, 'small') }}</b> to {{ span(tempering.meltC) }}, take it off the
        heat and stir in <b>{{ text(seeds.seedG, 'small') }}</b> of it unmelted, in pieces: that
        cools it to {{ span(tempering.workC) }}, where it is worked. By the other way it is cooled
        to {{ span(tempering.coolC) }} on a slab and warmed again.
      </p>
      <p class="lead">
        By heat balance, with everything unmelted as warm as the room. A smear on paper that sets
        with a shine within five minutes says that it is right. Others take compound, which sets by
        itself and tastes less.
      </p>
    </template>
    <p v-else class="sentence">
      Compound is not tempered: melt {{ text(massG, 'small') }} in bursts, up to
      {{ text(45, 'temperature') }}, and use it at about {{ text(40, 'temperature') }}.
    </p>
    <p class="lead">▲ Melted chocolate burns and holds the heat: dry cloths, no water near it.</p>
  </section>
</template>
