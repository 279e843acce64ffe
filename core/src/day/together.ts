import type { DayPlan } from './plan-types.ts';
import type { DayTask, Placed } from './types.ts';

/** The tasks of one cake in a kitchen that makes several. */
export interface CakeTasks {
  buildId: string;
  name: string;
  tasks: DayTask[];
  /** When it is to be ready, minutes before the last of them, negative or 0. */
  dueMin: number;
}

/** A task's name among those of several cakes. */
export const sharedId = (buildId: string, id: string): string => `${buildId}:${id}`;

/**
 * What a plan of several cakes says of one of them, in minutes before its own deadline. Span and bound
 * stay those of all cakes together.
 *
 * @param shiftMin by how much the cake's own deadline is before the last one
 */
export function ownPart(plan: DayPlan, buildId: string, shiftMin: number): DayPlan {
  const prefix = sharedId(buildId, '');
  const isOwn = (id: string): boolean => id.startsWith(prefix);
  const bare = (id: string): string => id.slice(prefix.length);
  return {
    ...plan,
    placed: plan.placed
      .filter(({ id }) => isOwn(id))
      .map((one) => shifted(one, bare(one.id), shiftMin)),
    spanMin: plan.spanMin - shiftMin,
    boundMin: plan.boundMin - shiftMin,
    late: plan.late
      .filter(({ id }) => isOwn(id))
      .map((one) => ({ ...one, id: bare(one.id), after: bare(one.after) })),
    slack: Object.fromEntries(
      Object.entries(plan.slack)
        .filter(([id]) => isOwn(id))
        .map(([id, slack]) => [bare(id), slack]),
    ),
    moved: plan.moved
      .filter(({ id }) => isOwn(id))
      .map(({ id, wantedMin, startMin }) => ({
        id: bare(id),
        wantedMin: wantedMin + shiftMin,
        startMin: startMin + shiftMin,
      })),
    critical: plan.critical.filter(isOwn).map(bare),
  };
}

/** A placed task under another name, its times moved. */
export const shifted = (one: Placed, id: string, byMin: number): Placed => ({
  id,
  startMin: one.startMin + byMin,
  handsEndMin: one.handsEndMin + byMin,
  againMin: one.againMin === null ? null : one.againMin + byMin,
  endMin: one.endMin + byMin,
});

/**
 * The tasks of several cakes as one list, for one kitchen: each cake is due at its own time, and all
 * use the same hands, oven, mixer and cold. Pins are of each cake's own deadline.
 */
export const tasksTogether = (cakes: readonly CakeTasks[]): DayTask[] =>
  cakes.flatMap(({ buildId, tasks, dueMin }) =>
    tasks.map((task) => ({
      ...task,
      id: sharedId(buildId, task.id),
      after: task.after.map((one) => ({ ...one, id: sharedId(buildId, one.id) })),
      dueMin: dueMin + (task.dueMin ?? 0),
      ...(task.pinMin === undefined ? {} : { pinMin: dueMin + task.pinMin }),
    })),
  );
