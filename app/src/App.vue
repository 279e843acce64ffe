<script setup lang="ts">
import { defineAsyncComponent, onMounted, ref, watchEffect } from 'vue';
import { database } from './storage/database.ts';
import { sweepRemoved } from './storage/removed.ts';
import { openStorage, useStorageState } from './storage/state.ts';
import { useUpdate } from './storage/updates.ts';
import HatchDefs from './section/HatchDefs.vue';
import { useCarvings } from './stores/carvings.ts';
import { useFault } from './stores/faults.ts';
import { usePantry } from './stores/pantry.ts';
import { useSettings } from './stores/settings.ts';
import { useShelf } from './stores/shelf.ts';
import { said } from './parts/announce.ts';
import { contentId } from './parts/places.ts';
import { tip } from './parts/tip.ts';
import { useScheme } from './styles/scheme.ts';

/** It knows the open cake, which the shelf does not load. */
const FaultNotice = defineAsyncComponent(() => import('./parts/FaultNotice.vue'));
const StorageMark = defineAsyncComponent(() => import('./parts/StorageMark.vue'));
const UpdateNotice = defineAsyncComponent(() => import('./parts/UpdateNotice.vue'));
const TipLayer = defineAsyncComponent(() => import('./parts/TipLayer.vue'));
const toContent = (): void => document.getElementById(contentId)?.focus();
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

/** With devices that are paired, once there are any. */
async function keepInStep(): Promise<void> {
  if (storage.value.kind !== 'kept' || !(await database.settings.get('pairing'))) return;
  const { usePairing } = await import('./stores/pairing.ts');
  // the page of devices says why where it cannot
  await usePairing()
    .start()
    .catch(() => undefined);
}

onMounted(async () => {
  try {
    await openStorage();
    await Promise.all([settings.load(), pantry.load()]);
    await shelf.seedDemo();
    void carvings.load();
    void sweepRemoved();
    void keepInStep();
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
  ready.value = true;
});
</script>

<template>
  <v-app :theme="scheme" class="app">
    <a class="skip" :href="`#${contentId}`" @click.prevent="toContent">To the content</a>
    <HatchDefs />
    <p v-if="problem" class="trouble" role="alert">
      What this browser keeps cannot be read ({{ problem }}).
    </p>
    <router-view v-if="ready" />
    <FaultNotice v-if="fault" />
    <StorageMark v-if="storage.kind !== 'kept'" />
    <UpdateNotice v-if="update" />
    <TipLayer v-if="tip.at && tip.text" />
    <div class="visually-hidden" aria-live="polite" data-test="said">{{ said.polite }}</div>
    <div class="visually-hidden" aria-live="assertive">{{ said.urgent }}</div>
  </v-app>
</template>

<style scoped>
.skip {
  position: fixed;
  left: 12px;
  top: -60px;
  z-index: 3000;
  padding: 13px 16px;
  background: var(--ink);
  color: var(--milk);
  border-radius: 0 0 4px 4px;
}
.skip:focus {
  top: 0;
}
.trouble {
  margin: 0;
  padding: 10px 20px;
  background: var(--stop-wash);
  border-left: 5px solid var(--stop);
}
</style>
