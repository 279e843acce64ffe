<script setup lang="ts">
import {
  inclusionWays,
  limits,
  newInclusion,
  type BakePlan,
  type Food,
  type Inclusion,
  type Tier,
} from '@pyrgotect/core';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import FoodPick from '../../pantry/FoodPick.vue';
import { useSettings } from '../../stores/settings.ts';

/** What goes with the batter: folded in, laid under, on top, drawn through. Says what is to change. */
const props = defineProps<{ tier: Tier; bake: BakePlan | null }>();
const emit = defineEmits<{ change: [inclusions: Inclusion[]] }>();
const settings = useSettings();
const units = useUnits();

const ways: Record<Inclusion['way'], string> = {
  'folded in': 'fold in',
  'laid under': 'lay under it',
  'laid on top': 'lay on it',
  swirled: 'swirl in',
};
const wayChoices = inclusionWays.map((value) => ({ value, text: ways[value] }));
const byChoices = [
  { value: 'kilogram' as const, text: 'by the batter' },
  { value: 'tin' as const, text: 'so many to a tin' },
];
const set = (i: number, change: Partial<Inclusion>): void =>
  emit('change', props.tier.inclusions.map((one, k) => (k === i ? { ...one, ...change } : one))); // prettier-ignore
const pick = (i: number, food: Food): void =>
  set(i, { foodId: food.id, name: food.name, allergens: [], waterShare: food.waterShare });
/** As heavy as a nut, until it is weighed. */
const usualEach = { count: 12, pieceG: 5 };
const add = (): void => {
  const taken = new Set(props.tier.inclusions.map(({ id }) => id));
  let n = props.tier.inclusions.length + 1;
  while (taken.has(`inclusion-${n}`)) n++;
  emit('change', [...props.tier.inclusions, newInclusion(`inclusion-${n}`)]);
};
const leaveOut = (i: number): void =>
  emit('change', props.tier.inclusions.filter((_, k) => k !== i)); // prettier-ignore
</script>

<template>
  <div class="pieces" data-test="batter-pieces">
    <p v-for="(one, i) in tier.inclusions" :key="one.id" class="sentence">
      With it
      <ChoiceField
        :model-value="one.way"
        :label="`How pieces ${i + 1} go in`"
        :options="wayChoices"
        @update:model-value="(way) => set(i, { way })"
      />
      <FoodPick
        :model-value="one.foodId"
        :name="one.name"
        :label="`What pieces ${i + 1} are`"
        @pick="(food) => pick(i, food)"
      />,
      <ChoiceField
        :model-value="one.eachTin ? 'tin' : 'kilogram'"
        :label="`How pieces ${i + 1} are counted`"
        :options="byChoices"
        @update:model-value="
          (by) => set(i, { eachTin: by === 'tin' ? (one.eachTin ?? usualEach) : null })
        "
      />:
      <template v-if="one.eachTin">
        <QuantityField
          :model-value="one.eachTin.count"
          :of="limits.inclusionCount"
          :label="`Pieces ${i + 1} to a tin`"
          @update:model-value="(count) => set(i, { eachTin: { ...one.eachTin!, count } })"
        />
        to a tin, each
        <QuantityField
          :model-value="one.eachTin.pieceG"
          :of="limits.inclusionPieceG"
          :label="`Weight of one of pieces ${i + 1}`"
          @update:model-value="(pieceG) => set(i, { eachTin: { ...one.eachTin!, pieceG } })"
        />,
      </template>
      <template v-else>
        <QuantityField
          :model-value="one.gPerKg"
          :of="{ ...limits.inclusionGPerKg, min: 1 }"
          :label="`Grams of pieces ${i + 1} for a kilogram of batter`"
          @update:model-value="(gPerKg) => set(i, { gPerKg })"
        />
        for each {{ settings.system.mass === 'g' ? 'kilogram' : '2 lb 3 oz' }} of batter,
      </template>
      <QuantityField
        :model-value="one.tempC"
        :of="limits.partC"
        :label="`How cold pieces ${i + 1} go in`"
        @update:model-value="(tempC) => set(i, { tempC })"
      />
      cold,
      <QuantityField
        :model-value="one.waterShare"
        :of="{ kind: 'share', min: 0, max: 1 }"
        :label="`Water in pieces ${i + 1}`"
        @update:model-value="(waterShare) => set(i, { waterShare })"
      />
      water and
      <QuantityField
        :model-value="one.densityGPerMl"
        :of="limits.inclusionDensity"
        :label="`Density of pieces ${i + 1}`"
        @update:model-value="(densityGPerMl) => set(i, { densityGPerMl })"
      /><template v-if="bake && bake.piecesG[i] !== undefined"
        >: <b>{{ units.text(bake.piecesG[i], 'bowl') }}</b> in all</template
      >.
      <KeyButton
        variant="text"
        size="small"
        :aria-label="`Leave out ${one.name}`"
        @click="leaveOut(i)"
      >
        ×
      </KeyButton>
    </p>
    <p v-if="tier.inclusions.length < limits.inclusions.max">
      <KeyButton size="small" data-test="add-pieces" @click="add">
        {{ tier.inclusions.length === 0 ? 'Pieces with the batter' : 'Other pieces with it' }}
      </KeyButton>
    </p>
  </div>
</template>
