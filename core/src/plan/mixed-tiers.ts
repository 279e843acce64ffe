import { isFoldedIn } from '../batter/pieces.ts';
import type { Build } from '../document/types.ts';
import type { OvenPlan } from '../oven/loads.ts';
import type { MixedTier } from '../oven/mixings.ts';
import { tierLoads } from '../oven/tier-loads.ts';
import { findRow } from '../pantry/find.ts';
import type { Pantry } from '../pantry/types.ts';
import { valueOf } from '../working/staged.ts';
import type { TierPlan } from './tier-plan.ts';

/** What each tier that bakes is mixed from, for the loads of the oven. */
export const mixedTiers = (
  build: Build,
  tiers: readonly Pick<TierPlan, 'bake' | 'batterRecipe'>[],
  oven: OvenPlan | null,
  pantry: Pantry,
): MixedTier[] =>
  build.tiers.flatMap((tier, i): MixedTier[] => {
    const bake = valueOf(tiers[i]!.bake);
    const batter = valueOf(tiers[i]!.batterRecipe);
    if (!bake || !batter || bake.cakes.length === 0) return [];
    const sponge = findRow(pantry, 'sponges', tier.spongeId);
    const tin = findRow(pantry, 'tins', tier.tinId);
    return [
      {
        tierId: tier.id,
        recipe: findRow(pantry, 'recipes', sponge.recipeId),
        makesG: batter.makesG,
        bake,
        loads: tierLoads(tier.id, tin, bake, oven, pantry.kitchen, sponge.waitMin),
        // what was weighed, or goes in at temperatures of its own, is a batter of its own
        isApart: tier.inclusions.some(isFoldedIn) || tier.bowl !== null || tier.temps.length > 0,
        tintOf: ({ layers }) => tier.layers[layers[0]!]!.tint.trim(),
      },
    ];
  });
