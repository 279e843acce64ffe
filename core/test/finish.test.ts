import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  heapHighMm,
  heapSlopeDeg,
  metric,
  newBuild,
  newTopping,
  pipingMin,
  planBuild,
  showText,
  capacityOfGanache,
  chocolateOf,
  composeGanache,
  correctFirmness,
  creamOf,
  isCream,
  crispHours,
  fitCount,
  ganacheSchools,
  ganacheUses,
  gramsFor,
  lengthForms,
  lengthMl,
  nozzleForms,
  openingMm2,
  perimeterMm,
  pieceOf,
  pipedForms,
  placesAlong,
  ratioFor,
  ropeMm2,
  seedFor,
  seedShare,
  usualRatio,
  writingMm,
} from '../src/index.ts';
import { anyOutline, drawnOutline, pantry } from './arbitrary.ts';

const food = (id: string) => pantry.foods.find((row) => row.id === id);
const chocolate = (id: string) => chocolateOf(food(id))!;
const cream = creamOf(food('whipping-cream'))!;
const chocolates = pantry.foods.flatMap((row) => chocolateOf(row) ?? []);
const creams = pantry.foods.filter(isCream).map((row) => creamOf(row)!);
const made = (chocolateG: number, creamG: number, id = 'dark-chocolate') => ({
  chocolate: chocolate(id),
  chocolateG,
  cream,
  creamG,
  butterG: 0,
  syrupG: 0,
  sugarG: 0,
});

describe('a ganache', () => {
  it('in equal parts of dark chocolate and cream has the index of the customary ones', () => {
    const equal = composeGanache(made(500, 500));
    expect(equal.firmness).toBeCloseTo((0.34 + 3 * 0.21) / 0.59, 9);
    expect(equal.fat).toBeCloseTo((0.34 + 0.35) / 2, 9);
    expect(equal.water).toBeCloseTo(0.295, 9);
    expect(equal.fat + equal.water + equal.solids).toBeCloseTo(1, 9);
    // milk about 2:1 and white about 3:1 come to the same (docs/model.md#ganache-and-drips)
    for (const [id, ratio] of [
      ['milk-chocolate', 2],
      ['white-chocolate', 3],
    ] as const) {
      const { firmness } = composeGanache(made(ratio * 100, 100, id));
      expect(firmness).toBeGreaterThan(1.4);
      expect(firmness).toBeLessThan(1.8);
    }
    // docs/model.md#heat-and-cold: heat capacity of 1:1 about 2.6, of 3:1 about 2.15
    expect(capacityOfGanache(equal)).toBeCloseTo(2.6, 0);
    expect(capacityOfGanache(composeGanache(made(750, 250)))).toBeLessThan(2.3);
  });

  it('carries its ratio over to another chocolate by its firmness', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...chocolates),
        fc.constantFrom(...creams),
        fc.double({ min: 0.6, max: 3.5, noNaN: true }),
        (each, liquid, firmness) => {
          const ratio = ratioFor(firmness, each, liquid);
          const { chocolateG, creamG } = gramsFor(900, ratio);
          expect(chocolateG + creamG).toBeCloseTo(900, 6);
          const whole = composeGanache({
            chocolate: each,
            chocolateG,
            cream: liquid,
            creamG,
            butterG: 0,
            syrupG: 0,
            sugarG: 0,
          });
          expect(whole.firmness).toBeCloseTo(firmness, 6);
        },
      ),
    );
    expect(() => ratioFor(1.6, chocolate('dark-chocolate'), { ...cream, water: 0 })).toThrow(
      'water',
    );
  });

  it('has a usual ratio with a range for every use, in both schools', () => {
    for (const school of ganacheSchools)
      for (const use of ganacheUses) {
        const { ratio, low, high } = usualRatio(use, school, chocolate('dark-chocolate'), cream);
        expect(low).toBeLessThan(ratio);
        expect(ratio).toBeLessThan(high);
      }
    expect(usualRatio('drip', 'equal parts', chocolate('dark-chocolate'), cream).ratio).toBeCloseTo(
      1,
      1,
    );
  });

  it('says when it is too lean, too fat, likely to split, or never sets', () => {
    expect(composeGanache(made(500, 500)).verdicts).toEqual([]);
    expect(composeGanache(made(100, 900)).verdicts).toContain('never sets');
    const rich = { ...made(600, 120), butterG: 480 };
    expect(composeGanache(rich).verdicts).toEqual(['too fat', 'likely to split']);
    expect(
      composeGanache({ ...made(100, 400), cream: { ...cream, fat: 0.1, water: 0.85 } }).verdicts,
    ).toContain('too lean');
  });

  it('is corrected by the grams that bring it there', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 900, noNaN: true }),
        fc.double({ min: 0.7, max: 3, noNaN: true }),
        (chocolateG, wanted) => {
          const bowl = made(chocolateG, 400);
          const { addChocolateG, addCreamG } = correctFirmness(bowl, wanted);
          expect(addChocolateG).toBeGreaterThanOrEqual(-1e-9);
          expect(addCreamG).toBeGreaterThanOrEqual(-1e-9);
          const after = composeGanache({
            ...bowl,
            chocolateG: chocolateG + addChocolateG,
            creamG: 400 + addCreamG,
          });
          expect(after.firmness).toBeCloseTo(wanted, 6);
        },
      ),
    );
  });
});

