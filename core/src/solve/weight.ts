import { type Corrections, noCorrections } from '../hand/corrections.ts';
import { setLayerHeight } from '../document/edit.ts';
import { limits } from '../document/limits.ts';
import type { Build } from '../document/types.ts';
import type { Pantry } from '../pantry/types.ts';
import { planShape } from '../plan/shape.ts';
import { portionMassG } from '../servings/servings.ts';

/** Tiers brought to a wanted mass. */
export interface WeighedOrder {
  build: Build;
  /** Cake without its board, g. */
  massG: number;
  /** Servings by the grams of a portion, fewest and most. */
  servings: [fewest: number, most: number];
  /** What could not be kept, in words; null when the mass is met. */
  misses: string | null;
}

/** Range of servings that a mass gives, from what one portion usually weighs. */
export function servingsByWeight(
  massG: number,
  portion: Build['brief']['portion'],
): [number, number] {
  const [low, high] = portionMassG[portion];
  return [Math.floor(massG / high), Math.floor(massG / low)];
}

/**
 * The build with its layers thinned or thickened alike, until the cake weighs what was ordered (to
 * within one in two hundred); outlines, layers' number and fillings stay.
 *
 * @param wantedG mass without the board; @returns null where the plan gives no mass
 */
export function orderByWeight(
  build: Build,
  wantedG: number,
  pantry: Pantry,
  corrections: Corrections = noCorrections,
): WeighedOrder | null {
  const board = pantry.boards.find((row) => row.id === build.boardId);
  const heights = build.tiers.map((tier) => tier.layers.map((layer) => layer.heightMm));
  const at = (factor: number): { build: Build; massG: number } | null => {
    const copy = JSON.parse(JSON.stringify(build)) as Build;
    copy.tiers.forEach((tier, t) => {
      heights[t]!.forEach((mm, i) => {
        if (tier.layers[i]!.otherId === null) setLayerHeight(tier, i, mm * factor);
      });
    });
    const massG = planShape(copy, pantry, undefined, corrections).tally.massG;
    return massG === null || !board ? null : { build: copy, massG: massG - board.massG };
  };
  let [low, high] = [0.2, 4];
  if (!at(1)) return null;
  for (let i = 0; i < 26; i++) {
    const middle = (low + high) / 2;
    if (at(middle)!.massG < wantedG) low = middle;
    else high = middle;
  }
  const found = at((low + high) / 2)!;
  const off = found.massG / wantedG - 1;
  const thinnest = Math.min(...found.build.tiers.flatMap((t) => t.layers.map((l) => l.heightMm)));
  return {
    build: found.build,
    massG: found.massG,
    servings: servingsByWeight(found.massG, build.brief.portion),
    misses:
      Math.abs(off) < 0.005
        ? null
        : off > 0
          ? `heavier, even with layers ${thinnest <= limits.layerMm.min + 0.1 ? 'as thin as can be' : 'a fifth as thick'}: take a smaller outline or fewer layers`
          : 'lighter, even with layers four times as thick: take a larger outline or another tier',
  };
}
