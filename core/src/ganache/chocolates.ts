import type { Source } from '../pantry/types.ts';

/** A chocolate by what it is made of, as shares of its mass (data appendix). */
export interface Chocolate {
  id: string;
  name: string;
  kind: 'dark' | 'milk' | 'white' | 'compound';
  cocoaButter: number;
  nonFatCocoa: number;
  sugar: number;
  milkSolids: number;
  milkFat: number;
  /** Fats other than cocoa butter, in compound. */
  otherFat: number;
  /** Usual temperatures: to melt, to cool to, to work at, C; null where it is not tempered. */
  temper: { meltC: [number, number]; coolC: [number, number]; workC: [number, number] } | null;
  source: Source;
}

const chocolate = (
  id: string,
  name: string,
  kind: Chocolate['kind'],
  [cocoaButter, nonFatCocoa, sugar, milkSolids, milkFat]: [number, number, number, number, number],
  temper: Chocolate['temper'],
  otherFat = 0,
): Chocolate => ({
  id,
  name,
  kind,
  cocoaButter,
  nonFatCocoa,
  sugar,
  milkSolids,
  milkFat,
  otherFat,
  temper,
  source: 'trade custom',
});

const dark: Chocolate['temper'] = { meltC: [45, 50], coolC: [27, 28], workC: [31, 32] };

export const chocolates: Chocolate[] = [
  chocolate('dark-55', 'dark chocolate 55 %', 'dark', [0.34, 0.21, 0.45, 0, 0], dark),
  chocolate('dark-70', 'dark chocolate 70 %', 'dark', [0.41, 0.29, 0.3, 0, 0], dark),
  chocolate('milk', 'milk chocolate', 'milk', [0.27, 0.06, 0.46, 0.15, 0.06], {
    meltC: [40, 45],
    coolC: [26, 27],
    workC: [29, 30],
  }),
  chocolate('white', 'white chocolate', 'white', [0.29, 0, 0.47, 0.17, 0.07], {
    meltC: [40, 43],
    coolC: [25, 26],
    workC: [28, 29],
  }),
  chocolate('compound', 'compound coating', 'compound', [0, 0.14, 0.55, 0, 0], null, 0.31),
];

/** A liquid to make a ganache with, by fat and water. */
export interface Cream {
  id: string;
  name: string;
  fat: number;
  water: number;
}
export const creams: Cream[] = [
  { id: 'cream-18', name: 'single cream 18 %', fat: 0.18, water: 0.75 },
  { id: 'cream-30', name: 'whipping cream 30 %', fat: 0.3, water: 0.63 },
  { id: 'cream-35', name: 'whipping cream 35 %', fat: 0.35, water: 0.59 },
  { id: 'cream-48', name: 'double cream 48 %', fat: 0.48, water: 0.47 },
  { id: 'creme-fraiche', name: 'creme fraiche', fat: 0.3, water: 0.62 },
  { id: 'coconut', name: 'coconut cream', fat: 0.22, water: 0.72 },
];
/** Butter, in the same terms. */
export const butterParts = { fat: 0.82, water: 0.16 };
