import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  angleOf,
  fitRim,
  flushTrim,
  newBuild,
  orderLayers,
  planBuild,
  solveLevel,
  tiltOf,
  turnCount,
  wedgeOf,
  wildReadings,
  type LevelLayer,
  type RimFit,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const plane = (h: number, a: number, b: number, n: number): number[] =>
  Array.from(
    { length: n },
    (_, i) => h + a * Math.cos(angleOf(i, n)) + b * Math.sin(angleOf(i, n)),
  );
const fit = (a: number, b: number, rest: Partial<RimFit> = {}): RimFit => ({
  meanMm: 25,
  a,
  b,
  tiltMm: Math.hypot(a, b),
  highAt: 0,
  roughMm: 0,
  ...rest,
});
const layer = (a: number, b: number, radiusMm = 100, flipped = false): LevelLayer => ({
  fit: fit(a, b),
  radiusMm,
  flipped,
});
const anyLayer = fc
  .record({ a: double(-4, 4), b: double(-4, 4), r: double(50, 200), f: fc.boolean() })
  .map(({ a, b, r, f }) => layer(a, b, r, f));

describe('the rim’s plane', () => {
  it('is recovered exactly from 4 or 8 readings of a tilted layer', () => {
    fc.assert(
      fc.property(
        double(8, 90),
        double(-6, 6),
        double(-6, 6),
        fc.constantFrom(4, 8),
        (h, a, b, n) => {
          const found = fitRim(plane(h, a, b, n))!;
          expect(found.meanMm).toBeCloseTo(h, 8);
          expect(found.a).toBeCloseTo(a, 8);
          expect(found.b).toBeCloseTo(b, 8);
          expect(found.roughMm).toBeLessThan(1e-7);
        },
      ),
    );
  });
  it('is found from what readings there are, and from three at least', () => {
    const rim: (number | null)[] = plane(30, 2, -1, 8);
    rim[1] = rim[4] = rim[6] = null;
    expect(fitRim(rim)!.a).toBeCloseTo(2, 8);
    expect(fitRim([20, null, 22, 21])!.meanMm).toBeGreaterThan(19);
    expect(fitRim([20, null, 22, null])).toBeNull();
    expect(fitRim([])).toBeNull();
  });
  it('leaves as roughness what no plane explains', () => {
    // a rim that goes up and down twice round has no tilt at all
    const found = fitRim([21, 19, 21, 19])!;
    expect(found).toMatchObject({ meanMm: 20 });
    expect(found.tiltMm).toBeCloseTo(0, 9);
    expect(found.roughMm).toBeCloseTo(1, 9);
  });
  it('points to its high side', () => {
    expect(fitRim([20, 23, 20, 17])!.highAt).toBeCloseTo(Math.PI / 2, 9);
  });
});

describe('wild readings', () => {
  it('typed ten times too large are pointed out, with what they should be', () => {
    expect(wildReadings([22, 230, 24, 23])).toEqual([{ index: 1, mm: 230, likelyMm: 23 }]);
    expect(wildReadings([22, 2.3, 24, 23])).toEqual([{ index: 1, mm: 2.3, likelyMm: 23 }]);
  });
  it('without an explanation are pointed out too, honest ones are not', () => {
    expect(wildReadings([22, 60, 24, 23])).toEqual([{ index: 1, mm: 60, likelyMm: null }]);
    expect(wildReadings([18, 25, 24, 20])).toEqual([]);
    expect(wildReadings([null, null, 24, 200])).toEqual([]);
  });
  it('and missing ones become cautions at their layer', () => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    build.tiers[0]!.layers[1]!.rimMm = [25, 250, null, 26];
    const cautions = planBuild(build, pantry).cautions.filter((c) => c.id.includes('/rim'));
    expect(cautions.map((c) => c.id).sort()).toEqual(['tier-1/rim missing/1', 'tier-1/rim/1/1']);
    expect(cautions.every((c) => c.part === 'tier-1/layer/1')).toBe(true);
  });
});

