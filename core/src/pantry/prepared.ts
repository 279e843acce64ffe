import type { FoodPrep } from './types.ts';

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
