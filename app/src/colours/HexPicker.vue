<script setup lang="ts">
/** Any colour by hand, "#rrggbb". */
defineProps<{ modelValue: string }>();
const emit = defineEmits<{ 'update:modelValue': [hex: string] }>();
</script>

<template>
  <v-color-picker
    :model-value="modelValue"
    mode="hex"
    :modes="['hex']"
    hide-mode-switch
    width="360"
    canvas-height="150"
    @update:model-value="(hex: string) => emit('update:modelValue', hex.slice(0, 7).toLowerCase())"
  />
</template>
