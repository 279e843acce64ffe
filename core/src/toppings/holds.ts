import type { Spread } from '../pantry/types.ts';
import { nPerG } from '../units/gravity.ts';
import { stressAt } from '../fill/squeeze.ts';

/** One kind of piece on a top or a slope. */
export interface ToppingPiece {
  massG: number;
  /** Area by which it sits on the frosting, cm2. */
  contactCm2: number;
}

/**
 * Steepest slope on which a piece stays, degrees from level: yield stress times contact over its
 * weight along the slope (docs/model.md#piping-and-toppings). 90 where it would stay on an upright side.
 */
export function steepestDegrees(piece: ToppingPiece, spread: Spread, tempC: number): number {
  const holdsN = stressAt(spread.stress21Pa, spread.stress4Pa, tempC) * piece.contactCm2 * 1e-4;
  const weightN = piece.massG * nPerG;
  return weightN <= holdsN ? 90 : (Math.asin(holdsN / weightN) * 180) / Math.PI;
}

/**
 * How deep a piece sinks into a soft top, as a verdict: it bears while its weight over its contact is
 * below six times the yield stress (indentation of a plastic body, textbook).
 */
export const sinks = (piece: ToppingPiece, spread: Spread, tempC: number): boolean =>
  (piece.massG * nPerG) / (piece.contactCm2 * 1e-4) >
  6 * stressAt(spread.stress21Pa, spread.stress4Pa, tempC);
