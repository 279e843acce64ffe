import type { CarveResult, CarveStep, Offcut } from './result.ts';
import type { SetPiece } from './types.ts';

/** What an offcut can serve for. */
export type OffcutServes = 'set back' | 'shavings' | 'fills' | 'builds' | 'strip' | 'crumbs';

/** Below this a piece is not worth listing, mL; from these on it builds, or makes a strip (estimates). */
export const worthMl = 8;
const buildMm = 20;
const stripMl = 25;

type Lack = CarveStep['lacks'][number];
/** True where a piece is at least as large as what is missing, edge by edge. */
export const fillsLack = (piece: Offcut, lack: Lack): boolean =>
  lack.sizeMm.every((mm, i) => piece.sizeMm[i]! >= mm - 1);

/** What a piece can serve for, among the places where the shape lacks cake. */
export function offcutServes(piece: Offcut, lacks: readonly Lack[]): OffcutServes {
  if (piece.usedBy) return 'set back';
  if (!piece.whole) return 'shavings';
  if (lacks.some((lack) => fillsLack(piece, lack))) return 'fills';
  if (piece.sizeMm[2] >= buildMm) return 'builds';
  return piece.ml >= stripMl ? 'strip' : 'crumbs';
}

/** Where a piece begins when it is set back on: where cake is missing, or on top of the axis. */
export function placeFor(
  piece: Offcut,
  result: Pick<CarveResult, 'steps' | 'topMm'>,
): Pick<SetPiece, 'bearingDeg' | 'outMm' | 'upMm'> {
  const lacks = result.steps.flatMap((step) => step.lacks);
  const lack = lacks.find((each) => fillsLack(piece, each)) ?? lacks[0];
  if (!lack) return { bearingDeg: 0, outMm: 0, upMm: Math.round(result.topMm) };
  const [x, y, z] = lack.at;
  return {
    bearingDeg: (Math.round((Math.atan2(x, y) * 180) / Math.PI) + 360) % 360,
    outMm: Math.round(Math.hypot(x, y)),
    upMm: Math.round(z - Math.min(...piece.sizeMm) / 2),
  };
}

/** Share of the carved surface that shows filling. */
export function fillingShown({ exposedMm2, surfaceMm2 }: CarveResult): number {
  const filling = Object.entries(exposedMm2)
    .filter(([part]) => part.startsWith('gap/') || part === 'centre')
    .reduce((sum, [, mm2]) => sum + mm2, 0);
  return filling / Math.max(1, surfaceMm2);
}

/** What a panel of cover is cut larger by, all round, for its seams, mm. */
export const panelAllowanceMm = 15;
