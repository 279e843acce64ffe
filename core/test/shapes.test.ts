import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Schema } from 'yup';
import {
  areaMm2,
  contains,
  countServings,
  cuttingMap,
  depthMm,
  equivalentRadiusMm,
  fillHeightMm,
  fitsInside,
  grow,
  grownAreaMm2,
  lineProblem,
  liningOf,
  outlineSchema,
  perimeterMm,
  polygon,
  rowSchemas,
  scaled,
  spansAt,
  tinOutlineAt,
  tinVolumeMl,
  widthMm,
  type Outline,
  type Tin,
} from '../src/index.ts';
import { anyOutline, drawnOutline, pantry } from './arbitrary.ts';

const tin = (id: string): Tin => pantry.tins.find((t) => t.id === id)!;
const isOutline = (value: unknown): boolean =>
  (outlineSchema as Schema).isValidSync(value, { strict: true });
const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** A bracket, open to the right: not convex, and not its own mirror image. */
const bracket: Outline = {
  kind: 'path',
  name: 'bracket',
  points: [
    [-100, -80],
    [100, -80],
    [100, -40],
    [-40, -40],
    [-40, 40],
    [60, 40],
    [60, 80],
    [-100, 80],
  ],
};

describe('drawn outlines', () => {
  it('have the areas and rims of their closed forms', () => {
    const w = 200;
    const s = w / (1 + Math.SQRT1_2);
    const heart: Outline = { kind: 'heart', widthMm: w };
    expect(areaMm2(heart) / (s * s * (1 + Math.PI / 4))).toBeCloseTo(1, 3);
    expect(perimeterMm(heart) / (s * (2 + Math.PI))).toBeCloseTo(1, 3);
    const hexagon: Outline = { kind: 'hexagon', acrossMm: 200 };
    expect(areaMm2(hexagon)).toBeCloseTo((Math.sqrt(3) / 2) * 200 ** 2, 6);
    expect(perimeterMm(hexagon)).toBeCloseTo((6 * 200) / Math.sqrt(3), 6);
    const oval: Outline = { kind: 'oval', widthMm: 280, depthMm: 200 };
    expect(areaMm2(oval) / (Math.PI * 140 * 100)).toBeCloseTo(1, 3);
    const ring: Outline = { kind: 'ring', diameterMm: 240, holeMm: 80 };
    expect(areaMm2(ring)).toBeCloseTo(Math.PI * (120 ** 2 - 40 ** 2), 6);
    expect(equivalentRadiusMm(ring)).toBeCloseTo(80, 9);
    for (const petals of [4, 5, 8]) {
      const half = Math.PI / petals;
      const R = 125 / (Math.cos(half) + Math.sin(half));
      const side = 2 * R * Math.sin(half);
      const area = (petals * R * R * Math.sin(2 * half)) / 2 + (petals * Math.PI * side ** 2) / 8;
      const petal: Outline = { kind: 'petal', diameterMm: 250, petals };
      expect(areaMm2(petal) / area).toBeCloseTo(1, 3);
      expect(perimeterMm(petal) / ((petals * Math.PI * side) / 2)).toBeCloseTo(1, 3);
    }
  });
  it('lie in the middle of their boxes and hold their own points', () => {
    fc.assert(
      fc.property(drawnOutline, (outline) => {
        const points = polygon(outline);
        const xs = points.map((p) => p.x);
        expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(widthMm(outline), 4);
        for (const p of points) expect(contains(outline, p, 1e-3)).toBe(true);
        expect(contains(outline, { x: widthMm(outline), y: 0 })).toBe(false);
        expect(fitsInside(outline, outline)).toBe(true);
        expect(areaMm2(outline)).toBeLessThanOrEqual(widthMm(outline) * depthMm(outline));
        expect(isOutline(outline)).toBe(true);
      }),
    );
  });
  it('grow by area plus rim and a round corner where they are convex', () => {
    fc.assert(
      fc.property(double(60, 400), double(60, 400), double(0.5, 30), (w, d, t) => {
        const oval: Outline = { kind: 'oval', widthMm: w, depthMm: d };
        const formula = areaMm2(oval) + perimeterMm(oval) * t + Math.PI * t * t;
        expect(grownAreaMm2(oval, t)).toBeCloseTo(formula, 6);
        // the clipper's own line agrees
        expect(areaMm2(grow(oval, t)!) / formula).toBeCloseTo(1, 3);
      }),
      { numRuns: 40 },
    );
  });
  it('grow truly where they are not: counted on a fine grid', () => {
    for (const [outline, t] of [
      [bracket, 12],
      [{ kind: 'heart', widthMm: 200 }, 8],
    ] as const) {
      const rim = polygon(outline);
      const near = (x: number, y: number): boolean =>
        contains(outline, { x, y }) ||
        rim.some((a, i) => {
          const b = rim[(i + 1) % rim.length]!;
          const l2 = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
          const k = Math.max(
            0,
            Math.min(1, ((x - a.x) * (b.x - a.x) + (y - a.y) * (b.y - a.y)) / l2),
          );
          return Math.hypot(x - a.x - k * (b.x - a.x), y - a.y - k * (b.y - a.y)) <= t;
        });
      const step = 2;
      let cells = 0;
      for (let x = -130 + step / 2; x < 130; x += step)
        for (let y = -130 + step / 2; y < 130; y += step) if (near(x, y)) cells += 1;
      expect(grownAreaMm2(outline, t) / (cells * step * step)).toBeCloseTo(1, 2);
    }
  });
  it('shrink, fall apart to their largest piece, and vanish', () => {
    expect(grownAreaMm2(bracket, -10)).toBeLessThan(areaMm2(bracket));
    expect(grow(bracket, -70)).toBeNull();
    expect(grow({ kind: 'ring', diameterMm: 200, holeMm: 100 }, -30)).toBeNull();
    expect(grow({ kind: 'ring', diameterMm: 200, holeMm: 20 }, 12)).toEqual({
      kind: 'round',
      diameterMm: 224,
    });
  });
  it('are cut along a line where there is cake', () => {
    expect(spansAt(bracket, 0)).toEqual([
      [-80, -40],
      [40, 80],
    ]);
    expect(spansAt(bracket, 500)).toEqual([]);
    fc.assert(
      fc.property(fc.oneof(anyOutline, drawnOutline), (outline) => {
        // the spans of many lines add up to the area
        const n = 3000;
        const wide = widthMm(outline);
        let area = 0;
        for (let i = 0; i < n; i++)
          for (const [a, b] of spansAt(outline, -wide / 2 + ((i + 0.5) * wide) / n))
            area += ((b - a) * wide) / n;
        expect(area / areaMm2(outline)).toBeCloseTo(1, 2);
      }),
      { numRuns: 60 },
    );
  });
  it('scale by the square in area', () => {
    fc.assert(
      fc.property(fc.oneof(anyOutline, drawnOutline), double(0.5, 2), (outline, by) => {
        expect(areaMm2(scaled(outline, by)) / areaMm2(outline)).toBeCloseTo(by * by, 6);
      }),
      { numRuns: 40 },
    );
  });
  it('are portioned: the map shows what is counted, and the cake is never exceeded', () => {
    for (const outline of [bracket, { kind: 'heart', widthMm: 230 }] as Outline[]) {
      const count = countServings(outline, 'small', 'grid', false);
      const pieces = cuttingMap(outline, 'small', 'grid').filter((p) => p.counted);
      expect(pieces).toHaveLength(count);
      expect(count * 25 * 25 * 0.75).toBeLessThanOrEqual(areaMm2(outline));
      expect(count).toBeGreaterThan(5);
    }
  });
});

