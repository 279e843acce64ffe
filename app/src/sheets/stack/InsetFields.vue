<script setup lang="ts">
import { limits, newInset, type Build, type CakePlan, type Inset } from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';

/** What is set inside a cream, from the bottom up: what it is, how high, and where it lies. */
const props = defineProps<{ build: Build; plan: CakePlan; index: number }>();
const units = useUnits();
const { pantry, tier, tierPlan, editTier, choices } = useSheet(props);

const layer = computed(() => tier.value.layers[props.index]!);
const plans = computed(() =>
  tierPlan.value.others.ok
    ? (tierPlan.value.others.value.find(
        ({ index, placed }) => index === props.index && placed === null,
      )?.insets ?? [])
    : [],
);
const ownSponge = 'own';
const kinds = computed(() => [
  {
    value: ownSponge,
    text: `${pantry.pantry.sponges.find((row) => row.id === tier.value.spongeId)?.name ?? 'sponge'} disc`,
  },
  ...choices(pantry.pantry.others.filter(({ form }) => form !== 'foam' && form !== 'crepe')),
]);
const rowOf = (id: string | null) => pantry.pantry.others.find((row) => row.id === id);
const gramsOf = (id: string): number =>
  plans.value.find(({ placed }) => placed?.inset.id === id)?.massG ?? 0;

const edit = (change: (insets: Inset[]) => Inset[]): void =>
  editTier('What is set inside', (t) => {
    const own = t.layers[props.index]!;
    own.insets = change(own.insets);
  });
const set = (id: string, to: Partial<Inset>): void =>
  edit((all) => all.map((one) => (one.id === id ? { ...one, ...to } : one)));
function setKind(id: string, value: string): void {
  const otherId = value === ownSponge ? null : value;
  const row = rowOf(otherId);
  set(id, {
    otherId,
    ...(row ? { heightMm: Math.max(limits.insetMm.min, row.thicknessMm) } : {}),
  });
}
</script>

<template>
  <span>
    <span v-for="(inset, k) in layer.insets" :key="inset.id" class="inset" data-test="inset">
      round
      <ChoiceField
        :model-value="inset.otherId ?? ownSponge"
        :label="`Inside layer ${index + 1}, part ${k + 1}`"
        :options="kinds"
        @update:model-value="(id) => setKind(inset.id, id)"
      />,
      <QuantityField
        :model-value="inset.heightMm"
        :of="limits.insetMm"
        :label="`Height of part ${k + 1} inside layer ${index + 1}`"
        @update:model-value="(heightMm) => set(inset.id, { heightMm })"
      />
      high,
      <QuantityField
        :model-value="inset.upMm"
        :of="limits.insetUpMm"
        :label="`How far up part ${k + 1} lies inside layer ${index + 1}`"
        @update:model-value="(upMm) => set(inset.id, { upMm })"
      />
      up,
      <QuantityField
        :model-value="inset.marginMm"
        :of="limits.marginMm"
        :label="`Cream round part ${k + 1} inside layer ${index + 1}`"
        @update:model-value="(marginMm) => set(inset.id, { marginMm })"
      />
      from the edge ({{ units.text(gramsOf(inset.id), 'small') }})
      <KeyButton size="small" @click="edit((all) => all.filter(({ id }) => id !== inset.id))">
        leave it out
      </KeyButton>
    </span>
    <KeyButton
      v-if="layer.insets.length < limits.insets.max"
      size="small"
      data-test="add-inset"
      @click="edit((all) => [...all, newInset(all, null, 10)])"
    >
      set something in
    </KeyButton>
  </span>
</template>

<style scoped>
.inset {
  display: block;
}
</style>
