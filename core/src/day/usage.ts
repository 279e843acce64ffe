import type { Window } from './hours.ts';
import type { DayTask, Resource } from './types.ts';

/** The latest time at which so many minutes lie within one window and end by `endMin`; null where none. */
export function latestWithin(
  windows: readonly Window[],
  minutes: number,
  endMin: number,
): number | null {
  for (const one of windows) {
    const end = Math.min(one.toMin, endMin);
    if (end - minutes >= one.fromMin) return end - minutes;
  }
  return null;
}

/** What is used of one resource, as steps up and down in time. */
export class Usage {
  private readonly spans: { from: number; to: number; amount: number }[] = [];
  /** The latest shift to the left, 0 or more, after which a span finds room. */
  clash(from: number, to: number, amount: number, most: number): number {
    if (to <= from) return 0;
    const over = this.spans.filter((one) => one.from < to && one.to > from);
    const edges = [from, ...over.map((one) => one.from).filter((at) => at > from && at < to)];
    let blocker = Infinity;
    for (const at of edges) {
      const now = over.filter((one) => one.from <= at && one.to > at);
      if (now.reduce((sum, one) => sum + one.amount, 0) + amount <= most + 1e-9) continue;
      // end before the earliest of those that stand in the way begins
      blocker = Math.min(blocker, ...now.map((one) => one.from));
    }
    return blocker === Infinity ? 0 : Math.max(1e-9, to - blocker);
  }
  add(from: number, to: number, amount: number): void {
    if (to > from) this.spans.push({ from, to, amount });
  }
}

/** How long a task takes, hands and waiting. */
export const lengthOf = ({ handsMin, waitMin, again }: DayTask): number =>
  handsMin + waitMin + (again ? again.handsMin + again.waitMin : 0);
/** Minutes of hands in a task. */
export const handsOf = ({ handsMin, again }: DayTask): number => handsMin + (again?.handsMin ?? 0);

/** The latest start at or before `start` with all its hands in working hours; null where none. */
export function inHours(windows: readonly Window[], task: DayTask, start: number): number | null {
  let now = start;
  for (let turn = 0; turn < 200; turn++) {
    const first =
      task.handsMin > 0 ? latestWithin(windows, task.handsMin, now + task.handsMin) : now;
    if (first === null) return null;
    now = first;
    if (!task.again || task.again.handsMin === 0) return now;
    const wanted = now + task.handsMin + task.waitMin;
    const second = latestWithin(windows, task.again.handsMin, wanted + task.again.handsMin);
    if (second === null) return null;
    if (second >= wanted - 1e-9) return now;
    now -= wanted - second;
  }
  return null;
}

/** What a task takes from when to when, if it begins at `start`. */
export const spansOf = (
  task: DayTask,
  start: number,
): { resource: Resource; from: number; to: number; amount: number }[] => {
  const hands = start + task.handsMin;
  const end = hands + task.waitMin;
  return [
    ...(task.handsMin > 0
      ? [{ resource: 'hands' as const, from: start, to: hands, amount: 1 }]
      : []),
    ...(task.again && task.again.handsMin > 0
      ? [{ resource: 'hands' as const, from: end, to: end + task.again.handsMin, amount: 1 }]
      : []),
    ...task.uses.map(({ resource, amount, when, leadMin = 0 }) => ({
      resource,
      from: when === 'wait' ? hands - leadMin : start,
      to: when === 'hands' ? hands : end,
      amount,
    })),
  ];
};
