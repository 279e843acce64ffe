import type { Step } from '../bench/steps.ts';
import type { Bowl } from '../bowls/bowls.ts';
import { waitOf } from '../day/step-waits.ts';
import type { DayTask } from '../day/types.ts';
import { handsOnOf } from '../labour/hands-on.ts';

/** Something that does not keep is about to be made, and what takes it is not ready for it. */
export interface TooEarly {
  /** It is used within so many minutes of being made. */
  keepsMin: number;
  /** Hands, and the longest wait, of what is still to be done before it can be used, min. */
  openMin: number;
  /** Steps to be done first, in the order of the sheet. */
  first: string[];
  /** The step that takes it. */
  use: string;
}

/** What keeps longer can be made when it suits, min. */
const shortMin = 60;

/**
 * Whether a step makes too early what must be used at once (docs/model.md#the-day): all that is still open before the step that takes it, by the
 * order of its own line and by what its task waits for. Null where it keeps, or where what is open
 * takes no longer than it keeps.
 *
 * @param done keys of steps that are ticked off
 */
export function tooEarly(
  step: Step,
  steps: readonly Step[],
  tasks: readonly DayTask[],
  bowls: readonly Bowl[],
  done: ReadonlySet<string>,
): TooEarly | null {
  const { keepsMin, line } = step;
  if (keepsMin === null || keepsMin > shortMin || line.batchId === null) return null;
  const uses = new Set(
    bowls
      .filter(({ id, batchId }) => id === line.batchId || batchId === line.batchId)
      .flatMap(({ uses: own }) => own.flatMap((use) => use.step ?? [])),
  );
  const use = steps.find(({ key }) => uses.has(key) && !done.has(key));
  if (!use) return null;
  const open = openBefore(use, steps, tasks, done).filter(
    ({ key, line: of }) => key !== step.key && of.id !== line.id,
  );
  const openMin = handsOnOf(open) + Math.max(0, ...open.map(waitOf));
  return openMin > keepsMin
    ? { keepsMin, openMin, first: open.map(({ key }) => key), use: use.key }
    : null;
}

/** Steps not done that come before another: in its own line, and in all that its task waits for. */
function openBefore(
  use: Step,
  steps: readonly Step[],
  tasks: readonly DayTask[],
  done: ReadonlySet<string>,
): Step[] {
  const at = steps.indexOf(use);
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const before = new Set<string>();
  const seen = new Set<string>();
  const gather = (task: DayTask | undefined): void => {
    for (const { id } of task?.after ?? []) {
      if (seen.has(id)) continue;
      seen.add(id);
      for (const key of byId.get(id)?.stepKeys ?? []) before.add(key);
      gather(byId.get(id));
    }
  };
  gather(tasks.find(({ stepKeys }) => stepKeys.includes(use.key)));
  return steps.filter(
    ({ key, line }, i) =>
      !done.has(key) && key !== use.key && (before.has(key) || (line.id === use.line.id && i < at)),
  );
}
