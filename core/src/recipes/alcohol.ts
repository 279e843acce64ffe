import { foodOf } from '../pantry/find.ts';
import type { Food, Recipe } from '../pantry/types.ts';

/** Recipes, and what they are made of. */
export interface RecipeBook {
  recipes: readonly Recipe[];
  foods: readonly Food[];
}

/** Density of pure alcohol, g/mL (textbook). */
export const ethanolGPerMl = 0.789;

/**
 * Alcohol in a recipe, as a share of what it yields by mass: all that its ingredients bring, and those of
 * the recipes in it. What boils away is not taken off, so that it errs on the safe side; at most 1.
 */
export function alcoholShareOf(
  recipe: Recipe,
  book: RecipeBook,
  seen: readonly string[] = [],
): number {
  if (recipe.yieldG <= 0 || seen.includes(recipe.id)) return 0;
  const within = [...seen, recipe.id];
  const alcoholG = recipe.ingredients.reduce((sum, { massG, foodId, recipeId }) => {
    const part = recipeId === null ? undefined : book.recipes.find(({ id }) => id === recipeId);
    const share = part
      ? alcoholShareOf(part, book, within)
      : (foodOf(book.foods, foodId)?.alcoholShare ?? 0);
    return sum + massG * share;
  }, 0);
  return Math.min(1, alcoholG / recipe.yieldG);
}

/** The same of its volume, as bottles say it. @param gPerMl of the whole */
export const alcoholByVolume = (massShare: number, gPerMl: number): number =>
  Math.min(1, (massShare * gPerMl) / ethanolGPerMl);
