import { foodOf } from '../pantry/find.ts';
import type { Board, Food, Kitchen } from '../pantry/types.ts';
import type { CutFrom } from '../support/shopping-list.ts';
import { wholePieces, type ScaledIngredient } from '../recipes/scale.ts';
import { FigureBook, given } from '../working/figures.ts';

/** What a build costs to make, in the user's currency. */
export interface Price {
  ingredients: number;
  /** What layers and bowls were made of that were put away before. */
  putAway: number;
  /** With what stands in the cake. */
  board: number;
  labour: number;
  total: number;
  perServing: number | null;
  /** Ingredients and boards without a price. */
  unpriced: string[];
}

/**
 * Price of so many grams by the pack's price; null when it has none. Things that are free (water)
 * cost nothing.
 */
export function costOf(food: Food, massG: number): number | null {
  if (food.price === 0) return 0;
  if (food.price === null || food.packG === null) return null;
  return (food.price * massG) / food.packG;
}

/** The ingredient that is bought for a line: a yolk's is the egg, a whole one for each. */
export function boughtFor(
  line: Pick<ScaledIngredient, 'massG' | 'foodId' | 'pieces'>,
  foods: readonly Food[],
): { food: Food; massG: number } | null {
  const food = foodOf(foods, line.foodId);
  if (!food) return null;
  const whole = foodOf(foods, food.boughtAs);
  if (!whole || food.pieceG === null || whole.pieceG === null)
    return {
      food,
      massG: line.pieces !== null && food.pieceG ? line.pieces * food.pieceG : line.massG,
    };
  return {
    food: whole,
    massG: (line.pieces ?? wholePieces(line.massG, food.pieceG)) * whole.pieceG,
  };
}

/** What ingredients cost, by their packs; those without a price are added to `unpriced`. */
function costOfAll(
  ingredients: readonly ScaledIngredient[],
  foods: readonly Food[],
  unpriced: Set<string>,
): number {
  let sum = 0;
  for (const line of ingredients) {
    const bought = boughtFor(line, foods);
    const cost = bought ? costOf(bought.food, bought.massG) : null;
    if (cost === null) unpriced.add(line.name);
    else sum += cost;
  }
  return sum;
}

/** Ingredients used, those of what was put away before, the board, and the hands' minutes at the kitchen's hourly rate. */
export function priceOf(
  ingredients: readonly ScaledIngredient[],
  putAway: readonly ScaledIngredient[],
  foods: readonly Food[],
  board: Board | null,
  sticks: readonly CutFrom[],
  handsOnMin: number,
  servings: number,
  kitchen: Kitchen,
  book: FigureBook,
): Price {
  const unpriced = new Set<string>();
  const used = costOfAll(ingredients, foods, unpriced);
  const before = costOfAll(putAway, foods, unpriced);
  if (board && board.price === null) unpriced.add(board.name);
  // of a pack the share that is cut up, as of an ingredient
  let wood = 0;
  for (const { row, needed } of sticks)
    if (row.price === null) unpriced.add(row.name);
    else wood += (needed * row.price) / row.packCount;
  const boardCost = (board?.price ?? 0) + wood;
  const labour = (handsOnMin / 60) * kitchen.hourlyRate;
  const total = used + before + boardCost + labour;
  book.later((page) =>
    page.add(
      'price',
      'Cost',
      total,
      'money',
      'Each ingredient by its pack’s price, those of layers and bowls put away before, the board with dowels and rod, and the hands-on time at your hourly rate. What has no price is left out and named.',
      [
        given('ingredients', used, 'money'),
        given('ingredients of what was put away', before, 'money'),
        given('board, dowels, rod', boardCost, 'money'),
        given('hands-on time', handsOnMin, 'minutes'),
        given('an hour', kitchen.hourlyRate, 'money'),
        given('without a price', unpriced.size, 'count'),
      ],
    ),
  );
  return {
    ingredients: used,
    putAway: before,
    board: boardCost,
    labour,
    total,
    perServing: servings > 0 ? total / servings : null,
    unpriced: [...unpriced],
  };
}
