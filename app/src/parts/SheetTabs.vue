<script setup lang="ts" generic="T extends string">
import { computed } from 'vue';

/** Turns of one sheet: words to choose between, with the arrow keys as well. */
const props = defineProps<{ tabs: { id: T; text: string }[]; modelValue: T; label: string }>();
const emit = defineEmits<{ 'update:modelValue': [id: T] }>();
const ids = computed(() => props.tabs.map((tab) => tab.id));
function move(event: KeyboardEvent, by: number): void {
  const all = ids.value;
  const to = (all.indexOf(props.modelValue) + by + all.length) % all.length;
  emit('update:modelValue', all[to]!);
  const list = (event.currentTarget as HTMLElement).parentElement;
  (list?.children[to] as HTMLElement | undefined)?.focus();
}
</script>

<template>
  <div class="tabs" role="tablist" :aria-label="label">
    <button
      v-for="tab in tabs"
      :key="tab.id"
      type="button"
      role="tab"
      :data-test="`tab-${tab.id}`"
      :aria-selected="tab.id === modelValue"
      :tabindex="tab.id === modelValue ? 0 : -1"
      :class="{ on: tab.id === modelValue }"
      @click="emit('update:modelValue', tab.id)"
      @keydown.right.prevent.stop="move($event, 1)"
      @keydown.left.prevent.stop="move($event, -1)"
    >
      {{ tab.text }}
    </button>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 20px;
  margin: 8px 0 10px;
  border-bottom: 1px solid var(--line);
}
button {
  padding: 4px 0 6px;
  font-weight: 600;
  font-size: var(--size-text);
  color: var(--soft);
  border-bottom: 3px solid transparent;
  margin-bottom: -1px;
}
button:hover {
  color: var(--ink);
}
button.on {
  color: var(--ink);
  border-color: var(--accent);
}
</style>
