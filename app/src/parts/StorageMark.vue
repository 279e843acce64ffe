<script setup lang="ts">
import { useStorageState } from '../storage/state.ts';
import { useBuild } from '../stores/build.ts';
import { useToFile } from './useToFile.ts';

/** Stands over everything while the browser does not keep what is typed: why, and what can be done. */
const state = useStorageState();
const store = useBuild();
const toFile = useToFile();
const again = (): void => window.location.reload();
</script>

<template>
  <aside v-if="state.kind !== 'kept'" class="mark" role="alert" data-test="storage-mark">
    <span v-if="state.kind === 'memory'">
      <b>In memory only.</b> This browser keeps nothing for this page ({{ state.why }}). You can
      work; what you make is gone with this window unless you save it to a file. Leaving private
      browsing, or allowing the page to store data, helps.
    </span>
    <span v-else-if="state.kind === 'newer'">
      <b>This window is an older version of Pyrgotect</b> than another one that is open. It writes
      nothing any more: load it again.
    </span>
    <span v-else-if="state.kind === 'held'">
      Another window with an older version of Pyrgotect is open. Close it or load it again: this one
      waits for it.
    </span>
    <span v-else>
      <b>What this browser kept of Pyrgotect was just deleted.</b> What is open here is still here:
      save it to a file, or change something and put it back.
    </span>
    <span class="ways">
      <KeyButton v-if="store.build" size="small" @click="toFile">Save the cake to a file</KeyButton>
      <KeyButton v-if="state.kind !== 'memory'" size="small" @click="again">Load again</KeyButton>
    </span>
  </aside>
</template>

<style scoped>
.mark {
  position: fixed;
  inset: auto 0 0;
  z-index: 1500;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
  padding: 8px 20px;
  background: var(--stop-wash);
  color: var(--ink);
  border-top: 3px solid var(--stop);
}
.mark > span:first-child {
  flex: 1 1 40ch;
}
.ways {
  display: flex;
  gap: 8px;
}
</style>
