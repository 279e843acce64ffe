import type { Point } from '../outline/point.ts';
import { hullOf } from './statics.ts';

/** A board that bends more lets the coat crack, mm. */
export const mostBendMm = 1;

/** Where a board bends most. */
export interface Bend {
  mm: number;
  where: 'between two dowels' | 'inside the ring' | 'at the rim';
  spanMm: number;
}

const poisson = 0.3;

/** A strip held at both ends, evenly loaded: 5·p·s⁴/(384·E·I) to the width of one, mm (textbook). */
export const stripBendMm = (pPa: number, spanMm: number, modulusGPa: number, mm: number): number =>
  (60 * pPa * 1e-6 * spanMm ** 4) / (384 * modulusGPa * 1000 * mm ** 3);

/** A strip held at one end, evenly loaded: p·s⁴/(8·E·I), mm (textbook). */
export const overhangBendMm = (
  pPa: number,
  spanMm: number,
  modulusGPa: number,
  mm: number,
): number => (12 * pPa * 1e-6 * spanMm ** 4) / (8 * modulusGPa * 1000 * mm ** 3);

/** A round plate held along its rim, evenly loaded, in its middle, mm (textbook, Poisson 0.3). */
export function plateBendMm(pPa: number, radiusMm: number, modulusGPa: number, mm: number): number {
  const stiffness = (modulusGPa * 1000 * mm ** 3) / (12 * (1 - poisson ** 2));
  return (((5 + poisson) / (64 * (1 + poisson))) * pPa * 1e-6 * radiusMm ** 4) / stiffness;
}

/**
 * How far a board bends on its dowels under an even load: as a strip between two neighbours of the
 * ring, as a plate inside it, and as an overhang beyond it; the worst of the three.
 *
 * @param rim points of the board's rim, in the coordinates of the dowels, mm
 */
export function bendOf(
  places: readonly Point[],
  rim: readonly Point[],
  pPa: number,
  modulusGPa: number,
  thicknessMm: number,
): Bend {
  const hull = hullOf(places);
  const cx = hull.reduce((sum, p) => sum + p.x, 0) / hull.length;
  const cy = hull.reduce((sum, p) => sum + p.y, 0) / hull.length;
  const apart = hull.map((p, i) => {
    const q = hull[(i + 1) % hull.length]!;
    return Math.hypot(p.x - q.x, p.y - q.y);
  });
  const strip = Math.max(0, ...apart);
  // a dowel in the middle halves what is free inside
  const middle = Math.min(...places.map((p) => Math.hypot(p.x - cx, p.y - cy)));
  const ring = Math.max(0, ...hull.map((p) => Math.hypot(p.x - cx, p.y - cy)));
  const plate = middle < ring / 3 ? ring / 2 : ring;
  const beyond = Math.max(
    0,
    ...rim.map((p) => {
      const away = Math.min(...places.map((q) => Math.hypot(p.x - q.x, p.y - q.y)));
      // between two dowels the rim is nearer to the line than to either of them
      return Math.sqrt(Math.max(0, away ** 2 - (strip / 2) ** 2));
    }),
  );
  const found: Bend[] = [
    {
      mm: stripBendMm(pPa, strip, modulusGPa, thicknessMm),
      where: 'between two dowels',
      spanMm: strip,
    },
    {
      mm: plateBendMm(pPa, plate, modulusGPa, thicknessMm),
      where: 'inside the ring',
      spanMm: 2 * plate,
    },
    {
      mm: overhangBendMm(pPa, beyond, modulusGPa, thicknessMm),
      where: 'at the rim',
      spanMm: beyond,
    },
  ];
  return found.reduce((a, b) => (b.mm > a.mm ? b : a));
}

/** Thickness of the same material that bends no more than 1 mm, mm. */
export const stiffEnoughMm = (bend: Bend, thicknessMm: number): number =>
  thicknessMm * Math.cbrt(bend.mm / mostBendMm);
