<script setup lang="ts">
import DialogBox from './DialogBox.vue';
import KeyList from './KeyList.vue';
import type { keysOf } from './keys.ts';

/** The keys of the place where one is. */
defineProps<{ place: keyof typeof keysOf }>();
const emit = defineEmits<{ close: [] }>();
</script>

<template>
  <DialogBox max-width="600" @update:model-value="emit('close')">
    <v-card class="keys">
      <KeyList :places="[place, 'everywhere']" />
      <p><KeyButton @click="emit('close')">Close</KeyButton></p>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.keys {
  padding: 4px 24px 18px;
  display: block;
  overflow: auto;
}
</style>
