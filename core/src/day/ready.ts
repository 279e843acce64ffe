import { randomFrom } from '../working/random.ts';
import type { DayPlan, DayQuestion } from './plan-types.ts';
import type { DayTask, Resource } from './types.ts';
import { lengthOf, spansOf } from './usage.ts';

/** What is asked: a plan, by how much its minutes differ, and how late it may be ready. */
export interface ReadyQuestion extends DayQuestion {
  plan: Pick<DayPlan, 'placed'>;
  /** Spread of hands-on minutes and of waits, each as a share of them: the hand's, or what is usual. */
  handsCv: number;
  waitCv: number;
  /** Minutes in hand between the deadline of the plan and serving. */
  spareMin: number;
  runs: number;
}

/** How sure it is that all is ready, and what puts that at risk. */
export interface ReadyAnswer {
  /** Share of the runs in which everything was ready when it was served. */
  readyShare: number;
  /** How much later than planned it was ready in one run of ten, min; 0 for on time. */
  lateTenthMin: number;
  /** The least kept of what must not wait long: who waits for what, and the share of runs that kept it. */
  weakest: { id: string; after: string; keptShare: number } | null;
  /** The task without whose spread most more runs would be ready; null where nothing threatens. */
  threat: { id: string; gainShare: number } | null;
}

/** What is usual where the hand says nothing (estimates). */
export const usualSpread = { handsCv: 0.25, waitCv: 0.12 } as const;

/** Two normal numbers from two even ones. */
function normal(next: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
}
/** A factor whose mean is 1 and whose spread is `cv`, never below 0. */
const factor = (cv: number, z: number): number => {
  const s = Math.sqrt(Math.log(1 + cv * cv));
  return Math.exp(s * z - (s * s) / 2);
};

/** So long one goes on after hours to end what is begun, min. */
const overtimeMin = 30;

interface Run {
  endMin: number;
  waited: Map<string, number>;
}

/**
 * One run: tasks in the order of the plan, none before its time in the plan, each as soon as what it
 * waits for is there and hands, oven, mixer and cold are free within the hours. What does not fit
 * into what is left of a stretch of hours, half an hour over included, is begun in the next one.
 */
function runOf(
  tasks: readonly DayTask[],
  planned: ReadonlyMap<string, number>,
  usualMin: ReadonlyMap<string, number>,
  { windows, capacity }: DayQuestion,
): Run {
  const ends = new Map<string, number>();
  const taken = new Map<Resource, { from: number; to: number; amount: number }[]>();
  const waited = new Map<string, number>();
  const hoursOf = [...windows].reverse();
  /** A task is begun where its usual minutes fit; once begun it is ended, hours or not. */
  const workable = (from: number, usualMin: number): number => {
    for (const [i, { fromMin, toMin }] of hoursOf.entries()) {
      const begin = Math.max(from, fromMin);
      const isLast = i === hoursOf.length - 1;
      if (begin + usualMin <= toMin + overtimeMin || (isLast && begin <= toMin)) return begin;
    }
    // after the last hours one works on: it is late, and that is counted
    return from;
  };
  const freeFrom = (task: DayTask, at: number, usualMin: number): number => {
    let start = at;
    for (let turn = 0; turn < 60; turn++) {
      let next = start;
      for (const { resource, from, to, amount } of spansOf(task, start)) {
        const clash = (taken.get(resource) ?? []).filter((one) => one.from < to && one.to > from);
        const used = clash.reduce((sum, one) => sum + one.amount, 0);
        if (clash.length > 0 && used + amount > capacity[resource] + 1e-9)
          next = Math.max(next, start + Math.min(...clash.map((one) => one.to)) - from);
      }
      if (next <= start + 1e-9) return start;
      start = workable(next, usualMin);
    }
    return start;
  };
  let endMin = -Infinity;
  for (const task of tasks) {
    const ready = Math.max(
      planned.get(task.id) ?? 0,
      ...task.after.flatMap(({ id, leastMin }) => {
        const end = ends.get(id);
        return end === undefined ? [] : [end + leastMin];
      }),
    );
    const usual = usualMin.get(task.id) ?? 0;
    const start = freeFrom(task, workable(ready, usual), usual);
    for (const span of spansOf(task, start))
      taken.set(span.resource, [...(taken.get(span.resource) ?? []), span]);
    const end = start + lengthOf(task);
    for (const { id, mostMin } of task.after)
      if (mostMin !== null && ends.has(id)) waited.set(`${task.id}|${id}`, start - ends.get(id)!);
    ends.set(task.id, end);
    endMin = Math.max(endMin, end);
  }
  return { endMin, waited };
}

