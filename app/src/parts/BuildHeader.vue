<script setup lang="ts">
import { word } from '@pyrgotect/core';
import {
  mdiDotsVertical,
  mdiHelpCircleOutline,
  mdiHistory,
  mdiMagnify,
  mdiRedo,
  mdiUndo,
} from '@mdi/js';
import type { Build } from '@pyrgotect/core';
import { useMediaQuery, watchDebounced } from '@vueuse/core';
import { computed } from 'vue';
import WordField from '../figures/WordField.vue';
import { useBuild } from '../stores/build.ts';
import BrandMark from './BrandMark.vue';
import { announce } from './announce.ts';
import IconPath from './IconPath.vue';
import SettingsMenu from './SettingsMenu.vue';
import { onPhone } from './phone.ts';
import { servedText } from '../locale/when.ts';

/** The bar over an open cake: what it is, whether it is kept, and what can be done with all of it. */
defineProps<{ build: Build }>();
const emit = defineEmits<{ history: []; find: []; bench: []; print: [] }>();
const store = useBuild();
const rename = (name: string): void => store.edit('Name', (draft) => void (draft.name = name));
/** A phone: what is wanted seldom is in a menu. */
const xs = useMediaQuery(onPhone);
/* said once things have come to rest, not with every stroke */
const restsMs = 1500;
watchDebounced(
  () => store.saveState,
  (state, before) => {
    if (state === 'saved' && before !== undefined) announce(word('Saved'));
  },
  { debounce: restsMs },
);
const saveText = computed(
  () =>
    ({ saved: word('Saved'), saving: 'Saving…', failed: 'Not saved', gone: 'Taken off' })[
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
      @update:model-value="rename"
      @keydown.enter="($event.target as HTMLInputElement).blur()"
    />
    <span class="sub soft">
      {{ [build.brief.occasion, servedText(build.brief.serveAt)].filter(Boolean).join(', ') }}
    </span>
    <span class="grow" />
    <span class="state" :class="store.saveState" data-test="save-state">{{ saveText }}</span>
    <KeyButton
      v-tip="`Undo ${store.undoStack.at(-1)?.label ?? ''}`"
      variant="text"
      :disabled="store.undoStack.length === 0"
      aria-label="Undo"
      @click="store.undo()"
    >
      <IconPath :path="mdiUndo" />
    </KeyButton>
    <KeyButton
      v-if="!xs"
      v-tip="`Redo ${store.redoStack.at(-1)?.label ?? ''}`"
      variant="text"
      :disabled="store.redoStack.length === 0"
      aria-label="Redo"
      @click="store.redo()"
    >
      <IconPath :path="mdiRedo" />
    </KeyButton>
    <KeyButton
      v-if="!xs"
      v-tip="'Earlier versions'"
      variant="text"
      aria-label="History"
      @click="emit('history')"
    >
      <IconPath :path="mdiHistory" />
    </KeyButton>
    <KeyButton
      v-if="!xs"
      v-tip="'Help: words, keys, a walk round'"
      variant="text"
      to="/help"
      aria-label="Help"
      ><IconPath :path="mdiHelpCircleOutline"
    /></KeyButton>
    <KeyButton
      v-if="!xs"
      v-tip="'Find a part, a figure or an action ( / )'"
      variant="text"
      aria-label="Find"
      @click="emit('find')"
    >
      <IconPath :path="mdiMagnify" />
    </KeyButton>
    <SettingsMenu />
    <KeyButton v-if="!xs" @click="emit('print')">Print</KeyButton>
    <v-menu v-else location="bottom end">
      <template #activator="{ props: opens }">
        <KeyButton variant="text" aria-label="More" v-bind="opens">
          <IconPath :path="mdiDotsVertical" />
        </KeyButton>
      </template>
      <v-list>
        <v-list-item
          title="Redo"
          :subtitle="store.redoStack.at(-1)?.label"
          :disabled="store.redoStack.length === 0"
          @click="store.redo()"
        />
        <v-list-item title="Earlier versions" @click="emit('history')" />
        <v-list-item title="Find" subtitle="a part, a figure, an action" @click="emit('find')" />
        <v-list-item title="Print" @click="emit('print')" />
        <v-list-item title="Help" to="/help" />
      </v-list>
    </v-menu>
    <KeyButton variant="flat" data-walk="bench" @click="emit('bench')">
      {{ xs ? 'Bench' : 'To the bench' }}
    </KeyButton>
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
.title.v-input {
  font: 600 var(--size-title) var(--heading);
  margin-left: 14px;
  min-width: 60px;
  max-width: 24em;
  flex: 0 1 auto;
}
.title :deep(.v-field) {
  font-weight: 600;
  color: inherit;
  background: none;
  border-bottom: 1.5px solid transparent;
}
.title :deep(.v-input__control) {
  min-width: 0;
}
.title :deep(input) {
  text-overflow: ellipsis;
}
.title :deep(.v-field:hover),
.title :deep(.v-field--focused) {
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
  .title.v-input {
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
