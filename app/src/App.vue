<script setup lang="ts">
import { defineAsyncComponent, onMounted, ref, watchEffect } from 'vue';
import { sweepRemoved } from './storage/removed.ts';
import { openStorage, useStorageState } from './storage/state.ts';
import { useUpdate } from './storage/updates.ts';
import HatchDefs from './section/HatchDefs.vue';
import { useCarvings } from './stores/carvings.ts';
import { useFault } from './stores/faults.ts';
import { usePantry } from './stores/pantry.ts';
import { useSettings } from './stores/settings.ts';
import { useShelf } from './stores/shelf.ts';
import { useScheme } from './styles/scheme.ts';

/** It knows the open cake, which the shelf does not load. */
const FaultNotice = defineAsyncComponent(() => import('./parts/FaultNotice.vue'));
const StorageMark = defineAsyncComponent(() => import('./parts/StorageMark.vue'));
const UpdateNotice = defineAsyncComponent(() => import('./parts/UpdateNotice.vue'));
const fault = useFault();
const storage = useStorageState();
const update = useUpdate();
const settings = useSettings();
const pantry = usePantry();
const shelf = useShelf();
const carvings = useCarvings();
const ready = ref(false);
const problem = ref('');
const { scheme } = useScheme();
watchEffect(() => {
  document.documentElement.classList.toggle('scheme-night', scheme.value === 'night');
  document.documentElement.classList.toggle('scheme-paper', scheme.value === 'paper');
});

onMounted(async () => {
  try {
    await openStorage();
    await Promise.all([settings.load(), pantry.load()]);
    await shelf.seedDemo();
    void carvings.load();
    void sweepRemoved();
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
  ready.value = true;
});
</script>

<template>
  <v-app :theme="scheme" class="app">
    <HatchDefs />
    <p v-if="problem" class="trouble" role="alert">
      What this browser keeps cannot be read ({{ problem }}).
    </p>
    <router-view v-if="ready" />
    <FaultNotice v-if="fault" />
    <StorageMark v-if="storage.kind !== 'kept'" />
    <UpdateNotice v-if="update" />
  </v-app>
</template>

<style scoped>
.trouble {
  margin: 0;
  padding: 10px 20px;
  background: var(--stop-wash);
  border-left: 5px solid var(--stop);
}
</style>
