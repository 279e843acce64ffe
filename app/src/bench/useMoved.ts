import { movedSince, type Moved, type MovedBySteps, type Step } from '@pyrgotect/core';
import { computed, shallowRef, watch, type ComputedRef } from 'vue';
import { announce } from '../parts/announce.ts';

/** What is another amount now than when the bench showed it: an edit at the desk, or here. It is seen with its step. */
export function useMoved(
  steps: () => Step[],
  done: () => ReadonlySet<string>,
  now: () => Step | null,
  ofBuild: () => string | undefined,
): ComputedRef<readonly Moved[]> {
  const marked = shallowRef<MovedBySteps>(new Map());
  watch(ofBuild, () => (marked.value = new Map()));
  watch(steps, (after, before) => {
    if (before.length === 0) return;
    marked.value = movedSince(before, after, marked.value, done());
  });
  const here = computed(() => marked.value.get(now()?.key ?? '') ?? []);
  watch(
    () => here.value.length,
    (count, before) => {
      if (count > before) announce('An amount of this step has changed.');
    },
  );
  return here;
}
