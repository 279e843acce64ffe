import type { FoodPrep, PrepWay } from './types.ts';

/** An ingredient made ready: what it weighs as bought, what it is put in, and what drains off it. Grams. */
export interface Prepared {
  boughtG: number;
  /** Once stalks, peel and stones are off. */
  cleanG: number;
  /** Sugar strewn on it or hot water poured over it. */
  inG: number;
  readyG: number;
}

/** What so much of an ingredient, as it is used, begins as. */
export function preparedFrom(
  readyG: number,
  { leftShare, drainedShare, inShare }: FoodPrep,
): Prepared {
  const cleanG = readyG / drainedShare;
  return { boughtG: cleanG / leftShare, cleanG, inG: cleanG * inShare, readyG };
}

/** What a recipe says in its own steps, where it is wanted. */
const ownWays: readonly PrepWay[] = ['sugar', 'soak'];

/** How an ingredient is made ready for its use; null where it goes in as it is bought. */
export const prepFor = (prep: FoodPrep | null | undefined, inRecipe: boolean): FoodPrep | null =>
  !prep || (inRecipe && prep.ways.some((way) => ownWays.includes(way))) ? null : prep;
