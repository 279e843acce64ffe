<script setup lang="ts">
import { type Step } from '@pyrgotect/core';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';

/** What the hands can take up while this step waits; nothing of it has to wait for anything. */
defineProps<{ steps: Step[] }>();
const emit = defineEmits<{ take: [step: Step] }>();
const settings = useSettings();
const units = useUnits();
</script>

<template>
  <section v-if="steps.length > 0" class="meanwhile" aria-label="Meanwhile" data-test="meanwhile">
    <h2>Meanwhile hands are free for</h2>
    <KeyButton v-for="step in steps" :key="step.key" @click="emit('take', step)">
      {{ settings.words(step.title) }}
      <small>{{ units.text(step.handsOnMin, 'minutes') }}</small>
    </KeyButton>
  </section>
</template>

<style scoped>
.meanwhile {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 18px;
}
h2 {
  flex-basis: 100%;
  margin: 0;
}
.key {
  min-height: 48px;
  font-size: var(--size-lead);
  white-space: normal;
  text-align: left;
}
small {
  color: var(--soft);
  white-space: nowrap;
}
</style>
