<script setup lang="ts">
import { labelOf, type Label } from '@pyrgotect/core';
import { computed } from 'vue';

/** What a label says, and what nobody can say yet. */
const props = defineProps<{ held: Parameters<typeof labelOf>[0] }>();
const label = computed<Label>(() => labelOf(props.held));
</script>

<template>
  <span data-test="holds">
    <b>{{ label.holds }}.</b>
    <template v-if="label.traces">{{ ` ${label.traces}.` }}</template>
    <b v-if="label.unknown" class="unknown">{{ ` ${label.unknown}.` }}</b>
  </span>
</template>

<style scoped>
.unknown {
  color: var(--warn);
}
</style>
