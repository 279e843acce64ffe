<script setup lang="ts">
import { carvingKnown, type ShapePlan } from '@pyrgotect/core';
import { computed } from 'vue';
import { useCarvings } from '../stores/carvings.ts';

/** Said wherever figures stand of a cake whose carving is still being worked out. */
const props = defineProps<{ tiers: ShapePlan['tiers'] }>();
const carvings = useCarvings();
const said = computed(() => {
  const known = carvingKnown(props.tiers);
  if (known === 'measured') return '';
  if (known === 'coat reckoned') return 'The coat of the carved cake is still being measured.';
  return carvings.problem === null
    ? 'The carving is being worked out: figures are still of the whole stack.'
    : `The carving cannot be worked out here (${carvings.problem}): figures are of the whole stack.`;
});
</script>

<template>
  <p v-if="said" class="carving-note" role="status" data-test="carving-note">
    {{ said }}
    <KeyButton v-if="carvings.problem" size="small" @click="carvings.need({ tiers })"
      >Try again</KeyButton
    >
  </p>
</template>

<style scoped>
.carving-note {
  margin: 4px 0;
  font-size: var(--size-note);
  font-style: italic;
  color: var(--warn);
}
</style>
