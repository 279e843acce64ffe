<script setup lang="ts">
import { limits, type Poured } from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import TintField from '../../colours/TintField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { usePantry } from '../../stores/pantry.ts';

/** Which ganache, how warm, over how cold a coat: said alike for drips and for a pour. */
defineProps<{ poured: Poured }>();
const emit = defineEmits<{ change: [to: Partial<Poured>, label: string] }>();
const pantry = usePantry();
const ganaches = computed(() =>
  pantry.pantry.ganaches.map((row) => ({ value: row.id, text: row.name })),
);
</script>

<template>
  <span>
    <ChoiceField
      :model-value="poured.ganacheId"
      label="What runs down"
      :options="ganaches"
      @update:model-value="(id) => emit('change', { ganacheId: id, ratio: null }, 'Ganache')"
    />
    at
    <QuantityField
      :model-value="poured.fluidC"
      :of="limits.fluidC"
      label="Temperature of the ganache"
      @update:model-value="(c) => emit('change', { fluidC: c }, 'Temperature of the ganache')"
    />
    over a coat of
    <QuantityField
      :model-value="poured.coatC"
      :of="limits.coatC"
      label="Temperature of the coat"
      @update:model-value="(c) => emit('change', { coatC: c }, 'Temperature of the coat')"
    />, coloured
    <TintField
      :model-value="poured.tint"
      label="Colour of what is poured"
      @update:model-value="(tint) => emit('change', { tint }, 'Colour')"
    />
  </span>
</template>
