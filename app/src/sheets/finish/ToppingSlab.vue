<script setup lang="ts">
import { limits, type Topping, type ToppingPlan } from '@pyrgotect/core';
import { computed } from 'vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';

/** Pieces broken from a slab: how thick it is, how much of it breaks whole, how it spreads in the oven. */
const props = defineProps<{ plan: ToppingPlan }>();
const emit = defineEmits<{ change: [to: Partial<Topping>] }>();
const { text } = useUnits();
const topping = computed(() => props.plan.topping);
const set = (to: Partial<Topping>): void => emit('change', to);
</script>

<template>
  <p>
    <v-checkbox
      :model-value="topping.tray !== null"
      label="broken from a slab"
      @update:model-value="
        set({ tray: topping.tray ? null : { thickMm: 4, wholeShare: 0.6, spreads: 1 } })
      "
    />
    <template v-if="topping.tray && plan.tray">
      <QuantityField
        :model-value="topping.tray.thickMm"
        :of="limits.slabMm"
        label="Thickness of the slab"
        @update:model-value="(mm) => set({ tray: { ...topping.tray!, thickMm: mm } })"
      />
      thick, of which
      <QuantityField
        :model-value="topping.tray.wholeShare"
        :of="{ kind: 'share', min: limits.wholeShare.min, max: 1 }"
        label="Share that breaks whole"
        @update:model-value="(n) => set({ tray: { ...topping.tray!, wholeShare: n } })"
      />
      breaks whole and that spreads in the oven by
      <QuantityField
        :model-value="topping.tray.spreads"
        :of="limits.slabSpreads"
        label="Area after over before"
        @update:model-value="(n) => set({ tray: { ...topping.tray!, spreads: n } })"
      />: <b>{{ text(plan.tray.massG, 'small') }}</b> on
      {{ text(plan.tray.sideMm, 'size') }} square, {{ text(plan.tray.crushedG, 'small') }} of it
      crushed.
    </template>
  </p>
</template>

<style scoped></style>
