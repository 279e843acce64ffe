import type { Allergen, Recipe } from '../pantry/types.ts';

export interface ScaledIngredient {
  name: string;
  massG: number;
  /** Whole pieces to open; the mass says how much of them to weigh out. */
  pieces: number | null;
  allergens: Allergen[];
}

export interface ScaledRecipe {
  recipeId: string;
  name: string;
  makesG: number;
  factor: number;
  ingredients: ScaledIngredient[];
  steps: string[];
  caution: string | null;
}

/** A recipe scaled to make `makesG`. Counted pieces round up; their mass stays exact. */
export function scaleRecipe(recipe: Recipe, makesG: number): ScaledRecipe {
  const factor = makesG / recipe.yieldG;
  return {
    recipeId: recipe.id,
    name: recipe.name,
    makesG,
    factor,
    ingredients: recipe.ingredients.map((i) => ({
      name: i.name,
      massG: i.massG * factor,
      pieces: i.pieceG ? Math.ceil((i.massG * factor) / i.pieceG - 1e-9) : null,
      allergens: i.allergens,
    })),
    steps: recipe.steps,
    caution: recipe.caution,
  };
}

/**
 * One list from several scaled recipes, each made `times` over, and from single ingredients; the
 * same ingredient is added up. Largest first.
 */
export function mergeIngredients(
  made: readonly { recipe: ScaledRecipe; times: number }[],
  besides: readonly ScaledIngredient[] = [],
): ScaledIngredient[] {
  const all = new Map<string, ScaledIngredient>();
  const add = (i: ScaledIngredient, times: number): void => {
    const known = all.get(i.name);
    const pieces = i.pieces === null ? null : i.pieces * times;
    if (known) {
      known.massG += i.massG * times;
      known.pieces = known.pieces === null ? pieces : known.pieces + (pieces ?? 0);
    } else all.set(i.name, { ...i, massG: i.massG * times, pieces });
  };
  for (const { recipe, times } of made) for (const i of recipe.ingredients) add(i, times);
  for (const i of besides) add(i, 1);
  return [...all.values()].sort((a, b) => b.massG - a.massG);
}

/** Allergens in a recipe, in the order of the list. */
export const allergensOf = (recipe: Recipe): Allergen[] => [
  ...new Set(recipe.ingredients.flatMap((i) => i.allergens)),
];
