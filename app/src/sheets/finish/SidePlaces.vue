<script setup lang="ts">
import {
  limits,
  quarterShares,
  sideArrangements,
  type OnSide,
  type SideArrangement,
} from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { usePantry } from '../../stores/pantry.ts';

/** Where pieces are on the side of a tier and what they stick in, as a part of their sentence. */
const props = defineProps<{ side: OnSide; pick: boolean }>();
const emit = defineEmits<{ change: [to: OnSide] }>();
const pantry = usePantry();
const set = (to: Partial<OnSide>): void => emit('change', { ...props.side, ...to });
const words: Record<SideArrangement, string> = {
  round: 'evenly round it',
  cascade: 'in a cascade',
  free: 'where I set them',
};
const ways = sideArrangements.map((value) => ({ value, text: words[value] }));
const quarters = Object.entries(quarterShares).map(([text, share]) => ({
  value: String(share),
  text: `the ${text}`,
}));
/** Where it begins lies between two quarters, once it was drawn with by hand. */
const begins = computed(() =>
  quarters.some(({ value }) => value === String(props.side.startShare))
    ? quarters
    : [...quarters, { value: String(props.side.startShare), text: 'where it is' }],
);
const seats = computed(() => [
  { value: '', text: 'the coat' },
  ...pantry.pantry.spreads
    .filter(({ canCoat }) => canCoat)
    .map(({ id, name }) => ({ value: id, text: `a seat of ${name.toLowerCase()}` })),
]);
</script>

<template>
  <ChoiceField
    :model-value="side.arrangement"
    label="Arrangement on the side"
    :options="ways"
    @update:model-value="(arrangement) => set({ arrangement })"
  /><template v-if="side.arrangement !== 'free'"
    >,
    <QuantityField
      :model-value="side.upMm"
      :of="limits.upMm"
      label="Height on the side"
      @update:model-value="(mm) => set({ upMm: mm })"
    />
    up, from
    <ChoiceField
      :model-value="String(side.startShare)"
      label="Begins at"
      :options="begins"
      @update:model-value="(share) => set({ startShare: Number(share) })"
    />
    on</template
  ><template v-if="side.arrangement === 'cascade'"
    >, down to
    <QuantityField
      :model-value="side.toMm"
      :of="limits.upMm"
      label="Height where it ends"
      @update:model-value="(mm) => set({ toMm: mm })"
    />
    over
    <QuantityField
      :model-value="side.turnShare"
      :of="{ kind: 'share', min: 0, max: limits.turn.max }"
      label="Part of the way round"
      @update:model-value="(n) => set({ turnShare: n })"
    />
    of the way round</template
  ><template v-if="!pick"
    >, stuck into
    <ChoiceField
      :model-value="side.dabSpreadId ?? ''"
      label="Stuck into"
      :options="seats"
      @update:model-value="(id) => set({ dabSpreadId: id || null })"
  /></template>
</template>
