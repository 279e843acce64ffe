<script setup lang="ts">
import { heapHighMm, heapSlopeDeg, limits, reposeDeg, type Topping } from '@pyrgotect/core';
import { computed } from 'vue';
import QuantityField from '../../figures/QuantityField.vue';

/** A heap or a roll along the rim: how wide, how high, how steep, and how much of it is air. */
const props = defineProps<{ topping: Topping }>();
const emit = defineEmits<{ change: [to: Partial<Topping>] }>();
const set = (to: Partial<Topping>): void => emit('change', to);
/** How steep the heap is, in whole degrees. */
const heapDegrees = computed(() =>
  Math.round(heapSlopeDeg(props.topping.acrossMm, props.topping.highMm)),
);
</script>

<template>
  <span>
    {{ topping.kind === 'heap' ? 'heaped' : 'in a roll along the rim' }}
    <QuantityField
      :model-value="topping.acrossMm"
      :of="{ ...limits.pieceMm, kind: 'span' }"
      :label="topping.kind === 'heap' ? 'Across the heap' : 'Width of the roll'"
      @update:model-value="(mm) => set({ acrossMm: mm })"
    />
    wide<template v-if="topping.kind === 'heap'">
      and
      <QuantityField
        :model-value="topping.highMm"
        :of="{ ...limits.pieceMm, kind: 'span' }"
        label="Height of the heap"
        @update:model-value="(mm) => set({ highMm: mm })"
      />
      high</template
    >,
    <template v-if="topping.kind === 'heap'"
      >piled at
      <QuantityField
        :model-value="heapDegrees"
        :of="{ kind: 'factor', min: 10, max: reposeDeg.max }"
        label="Angle of the heap in degrees"
        @update:model-value="(n) => set({ highMm: heapHighMm(topping.acrossMm, n) })"
      />°, </template
    ><QuantityField
      :model-value="topping.packing"
      :of="limits.packing"
      label="Share of it that is not air"
      @update:model-value="(n) => set({ packing: n })"
    />
    of it no air, at
    <QuantityField
      :model-value="topping.densityGPerMl"
      :of="limits.inclusionDensity"
      label="Density of the pieces"
      @update:model-value="(n) => set({ densityGPerMl: n })"
    />.
  </span>
</template>
