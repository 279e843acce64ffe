<script setup lang="ts">
import {
  bakedDepthMm,
  pantryLimits,
  type ReadMethod,
  type Recipe,
  type Sponge,
} from '@pyrgotect/core';
import { computed, ref, watch } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { useUnits } from '../figures/units.ts';

/** Oven, minutes and tins that a pasted batter was written for, as read from its method and put right by hand. */
const props = defineProps<{ method: ReadMethod; batterG: number; like: Sponge }>();
const emit = defineEmits<{ bake: [bake: Recipe['bake']] }>();
const units = useUnits();
/** A tin that home recipes are written for where they name none, mm. */
const usualTinMm = 200;
const ovenC = ref<number | null>(null);
const minutes = ref<number | null>(null);
const tinMm = ref<number | null>(null);
const tins = ref<number | null>(null);
const readMinutes = computed(() => {
  const { bake } = props.method;
  return bake && Math.round((bake.fromMin + bake.toMin) / 2);
});
const now = computed(() => ({
  ovenC: ovenC.value ?? props.method.bake?.ovenC ?? null,
  minutes: minutes.value ?? readMinutes.value,
  tinMm: tinMm.value ?? props.method.tins?.acrossMm ?? usualTinMm,
  tins: tins.value ?? props.method.tins?.count ?? 1,
}));
const depthMm = computed(() =>
  bakedDepthMm(props.batterG, props.like, now.value.tinMm, now.value.tins),
);
const bake = computed<Recipe['bake']>(() => {
  const { ovenC: c, minutes: min, tinMm: across } = now.value;
  if (c === null || min === null) return null;
  const { min: least, max: most } = pantryLimits.bakeDepthMm;
  return {
    ovenC: c,
    minutes: min,
    tinMm: across,
    depthMm: Math.round(Math.min(most, Math.max(least, depthMm.value))),
  };
});
watch(bake, (next) => emit('bake', next), { immediate: true });
/** No home recipe bakes deeper than this: a tin more, or fewer grams. */
const deepMm = 90;
</script>

<template>
  <p class="sentence" data-test="pasted-bake">
    It is written for
    <QuantityField
      :model-value="now.tins"
      :of="{ kind: 'count', min: 1, max: 8 }"
      label="Tins it is meant for"
      @update:model-value="(n) => (tins = n)"
    />
    {{ now.tins === 1 ? 'tin' : 'tins' }} of
    <QuantityField
      :model-value="now.tinMm"
      :of="{ kind: 'size', ...pantryLimits.bakeTinMm }"
      label="Across each tin"
      @update:model-value="(n) => (tinMm = n)"
    />
    at
    <QuantityField
      :model-value="now.ovenC"
      :of="{ ...pantryLimits.ovenC, kind: 'temperature' }"
      label="Oven of the recipe"
      auto="how hot?"
      @update:model-value="(n) => (ovenC = n)"
    />
    for
    <QuantityField
      :model-value="now.minutes"
      :of="{ ...pantryLimits.bakeMin, kind: 'minutes' }"
      label="Minutes of the recipe"
      auto="how long?"
      @update:model-value="(n) => (minutes = n)"
    />, and bakes {{ units.text(depthMm, 'thickness') }} deep. From this the minutes of every other
    tin follow.
  </p>
  <p v-if="depthMm > deepMm" class="lead odd" role="alert">
    That is deep for one tin: is it meant for more of them, or for a larger one?
  </p>
  <p v-if="bake === null" class="soft">
    Until oven and minutes are known, an ordinary sponge of 20 cm stands in for its time.
  </p>
</template>

<style scoped>
.odd {
  color: var(--warn);
}
</style>
