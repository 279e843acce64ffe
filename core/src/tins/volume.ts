import { areaMm2, equivalentRadiusMm, grow, scaled, type Outline } from '../outline/outline.ts';
import type { Tin } from '../pantry/types.ts';

export type TinShape = Pick<Tin, 'outline' | 'depthMm' | 'flareMm'> &
  Partial<Pick<Tin, 'form' | 'waterG'>>;

/** Radius of the ball that a bowl of this mouth and depth is cut from, mm. */
const ballMm = (tin: TinShape): number => {
  const mouth = equivalentRadiusMm(tin.outline);
  return (mouth ** 2 + tin.depthMm ** 2) / (2 * tin.depthMm);
};

/**
 * How a mould known only by its mouth, depth and water widens: its volume goes with height to this
 * power, so that it is full at the brim and as wide there as its mouth. An estimate of its shape.
 */
const mouldPower = (tin: TinShape): number =>
  Math.max(1, (areaMm2(tin.outline) * tin.depthMm) / (1000 * (tin.waterG ?? 1)));

/** The inside of the tin at a height above its bottom, mm. */
export function tinOutlineAt(tin: TinShape, heightMm: number): Outline {
  switch (tin.form) {
    case 'ball': {
      const ball = ballMm(tin);
      const z = Math.min(heightMm, tin.depthMm);
      const radius = Math.sqrt(Math.max(1, 2 * ball * z - z * z));
      return scaled(tin.outline, radius / equivalentRadiusMm(tin.outline));
    }
    case 'mould': {
      const share = Math.min(1, Math.max(1e-3, heightMm / tin.depthMm));
      return scaled(tin.outline, Math.sqrt(share ** (mouldPower(tin) - 1)));
    }
    default:
      return grow(tin.outline, (tin.flareMm * heightMm) / tin.depthMm) ?? tin.outline;
  }
}

/** Volume by its measures alone, mL. */
function measuredMl(tin: TinShape, heightMm: number): number {
  if (tin.form === 'ball') {
    const ball = ballMm(tin);
    const z = Math.min(heightMm, tin.depthMm);
    const above = (Math.max(0, heightMm - tin.depthMm) * areaMm2(tin.outline)) / 1000;
    return (Math.PI * z * z * (3 * ball - z)) / 3000 + above;
  }
  const at = (z: number): number => areaMm2(tinOutlineAt(tin, z));
  // Simpson's rule is exact: the area of a tin whose sides lean evenly is a quadratic in height
  return ((heightMm / 6) * (at(0) + 4 * at(heightMm / 2) + at(heightMm))) / 1000;
}

/**
 * Volume of the tin up to a height, mL: a prism or frustum, a spherical cap, or a mould by the water
 * it holds. Water weighed corrects the measures of the others as well.
 */
export function tinVolumeMl(tin: TinShape, heightMm: number): number {
  if (heightMm <= 0) return 0;
  const water = tin.waterG ?? null;
  if (tin.form === 'mould' && water !== null) {
    const share = Math.min(1, heightMm / tin.depthMm);
    const above = (Math.max(0, heightMm - tin.depthMm) * areaMm2(tin.outline)) / 1000;
    return water * share ** mouldPower(tin) + above;
  }
  const measured = measuredMl(tin, heightMm);
  return water === null ? measured : (measured * water) / measuredMl(tin, tin.depthMm);
}

/** Height that a volume fills in the tin, mm, as if its sides went on above the rim. */
export function fillHeightMm(tin: TinShape, volumeMl: number): number {
  if (volumeMl <= 0) return 0;
  const isPlain = (tin.form ?? 'upright') === 'upright' && (tin.waterG ?? null) === null;
  if (tin.flareMm === 0 && isPlain) return (volumeMl * 1000) / areaMm2(tin.outline);
  let low = 0;
  let high = tin.depthMm;
  while (tinVolumeMl(tin, high) < volumeMl) high *= 2;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (tinVolumeMl(tin, middle) < volumeMl) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** A layer thinner than this sets before it can dome, mm; a usual cake is so deep (estimates). */
const flatMm = 15;
export const usualDepthMm = 50;
/** However deep, it domes no more than this over what its row says. */
const mostCrown = 1.25;

/**
 * How much of its row's crown a cake of this depth has: none up to 15 mm, all at the depth of its own
 * recipe, in between by the depth.
 */
export const crownShare = (depthMm: number, recipeDepthMm: number = usualDepthMm): number =>
  Math.min(mostCrown, Math.max(0, (depthMm - flatMm) / Math.max(10, recipeDepthMm - flatMm)));

/** Height of the crown above the edge, mm: the sponge's share of the equivalent radius 2A/P. */
export const crownMm = (top: Outline, crownOverRadius: number): number =>
  crownOverRadius * equivalentRadiusMm(top);

/**
 * Volume of the crown above the edge, mL: a spherical cap pi·d·(3R² + d²)/6 on a round top; on other
 * outlines the same with the round of equal area, A·d/2 + pi·d³/6.
 */
export const capVolumeMl = (top: Outline, crown: number): number =>
  ((areaMm2(top) * crown) / 2 + (Math.PI * crown ** 3) / 6) / 1000;

/** What an uncut crown leaves empty round it, up to its own height, mL. */
export const crownVoidMl = (top: Outline, crown: number): number =>
  Math.max(0, (areaMm2(top) * crown) / 1000 - capVolumeMl(top, crown));
