import type { Window } from './hours.ts';
import type { Follower } from './order.ts';
import type { DayQuestion } from './plan-types.ts';
import type { DayTask, Resource } from './types.ts';
import { inHours, lengthOf, spansOf, Usage } from './usage.ts';

/** Latest starts that are wanted of some tasks; none. */
export const noCaps: ReadonlyMap<string, number> = new Map();

/**
 * Every task as late as it can be, in the order of `ranks`: those come first whose followers are all
 * placed, the highest rank of them. One that is capped begins no later than that. The task that finds
 * no place, where one does not.
 */
export function placeBackward(
  order: readonly DayTask[],
  followers: ReadonlyMap<string, Follower[]>,
  ranks: ReadonlyMap<string, number>,
  { windows, capacity }: DayQuestion,
  caps: ReadonlyMap<string, number> = noCaps,
): Map<string, number> | { id: string } {
  const usage = new Map<Resource, Usage>();
  const starts = new Map<string, number>();
  const open = new Map(order.map((task) => [task.id, (followers.get(task.id) ?? []).length]));
  const byId = new Map(order.map((task) => [task.id, task]));
  const ready = order.filter((task) => open.get(task.id) === 0);
  const earliestWindow = windows.at(-1)?.fromMin ?? 0;
  while (ready.length > 0) {
    let best = 0;
    for (let i = 1; i < ready.length; i++)
      if (ranks.get(ready[i]!.id)! > ranks.get(ready[best]!.id)!) best = i;
    const [task] = ready.splice(best, 1);
    const start = latestPlace(task!, followers.get(task!.id) ?? []);
    if (start === null) return { id: task!.id };
    starts.set(task!.id, start);
    for (const span of spansOf(task!, start)) {
      const own = usage.get(span.resource) ?? new Usage();
      own.add(span.from, span.to, span.amount);
      usage.set(span.resource, own);
    }
    for (const { id } of task!.after) {
      const before = byId.get(id);
      if (!before) continue;
      const left = open.get(id)! - 1;
      open.set(id, left);
      if (left === 0) ready.push(before);
    }
  }
  return starts;

  function latestPlace(task: DayTask, next: readonly Follower[]): number | null {
    let end = task.dueMin ?? 0;
    for (const { task: follower, leastMin } of next)
      end = Math.min(end, starts.get(follower.id)! - leastMin);
    let start = Math.min(end - lengthOf(task), task.pinMin ?? 0, caps.get(task.id) ?? 0);
    for (let turn = 0; turn < 2000; turn++) {
      const within = inHours(windows, task, start);
      if (within === null) return null;
      start = within;
      let back = 0;
      for (const span of spansOf(task, start)) {
        const own = usage.get(span.resource);
        if (span.amount > capacity[span.resource]) return null;
        if (own)
          back = Math.max(
            back,
            own.clash(span.from, span.to, span.amount, capacity[span.resource]),
          );
      }
      if (back === 0) return start;
      start -= back;
      if (start < earliestWindow - 40_000) return null;
    }
    return null;
  }
}

/** Latest starts when only what waits for what and the working hours count: no plan starts a task later. */
export function latestStarts(
  order: readonly DayTask[],
  followers: ReadonlyMap<string, Follower[]>,
  windows: readonly Window[],
): Map<string, number> | { id: string } {
  const starts = new Map<string, number>();
  for (const task of [...order].reverse()) {
    let end = task.dueMin ?? 0;
    for (const { task: next, leastMin } of followers.get(task.id) ?? [])
      end = Math.min(end, starts.get(next.id)! - leastMin);
    const start = inHours(windows, task, Math.min(end - lengthOf(task), task.pinMin ?? 0));
    if (start === null) return { id: task.id };
    starts.set(task.id, start);
  }
  return starts;
}
