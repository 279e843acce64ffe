import type { Step } from '../bench/steps.ts';
import type { Bench } from '../document/types.ts';
import type { Stock } from '../pantry/types.ts';
import { withTaken } from './stock.ts';

/**
 * What a cake has taken of things put away, by their row: the steps that take it and are ticked off, with
 * what was counted or weighed there in place of what was planned. Rows that none of its steps is about
 * are not named.
 */
function takenAt(
  steps: readonly Step[],
  done: ReadonlySet<string>,
  bench: Bench,
): Map<string, number> {
  const taken = new Map<string, number>();
  for (const { key, stock } of steps) {
    if (!stock) continue;
    const noted = bench.notes.findLast(
      ({ stepKey, kind, value }) =>
        stepKey === key && value !== null && (kind === 'count' || kind === 'mass'),
    )?.value;
    const amount = done.has(key) ? (noted ?? stock.amount) : 0;
    taken.set(stock.rowId, (taken.get(stock.rowId) ?? 0) + amount);
  }
  return taken;
}

/** Rows that no longer say what a cake took of them, as they should be. A second time there are none. */
export function stockToCount(
  buildId: string,
  steps: readonly Step[],
  done: ReadonlySet<string>,
  bench: Bench,
  stock: readonly Stock[],
): Stock[] {
  return [...takenAt(steps, done, bench)].flatMap(([rowId, amount]) => {
    const row = stock.find(({ id }) => id === rowId);
    const known = row?.taken.find((one) => one.buildId === buildId)?.amount ?? 0;
    return row && known !== amount ? [withTaken(row, buildId, amount)] : [];
  });
}
