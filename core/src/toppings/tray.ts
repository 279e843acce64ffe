/** A slab of brittle or chocolate made on a tray and broken. Lengths in mm, masses in g. */
export interface TrayPlan {
  trayMm2: number;
  /** Side of a square tray of that area. */
  sideMm: number;
  massG: number;
  wholeG: number;
  crushedG: number;
}

/**
 * What to pour for so many whole pieces: their area over the share that breaks well, times
 * thickness; what does not is crushed. In the oven it spreads, so the tray is larger than what is
 * poured.
 *
 * @param wholeShare of the slab that gives whole pieces; @param spreads area after over area before
 */
export function trayFor(
  pieces: number,
  pieceMm2: number,
  thickMm: number,
  densityGPerMl: number,
  wholeShare: number,
  spreads = 1,
): TrayPlan {
  const slabMm2 = (pieces * pieceMm2) / Math.max(0.05, wholeShare);
  const massG = (slabMm2 * thickMm * densityGPerMl) / 1000;
  const wholeG = (pieces * pieceMm2 * thickMm * densityGPerMl) / 1000;
  const trayMm2 = slabMm2 * spreads;
  return { trayMm2, sideMm: Math.sqrt(trayMm2), massG, wholeG, crushedG: massG - wholeG };
}

/** A drizzle: a bead of half a circle's section along its length, g. */
export const drizzleG = (lengthMm: number, wideMm: number, densityGPerMl: number): number =>
  (lengthMm * (Math.PI / 8) * wideMm ** 2 * densityGPerMl) / 1000;

/** Angles at which loose pieces pile: smooth ones flatter, rough ones steeper, degrees (textbook). */
export const reposeDeg = { min: 35, usual: 40, max: 45 } as const;

/** How high loose pieces pile on so wide a foot, mm. */
export const heapHighMm = (acrossMm: number, degrees: number = reposeDeg.usual): number =>
  (acrossMm / 2) * Math.tan((degrees * Math.PI) / 180);

/** How steep such a heap lies, degrees. */
export const heapSlopeDeg = (acrossMm: number, highMm: number): number =>
  (Math.atan((2 * highMm) / acrossMm) * 180) / Math.PI;

/** A heap of loose pieces: the cone they lie in, by their packing, g. */
export const heapG = (
  acrossMm: number,
  highMm: number,
  packing: number,
  densityGPerMl: number,
): number => ((Math.PI / 12) * acrossMm ** 2 * highMm * packing * densityGPerMl) / 1000;

/** A wreath: a half-round roll of pieces along a ring, g. */
export const wreathG = (
  ringMm: number,
  wideMm: number,
  packing: number,
  densityGPerMl: number,
): number => (ringMm * (Math.PI / 8) * wideMm ** 2 * packing * densityGPerMl) / 1000;

/**
 * How much more a veil takes over a side studded with pieces: each adds half its own surface, at most what
 * fills the room between them.
 */
export const studdedFactor = (
  cover: number,
  highMm: number,
  acrossMm: number,
  veilMm = 0,
): number => {
  const bySurface = cover * ((2 * highMm) / Math.max(1, acrossMm));
  return 1 + (veilMm > 0 ? Math.min(bySurface, ((1 - cover) * highMm) / veilMm) : bySurface);
};
