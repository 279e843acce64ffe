import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contains, polygon } from '../src/index.ts';
import { polygonAreaMm2 } from '../src/outline/clip.ts';
import { offsetLine } from '../src/outline/offset.ts';
import type { Point } from '../src/outline/point.ts';
import { drawnOutline } from './arbitrary.ts';

const pathOf = (points: [number, number][]): Point[] => points.map(([x, y]) => ({ x, y }));
const areasOf = (lines: Point[][]): number[] =>
  lines.map((line) => polygonAreaMm2(line)).sort((a, b) => b - a);

/** Between an arc of radius r and its tangent, over so much of the tangent from where they touch, mm2. */
const besideArc = (along: number, r: number): number =>
  along * r - (r ** 2 * Math.asin(along / r) + along * Math.sqrt(r ** 2 - along ** 2)) / 2;

const inside = (line: readonly Point[], p: Point): boolean =>
  contains({ kind: 'path', name: '', points: line.map(({ x, y }) => [x, y]) }, p, 0);

/** How deep a point lies inside a line, mm; below nothing outside of it. */
function depth(line: readonly Point[], p: Point): number {
  const apart = line.map((a, i) => {
    const b = line[(i + 1) % line.length]!;
    const [ux, uy] = [b.x - a.x, b.y - a.y];
    const along = ((p.x - a.x) * ux + (p.y - a.y) * uy) / Math.max(1e-12, ux * ux + uy * uy);
    const t = Math.min(1, Math.max(0, along));
    return Math.hypot(a.x + t * ux - p.x, a.y + t * uy - p.y);
  });
  return Math.min(...apart) * (inside(line, p) ? 1 : -1);
}

/** A star-shaped line with corners that open and close, as a hand draws them. */
const cornered: fc.Arbitrary<Point[]> = fc
  .array(fc.integer({ min: 20, max: 200 }), { minLength: 3, maxLength: 24 })
  .map((radii) =>
    radii.map((r, i) => {
      const angle = (2 * Math.PI * i) / radii.length;
      return { x: r * Math.cos(angle), y: r * Math.sin(angle) };
    }),
  );

