import type { Build } from '../document/types.ts';
import type { Allergen, Pantry } from '../pantry/types.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import { correctionsFor, type Corrections, noCorrections } from '../hand/corrections.ts';
import { planBuying } from '../plan/buying.ts';
import { planBuild } from '../plan/plan.ts';
import { nothingCarved } from '../plan/shape.ts';
import type { CakeDays } from './cake-days.ts';
import { bakedTogether, type BakedTogether } from './baked-together.ts';
import { madeTogether, type Together } from './made-together.ts';
import { usedOver, type UsedOver } from './used-over.ts';
import { addDays } from '../units/days.ts';
import { shoppingList, type ShoppingBuild, type ShoppingList } from './shopping.ts';

/** One cake on the list with what its label says. */
export interface ShoppedBuild {
  id: string;
  name: string;
  useOn: string | null;
  allergens: Allergen[];
  mayContain: Allergen[];
  unknown: string[];
  /** Why nothing of it is on the list; null when all is well. */
  problem: string | null;
}

export interface ShoppingPlan extends ShoppingList {
  builds: ShoppedBuild[];
  /** Bowls that several of the cakes take and that can be made at once. */
  together: Together[];
  /** Layers of one batter that several of them take and that can be baked at once. */
  baked: BakedTogether[];
  /** What is over of one and goes into another. */
  usedOver: UsedOver[];
}

/**
 * The shopping for several cakes. Where the days of a cake are planned, each thing is bought for the day
 * it is used; work on any other begins so many days before it is served. A cake that
 * cannot be planned is named with its problem and leaves the others alone.
 */
export function planShopping(
  builds: readonly Build[],
  pantry: Pantry,
  leadDays: number,
  carved: CarveAnswers = nothingCarved,
  corrections: Corrections = noCorrections,
  days: Readonly<Record<string, CakeDays | null>> = {},
): ShoppingPlan {
  const shopped: ShoppedBuild[] = [];
  const lists: ShoppingBuild[] = [];
  for (const build of builds) {
    const { shape, ingredients } = planBuying(
      build,
      pantry,
      carved,
      correctionsFor(build, corrections),
    );
    const { id, name, brief } = build;
    const useOn = brief.serveAt === null ? null : addDays(brief.serveAt.slice(0, 10), -leadDays);
    if (ingredients.ok)
      lists.push({ id, name, useOn, days: days[id]?.uses ?? null, ingredients: ingredients.value });
    shopped.push({
      id,
      name,
      useOn,
      allergens: shape.allergens,
      mayContain: shape.mayContain,
      unknown: shape.unknownLines,
      problem: ingredients.ok ? null : ingredients.problem,
    });
  }
  const known = builds.flatMap(({ id }) => days[id] ?? []);
  const made = known.flatMap((one) => one.made);
  const together = madeTogether(made, pantry.kitchen.washMin);
  const holds = new Map(shopped.map(({ id, allergens }) => [id, allergens]));
  return {
    ...shoppingList(lists, pantry.foods),
    builds: shopped,
    together,
    baked: bakedTogether(
      known.flatMap((one) => one.baked),
      pantry.kitchen,
    ),
    usedOver: usedOver(
      known.flatMap(({ over }) => over),
      made,
      together,
      holds,
    ),
  };
}

/** What one cake costs, work and dowels included; null where its price could not be computed. */
export interface CakePrice {
  id: string;
  total: number | null;
  perServing: number | null;
}

/** The price of each of several cakes: takes the whole plan of each, so it is asked apart from the list. */
export const pricesOf = (
  builds: readonly Build[],
  pantry: Pantry,
  carved: CarveAnswers = nothingCarved,
  corrections: Corrections = noCorrections,
): CakePrice[] =>
  builds.map((build) => {
    const { price } = planBuild(build, pantry, carved, correctionsFor(build, corrections));
    return { id: build.id, total: price?.total ?? null, perServing: price?.perServing ?? null };
  });
