import type { Point } from '../outline/point.ts';
import { nPerG } from '../units/gravity.ts';
import { hardStopG } from './cases.ts';
import { edgeDistanceMm } from './statics.ts';

/** Below so much in hand over a hard stop a rod is wanted (docs/model.md#support). */
export const wantedMargin = 2;

/** Friction of frosting on board, cold and warm, and of a board on something non-slip (docs/model.md#support). */
export const friction = { cold: 0.3, warm: 0.15, mat: 0.6, bare: 0.25 } as const;
const coldC = 8;
const warmC = 22;

/** Friction of frosting on board at a temperature: cold to 8 C, warm from 22 C, between them in proportion. */
export function frictionAt(tempC: number): number {
  const share = Math.min(1, Math.max(0, (tempC - coldC) / (warmC - coldC)));
  return friction.cold + share * (friction.warm - friction.cold);
}

/** How a body tips over the edge of what it stands on. */
export interface Tipping {
  /** From the foot of its centre of mass to the nearest edge, mm; negative where it falls at once. */
  edgeMm: number;
  /** Height of its centre of mass over that edge, mm. */
  upMm: number;
  /** Tilt at which it tips, degrees. */
  tiltDeg: number;
  /** Braking at which it tips, in g. */
  brakeG: number;
  /** That braking over a hard stop. */
  margin: number;
}

/** Tilt and braking at which a body tips: atan and ratio of edge and height (textbook). */
export function tippingOf(support: readonly Point[], centre: Point, upMm: number): Tipping {
  const edgeMm = edgeDistanceMm(support, centre);
  const ratio = edgeMm / Math.max(1e-6, upMm);
  return {
    edgeMm,
    upMm,
    tiltDeg: (Math.atan(ratio) * 180) / Math.PI,
    brakeG: ratio,
    margin: ratio / hardStopG,
  };
}

/** How a body slides: friction, and the frosting between that has to be sheared (docs/model.md#support). */
export interface Sliding {
  brakeG: number;
  margin: number;
}
export function slidingOf(mu: number, stressPa: number, areaMm2: number, weightN: number): Sliding {
  const brakeG = mu + (stressPa * areaMm2 * 1e-6) / Math.max(1e-3, weightN);
  return { brakeG, margin: brakeG / hardStopG };
}

/**
 * The bending a rod held in the board has to take so that what stands at one height gets to twice a
 * hard stop: what its own weight does not hold of the tipping, and what friction does not hold of the
 * sliding, at the height where it slides, N·mm.
 */
export function rodMomentNmm(
  weightN: number,
  tipping: Tipping,
  sliding: Sliding | null,
  footMm: number,
): number {
  const wantedG = wantedMargin * hardStopG;
  const tips = Math.max(0, wantedG * tipping.upMm - tipping.edgeMm);
  const slides = sliding ? Math.max(0, wantedG - sliding.brakeG) * footMm : 0;
  return weightN * (tips + slides);
}

/** Bending stress at the surface of a round rod, MPa (textbook). */
export const bendingMPa = (momentNmm: number, outerMm: number): number =>
  (32 * momentNmm) / (Math.PI * outerMm ** 3);

/**
 * How deep a stake must stand for a topper to stay up through a hard stop: a short stiff post in
 * crumb that gives at an even pressure, turned about the depth where forces and moments balance
 * (textbook, short posts in clay without the end correction).
 *
 * @param massG of the topper; @param upMm height of its middle above the top
 * @param acrossMm of the stake; @param crumbKPa what the crumb stands
 */
export function stakeDepthMm(
  massG: number,
  upMm: number,
  acrossMm: number,
  crumbKPa: number,
): number {
  const push = massG * nPerG * hardStopG;
  const u = push / (crumbKPa * 1e-3 * acrossMm);
  return u + Math.sqrt(2 * u * u + 4 * u * upMm);
}

/**
 * The mass that, laid at the far rim, brings the centre of mass back over the edge of the support.
 *
 * @param beyondMm how far the centre lies beyond the edge; @param armMm from that edge to the counter-mass
 */
export const counterMassG = (massG: number, beyondMm: number, armMm: number): number =>
  armMm <= 0 ? Infinity : (massG * Math.max(0, beyondMm)) / armMm;
