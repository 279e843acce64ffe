import { areaMm2, equivalentRadiusMm, grow, type Outline } from '../outline/outline.ts';
import type { Tin } from '../pantry/types.ts';

type TinShape = Pick<Tin, 'outline' | 'depthMm' | 'flareMm'>;

/** The inside of the tin at a height above its bottom, mm. Sides lean out evenly to the rim. */
export function tinOutlineAt(tin: TinShape, heightMm: number): Outline {
  return grow(tin.outline, (tin.flareMm * heightMm) / tin.depthMm) ?? tin.outline;
}

/**
 * Volume of the tin up to a height, mL. Simpson's rule is exact here: the area of a tin whose sides
 * lean evenly is a quadratic in height.
 */
export function tinVolumeMl(tin: TinShape, heightMm: number): number {
  const at = (z: number): number => areaMm2(tinOutlineAt(tin, z));
  return ((heightMm / 6) * (at(0) + 4 * at(heightMm / 2) + at(heightMm))) / 1000;
}

/** Height that a volume fills in the tin, mm, as if its sides went on above the rim. */
export function fillHeightMm(tin: TinShape, volumeMl: number): number {
  if (volumeMl <= 0) return 0;
  if (tin.flareMm === 0) return (volumeMl * 1000) / areaMm2(tin.outline);
  let low = 0;
  let high = (volumeMl * 1000) / areaMm2(tin.outline);
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (tinVolumeMl(tin, middle) < volumeMl) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Height of the crown above the edge, mm: the sponge's share of the equivalent radius 2A/P. */
export const crownMm = (top: Outline, crownOverRadius: number): number =>
  crownOverRadius * equivalentRadiusMm(top);

/**
 * Volume of the crown above the edge, mL: a spherical cap pi·d·(3R² + d²)/6 on a round top; on other
 * outlines the same with the round of equal area, A·d/2 + pi·d³/6.
 */
export const capVolumeMl = (top: Outline, crown: number): number =>
  ((areaMm2(top) * crown) / 2 + (Math.PI * crown ** 3) / 6) / 1000;
