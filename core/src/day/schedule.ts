import { randomFrom } from '../working/random.ts';
import { latestFor, type Window } from './hours.ts';
import { followersOf, inOrder, type Follower } from './order.ts';
import type { Capacity, DayTask, Placed, Resource } from './types.ts';
import { handsOf, inHours, lengthOf, spansOf, Usage } from './usage.ts';

/** A plan of the days, with how good it is known to be. Minutes. */
export interface DayPlan {
  placed: Placed[];
  /** From the first hand laid on to the deadline. */
  spanMin: number;
  /** No plan can begin later than this before the deadline. */
  boundMin: number;
  /** How much longer than that it is, as a share. */
  gapShare: number;
  /** Hands-on time of all tasks. */
  handsMin: number;
  /** Times a result waits longer than it keeps: by task and what came before, and by how much. */
  late: { id: string; after: string; byMin: number }[];
  /** How far each task can move earlier or later by itself, the others standing still. */
  slack: Record<string, { earlierMin: number; laterMin: number }>;
  /** Tasks that could not begin when they were wanted to, and when they do. */
  moved: { id: string; wantedMin: number; startMin: number }[];
  /** Tasks that would make the whole longer if they took longer. */
  critical: string[];
  rounds: number;
}

export type DayAnswer =
  | { ok: true; plan: DayPlan }
  | { ok: false; why: 'loop'; ids: string[] }
  | { ok: false; why: 'too little time'; id: string; neededMin: number }
  | { ok: false; why: 'no hours' }
  | { ok: false; why: 'no room'; id: string; resource: Resource };

/** What is asked of the scheduler. */
export interface DayQuestion {
  tasks: DayTask[];
  windows: Window[];
  capacity: Capacity;
  seed: number;
  /** Rounds of improvement. */
  rounds: number;
}

/**
 * Every task as late as it can be, in the order of `ranks`: those come first whose followers are all
 * placed, the highest rank of them. Null where one finds no place.
 */
function placeBackward(
  order: readonly DayTask[],
  followers: ReadonlyMap<string, Follower[]>,
  ranks: ReadonlyMap<string, number>,
  { windows, capacity }: DayQuestion,
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
    let start = Math.min(end - lengthOf(task), task.pinMin ?? 0);
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
function latestStarts(
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

/** How long results wait beyond what they keep. */
function lateOf(tasks: readonly DayTask[], starts: ReadonlyMap<string, number>): DayPlan['late'] {
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

const spanOf = (starts: ReadonlyMap<string, number>): number => -Math.min(0, ...starts.values());

/**
 * Plans backward from the deadline (docs/model.md#the-day): every task as late as what follows it, the
 * hours of work and what there is of each resource let it, so that everything is as fresh as it can
 * be. Which of several ready tasks is placed first decides how good that gets: it begins with the
 * one that has most before it, then tries changed orders, keeping what is better, for so many rounds.
 * Pure: the same question and seed give the same plan.
 *
 * @returns why there is no plan where there is none
 */
export function scheduleDay(
  question: DayQuestion,
  progress: (share: number) => void = () => undefined,
): DayAnswer {
  const { tasks, windows, capacity } = question;
  if (tasks.length === 0)
    return {
      ok: true,
      plan: {
        placed: [],
        spanMin: 0,
        boundMin: 0,
        gapShare: 0,
        handsMin: 0,
        late: [],
        slack: {},
        moved: [],
        critical: [],
        rounds: 0,
      },
    };
  const { order, loop } = inOrder(tasks);
  if (loop.length > 0) return { ok: false, why: 'loop', ids: loop };
  if (windows.length === 0) return { ok: false, why: 'no hours' };
  for (const task of tasks)
    for (const { resource, amount } of task.uses)
      if (amount > capacity[resource]) return { ok: false, why: 'no room', id: task.id, resource };
  const followers = followersOf(tasks);
  const latest = latestStarts(order, followers, windows);
  const handsMin = tasks.reduce((sum, task) => sum + handsOf(task), 0);
  if (!(latest instanceof Map))
    return { ok: false, why: 'too little time', id: latest.id, neededMin: handsMin };
  const work = latestFor(windows, handsMin / Math.max(1, capacity.hands));
  if (work === null)
    return { ok: false, why: 'too little time', id: order[0]!.id, neededMin: handsMin };
  const boundMin = Math.max(spanOf(latest), -work);

  // placed backward, the one with the most before it first: it must go furthest back
  const ahead = new Map<string, number>();
  for (const task of order)
    ahead.set(
      task.id,
      lengthOf(task) +
        Math.max(0, ...task.after.map(({ id, leastMin }) => (ahead.get(id) ?? 0) + leastMin)),
    );
  let ranks = ahead;
  const first = placeBackward(order, followers, ranks, question);
  if (!(first instanceof Map))
    return { ok: false, why: 'too little time', id: first.id, neededMin: handsMin };
  const costOf = (starts: ReadonlyMap<string, number>): number =>
    spanOf(starts) +
    50 * lateOf(tasks, starts).reduce((sum, one) => sum + one.byMin, 0) +
    // as late as can be, for freshness
    0.02 * [...starts.values()].reduce((sum, start) => sum - start, 0);
  let best = first;
  let bestCost = costOf(first);
  const next = randomFrom(question.seed);
  const spread = Math.max(...ahead.values());
  let rounds = 0;
  for (; rounds < question.rounds; rounds++) {
    if (rounds % 50 === 0) progress(rounds / question.rounds);
    const isGood = spanOf(best) <= boundMin + 1e-6 && lateOf(tasks, best).length === 0;
    if (isGood && rounds > 40) break;
    const changed = new Map(ranks);
    const times = 1 + Math.floor(next() * 3);
    for (let k = 0; k < times; k++) {
      const task = order[Math.floor(next() * order.length)]!;
      changed.set(task.id, ahead.get(task.id)! + (next() - 0.5) * 2 * spread);
    }
    const tried = placeBackward(order, followers, changed, question);
    if (!(tried instanceof Map)) continue;
    const cost = costOf(tried);
    if (cost > bestCost + 1e-9) continue;
    [best, bestCost, ranks] = [tried, cost, changed];
  }
  return { ok: true, plan: planOf(question, order, followers, best, boundMin, rounds, ranks) };
}

function planOf(
  question: DayQuestion,
  order: readonly DayTask[],
  followers: ReadonlyMap<string, Follower[]>,
  starts: ReadonlyMap<string, number>,
  boundMin: number,
  rounds: number,
  ranks: ReadonlyMap<string, number>,
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
    slack,
    moved: tasks.flatMap(({ id, pinMin }) =>
      pinMin !== undefined && Math.abs(starts.get(id)! - pinMin) > 0.5
        ? [{ id, wantedMin: pinMin, startMin: starts.get(id)! }]
        : [],
    ),
    critical: criticalOf(order, followers, ranks, question, spanOf(starts), slack),
    rounds,
  };
}

/** Tasks that make the whole longer when each by itself takes so much longer, min. */
const longerMin = 15;
function criticalOf(
  order: readonly DayTask[],
  followers: ReadonlyMap<string, Follower[]>,
  ranks: ReadonlyMap<string, number>,
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
    const tried = placeBackward(order.map(swap), changed, ranks, question);
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
