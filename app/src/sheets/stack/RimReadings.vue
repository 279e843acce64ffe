<script setup lang="ts">
import { clockText, limits, wildReadings, type Layer } from '@pyrgotect/core';
import { computed } from 'vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';

/** The heights round the rim of one layer, from its mark on, the way the hands run. */
const props = defineProps<{ layer: Layer; number: number; big?: boolean }>();
const emit = defineEmits<{ change: [rim: (number | null)[]] }>();
const units = useUnits();
const places = computed(() => (props.layer.rimMm.length === 8 ? 8 : 4));
const wild = computed(() => new Map(wildReadings(props.layer.rimMm).map((w) => [w.index, w])));
function set(at: number, mm: number | null): void {
  const rim = Array.from({ length: places.value }, (_, i) => props.layer.rimMm[i] ?? null);
  rim[at] = mm;
  emit('change', rim.every((z) => z === null) ? [] : rim);
}
function spread(count: 4 | 8): void {
  const { rimMm } = props.layer;
  if (rimMm.length === 0 || rimMm.length === count) return;
  emit(
    'change',
    count === 8
      ? Array.from({ length: 8 }, (_, i) => (i % 2 === 0 ? rimMm[i / 2]! : null))
      : [0, 2, 4, 6].map((i) => rimMm[i]!),
  );
}
defineExpose({ spread });
</script>

<template>
  <span class="rim" :class="{ large: big }">
    <span v-for="i in places" :key="i" class="reading">
      <small>{{ clockText(i - 1, places).replace(' o’clock', '') }}</small>
      <QuantityField
        :model-value="layer.rimMm[i - 1] ?? null"
        :of="limits.rimMm"
        nullable
        auto="–"
        :label="`Layer ${number} at ${clockText(i - 1, places)}`"
        @update:model-value="(mm) => set(i - 1, mm)"
      />
      <button
        v-if="wild.get(i - 1)?.likelyMm"
        type="button"
        class="likely"
        @click="set(i - 1, wild.get(i - 1)!.likelyMm)"
      >
        {{ units.text(wild.get(i - 1)!.likelyMm!, 'thickness') }}?
      </button>
    </span>
  </span>
</template>

<style scoped>
.rim {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
}
.reading {
  display: inline-flex;
  align-items: baseline;
  gap: 4px;
}
small {
  color: var(--soft);
  font-size: var(--size-fine);
  min-width: 1.2em;
  text-align: right;
}
.likely {
  color: var(--warn);
  font-size: var(--size-note);
  font-weight: 700;
  text-decoration: underline dotted;
}
.large {
  gap: 8px 10px;
}
.large :deep(input) {
  font-size: var(--size-head);
  min-width: 3em;
  padding: 10px 4px;
}
.large small {
  font-size: var(--size-lead);
}
</style>
