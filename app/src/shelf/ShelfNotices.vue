<script setup lang="ts">
import type { FileProblem } from '@pyrgotect/core';
import DialogBox from '../parts/DialogBox.vue';

/** What the shelf has to say: a cake that was taken off, a file that was not taken in. */
defineProps<{
  removed: string | null;
  refused: { name: string; problems: FileProblem[] } | null;
}>();
const emit = defineEmits<{ bringBack: []; forget: []; close: [] }>();
</script>

<template>
  <v-snackbar :model-value="removed !== null" :timeout="15000" @update:model-value="emit('forget')">
    {{ removed }} is off the shelf.
    <template #actions>
      <KeyButton class="undo" size="small" data-test="undo-remove" @click="emit('bringBack')">
        Put it back
      </KeyButton>
    </template>
  </v-snackbar>
  <DialogBox :model-value="refused !== null" max-width="640" @update:model-value="emit('close')">
    <v-card v-if="refused" class="refused" data-test="refused">
      <h2>{{ refused.name }} was not taken in</h2>
      <p>Nothing on the shelf or in the pantry has changed.</p>
      <ul>
        <li v-for="(problem, i) in refused.problems" :key="i">
          {{ problem.message }}
          <span v-if="problem.value" class="soft">It says {{ problem.value }}.</span>
        </li>
      </ul>
      <p><KeyButton @click="emit('close')">Close</KeyButton></p>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.refused {
  padding: 20px 24px;
  display: block;
}
.refused h2 {
  margin-top: 0;
}
.undo {
  color: inherit;
  border-color: currentcolor;
}
</style>
