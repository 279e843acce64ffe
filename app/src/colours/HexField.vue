<script setup lang="ts">
/** A look that is picked: a patch that opens a picker. */
defineProps<{ modelValue: string; label: string }>();
const emit = defineEmits<{ 'update:modelValue': [hex: string] }>();
</script>

<template>
  <v-menu :close-on-content-click="false">
    <template #activator="{ props: opener }">
      <button
        type="button"
        class="patch"
        v-bind="opener"
        :style="{ background: modelValue }"
        :aria-label="`${label}: ${modelValue}`"
      />
    </template>
    <v-color-picker
      :model-value="modelValue"
      mode="hex"
      :modes="['hex']"
      hide-mode-switch
      canvas-height="150"
      @update:model-value="
        (hex: string) => emit('update:modelValue', hex.slice(0, 7).toLowerCase())
      "
    />
  </v-menu>
</template>

<style scoped>
.patch {
  width: 44px;
  height: 28px;
  border: 1.5px solid var(--pen);
  border-radius: 4px;
  vertical-align: middle;
}
</style>
