import type { DayTask } from './types.ts';
import { lengthOf } from './usage.ts';

/** A result that waits longer than it keeps: the task that takes it, what made it, and by how much, min. */
export interface Late {
  id: string;
  after: string;
  byMin: number;
}

/**
 * How good a plan of the days is (docs/model.md#the-day), the first level before the second and so on:
 * nothing waits longer than it keeps; what keeps for hours only waits least; it begins late; in few
 * stretches of work; everything close together. Minutes.
 */
export interface Levels {
  lateMin: number;
  freshMin: number;
  spanMin: number;
  sessions: number;
  waitedMin: number;
}

/** What keeps no longer than this is to wait as little as can be, min. */
export const shortKeepsMin = 240;
/** Plans nearer to each other than this are equal on their level, min. */
export const bands = { freshMin: 10, spanMin: 120 } as const;
/** Hands off for longer than this is the end of a stretch of work, min. */
export const pauseMin = 180;

/** How long results wait beyond what they keep. */
export function lateOf(tasks: readonly DayTask[], starts: ReadonlyMap<string, number>): Late[] {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  return tasks.flatMap((task) =>
    task.after.flatMap(({ id, mostMin }) => {
      const before = byId.get(id);
      if (!before || mostMin === null) return [];
      const waited = starts.get(task.id)! - (starts.get(id)! + lengthOf(before));
      return waited > mostMin + 1e-6 ? [{ id: task.id, after: id, byMin: waited - mostMin }] : [];
    }),
  );
}

export const spanOf = (starts: ReadonlyMap<string, number>): number =>
  -Math.min(0, ...starts.values());

/** Results that keep short, what takes them, and how long they wait. */
const shortWaits = (
  tasks: readonly DayTask[],
  starts: ReadonlyMap<string, number>,
): { madeId: string; waitMin: number }[] => {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  return tasks.flatMap((task) =>
    task.after.flatMap(({ id, mostMin }) => {
      const made = byId.get(id);
      if (!made || mostMin === null || mostMin > shortKeepsMin) return [];
      const waitMin = starts.get(task.id)! - (starts.get(id)! + lengthOf(made));
      return waitMin > 0 ? [{ madeId: id, waitMin }] : [];
    }),
  );
};

/** What keeps short and waits all the same, the longest first. */
export const waitingShort = (
  tasks: readonly DayTask[],
  starts: ReadonlyMap<string, number>,
): string[] =>
  shortWaits(tasks, starts)
    .sort((a, b) => b.waitMin - a.waitMin)
    .map(({ madeId }) => madeId);

/** The levels of a plan, from the starts of its tasks. */
export function levelsOf(tasks: readonly DayTask[], starts: ReadonlyMap<string, number>): Levels {
  const freshMin = shortWaits(tasks, starts).reduce((sum, { waitMin }) => sum + waitMin, 0);
  const hands = tasks
    .flatMap(({ id, handsMin, waitMin, again }) => {
      const at = starts.get(id)!;
      const back = at + handsMin + waitMin;
      return [
        ...(handsMin > 0 ? [{ from: at, to: at + handsMin }] : []),
        ...(again && again.handsMin > 0 ? [{ from: back, to: back + again.handsMin }] : []),
      ];
    })
    .sort((a, b) => a.from - b.from);
  let sessions = 0;
  let busyTo = -Infinity;
  for (const { from, to } of hands) {
    if (from - busyTo > pauseMin) sessions += 1;
    busyTo = Math.max(busyTo, to);
  }
  return {
    lateMin: lateOf(tasks, starts).reduce((sum, { byMin }) => sum + byMin, 0),
    freshMin,
    spanMin: spanOf(starts),
    sessions,
    waitedMin: [...starts.values()].reduce((sum, start) => sum - start, 0),
  };
}

/** Levels as they are compared: within a band the next one decides, and the exact span at the end. */
const ranked = ({ lateMin, freshMin, spanMin, sessions, waitedMin }: Levels): number[] => [
  Math.round(lateMin * 1e3),
  Math.floor(freshMin / bands.freshMin + 1e-6),
  Math.floor(spanMin / bands.spanMin + 1e-6),
  sessions,
  // as late as can be, for freshness
  spanMin + 0.02 * waitedMin,
];

/** Below 0 where the first plan is better, above 0 where the second is, by the first level that differs. */
export function compareLevels(a: Levels, b: Levels): number {
  const [first, second] = [ranked(a), ranked(b)];
  for (const [i, x] of first.entries()) {
    const by = x - second[i]!;
    if (Math.abs(by) > 1e-9) return by;
  }
  return 0;
}
