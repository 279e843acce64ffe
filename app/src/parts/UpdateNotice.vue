<script setup lang="ts">
import { takeUpdate, useUpdate } from '../storage/updates.ts';
import { useBuild } from '../stores/build.ts';

/** A newer program is there, and waits until it is asked for: nothing changes under the hand. */
const waiting = useUpdate();
const store = useBuild();
async function take(): Promise<void> {
  await store.flush();
  takeUpdate();
}
</script>

<template>
  <v-snackbar :model-value="waiting !== null" :timeout="-1" data-test="update">
    A newer Pyrgotect is here. It is taken when you say so; your cakes stay as they are.
    <template #actions>
      <KeyButton size="small" data-test="take-update" @click="take">Take it now</KeyButton>
      <KeyButton size="small" @click="waiting = null">Later</KeyButton>
    </template>
  </v-snackbar>
</template>
