import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  arrangements,
  chocolateOf,
  composeGanache,
  contains,
  creamForSplit,
  creamOf,
  drizzleG,
  findRow,
  ganacheFluid,
  heapG,
  linkedCount,
  oddCount,
  placePieces,
  putGanacheRight,
  sinks,
  standsAtMm,
  rowFrom13,
  steepestDegrees,
  studdedFactor,
  toppingOf,
  trayFor,
  workingWindow,
  wreathG,
} from '../src/index.ts';
import { anyOutline, drawnOutline, pantry } from './arbitrary.ts';

const arranged = {
  arrangement: 'round' as const,
  count: 12,
  acrossMm: 18,
  insetMm: 6,
  clusterOf: 3,
  share: 0.4,
  seed: 5,
};
const spread = (id: string) => pantry.spreads.find((row) => row.id === id)!;

describe('pieces on a top', () => {
  it('stand inside it, never more than asked, in every arrangement and outline', () => {
    fc.assert(
      fc.property(
        fc.oneof(anyOutline, drawnOutline),
        fc.constantFrom(...arrangements),
        fc.integer({ min: 1, max: 30 }),
        (outline, arrangement, count) => {
          const places = placePieces(outline, { ...arranged, arrangement, count });
          expect(places.length).toBeLessThanOrEqual(count);
          for (const place of places) expect(contains(outline, place, 0.5)).toBe(true);
        },
      ),
      { numRuns: 80 },
    );
  });
  it('strewn keep clear of each other, and lie where their seed says', () => {
    const outline = { kind: 'round' as const, diameterMm: 220 };
    const places = placePieces(outline, { ...arranged, arrangement: 'scattered', count: 20 });
    expect(places).toHaveLength(20);
    places.forEach((a, i) =>
      places
        .slice(i + 1)
        .forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThanOrEqual(18 - 1e-9)),
    );
    expect(placePieces(outline, { ...arranged, arrangement: 'scattered', count: 20 })).toEqual(
      places,
    );
  });
  it('are counted oddly, and by what they go with', () => {
    expect([oddCount(4), oddCount(5)]).toEqual([5, 5]);
    expect([linkedCount(24, 1), linkedCount(25, 2)]).toEqual([24, 13]);
  });
  it('hold on a slope while the frosting is stiff, and sink where it is not', () => {
    const berry = { massG: 8, contactCm2: 2 };
    const cold = steepestDegrees(berry, spread('cream'), 4);
    const warm = steepestDegrees(berry, spread('cream'), 24);
    expect(cold).toBeGreaterThan(warm);
    // tau·A = W·sin(angle) at the steepest
    const tau = 30;
    expect(Math.sin((steepestDegrees(berry, spread('cream'), 21) * Math.PI) / 180)).toBeCloseTo(
      (tau * 2e-4) / (8 * 0.00981),
      9,
    );
    expect(steepestDegrees(berry, spread('ganache'), 21)).toBe(90);
    expect(sinks({ massG: 80, contactCm2: 2 }, spread('cream'), 21)).toBe(true);
    expect(sinks({ massG: 80, contactCm2: 2 }, spread('ganache'), 21)).toBe(false);
  });
});

describe('what is made on a tray', () => {
  it('is poured for its whole pieces, and the rest is crushed', () => {
    const tray = trayFor(12, 1500, 4, 1.4, 0.6, 1.2);
    expect(tray.wholeG).toBeCloseTo((12 * 1500 * 4 * 1.4) / 1000, 9);
    expect(tray.wholeG + tray.crushedG).toBeCloseTo(tray.massG, 9);
    expect(tray.wholeG / tray.massG).toBeCloseTo(0.6, 9);
    expect(tray.sideMm ** 2).toBeCloseTo((12 * 1500 * 1.2) / 0.6, 6);
  });
  it('drizzles, heaps and wreaths by their volume', () => {
    expect(drizzleG(1000, 4, 1.2)).toBeCloseTo(Math.PI * 2 * 1.2, 9);
    expect(heapG(80, 30, 0.6, 1)).toBeCloseTo(((Math.PI * 40 ** 2 * 30) / 3 / 1000) * 0.6, 9);
    expect(wreathG(500, 30, 0.5, 0.9)).toBeCloseTo(drizzleG(500, 30, 0.45), 9);
    expect(studdedFactor(0, 5, 8)).toBe(1);
    expect(studdedFactor(0.5, 8, 8)).toBe(2);
  });
});

