<script setup lang="ts">
import { arrangements, limits, type Arrangement, type Topping } from '@pyrgotect/core';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';

/** Where pieces stand on a top, as a part of their sentence. */
defineProps<{ topping: Topping }>();
const emit = defineEmits<{ change: [to: Partial<Topping>] }>();
const set = (to: Partial<Topping>): void => emit('change', to);
const words: Record<Arrangement, string> = {
  round: 'evenly round the rim',
  clusters: 'in clusters',
  crescent: 'in a crescent',
  scattered: 'strewn',
  free: 'where I set them',
};
const ways = arrangements.map((value) => ({ value, text: words[value] }));
</script>

<template>
  <ChoiceField
    :model-value="topping.arrangement"
    label="Arrangement"
    :options="ways"
    @update:model-value="(arrangement) => set({ arrangement })"
  /><template v-if="topping.arrangement === 'clusters'">
    of
    <QuantityField
      :model-value="topping.clusterOf"
      :of="limits.clusterOf"
      label="Pieces to a cluster"
      @update:model-value="(n) => set({ clusterOf: n })" /></template
  ><template v-if="topping.arrangement === 'crescent'">
    along
    <QuantityField
      :model-value="topping.share"
      :of="{ kind: 'share', min: limits.crescent.min, max: 1 }"
      label="Share of the rim"
      @update:model-value="(n) => set({ share: n })"
    />
    of the rim</template
  ><template v-if="topping.arrangement !== 'free'"
    >,
    <QuantityField
      :model-value="topping.insetMm"
      :of="limits.insetFromRimMm"
      label="In from the rim"
      @update:model-value="(mm) => set({ insetMm: mm })"
    />
    in</template
  ><template v-if="topping.arrangement === 'round' || topping.arrangement === 'crescent'"
    >, turned by
    <QuantityField
      :model-value="topping.shift"
      :of="{ kind: 'share', min: 0, max: 1 }"
      label="Turned towards the next one"
      @update:model-value="(n) => set({ shift: n })"
    />
    of the way to the next one</template
  >
  <KeyButton
    v-if="topping.arrangement === 'scattered'"
    size="small"
    @click="set({ seed: (topping.seed + 1) % 10000 })"
  >
    Throw again
  </KeyButton>
</template>
