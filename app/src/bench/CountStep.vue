<script setup lang="ts">
import { freshId, countAt, noteCount, type Build, type Recordable } from '@pyrgotect/core';
import { computed } from 'vue';
import { useBuild } from '../stores/build.ts';

/** A count of parts that are no food, in two touches: as planned, or one more or less. */
const props = defineProps<{ build: Build; stepKey: string; record: Recordable }>();
const store = useBuild();
const counted = computed(() => countAt(props.build, props.stepKey));
const set = (value: number): void =>
  store.edit('Count', (draft) =>
    noteCount(draft, props.stepKey, Math.max(0, value), {
      id: freshId('note', 13),
      at: new Date().toISOString(),
      text: props.record.label,
    }),
  );
</script>

<template>
  <div class="count" data-test="count">
    <KeyButton aria-label="One less" @click="set((counted ?? record.planned) - 1)"> − </KeyButton>
    <b aria-live="polite">{{ counted ?? '–' }}</b>
    <KeyButton aria-label="One more" @click="set((counted ?? record.planned - 1) + 1)">
      +
    </KeyButton>
    <KeyButton
      v-if="counted === null"
      variant="flat"
      data-test="count-all"
      @click="set(record.planned)"
    >
      All {{ record.planned }}
    </KeyButton>
    <span :class="{ off: counted !== null && counted !== record.planned }">
      {{ record.label }}; {{ record.planned }} planned
    </span>
  </div>
</template>

<style scoped>
.count {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 14px;
  margin: 12px 0;
  font-size: var(--size-title);
}
.key {
  min-width: 60px;
  min-height: 56px;
  font-size: var(--size-head);
  text-align: center;
  justify-content: center;
}
b {
  font: 700 var(--size-big) var(--heading);
  min-width: 1.4em;
  text-align: center;
}
.off {
  color: var(--stop);
  font-weight: 700;
}
</style>
