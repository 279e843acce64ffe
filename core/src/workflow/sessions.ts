import type { ListItem, Step } from '../bench/steps.ts';
import { pauseMin } from '../day/levels.ts';
import type { DayTask, Placed } from '../day/types.ts';
import { isBeatenWarm } from '../pantry/beaten-warm.ts';
import type { Food } from '../pantry/types.ts';

/** Butter and eggs come out so long before they are beaten, min (trade custom: 60 to 90). */
const outBeforeMin = 75;

/** What is weighed out for one bowl or batter. */
export interface WeighedOut {
  stepKey: string;
  title: string;
  lines: ListItem[];
}

/** One stretch of work with what it needs at hand. Times in minutes before the deadline, negative. */
export interface Session {
  fromMin: number;
  toMin: number;
  /** When butter and eggs come out of the fridge for it. */
  outMin: number;
  handsMin: number;
  taskIds: string[];
  weigh: WeighedOut[];
  /** What must not be cold from the fridge when it is beaten, g in all. */
  warm: { foodId: string; name: string; massG: number }[];
  /** What was made in a session before and is used in this one. */
  ready: string[];
}

/** What of some steps' lists comes out of the fridge before it is beaten. */
export function warmFor(steps: readonly Step[], foods: readonly Food[]): Session['warm'] {
  if (!steps.some(({ hazards }) => hazards.includes('running machine'))) return [];
  const found = new Map<string, Session['warm'][number]>();
  for (const { label, value, foodId, times = 1 } of steps.flatMap(({ list }) => list)) {
    const food = foods.find(({ id }) => id === foodId);
    if (!food || !isBeatenWarm(food)) continue;
    const had = found.get(food.id)?.massG ?? 0;
    found.set(food.id, { foodId: food.id, name: label, massG: had + value * times });
  }
  return [...found.values()];
}

/**
 * The sessions of the days: what is done in one go, and before it begins what to take out, what to
 * weigh, and what must be there from before.
 */
export function planSessions(
  tasks: readonly DayTask[],
  placed: readonly Placed[],
  steps: readonly Step[],
  foods: readonly Food[],
): Session[] {
  const taskAt = new Map(tasks.map((task) => [task.id, task]));
  const stepAt = new Map(steps.map((step) => [step.key, step]));
  const inOrder = placed.filter(({ id }) => taskAt.has(id)).sort((a, b) => a.startMin - b.startMin);
  const groups: Placed[][] = [];
  let endMin = -Infinity;
  for (const one of inOrder) {
    if (one.startMin - endMin > pauseMin) groups.push([]);
    groups.at(-1)!.push(one);
    endMin = Math.max(endMin, one.handsEndMin, one.againMin ?? -Infinity);
  }
  return groups.map((group): Session => {
    const own = group.map(({ id }) => taskAt.get(id)!);
    const ids = new Set(own.map(({ id }) => id));
    const stepsOf = ({ stepKeys }: DayTask): Step[] =>
      stepKeys.flatMap((key) => stepAt.get(key) ?? []);
    const warm = new Map<string, Session['warm'][number]>();
    for (const one of own.flatMap((task) => warmFor(stepsOf(task), foods)))
      warm.set(one.foodId, { ...one, massG: one.massG + (warm.get(one.foodId)?.massG ?? 0) });
    return {
      fromMin: group[0]!.startMin,
      outMin: group[0]!.startMin - outBeforeMin,
      toMin: Math.max(...group.map(({ handsEndMin, againMin }) => againMin ?? handsEndMin)),
      handsMin: own.reduce((sum, task) => sum + task.handsMin + (task.again?.handsMin ?? 0), 0),
      taskIds: [...ids],
      weigh: own
        .flatMap(stepsOf)
        .filter(({ list }) => list.some(({ foodId }) => foodId))
        .map(({ key, title, list }) => ({ stepKey: key, title, lines: list })),
      warm: [...warm.values()],
      ready: [
        ...new Set(
          own.flatMap(({ after }) =>
            after.flatMap(({ id }) => {
              const before = taskAt.get(id);
              return before && !ids.has(id) ? [before.title] : [];
            }),
          ),
        ),
      ],
    };
  });
}
