<script setup lang="ts" generic="T extends string | number">
/** One of a few, named in a row of their own. */
defineProps<{ modelValue: T; name: string; of: readonly { value: T; text: string }[] }>();
const emit = defineEmits<{ 'update:modelValue': [value: T] }>();
</script>

<template>
  <div class="row">
    <span class="name">{{ name }}</span>
    <v-btn-toggle
      :model-value="modelValue"
      mandatory
      role="group"
      :aria-label="name"
      @update:model-value="(to: T) => emit('update:modelValue', to)"
    >
      <KeyButton
        v-for="each in of"
        :key="each.value"
        :value="each.value"
        :aria-pressed="each.value === modelValue"
        size="small"
        :variant="each.value === modelValue ? 'flat' : 'outlined'"
        >{{ each.text }}</KeyButton
      >
    </v-btn-toggle>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-bottom: 7px;
}
.name {
  flex: 0 0 96px;
  color: var(--soft);
}
.v-btn-toggle {
  height: auto;
  flex-wrap: wrap;
  gap: 4px;
  overflow: visible;
}
</style>
