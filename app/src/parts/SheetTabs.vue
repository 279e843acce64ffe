<script setup lang="ts" generic="T extends string">
import { useId } from 'vue';

/** Turns of one sheet: words to choose between, and below them what was chosen. */
defineProps<{ tabs: readonly { id: T; text: string }[]; modelValue: T; label: string }>();
const emit = defineEmits<{ 'update:modelValue': [id: T] }>();
const id = useId();
</script>

<template>
  <v-tabs
    class="tabs"
    :model-value="modelValue"
    density="compact"
    color="primary"
    show-arrows
    mandatory
    :aria-label="label"
    @update:model-value="(to) => emit('update:modelValue', to as T)"
  >
    <v-tab
      v-for="tab in tabs"
      :id="`${id}-${tab.id}`"
      :key="tab.id"
      :value="tab.id"
      :aria-controls="$slots.default && tab.id === modelValue ? `${id}-panel` : undefined"
      :data-test="`tab-${tab.id}`"
      >{{ tab.text }}</v-tab
    >
  </v-tabs>
  <div
    v-if="$slots.default"
    :id="`${id}-panel`"
    role="tabpanel"
    :aria-labelledby="`${id}-${modelValue}`"
  >
    <slot />
  </div>
</template>

<style scoped>
.tabs {
  margin: 4px 0 10px;
  border-bottom: 1px solid var(--line);
}
.tabs :deep(.v-tab) {
  min-width: 44px;
  padding: 0 2px;
  margin-right: 18px;
  font: 600 var(--size-text) var(--text);
  letter-spacing: 0;
  text-transform: none;
  color: var(--soft);
}
.tabs :deep(.v-tab--selected) {
  color: var(--ink);
}
</style>
