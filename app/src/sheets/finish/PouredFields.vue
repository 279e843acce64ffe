<script setup lang="ts">
import { limits, type Poured } from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
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
      kind="temperature"
      label="Temperature of the ganache"
      :min="limits.fluidC.min"
      :max="limits.fluidC.max"
      @update:model-value="
        (c) => c !== null && emit('change', { fluidC: c }, 'Temperature of the ganache')
      "
    />
    over a coat of
    <QuantityField
      :model-value="poured.coatC"
      kind="temperature"
      label="Temperature of the coat"
      :min="limits.coatC.min"
      :max="limits.coatC.max"
      @update:model-value="
        (c) => c !== null && emit('change', { coatC: c }, 'Temperature of the coat')
      "
    />
  </span>
</template>
