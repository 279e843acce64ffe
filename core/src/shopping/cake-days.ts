import type { Step } from '../bench/steps.ts';
import type { Build } from '../document/types.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import { keepingRows } from '../day/keeping.ts';
import { dayCapacity, type DayTask } from '../day/types.ts';
import { windowsBefore } from '../day/hours.ts';
import { scheduleDay } from '../day/schedule.ts';
import { dayTasks } from '../day/tasks.ts';
import { withGanaches } from '../finish/ganache-recipe.ts';
import { correctionsFor, type Corrections, noCorrections } from '../hand/corrections.ts';
import { findRow } from '../pantry/find.ts';
import type { Pantry } from '../pantry/types.ts';
import { planBuild } from '../plan/plan.ts';
import type { Plan } from '../plan/plan-types.ts';
import { nothingCarved } from '../plan/shape.ts';
import { ifThere } from '../working/staged.ts';
import type { MadeBatch } from './made-together.ts';
import { useDays, type UseDays } from './use-days.ts';

/** What the plan of a cake's own days says to shopping: when it takes what, and when it makes what. */
export interface CakeDays {
  uses: UseDays;
  made: MadeBatch[];
}

/** The plan of the days is improved in so many rounds: enough for days, where minutes do not count. */
const rounds = 60;

/**
 * The days on which a cake takes each ingredient and makes each bowl, by the plan of its own
 * days (docs/model.md#the-day), other cakes left out. Null where it has no date, is finished, or cannot
 * be planned within its hours.
 */
export function cakeDays(
  build: Build,
  pantry: Pantry,
  carved: CarveAnswers = nothingCarved,
  corrections: Corrections = noCorrections,
): CakeDays | null {
  const { brief, day, bench } = build;
  if (brief.serveAt === null || bench.finished) return null;
  const plan = planBuild(build, pantry, carved, correctionsFor(build, corrections));
  if (!plan.steps.ok) return null;
  const deadline = new Date(new Date(brief.serveAt).getTime() - day.spareMin * 60_000);
  const tasks = dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));
  const answer = scheduleDay({
    tasks,
    windows: windowsBefore(deadline, day.hours),
    capacity: dayCapacity(day),
    seed: 1,
    rounds,
  });
  if (!answer.ok) return null;
  const startOf = new Map(
    answer.plan.placed.map(({ id, startMin }) => [id, deadline.getTime() + startMin * 60_000]),
  );
  return {
    uses: useDays(tasks, plan.steps.value, startOf, pantry),
    made: madeOf(build, plan, plan.steps.value, tasks, startOf, pantry),
  };
}

/** Batches of a cake, with when they are made and last used. */
function madeOf(
  build: Build,
  plan: Plan,
  steps: readonly Step[],
  tasks: readonly DayTask[],
  startOf: ReadonlyMap<string, number>,
  pantry: Pantry,
): MadeBatch[] {
  const larder = withGanaches(build, pantry);
  const taskOf = (key: string): DayTask | undefined =>
    tasks.find(({ stepKeys }) => stepKeys.includes(key));
  const startAt = (key: string): number | undefined => startOf.get(taskOf(key)?.id ?? '');
  /** When the last of the tasks begins that wait for one of these. */
  const lastUse = (keys: readonly string[]): number => {
    const ids = new Set(keys.flatMap((key) => taskOf(key)?.id ?? []));
    const takers = tasks.filter(
      (task) => !ids.has(task.id) && task.after.some(({ id }) => ids.has(id)),
    );
    return Math.max(-Infinity, ...takers.flatMap(({ id }) => startOf.get(id) ?? []));
  };
  return plan.batches.flatMap((batch): MadeBatch[] => {
    const spread = ifThere(() => findRow(larder, 'spreads', batch.spreadId));
    const own = steps.filter(({ line }) => line.batchId === batch.id).map(({ key }) => key);
    const madeAt = startAt(own[0] ?? '');
    const usedBy = lastUse(own);
    if (!spread || batch.mixes === 0 || madeAt === undefined || !Number.isFinite(usedBy)) return [];
    return [
      {
        cakeId: build.id,
        cake: build.name,
        recipeId: spread.recipeId,
        name: batch.name,
        massG: batch.mixes * batch.eachMixG,
        mixes: batch.mixes,
        largestMixG: batch.largestMixG,
        minutesEach: findRow(larder, 'recipes', spread.recipeId).makeMin,
        madeAt,
        usedBy,
        keepsMin: keepingRows[spread.keeping].fridgeMin,
      },
    ];
  });
}
