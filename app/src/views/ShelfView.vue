<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { useDropZone, useIntersectionObserver, useLocalStorage, useNow } from '@vueuse/core';
import {
  computed,
  defineAsyncComponent,
  onMounted,
  ref,
  shallowRef,
  useTemplateRef,
  watch,
} from 'vue';
import { format } from 'date-fns';
import { useRouter } from 'vue-router';
import type { Build } from '@pyrgotect/core';
import type { StoredBuild } from '../storage/database.ts';
import { download, downloadBytes } from '../parts/download.ts';
import TopBar from '../parts/TopBar.vue';
import { firstOf, found, grouped, type Sorting, type States } from '../shelf/arranged.ts';
import { fetchCard, heldKey } from '../shelf/card.ts';
import { takeLaunched } from '../shelf/launched.ts';
import { takeShared } from '../shelf/shared.ts';
import { useTakenFiles } from '../shelf/useTakenFiles.ts';
import { useSettings } from '../stores/settings.ts';
import { useShelf } from '../stores/shelf.ts';
import FileKey from '../parts/FileKey.vue';
import SearchField from '../parts/SearchField.vue';
import { isForPlace } from '../parts/keys.ts';

const ShelfCard = defineAsyncComponent(fetchCard);
const held = useLocalStorage(heldKey, false);
const ResizeDialog = defineAsyncComponent(() => import('../designs/ResizeDialog.vue'));
const ShelfOrder = defineAsyncComponent(() => import('../shelf/ShelfOrder.vue'));
const BackupReminder = defineAsyncComponent(() => import('../backup/BackupReminder.vue'));
const ShelfNotices = defineAsyncComponent(() => import('../shelf/ShelfNotices.vue'));

const pageSize = 16;
const shelf = useShelf();
const settings = useSettings();
const router = useRouter();
const now = useNow({ interval: 60_000 });
const search = ref('');
const shown = ref(pageSize);
const state = ref<States>('all');
const sorting = ref<Sorting>('date');
const removed = shallowRef<StoredBuild | null>(null);
/** The cake that is asked for another number of guests. */
const resized = ref<string | null>(null);
const { take, toRecipes, refused, taken, busy } = useTakenFiles();
/** True from the first notice on; before it nothing of it is loaded. */
const spoken = ref(false);
watch([removed, refused, taken], () => (spoken.value = true));
const files = useTemplateRef<InstanceType<typeof FileKey>>('files');
const foot = useTemplateRef<HTMLElement>('foot');
const root = useTemplateRef<HTMLElement>('root');

onMounted(() => {
  void shelf.load();
  takeLaunched((files) => void take(files));
  void takeShared().then((shared) => {
    if (shared && shared.files.length > 0) return take(shared.files);
    // words alone are taken for a recipe
    if (shared) return toRecipes(shared.text);
  });
});
watch(
  () => shelf.loaded && shelf.entries.length > 0,
  (holds) => {
    if (shelf.loaded) held.value = holds;
  },
  { immediate: true },
);
watch([search, state, sorting], () => (shown.value = pageSize));
useIntersectionObserver(
  foot,
  ([entry]) => {
    if (entry?.isIntersecting && shown.value < sought.value.length) shown.value += pageSize;
  },
  { rootMargin: '400px' },
);

const sought = computed(() => found(shelf.entries, search.value, state.value));
const today = computed(() => format(now.value, 'yyyy-MM-dd'));
const groups = computed(() =>
  firstOf(grouped(sought.value, sorting.value, today.value), shown.value),
);

function showAll(): void {
  search.value = '';
  state.value = 'all';
}
const bringing = ref(false);
async function bringExamples(): Promise<void> {
  bringing.value = true;
  await shelf.bringExamples().finally(() => (bringing.value = false));
}
const create = (): void => void router.push('/new');
/** Opens what was just laid on the shelf, where its date is asked for. */
async function openNew(laid: Promise<Build | null>): Promise<void> {
  const build = await laid;
  if (build) await router.push(`/build/${build.id}/brief`);
}
async function remove(id: string): Promise<void> {
  removed.value = await shelf.remove(id);
}
async function bringBack(): Promise<void> {
  if (removed.value) await shelf.restore(removed.value);
  removed.value = null;
}
async function exportOne(id: string): Promise<void> {
  const file = await shelf.exportText(id);
  if (file) download(file.name, file.text);
}
async function exportWithPictures(id: string): Promise<void> {
  const file = await shelf.exportArchive(id);
  if (file) downloadBytes(file.name, file.bytes, 'application/zip');
}
/** A file dropped anywhere on the shelf is taken as if it were chosen. */
const { isOverDropZone } = useDropZone(root, {
  onDrop: (dropped) => void take(dropped ?? []),
  multiple: true,
});
useEventListener('keydown', (event: KeyboardEvent) => {
  if (!isForPlace(event) || event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.key === 'u') void settings.switchUnits();
  if (event.key === 'n') create();
  if (event.key === '/') {
    event.preventDefault();
    document.getElementById('shelf-search')?.focus();
  }
});
</script>

