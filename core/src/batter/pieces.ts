import type { Inclusion } from '../document/types.ts';

/** True for what is in the bowl of batter already; the rest is laid into the tin. */
export const isFoldedIn = ({ way }: Inclusion): boolean => way === 'folded in';

/** What fills one tin: batter, and grams of each kind of pieces in their order. */
export interface TinFilling {
  batterG: number;
  piecesG: number[];
}

/**
 * Batter and pieces that bake to a volume (docs/model.md#batter): pieces go by the kilogram of batter, or
 * so many to a tin, and do not rise. No batter where the pieces alone are more than that.
 *
 * @param ml baked volume; @param mlPerG of one gram of plain batter, baked
 */
export function tinFilling(
  ml: number,
  mlPerG: number,
  inclusions: readonly Inclusion[],
): TinFilling {
  const fixedG = inclusions.map(({ eachTin }) => (eachTin ? eachTin.count * eachTin.pieceG : 0));
  const fixedMl = inclusions.reduce((sum, { densityGPerMl }, i) => sum + fixedG[i]! / densityGPerMl, 0); // prettier-ignore
  const alongMl = inclusions.reduce((sum, one) => sum + sharePerG(one) / one.densityGPerMl, 0);
  const batterG = Math.max(0, ml - fixedMl) / (mlPerG + alongMl);
  return {
    batterG,
    piecesG: inclusions.map((one, i) => fixedG[i]! + batterG * sharePerG(one)),
  };
}

/** Pieces to one gram of batter; 0 for what goes in by the tin. */
const sharePerG = ({ eachTin, gPerKg }: Inclusion): number => (eachTin ? 0 : gPerKg / 1000);

/** Sum of the pieces that are in the bowl with the batter, g. */
export const foldedG = (inclusions: readonly Inclusion[], piecesG: readonly number[]): number =>
  inclusions.reduce((sum, one, i) => sum + (isFoldedIn(one) ? (piecesG[i] ?? 0) : 0), 0);

/** Water-rich pieces let go of so much of their water in the oven (estimate). */
const juiceShare = 0.25;
/** From here on pieces are fruit that runs, share of water. */
const juicyShare = 0.6;
/** Juice that pieces give in the oven, g. */
export const juiceG = ({ waterShare }: Inclusion, massG: number): number =>
  waterShare > juicyShare ? massG * waterShare * juiceShare : 0;

/** Heavier than the batter by this factor they sink to the bottom of the tin (trade custom). */
const sinksFrom = 1.25;
/** True for what is folded in and does not stay where it is. */
export const sinks = (one: Inclusion, batterDensityGPerMl: number): boolean =>
  isFoldedIn(one) && one.densityGPerMl > batterDensityGPerMl * sinksFrom;
