import type { Window } from './hours.ts';
import { bands, pauseMin, shortKeepsMin, type Levels } from './levels.ts';
import type { Capacity, DayTask } from './types.ts';
import { handsOf } from './usage.ts';

/**
 * What no plan of the days can be better than, level by level (docs/model.md#the-day): `value` is this
 * plan's, `bound` the least there can be. Minutes, or stretches of work.
 */
export interface LevelProof {
  value: number;
  bound: number;
  /** How much better a plan could be at most. */
  over: number;
  /** Nothing better can be found: they are equal, or as near as plans are told apart. */
  isProved: boolean;
}
export interface Proof {
  late: LevelProof;
  fresh: LevelProof;
  begin: LevelProof;
  sessions: LevelProof;
}

const proved = (value: number, bound: number, bandMin: number): LevelProof => ({
  value,
  bound,
  over: Math.max(0, value - bound),
  isProved: value <= bound + bandMin + 1e-6,
});

/** What must wait at least so long and may at most wait less is too late in every plan. */
const leastLate = (tasks: readonly DayTask[]): number =>
  tasks
    .flatMap(({ after }) =>
      after.map(({ leastMin, mostMin }) =>
        mostMin === null ? 0 : Math.max(0, leastMin - mostMin),
      ),
    )
    .reduce((sum, min) => sum + min, 0);

/**
 * Least minutes that what keeps short must wait: its own least wait; and where one pair of hands makes
 * several things for one task, each waits while the later ones are made, the longest made first.
 */
function leastFresh(tasks: readonly DayTask[], hands: number): number {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const counted = new Set<string>();
  let sum = 0;
  for (const task of tasks) {
    const short = task.after.filter(
      ({ id, mostMin }) => mostMin !== null && mostMin <= shortKeepsMin && byId.has(id),
    );
    const least = short.reduce((all, { leastMin }) => all + Math.max(0, leastMin), 0);
    // made by hand to the last minute; what is counted for one task is not counted for another
    const byHand = short
      .map(({ id }) => byId.get(id)!)
      .filter(({ id, waitMin, again }) => waitMin === 0 && again === null && !counted.has(id))
      .map(({ id, handsMin }) => ({ id, handsMin }))
      .sort((a, b) => b.handsMin - a.handsMin);
    const inTurn = hands === 1 ? byHand.reduce((all, { handsMin }, i) => all + i * handsMin, 0) : 0;
    if (inTurn > least) for (const { id } of byHand) counted.add(id);
    sum += Math.max(least, inTurn);
  }
  return sum;
}

/** Least stretches of work: as many of the longest runs of hours as all hands-on minutes fill. */
function leastSessions(
  tasks: readonly DayTask[],
  windows: readonly Window[],
  people: number,
): number {
  let left = tasks.reduce((sum, task) => sum + handsOf(task), 0) / Math.max(1, people);
  if (left <= 0) return 0;
  const runs: { fromMin: number; toMin: number }[] = [];
  for (const one of [...windows].sort((a, b) => a.fromMin - b.fromMin)) {
    const last = runs.at(-1);
    if (last && one.fromMin - last.toMin <= pauseMin) last.toMin = Math.max(last.toMin, one.toMin);
    else runs.push({ fromMin: one.fromMin, toMin: one.toMin });
  }
  const lengths = runs.map(({ fromMin, toMin }) => toMin - fromMin).sort((a, b) => b - a);
  let count = 0;
  for (const length of lengths) {
    if (left <= 1e-6) break;
    left -= length;
    count += 1;
  }
  return Math.max(1, count);
}

/** How near a plan is to the best there can be, on each level that is told apart. */
export function proofOf(
  tasks: readonly DayTask[],
  windows: readonly Window[],
  capacity: Capacity,
  levels: Levels,
  boundMin: number,
): Proof {
  return {
    late: proved(levels.lateMin, leastLate(tasks), 0),
    fresh: proved(levels.freshMin, leastFresh(tasks, capacity.hands), bands.freshMin),
    begin: proved(levels.spanMin, boundMin, 0.02 * boundMin),
    sessions: proved(levels.sessions, leastSessions(tasks, windows, capacity.hands), 0),
  };
}
