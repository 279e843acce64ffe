<script setup lang="ts">
import { useBuild } from '../stores/build.ts';
import { useFault } from '../stores/faults.ts';
import { useToFile } from './useToFile.ts';

/** What went wrong and nobody expected, with ways to take the open cake along, or all there is, and one to go on. */
const fault = useFault();
const store = useBuild();
const toFile = useToFile();
const again = (): void => window.location.reload();
</script>

<template>
  <v-snackbar :model-value="fault !== null" :timeout="-1" data-test="fault">
    <template v-if="fault?.isFull">
      The browser’s storage is full: this was not kept ({{ fault.message }}). Take cakes or photos
      off, or save them to files.
    </template>
    <template v-else>Something went wrong and was not done: {{ fault?.message }}</template>
    <template #actions>
      <KeyButton v-if="store.build" size="small" @click="toFile">Save the cake to a file</KeyButton>
      <KeyButton size="small" to="/backup" @click="fault = null">Save everything</KeyButton>
      <KeyButton size="small" @click="again">Load the page again</KeyButton>
      <KeyButton size="small" @click="fault = null">Go on</KeyButton>
    </template>
  </v-snackbar>
</template>
