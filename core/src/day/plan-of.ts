import { lateOf, levelsOf, spanOf } from './levels.ts';
import type { Follower } from './order.ts';
import { placeBackward } from './place.ts';
import type { DayPlan, DayQuestion } from './plan-types.ts';
import { proofOf } from './proof.ts';
import type { DayTask, Placed, Resource } from './types.ts';
import { handsOf, inHours, lengthOf, spansOf, Usage } from './usage.ts';

/** A plan from the starts that were found, with how far each task can move and which set the start. */
export function planOf(
  question: DayQuestion,
  order: readonly DayTask[],
  followers: ReadonlyMap<string, Follower[]>,
  starts: ReadonlyMap<string, number>,
  boundMin: number,
  rounds: number,
  ranks: ReadonlyMap<string, number>,
  caps: ReadonlyMap<string, number>,
): DayPlan {
  const { tasks, windows, capacity } = question;
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const slack: DayPlan['slack'] = {};
  for (const task of order) {
    const usage = new Map<Resource, Usage>();
    for (const other of order) {
      if (other === task) continue;
      for (const span of spansOf(other, starts.get(other.id)!)) {
        const own = usage.get(span.resource) ?? new Usage();
        own.add(span.from, span.to, span.amount);
        usage.set(span.resource, own);
      }
    }
    const start = starts.get(task.id)!;
    const fits = (at: number): boolean =>
      inHours(windows, task, at) === at &&
      spansOf(task, at).every(
        (span) =>
          (usage
            .get(span.resource)
            ?.clash(span.from, span.to, span.amount, capacity[span.resource]) ?? 0) === 0,
      );
    let latest = (task.dueMin ?? 0) - lengthOf(task);
    for (const { task: after, leastMin } of followers.get(task.id) ?? [])
      latest = Math.min(latest, starts.get(after.id)! - leastMin - lengthOf(task));
    let earliest = -spanOf(starts);
    for (const { id, leastMin } of task.after) {
      const before = byId.get(id);
      if (before) earliest = Math.max(earliest, starts.get(id)! + lengthOf(before) + leastMin);
    }
    const reach = (to: number, by: number): number => {
      let at = start;
      while ((by > 0 ? at + by <= to : at + by >= to) && fits(at + by)) at += by;
      return Math.abs(at - start);
    };
    slack[task.id] = { earlierMin: reach(earliest, -5), laterMin: reach(latest, 5) };
  }
  const levels = levelsOf(tasks, starts);
  const placed = order
    .map((task): Placed => {
      const startMin = starts.get(task.id)!;
      return {
        id: task.id,
        startMin,
        handsEndMin: startMin + task.handsMin,
        againMin: task.again ? startMin + task.handsMin + task.waitMin : null,
        endMin: startMin + lengthOf(task),
      };
    })
    .sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin);
  return {
    placed,
    spanMin: spanOf(starts),
    boundMin,
    gapShare: boundMin > 0 ? spanOf(starts) / boundMin - 1 : 0,
    handsMin: tasks.reduce((sum, task) => sum + handsOf(task), 0),
    late: lateOf(tasks, starts),
    levels,
    proof: proofOf(tasks, windows, capacity, levels, boundMin),
    slack,
    moved: tasks.flatMap(({ id, pinMin }) =>
      pinMin !== undefined && Math.abs(starts.get(id)! - pinMin) > 0.5
        ? [{ id, wantedMin: pinMin, startMin: starts.get(id)! }]
        : [],
    ),
    critical: criticalOf(order, followers, ranks, caps, question, spanOf(starts), slack),
    rounds,
  };
}

/** Tasks that make the whole longer when each by itself takes so much longer, min. */
const longerMin = 15;
function criticalOf(
  order: readonly DayTask[],
  followers: ReadonlyMap<string, Follower[]>,
  ranks: ReadonlyMap<string, number>,
  caps: ReadonlyMap<string, number>,
  question: DayQuestion,
  spanMin: number,
  slack: DayPlan['slack'],
): string[] {
  const lengthens = (task: DayTask, longer: DayTask): boolean => {
    const swap = (one: DayTask): DayTask => (one === task ? longer : one);
    const changed = new Map(
      [...followers].map(([id, all]): [string, Follower[]] => [
        id,
        all.map((one) => ({ ...one, task: swap(one.task) })),
      ]),
    );
    const tried = placeBackward(order.map(swap), changed, ranks, question, caps);
    return !(tried instanceof Map) || spanOf(tried) > spanMin + 1;
  };
  return order.flatMap((task) => {
    // what has room before it takes that first
    if (slack[task.id]!.earlierMin >= longerMin) return [];
    const longer =
      task.handsMin > 0
        ? { ...task, handsMin: task.handsMin + longerMin }
        : { ...task, waitMin: task.waitMin + longerMin };
    return lengthens(task, longer) ? [task.id] : [];
  });
}
