import type { Remote } from 'comlink';
import { onScopeDispose, ref, shallowRef, watch, type ShallowRef } from 'vue';
import type { Solver } from './solve.worker.ts';
import { Watched } from './watched.ts';

const solver = new Watched<Solver>(
  () => new Worker(new URL('./solve.worker.ts', import.meta.url), { type: 'module' }),
);

/** Asks the worker one thing, once. @throws NoAnswer where it gives none */
export const askSolver = <A>(work: (solver: Remote<Solver>) => Promise<A>): Promise<A> =>
  solver.ask((remote) => work(remote));

/** Tells how far the work is, and what is known first; false where nobody waits for its end any more. */
export type Progress<A> = (share: number, first?: A) => boolean;

export interface Answer<A> {
  answer: ShallowRef<A | null>;
  /** False while the answer is still that to an older question: it may be shown, not acted on. */
  current: ShallowRef<boolean>;
  /** Share of the work that is done, 0 to 1; null when nothing is being worked out. */
  progress: ShallowRef<number | null>;
  /** Why there is no answer, in words; null where there is one or it is being worked out. */
  trouble: ShallowRef<string | null>;
  /** Asks once more. */
  again: () => void;
}

/**
 * Keeps the answer to a question that may change at any time: it is asked of the worker again when
 * it does, and an answer to an older question is dropped. What is known first is shown while the rest is
 * worked out, as one that is not current.
 */
export function useAnswer<Q, A>(
  question: () => Q | null,
  ask: (solver: Remote<Solver>, question: Q, progress: Progress<A>) => Promise<A | null>,
): Answer<A> {
  const answer = shallowRef<A | null>(null);
  const current = ref(false);
  const progress = ref<number | null>(null);
  const trouble = ref<string | null>(null);
  let latest = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const run = async (text: string): Promise<void> => {
    const mine = ++latest;
    if (text === 'null') {
      answer.value = null;
      progress.value = null;
      return;
    }
    progress.value = 0;
    let done = false;
    try {
      const found = await solver.ask(
        (remote, pulse) =>
          ask(remote, JSON.parse(text) as Q, (share, first) => {
            pulse();
            // word of progress comes by another way and may come after the answer
            if (mine !== latest || done) return false;
            trouble.value = null;
            progress.value = share;
            if (first !== undefined) answer.value = first;
            return true;
          }),
        (why) => {
          if (mine === latest) trouble.value = why;
        },
      );
      // one that nobody waits for any more gives nothing
      if (mine !== latest || found === null) return;
      trouble.value = null;
      answer.value = found;
      current.value = true;
    } catch (error) {
      if (mine !== latest) return;
      trouble.value = error instanceof Error ? error.message : String(error);
    } finally {
      done = true;
      if (mine === latest) progress.value = null;
    }
  };
  const again = (): void => {
    // what says nothing would keep the next question waiting as well
    if (progress.value !== null) {
      latest += 1;
      solver.giveUp();
    }
    trouble.value = null;
    void run(JSON.stringify(question()));
  };
  watch(
    () => JSON.stringify(question()),
    (text) => {
      clearTimeout(timer);
      current.value = false;
      trouble.value = null;
      // one that is still under way answers what is no longer asked
      latest += 1;
      timer = setTimeout(() => void run(text), answer.value === null ? 0 : 60);
    },
    { immediate: true },
  );
  onScopeDispose(() => {
    clearTimeout(timer);
    latest += 1;
  });
  return { answer, current, progress, trouble, again };
}
