import type { Point } from './point.ts';

/** Area of a polygon in mm2, positive when it runs counter-clockwise. */
export function polygonAreaMm2(points: readonly Point[]): number {
  let twice = 0;
  for (let i = 0; i < points.length; i++) {
    const a = points[i]!;
    const b = points[(i + 1) % points.length]!;
    twice += a.x * b.y - b.x * a.y;
  }
  return twice / 2;
}

/** Keeps the part of a convex polygon where `side` is not negative (Sutherland and Hodgman). */
function clipBy(points: readonly Point[], side: (p: Point) => number): Point[] {
  const kept: Point[] = [];
  for (let i = 0; i < points.length; i++) {
    const a = points[i]!;
    const b = points[(i + 1) % points.length]!;
    const da = side(a);
    const db = side(b);
    if (da >= 0) kept.push(a);
    if (da >= 0 !== db >= 0) {
      const t = da / (da - db);
      kept.push({ x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) });
    }
  }
  return kept;
}

/** The part of a polygon inside the upright rectangle from (x0, y0) to (x1, y1), all in mm. */
export function clipToRectangle(
  points: readonly Point[],
  x0: number,
  y0: number,
  x1: number,
  y1: number,
): Point[] {
  let kept = clipBy(points, (p) => p.x - x0);
  kept = clipBy(kept, (p) => x1 - p.x);
  kept = clipBy(kept, (p) => p.y - y0);
  return clipBy(kept, (p) => y1 - p.y);
}
