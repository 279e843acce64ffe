import type { Step } from '../bench/steps.ts';
import type { Build } from '../document/types.ts';
import { isMadeReadyFor } from '../workflow/operation.ts';
import { handsOnOf } from '../labour/hands-on.ts';
import { freezerShare } from './keeping.ts';
import { workedSince, type Window } from './hours.ts';
import type { DayAnswer, DayQuestion } from './plan-types.ts';
import { scheduleDay } from './schedule.ts';
import type { DayTask } from './types.ts';

/**
 * What is still to be done, by what is ticked off on the bench: a task half done has half its hands left,
 * and a wait that has begun what is left of it.
 *
 * @param leftOf minutes that the wait of a step still takes; null where it has not begun
 */
export function tasksLeft(
  tasks: readonly DayTask[],
  done: ReadonlySet<string>,
  leftOf: (stepKey: string) => number | null = () => null,
): DayTask[] {
  const left = tasks.flatMap((task): DayTask[] => {
    const { length } = task.stepKeys;
    const open = task.stepKeys.filter((key) => !done.has(key)).length;
    if (length === 0) return done.has(task.id) ? [] : [task];
    if (open === 0) return [];
    const left = leftOf(task.stepKeys.at(-1)!);
    return [
      {
        ...task,
        handsMin: Math.round((task.handsMin * open) / length),
        // what stands in the oven and cools after it waits twice: only its own last wait is known
        ...(left === null || task.again ? {} : { waitMin: Math.round(left) }),
      },
    ];
  });
  const known = new Set(left.map((task) => task.id));
  return left.map((task) => ({ ...task, after: task.after.filter(({ id }) => known.has(id)) }));
}

/**
 * Steps ticked off in a build, with those that are parts of one that was, and what was made ready for
 * one that was: fruit that is on the cake has been washed.
 */
export function doneOf(
  { bench }: Pick<Build, 'bench'>,
  steps: readonly Pick<Step, 'key' | 'wholeKey' | 'line' | 'takes'>[],
): Set<string> {
  const done = new Set(bench.done.map(({ stepKey }) => stepKey));
  for (const { key, wholeKey } of steps) if (wholeKey !== null && done.has(wholeKey)) done.add(key);
  for (const { key, line, takes } of steps) {
    const { preparedFor } = line;
    if (!preparedFor) continue;
    const isUsed = steps.some(
      (user) =>
        isMadeReadyFor(preparedFor, user.line) &&
        done.has(user.key) &&
        user.takes.some(({ foodId }) => foodId === takes[0]?.foodId),
    );
    if (isUsed) done.add(key);
  }
  return done;
}

/** Hands-on minutes of all that is not ticked off. */
export const handsLeft = (
  steps: readonly Pick<Step, 'key' | 'handsOnMin'>[],
  done: ReadonlySet<string>,
): number => handsOnOf(steps.filter(({ key }) => !done.has(key)));

/** The spans of work from now on. */
export const windowsFrom = (windows: readonly Window[], nowMin: number): Window[] =>
  windows.flatMap((one) => {
    const fromMin = Math.max(one.fromMin, nowMin);
    return one.toMin > fromMin ? [{ fromMin, toMin: one.toMin }] : [];
  });

/** Something that would make it shorter, with what it gains. Minutes of work. */
export interface Saver {
  title: string;
  gainMin: number;
  /** With it there is time enough. */
  isEnough: boolean;
}

/** The rest of the plan from now on. */
export interface Replan {
  answer: DayAnswer;
  /** Minutes that are missing; 0 where there is time enough. */
  shortMin: number;
  savers: Saver[];
  /** Those of them that do together what none does alone; null where one does, or all do not. */
  together: string[] | null;
}

/** What is firm enough to go on with, of the time until it is firm through (estimate). */
const shortSetShare = 0.7;
const quicker = (task: DayTask, share: number): DayTask =>
  task.uses.some((use) => use.resource === 'fridge')
    ? { ...task, waitMin: Math.round(task.waitMin * share) }
    : task;

