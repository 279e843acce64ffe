<script setup lang="ts">
import { limits, type Outline } from '@pyrgotect/core';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';

/** "The cake is round, 20 cm across", to be changed in place. */
const props = defineProps<{ outline: Outline; subject?: string }>();
const emit = defineEmits<{ change: [outline: Outline] }>();
const kinds: { value: Outline['kind']; text: string }[] = [
  { value: 'round', text: 'round' },
  { value: 'square', text: 'square' },
  { value: 'rectangle', text: 'rectangular' },
];
function setKind(kind: Outline['kind']): void {
  const { outline } = props;
  if (kind === outline.kind) return;
  const wide =
    outline.kind === 'round'
      ? outline.diameterMm
      : outline.kind === 'square'
        ? outline.sideMm
        : outline.widthMm;
  if (kind === 'round') emit('change', { kind, diameterMm: wide });
  if (kind === 'square') emit('change', { kind, sideMm: wide, cornerMm: 5 });
  if (kind === 'rectangle')
    emit('change', {
      kind,
      widthMm: wide,
      depthMm: Math.max(limits.sideMm.min, Math.round(wide * 0.7)),
      cornerMm: 5,
    });
}
const set = (change: Record<string, number | null>): void => {
  if (Object.values(change).some((n) => n === null)) return;
  emit('change', { ...props.outline, ...change });
};
</script>

<template>
  {{ subject ?? 'The cake' }} is
  <ChoiceField
    :model-value="outline.kind"
    label="Outline"
    :options="kinds"
    @update:model-value="setKind"
  />,
  <template v-if="outline.kind === 'round'">
    <QuantityField
      :model-value="outline.diameterMm"
      kind="span"
      label="Diameter"
      :min="limits.sideMm.min"
      :max="limits.sideMm.max"
      @update:model-value="(diameterMm) => set({ diameterMm })"
    />
    across.
  </template>
  <template v-else-if="outline.kind === 'square'">
    <QuantityField
      :model-value="outline.sideMm"
      kind="span"
      label="Side"
      :min="limits.sideMm.min"
      :max="limits.sideMm.max"
      @update:model-value="(sideMm) => set({ sideMm })"
    />
    a side, corners rounded by
    <QuantityField
      :model-value="outline.cornerMm"
      kind="thickness"
      label="Corner radius"
      :min="0"
      :max="Math.min(limits.cornerMm.max, outline.sideMm / 2)"
      @update:model-value="(cornerMm) => set({ cornerMm })"
    />.
  </template>
  <template v-else>
    <QuantityField
      :model-value="outline.widthMm"
      kind="span"
      label="Width"
      :min="limits.sideMm.min"
      :max="limits.sideMm.max"
      @update:model-value="(widthMm) => set({ widthMm })"
    />
    by
    <QuantityField
      :model-value="outline.depthMm"
      kind="span"
      label="Depth"
      :min="limits.sideMm.min"
      :max="limits.sideMm.max"
      @update:model-value="(depthMm) => set({ depthMm })"
    />, corners rounded by
    <QuantityField
      :model-value="outline.cornerMm"
      kind="thickness"
      label="Corner radius"
      :min="0"
      :max="Math.min(limits.cornerMm.max, outline.widthMm / 2, outline.depthMm / 2)"
      @update:model-value="(cornerMm) => set({ cornerMm })"
    />.
  </template>
</template>
