<script setup lang="ts">
import { format } from 'date-fns';
import { computed, onMounted, ref, watch } from 'vue';
import TroubleLine from '../figures/TroubleLine.vue';
import HandOnKeys from '../parts/HandOnKeys.vue';
import { download } from '../parts/download.ts';
import { useFeed } from '../stores/feed.ts';
import { useShelf } from '../stores/shelf.ts';
import { feedText } from './feed.ts';
import { useLoads } from './useLoads.ts';

/** The calendar for other calendars: as a file, or at an address that they read again and again. */
const shelf = useShelf();
const feed = useFeed();
onMounted(() => void feed.load());

/** Nothing is planned for it before somebody wants it. */
const isWanted = ref(false);
const today = format(new Date(), 'yyyy-MM-dd');
const due = computed(() =>
  shelf.entries.filter(
    ({ serveAt, isPattern, finished }) => serveAt && serveAt >= today && !isPattern && !finished,
  ),
);
const { loads, progress, trouble, again } = useLoads(() =>
  isWanted.value || feed.feed ? due.value.map(({ id }) => id) : [],
);
const isKnown = computed(
  () =>
    shelf.loaded &&
    progress.value === null &&
    due.value.every(({ id }) => loads.value.some((l) => l.cakeId === id)),
);
const text = (): string =>
  feedText(
    due.value.map((entry) => ({ ...entry, serveAt: entry.serveAt! })),
    loads.value,
  );
/** What is to be done once the hours are known. */
const next = ref<'file' | 'address' | null>(null);
async function go(): Promise<void> {
  if (!isKnown.value) return;
  const what = next.value;
  next.value = null;
  const made = text();
  if (what === 'file') download('cakes.ics', made, 'text/calendar');
  else if (what === 'address') await feed.begin(made);
  else await feed.renew(made);
}
function want(what: 'file' | 'address'): void {
  isWanted.value = true;
  next.value = what;
}
watch([isKnown, next, () => feed.feed], () => void go());
</script>

<template>
  <section class="feed" data-test="feed">
    <h2>In other calendars</h2>
    <template v-if="feed.feed">
      <p class="lead">
        Whoever knows this address reads the names of your cakes, for whom and for what they are,
        and your hours; your server keeps them readable for it. It is brought up to date whenever
        this page is open.
      </p>
      <p class="keys">
        <code data-test="feed-address">{{ feed.address() }}</code>
        <HandOnKeys title="Calendar of cakes" :text="feed.address" size="small" />
        <KeyButton size="small" data-test="feed-end" @click="feed.end()">Take it away</KeyButton>
      </p>
    </template>
    <p v-else class="lead">
      What is due and when hands are on it, as a file that a calendar reads once, or at an address
      of your own server that it reads again and again.
    </p>
    <p class="keys">
      <KeyButton size="small" data-test="feed-file" @click="want('file')">
        Save as a calendar file
      </KeyButton>
      <KeyButton v-if="!feed.feed" size="small" data-test="feed-begin" @click="want('address')">
        Make an address
      </KeyButton>
      <span v-if="next" role="status">Planning the days …</span>
    </p>
    <TroubleLine :trouble="trouble" what="The hours of work" @again="again" />
    <p v-if="feed.problem" class="warn" role="alert">{{ feed.problem }}</p>
  </section>
</template>

<style scoped>
.feed {
  margin-top: 22px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
.keys {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
code {
  overflow-wrap: anywhere;
}
.warn {
  color: var(--warn);
}
</style>
