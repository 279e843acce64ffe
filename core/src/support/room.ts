import { contains, coarse, grow, polygon, type Outline } from '../outline/outline.ts';
import type { Point } from '../outline/point.ts';
import type { Lines } from '../carve/result.ts';

/** A dowel stays so far inside the edge of the board it carries and of the cake it stands in, mm. */
export const edgeInsetMm = 15;
const coreGapMm = 3;
const rodGapMm = 5;
const pickGapMm = 3;

/** What a dowel must stand inside of, and clear of. All in mm from the axis of the tier it stands in. */
export interface DowelRoom {
  /** The cake it stands in. */
  lower: Outline;
  /** The board it carries, and where its middle lies. */
  upper: Outline;
  upperAt: Point;
  /** A hidden centre. */
  core: Outline | null;
  rod: { at: Point; acrossMm: number } | null;
  /** Level sections of a carved tier, each of which it must stay inside of. */
  sections: Lines[];
  /** Picks and sticks of toppings. */
  picks: Point[];
}

export const hindrances = [
  'beyond the board it carries',
  'too near the edge of the cake',
  'in the hidden centre',
  'at the rod',
  'where the cake is carved away',
  'at a pick',
] as const;
/** Why a dowel cannot stand at a place. */
export type Hindrance = (typeof hindrances)[number];

/** Tells for any place what is in the way there, or null where a dowel may stand. */
export function roomFor(around: DowelRoom, outerMm: number): (p: Point) => Hindrance | null {
  const inset = edgeInsetMm + outerMm / 2;
  const upper = grow(coarse(around.upper), -inset);
  const lower = grow(coarse(around.lower), -inset);
  const core = around.core ? grow(coarse(around.core), outerMm / 2 + coreGapMm) : null;
  const ring = Array.from({ length: 8 }, (_, k): Point => {
    const angle = (k * Math.PI) / 4;
    return { x: inset * Math.cos(angle), y: inset * Math.sin(angle) };
  });
  return (p) => {
    const above: Point = { x: p.x - around.upperAt.x, y: p.y - around.upperAt.y };
    if (!upper || !contains(upper, above)) return 'beyond the board it carries';
    if (!lower || !contains(lower, p)) return 'too near the edge of the cake';
    if (core && contains(core, p)) return 'in the hidden centre';
    const { rod } = around;
    if (rod && Math.hypot(p.x - rod.at.x, p.y - rod.at.y) < (rod.acrossMm + outerMm) / 2 + rodGapMm)
      return 'at the rod';
    for (const lines of around.sections)
      if (ring.some((off) => !insideLines(lines, p.x + off.x, p.y + off.y)))
        return 'where the cake is carved away';
    if (around.picks.some((q) => Math.hypot(p.x - q.x, p.y - q.y) < outerMm / 2 + pickGapMm))
      return 'at a pick';
    return null;
  };
}

/** Inside an odd number of closed lines. */
function insideLines(lines: Lines, x: number, y: number): boolean {
  let inside = false;
  for (const line of lines)
    for (let i = 0, j = line.length - 1; i < line.length; j = i++) {
      const [ax, ay] = line[i]!;
      const [bx, by] = line[j]!;
      if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
    }
  return inside;
}

/** The nearest place in whole millimetres where a dowel may stand, looked for in rings 2 mm apart; null within 20 cm. */
export function nearestRoom(from: Point, hinders: (p: Point) => Hindrance | null): Point | null {
  if (hinders(from) === null) return from;
  for (let r = 2; r <= 200; r += 2) {
    const steps = Math.max(12, Math.ceil((2 * Math.PI * r) / 4));
    for (let k = 0; k < steps; k++) {
      const angle = (2 * Math.PI * k) / steps;
      const p: Point = {
        x: Math.round(from.x + r * Math.cos(angle)),
        y: Math.round(from.y + r * Math.sin(angle)),
      };
      if (hinders(p) === null) return p;
    }
  }
  return null;
}

/** The rim of an outline laid at a place, for drawing and measuring. */
export const rimAt = (outline: Outline, at: Point): Point[] =>
  polygon(coarse(outline), 8).map((p) => ({ x: p.x + at.x, y: p.y + at.y }));
