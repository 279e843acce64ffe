import { stockToCount, type Build, type Step } from '@pyrgotect/core';
import { watch } from 'vue';
import { usePantry } from '../stores/pantry.ts';

/** Counts off in the pantry what a cake takes of things put away, as its steps are ticked and noted. */
export function useStockLedger(
  steps: () => Step[],
  done: () => ReadonlySet<string>,
  build: () => Build | null,
): void {
  const pantry = usePantry();
  watch(
    () => {
      const of = build();
      return of && pantry.loaded
        ? stockToCount(of.id, steps(), done(), of.bench, pantry.pantry.stock)
        : [];
    },
    (rows) => {
      if (rows.length > 0) void pantry.saveRows('stock', rows);
    },
    // what was ticked where the pantry could not be written is made good
    { immediate: true },
  );
}
