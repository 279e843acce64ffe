import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  coarse,
  clipToRectangle,
  contains,
  equivalentRadiusMm,
  fitsInside,
  grow,
  grownAreaMm2,
  insetRadiusMm,
  outlineText,
  inchesAndOunces,
  metric,
  perimeterMm,
  polygon,
  polygonAreaMm2,
  widthMm,
  type Outline,
} from '../src/index.ts';
import { anyOutline } from './arbitrary.ts';

const round: Outline = { kind: 'round', diameterMm: 200 };
const square: Outline = { kind: 'square', sideMm: 200, cornerMm: 0 };
const tray: Outline = { kind: 'rectangle', widthMm: 330, depthMm: 230, cornerMm: 12 };

describe('outlines', () => {
  it('have the area and rim of their closed forms', () => {
    expect(areaMm2(round)).toBeCloseTo(Math.PI * 100 ** 2, 6);
    expect(perimeterMm(round)).toBeCloseTo(Math.PI * 200, 6);
    expect(areaMm2(square)).toBe(40000);
    expect(perimeterMm(square)).toBe(800);
    expect(areaMm2(tray)).toBeCloseTo(330 * 230 - (4 - Math.PI) * 144, 6);
    expect(equivalentRadiusMm(round)).toBeCloseTo(100, 9);
  });

  it('grow by A + P·t + pi·t², exactly', () => {
    fc.assert(
      fc.property(anyOutline, fc.double({ min: 0, max: 40, noNaN: true }), (outline, t) => {
        const expected = areaMm2(outline) + perimeterMm(outline) * t + Math.PI * t * t;
        expect(grownAreaMm2(outline, t) / expected).toBeCloseTo(1, 9);
      }),
    );
  });

  it('come back after growing out and in', () => {
    fc.assert(
      fc.property(anyOutline, fc.double({ min: 0, max: 40, noNaN: true }), (outline, t) => {
        const back = grow(grow(outline, t)!, -t)!;
        expect(areaMm2(back)).toBeCloseTo(areaMm2(outline), 3);
      }),
    );
  });

  it('vanish when moved in too far', () => {
    expect(grow(round, -100)).toBeNull();
    expect(grownAreaMm2(tray, -200)).toBe(0);
  });

  it('agree with their polygon in area, rim and inside', () => {
    fc.assert(
      fc.property(anyOutline, (outline) => {
        const points = polygon(outline, 90);
        expect(polygonAreaMm2(points) / areaMm2(outline)).toBeCloseTo(1, 3);
        for (const p of points) expect(contains(outline, p, 1e-6)).toBe(true);
        const wide = widthMm(outline);
        expect(contains(outline, { x: wide / 2 + 1, y: 0 })).toBe(false);
      }),
    );
  });

  it('hold a place that a line from it leaves through an odd number of sides, wherever it lies', () => {
    const spike = fc.tuple(fc.integer({ min: 20, max: 150 }), fc.integer({ min: 0, max: 9 }));
    const place = fc.integer({ min: -1600, max: 1600 }).map((tenths) => tenths / 10 + 0.037);
    fc.assert(
      fc.property(
        fc.array(spike, { minLength: 5, maxLength: 90 }),
        place,
        place,
        (spikes, x, y) => {
          const line = spikes.map(([radius, off], i): [number, number] => {
            const angle = (2 * Math.PI * (i + off / 12)) / spikes.length;
            return [radius * Math.cos(angle), radius * Math.sin(angle)];
          });
          const outline: Outline = { kind: 'path', name: 'spikes', points: line };
          const points = polygon(outline);
          const crossed = points.filter((a, i) => {
            const b = points[(i + 1) % points.length]!;
            return a.y > y !== b.y > y && x < a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y);
          }).length;
          expect(contains(outline, { x, y })).toBe(crossed % 2 === 1);
        },
      ),
      { numRuns: 400, seed: 262 },
    );
  });

  it('fit into each other or not', () => {
    expect(fitsInside(round, square)).toBe(true);
    expect(fitsInside(square, round)).toBe(false);
    expect(fitsInside(round, round)).toBe(true);
  });

  it('are clipped to a rectangle without loss', () => {
    const points = polygon(round, 60);
    const left = clipToRectangle(points, -100, -100, 13, 100);
    const right = clipToRectangle(points, 13, -100, 100, 100);
    expect(polygonAreaMm2(left) + polygonAreaMm2(right)).toBeCloseTo(polygonAreaMm2(points), 6);
  });

  it('drawn with many points keep their corners where only few are kept', () => {
    const side = (ax: number, ay: number, bx: number, by: number): [number, number][] =>
      Array.from({ length: 130 }, (_, i) => [
        ax + ((bx - ax) * i) / 130,
        ay + ((by - ay) * i) / 130,
      ]);
    const drawn: Outline = {
      kind: 'path',
      name: 'square',
      points: [...side(-100, -100, 100, -100), ...side(100, -100, 100, 100), ...side(100, 100, -100, 100), ...side(-100, 100, -100, -100)], // prettier-ignore
    };
    expect(areaMm2(coarse(drawn))).toBeCloseTo(40_000, 6);
    expect(areaMm2(grow(drawn, -30)!)).toBeCloseTo(140 ** 2, 0);
  });

  it('moved in have the radius of what is left, of drawn ones to half a millimetre where they fall apart', () => {
    expect(insetRadiusMm(round, 13)).toBeCloseTo(87, 9);
    expect(insetRadiusMm(round, 120)).toBe(0);
    const petal: Outline = { kind: 'petal', diameterMm: 250, petals: 6 };
    expect(insetRadiusMm(petal, 0)).toBe(equivalentRadiusMm(petal));
    for (let off = 0; off < 100; off += 1.7) {
      const now = insetRadiusMm(petal, off);
      const exact = grow(petal, -off);
      if (off > 0 && off < 80) expect(Math.abs(now - equivalentRadiusMm(exact!))).toBeLessThan(0.7);
    }
  });

  it('are told in words', () => {
    expect(outlineText(tray, metric)).toBe('33 cm × 23 cm');
    expect(outlineText(round, inchesAndOunces)).toBe('7 3/4 in');
  });
});
