<script setup lang="ts">
import { batterForTins } from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import { usePantry } from '../stores/pantry.ts';

/** A yield said by tins: how many of them the batter fills to the customary three fifths. */
const emit = defineEmits<{ take: [g: number] }>();
const pantry = usePantry();
const open = ref(false);
const count = ref(2);
const tinId = ref('round-20');
const spongeId = ref('butter');
const tins = computed(() => pantry.pantry.tins.map((t) => ({ value: t.id, text: t.name })));
const sponges = computed(() => pantry.pantry.sponges.map((s) => ({ value: s.id, text: s.name })));
const grams = computed(() => {
  const tin = pantry.pantry.tins.find((row) => row.id === tinId.value);
  const sponge = pantry.pantry.sponges.find((row) => row.id === spongeId.value);
  return tin && sponge ? Math.round(batterForTins(tin, count.value, sponge)) : null;
});
</script>

<template>
  <span>
    <KeyButton v-if="!open" size="small" @click="open = true">
      say how many tins it fills
    </KeyButton>
    <template v-else>
      , enough for
      <QuantityField
        :model-value="count"
        :of="{ kind: 'count', min: 1, max: 20 }"
        label="How many tins"
        @update:model-value="(n) => (count = n)"
      />
      of <ChoiceField v-model="tinId" label="Which tin" :options="tins" /> filled to three fifths
      with a batter like <ChoiceField v-model="spongeId" label="Which batter" :options="sponges" />
      <KeyButton
        v-if="grams !== null"
        variant="flat"
        size="small"
        @click="
          emit('take', grams);
          open = false;
        "
      >
        {{ grams }} g
      </KeyButton>
    </template>
  </span>
</template>
