import type { Step } from '../bench/steps.ts';
import type { Build } from '../document/types.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import { keepingRows } from '../day/keeping.ts';
import { planDays } from '../day/plan-days.ts';
import type { DayTask, Placed } from '../day/types.ts';
import { withGanaches } from '../finish/ganache-recipe.ts';
import { type Corrections, noCorrections } from '../hand/corrections.ts';
import { findRow } from '../pantry/find.ts';
import type { Pantry } from '../pantry/types.ts';
import type { Plan } from '../plan/plan-types.ts';
import { nothingCarved } from '../plan/shape.ts';
import { ifThere, valueOf } from '../working/staged.ts';
import type { BakedBatch } from './baked-together.ts';
import { groupedBy } from '../working/grouped.ts';
import type { MadeBatch } from './made-together.ts';
import type { OverBatch } from './used-over.ts';
import { useDays, type UseDays } from './use-days.ts';

/** What the plan of a cake's own days says to shopping: when it takes what, when it makes and bakes what, and what of it is over. */
export interface CakeDays {
  uses: UseDays;
  made: MadeBatch[];
  baked: BakedBatch[];
  /** What is over of its bowls. */
  over: OverBatch[];
}

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
  const days = planDays(build, pantry, carved, corrections);
  if (!days) return null;
  const { plan, steps, tasks, placed, deadline } = days;
  const timesOf = (at: (one: Placed) => number): ReadonlyMap<string, number> =>
    new Map(placed.map((one) => [one.id, deadline.getTime() + at(one) * 60_000]));
  const startOf = timesOf(({ startMin }) => startMin);
  const handsOffOf = timesOf(({ handsEndMin }) => handsEndMin);
  return {
    uses: useDays(tasks, steps, startOf, pantry),
    made: madeOf(build, plan, steps, tasks, startOf, pantry),
    baked: bakedOf(build, plan, tasks, startOf, pantry),
    over: overOf(build, plan, steps, tasks, handsOffOf, pantry),
  };
}

/** Tiers that bake, by the recipe of their batter. */
function bakedOf(
  build: Build,
  plan: Plan,
  tasks: readonly DayTask[],
  startOf: ReadonlyMap<string, number>,
  pantry: Pantry,
): BakedBatch[] {
  const own = build.tiers.flatMap((tier, i) => {
    const bake = valueOf(plan.tiers[i]!.bake);
    // what holds pieces is a batter of its own
    if (!bake || bake.cakes.length === 0 || tier.inclusions.length > 0) return [];
    const sponge = findRow(pantry, 'sponges', tier.spongeId);
    const tin = findRow(pantry, 'tins', tier.tinId);
    return [{ recipeId: sponge.recipeId, tier: { tierId: tier.id, sponge, tin, bake } }];
  });
  return [...groupedBy(own, ({ recipeId }) => recipeId)].flatMap(
    ([recipeId, some]): BakedBatch[] => {
      const baking = some.map(({ tier }) => tier);
      const bakes = tasks.filter((task) =>
        task.bakes?.some((id) => baking.some(({ tierId }) => tierId === id)),
      );
      const bakedAt = Math.min(...bakes.flatMap(({ id }) => startOf.get(id) ?? []));
      const usedBy = lastTaken(new Set(bakes.map(({ id }) => id)), tasks, startOf);
      if (!Number.isFinite(bakedAt) || !Number.isFinite(usedBy)) return [];
      const { id, name, hazards } = findRow(pantry, 'recipes', recipeId);
      const recipe = { id, name, hazards };
      return [{ cakeId: build.id, cake: build.name, recipe, baking, bakedAt, usedBy }];
    },
  );
}

/** When the last of the tasks begins, or has hands off, that wait for some others. */
function lastTaken(
  ids: ReadonlySet<string>,
  tasks: readonly DayTask[],
  timeOf: ReadonlyMap<string, number>,
): number {
  const takers = tasks.filter(
    (task) => !ids.has(task.id) && task.after.some(({ id }) => ids.has(id)),
  );
  return Math.max(-Infinity, ...takers.flatMap(({ id }) => timeOf.get(id) ?? []));
}

/** What is over of bowls without a colour, and what ran off into the tray, from when the last of them is used. */
function overOf(
  build: Build,
  plan: Plan,
  steps: readonly Step[],
  tasks: readonly DayTask[],
  handsOffOf: ReadonlyMap<string, number>,
  pantry: Pantry,
): OverBatch[] {
  const larder = withGanaches(build, pantry);
  return (valueOf(plan.bowls) ?? []).flatMap((bowl): OverBatch[] => {
    const spread = ifThere(() => findRow(larder, 'spreads', bowl.spreadId));
    const keys = new Set(
      steps.filter(({ line }) => line.batchId === bowl.batchId).map(({ key }) => key),
    );
    const ids = new Set(
      tasks.filter(({ stepKeys }) => stepKeys.some((key) => keys.has(key))).map(({ id }) => id),
    );
    const fromAt = lastTaken(ids, tasks, handsOffOf);
    if (!spread || bowl.tint.trim() || !Number.isFinite(fromAt)) return [];
    const { recipeId, name, keeping } = spread;
    const ranOffG = bowl.uses.reduce((sum, use) => sum + (use.kind === 'tray' ? use.massG : 0), 0);
    const of = (kind: OverBatch['kind'], massG: number): OverBatch[] =>
      massG > 0
        ? [{ cakeId: build.id, cake: build.name, recipeId, name, kind, massG, fromAt, keepsMin: keepingRows[keeping].fridgeMin }] // prettier-ignore
        : [];
    return [...of('left', bowl.leftG), ...of('run-off', ranOffG)];
  });
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
  const lastUse = (keys: readonly string[]): number =>
    lastTaken(new Set(keys.flatMap((key) => taskOf(key)?.id ?? [])), tasks, startOf);
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
