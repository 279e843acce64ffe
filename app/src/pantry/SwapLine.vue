<script setup lang="ts">
import { keeps, swapLine, usualKeep, type Keep, type Recipe } from '@pyrgotect/core';
import { computed, ref, watch } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import { usePantry } from '../stores/pantry.ts';
import { useUnits } from '../figures/units.ts';

/** One ingredient in place of another, with its mass and what else it changes worked out. */
const props = defineProps<{ recipe: Recipe; index: number }>();
const emit = defineEmits<{ swap: [recipe: Recipe] }>();
const pantry = usePantry();
const units = useUnits();
const line = computed(() => props.recipe.ingredients[props.index]!);
const from = computed(() => pantry.pantry.foods.find((food) => food.id === line.value.foodId));
const toId = ref(line.value.foodId ?? '');
const keep = ref<Keep>(from.value ? usualKeep(from.value) : 'mass');
watch(
  () => line.value.foodId,
  (id) => (toId.value = id ?? ''),
);
const foods = computed(() => pantry.pantry.foods.map((f) => ({ value: f.id, text: f.name })));
const keepChoices = keeps.map((value) => ({ value, text: `the same ${value}` }));
const done = computed(() => {
  const to = pantry.pantry.foods.find((food) => food.id === toId.value);
  return to && to.id !== line.value.foodId
    ? swapLine(props.recipe, props.index, to, keep.value, pantry.pantry.foods)
    : null;
});
const mass = (g: number): string => units.text(g, g < 20 ? 'fineMass' : 'small');
const changes = computed(() => {
  if (!done.value) return [];
  const { waterG, fatG, saltG, sugarG } = done.value.swap;
  return (
    [
      ['water', waterG],
      ['fat', fatG],
      ['salt', saltG],
      ['sugar', sugarG],
    ] as const
  )
    .filter(([, g]) => Math.abs(g) >= 0.5)
    .map(([name, g]) => `${mass(Math.abs(g))} ${g > 0 ? 'less' : 'more'} ${name} in it`);
});
</script>

<template>
  <div class="swap" data-test="swap">
    <p class="sentence">
      Instead of {{ mass(line.massG) }} {{ line.name }} take
      <ChoiceField v-model="toId" label="Swap for" :options="foods" />, keeping
      <ChoiceField v-model="keep" label="Keeping" :options="keepChoices" /><template v-if="done"
        >: <b>{{ mass(done.swap.massG) }}</b>.</template
      >
    </p>
    <p v-if="done" class="soft">
      {{ changes.length > 0 ? `${changes.join(', ')}.` : 'Nothing else changes by half a gram.' }}
      {{ done.corrected ? `The water is put right in the ${done.corrected}.` : '' }}
    </p>
    <p v-if="done">
      <KeyButton variant="flat" size="small" @click="emit('swap', done.recipe)">
        Swap it
      </KeyButton>
    </p>
  </div>
</template>

<style scoped>
.swap {
  border-left: 4px solid var(--accent);
  background: var(--accent-wash);
  padding: 6px 12px;
  margin: 2px 0 8px;
}
p {
  margin: 2px 0;
}
</style>
