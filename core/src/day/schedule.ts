import { randomFrom } from '../working/random.ts';
import { latestFor } from './hours.ts';
import {
  compareLevels,
  lateOf,
  levelsOf,
  spanOf,
  waitingShort,
  type Late,
  type Levels,
} from './levels.ts';
import { followersOf, inOrder } from './order.ts';
import { latestStarts, noCaps, placeBackward } from './place.ts';
import { planOf } from './plan-of.ts';
import type { DayAnswer, DayQuestion } from './plan-types.ts';
import { proofOf } from './proof.ts';
import type { DayTask } from './types.ts';
import { handsOf, lengthOf } from './usage.ts';

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
        levels: nothing,
        proof: proofOf([], windows, capacity, nothing, 0),
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
  const first = placeBackward(order, followers, ahead, question);
  if (!(first instanceof Map))
    return { ok: false, why: 'too little time', id: first.id, neededMin: handsMin };
  const lengths = new Map(tasks.map((task) => [task.id, lengthOf(task)]));
  let best: Tried = { ranks: ahead, caps: noCaps, starts: first, levels: levelsOf(tasks, first) };
  const next = randomFrom(question.seed);
  const tried = (ranks: Tried['ranks'], caps: Tried['caps']): Tried | null => {
    const starts = placeBackward(order, followers, ranks, question, caps);
    return starts instanceof Map ? { ranks, caps, starts, levels: levelsOf(tasks, starts) } : null;
  };
  best = fresher(repaired(best, tasks, lengths, tried), tasks, tried);
  const spread = Math.max(...ahead.values());
  let rounds = 0;
  let improvedAt = 0;
  for (; rounds < question.rounds; rounds++) {
    if (rounds % 50 === 0) progress(rounds / question.rounds);
    const { lateMin, freshMin, spanMin } = best.levels;
    if (lateMin === 0 && freshMin < 10 && spanMin <= boundMin + 1e-6 && rounds > 40) break;
    if (rounds - improvedAt > staleRounds) break;
    const ranks = new Map(best.ranks);
    const times = 1 + Math.floor(next() * 3);
    for (let k = 0; k < times; k++) {
      const task = order[Math.floor(next() * order.length)]!;
      ranks.set(task.id, ahead.get(task.id)! + (next() - 0.5) * 2 * spread);
    }
    const caps = new Map(best.caps);
    // what was pulled forward may not have to be any more
    if (caps.size > 0 && next() < 0.3)
      caps.delete([...caps.keys()][Math.floor(next() * caps.size)]!);
    const other = tried(ranks, caps);
    if (!other) continue;
    // where something must wait too long in the best plan known, one that is no worse is worth mending
    const isWorth = best.levels.lateMin > 0 && compareLevels(other.levels, best.levels) <= 0;
    const mended = isWorth ? repaired(other, tasks, lengths, tried) : other;
    const better = compareLevels(mended.levels, best.levels);
    if (better < 0) improvedAt = rounds;
    if (better <= 0) best = mended;
  }
  return {
    ok: true,
    plan: planOf(question, order, followers, best.starts, boundMin, rounds, best.ranks, best.caps),
  };
}

const nothing: Levels = { lateMin: 0, freshMin: 0, spanMin: 0, sessions: 0, waitedMin: 0 };

/** After so many rounds in which nothing got better, nothing is expected to. */
const staleRounds = 300;

/** One way to place all tasks, and how good it is. */
interface Tried {
  ranks: ReadonlyMap<string, number>;
  caps: ReadonlyMap<string, number>;
  starts: ReadonlyMap<string, number>;
  levels: Levels;
}

/**
 * What keeps short is made right before it is taken, and whatever else competes for the hands goes
 * before it, as long as that makes the plan better.
 */
function fresher(
  from: Tried,
  tasks: readonly DayTask[],
  tried: (ranks: Tried['ranks'], caps: Tried['caps']) => Tried | null,
): Tried {
  let best = from;
  for (const id of waitingShort(tasks, from.starts)) {
    const first = Math.max(...best.ranks.values()) + 1;
    const other = tried(new Map(best.ranks).set(id, first), best.caps);
    if (other && compareLevels(other.levels, best.levels) < 0) best = other;
  }
  return best;
}

/** So often what waits too long is pulled forward before it is left as it is. */
const repairs = 12;

/**
 * Placing backward puts what comes first into an earlier day where nothing is left of the later one,
 * and what it made waits overnight. So what takes it is pulled forward to where that still keeps, as
 * often as that makes the plan better.
 */
function repaired(
  from: Tried,
  tasks: readonly DayTask[],
  lengths: ReadonlyMap<string, number>,
  tried: (ranks: Tried['ranks'], caps: Tried['caps']) => Tried | null,
): Tried {
  let best = from;
  let now = from;
  for (let turn = 0; turn < repairs; turn++) {
    const late = lateOf(tasks, now.starts);
    const worst = late.reduce<Late | null>((a, b) => (a && a.byMin >= b.byMin ? a : b), null);
    if (!worst) break;
    const endMin = now.starts.get(worst.after)! + lengths.get(worst.after)!;
    const waited = now.starts.get(worst.id)! - endMin;
    const capMin = endMin + (waited - worst.byMin);
    const other = tried(now.ranks, new Map(now.caps).set(worst.id, capMin));
    if (!other) break;
    now = other;
    if (compareLevels(now.levels, best.levels) < 0) best = now;
  }
  return best;
}
