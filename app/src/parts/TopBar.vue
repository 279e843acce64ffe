<script setup lang="ts">
import { mdiHelpCircleOutline } from '@mdi/js';
import BrandMark from './BrandMark.vue';
import IconPath from './IconPath.vue';
import SettingsMenu from './SettingsMenu.vue';

/** The bar over everything outside a build: where one is, and what can be done there. */
defineProps<{
  here: 'shelf' | 'calendar' | 'pantry' | 'shopping' | 'learnt' | 'backup' | 'help';
}>();
const places = [
  { id: 'shelf', to: '/', text: 'Shelf' },
  { id: 'calendar', to: '/calendar', text: 'Calendar' },
  { id: 'pantry', to: '/pantry', text: 'Pantry' },
  { id: 'shopping', to: '/shopping', text: 'Shopping' },
  { id: 'learnt', to: '/learnt', text: 'Learnt' },
  { id: 'backup', to: '/backup', text: 'Backup' },
] as const;
</script>

<template>
  <header>
    <BrandMark />
    <nav>
      <router-link
        v-for="place in places"
        :key="place.id"
        :to="place.to"
        :class="{ here: place.id === here }"
        :aria-current="place.id === here ? 'page' : undefined"
        >{{ place.text }}</router-link
      >
    </nav>
    <slot name="search" />
    <span class="grow" />
    <KeyButton v-tip="'Help: words, keys, a walk round'" variant="text" to="/help" aria-label="Help"
      ><IconPath :path="mdiHelpCircleOutline"
    /></KeyButton>
    <SettingsMenu />
    <slot />
  </header>
</template>

<style scoped>
header {
  height: 56px;
  flex: none;
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 0 20px;
  background: var(--oat);
  border-bottom: 2px solid var(--ink);
}
nav {
  display: flex;
  gap: 18px;
  margin: 0 18px;
  font-weight: 600;
}
nav a {
  text-decoration: none;
  color: var(--soft);
  padding: 4px 0;
}
nav a.here {
  color: var(--ink);
  border-bottom: 2.5px solid var(--ink);
}
.grow {
  flex: 1;
}
@media (max-width: 900px) {
  header {
    height: auto;
    flex-wrap: wrap;
    padding: 8px 16px;
  }
}
/* a phone: name, help and settings; the places below them; then what can be done here */
@media (max-width: 599px) {
  header {
    padding: 4px 12px 0;
    gap: 0 6px;
  }
  nav {
    order: 1;
    flex: 0 0 100%;
    margin: 0;
    gap: 0;
    justify-content: space-between;
  }
  nav a {
    padding: 12px 2px 9px;
  }
  header > :deep(.search),
  header > :deep(.key:not([href='/help'])) {
    order: 2;
    margin: 2px 0 6px;
  }
  header > :deep(.search) {
    flex: 1;
    min-width: 0;
  }
}
</style>
