import type { Food } from '../pantry/types.ts';

/** A chocolate by what it is made of, as shares of its mass. */
export interface Chocolate {
  name: string;
  cocoaButter: number;
  nonFatCocoa: number;
  milkFat: number;
  /** Fats other than cocoa butter, in compound. */
  otherFat: number;
}

/** A liquid to make a ganache with, by fat and water. */
export interface Cream {
  name: string;
  fat: number;
  water: number;
}

/** Butter, in the same terms. */
export const butterParts = { fat: 0.82, water: 0.16 };

/** The ingredient as a chocolate; null where it is none. */
export const chocolateOf = (food: Food | undefined): Chocolate | null =>
  food?.cocoa
    ? {
        name: food.name,
        cocoaButter: food.cocoa.butter,
        nonFatCocoa: food.cocoa.nonFat,
        milkFat: food.cocoa.milkFat,
        otherFat: food.cocoa.otherFat,
      }
    : null;

/** Fat that a ganache's cream can have, and water that it must (above it is butter, below it is milk). */
export const creamFat = { min: 0.1, max: 0.6 } as const;

/** The ingredient as a cream, whatever its fat; null where it holds no water. */
export const creamOf = (food: Food | undefined): Cream | null =>
  food && food.waterShare > 0
    ? { name: food.name, fat: food.fatShare, water: food.waterShare }
    : null;

/** Ingredients that are offered as the cream of a ganache: as fat as cream, and wet. */
export const isCream = (food: Food): boolean =>
  food.cocoa === null &&
  food.waterShare >= 0.35 &&
  food.fatShare >= creamFat.min &&
  food.fatShare <= creamFat.max &&
  food.sugarShare < 0.1 &&
  food.pieceG === null;

export type ChocolateKind = 'dark' | 'milk' | 'white' | 'compound';

export const kindOfChocolate = (chocolate: Chocolate): ChocolateKind => {
  if (chocolate.otherFat > 0.05) return 'compound';
  if (chocolate.milkFat < 0.02) return 'dark';
  return chocolate.nonFatCocoa > 0.01 ? 'milk' : 'white';
};

/** Usual temperatures: to melt, to cool to, to work at, C (trade custom). */
export interface Tempering {
  meltC: readonly [number, number];
  coolC: readonly [number, number];
  workC: readonly [number, number];
}
const temperings: Record<Exclude<ChocolateKind, 'compound'>, Tempering> = {
  dark: { meltC: [45, 50], coolC: [27, 28], workC: [31, 32] },
  milk: { meltC: [40, 45], coolC: [26, 27], workC: [29, 30] },
  white: { meltC: [40, 43], coolC: [25, 26], workC: [28, 29] },
};

/** How it is tempered; null for compound, which is not. */
export const temperingOf = (chocolate: Chocolate): Tempering | null => {
  const kind = kindOfChocolate(chocolate);
  return kind === 'compound' ? null : temperings[kind];
};
