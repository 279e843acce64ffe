<script setup lang="ts">
/** Stands where an answer would, when what works it out broke down: why, and once more. */
defineProps<{ trouble: string | null; what: string }>();
const emit = defineEmits<{ again: [] }>();
</script>

<template>
  <p v-if="trouble" class="trouble-line" role="alert" data-test="trouble">
    {{ what }} could not be worked out: {{ trouble }}. The cake itself is kept.
    <KeyButton size="small" @click="emit('again')">Try again</KeyButton>
  </p>
</template>

<style scoped>
.trouble-line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 6px 0;
  padding: 6px 10px;
  border-left: 4px solid var(--warn);
  background: var(--warn-wash);
}
</style>
