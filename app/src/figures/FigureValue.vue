<script setup lang="ts">
import { show, type Kind } from '@pyrgotect/core';
import { computed } from 'vue';
import { useSettings } from '../stores/settings.ts';
import { useWorking } from './working.ts';

/** A computed figure: choosing it shows where it came from. */
const props = defineProps<{ value: number; kind: Kind; figure?: string | null; large?: boolean }>();
const settings = useSettings();
const working = useWorking();
const shown = computed(() => show(props.value, props.kind, settings.system));
</script>

<template>
  <button
    v-if="figure"
    v-tip="'Where this comes from'"
    type="button"
    class="figure"
    :class="{ large }"
    @click.stop="working.open(figure)"
  >
    {{ shown.number }}<span v-if="shown.unit" class="unit">{{ ' ' + shown.unit }}</span>
  </button>
  <span v-else class="figure plain" :class="{ large }">
    {{ shown.number }}<span v-if="shown.unit" class="unit">{{ ' ' + shown.unit }}</span>
  </span>
</template>

<style scoped>
.figure {
  font-weight: 600;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
  text-decoration: underline dotted var(--soft) 1px;
  text-underline-offset: 3px;
}
.figure.plain {
  text-decoration: none;
}
button.figure:hover {
  color: var(--accent);
}
.large {
  font-family: var(--heading);
  font-size: var(--size-head);
  font-weight: 700;
}
</style>
