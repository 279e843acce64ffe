import { readFileSync } from 'node:fs';
import { expect } from 'vitest';
import {
  dayTasks,
  findRow,
  readBuildFile,
  scheduleDay,
  windowsBefore,
  type Placed,
  type Build,
  type DayTask,
  type Plan,
  type Step,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

/* What tests of the work share: the demo's cakes, their steps and tasks. */

/** A build of an older version with what became a list since: what is folded into its batters, lies in its fillings and is set in its creams. */
export function withLists<T>(build: T): T {
  const { tiers, ...rest } = build as { tiers: Record<string, unknown>[] };
  return {
    ...rest,
    tiers: tiers.map(({ inclusion, layers, gaps, ...tier }) => ({
      ...tier,
      ...(inclusion === undefined ? {} : { inclusions: inclusion ? [inclusion] : [] }),
      gaps: (gaps as Record<string, unknown>[]).map(({ pieces, ...gap }) => ({
        ...gap,
        ...(pieces === undefined ? {} : { pieces: pieces ? [pieces] : [] }),
      })),
      layers: (layers as Record<string, unknown>[]).map(({ inset, ...layer }) => ({
        ...layer,
        ...(inset === undefined ? {} : { insets: inset ? [inset] : [] }),
      })),
    })),
  } as T;
}

/** A cake of the demo, as its file has it. */
export function demo(name: string): Build {
  const url = new URL(`../../demo/${name}.json`, import.meta.url);
  const read = readBuildFile(readFileSync(url, 'utf8'));
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return read.build;
}
export function stepsOf({ steps }: Plan): Step[] {
  if (!steps.ok) throw new Error(steps.problem);
  return steps.value;
}
/** Where a step stands on the sheet; it has to be there. */
export function placeOf(steps: readonly Step[], key: string): number {
  const at = steps.findIndex((step) => step.key === key);
  expect(at, key).toBeGreaterThanOrEqual(0);
  return at;
}
/** When the tasks of a cake are done, by the plan of the days. */
export function placedOf(build: Build, tasks: DayTask[]): Placed[] {
  const answer = scheduleDay({
    tasks,
    windows: windowsBefore(new Date('2027-06-19T16:00:00'), build.day.hours),
    capacity: { hands: 1, oven: 1, mixer: 1, fridge: 900, freezer: 0 },
    seed: 1,
    rounds: 10,
  });
  if (!answer.ok) throw new Error(answer.why);
  return answer.plan.placed;
}
export const tasksOf = (build: Build, plan: Plan): DayTask[] =>
  dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));

/** A task of the days with nothing but its minutes, to be filled in. */
export const bareTask = (
  id: string,
  handsMin: number,
  waitMin = 0,
  more: Partial<DayTask> = {},
): DayTask => ({
  id,
  stepKeys: [id],
  title: id,
  chapter: 'Bake',
  tierId: null,
  handsMin,
  waitMin,
  again: null,
  uses: [],
  after: [],
  ...more,
});
