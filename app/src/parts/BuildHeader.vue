<script setup lang="ts">
import { mdiDotsVertical, mdiHelpCircleOutline, mdiHistory, mdiRedo, mdiUndo } from '@mdi/js';
import type { Build } from '@pyrgotect/core';
import { useMediaQuery } from '@vueuse/core';
import { computed } from 'vue';
import WordField from '../figures/WordField.vue';
import { useBuild } from '../stores/build.ts';
import BrandMark from './BrandMark.vue';
import IconPath from './IconPath.vue';
import SettingsMenu from './SettingsMenu.vue';
import { onPhone } from './phone.ts';
import { servedText } from './when.ts';

/** The bar over an open cake: what it is, whether it is kept, and what can be done with all of it. */
defineProps<{ build: Build }>();
const emit = defineEmits<{ history: []; bench: []; print: [] }>();
const store = useBuild();
const rename = (name: string): void => store.edit('Name', (draft) => void (draft.name = name));
/** A phone: what is wanted seldom is in a menu. */
const xs = useMediaQuery(onPhone);
const saveText = computed(
  () =>
    ({ saved: 'Saved', saving: 'Saving…', failed: 'Not saved', gone: 'Taken off' })[
      store.saveState
    ],
);
</script>

<template>
  <header>
    <BrandMark />
    <WordField
      class="title"
      :model-value="build.name"
      aria-label="Name of the cake"
      :most="80"
      needed
      :size="Math.min(34, Math.max(6, build.name.length))"
      @update:model-value="rename"
      @keydown.enter="($event.target as HTMLInputElement).blur()"
    />
    <span class="sub soft">
      {{ [build.brief.occasion, servedText(build.brief.serveAt)].filter(Boolean).join(', ') }}
    </span>
    <span class="grow" />
    <span class="state" :class="store.saveState" data-test="save-state">{{ saveText }}</span>
    <button
      type="button"
      class="key quiet"
      :disabled="store.undoStack.length === 0"
      :title="`Undo ${store.undoStack.at(-1)?.label ?? ''}`"
      aria-label="Undo"
      @click="store.undo()"
    >
      <IconPath :path="mdiUndo" />
    </button>
    <button
      v-if="!xs"
      type="button"
      class="key quiet"
      :disabled="store.redoStack.length === 0"
      :title="`Redo ${store.redoStack.at(-1)?.label ?? ''}`"
      aria-label="Redo"
      @click="store.redo()"
    >
      <IconPath :path="mdiRedo" />
    </button>
    <button
      v-if="!xs"
      type="button"
      class="key quiet"
      aria-label="History"
      title="Earlier versions"
      @click="emit('history')"
    >
      <IconPath :path="mdiHistory" />
    </button>
    <router-link
      v-if="!xs"
      class="key quiet"
      to="/help"
      aria-label="Help"
      title="Help: words, keys, a walk round"
      ><IconPath :path="mdiHelpCircleOutline"
    /></router-link>
    <SettingsMenu />
    <button v-if="!xs" type="button" class="key" @click="emit('print')">Print</button>
    <v-menu v-else location="bottom end">
      <template #activator="{ props: opens }">
        <button type="button" class="key quiet" aria-label="More" v-bind="opens">
          <IconPath :path="mdiDotsVertical" />
        </button>
      </template>
      <v-list>
        <v-list-item
          title="Redo"
          :subtitle="store.redoStack.at(-1)?.label"
          :disabled="store.redoStack.length === 0"
          @click="store.redo()"
        />
        <v-list-item title="Earlier versions" @click="emit('history')" />
        <v-list-item title="Print" @click="emit('print')" />
        <v-list-item title="Help" to="/help" />
      </v-list>
    </v-menu>
    <button type="button" class="key solid" data-walk="bench" @click="emit('bench')">
      {{ xs ? 'Bench' : 'To the bench' }}
    </button>
  </header>
</template>

<style scoped>
header {
  display: flex;
  align-items: center;
  padding: 0 20px;
  gap: 10px;
  border-bottom: 2px solid var(--ink);
  min-width: 0;
}
.title {
  font: 600 var(--size-title) var(--heading);
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1.5px solid transparent;
  margin-left: 14px;
  padding: 2px 4px;
  text-overflow: ellipsis;
  min-width: 60px;
}
.title:hover,
.title:focus {
  border-color: var(--accent);
}
.sub {
  flex: 0 1 auto;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  min-width: 0;
}
.grow {
  flex: 1;
}
.state {
  font-size: var(--size-note);
  color: var(--soft);
  white-space: nowrap;
}
.state.failed {
  color: var(--stop);
  font-weight: 700;
}
header > :not(.grow, .sub, .title) {
  flex: none;
}
@media (max-width: 1000px) {
  .sub {
    display: none;
  }
  header :deep(.mark) {
    font-size: 0;
    gap: 0;
  }
}
@media (max-width: 599px), (max-height: 499px) {
  header {
    padding: 0 8px;
    gap: 0;
  }
  header :deep(.mark) {
    font-size: 0;
    gap: 0;
    min-width: 44px;
    min-height: 44px;
    justify-content: center;
  }
  .title {
    flex: 1 1 0;
    min-width: 0;
    margin-left: 0;
  }
  .grow {
    display: none;
  }
  /* that all is well needs no room here: it is there for who listens */
  .state.saved {
    position: absolute;
    width: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
}
</style>
