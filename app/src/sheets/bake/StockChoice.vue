<script setup lang="ts">
import { leftFor, type Build, type Stock, type Tier } from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import { useUnits } from '../../figures/units.ts';
import PlannedElsewhere from '../../pantry/PlannedElsewhere.vue';
import { stockChoice } from '../../pantry/stock-words.ts';
import { usePantry } from '../../stores/pantry.ts';

/** Baked for this cake, or stacked from layers that were put away before; nothing where there are none. */
const props = defineProps<{ build: Build; tier: Tier }>();
const emit = defineEmits<{ take: [row: Stock | null] }>();
const pantry = usePantry();
const units = useUnits();
const rows = computed(() => pantry.pantry.stock.filter(({ layer }) => layer !== null));
const options = computed(() => [
  { value: '', text: 'baked for it' },
  ...rows.value.map((row) => ({
    value: row.id,
    text: stockChoice(row, leftFor(row, props.build.id), units.text),
  })),
]);
const taken = computed(() => rows.value.find(({ id }) => id === props.tier.stockId));
const take = (id: string): void => emit('take', rows.value.find((row) => row.id === id) ?? null);
</script>

<template>
  <p v-if="rows.length > 0 || tier.stockId !== null" class="sentence">
    The layers are
    <ChoiceField
      :model-value="tier.stockId ?? ''"
      label="Where the layers come from"
      :options="options"
      @update:model-value="take"
    />.
  </p>
  <PlannedElsewhere v-if="taken" :build="build" :row="taken" />
</template>
