import type { Step } from '../bench/steps.ts';
import { handsOnOf } from '../labour/hands-on.ts';
import type { DayTask } from './types.ts';
import { handsOf } from './usage.ts';

/** Hands of tasks are whole minutes, twice where one comes back to it: no further off than this, min. */
const roundedMin = 1;

/**
 * Hands-on minutes of all tasks together: their steps' own, to the part of a minute, so that it is the
 * figure that the tally shows; a task that was given minutes of its own, or has no steps, by those.
 */
export function handsOfTasks(tasks: readonly DayTask[], steps: readonly Step[]): number {
  const stepAt = new Map(steps.map((step) => [step.key, step]));
  return tasks.reduce((sum, task) => {
    const exact = handsOnOf(task.stepKeys.flatMap((key) => stepAt.get(key) ?? []));
    const own = handsOf(task);
    return sum + (Math.abs(exact - own) <= roundedMin ? exact : own);
  }, 0);
}
