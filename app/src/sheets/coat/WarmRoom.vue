<script setup lang="ts">
import { holdsOnSideMm, limits, type Build, type CakePlan } from '@pyrgotect/core';
import { computed } from 'vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useSheet } from '../useSheet.ts';

/** How warm it is where the cake is coated and where it stands, and what its coat can bear there. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { store, pantry, tier } = useSheet(props);
const kitchenC = computed(() => props.build.brief.kitchenC ?? pantry.pantry.kitchen.roomC);
const spread = computed(() =>
  pantry.pantry.spreads.find((row) => row.id === tier.value.coat.spreadId),
);
const warmest = computed(() => Math.max(kitchenC.value, props.build.brief.venueC ?? -99));
const set = (where: 'kitchenC' | 'venueC', value: number | null): void =>
  store.edit('Room', (draft) => {
    draft.brief[where] = value;
  });
</script>

<template>
  <p class="lead">
    It is coated at
    <QuantityField
      :model-value="kitchenC"
      :of="limits.roomC"
      label="Temperature of the kitchen"
      @update:model-value="(c) => set('kitchenC', c)"
    />
    and stands at
    <QuantityField
      :model-value="build.brief.venueC"
      :of="limits.roomC"
      label="Temperature where it is served"
      nullable
      auto="the same"
      @update:model-value="(c) => set('venueC', c)"
    /><template v-if="spread"
      >: an upright side holds up to
      <FigureValue
        :value="Math.min(99, holdsOnSideMm(spread, warmest, pantry.pantry))"
        kind="thickness"
      />
      of it there, by its stiffness.</template
    >
  </p>
</template>
