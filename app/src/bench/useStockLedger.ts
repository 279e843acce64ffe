import { stockToCount, type Build, type Step } from '@pyrgotect/core';
import { computed, ref, watch, type ComputedRef } from 'vue';
import { usePantry } from '../stores/pantry.ts';

/**
 * Counts off in the pantry what a cake takes of things put away, as its steps are ticked and noted.
 *
 * @returns whether some of it is still to be written
 */
export function useStockLedger(
  steps: () => Step[],
  done: () => ReadonlySet<string>,
  build: () => Build | null,
): ComputedRef<boolean> {
  const pantry = usePantry();
  const writing = ref(0);
  const rows = computed(() => {
    const of = build();
    return of && pantry.loaded
      ? stockToCount(of.id, steps(), done(), of.bench, pantry.pantry.stock)
      : [];
  });
  watch(
    rows,
    async (toWrite) => {
      if (toWrite.length === 0) return;
      writing.value += 1;
      try {
        await pantry.saveRows('stock', toWrite);
      } finally {
        writing.value -= 1;
      }
    },
    // what was ticked where the pantry could not be written is made good
    { immediate: true },
  );
  return computed(() => writing.value > 0);
}