describe('a line that is no outline', () => {
  it('is refused, and says which it is', () => {
    const bow: [number, number][] = [
      [0, 0],
      [100, 100],
      [100, 0],
      [0, 100],
    ];
    expect(lineProblem(bow)).toContain('crosses itself');
    expect(lineProblem([[0, 0], [1, 1]])).toContain('fewer than three'); // prettier-ignore
    expect(
      lineProblem([
        [0, 0],
        [50, 0],
        [100, 0],
      ]),
    ).toContain('no area');
    expect(lineProblem(polygon(bracket).map((p) => [p.x, p.y]))).toBeNull();
    expect(isOutline({ kind: 'path', name: 'bow', points: bow })).toBe(false);
  });
});

describe('tins of other forms', () => {
  it('hold half a ball', () => {
    expect(tinVolumeMl(tin('ball-16'), 80)).toBeCloseTo(((2 / 3) * Math.PI * 80 ** 3) / 1000, 6);
    expect(widthMm(tinOutlineAt(tin('ball-16'), 80))).toBeCloseTo(160, 6);
    // a shallower bowl is a spherical cap
    const bowl = { ...tin('ball-16'), depthMm: 50 };
    const cap = (Math.PI * 50 * (3 * 80 ** 2 + 50 ** 2)) / 6000;
    expect(tinVolumeMl(bowl, 50)).toBeCloseTo(cap, 6);
  });
  it('known by water hold just that, and are as wide at the brim as their mouth', () => {
    const mould = tin('mould-dome');
    expect(tinVolumeMl(mould, mould.depthMm)).toBeCloseTo(mould.waterG!, 6);
    expect(widthMm(tinOutlineAt(mould, mould.depthMm))).toBeCloseTo(180, 6);
    expect(tinVolumeMl(mould, 40)).toBeLessThan((mould.waterG! * 40) / mould.depthMm);
    const weighed = { ...tin('round-20'), waterG: 2200 };
    expect(tinVolumeMl(weighed, 75)).toBeCloseTo(2200, 6);
    expect(tinVolumeMl(weighed, 37.5)).toBeCloseTo(1100, 6);
  });
  it('fill to the height of what is poured in, whatever they are', () => {
    fc.assert(
      fc.property(fc.constantFrom(...pantry.tins), double(5, 60), (t, h) => {
        expect(fillHeightMm(t, tinVolumeMl(t, h))).toBeCloseTo(h, 4);
      }),
    );
  });
  it('are lined with a base and a strip that goes round and laps over', () => {
    const lining = liningOf(tin('round-20'), 60)!;
    expect(lining.base).toEqual({ kind: 'round', diameterMm: 198 });
    expect(lining.strips).toEqual([
      { lengthMm: Math.ceil(Math.PI * 200 + 20), heightMm: 85, where: 'side' },
    ]);
    expect(liningOf(tin('round-20'), 90)!.strips[0]!.heightMm).toBe(100);
    expect(liningOf(tin('ring-24'), 60)!.strips.map((s) => s.where)).toEqual(['side', 'hole']);
    expect(liningOf(tin('ball-16'), 60)).toBeNull();
  });
  it('need their water where nothing else is known of them', () => {
    const mould = { ...tin('mould-dome'), waterG: null };
    expect(rowSchemas.tins.isValidSync(mould, { strict: true })).toBe(false);
    expect(rowSchemas.tins.isValidSync(tin('mould-dome'), { strict: true })).toBe(true);
  });
});
