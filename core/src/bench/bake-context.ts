import type { Colour, Tier } from '../document/types.ts';
import type { BatterMixing } from '../oven/mixings.ts';
import type { TierLoad } from '../oven/tier-loads.ts';
import type { Pantry, Recipe, Sponge, Tin } from '../pantry/types.ts';
import type { ScaledRecipe } from '../recipes/scale.ts';
import type { TierTimes } from '../times/tier-times.ts';
import type { BakedCake, BakePlan } from '../tins/bake.ts';
import { loadKey } from '../workflow/step-keys.ts';

/** What the cakes of a tier are baked from, and in which loads. */
export interface BakeContext {
  tier: Tier;
  sponge: Sponge;
  tin: Tin;
  recipe: Recipe;
  scaled: ScaledRecipe;
  bake: BakePlan;
  loads: readonly TierLoad[];
  /** Batters of all tiers, and what the tiers are called. */
  mixings: readonly BatterMixing[];
  tierNames: ReadonlyMap<string, string>;
  colours: readonly Colour[];
  times: TierTimes;
  pantry: Pantry;
}

/** The key of a step about some of a tier's cakes. */
export const keyOf = (
  { tier, bake }: BakeContext,
  what: string,
  cakes: readonly BakedCake[],
): string =>
  loadKey(
    tier,
    what,
    cakes.map(({ layers }) => layers[0]!),
    cakes.length === bake.cakes.length,
  );
