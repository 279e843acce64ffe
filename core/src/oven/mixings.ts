import type { Kitchen, Recipe } from '../pantry/types.ts';
import { byTint, type ColouredBatter } from '../batter/batter-tints.ts';
import type { BakedCake, BakePlan } from '../tins/bake.ts';
import { mixesFor, type TierLoad } from './tier-loads.ts';

/** What a tier bakes, and whether its batter takes nothing that another tier's does not. */
export interface MixedTier {
  tierId: string;
  recipe: Pick<Recipe, 'id' | 'hazards'>;
  /** Batter of the whole tier as it is weighed out, g. */
  makesG: number;
  bake: BakePlan;
  loads: readonly TierLoad[];
  /** Its batter is another than that of other tiers: pieces are folded into it, for one. */
  isApart: boolean;
  /** What each of its cakes is coloured; empty for batter as it is mixed. */
  tintOf: (cake: BakedCake) => string;
}

/** A tier's share of a batter. Masses in g. */
export interface MixingPart {
  tierId: string;
  mixed: readonly BakedCake[];
  /** Of all the tier's batter. */
  share: number;
  makesG: number;
}

/** A batter that is mixed for a load of the oven, by whichever tiers share it, in so many equal mixings. */
export interface BatterMixing {
  load: number;
  recipeId: string;
  parts: MixingPart[];
  makesG: number;
  mixes: number;
  /** What it is divided into where some of it is coloured; one of no colour else. */
  colours: ColouredBatter[];
}

const sumOf = (cakes: readonly BakedCake[], of: (cake: BakedCake) => number): number =>
  cakes.reduce((sum, cake) => sum + of(cake), 0);

/**
 * The batters of a build (docs/model.md#oven-loads-and-batter-that-waits): tiers of one recipe that bake in
 * one load share a batter, unless something is folded into one of them. In the order of the tiers.
 */
export function batterMixings(
  tiers: readonly MixedTier[],
  kitchen: Pick<Kitchen, 'mixerMl'>,
): BatterMixing[] {
  const groups = new Map<string, { recipe: MixedTier['recipe']; ml: number; of: BatterMixing }>();
  for (const { tierId, recipe, makesG, bake, loads, isApart, tintOf } of tiers)
    for (const { index, mixed } of loads) {
      if (mixed.length === 0) continue;
      const share = bake.batterG > 0 ? sumOf(mixed, (cake) => cake.batterG) / bake.batterG : 1;
      const part = { tierId, mixed, share, makesG: makesG * share };
      const key = `${index}/${isApart ? tierId : ''}/${recipe.id}`;
      const known = groups.get(key);
      const colours = mixed.map((cake) => ({
        tint: tintOf(cake),
        massG: cake.batterG + cake.foldedG,
      }));
      const ml = sumOf(mixed, ({ batterMl }) => batterMl);
      if (known) {
        known.ml += ml;
        known.of.parts.push(part);
        known.of.makesG += part.makesG;
        known.of.colours.push(...colours);
      } else {
        const of = {
          load: index,
          recipeId: recipe.id,
          parts: [part],
          makesG: part.makesG,
          colours,
        };
        groups.set(key, { recipe, ml, of: { ...of, mixes: 1 } });
      }
    }
  return [...groups.values()].map(({ recipe, ml, of }) => ({
    ...of,
    colours: byTint(of.colours),
    mixes: mixesFor(ml, recipe, kitchen),
  }));
}
