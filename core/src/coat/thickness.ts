import type { Tier } from '../document/types.ts';
import { styleRows } from '../pantry/styles.ts';

/** Thicknesses that hold for a tier: its own where set, its style's otherwise. mm. */
export interface CoatThickness {
  crumbMm: number;
  /** Share of the surface that the crumb coat hides. */
  cover: number;
  /** Mean of the side, ridges and grooves of a combed one together. */
  sideMm: number;
  topMm: number;
}

/** Mean thickness of a combed side, mm: triangular grooves take half their depth off the ridges. */
export const combedMeanMm = (peakMm: number, depthMm: number): number => peakMm - depthMm / 2;

/** The coat's thicknesses of a tier. */
export function thicknessOf(tier: Tier): CoatThickness {
  const style = styleRows[tier.coat.style];
  const { comb } = tier.coat;
  const combed =
    comb && tier.coat.style === 'combed' ? combedMeanMm(comb.peakMm, comb.depthMm) : null;
  return {
    crumbMm: tier.coat.crumbMm ?? style.crumbMm,
    cover: style.cover < 1 ? (tier.coat.cover ?? style.cover) : style.cover,
    sideMm: tier.coat.sideMm ?? combed ?? style.sideMm,
    topMm: tier.coat.topMm ?? style.topMm,
  };
}