describe('the level solver', () => {
  it('sets two equal wedges against each other', () => {
    const { turns, tiltMm } = solveLevel([layer(3, 0), layer(3, 0)]);
    expect(turns).toEqual([0, 12]);
    expect(tiltMm).toBeCloseTo(0, 9);
  });
  it('finds the exact optimum: the same as trying everything', () => {
    fc.assert(
      fc.property(fc.array(anyLayer, { minLength: 2, maxLength: 4 }), (layers) => {
        const n = layers.length;
        let least = Infinity;
        for (let code = 0; code < turnCount ** (n - 1); code++) {
          const turns = [0];
          for (let k = 1, rest = code; k < n; k++, rest = Math.floor(rest / turnCount))
            turns.push(rest % turnCount);
          least = Math.min(least, tiltOf(layers, turns).slope);
        }
        expect(solveLevel(layers).slope).toBeCloseTo(least, 9);
      }),
      { numRuns: 30 },
    );
  });
  it('never leaves more than no turning at all, and says truly what it leaves', () => {
    fc.assert(
      fc.property(fc.array(anyLayer, { minLength: 1, maxLength: 8 }), (layers) => {
        const found = solveLevel(layers);
        const still = tiltOf(
          layers,
          layers.map(() => 0),
        );
        expect(found.slope).toBeLessThanOrEqual(still.slope + 1e-12);
        expect(tiltOf(layers, found.turns).slope).toBeCloseTo(found.slope, 10);
        expect(found.turns.every((s) => Number.isInteger(s) && s >= 0 && s < turnCount)).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
  it('with 8 layers of like tilt gets it all but level', () => {
    const layers = [2, 1.4, 3, 2.2, 1.7, 2.6, 1.1, 2.9].map((a, i) => layer(a, i % 3));
    expect(solveLevel(layers).tiltMm).toBeLessThan(0.02);
  });
  it('is no way out where one tilt is longer than all the others together', () => {
    const { tiltMm } = solveLevel([layer(8, 0), layer(1, 0), layer(2, 0)]);
    expect(tiltMm).toBeCloseTo(5, 9);
  });
  it('mirrors a layer that is turned over', () => {
    const flipped = tiltOf([layer(1, 2, 100, true)], [0]);
    const plain = tiltOf([layer(1, -2)], [0]);
    expect(flipped.highAt).toBeCloseTo(plain.highAt, 9);
  });
  it('refuses more than 8 layers', () => {
    expect(() => solveLevel(Array.from({ length: 9 }, () => layer(1, 1)))).toThrow(RangeError);
  });
});

describe('what is left', () => {
  it('is a wedge of area times amplitude, thickest on the low side', () => {
    const result = tiltOf([layer(2, 0)], [0]);
    const wedge = wedgeOf(result, Math.PI * 100 ** 2, 0.95);
    expect(wedge.amplitudeMm).toBeCloseTo(2, 9);
    expect(wedge.thickAtHour).toBeCloseTo(6, 9);
    expect(wedge.volumeMl).toBeCloseTo((Math.PI * 1e4 * 2) / 1000, 6);
    // counted: the filling over a plane that falls from 12 to 6 o'clock
    let volume = 0;
    const step = 1;
    for (let x = -100; x < 100; x += step)
      for (let y = -100; y < 100; y += step)
        if (Math.hypot(x, y) < 100) volume += (2 - (2 * y) / 100) * step * step;
    expect(wedge.volumeMl / (volume / 1000)).toBeCloseTo(1, 2);
  });
  it('of unequal diameters is trimmed flush with the smallest', () => {
    expect(flushTrim([204, 198, 201])).toEqual([3, 0, 1.5]);
  });
});

describe('the order', () => {
  it('puts the smoothest on top and the thick and flat below', () => {
    const of = (meanMm: number, roughMm: number, a = 0): LevelLayer => ({
      fit: fit(a, 0, { meanMm, roughMm }),
      radiusMm: 100,
      flipped: false,
    });
    const { order, top } = orderLayers([of(22, 0.8), of(26, 0.5), of(22, 0.1), of(22, 0.2, 1)]);
    expect(top).toBe(2);
    expect(order).toEqual([1, 0, 3, 2]);
  });
});
