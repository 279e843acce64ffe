import { wrap, type Remote } from 'comlink';
import { onScopeDispose, ref, shallowRef, watch, type ShallowRef } from 'vue';
import type { Solver } from './solve.worker.ts';

let remote: Remote<Solver> | null = null;
const solver = (): Remote<Solver> => {
  remote ??= wrap<Solver>(
    new Worker(new URL('./solve.worker.ts', import.meta.url), { type: 'module' }),
  );
  return remote;
};

export interface Answer<A> {
  answer: ShallowRef<A | null>;
  /** False while the answer is still that to an older question: it may be shown, not acted on. */
  current: ShallowRef<boolean>;
  /** Share of the work that is done, 0 to 1; null when nothing is being worked out. */
  progress: ShallowRef<number | null>;
}

/**
 * Keeps the answer to a question that may change at any time: it is asked of the worker again when
 * it does, and an answer to an older question is dropped.
 */
export function useAnswer<Q, A>(
  question: () => Q | null,
  ask: (solver: Remote<Solver>, question: Q, progress: (share: number) => void) => Promise<A>,
): Answer<A> {
  const answer = shallowRef<A | null>(null);
  const current = ref(false);
  const progress = ref<number | null>(null);
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
    const found = await ask(solver(), JSON.parse(text) as Q, (share) => {
      // word of progress comes by another way and may come after the answer
      if (mine === latest && !done) progress.value = share;
    });
    done = true;
    if (mine !== latest) return;
    answer.value = found;
    current.value = true;
    progress.value = null;
  };
  watch(
    () => JSON.stringify(question()),
    (text) => {
      clearTimeout(timer);
      current.value = false;
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
  return { answer, current, progress };
}