<template>
  <div ref="root" class="shelf" :class="{ over: isOverDropZone }">
    <TopBar here="shelf">
      <template #search>
        <SearchField
          id="shelf-search"
          v-model="search"
          class="search"
          label="Search the shelf"
          placeholder="Find a cake ( / )"
        />
      </template>
      <FileKey
        ref="files"
        accept=".json,.zip,application/json,application/zip"
        label="Build file"
        several
        @take-all="take"
        >Open a file</FileKey
      >
      <KeyButton variant="flat" data-test="new" @click="create">New cake</KeyButton>
    </TopBar>
    <main id="content" tabindex="-1" data-scrolls>
      <v-progress-linear v-if="busy" indeterminate height="6" aria-label="Files are read" />
      <BackupReminder v-if="shelf.loaded && shelf.entries.length > 0" />
      <ShelfOrder
        v-if="shelf.entries.length > 0"
        v-model:state="state"
        v-model:sorting="sorting"
        class="order"
      />
      <section v-for="group in groups" :key="group.title">
        <h1>{{ group.title }}</h1>
        <div class="cards">
          <ShelfCard
            v-for="entry in group.entries"
            :key="entry.id"
            :entry="entry"
            :now="now"
            :is-example="shelf.examples.has(entry.id)"
            @duplicate="shelf.duplicate(entry.id)"
            @again="openNew(shelf.again(entry.id))"
            @keep-pattern="shelf.asPattern(entry.id)"
            @from-pattern="openNew(shelf.fromPattern(entry.id))"
            @resize="resized = entry.id"
            @remove="remove(entry.id)"
            @save-file="exportOne(entry.id)"
            @save-all="exportWithPictures(entry.id)"
          />
        </div>
      </section>
      <section v-if="shelf.loaded && shelf.entries.length === 0" class="empty">
        <h1>An empty shelf</h1>
        <p class="lead">
          A cake begins with three answers: how many guests, what it should look like, and when it
          is served. The rest is worked out and drawn for you to correct.
        </p>
        <ul class="ways">
          <li>
            <KeyButton variant="flat" @click="create">A cake for a date</KeyButton>
            <span class="soft">one sentence, and the cakes that it could become</span>
          </li>
          <li>
            <KeyButton :disabled="bringing" data-test="bring-examples" @click="bringExamples">
              Look at the observatory’s cakes
            </KeyButton>
            <span class="soft">examples of every kind, which can be put away again</span>
          </li>
          <li>
            <KeyButton to="/pantry?table=recipes">Read a recipe</KeyButton>
            <span class="soft">paste one of yours, and plan with it</span>
          </li>
          <li>
            <KeyButton @click="files?.choose()">Open a file</KeyButton>
            <span class="soft">a cake that was saved here or elsewhere</span>
          </li>
        </ul>
      </section>
      <section v-else-if="shelf.loaded && sought.length === 0" class="empty">
        <h1>{{ search ? `No cake is called “${search}”` : 'No cake is so' }}</h1>
        <p class="lead">Names, occasions and customers are searched, each word anywhere in them.</p>
        <p>
          <KeyButton @click="showAll"> Show all {{ shelf.entries.length }} </KeyButton>
        </p>
      </section>
      <div ref="foot" class="foot soft">
        <template v-if="shown < sought.length">{{ sought.length - shown }} more below</template>
      </div>
    </main>

    <ResizeDialog v-if="resized" :build-id="resized" @close="resized = null" />
    <ShelfNotices
      v-if="spoken"
      :removed="removed?.build.name ?? null"
      :refused="refused"
      :taken="taken"
      @bring-back="bringBack"
      @forget="removed = null"
      @seen="taken = 0"
      @close="refused = []"
    />
  </div>
</template>

<style scoped>
.shelf {
  height: 100dvh;
  display: flex;
  flex-direction: column;
  background: var(--milk);
}
.over main {
  outline: 3px dashed var(--accent);
  outline-offset: -8px;
}
.search {
  flex: 0 1 220px;
  min-width: 150px;
}
main {
  flex: 1;
  overflow: auto;
  padding: 24px 28px 20px;
}
section + section {
  margin-top: 30px;
}
h1 {
  font-size: var(--size-title);
  margin-bottom: 12px;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 24px 26px;
}
.empty {
  max-width: 560px;
  margin: 12vh auto 0;
}
@media (max-width: 599px) {
  main {
    padding: 16px;
  }
}
.order {
  margin: -8px 0 14px;
}
.ways {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 12px;
}
.ways li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
}
.empty p {
  margin-bottom: 16px;
}
.foot {
  height: 30px;
  padding-top: 10px;
  text-align: center;
}
</style>
