<script setup lang="ts">
import {
  bakeAsWritten,
  pantryLimits,
  writtenFor,
  type ReadMethod,
  type Recipe,
  type Sponge,
  type WrittenFor,
} from '@pyrgotect/core';
import { computed, ref, watch } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { useUnits } from '../figures/units.ts';

/** Oven, minutes and tins that a pasted batter was written for, as read from its method and put right by hand. */
const props = defineProps<{ method: ReadMethod; batterG: number; like: Sponge }>();
const emit = defineEmits<{ bake: [bake: Recipe['bake']] }>();
const units = useUnits();
/** What was put right by hand. */
const byHand = ref<Partial<WrittenFor>>({});
const now = computed<WrittenFor>(() => ({ ...writtenFor(props.method), ...byHand.value }));
const baked = computed(() => bakeAsWritten(now.value, props.batterG, props.like));
watch(
  () => baked.value.bake,
  (next) => emit('bake', next),
  { immediate: true },
);
</script>

<template>
  <p class="sentence" data-test="pasted-bake">
    It is written for
    <QuantityField
      :model-value="now.tins"
      :of="{ kind: 'count', min: 1, max: 8 }"
      label="Tins it is meant for"
      @update:model-value="(tins) => (byHand = { ...byHand, tins })"
    />
    {{ now.tins === 1 ? 'tin' : 'tins' }} of
    <QuantityField
      :model-value="now.tinMm"
      :of="{ kind: 'size', ...pantryLimits.bakeTinMm }"
      label="Across each tin"
      @update:model-value="(tinMm) => (byHand = { ...byHand, tinMm })"
    />
    at
    <QuantityField
      :model-value="now.ovenC"
      :of="{ ...pantryLimits.ovenC, kind: 'temperature' }"
      label="Oven of the recipe"
      auto="how hot?"
      @update:model-value="(ovenC) => (byHand = { ...byHand, ovenC })"
    />
    for
    <QuantityField
      :model-value="now.minutes"
      :of="{ ...pantryLimits.bakeMin, kind: 'minutes' }"
      label="Minutes of the recipe"
      auto="how long?"
      @update:model-value="(minutes) => (byHand = { ...byHand, minutes })"
    />, and bakes {{ units.text(baked.depthMm, 'thickness') }} deep. From this the minutes of every
    other tin follow.
  </p>
  <p v-if="baked.isDeep" class="lead odd" role="alert">
    That is deep for one tin: is it meant for more of them, or for a larger one?
  </p>
  <p v-if="baked.bake === null" class="soft">
    Until oven and minutes are known, an ordinary sponge of 20 cm stands in for its time.
  </p>
</template>

<style scoped>
.odd {
  color: var(--warn);
}
</style>
