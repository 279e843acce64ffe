import type { Tier } from '../document/types.ts';
import { factorOf, type Corrections } from '../hand/corrections.ts';
import { findRow } from '../pantry/find.ts';
import type { Sponge, Tin } from '../pantry/types.ts';
import type { TierWork } from '../plan/work.ts';
import type { FigurePage } from '../working/figures.ts';
import { ifThere } from '../working/staged.ts';
import { planBake, type BakePlan } from './bake.ts';
import { enterBake } from './bake-figures.ts';
import { bakeFromStock } from './bake-from-stock.ts';
import { warnOfBake } from './bake-cautions.ts';

/** The baking of one tier with its sponge as it rises in these hands, and the oven as it is known. */
export function bakeTier(tier: Tier, work: TierWork): BakePlan {
  const { pantry, book, cautions, withTimes, corrections } = work;
  const row: Sponge = findRow(pantry, 'sponges', tier.spongeId);
  const rise = factorOf(corrections, 'rise');
  const sponge = rise === 1 ? row : { ...row, rise: row.rise * rise };
  if (tier.stockId !== null)
    return bakeFromStock(tier, row, findRow(pantry, 'stock', tier.stockId));
  const tin: Tin = findRow(pantry, 'tins', tier.tinId);
  const recipe = ifThere(() => findRow(pantry, 'recipes', sponge.recipeId));
  const plan = inOwnOven(
    planBake(tier, sponge, tin, recipe, pantry.kitchen, pantry.foods, withTimes),
    factorOf(corrections, 'bake'),
  );
  book.later((page) => {
    enterBake(page, tier, sponge, tin, recipe, pantry.kitchen, plan);
    tellHand(tier, plan, corrections, page);
  });
  warnOfBake(tier, sponge, tin, plan, pantry.tins, cautions);
  return plan;
}

/** The times of a bake in an oven that is known to take longer, or less. */
const inOwnOven = (plan: BakePlan, by: number): BakePlan =>
  by === 1
    ? plan
    : {
        ...plan,
        cakes: plan.cakes.map((cake) => ({
          ...cake,
          window: cake.window && {
            ...cake.window,
            minutes: cake.window.minutes * by,
            fromMin: cake.window.fromMin * by,
            toMin: cake.window.toMin * by,
          },
        })),
      };

/** Says in the workings where the hand moved the batter and the minutes of the oven. */
function tellHand(tier: Tier, plan: BakePlan, corrections: Corrections, page: FigurePage): void {
  for (const { index } of plan.cakes) {
    const at = `${tier.id}/cake/${index}`;
    page.move(`${at}/batter`, 'how high your cakes rise', corrections.rise);
    page.move(`${at}/minutes`, 'your oven', corrections.bake);
  }
}
