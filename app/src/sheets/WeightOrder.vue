<script setup lang="ts">
import { orderByWeight, servingsByWeight, type Build } from '@pyrgotect/core';
import { computed, ref } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { useBuild } from '../stores/build.ts';
import { usePantry } from '../stores/pantry.ts';
import { useUnits } from '../figures/units.ts';

/** A cake ordered by its weight: its layers are made thicker or thinner until it weighs that. */
const props = defineProps<{ build: Build; massG: number | null }>();
const store = useBuild();
const pantry = usePantry();
const units = useUnits();
const wanted = ref<number | null>(null);
const misses = ref<string | null>(null);
const now = computed(() => wanted.value ?? Math.round((props.massG ?? 2000) / 100) * 100);
const range = computed(() => servingsByWeight(now.value, props.build.brief.portion));
function order(): void {
  const found = orderByWeight(props.build, now.value, pantry.pantry, store.corrections);
  if (!found) return;
  misses.value = found.misses;
  store.edit(
    `Ordered by weight, ${units.text(now.value, 'weight')}`,
    (draft) => void (draft.tiers = found.build.tiers),
  );
}
</script>

<template>
  <p class="sentence" data-test="by-weight">
    Ordered by weight? Without its board it weighs
    <b>{{ massG === null ? '–' : units.text(massG, 'weight') }}</b>; make it
    <QuantityField
      :model-value="now"
      :of="{ kind: 'weight', min: 200, max: 60000 }"
      label="Wanted weight of the cake"
      @update:model-value="(g) => (wanted = g)"
    />, <b>{{ range[0] }} to {{ range[1] }}</b> portions by weight.
    <KeyButton size="small" data-test="order-weight" @click="order"> Make it weigh that </KeyButton>
    <span v-if="misses" class="soft" role="status"> It comes out {{ misses }}.</span>
  </p>
</template>
