import type { Food, Measuring } from '../pantry/types.ts';
import { showText } from '../units/format.ts';
import type { Kind, UnitSystem } from '../units/kinds.ts';

/** The cup that the density table is for, mL. */
export const tableCupMl = 237;

/** What a cup of 237 mL of it weighs by a school of measuring, g; null when none is known. */
export function cupWeightG(food: Food, measuring: Measuring): number | null {
  if (measuring === 'sifted') return food.cupSiftedG ?? food.cupG;
  if (measuring === 'scooped') return food.cupScoopedG ?? food.cupG;
  return food.cupG;
}

/** Density as it lies in the cup, g/mL; null when no cup weight is known. */
export function cupDensity(food: Food, measuring: Measuring): number | null {
  const cup = cupWeightG(food, measuring);
  return cup === null ? null : cup / tableCupMl;
}

/**
 * Grams of so many millilitres of it.
 * @returns null when the ingredient has no cup weight: it has to be weighed
 */
export function gramsOfMl(food: Food, ml: number, measuring: Measuring): number | null {
  const density = cupDensity(food, measuring);
  return density === null ? null : ml * density;
}

/** Below this a scale in ounces shows next to nothing, g. */
const bySpoonG = 30;

/**
 * A weight to read off at the bench: with cups and ounces, small amounts of what has a cup weight are
 * spoons and not hundredths of an ounce.
 */
export function weightText(
  massG: number,
  kind: Kind,
  food: Food | null,
  measuring: Measuring,
  system: UnitSystem,
): string {
  const bySpoon =
    system.mass === 'oz' && system.volume === 'cups' && massG < bySpoonG && food?.pieceG === null
      ? householdText(food, massG, measuring, system)
      : null;
  return bySpoon ?? showText(massG, kind, system);
}

/**
 * Grams as a household measure: "2 1/4 cups", "1 tbsp", or pieces. Null where no cup weight is
 * known and it is not counted.
 */
export function householdText(
  food: Food | null,
  massG: number,
  measuring: Measuring,
  system: UnitSystem,
): string | null {
  if (!food) return null;
  if (food.pieceG !== null) {
    const count = massG / food.pieceG;
    return `${Math.abs(count - Math.round(count)) < 0.05 ? Math.round(count) : count.toFixed(1)} of ${Math.round(food.pieceG)} g`;
  }
  const density = cupDensity(food, measuring);
  if (density === null) return null;
  return showText(massG / density, 'volume', { ...system, volume: 'cups' });
}
