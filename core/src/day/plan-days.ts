import type { Step } from '../bench/steps.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import type { Build } from '../document/types.ts';
import { correctionsFor, type Corrections, noCorrections } from '../hand/corrections.ts';
import { findRow } from '../pantry/find.ts';
import type { Pantry } from '../pantry/types.ts';
import type { Plan } from '../plan/plan-types.ts';
import { planBuild } from '../plan/plan.ts';
import { nothingCarved } from '../plan/shape.ts';
import { windowsBefore } from './hours.ts';
import { scheduleDay } from './schedule.ts';
import { dayTasks } from './tasks.ts';
import { dayCapacity, type DayTask, type Placed } from './types.ts';

/** The days of one cake: what it is planned to be, its tasks, and when each of them is. */
export interface PlannedDays {
  plan: Plan;
  steps: Step[];
  tasks: DayTask[];
  placed: Placed[];
  /** When all is done: serving, less the minutes in hand. */
  deadline: Date;
}

/** Rounds enough where days count and minutes do not. */
const rounds = 60;

/**
 * Plans the days of a cake by its own hours (docs/model.md#the-day), other cakes left out. Null where it
 * is a pattern, has no date, is finished, or cannot be planned within its hours.
 */
export function planDays(
  build: Build,
  pantry: Pantry,
  carved: CarveAnswers = nothingCarved,
  corrections: Corrections = noCorrections,
): PlannedDays | null {
  const { brief, bench, isPattern } = build;
  if (brief.serveAt === null || bench.finished || isPattern) return null;
  const plan = planBuild(build, pantry, carved, correctionsFor(build, corrections));
  if (!plan.steps.ok) return null;
  const days = daysTogether([{ build, plan, times: 1 }], pantry, rounds);
  return days && { plan, steps: plan.steps.value, ...days };
}

/** A cake that is made so many times over. */
export interface MadeTimes {
  build: Build;
  plan: Plan;
  times: number;
}

/**
 * The days of cakes that are made together, by the hours, the hands and the kitchen of the first, all for the
 * time when that is served. With no rounds the first plan that fits is taken; whether there is one does not
 * depend on them. Null where the first has no date or all of it does not fit.
 */
export function daysTogether(
  cakes: readonly [MadeTimes, ...MadeTimes[]],
  pantry: Pantry,
  rounds: number,
): Pick<PlannedDays, 'tasks' | 'placed' | 'deadline'> | null {
  const [{ build: first }] = cakes;
  if (first.brief.serveAt === null) return null;
  const deadline = new Date(new Date(first.brief.serveAt).getTime() - first.day.spareMin * 60_000);
  const tasks = cakes.flatMap(({ build, plan, times }, i) => {
    const own = dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));
    return Array.from({ length: times }, (_, k) =>
      i === 0 && k === 0 ? own : own.map((task) => apartFrom(task, `${i}.${k}/`)),
    ).flat();
  });
  const answer = scheduleDay({
    tasks,
    windows: windowsBefore(deadline, first.day.hours),
    capacity: dayCapacity(first.day),
    seed: 1,
    rounds,
  });
  return answer.ok ? { tasks, placed: answer.plan.placed, deadline } : null;
}

/** The same task of another cake: nothing of it waits for anything of the first. */
const apartFrom = (task: DayTask, prefix: string): DayTask => ({
  ...task,
  id: prefix + task.id,
  after: task.after.map((wait) => ({ ...wait, id: prefix + wait.id })),
});

/** Minutes in which hands are on it on the day when it is served. */
export function lastDayHandsMin({
  tasks,
  placed,
  deadline,
}: Pick<PlannedDays, 'tasks' | 'placed' | 'deadline'>): number {
  const dayOf = (minutes: number): string =>
    new Date(deadline.getTime() + minutes * 60_000).toDateString();
  const againOf = new Map(tasks.map(({ id, again }) => [id, again?.handsMin ?? 0]));
  return placed.reduce((sum, { id, startMin, handsEndMin, againMin }) => {
    const first = dayOf(startMin) === deadline.toDateString() ? handsEndMin - startMin : 0;
    const isAgain = againMin !== null && dayOf(againMin) === deadline.toDateString();
    return sum + first + (isAgain ? againOf.get(id)! : 0);
  }, 0);
}
