<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue';
import { useBuild } from '../stores/build.ts';
import BrandMark from './BrandMark.vue';
import { useToFile } from './useToFile.ts';

/** Stands in place of a cake that could not be worked out: the cake is kept, and there are ways on. */
defineProps<{ fault: string; buildId: string }>();
const HistoryDialog = defineAsyncComponent(() => import('./HistoryDialog.vue'));
const store = useBuild();
const isHistory = ref(false);
const toFile = useToFile();
</script>

<template>
  <main id="content" tabindex="-1" class="failed" data-test="failed-plan">
    <BrandMark />
    <h1>“{{ store.build?.name }}” could not be worked out</h1>
    <p class="lead" role="alert">
      That is a fault of the program, not of your cake ({{ fault }}). The cake is kept as you left
      it. Take back what you changed last, go to an earlier version, or keep it in a file.
    </p>
    <p class="ways">
      <KeyButton
        v-if="store.undoStack.length > 0"
        variant="flat"
        color="primary"
        @click="store.undo()"
        >Undo {{ store.undoStack.at(-1)?.label }}</KeyButton
      >
      <KeyButton @click="isHistory = true">Earlier versions</KeyButton>
      <KeyButton @click="toFile">Save the cake to a file</KeyButton>
      <KeyButton to="/">To the shelf</KeyButton>
    </p>
    <HistoryDialog v-if="isHistory" :build-id="buildId" @close="isHistory = false" />
  </main>
</template>

<style scoped>
.failed {
  padding: 40px;
  max-width: 70ch;
}
.failed h1 {
  margin: 30px 0 8px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
