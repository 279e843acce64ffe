import type { Lattice } from './types.ts';

/**
 * Diamonds scored into a cover: how many cells, and studs at their corners. Two sets of lines
 * `spacingMm` apart at plus and minus the angle leave diamonds of spacing²/sin(2·angle).
 */
export function planLattice(
  { angleDeg, spacingMm, studs }: Lattice,
  areaMm2: number,
): { cells: number; studs: number; cellMm2: number } {
  const cellMm2 = spacingMm ** 2 / Math.sin((2 * angleDeg * Math.PI) / 180);
  const cells = Math.round(areaMm2 / cellMm2);
  // as many crossings as cells on a closed surface
  return { cells, studs: studs ? cells : 0, cellMm2 };
}
