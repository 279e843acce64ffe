<script setup lang="ts">
import { computed } from 'vue';
import DialogBox from '../parts/DialogBox.vue';
import type { Refused } from './useTakenFiles.ts';

/** What the shelf has to say: a cake that was taken off, files that were taken in or not. */
const props = defineProps<{
  removed: string | null;
  refused: Refused[];
  /** How many cakes came of several files. */
  taken: number;
}>();
const emit = defineEmits<{ bringBack: []; forget: []; seen: []; close: [] }>();
const title = computed(() =>
  props.refused.length === 1
    ? `${props.refused[0]!.name} was not taken in`
    : `${props.refused.length} files were not taken in`,
);
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
  <v-snackbar :model-value="taken > 0" :timeout="8000" @update:model-value="emit('seen')">
    {{ taken }} {{ taken === 1 ? 'cake was' : 'cakes were' }} taken in.
  </v-snackbar>
  <DialogBox :model-value="refused.length > 0" max-width="640" @update:model-value="emit('close')">
    <v-card v-if="refused.length > 0" class="refused" data-test="refused">
      <h2>{{ title }}</h2>
      <p>
        Nothing on the shelf or in the pantry has changed{{
          taken > 0 ? ', but for what was taken in' : ''
        }}.
      </p>
      <template v-for="(file, n) in refused" :key="n">
        <h3 v-if="refused.length > 1">{{ file.name }}</h3>
        <ul>
          <li v-for="(problem, i) in file.problems" :key="i">
            {{ problem.message }}
            <span v-if="problem.value" class="soft">It says {{ problem.value }}.</span>
          </li>
        </ul>
      </template>
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
