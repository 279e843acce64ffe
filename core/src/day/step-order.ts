import type { Step } from '../bench/steps.ts';
import type { DayTask, Placed } from './types.ts';

/**
 * Steps in the order in which the plan of the days does them: those of one task together, but what
 * comes at the end of a wait, such as turning out, when that wait is over. A step of no task stays
 * behind the one it follows on the run sheet.
 */
export function inDayOrder(
  steps: readonly Step[],
  tasks: readonly DayTask[],
  placed: readonly Placed[],
): Step[] {
  const at = new Map(placed.map((one) => [one.id, one]));
  const when = new Map<string, number>();
  for (const task of tasks) {
    const place = at.get(task.id);
    if (!place) continue;
    const last = task.stepKeys.length - 1;
    task.stepKeys.forEach((key, i) =>
      when.set(key, i === last && place.againMin !== null ? place.againMin : place.startMin),
    );
  }
  let now = -Infinity;
  const timed = steps.map((step, i) => {
    now = when.get(step.key) ?? now;
    return { step, i, at: now };
  });
  return timed.sort((a, b) => a.at - b.at || a.i - b.i).map(({ step }) => step);
}
