import type { Chocolate, Cream } from './chocolates.ts';
import { butterParts } from './chocolates.ts';

export const ganacheUses = ['pour', 'drip', 'spread', 'fill', 'whip'] as const;
export type GanacheUse = (typeof ganacheUses)[number];
export const ganacheSchools = ['equal parts', 'firm'] as const;
/** Equal parts: the same ganache for everything, worked by its warmth. Firm: a ratio for each use. */
export type GanacheSchool = (typeof ganacheSchools)[number];

/**
 * Firmness index by use (estimates, from customary ratios): dark 55 % and 35 % cream in equal parts
 * come to 1.64.
 */
const indexOf: Record<
  GanacheSchool,
  Record<GanacheUse, [usual: number, low: number, high: number]>
> = {
  'equal parts': {
    pour: [1.6, 1.3, 1.8],
    drip: [1.6, 1.4, 2],
    spread: [1.8, 1.5, 2.4],
    fill: [1.6, 1.3, 2],
    whip: [1, 0.8, 1.3],
  },
  firm: {
    pour: [1.6, 1.3, 1.9],
    drip: [1.9, 1.6, 2.3],
    spread: [3.2, 2.6, 3.6],
    fill: [2.4, 1.9, 3],
    whip: [1.1, 0.8, 1.4],
  },
};

/** A ganache by its parts, g. `sugarG` is dry sugar, which loosens nothing and hardens nothing. */
export interface GanacheParts {
  chocolate: Chocolate;
  chocolateG: number;
  cream: Cream;
  creamG: number;
  butterG: number;
  syrupG: number;
  sugarG: number;
}

/** What a ganache is made of, as shares of its mass, and how firm that sets. */
export interface GanacheMade {
  massG: number;
  fat: number;
  water: number;
  solids: number;
  /** (cocoa butter + 3 × non-fat cocoa) / water; Infinity without water. */
  firmness: number;
  /** Fat to water: beyond the usual it is likely to split. */
  fatToWater: number;
  verdicts: ('too lean' | 'too fat' | 'likely to split' | 'never sets')[];
}

/** Water in glucose or sugar syrup. */
const syrupWater = 0.2;

/** Composition and firmness of a ganache (docs/model.md#ganache-and-drips). */
export function composeGanache(parts: GanacheParts): GanacheMade {
  const { chocolate: c, chocolateG, cream, creamG, butterG, syrupG, sugarG } = parts;
  const massG = chocolateG + creamG + butterG + syrupG + sugarG;
  const fatG =
    chocolateG * (c.cocoaButter + c.milkFat + c.otherFat) +
    creamG * cream.fat +
    butterG * butterParts.fat;
  const waterG = creamG * cream.water + butterG * butterParts.water + syrupG * syrupWater;
  const hard = chocolateG * (c.cocoaButter + c.otherFat + 3 * c.nonFatCocoa);
  const fat = massG > 0 ? fatG / massG : 0;
  const water = massG > 0 ? waterG / massG : 0;
  const firmness = waterG > 0 ? hard / waterG : Infinity;
  const fatToWater = waterG > 0 ? fatG / waterG : Infinity;
  const verdicts: GanacheMade['verdicts'] = [];
  if (fat < 0.2) verdicts.push('too lean');
  if (fat > 0.48) verdicts.push('too fat');
  if (fatToWater > splitsAt) verdicts.push('likely to split');
  if (firmness < 0.5) verdicts.push('never sets');
  return { massG, fat, water, solids: 1 - fat - water, firmness, fatToWater, verdicts };
}

/** Hard parts of a chocolate that the firmness index counts, to its mass. */
const hardness = (c: Chocolate): number => c.cocoaButter + c.otherFat + 3 * c.nonFatCocoa;

/** Chocolate to one part of cream for a firmness index. @throws RangeError without water in the cream */
export function ratioFor(firmness: number, chocolate: Chocolate, cream: Cream): number {
  if (cream.water <= 0) throw new RangeError('A ganache needs cream that holds water.');
  return (firmness * cream.water) / hardness(chocolate);
}

/** More fat than this to the water, and it is likely to split (estimate). */
const splitsAt = 2.6;

/** Chocolate to one of cream at which a ganache of these two just holds together. */
function mostRatio(chocolate: Chocolate, cream: Cream): number {
  const fatOf = chocolate.cocoaButter + chocolate.milkFat + chocolate.otherFat;
  return fatOf > 0 ? (splitsAt * cream.water - cream.fat) / fatOf : Infinity;
}

/**
 * Usual ratio of chocolate to cream for a use by a school, with its range. Milk and white chocolate
 * have little cocoa to be firm by: by the firmness alone they would take so much that it splits. They
 * get what still holds together, and butter or cocoa butter is the way to more firmness.
 */
export function usualRatio(
  use: GanacheUse,
  school: GanacheSchool,
  chocolate: Chocolate,
  cream: Cream,
): { ratio: number; low: number; high: number; firmness: number; softer: boolean } {
  const [firmness, low, high] = indexOf[school][use];
  const most = Math.max(0.2, 0.98 * mostRatio(chocolate, cream));
  const within = (index: number): number => Math.min(most, ratioFor(index, chocolate, cream));
  const ratio = within(firmness);
  const softer = ratioFor(firmness, chocolate, cream) > most;
  return {
    firmness: softer ? (ratio * hardness(chocolate)) / cream.water : firmness,
    ratio,
    low: within(low),
    high: within(high),
    softer,
  };
}

/** Grams of chocolate and cream for so much ganache at a ratio of chocolate to one of cream. */
export const gramsFor = (massG: number, ratio: number): { chocolateG: number; creamG: number } => ({
  chocolateG: (massG * ratio) / (1 + ratio),
  creamG: massG / (1 + ratio),
});

/**
 * What to add to a bowl so that its firmness comes to another index: chocolate when it is too soft,
 * cream when it is too firm. Water and hard parts are kept.
 */
export function correctFirmness(
  parts: GanacheParts,
  wanted: number,
): { addChocolateG: number; addCreamG: number } {
  const now = composeGanache(parts);
  const waterG = now.water * now.massG;
  const hard = parts.chocolateG * hardness(parts.chocolate);
  if (now.firmness < wanted)
    return { addChocolateG: (wanted * waterG - hard) / hardness(parts.chocolate), addCreamG: 0 };
  return { addChocolateG: 0, addCreamG: (hard / wanted - waterG) / parts.cream.water };
}

/** Heat capacity of a ganache by its parts, kJ/kgK: water 4.18, fat 2.0, solids 1.4 (textbook). */
export const capacityOfGanache = ({ water, fat, solids }: GanacheMade): number =>
  4.18 * water + 2 * fat + 1.4 * solids;
