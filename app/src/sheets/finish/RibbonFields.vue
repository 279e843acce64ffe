<script setup lang="ts">
import { limits, newOnSide, type Topping } from '@pyrgotect/core';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';

/** A ribbon round a tier, as a part of its sentence. */
defineProps<{ topping: Topping; longMm: number }>();
const emit = defineEmits<{ change: [to: Partial<Topping>] }>();
const { text } = useUnits();
</script>

<template>
  of
  <QuantityField
    :model-value="topping.acrossMm"
    :of="limits.pieceMm"
    label="Width of the ribbon"
    @update:model-value="(mm) => emit('change', { acrossMm: mm })"
  />, its lower edge
  <QuantityField
    :model-value="topping.side?.upMm ?? 0"
    :of="limits.upMm"
    label="Height on the side"
    @update:model-value="
      (mm) => emit('change', { side: { ...(topping.side ?? newOnSide()), upMm: mm } })
    "
  />
  above the foot: cut to <b>{{ text(longMm, 'span') }}</b>.
</template>
