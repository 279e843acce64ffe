<script setup lang="ts">
import { useWindowSize } from '@vueuse/core';
import { computed } from 'vue';

/** Any colour by hand, "#rrggbb". */
defineProps<{ modelValue: string }>();
const emit = defineEmits<{ 'update:modelValue': [hex: string] }>();
const { width } = useWindowSize();
/** What a dialog leaves of a narrow window. */
const wide = computed(() => Math.min(360, width.value - 104));
</script>

<template>
  <v-color-picker
    :model-value="modelValue"
    mode="hex"
    :modes="['hex']"
    hide-mode-switch
    :width="wide"
    canvas-height="110"
    @update:model-value="(hex: string) => emit('update:modelValue', hex.slice(0, 7).toLowerCase())"
  />
</template>
