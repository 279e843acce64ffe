import { emptyFood } from '../empty-rows.ts';
import type { Food } from '../types.ts';

/* Gels as a decorator usually has them: each differs from maker to maker, and a test spot says better. */

/** White frosting that they are described in, and grams to the kilogram that make it look so (estimates). */
const white = '#fbf9f3';
const gPerKg = 10;
const described: readonly [id: string, name: string, hex: string][] = [
  ['lemon-yellow', 'lemon yellow', '#f8e04e'],
  ['egg-yellow', 'egg yellow', '#f3b73a'],
  ['orange', 'orange', '#ef8130'],
  ['red', 'red', '#cc3038'],
  ['pink', 'pink', '#e5609a'],
  ['violet', 'violet', '#7350a4'],
  ['blue', 'blue', '#3566b8'],
  ['leaf-green', 'leaf green', '#4d9c46'],
  ['brown', 'brown', '#74492c'],
  ['black', 'black', '#35323a'],
];

export const gels: Food[] = described.map(([id, name, hex]) => ({
  ...emptyFood(`gel-${id}`),
  name: `${name} gel`,
  source: 'estimate',
  waterShare: 0.4,
  sugarShare: 0.4,
  declared: true,
  packG: 20,
  price: 3,
  gel: { onHex: white, hex, gPerKg },
}));
