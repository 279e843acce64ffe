<script setup lang="ts">
import { limits, newFoodPiece, tones, type Food, type FoodPiece } from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';

/** One of an ingredient as it is set on a cake. Changes the row that is being edited. */
const props = defineProps<{ food: Food }>();
// the dialog's own draft: it is saved or thrown away as a whole
const food = computed(() => props.food);
const looks = tones.map((value) => ({ value, text: `drawn as ${value}` }));
const set = (to: Partial<FoodPiece>): void => {
  food.value.piece = { ...(food.value.piece ?? newFoodPiece()), ...to };
};
</script>

<template>
  <div data-test="food-piece">
    <h2>Set on a cake</h2>
    <p v-if="!food.piece">
      <KeyButton size="small" @click="set({})"> it is set on cakes, one by one </KeyButton>
    </p>
    <p v-else class="sentence">
      One weighs
      <QuantityField
        :model-value="food.piece.massG"
        :of="limits.pieceG"
        label="One on a cake weighs"
        @update:model-value="(massG) => set({ massG })"
      />, is
      <QuantityField
        :model-value="food.piece.acrossMm"
        :of="limits.pieceMm"
        label="One on a cake is across"
        @update:model-value="(acrossMm) => set({ acrossMm })"
      />
      across and
      <QuantityField
        :model-value="food.piece.highMm"
        :of="limits.pieceMm"
        label="One on a cake is high"
        @update:model-value="(highMm) => set({ highMm })"
      />
      high,
      <ChoiceField
        :model-value="food.piece.tone"
        label="How one on a cake is drawn"
        :options="looks"
        @update:model-value="(tone) => set({ tone })"
      />,
      <v-checkbox
        :model-value="food.piece.last"
        label="put on at the last moment"
        @update:model-value="set({ last: !food.piece!.last })"
      />; crisp
      <QuantityField
        :model-value="food.piece.crispMm"
        auto="it is not"
        :of="limits.crispMm"
        label="Thickness of what is crisp"
        @update:model-value="(crispMm) => set({ crispMm })"
      />
      thick.
      <KeyButton variant="text" size="small" @click="food.piece = null">
        it is not set on cakes
      </KeyButton>
    </p>
  </div>
</template>
