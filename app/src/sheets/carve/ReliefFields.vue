<script setup lang="ts">
import { limits, reliefMl, reliefMm2, type ReliefCut } from '@pyrgotect/core';
import ChoiceField from '../../figures/ChoiceField.vue';
import { useUnits } from '../../figures/units.ts';
import WordField from '../../figures/WordField.vue';
import TintField from '../../colours/TintField.vue';

/** What a relief says, what of the coat that takes, and what it is filled with. */
defineProps<{ cut: ReliefCut; spreads: readonly { value: string; text: string }[] }>();
const emit = defineEmits<{ change: [key: string, value: string | null] }>();
const { text } = useUnits();
</script>

<template>
  <p v-if="cut.motif === 'letters'" class="sentence">
    It says
    <WordField
      class="word"
      :most="limits.nameLength.max"
      needed
      aria-label="Letters of the relief"
      :model-value="cut.words"
      @update:model-value="emit('change', 'words', $event)"
    />.
  </p>
  <p class="sentence">
    {{ text(reliefMm2(cut), 'area') }} of the coat, {{ text(cut.depthMm, 'fine') }} deep:
    {{ text(reliefMl(cut), 'volume') }}. Filled with
    <ChoiceField
      :model-value="cut.inlaySpreadId ?? ''"
      label="Frosting of the inlay"
      :options="[...spreads]"
      @update:model-value="(id) => emit('change', 'inlaySpreadId', id || null)"
    /><template v-if="cut.inlaySpreadId !== null"
      >,
      <TintField
        label="Colour of the inlay"
        :model-value="cut.inlayTint"
        @update:model-value="emit('change', 'inlayTint', $event)" /></template
    >.
  </p>
</template>
