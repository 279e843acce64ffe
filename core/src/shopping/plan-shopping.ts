import type { Build } from '../build/types.ts';
import type { Allergen, Pantry } from '../pantry/types.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import { movesFor, type HandMoves, noMoves } from '../hand/moves.ts';
import { nothingCarved } from '../plan-shape.ts';
import { planBuild } from '../plan.ts';
import { addDays, shoppingList, type ShoppingBuild, type ShoppingList } from './shopping.ts';

/** One cake on the list with what its label says. */
export interface ShoppedBuild {
  id: string;
  name: string;
  useOn: string | null;
  cost: number | null;
  perServing: number | null;
  allergens: Allergen[];
  mayContain: Allergen[];
  unknown: string[];
  /** Why nothing of it is on the list; null when all is well. */
  problem: string | null;
}

export interface ShoppingPlan extends ShoppingList {
  builds: ShoppedBuild[];
}

/**
 * The shopping for several cakes. Work on each begins so many days before it is served. A cake that
 * cannot be planned is named with its problem and leaves the others alone.
 */
export function planShopping(
  builds: readonly Build[],
  pantry: Pantry,
  leadDays: number,
  carved: CarveAnswers = nothingCarved,
  moves: HandMoves = noMoves,
): ShoppingPlan {
  const shopped: ShoppedBuild[] = [];
  const lists: ShoppingBuild[] = [];
  for (const build of builds) {
    const plan = planBuild(build, pantry, false, carved, movesFor(build, moves));
    const { id, name, brief } = build;
    const useOn = brief.serveAt === null ? null : addDays(brief.serveAt.slice(0, 10), -leadDays);
    if (plan.ingredients.ok) lists.push({ id, name, useOn, ingredients: plan.ingredients.value });
    shopped.push({
      id,
      name,
      useOn,
      cost: plan.price?.total ?? null,
      perServing: plan.price?.perServing ?? null,
      allergens: plan.allergens,
      mayContain: plan.mayContain,
      unknown: plan.unknownLines,
      problem: plan.ingredients.ok ? null : plan.ingredients.problem,
    });
  }
  return { ...shoppingList(lists, pantry.foods), builds: shopped };
}