/**
 * Plans what is left from now on (docs/model.md#the-day). Where it cannot be done in time, it is planned
 * without the limit of now, which tells how many minutes of work are missing; then with each thing that
 * would help, which tells what that gains.
 *
 * @param nowMin minutes before the deadline, negative
 */
export function replanFrom(question: DayQuestion, nowMin: number): Replan {
  const { windows, capacity } = question;
  const begun = scheduleDay({ ...question, windows: windowsFrom(windows, nowMin) });
  if (begun.ok && begun.plan.spanMin <= -nowMin + 1e-6)
    return { answer: begun, shortMin: 0, savers: [], together: null };
  const missingOf = (changed: DayQuestion): number => {
    const answer = scheduleDay({ ...changed, rounds: Math.ceil(changed.rounds * triedShare) });
    if (!answer.ok) return Infinity;
    const start = -answer.plan.spanMin;
    return start >= nowMin
      ? 0
      : workedSince(changed.windows, start) - workedSince(changed.windows, nowMin);
  };
  const shortMin = missingOf(question);
  const isFinish = (task: DayTask): boolean => task.chapter === 'Finish';
  const onTasks =
    (change: (tasks: readonly DayTask[]) => DayTask[]) =>
    (asked: DayQuestion): DayQuestion => ({ ...asked, tasks: change(asked.tasks) });
  const changes: { title: string; make: (asked: DayQuestion) => DayQuestion }[] = [
    {
      title: 'a second pair of hands',
      make: (asked) => ({ ...asked, capacity: { ...capacity, hands: capacity.hands + 1 } }),
    },
    {
      title: 'the freezer instead of the fridge, for stacks and coats',
      make: onTasks((tasks) => tasks.map((task) => quicker(task, freezerShare))),
    },
    {
      title: 'shorter sets: on as soon as a finger leaves no mark',
      make: onTasks((tasks) => tasks.map((task) => quicker(task, shortSetShare))),
    },
    {
      title: 'no drips, borders and toppings but those of the last moment',
      make: onTasks((tasks) => without(tasks, isFinish)),
    },
    {
      title: 'layers bought or baked by somebody else',
      make: onTasks((tasks) => without(tasks, (task) => task.chapter === 'Bake')),
    },
  ];
  const tried = changes
    .map((change) => ({ ...change, missing: missingOf(change.make(question)) }))
    .filter(({ missing }) => Number.isFinite(missing) && shortMin - missing >= worthMin)
    .sort((a, b) => a.missing - b.missing);
  const savers = tried.map(({ title, missing }): Saver => ({
    title,
    gainMin: shortMin - missing,
    isEnough: missing === 0,
  }));
  return {
    answer: begun,
    shortMin,
    savers,
    together: savers.some(({ isEnough }) => isEnough)
      ? null
      : fewest(tried, (some) => missingOf(some.reduce((asked, { make }) => make(asked), question))),
  };
}

/** What would be if is tried in a share of the rounds: every trial alike, so that they can be compared. */
const triedShare = 1 / 3;
/** Less is not worth naming, min. */
const worthMin = 5;

/**
 * Few changes that are enough together: of all of them, those that gain least are left out where the
 * rest is still enough. No one of what is left can be done without. Null where all are not enough.
 *
 * @param changes the best alone first
 */
function fewest<C extends { title: string }>(
  changes: readonly C[],
  missingWith: (some: readonly C[]) => number,
): string[] | null {
  if (changes.length < 2 || missingWith(changes) > 0) return null;
  let needed = changes;
  for (const change of [...changes].reverse()) {
    const rest = needed.filter((one) => one !== change);
    // none is enough alone: that has been tried
    if (rest.length > 1 && missingWith(rest) === 0) needed = rest;
  }
  return needed.map(({ title }) => title);
}

/** Tasks without some of them; what waited for those waits for what they waited for. */
function without(tasks: readonly DayTask[], isOut: (task: DayTask) => boolean): DayTask[] {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const through = (after: DayTask['after']): DayTask['after'] =>
    after.flatMap((one) => {
      const task = byId.get(one.id);
      return task && isOut(task) ? through(task.after) : [one];
    });
  return tasks
    .filter((task) => !isOut(task))
    .map((task) => ({ ...task, after: through(task.after) }));
}
