import { areaMm2, grownAreaMm2, grow, perimeterMm, type Outline } from '../outline/outline.ts';

/**
 * Volume of a coat on an upright prism, mL, exact: (A(t) - A)·H on the side and A(t)·tt on top, with
 * A(t) the area of the outline moved outward by t with round joins (model section 1). The rim is
 * square, as a scraper leaves it.
 *
 * @param heightMm height of what is coated; @param sideMm, topMm thickness of the coat
 */
export function shellMl(outline: Outline, heightMm: number, sideMm: number, topMm: number): number {
  const outer = grownAreaMm2(outline, sideMm);
  return ((outer - areaMm2(outline)) * heightMm + outer * topMm) / 1000;
}

/** Volume that uneven sponge sides swallow, mL: rim times height times the mean gap. */
export const roughnessMl = (outline: Outline, heightMm: number, gapMm: number): number =>
  (perimeterMm(outline) * heightMm * gapMm) / 1000;

/** The outline with a coat of `byMm` on it. */
export const coated = (outline: Outline, byMm: number): Outline => grow(outline, byMm) ?? outline;
