<script setup lang="ts">
import { pantryLimits, type Flutes } from '@pyrgotect/core';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';

/** Whether the wall of a tin is plain, or runs in waves: how many, and how deep. */
defineProps<{ flutes: Flutes | null }>();
const emit = defineEmits<{ change: [to: Flutes | null] }>();
/** As most fluted rings of that kind are (trade custom). */
const usual: Flutes = { count: 16, depthMm: 6 };
const walls = [
  { value: 'plain' as const, text: 'plain' },
  { value: 'fluted' as const, text: 'fluted' },
];
</script>

<template>
  Its wall is
  <ChoiceField
    :model-value="flutes ? 'fluted' : 'plain'"
    label="Wall"
    :options="walls"
    @update:model-value="(to) => emit('change', to === 'fluted' ? { ...usual } : null)"
  /><template v-if="flutes"
    >,
    <QuantityField
      :model-value="flutes.count"
      :of="pantryLimits.flutes"
      label="Waves of its wall"
      @update:model-value="(count) => emit('change', { ...flutes!, count: Math.round(count) })"
    />
    waves,
    <QuantityField
      :model-value="flutes.depthMm"
      :of="pantryLimits.fluteMm"
      label="Depth of a wave"
      @update:model-value="(depthMm) => emit('change', { ...flutes!, depthMm })"
    />
    deep</template
  >.
</template>
