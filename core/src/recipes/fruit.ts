import type { Food } from '../pantry/types.ts';

/** True for fruit and the like: mostly water, some sugar of its own, no fat, and nothing to declare. */
export const givesJuice = (food: Food): boolean =>
  food.waterShare > 0.6 &&
  food.sugarShare >= 0.04 &&
  food.fatShare < 0.02 &&
  food.allergens.length === 0 &&
  food.traits.length === 0;

/** Fruit drawn with sugar: where its juice goes. Masses in g. */
export interface Macerated {
  juiceG: number;
  /** Juice with the sugar that went into it. */
  syrupG: number;
  drainedG: number;
}

/**
 * Fruit with sugar gives up juice until fruit and syrup are alike: the sugar takes so much water
 * that both stand at the same share of sugar. Mass is kept: fruit and sugar are drained fruit and
 * syrup. Estimate: fruit hangs on to six tenths of its water.
 *
 * @param waterShare, fruitSugarShare of the fruit; @param sugarG what is strewn over it
 */
export function macerate(
  fruitG: number,
  waterShare: number,
  fruitSugarShare: number,
  sugarG: number,
): Macerated {
  const waterG = fruitG * waterShare;
  const ownG = fruitG * fruitSugarShare;
  // syrup of w water and the strewn sugar is as sweet as the fruit's rest: s/w = own/(water - w)
  const even = sugarG + ownG > 0 ? (waterG * sugarG) / (sugarG + ownG) : 0;
  const juiceG = Math.min(even, waterG * 0.4);
  return { juiceG, syrupG: juiceG + sugarG, drainedG: fruitG - juiceG };
}

/** Fruit left to drain in a sieve: frozen fruit loses a quarter of its water, fresh a tenth (estimates). */
export const drained = (fruitG: number, waterShare: number, wasFrozen: boolean): number =>
  fruitG * (1 - waterShare * (wasFrozen ? 0.25 : 0.1));

export const compoteSettings = ['sauce', 'spreadable', 'sliceable'] as const;
export type CompoteSetting = (typeof compoteSettings)[number];

/** Starch to the free water of a compote, by how firm it has to be (trade custom, as cornflour). */
const starchShare: Record<CompoteSetting, number> = {
  sauce: 0.03,
  spreadable: 0.055,
  sliceable: 0.08,
};

/**
 * Cornflour for a compote, g: a share of the water it holds once cooked down, less what fruit and
 * sugar bind themselves.
 *
 * @param cookedToG what the pan weighs in the end, without the pan
 */
export function starchForCompote(
  fruitG: number,
  waterShare: number,
  sugarG: number,
  cookedToG: number,
  setting: CompoteSetting,
): { waterG: number; starchG: number } {
  const solids = fruitG * (1 - waterShare) + sugarG;
  const waterG = Math.max(0, cookedToG - solids);
  return { waterG, starchG: waterG * starchShare[setting] };
}

export const stabilisers = ['icing sugar', 'starch', 'gelatine'] as const;
export type Stabiliser = (typeof stabilisers)[number];

/** Dose to the cream's mass, and the water that gelatine is soaked in (trade custom). */
const doses: Record<Stabiliser, { share: number; words: string }> = {
  'icing sugar': { share: 0.08, words: 'whipped in from soft peaks; holds some hours' },
  starch: {
    share: 0.02,
    words: 'cooked with a tenth of the cream, cooled, whipped in; holds a day',
  },
  gelatine: {
    share: 0.009,
    words: 'soaked in five times its weight of water, melted, poured in at 30 °C; holds two days',
  },
};

/** What makes whipped cream stand, for so many grams of cream. Water counts into the cream. */
export function stabilise(
  creamG: number,
  how: Stabiliser,
): { doseG: number; waterG: number; words: string } {
  const { share, words } = doses[how];
  const doseG = creamG * share;
  return { doseG, waterG: how === 'gelatine' ? 5 * doseG : 0, words };
}
