<script setup lang="ts">
import { onMounted, ref, watch } from 'vue';
import { useSettings } from '../stores/settings.ts';
import { hints, type HintId } from './hints.ts';

/** A hint of a screen, the first time that somebody comes there and never again. */
const props = defineProps<{ id: HintId }>();
const settings = useSettings();
const open = ref(false);
function show(): void {
  open.value = !settings.hintsSeen.includes(props.id);
  if (open.value) void settings.seeHint(props.id);
}
onMounted(show);
watch(() => props.id, show);
</script>

<template>
  <v-alert
    v-if="open"
    class="hint"
    density="compact"
    variant="text"
    closable
    close-label="Put this hint away"
    role="note"
    data-test="hint"
    @click:close="open = false"
    >{{ hints[id] }}</v-alert
  >
</template>

<style scoped>
.hint {
  margin: 0 0 12px;
  font-size: var(--size-note);
  color: var(--ink);
  background: var(--oat);
  border-left: 4px solid var(--accent);
}
</style>
