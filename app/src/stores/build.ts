import {
  correctionsFor,
  planBuild,
  planCake,
  planMaking,
  sortCautions,
  type Build,
  type CakePlan,
  type MakingPlan,
  type Plan,
} from '@pyrgotect/core';
import { apply, create, type Patches } from 'mutative';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { whenIdle } from './when-idle.ts';
import { saveBuild } from '../storage/builds.ts';
import { mergeEdits } from '../storage/merge-edits.ts';
import { listen, tell } from '../storage/channel.ts';
import { database } from '../storage/database.ts';
import { useCarvings } from './carvings.ts';
import { useHand } from './hand.ts';
import { usePantry } from './pantry.ts';

interface Edit {
  label: string;
  /** Edits that follow each other with the same key become one undo step. */
  merge: string | null;
  forward: Patches[];
  backward: Patches[];
}

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
  const saveState = ref<'saved' | 'saving' | 'failed'>('saved');
  const notice = ref<string | null>(null);
  const undoStack = shallowRef<Edit[]>([]);
  const redoStack = shallowRef<Edit[]>([]);
  /** What the records do to the plan; a finished build keeps what they did to it then. */
  const corrections = computed(() =>
    build.value ? correctionsFor(build.value, hand.corrections) : hand.corrections,
  );
  /** What the cake is and how it stands: what an edit shows at once. */
  const cake = computed<CakePlan | null>(() =>
    build.value ? planCake(build.value, pantry.pantry, carvings.answerTo, corrections.value) : null,
  );
  /** The whole plan, for who asks: bench, day, prints, price. */
  const plan = computed<Plan | null>(() =>
    build.value
      ? planBuild(build.value, pantry.pantry, carvings.answerTo, corrections.value)
      : null,
  );
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
  let unsaved: Patches[] = [];
  let lastLabel = '';
  let timer: ReturnType<typeof setTimeout> | null = null;
  let running: Promise<boolean> | null = null;
  let merging = false;
  /** Notes that the hand has learnt from. */
  let learntFrom: Build['bench']['notes'] | null = null;

  async function open(id: string): Promise<void> {
    await flush();
    // an edit without a key closes the previous undo step
    merging = false;
    if (build.value?.id !== id) {
      build.value = null;
      making.value = null;
      selected.value = null;
    }
    await hand.ready();
    const stored = await database.builds.get(id);
    missing.value = !stored;
    if (!stored) return;
    if (build.value?.id === id && revision === stored.revision) return;
    revision = stored.revision;
    build.value = stored.build;
    learntFrom = stored.build.bench.notes;
    undoStack.value = [];
    redoStack.value = [];
    saveState.value = 'saved';
  }

  /** Only what goes on, such as a drag, waits for more of its kind before it is saved. */
  function take(patches: Patches, label: string, goesOn = false): void {
    unsaved.push(patches);
    lastLabel = label;
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
    const [next, forward, backward] = create(build.value, recipe, { enablePatches: true });
    if (forward.length === 0) return;
    const last = undoStack.value.at(-1);
    const joins = merge !== null && merging && last?.merge === merge;
    if (joins) {
      last.forward.push(forward);
      last.backward.unshift(backward);
    } else
      undoStack.value = [
        ...undoStack.value.slice(-199),
        { label, merge, forward: [forward], backward: [backward] },
      ];
    redoStack.value = [];
    merging = true;
    build.value = next;
    take(forward, label, merge !== null);
  }
  /** Ends a run of edits that would otherwise be undone as one. */
  function endRun(): void {
    merging = false;
  }

  function replay(patches: Patches[], label: string): void {
    merging = false;
    for (const each of patches) {
      build.value = apply(build.value!, each);
      take(each, label);
    }
  }
  function undo(): void {
    const last = undoStack.value.at(-1);
    if (!last || !build.value) return;
    undoStack.value = undoStack.value.slice(0, -1);
    redoStack.value = [...redoStack.value, last];
    replay(last.backward, `Undo: ${last.label}`);
  }
  function redo(): void {
    const last = redoStack.value.at(-1);
    if (!last || !build.value) return;
    redoStack.value = redoStack.value.slice(0, -1);
    undoStack.value = [...undoStack.value, last];
    replay(last.forward, last.label);
  }

  /** Writes what is not yet saved. Safe to call at any time; one write at a time, and done when all is kept. */
  async function flush(): Promise<void> {
    if (timer) clearTimeout(timer);
    timer = null;
    for (;;) {
      if (!running) {
        if (unsaved.length === 0 || !build.value) return;
        running = write().finally(() => (running = null));
      }
      // what failed is tried again later
      if (!(await running)) return;
    }
  }

  /** @returns false where it could not be written */
  async function write(): Promise<boolean> {
    const edits = unsaved;
    unsaved = [];
    const from = build.value!;
    try {
      const result = await saveBuild(from, revision, (onto) => mergeEdits(onto, edits), lastLabel);
      if (result.kind === 'gone') {
        missing.value = true;
        return true;
      }
      revision = result.stored.revision;
      if (result.kind === 'conflict') {
        adopt(result.stored.build);
        notice.value =
          'Another window changed the same part. Its version is shown; your last edit was not kept.';
      } else if (result.rebased) adopt(result.stored.build);
      if (unsaved.length === 0) saveState.value = 'saved';
      tell({ kind: 'build', id: from.id, revision });
      if (from.bench.notes !== learntFrom) {
        learntFrom = from.bench.notes;
        void hand.load();
      }
      return true;
    } catch (error) {
      unsaved = [...edits, ...unsaved];
      saveState.value = 'failed';
      notice.value = `Not saved: ${error instanceof Error ? error.message : String(error)}. Export the build to keep it.`;
      timer ??= setTimeout(() => void flush(), 3000);
      return false;
    }
  }

  /** Shows what another window saved, with edits made here since put on top. */
  function adopt(stored: Build): void {
    let next = stored;
    try {
      for (const patches of unsaved) next = apply(next, patches);
    } catch {
      unsaved = [];
    }
    build.value = next;
    undoStack.value = [];
    redoStack.value = [];
  }

  listen((word) => {
    if (word.kind !== 'build' || word.id !== build.value?.id || word.revision <= revision) return;
    // with edits under way the save will merge them
    if (unsaved.length > 0 || running) return;
    void database.builds.get(word.id).then((stored) => {
      if (!stored || stored.id !== build.value?.id || unsaved.length > 0) return;
      revision = stored.revision;
      adopt(stored.build);
    });
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
    corrections,
    missing,
    selected,
    saveState,
    notice,
    undoStack,
    redoStack,
    open,
    edit,
    endRun,
    undo,
    redo,
    flush,
  };
});
