<script setup lang="ts">
import HexPicker from './HexPicker.vue';

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
    <HexPicker
      :model-value="modelValue"
      @update:model-value="(hex) => emit('update:modelValue', hex)"
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
