<script setup lang="ts">
import { atHandFor, goOnKey, type Step } from '@pyrgotect/core';
import { computed } from 'vue';
import { useSettings } from '../stores/settings.ts';
import { useListText } from './listText.ts';
import TickList from './TickList.vue';
import type { BenchHand } from './useBench.ts';

/** What lies weighed out before a step that cannot be left once it has begun: ticked, or told to go on. */
const props = defineProps<{ step: Step; bench: BenchHand }>();
const settings = useSettings();
const listText = useListText();
const ticked = computed(() => props.bench.bench.value.checks);
const rows = computed(() =>
  atHandFor(props.step).map(({ item, key }) => ({
    key,
    text: settings.words(item.label),
    note: item.note,
    value: listText(item),
  })),
);
</script>

<template>
  <section class="at-hand" data-test="at-hand" aria-label="At hand before it begins">
    <p><b>First all of this, weighed out.</b> Once it has begun, nothing of it waits.</p>
    <TickList :rows="rows" :ticked="ticked" @tick="(key) => bench.tick([key])" />
    <p class="keys">
      <KeyButton
        variant="flat"
        data-test="all-at-hand"
        @click="bench.tick(rows.map(({ key }) => key).filter((key) => !ticked.includes(key)))"
      >
        All at hand
      </KeyButton>
      <KeyButton @click="bench.tick([goOnKey(step)])">Go on without</KeyButton>
    </p>
  </section>
</template>

<style scoped>
.at-hand {
  margin-top: 14px;
}
p {
  font-size: var(--size-title);
  margin: 0;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  margin-top: 16px;
}
.key {
  min-height: 52px;
  font-size: var(--size-title);
  padding: 8px 20px;
}
</style>