/**
 * How sure a plan of the days is (docs/model.md#the-day): its minutes are drawn anew, run by run, by the
 * hand's spread, and the plan is walked forward. What threatens most is the task without whose spread
 * most more runs are ready in time. Pure: the same question and seed give the same answer.
 */
export function readyChance(question: ReadyQuestion): ReadyAnswer {
  const { plan, runs, handsCv, waitCv, spareMin } = question;
  const planned = new Map(plan.placed.map(({ id, startMin }) => [id, startMin]));
  const byId = new Map(question.tasks.map((task) => [task.id, task]));
  const usualMin = new Map(question.tasks.map(({ id, handsMin }) => [id, handsMin]));
  const order = plan.placed.flatMap(({ id }) => byId.get(id) ?? []);
  const next = randomFrom(question.seed);
  const drawn = Array.from({ length: runs }, () =>
    order.map(() => ({ hands: factor(handsCv, normal(next)), wait: factor(waitCv, normal(next)) })),
  );
  const walk = (factors: (typeof drawn)[number], still: number | null): Run =>
    runOf(
      order.map((task, i): DayTask => {
        // what can be cut short is, before anything is late for it
        const waitMin = task.shortestMin ?? task.waitMin;
        if (i === still) return { ...task, waitMin };
        const { hands, wait } = factors[i]!;
        return {
          ...task,
          handsMin: task.handsMin * hands,
          waitMin: waitMin * wait,
          again: task.again && {
            handsMin: task.again.handsMin * hands,
            waitMin: task.again.waitMin * wait,
          },
        };
      }),
      planned,
      usualMin,
      question,
    );
  const all = drawn.map((factors) => walk(factors, null));
  const isReady = ({ endMin }: Run): boolean => endMin <= spareMin + 0.5;
  const lateRuns = all.flatMap((run, k) => (isReady(run) ? [] : [k]));
  const lateness = all.map(({ endMin }) => Math.max(0, endMin)).sort((a, b) => b - a);
  const kept = question.tasks.flatMap((task) =>
    task.after.flatMap(({ id, mostMin }) => {
      if (mostMin === null || !byId.has(id)) return [];
      const key = `${task.id}|${id}`;
      const share =
        all.filter(({ waited }) => (waited.get(key) ?? -Infinity) <= mostMin + 0.5).length / runs;
      return share < 1 ? [{ id: task.id, after: id, keptShare: share }] : [];
    }),
  );
  const gains = order.map(({ id }, i) => ({
    id,
    gainShare: lateRuns.filter((k) => isReady(walk(drawn[k]!, i))).length / runs,
  }));
  const threat = gains.reduce<(typeof gains)[number] | null>(
    (a, b) => (b.gainShare > (a?.gainShare ?? 0) ? b : a),
    null,
  );
  return {
    readyShare: 1 - lateRuns.length / runs,
    lateTenthMin: lateness[Math.floor(runs / 10)] ?? 0,
    weakest: kept.reduce<ReadyAnswer['weakest']>(
      (a, b) => (a && a.keptShare <= b.keptShare ? a : b),
      null,
    ),
    threat,
  };
}