describe('a line that is moved', () => {
  it('comes to lie where a fresh one does, whatever it was asked before', () => {
    fc.assert(
      fc.property(
        drawnOutline,
        fc.array(fc.double({ min: 1, max: 60, noNaN: true }), { minLength: 2, maxLength: 5 }),
        (outline, amounts) => {
          const asked = polygon(outline);
          const before = structuredClone(asked);
          for (const mm of amounts)
            expect(offsetLine(asked, -mm)).toEqual(offsetLine(structuredClone(before), -mm));
          expect(asked).toEqual(before);
        },
      ),
      { seed: 15, numRuns: 60 },
    );
  });
  it('outward has the area A + P·t + pi·t² where it is convex', () => {
    const square = pathOf([[0, 0], [100, 0], [100, 100], [0, 100]]); // prettier-ignore
    const [area] = areasOf(offsetLine(square, 10));
    expect(area).toBeCloseTo(100 ** 2 + 4000 + Math.PI * 100, -0.5);
    expect(areasOf(offsetLine([...square].reverse(), 10))[0]).toBeCloseTo(area!, 6);
  });
  it('inward keeps sharp corners, falls apart where it is narrow, and is gone in the end', () => {
    const tray = pathOf([[0, 0], [200, 0], [200, 100], [0, 100]]); // prettier-ignore
    expect(areasOf(offsetLine(tray, -20))).toEqual([160 * 60]);
    expect(offsetLine(tray, -50)).toEqual([]);
    expect(offsetLine(tray, -500)).toEqual([]);
    // two squares of 100 with a bridge of 20
    const bone = pathOf([
      [0, 0], [100, 0], [100, 40], [150, 40], [150, 0], [250, 0],
      [250, 100], [150, 100], [150, 60], [100, 60], [100, 100], [0, 100],
    ]); // prettier-ignore
    const halves = areasOf(offsetLine(bone, -11));
    expect(halves).toHaveLength(2);
    // beside the bridge the squares reach as far as its corners, 10 off the middle, let them
    for (const half of halves) expect(half).toBeCloseTo(78 ** 2 + 2 * besideArc(10, 11), 0);
  });
  it('outward over a gap keeps the hole in it as a line of its own, the other way round', () => {
    // a frame with a slit of 10 in one side
    const open = pathOf([
      [0, 0], [95, 0], [95, 20], [20, 20], [20, 180], [180, 180],
      [180, 20], [105, 20], [105, 0], [200, 0], [200, 200], [0, 200],
    ]); // prettier-ignore
    const [outer, hole] = areasOf(offsetLine(open, 6));
    const notch = 2 * besideArc(5, 6);
    expect(outer).toBeCloseTo(200 ** 2 + 6 * 800 + Math.PI * 36 - notch, -0.5);
    expect(hole).toBeCloseTo(-(148 ** 2 + notch), -0.5);
  });
  it('has just the points that lie so far off, whatever the outline', () => {
    const lines = fc.oneof(
      cornered,
      drawnOutline.filter(({ kind }) => kind !== 'ring').map((outline) => polygon(outline)),
    );
    const share = fc.double({ min: -0.45, max: 0.3, noNaN: true });
    const at = fc.tuple(...Array.from({ length: 12 }, () => fc.double({ min: -0.7, max: 0.7, noNaN: true }))); // prettier-ignore
    fc.assert(
      fc.property(lines, share, at, at, (line, by, xs, ys) => {
        const [across, deep] = (['x', 'y'] as const).map((axis) => {
          const all = line.map((p) => p[axis]);
          return [Math.min(...all), Math.max(...all)] as const;
        }) as [readonly [number, number], readonly [number, number]];
        const size = Math.min(across[1] - across[0], deep[1] - deep[0]);
        const byMm = by * size;
        const moved = offsetLine(line, byMm);
        xs.forEach((x, i) => {
          const p = {
            x: (across[0] + across[1]) / 2 + x * (across[1] - across[0]),
            y: (deep[0] + deep[1]) / 2 + ys[i]! * (deep[1] - deep[0]),
          };
          const off = depth(line, p) + byMm;
          // nearer than the chords of a round join no side is taken
          if (Math.abs(off) < 0.05) return;
          const windings = moved.filter((piece) => inside(piece, p)).length;
          expect(windings % 2 === 1, `${off.toFixed(3)} mm off`).toBe(off > 0);
        });
      }),
      { numRuns: 200 },
    );
  });
  it('far inward leaves just what is so deep, where the lobes of a petal come to lie inside out', () => {
    const line = polygon({ kind: 'petal', diameterMm: 667, petals: 6 });
    // each square millimetre of the middle that is so far from the line, counted
    const deepEnough = (mm: number): number => {
      let count = 0;
      for (let x = -40; x < 40; x += 2)
        for (let y = -40; y < 40; y += 2) if (depth(line, { x: x + 1, y: y + 1 }) > mm) count += 4;
      return count;
    };
    for (const mm of [230, 240, 260]) {
      const left = areasOf(offsetLine(line, -mm)).reduce((sum, area) => sum + area, 0);
      expect(Math.abs(left - deepEnough(mm))).toBeLessThan(40);
    }
  });
  it('does not gather points when it is moved again and again', () => {
    for (const petals of [6, 11]) {
      const line = polygon({ kind: 'petal', diameterMm: 54, petals });
      let moved = line;
      for (let k = 0; k < 10; k++) [moved] = offsetLine(moved, 0.8) as [Point[]];
      // as many on the arcs of a line that has grown by a third, not twice as many each time
      expect(moved.length).toBeLessThan(1.5 * line.length);
    }
  });
  it('bears points that lie on each other, and a line of two', () => {
    const twice = pathOf([[0, 0], [0, 0], [100, 0], [100, 100], [100, 100], [0, 100]]); // prettier-ignore
    expect(areasOf(offsetLine(twice, -10))).toEqual([6400]);
    expect(areasOf(offsetLine(twice, 0))).toEqual([10000]);
    expect(offsetLine(pathOf([[0, 0], [100, 0]]), 5)).toEqual([]); // prettier-ignore
  });
});