describe('tempering', () => {
  it('cools a melt by what is not melted: heat is kept', () => {
    const share = seedShare(47.5, 31.5, 21);
    // c·(T0 - T) of the melt warms and melts the seed
    expect(1.6 * (47.5 - 31.5)).toBeCloseTo(share * (1.6 * (31.5 - 21) + 50), 9);
    expect(seedShare(30, 31, 21)).toBe(0);
    const seed = seedFor(chocolate('dark-chocolate'), 1000, 21)!;
    expect(seed.seedG).toBeCloseTo(1000 * share, 6);
    expect(seedFor(chocolate('compound'), 1000, 21)).toBeNull();
  });
  it('a crisp piece lasts by the square of its thickness, and thrice as long under a film', () => {
    expect(crispHours(10, false) / crispHours(5, false)).toBeCloseTo(4, 9);
    expect(crispHours(5, true) / crispHours(5, false)).toBeCloseTo(3, 9);
  });
});

describe('piping', () => {
  it('opens as the table says, to the nearest square millimetre', () => {
    const table: [number, number, number, number][] = [
      [4, 13, 8, 5],
      [8, 50, 30, 20],
      [10, 79, 47, 31],
      [16, 201, 121, 80],
    ];
    for (const [w, round, open, closed] of table) {
      expect(Math.abs(openingMm2('round', w) - round)).toBeLessThan(1);
      expect(Math.abs(openingMm2('open star', w) - open)).toBeLessThan(1);
      expect(Math.abs(openingMm2('closed star', w) - closed)).toBeLessThan(1);
    }
    for (const form of nozzleForms) expect(ropeMm2(form, 10)).toBeGreaterThan(openingMm2(form, 10));
  });
  it('takes pieces by the cube of the nozzle, rosettes by their body', () => {
    expect(pieceOf('shell', 'open star', 10).ml).toBe(3);
    expect(pieceOf('star', 'open star', 20).ml).toBeCloseTo(12, 9);
    const rose = pieceOf('rosette', 'open star', 10, 20);
    // a disc of 4 cm, 14 mm high on average, four fifths of it frosting
    const disc = Math.PI * 20 ** 2 * 14;
    expect(rose.ml * 1000).toBeCloseTo(0.8 * disc, 6);
    expect((rose.ml * 1000) / disc).toBeGreaterThanOrEqual(0.75);
    expect((rose.ml * 1000) / disc).toBeLessThanOrEqual(0.85);
    // about twice what a flat spiral of pitch 0.9 widths gives
    const flat = (((Math.PI * 400) / 9) * ropeMm2('open star', 10)) / 1000;
    expect(rose.ml / flat).toBeGreaterThan(1.6);
    expect(rose.ml / flat).toBeLessThan(2.2);
    expect(rose.pitchMm).toBe(40);
    for (const form of pipedForms)
      if (lengthForms.includes(form)) expect(() => pieceOf(form, 'round', 10)).toThrow('length');
      else expect(pieceOf(form, 'round', 10).ml).toBeGreaterThan(0);
    expect(lengthMl('line', 'round', 10, 1000)).toBeCloseTo(Math.PI * 25 * 1.05, 6);
    expect(writingMm('Ad astra', 20)).toBeCloseTo(7 * 20 * 3.2, 9);
    // vines and lines weigh something, and take their time
    for (const form of ['line', 'vine'] as const) {
      const ml = lengthMl(form, 'round', 2, 500);
      expect(showText(ml * 0.95, 'bowl', metric)).not.toBe('0 g');
      const job = { massG: ml * 0.95, pieces: 0, lineMm: 500 };
      expect(pipingMin(job, pantry.kitchen)).toBeGreaterThan(0.5);
    }
  });
  it('piles a heap as high as it piles, and strews by the area and not by the nut', () => {
    expect(heapHighMm(100, 45)).toBeCloseTo(50, 9);
    for (const degrees of [10, 28, 34])
      expect(heapSlopeDeg(90, heapHighMm(90, degrees))).toBeCloseTo(degrees, 9);
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    build.tiers[0]!.toppings = [
      {
        ...newTopping('heap'),
        kind: 'heap',
        acrossMm: 90,
        highMm: 90,
        packing: 0.5,
        densityGPerMl: 1,
      },
      {
        ...newTopping('nuts'),
        arrangement: 'scattered',
        count: 200,
        pieceG: 0.4,
        acrossMm: 6,
        odd: false,
      },
    ];
    const plan = planBuild(build, pantry);
    const [heap] = plan.tiers[0]!.finish.toppings;
    // a cone of 45 degrees: a sixth of pi times the radius to the third, twice, half of it air
    expect(heap!.massG).toBeCloseTo(((Math.PI * 45 ** 3) / 3 / 1000) * 0.5, 6);
    expect(plan.cautions.map((c) => c.id)).toContain('tier-1/topping/0/too steep');
    const step = plan.steps.ok ? plan.steps.value.find(({ key }) => key === 'nuts/put')! : null;
    expect(step!.handsOnMin).toBeLessThan(5);
  });
  it('fits evenly round any outline, and oddly when asked', () => {
    expect(fitCount(628, 17, false)).toBe(36);
    expect(fitCount(628, 17, true)).toBe(35);
    expect(fitCount(5, 17, true)).toBe(1);
    fc.assert(
      fc.property(fc.oneof(anyOutline, drawnOutline), fc.integer({ min: 3, max: 40 }), (o, n) => {
        const places = placesAlong(o, n);
        expect(places).toHaveLength(n);
        // neighbours are no further apart than their share of the line
        const pitch = perimeterMm(o) / n;
        for (let i = 1; i < n; i++) {
          const [a, b] = [places[i - 1]!, places[i]!];
          expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeLessThanOrEqual(pitch * 1.02 + 0.5);
        }
      }),
      { numRuns: 60 },
    );
  });
});
