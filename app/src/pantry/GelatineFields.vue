<script setup lang="ts">
import {
  firmnesses,
  gelatineGPerKg,
  gelatineWish,
  heldMm,
  limits,
  type Firmness,
  type GelatineWish,
  type Recipe,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import { useUnits } from '../figures/units.ts';
import { usePantry } from '../stores/pantry.ts';

/** How much gelatine a cream wants, by how high it stands and how firm it is to be. */
const props = defineProps<{ recipe: Recipe }>();
const emit = defineEmits<{ set: [lines: GelatineWish['lines']] }>();
const pantry = usePantry();
const { text } = useUnits();

const highMm = ref(45);
const firmness = ref<Firmness>('clean');
const words: Record<Firmness, string> = {
  tender: 'is barely set, for the spoon',
  clean: 'cuts clean',
  firm: 'stands a warm room for an hour',
};
const choices = firmnesses.map((value) => ({ value, text: words[value] }));
const now = computed(() => gelatineGPerKg(props.recipe, pantry.pantry));
const wish = computed(() =>
  gelatineWish(props.recipe, pantry.pantry, highMm.value, firmness.value),
);
const grams = computed(() => (wish.value?.lines ?? []).reduce((sum, { massG }) => sum + massG, 0));
</script>

<template>
  <p v-if="wish" class="sentence" data-test="gelatine">
    Its gelatine, {{ text(now, 'fineMass') }} of 200 bloom to the kilogram, holds
    {{ text(heldMm(now), 'thickness') }}. For a cream
    <QuantityField
      :model-value="highMm"
      :of="limits.layerMm"
      label="Height of the cream"
      @update:model-value="(mm) => (highMm = mm)"
    />
    high that <ChoiceField v-model="firmness" label="How firm it sets" :options="choices" /> it
    takes {{ text(grams, 'fineMass')
    }}<template v-if="wish.gPerKgWater !== null"
      >, {{ text(wish.gPerKgWater, 'fineMass') }} of 200 bloom to the kilogram of its
      water</template
    >
    (estimates).
    <KeyButton size="small" @click="emit('set', wish.lines)">take that</KeyButton>
    Agar and pectin set another way, hard and short, or only with sugar and acid: they are not
    exchanged gram for gram; use a recipe made for them.
  </p>
</template>
