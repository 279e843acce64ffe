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
      kind="span"
      :label="topping.kind === 'heap' ? 'Across the heap' : 'Width of the roll'"
      :min="limits.pieceMm.min"
      :max="limits.pieceMm.max"
      @update:model-value="(mm) => mm !== null && set({ acrossMm: mm })"
    />
    wide<template v-if="topping.kind === 'heap'">
      and
      <QuantityField
        :model-value="topping.highMm"
        kind="span"
        label="Height of the heap"
        :min="limits.pieceMm.min"
        :max="limits.pieceMm.max"
        @update:model-value="(mm) => mm !== null && set({ highMm: mm })"
      />
      high</template
    >,
    <template v-if="topping.kind === 'heap'"
      >piled at
      <QuantityField
        :model-value="heapDegrees"
        kind="factor"
        label="Angle of the heap in degrees"
        :min="10"
        :max="reposeDeg.max"
        @update:model-value="(n) => n !== null && set({ highMm: heapHighMm(topping.acrossMm, n) })"
      />°, </template
    ><QuantityField
      :model-value="topping.packing"
      kind="share"
      label="Share of it that is not air"
      :min="limits.packing.min"
      :max="limits.packing.max"
      @update:model-value="(n) => n !== null && set({ packing: n })"
    />
    of it no air, at
    <QuantityField
      :model-value="topping.densityGPerMl"
      kind="density"
      label="Density of the pieces"
      :min="limits.inclusionDensity.min"
      :max="limits.inclusionDensity.max"
      @update:model-value="(n) => n !== null && set({ densityGPerMl: n })"
    />.
  </span>
</template>
