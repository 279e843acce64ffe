import type { Tier } from '../document/types.ts';
import {
  alcoholByVolume,
  alcoholShareOf,
  ethanolGPerMl,
  type RecipeBook,
} from '../recipes/alcohol.ts';
import { soakIdOf, syrupGPerMl, type SoakPlan } from './soak.ts';

/** Stronger than this it bites, and burns near a torch, share of its volume (trade custom). */
export const mostAlcohol = 0.2;

/** Alcohol in what a tier is soaked with. */
export interface SoakAlcohol {
  /** Share of its volume, as bottles say it; 0 for none. */
  byVolume: number;
  /** In all of the tier, and in one of its servings, g. */
  massG: number;
  servingG: number;
  /** Plain syrup into each gram of it that brings it down to the strongest that is usual, g; 0 where it is not over it. */
  dilution: number;
}

/** What stays in the cake of the alcohol that is brushed on: all of it, as nothing is baked after. */
export function soakAlcohol(
  tier: Pick<Tier, 'soakId'>,
  soak: readonly Pick<SoakPlan, 'massG'>[],
  book: RecipeBook,
  servings = 1,
): SoakAlcohol {
  const recipe = book.recipes.find(({ id }) => id === soakIdOf(tier));
  const share = recipe ? alcoholShareOf(recipe, book) : 0;
  const gPerMl = recipe?.soakGPerMl ?? syrupGPerMl;
  const massG = share * soak.reduce((sum, each) => sum + each.massG, 0);
  return {
    byVolume: alcoholByVolume(share, gPerMl),
    massG,
    servingG: massG / Math.max(1, servings),
    dilution: dilution(share, gPerMl),
  };
}

/** By mass balance, volumes added: what is missing of the volume in which so much alcohol is no stronger. */
function dilution(massShare: number, gPerMl: number): number {
  const missingMl = massShare / ethanolGPerMl / mostAlcohol - 1 / gPerMl;
  return Math.max(0, missingMl * syrupGPerMl);
}
