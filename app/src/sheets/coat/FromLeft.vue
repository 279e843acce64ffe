<script setup lang="ts">
import type { Bowl, Build, CakePlan } from '@pyrgotect/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import LeftAdvice from './LeftAdvice.vue';

/** Weigh what is left, and see what coat it still gives. */
const props = defineProps<{ build: Build; plan: CakePlan; bowl: Bowl }>();
const leftG = ref<number | null>(null);
const stage = ref<'nothing' | 'crumbed'>('crumbed');
const stages = [
  { value: 'crumbed' as const, text: 'the crumb coats are on' },
  { value: 'nothing' as const, text: 'nothing is coated yet' },
];
const tiers = computed(() =>
  props.build.tiers.filter((tier) => tier.coat.spreadId === props.bowl.spreadId),
);
const shown = computed(() => leftG.value ?? Math.round(props.bowl.makeG / 2));
</script>

<template>
  <section v-if="tiers.length > 0" data-test="from-left">
    <h2>From what is left</h2>
    <p class="sentence">
      <QuantityField
        :model-value="shown"
        :of="{ kind: 'bowl', min: 0, max: 30000 }"
        label="Left in the bowl"
        @update:model-value="(g) => (leftG = g)"
      />
      of the {{ bowl.name.toLowerCase() }} are left, and
      <ChoiceField v-model="stage" label="What is coated" :options="stages" />.
    </p>
    <LeftAdvice :plan="plan" :tiers="tiers" :left-g="shown" :crumbed="stage === 'crumbed'" />
  </section>
</template>

<style scoped>
section {
  border-top: 2px solid var(--ink);
  margin-top: 16px;
  padding-top: 6px;
}
</style>
