import type { Allergen, Food, Recipe } from '../pantry/types.ts';

export interface ScaledIngredient {
  name: string;
  massG: number;
  /** Whole pieces to open; the mass says how much of them to weigh out. */
  pieces: number | null;
  /**
   * With whole pieces only: the nearest count, and the grams that are then missing (made up with
   * water or milk) or too much (left out).
   */
  nearest: { pieces: number; makeUpG: number } | null;
  allergens: Allergen[];
  foodId: string | null;
  recipeId: string | null;
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

/** A sum within this share of a whole piece is that many pieces: 2.1 eggs are two. */
const nearlyWhole = 0.1;

/** Whole pieces to open for a mass: the next above, or the one it comes to within a tenth. */
export const wholePieces = (massG: number, pieceG: number): number =>
  massG <= 0 ? 0 : Math.max(1, Math.ceil(massG / pieceG - nearlyWhole - 1e-9));

const nearestPieces = (massG: number, pieceG: number): ScaledIngredient['nearest'] => {
  const pieces = Math.max(1, Math.round(massG / pieceG));
  return { pieces, makeUpG: massG - pieces * pieceG };
};

/** A recipe scaled to make `makesG`. Pieces are counted whole; their mass stays exact. */
export function scaleRecipe(recipe: Recipe, makesG: number): ScaledRecipe {
  const factor = makesG / recipe.yieldG;
  return {
    recipeId: recipe.id,
    name: recipe.name,
    makesG,
    factor,
    ingredients: recipe.ingredients.map((i) => {
      const massG = i.massG * factor;
      return {
        name: i.name,
        massG,
        pieces: i.pieceG ? wholePieces(massG, i.pieceG) : null,
        nearest: i.pieceG && massG > 0 ? nearestPieces(massG, i.pieceG) : null,
        allergens: i.allergens,
        foodId: i.foodId,
        recipeId: i.recipeId,
      };
    }),
    steps: recipe.steps,
    caution: recipe.caution,
  };
}

/** Grams as they are weighed: the smallest multiple of 5 that is not less. */
export const weighedUp = (g: number): number => Math.ceil(g / 5 - 1e-9) * 5;

/**
 * The recipes that so many mixings are made of, and those that they are made of, each once and in the
 * order in which they are made. Each is weighed by 5 g. A recipe within itself is left out.
 */
export function scaledParts(
  whole: ScaledRecipe,
  mixes: number,
  recipes: readonly Recipe[],
): ScaledRecipe[] {
  const wanted = new Map<string, number>();
  const order: Recipe[] = [];
  const visit = (ids: readonly (string | null)[], path: readonly string[]): void => {
    for (const id of ids) {
      const recipe = recipes.find((row) => row.id === id);
      if (!recipe || path.includes(recipe.id) || order.includes(recipe)) continue;
      visit(
        recipe.ingredients.map(({ recipeId }) => recipeId),
        [...path, recipe.id],
      );
      order.push(recipe);
    }
  };
  visit(
    whole.ingredients.map(({ recipeId }) => recipeId),
    [whole.recipeId],
  );
  const want = ({ ingredients }: ScaledRecipe, times: number): void => {
    for (const { recipeId, massG } of ingredients)
      if (recipeId !== null) wanted.set(recipeId, (wanted.get(recipeId) ?? 0) + massG * times);
  };
  want(whole, mixes);
  // what is made last says how much of what is made before it goes in
  const made = [...order].reverse().map((recipe) => {
    const part = scaleRecipe(recipe, weighedUp(wanted.get(recipe.id) ?? 0));
    want(part, 1);
    return part;
  });
  return made.reverse();
}

/** A line that is no part of a recipe, such as pieces between layers. */
export const looseIngredient = (
  name: string,
  massG: number,
  allergens: Allergen[],
  food: Food | null = null,
): ScaledIngredient => ({
  name: food?.name ?? name,
  massG,
  pieces: food?.pieceG ? wholePieces(massG, food.pieceG) : null,
  nearest: null,
  allergens,
  foodId: food?.id ?? null,
  recipeId: null,
});

/** One list: the same ingredient is added up. Largest first. */
export function mergeIngredients(all: readonly ScaledIngredient[]): ScaledIngredient[] {
  const merged = new Map<string, ScaledIngredient>();
  for (const line of all) {
    const key = line.foodId ?? line.name;
    const known = merged.get(key);
    if (known) {
      known.massG += line.massG;
      if (line.pieces !== null) known.pieces = (known.pieces ?? 0) + line.pieces;
    } else merged.set(key, { ...line, nearest: null });
  }
  return [...merged.values()].sort((a, b) => b.massG - a.massG);
}
