import { areaMm2, perimeterMm, type Outline } from '../outline/outline.ts';
import { standsAtMm, type DripFluid } from './fluid.ts';

/** Ganache in the bead that stands along the rim, mL to the cm; left in the bottle, g. */
const rimMlPerCm = 0.3;
export const bottleResidueG = 20;

export interface FinishAmounts {
  dripsG: number;
  rimG: number;
  floodG: number;
  residueG: number;
  totalG: number;
}

/**
 * Ganache for a dripped tier: drips, the bead along the rim, the flood on top, what stays behind.
 *
 * @param takenMm2 of the top that a tier above stands on
 */
export function dripAmounts(
  outline: Outline,
  dripsG: readonly number[],
  floodMm: number,
  densityGPerMl: number,
  takenMm2 = 0,
  residueG = bottleResidueG,
): FinishAmounts {
  const drips = dripsG.reduce((sum, g) => sum + g, 0);
  const rimG = (perimeterMm(outline) / 10) * rimMlPerCm * densityGPerMl;
  const openMm2 = Math.max(0, areaMm2(outline) - takenMm2);
  const floodG = ((openMm2 * floodMm) / 1000) * densityGPerMl;
  return {
    dripsG: drips,
    rimG,
    floodG,
    residueG,
    totalG: drips + rimG + floodG + residueG,
  };
}

/** What a cake poured over on a rack takes. Masses in g. */
export interface PourAmounts {
  /** Film that stays on the side, mm. */
  veilMm: number;
  staysG: number;
  pourG: number;
  /** Back in the tray, to be used again. */
  trayG: number;
}

/** What is poured over what stays, so that no place is missed (trade custom). */
const pourOver = 1.6;

/**
 * Pouring over a whole cake: the side keeps a film, the top twice that up to 3 mm; the rest runs
 * off (docs/model.md#ganache-and-drips).
 *
 * @param veilMm film that stays on the side; @param sideFactor its area over a smooth one's; @param faces
 * areas of side and top where the wall is not upright, mm2
 */
export function pourAmounts(
  outline: Outline,
  heightMm: number,
  veilMm: number,
  densityGPerMl: number,
  sideFactor = 1,
  faces = { sideMm2: perimeterMm(outline) * heightMm, topMm2: areaMm2(outline) },
): PourAmounts {
  const side = faces.sideMm2 * veilMm * sideFactor;
  const staysG = ((side + faces.topMm2 * Math.min(3, 2 * veilMm)) / 1000) * densityGPerMl;
  const pourG = staysG * pourOver;
  return { veilMm, staysG, pourG, trayG: pourG - staysG };
}

/** Temperature at which a poured veil of a wanted thickness stops, C, by bisection. */
export function tempForVeil(fluid: DripFluid, veilMm: number): number {
  let [low, high] = [5, 60];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (standsAtMm(fluid, middle) > veilMm) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