describe('a bowl of ganache', () => {
  const parts = {
    chocolate: chocolateOf(pantry.foods.find((row) => row.id === 'dark-chocolate'))!,
    chocolateG: 300,
    cream: creamOf(pantry.foods.find((row) => row.id === 'whipping-cream'))!,
    creamG: 300,
    butterG: 0,
    syrupG: 0,
    sugarG: 0,
  };
  const made = composeGanache(parts);
  it('comes into its window sooner in the cold and in a bath, and stays there for a while', () => {
    const when = (place: 'room' | 'fridge' | 'cold bath') =>
      workingWindow(made, 60, [29, 32], place)!;
    expect(when('fridge').readyMin).toBeLessThan(when('room').readyMin);
    expect(when('cold bath').readyMin).toBeLessThan(when('fridge').readyMin);
    expect(when('room').staysMin).toBeGreaterThan(5);
    // it never cools to the room's own warmth and below, and never stands in a window it has passed
    expect(workingWindow(made, 60, [15, 18], 'room')).toBeNull();
    expect(workingWindow(made, 25, [29, 32], 'room')).toBeNull();
  });
  it('is put right by degrees or by grams, and both make it stand the same', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 24, max: 38, noNaN: true }),
        fc.double({ min: 0.8, max: 4, noNaN: true }),
        (tempC, wantedMm) => {
          const fix = putGanacheRight(parts, tempC, wantedMm, { tempC: 4, surfaceW: 7 });
          expect(standsAtMm(ganacheFluid(made.firmness), fix.rightC)).toBeCloseTo(wantedMm, 6);
          const after = composeGanache({
            ...parts,
            chocolateG: 300 + fix.addChocolateG,
            creamG: 300 + fix.addCreamG,
          });
          expect(standsAtMm(ganacheFluid(after.firmness), tempC)).toBeCloseTo(wantedMm, 6);
          expect(fix.warmKJ === 0 || fix.coolMin === null).toBe(true);
        },
      ),
    );
  });
  it('that has split takes the cream that brings its fat back among its water', () => {
    const rich = { ...parts, chocolateG: 800, creamG: 250, butterG: 150 };
    const addG = creamForSplit(rich);
    const after = composeGanache({ ...rich, creamG: 250 + addG });
    expect(after.fatToWater).toBeCloseTo(1.8, 6);
    expect(creamForSplit(parts)).toBe(0);
  });
});

describe('a topping that begins from the pantry', () => {
  const of = (id: string) => toppingOf(findRow(pantry, 'foods', id));
  it('has the size, weight and look of one of it, and is put on when that is', () => {
    expect(of('strawberries')).toMatchObject({
      foodId: 'strawberries',
      name: 'strawberries',
      pieceG: 18,
      acrossMm: 30,
      highMm: 35,
      tone: 'berry',
      last: true,
      crisp: null,
    });
    expect(of('meringue-kisses').crisp).toEqual({ thickMm: 16, filmed: false });
    expect(of('hazelnuts').last).toBe(false);
  });
  it('keeps its size where the pantry knows none', () => {
    expect(of('caster-sugar')).toEqual({
      foodId: 'caster-sugar',
      name: findRow(pantry, 'foods', 'caster-sugar').name,
      allergens: [],
    });
  });
  it('in an older kitchen as in a new one', () => {
    for (const { id, piece, source } of pantry.foods) {
      const had = rowFrom13('foods', { id, source }).piece;
      // what came with this version was in no older kitchen
      if (had !== null) expect(had).toEqual(piece);
    }
    expect(rowFrom13('foods', { id: 'raspberries' }).piece).not.toBeNull();
    expect(rowFrom13('foods', { id: 'own-1' })).toMatchObject({ piece: null, bloom: null });
    expect(rowFrom13('foods', { id: 'gelatine' })).toMatchObject({ bloom: 200 });
  });
});
