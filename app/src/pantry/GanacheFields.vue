<script setup lang="ts">
import { isCream, otherFluids, type Ganache, valueWord } from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import { usePantry } from '../stores/pantry.ts';
import { useUnits } from '../figures/units.ts';

/** What a ganache is made of, and the test drips that were made of it. Changes the row being edited. */
const props = defineProps<{ ganache: Ganache }>();
// the dialog's own draft: it is saved or thrown away as a whole
const ganache = computed(() => props.ganache);
const pantry = usePantry();
const units = useUnits();
const fluids = ['ganache' as const, ...otherFluids].map((value) => ({
  value,
  text: valueWord(value),
}));
const none = { value: '', text: 'none' };
const chocolates = computed(() => [
  none,
  ...pantry.pantry.foods
    .filter((food) => food.cocoa !== null)
    .map((food) => ({ value: food.id, text: food.name })),
]);
const creams = computed(() => [
  none,
  ...pantry.pantry.foods.filter(isCream).map((food) => ({ value: food.id, text: food.name })),
]);
const spreads = computed(() => [
  { value: '', text: 'made of the above' },
  ...pantry.pantry.spreads.map((spread) => ({ value: spread.id, text: spread.name })),
]);
</script>

<template>
  <div>
    <div class="line">
      <span>it is</span>
      <ChoiceField
        :model-value="ganache.fluid"
        label="Kind of fluid"
        :options="fluids"
        @update:model-value="(fluid) => (ganache.fluid = fluid)"
      />
    </div>
    <div class="line">
      <span>chocolate</span>
      <ChoiceField
        :model-value="ganache.chocolateId ?? ''"
        label="Its chocolate"
        :options="chocolates"
        @update:model-value="(id) => (ganache.chocolateId = id || null)"
      />
    </div>
    <div class="line">
      <span>cream</span>
      <ChoiceField
        :model-value="ganache.creamId ?? ''"
        label="Its cream"
        :options="creams"
        @update:model-value="(id) => (ganache.creamId = id || null)"
      />
    </div>
    <div v-if="ganache.fluid !== 'ganache'" class="line">
      <span>recipe</span>
      <ChoiceField
        :model-value="ganache.spreadId ?? ''"
        label="The filling it is"
        :options="spreads"
        @update:model-value="(id) => (ganache.spreadId = id || null)"
      />
    </div>
    <h2>Test drips</h2>
    <p v-if="ganache.tests.length === 0" class="lead">
      None yet. They are noted in Finish, where a cake is dripped.
    </p>
    <div v-for="(test, i) in ganache.tests" :key="i" class="line">
      <span
        >{{ units.text(test.massG, 'fineMass') }} at {{ units.text(test.fluidC, 'temperature') }} on
        {{ units.text(test.coatC, 'temperature') }}: {{ units.text(test.lengthMm, 'span') }} after
        {{ test.afterS }} s</span
      >
      <KeyButton
        variant="text"
        size="small"
        :aria-label="`Drop test drip ${i + 1}`"
        @click="ganache.tests.splice(i, 1)"
      >
        ×
      </KeyButton>
    </div>
  </div>
</template>

<style scoped src="./line.css" />
