import { areaMm2, equivalentRadiusMm, grow, scaled, type Outline } from '../outline/outline.ts';
import type { Tin } from '../pantry/types.ts';
import { equalRadiusMm } from './flutes.ts';
import { wallShareAt, wallSquared } from './wall.ts';

export type TinShape = Pick<Tin, 'outline' | 'depthMm' | 'flareMm'> &
  Partial<Pick<Tin, 'form' | 'waterG' | 'flutes' | 'wall'>>;

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

/** How high the rounding of a rounded tin's bottom reaches, mm: half as high as its room is wide, or its depth. */
export const roundingMm = (tin: TinShape): number =>
  Math.min(
    tin.depthMm,
    tin.outline.kind === 'ring'
      ? (tin.outline.diameterMm - tin.outline.holeMm) / 4
      : equivalentRadiusMm(tin.outline),
  );

/** An outline with its room drawn in by a share: a ring from both of its rims. */
function drawnIn(outline: Outline, share: number): Outline {
  if (outline.kind !== 'ring') return scaled(outline, Math.max(1e-3, share));
  const middle = (outline.diameterMm + outline.holeMm) / 2;
  const half = Math.max(0.05, ((outline.diameterMm - outline.holeMm) / 2) * share);
  return { kind: 'ring', diameterMm: middle + half, holeMm: Math.max(0.1, middle - half) };
}

/** A wall without its waves: the round of equal area. */
function plainOf(outline: Outline, { flutes }: TinShape): Outline {
  if (!flutes || (outline.kind !== 'ring' && outline.kind !== 'round')) return outline;
  return { ...outline, diameterMm: 2 * equalRadiusMm(outline.diameterMm / 2, flutes) };
}

/** An outline is never drawn in to less of it than this. */
const leastShare = 1e-3;

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
    case 'drawn':
      return scaled(tin.outline, Math.max(leastShare, wallShareAt(tin.wall ?? [], heightMm / tin.depthMm))); // prettier-ignore
    case 'rounded': {
      const leaning = grow(tin.outline, (tin.flareMm * heightMm) / tin.depthMm) ?? tin.outline;
      const t = Math.min(1, Math.max(0, heightMm / roundingMm(tin)));
      return drawnIn(plainOf(leaning, tin), Math.sqrt(1 - (1 - t) ** 2));
    }
    default:
      return plainOf(grow(tin.outline, (tin.flareMm * heightMm) / tin.depthMm) ?? tin.outline, tin);
  }
}

/** Steps of Simpson's rule over the rounding, by the angle: smooth, and so exact to many figures. */
const roundSteps = 32;

/** Volume of a tin with a rounded bottom, mL: over the rounding by its angle, z = b (1 - cos a), straight above. */
function roundedMl(tin: TinShape, heightMm: number, at: (z: number) => number): number {
  const b = roundingMm(tin);
  const low = Math.min(heightMm, b);
  const end = Math.acos(1 - low / b);
  let sum = 0;
  for (let i = 0; i <= roundSteps; i++) {
    const a = (end * i) / roundSteps;
    const weight = i === 0 || i === roundSteps ? 1 : i % 2 === 1 ? 4 : 2;
    sum += weight * at(b * (1 - Math.cos(a))) * b * Math.sin(a);
  }
  const curved = (sum * end) / (3 * roundSteps);
  const over = heightMm - low;
  const straight = (over / 6) * (at(low) + 4 * at(low + over / 2) + at(heightMm));
  return (curved + straight) / 1000;
}

/** Volume by its measures alone, mL. */
function measuredMl(tin: TinShape, heightMm: number): number {
  if (tin.form === 'ball') {
    const ball = ballMm(tin);
    const z = Math.min(heightMm, tin.depthMm);
    const above = (Math.max(0, heightMm - tin.depthMm) * areaMm2(tin.outline)) / 1000;
    return (Math.PI * z * z * (3 * ball - z)) / 3000 + above;
  }
  if (tin.form === 'drawn')
    return (
      (areaMm2(tin.outline) * tin.depthMm * wallSquared(tin.wall ?? [], heightMm / tin.depthMm)) /
      1000
    );
  const at = (z: number): number => areaMm2(tinOutlineAt(tin, z));
  if (tin.form === 'rounded') return roundedMl(tin, heightMm, at);
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
  const isPlain =
    (tin.form ?? 'upright') === 'upright' &&
    (tin.waterG ?? null) === null &&
    (tin.flutes ?? null) === null;
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
