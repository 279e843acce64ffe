/** A part of a mixture. Mass in g, temperature in C. */
export interface MixPart {
  name: string;
  massG: number;
  tempC: number;
  /** What it is made of; null where that is not known. Of its mass the water melts when it was frozen. */
  made: Made | null;
}

/** Heat of melting of ice, kJ/kg. */
export const iceKJ = 334;
/** Ice warms with half the heat that water does, kJ/kgK. */
const iceCapacity = 2.1;

/** Heat capacities of water, fat, sugar and the rest, kJ/kgK (textbook). */
const capacities = { water: 4.18, fat: 2.0, sugar: 1.25, rest: 1.55 } as const;
/** What nothing is known of, kJ/kgK: flour and sugar with some egg and butter. */
export const unknownCapacity = 2.6;

/** What of an ingredient takes up heat, as shares of its mass. */
export interface Made {
  waterShare: number;
  fatShare: number;
  sugarShare: number;
}

/** Heat capacity of an ingredient by what it is made of, kJ/kgK; a usual one where that is not known. */
export function capacityOf(made: Made | null): number {
  if (!made) return unknownCapacity;
  const { waterShare, fatShare, sugarShare } = made;
  const rest = Math.max(0, 1 - waterShare - fatShare - sugarShare);
  return (
    waterShare * capacities.water +
    fatShare * capacities.fat +
    sugarShare * capacities.sugar +
    rest * capacities.rest
  );
}

/** Water in what nothing is known of. */
const usualWater = 0.4;

/** Heat that one part gives up between 0 C and its own temperature, kJ; negative when it needs some. */
function heatAbove0(part: MixPart): number {
  const kg = part.massG / 1000;
  if (part.tempC >= 0) return kg * capacityOf(part.made) * part.tempC;
  const water = kg * (part.made?.waterShare ?? usualWater);
  return (
    (kg - water) * capacityOf(part.made) * part.tempC + water * (iceCapacity * part.tempC - iceKJ)
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
  const heatKJ = parts.reduce((sum, p) => sum + (p.massG / 1000) * capacityOf(p.made), 0);
  if (heatKJ === 0) return { tempC: 20, iceG: 0, heatKJ: 0 };
  const heat = parts.reduce((sum, p) => sum + heatAbove0(p), 0);
  if (heat >= 0) return { tempC: heat / heatKJ, iceG: 0, heatKJ };
  const frozenG = parts.reduce(
    (sum, p) => sum + (p.tempC < 0 ? p.massG * (p.made?.waterShare ?? usualWater) : 0),
    0,
  );
  const iceG = Math.min(frozenG, (-heat / iceKJ) * 1000);
  // with all ice kept, what is still missing cools the whole below freezing
  const short = heat + (iceG / 1000) * iceKJ;
  return { tempC: Math.min(0, short / heatKJ), iceG, heatKJ };
}
