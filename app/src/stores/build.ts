import {
  correctionsFor,
  mergeBuilds,
  planBuild,
  planCake,
  planMaking,
  sortCautions,
  type Build,
  type CakePlan,
  type MakingPlan,
  type Plan,
} from '@pyrgotect/core';
import { create } from 'mutative';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { whenIdle } from './when-idle.ts';
import { metText } from '../pairing/met-text.ts';
import { plain, restoreBuild, saveBuild } from '../storage/builds.ts';
import { listen, tell } from '../storage/channel.ts';
import { database } from '../storage/database.ts';
import { useCarvings } from './carvings.ts';
import { useHand } from './hand.ts';
import { usePantry } from './pantry.ts';

interface Edit {
  label: string;
  /** Edits that follow each other with the same key become one undo step. */
  merge: string | null;
  before: Build;
  after: Build;
}
/** What another window changed as well as this one: what both began with, and what each made of it. */
export interface Clash {
  before: Build;
  theirs: Build;
  mine: Build;
  /** Both put together, mine where they meet, and where that was. */
  merged: Build;
  places: string[];
}

/** What could not be saved is tried again after so long, ms. */
const retryMs = 3000;
/** How long a drag has to pause before it is saved, ms. */
export const saveAfterMs = 120;

/** The open build: its document, its plan, and undo, redo and saving of every edit. */
export const useBuild = defineStore('build', () => {
  const pantry = usePantry();
  const carvings = useCarvings();
  const hand = useHand();
  const build = shallowRef<Build | null>(null);
  const missing = ref(false);
  const selected = ref<string | null>(null);
  const saveState = ref<'saved' | 'saving' | 'failed' | 'gone'>('saved');
  const clash = shallowRef<Clash | null>(null);
  const notice = ref<string | null>(null);
  const undoStack = shallowRef<Edit[]>([]);
  const redoStack = shallowRef<Edit[]>([]);
  /** What the records do to the plan; a finished build keeps what they did to it then. */
  const corrections = computed(() =>
    build.value ? correctionsFor(build.value, hand.corrections) : hand.corrections,
  );
  /** A plan of the open build, or why it has none. */
  const planned = <P>(work: (...of: Parameters<typeof planBuild>) => P) =>
    computed<{ plan: P | null; fault: string | null }>(() => {
      if (!build.value) return { plan: null, fault: null };
      try {
        const of = [build.value, pantry.pantry, carvings.answerTo, corrections.value] as const;
        return { plan: work(...of), fault: null };
      } catch (error) {
        console.error(error);
        return { plan: null, fault: error instanceof Error ? error.message : String(error) };
      }
    });
  /** What the cake is and how it stands: what an edit shows at once. */
  const cakeTried = planned<CakePlan>(planCake);
  const cake = computed(() => cakeTried.value.plan);
  /** The whole plan, for who asks: bench, day, prints, price. */
  const planTried = planned<Plan>(planBuild);
  const plan = computed(() => planTried.value.plan);
  /** Why the cake, or the whole plan, could not be worked out: a fault of the program, never of the cake. */
  const cakeFault = computed(() => cakeTried.value.fault);
  const planFault = computed(() => planTried.value.fault);
  /** How it is made, as it was when there was last time to ask: an edit under the hand does not wait for it. */
  const making = shallowRef<MakingPlan | null>(null);
  const makeLater = whenIdle(() => {
    making.value = build.value
      ? planMaking(build.value, pantry.pantry, carvings.answerTo, corrections.value)
      : null;
  });
  const cautions = computed(() =>
    sortCautions([...(cake.value?.cautions ?? []), ...(making.value?.cautions ?? [])]),
  );
  watch(
    () => [cake.value, carvings.loaded] as const,
    ([now]) => {
      if (now) carvings.need(now);
      makeLater();
    },
  );

  let revision = 0;
  /** What is stored at that revision, as far as is known here. */
  let base: Build | null = null;
  let unsaved = false;
  /** Cakes that were left while they could not be saved: they are tried again until they are. */
  const stranded = new Map<string, { build: Build; base: Build; revision: number }>();
  let lastLabel = '';
  let timer: ReturnType<typeof setTimeout> | null = null;
  let running: Promise<boolean> | null = null;
  let merging = false;
  /** The cake that was asked for last, whether it was there or not. */
  let asked = '';
  /** Notes that the hand has learnt from. */
  let learntFrom: Build['bench']['notes'] | null = null;

  async function open(id: string): Promise<void> {
    asked = id;
    await flush();
    // an edit without a key closes the previous undo step
    merging = false;
    if (unsaved && build.value && base && build.value.id !== id) {
      stranded.set(build.value.id, { build: build.value, base, revision });
      setTimeout(() => void saveStranded(), retryMs);
    }
    if (build.value?.id !== id) {
      build.value = null;
      making.value = null;
      selected.value = null;
    }
    await hand.ready();
    const left = stranded.get(id);
    if (left) {
      stranded.delete(id);
      ({ base, revision } = left);
      build.value = left.build;
      missing.value = false;
      unsaved = true;
      return flush();
    }
    const stored = await database.builds.get(id);
    missing.value = !stored;
    if (!stored) return;
    if (build.value?.id === id && revision === stored.revision) return;
    revision = stored.revision;
    base = stored.build;
    build.value = stored.build;
    learntFrom = stored.build.bench.notes;
    undoStack.value = [];
    redoStack.value = [];
    clash.value = null;
    unsaved = false;
    saveState.value = 'saved';
  }

  /** Only what goes on, such as a drag, waits for more of its kind before it is saved. */
  function take(label: string, goesOn = false): void {
    unsaved = true;
    lastLabel = label;
    if (saveState.value === 'gone') return;
    saveState.value = 'saving';
    if (goesOn) timer ??= setTimeout(() => void flush(), saveAfterMs);
    else void flush();
  }

  /**
   * Changes the build. `recipe` works on a draft; edits with the same `merge` key, one after the
   * other, are undone together.
   */
  function edit(label: string, recipe: (draft: Build) => void, merge: string | null = null): void {
    if (!build.value) return;
    const before = build.value;
    const [after, changes] = create(before, recipe, { enablePatches: true });
    if (changes.length === 0) return;
    const last = undoStack.value.at(-1);
    const joins = merge !== null && merging && last?.merge === merge;
    undoStack.value = joins
      ? [...undoStack.value.slice(0, -1), { ...last, after }]
      : [...undoStack.value.slice(-199), { label, merge, before, after }];
    redoStack.value = [];
    merging = true;
    build.value = after;
    take(label, merge !== null);
  }
  /** Ends a run of edits that would otherwise be undone as one. */
  function endRun(): void {
    merging = false;
  }

  /** Goes from one state of an edit to the other, whatever another window did beside it since. */
  function go(from: Build, to: Build, label: string): void {
    merging = false;
    const now = build.value!;
    const next = now === from ? to : mergeBuilds(from, now, to)?.value;
    if (!next) {
      notice.value = 'This cannot be taken back any more: another window changed what it rests on.';
      return;
    }
    build.value = next;
    take(label);
  }
  function undo(): void {
    const last = undoStack.value.at(-1);
    if (!last || !build.value) return;
    undoStack.value = undoStack.value.slice(0, -1);
    redoStack.value = [...redoStack.value, last];
    go(last.after, last.before, `Undo: ${last.label}`);
  }
  function redo(): void {
    const last = redoStack.value.at(-1);
    if (!last || !build.value) return;
    redoStack.value = redoStack.value.slice(0, -1);
    undoStack.value = [...undoStack.value, last];
    go(last.before, last.after, last.label);
  }
  /** Takes what the other window made of the things that both changed; an edit like any other. */
  function takeTheirs(): void {
    const met = clash.value;
    clash.value = null;
    if (!met || !build.value) return;
    const theirs = mergeBuilds(met.before, met.theirs, met.mine, 'theirs')?.value;
    const next = theirs && mergeBuilds(met.merged, build.value, theirs)?.value;
    if (next) edit('What the other window had', (draft) => void Object.assign(draft, plain(next)));
  }

  /** Writes what is not yet saved. Safe to call at any time; one write at a time, and done when all is kept. */
  async function flush(): Promise<void> {
    if (timer) clearTimeout(timer);
    timer = null;
    for (;;) {
      if (!running) {
        if (!unsaved || !build.value || saveState.value === 'gone') return;
        running = write().finally(() => (running = null));
      }
      // what failed is tried again later
      if (!(await running)) return;
    }
  }

  /** @returns false where it could not be written */
  async function write(): Promise<boolean> {
    const mine = build.value!;
    const before = base!;
    let theirs: Build | null = null;
    unsaved = false;
    try {
      const result = await saveBuild(
        mine,
        revision,
        (stored) => {
          theirs = stored;
          return plain(mergeBuilds(before, stored, mine)?.value ?? mine);
        },
        lastLabel,
      );
      if (result.kind === 'gone') {
        unsaved = true;
        saveState.value = 'gone';
        return false;
      }
      revision = result.stored.revision;
      base = theirs ? result.stored.build : mine;
      if (theirs) meet(before, theirs, mine, result.stored.build);
      if (!unsaved) saveState.value = 'saved';
      tell({ kind: 'build', id: mine.id, revision });
      if (mine.bench.notes !== learntFrom) {
        learntFrom = mine.bench.notes;
        void hand.load();
      }
      return true;
    } catch (error) {
      unsaved = true;
      saveState.value = 'failed';
      notice.value = `Not saved: ${error instanceof Error ? error.message : String(error)}. It is tried again; a file keeps it meanwhile.`;
      timer ??= setTimeout(() => void flush(), retryMs);
      return false;
    }
  }

  /** Saves what was left unsaved when another cake was opened. */
  async function saveStranded(): Promise<void> {
    for (const [id, { build: mine, base: before, revision: at }] of stranded)
      try {
        await saveBuild(
          mine,
          at,
          (stored) => plain(mergeBuilds(before, stored, mine)?.value ?? mine),
          lastLabel,
        );
        stranded.delete(id);
        tell({ kind: 'shelf' });
      } catch {
        setTimeout(() => void saveStranded(), retryMs);
        return;
      }
  }

  /** Shows both put together, with what was typed here since on top, and says where the two met. */
  function meet(before: Build, theirs: Build, mine: Build, stored: Build): void {
    build.value =
      build.value === mine
        ? stored
        : (mergeBuilds(mine, stored, build.value!)?.value ?? build.value);
    const merged = mergeBuilds(before, theirs, mine);
    if (!merged)
      notice.value =
        'Another window changed this cake in a way that does not go together with yours. Yours stands; its version is among the earlier ones.';
    else if (merged.clashes.length > 0)
      clash.value = { before, theirs, mine, merged: stored, places: merged.clashes };
  }

  /** Puts a cake that was taken off in another window back on the shelf, with what was typed since. */
  async function putBack(): Promise<void> {
    if (!base || !build.value) return;
    await restoreBuild({ id: base.id, revision, build: plain(base) });
    saveState.value = 'saving';
    tell({ kind: 'build', id: base.id, revision });
    tell({ kind: 'shelf' });
    if (unsaved) await flush();
    else saveState.value = 'saved';
  }

  listen((word) => {
    if (word.kind === 'removed' && word.id === build.value?.id) saveState.value = 'gone';
    if (word.kind === 'met' && word.id === build.value?.id) notice.value = metText(word);
    // it was asked for before it came
    if (word.kind === 'build' && missing.value && word.id === asked) return void open(asked);
    if (word.kind !== 'build' || word.id !== build.value?.id) return;
    if (saveState.value === 'gone') {
      // it is back, and what was typed here since comes on top
      saveState.value = unsaved ? 'saving' : 'saved';
      if (unsaved) return void flush();
    }
    if (word.revision <= revision) return;
    // with edits under way the save will merge them
    if (unsaved || running) return;
    void database.builds.get(word.id).then((stored) => {
      if (!stored || stored.id !== build.value?.id || unsaved || running) return;
      revision = stored.revision;
      base = stored.build;
      build.value = stored.build;
    });
  });

  // what could not be kept is not left without a word
  window.addEventListener('beforeunload', (event) => {
    if (saveState.value === 'failed' || stranded.size > 0) event.preventDefault();
  });
  // a page that is left, put away or closed takes nothing with it
  window.addEventListener('pagehide', () => void flush());
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') void flush();
  });

  return {
    build,
    cake,
    making,
    cautions,
    plan,
    cakeFault,
    planFault,
    corrections,
    missing,
    selected,
    saveState,
    notice,
    clash,
    undoStack,
    redoStack,
    open,
    edit,
    endRun,
    undo,
    redo,
    takeTheirs,
    putBack,
    flush,
  };
});
