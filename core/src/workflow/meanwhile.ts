import type { DayTask } from '../day/types.ts';
import { lengthOf } from '../day/usage.ts';

/**
 * Steps that hands can take up while something waits: of every task whose forerunners are done, the
 * first step that is not. What is waiting already is left out, and so is the step at hand. In the
 * order of the tasks; taking any of them keeps every lag.
 *
 * @param done keys of steps that are ticked off
 * @param waiting keys of steps whose timer runs
 * @param at the step at hand
 */
export function freeSteps(
  tasks: readonly DayTask[],
  done: ReadonlySet<string>,
  waiting: ReadonlySet<string>,
  at: string,
): string[] {
  const taskAt = new Map(tasks.map((task) => [task.id, task]));
  const isOver = new Map(
    tasks.map((task) => [task.id, task.stepKeys.every((key) => done.has(key))]),
  );
  /** Hands are off it, and what follows may begin as soon as they are. */
  const isLeft = ({ id, leastMin }: DayTask['after'][number]): boolean => {
    const before = taskAt.get(id)!;
    return (
      leastMin < 0 &&
      leastMin <= before.handsMin - lengthOf(before) &&
      before.stepKeys.every((key) => done.has(key) || waiting.has(key))
    );
  };
  return tasks.flatMap((task) => {
    if (isOver.get(task.id) || task.stepKeys.includes(at)) return [];
    if (task.after.some((one) => isOver.get(one.id) === false && !isLeft(one))) return [];
    const next = task.stepKeys.find((key) => !done.has(key));
    return next === undefined || waiting.has(next) ? [] : [next];
  });
}
