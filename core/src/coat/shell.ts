import { areaMm2, grownAreaMm2, grow, perimeterMm, type Outline } from '../outline/outline.ts';

/**
 * Volume of a coat on an upright prism, mL, exact: (A(t) - A)·H on the side and A(t)·tt on top, with
 * A(t) the area of the outline moved outward by t with round joins (docs/model.md#coat). The rim is
 * square, as a scraper leaves it.
 *
 * @param heightMm height of what is coated; @param sideMm, topMm thickness of the coat
 */
export function shellMl(outline: Outline, heightMm: number, sideMm: number, topMm: number): number {
  const outer = grownAreaMm2(outline, sideMm);
  return ((outer - areaMm2(outline)) * heightMm + outer * topMm) / 1000;
}

/** What a rounded rim takes off a sharp one, mL: (1 - pi/4)·r² along the rim (docs/model.md#coat). */
export const rimCutMl = (finished: Outline, radiusMm: number): number =>
  ((1 - Math.PI / 4) * radiusMm ** 2 * perimeterMm(finished)) / 1000;

/**
 * The largest radius of the rim, mm, that still leaves the cake covered: the arc just touches the
 * cake's corner under a coat of so much on side and top.
 */
export function roundestRimMm(sideMm: number, topMm: number): number {
  // (r - side)² + (r - top)² = r², the larger root
  const sum = sideMm + topMm;
  return sum + Math.sqrt(2 * sideMm * topMm);
}

/** Volume that uneven sponge sides swallow, mL: rim times height times the mean gap. */
export const roughnessMl = (outline: Outline, heightMm: number, gapMm: number): number =>
  (perimeterMm(outline) * heightMm * gapMm) / 1000;

/** The outline with a coat of `byMm` on it. */
export const coated = (outline: Outline, byMm: number): Outline => grow(outline, byMm) ?? outline;
