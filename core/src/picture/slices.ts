import type { Point } from '../outline/point.ts';
import type { Region, Slice } from './types.ts';

/** A line or lines at a height, mm above the board. */
export interface Ring {
  upMm: number;
  region: Region;
}

const between = (a: Region, b: Region, share: number): Region =>
  a.map((line, l) =>
    line.map((p, i): Point => {
      const q = b[l]![i]!;
      return { x: p.x + (q.x - p.x) * share, y: p.y + (q.y - p.y) * share };
    }),
  );

/** The region at a height between rings that lie above each other; that of the nearest beyond them. */
export function regionAt(rings: readonly Ring[], upMm: number): Region {
  const k = rings.findIndex((ring) => ring.upMm >= upMm - 1e-9);
  if (k < 0) return rings.at(-1)!.region;
  const above = rings[k]!;
  if (k === 0 || Math.abs(above.upMm - upMm) < 1e-9) return above.region;
  const below = rings[k - 1]!;
  return between(below.region, above.region, (upMm - below.upMm) / (above.upMm - below.upMm));
}

/** What of a body given by its rings lies between two heights, from ring to ring. */
export function slicesBetween(rings: readonly Ring[], fromMm: number, toMm: number): Slice[] {
  const ups = [
    fromMm,
    ...rings.map(({ upMm }) => upMm).filter((up) => up > fromMm + 1e-6 && up < toMm - 1e-6),
    toMm,
  ];
  const regions = ups.map((up) => regionAt(rings, up));
  return ups.slice(1).map((up, i) => ({
    fromMm: ups[i]!,
    toMm: up,
    foot: regions[i]!,
    top: regions[i + 1]!,
  }));
}

/** A body that stands straight up. */
export const upright = (region: Region, fromMm: number, toMm: number): Slice[] =>
  toMm > fromMm ? [{ fromMm, toMm, foot: region, top: region }] : [];

/** The same region moved. */
export const movedBy = (region: Region, { x, y }: Point): Region =>
  region.map((line) => line.map((p) => ({ x: p.x + x, y: p.y + y })));

/** A closed line moved inward by its own normals, each point by so much: right for a small step. */
export function drawnIn(line: readonly Point[], by: number | ((i: number) => number)): Point[] {
  const n = line.length;
  return line.map((p, i) => {
    const before = line[(i + n - 1) % n]!;
    const after = line[(i + 1) % n]!;
    const [dx, dy] = [after.x - before.x, after.y - before.y];
    const along = Math.max(1e-9, Math.hypot(dx, dy));
    // counter-clockwise: inward is to the left of the way
    const mm = typeof by === 'number' ? by : by(i);
    return { x: p.x - (dy / along) * mm, y: p.y + (dx / along) * mm };
  });
}

/** Volume of slices, mm3: exact for straight ones, and by both ends and the middle for others. */
export function slicesMm3(slices: readonly Slice[]): number {
  const area = (region: Region): number =>
    region.reduce((sum, line) => {
      const twice = line.reduce((acc, a, i) => {
        const b = line[(i + 1) % line.length]!;
        return acc + a.x * b.y - b.x * a.y;
      }, 0);
      return sum + twice / 2;
    }, 0);
  return slices.reduce((sum, { fromMm, toMm, foot, top }) => {
    const middle = area(between(foot, top, 0.5));
    return sum + ((toMm - fromMm) * (area(foot) + 4 * middle + area(top))) / 6;
  }, 0);
}
