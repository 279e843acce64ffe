import { grow, perimeterMm, type Outline } from '../outline/outline.ts';
import type { Tin } from '../pantry/types.ts';

/** Pieces of paper to cut for one tin, mm. */
export interface Lining {
  base: Outline;
  /** A strip round the side; a ring has one for its hole as well. */
  strips: { lengthMm: number; heightMm: number; where: 'side' | 'hole' }[];
}

const overlapMm = 20;
const aboveRimMm = 10;

/**
 * Paper for the bottom, a millimetre smaller so that it lies flat, and for the side, with an overlap
 * and standing above the rim; higher where the crown rises above it.
 *
 * @param topMm how high the cake stands at its crown
 * @returns null for bowls and moulds, which are greased and dusted instead
 */
export function liningOf(tin: Tin, topMm: number): Lining | null {
  if (tin.form !== 'upright') return null;
  const rim = grow(tin.outline, tin.flareMm) ?? tin.outline;
  const heightMm = Math.ceil(Math.max(tin.depthMm, topMm) + aboveRimMm);
  const strip = (round: number, where: 'side' | 'hole') => ({
    lengthMm: Math.ceil(round + overlapMm),
    heightMm,
    where,
  });
  return {
    base: grow(tin.outline, -1) ?? tin.outline,
    strips:
      rim.kind === 'ring'
        ? [strip(Math.PI * rim.diameterMm, 'side'), strip(Math.PI * rim.holeMm, 'hole')]
        : [strip(perimeterMm(rim), 'side')],
  };
}
