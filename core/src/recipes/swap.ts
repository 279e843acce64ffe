import { foodOf } from '../pantry/find.ts';
import type { Food, Ingredient, Recipe } from '../pantry/types.ts';

export const keeps = ['mass', 'fat', 'water', 'sugar'] as const;
/** What a swap keeps the same. */
export type Keep = (typeof keeps)[number];

const shareOf: Record<Exclude<Keep, 'mass'>, (food: Food) => number> = {
  fat: (food) => food.fatShare,
  water: (food) => food.waterShare,
  sugar: (food) => food.sugarShare,
};

/** What the swap of an ingredient is about, by what it is mostly made of. */
export function usualKeep(food: Food): Keep {
  if (food.fatShare >= 0.3) return 'fat';
  if (food.sugarShare >= 0.5) return 'sugar';
  return 'mass';
}

/** One ingredient in place of another. Corrections in g: more of it when positive, less when negative. */
export interface Swap {
  massG: number;
  waterG: number;
  fatG: number;
  saltG: number;
  sugarG: number;
}

/**
 * Grams of `to` that stand in for `massG` of `from`, keeping its fat, water or sugar, or its mass;
 * and what is then missing of water, fat, salt and sugar, to be corrected elsewhere.
 */
export function swapFood(from: Food, to: Food, massG: number, keep: Keep): Swap {
  const share = keep === 'mass' ? null : shareOf[keep];
  const has = share ? share(to) : 0;
  const next = share && has > 0.01 ? (massG * share(from)) / has : massG;
  const missing = (part: (food: Food) => number): number => massG * part(from) - next * part(to);
  return {
    massG: next,
    waterG: missing((food) => food.waterShare),
    fatG: missing((food) => food.fatShare),
    saltG: missing((food) => food.saltShare),
    sugarG: missing((food) => food.sugarShare),
  };
}

/**
 * The recipe with one line swapped, and the water that is missing or too much put right in its
 * wettest other line where there is one. The yield follows the total.
 */
export function swapLine(
  recipe: Recipe,
  index: number,
  to: Food,
  keep: Keep,
  foods: readonly Food[],
): { recipe: Recipe; swap: Swap; corrected: string | null } {
  const rowOf = (line: Ingredient): Food | undefined => foodOf(foods, line.foodId);
  const line = recipe.ingredients[index]!;
  const from = rowOf(line);
  const swap = from
    ? swapFood(from, to, line.massG, keep)
    : { massG: line.massG, waterG: 0, fatG: 0, saltG: 0, sugarG: 0 };
  const wet = recipe.ingredients
    .map((other, i) => ({ i, share: rowOf(other)?.waterShare ?? 0, massG: other.massG }))
    .filter(({ i, share, massG }) => i !== index && share > 0.8 && massG > 0)
    .sort((a, b) => b.massG - a.massG)[0];
  const byG = wet ? swap.waterG / wet.share : 0;
  const correct = wet && Math.abs(byG) >= 0.5 && wet.massG + byG > 0 ? wet : null;
  const ingredients = recipe.ingredients.map((each, i): Ingredient => {
    if (i === index) {
      return {
        name: to.name,
        massG: swap.massG,
        ...(to.pieceG === null ? {} : { pieceG: to.pieceG }),
        allergens: [],
        foodId: to.id,
        recipeId: null,
      };
    }
    return i === correct?.i ? { ...each, massG: each.massG + byG } : each;
  });
  const total = (lines: readonly Ingredient[]): number =>
    lines.reduce((sum, l) => sum + l.massG, 0);
  return {
    recipe: {
      ...recipe,
      ingredients,
      yieldG: (recipe.yieldG * total(ingredients)) / total(recipe.ingredients),
    },
    swap,
    corrected: correct ? recipe.ingredients[correct.i]!.name : null,
  };
}
