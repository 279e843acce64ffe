/** A part of a mixture. Mass in g, temperature in C. */
export interface MixPart {
  name: string;
  massG: number;
  tempC: number;
  /** Water that melts when it was frozen, as a share of the mass; the rest of the mass does not. */
  waterShare?: number;
}

/** Heat of melting of ice, kJ/kg. */
export const iceKJ = 334;
/** Ice warms with half the heat that water does, kJ/kgK. */
const iceCapacity = 2.1;

/** Heat capacities by what an ingredient's name says, kJ/kgK (textbook, rounded). */
const capacities: [word: RegExp, kJ: number][] = [
  [/milk|water|buttermilk|juice|coffee|tea|yogurt|yoghurt/, 3.95],
  [/white/, 3.8],
  [/egg/, 3.3],
  [/yolk/, 2.8],
  [/cream/, 3.3],
  [/carrot|apple|berr|fruit|banana|fig|cherr/, 3.7],
  [/butter|oil|fat/, 2.1],
  [/sugar|syrup|honey/, 1.3],
  [/flour|starch|cocoa|powder|soda|salt/, 1.75],
  [/nut|almond|chocolate/, 1.8],
];

/** Heat capacity of an ingredient, kJ/kgK; 2.6 where its name says nothing. */
export function capacityOf(name: string): number {
  const lower = name.toLowerCase();
  // yolks are eggs too, and must be told apart first
  if (lower.includes('yolk')) return 2.8;
  return capacities.find(([word]) => word.test(lower))?.[1] ?? 2.6;
}

/** Heat that one part gives up between 0 C and its own temperature, kJ; negative when it needs some. */
function heatAbove0(part: MixPart): number {
  const kg = part.massG / 1000;
  if (part.tempC >= 0) return kg * capacityOf(part.name) * part.tempC;
  const water = kg * (part.waterShare ?? 0);
  return (
    (kg - water) * capacityOf(part.name) * part.tempC + water * (iceCapacity * part.tempC - iceKJ)
  );
}

export interface Mixture {
  tempC: number;
  /** Ice that does not melt in it, g. */
  iceG: number;
  /** Heat capacity of the whole, kJ/K. */
  heatKJ: number;
}

/**
 * Temperature of a mixture by heat balance: the sum of m·c·T over the sum of m·c, frozen parts with
 * 334 kJ for each kilogram of their water. When there is not enough warmth, it stands at 0 C with
 * some ice left.
 */
export function mixTemperature(parts: readonly MixPart[]): Mixture {
  const heatKJ = parts.reduce((sum, p) => sum + (p.massG / 1000) * capacityOf(p.name), 0);
  if (heatKJ === 0) return { tempC: 20, iceG: 0, heatKJ: 0 };
  const heat = parts.reduce((sum, p) => sum + heatAbove0(p), 0);
  if (heat >= 0) return { tempC: heat / heatKJ, iceG: 0, heatKJ };
  const frozenG = parts.reduce(
    (sum, p) => sum + (p.tempC < 0 ? p.massG * (p.waterShare ?? 0) : 0),
    0,
  );
  const iceG = Math.min(frozenG, (-heat / iceKJ) * 1000);
  // with all ice kept, what is still missing cools the whole below freezing
  const short = heat + (iceG / 1000) * iceKJ;
  return { tempC: Math.min(0, short / heatKJ), iceG, heatKJ };
}
