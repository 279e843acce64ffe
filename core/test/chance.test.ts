import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  chancePartsOf,
  drawChance,
  enoughG,
  logSd,
  newBuild,
  normalQuantile,
  normalShare,
  planBuild,
  randomFrom,
  shortShareOf,
  scatterOfKind,
  sumSpread,
  type BowlChance,
  type ChancePart,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const one = (medianG: number, cv: number, hand = 0): ChancePart => ({ medianG, cv, hand });
const simulate = (parts: ChancePart[], more: { madeG?: number; short?: number } = {}): BowlChance =>
  drawChance({
    bowls: [{ id: 'b', parts, madeG: more.madeG ?? 1e9 }],
    draws: 40_000,
    seed: 7,
    short: more.short ?? 0.05,
  })[0]!;

describe('the tail of a bowl', () => {
  it('agrees with a seeded draw to a hundredth, down to one cake in a thousand', () => {
    const bowls: ChancePart[][] = [
      [
        { medianG: 500, cv: 0.18, hand: 0.9 },
        { medianG: 300, cv: 0.04, hand: 0 },
      ],
      [
        { medianG: 120, cv: 0.18, hand: 0.9 },
        { medianG: 700, cv: 0.18, hand: 0.9 },
        { medianG: 250, cv: 0.2, hand: 0 },
        { medianG: 60, cv: 0.3, hand: 0 },
      ],
      [
        { medianG: 400, cv: 0.3, hand: 0 },
        { medianG: 400, cv: 0.04, hand: 0 },
      ],
    ];
    for (const short of [0.05, 0.01, 0.001]) {
      const drawn = drawChance({
        bowls: bowls.map((parts, i) => ({ id: String(i), parts, madeG: 1 })),
        draws: 400_000,
        seed: 20,
        short,
      });
      bowls.forEach((parts, i) => {
        const matched = enoughG(sumSpread(parts), short);
        expect(Math.abs(matched / drawn[i]!.enoughG - 1)).toBeLessThan(0.01);
      });
    }
  });
  it('of a single amount is exact, and comes back as the share it was made for', () => {
    const one = sumSpread([{ medianG: 300, cv: 0.25, hand: 0.5 }]);
    expect(one.shiftG).toBeCloseTo(0, 3);
    expect(enoughG(one, 0.01)).toBeCloseTo(300 * Math.exp(normalQuantile(0.99) * logSd(0.25)), 3);
    for (const short of [0.3, 0.05, 0.001])
      expect(shortShareOf(one, enoughG(one, short))).toBeCloseTo(short, 6);
  });
});

describe('the normal distribution', () => {
  it('has the quantiles of the tables', () => {
    expect(normalQuantile(0.5)).toBeCloseTo(0, 9);
    expect(normalQuantile(0.95)).toBeCloseTo(1.644853627, 8);
    expect(normalQuantile(0.975)).toBeCloseTo(1.959963985, 8);
    expect(normalQuantile(0.999)).toBeCloseTo(3.090232306, 8);
  });
  it('is the inverse of its share, and the share of a mirrored value its complement', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-9, max: 1 - 1e-9, noNaN: true }), (p) => {
        expect(normalShare(normalQuantile(p))).toBeCloseTo(p, 9);
        expect(normalShare(1.3 * p) + normalShare(-1.3 * p)).toBeCloseTo(1, 12);
      }),
    );
  });
});

describe('an amount that varies', () => {
  it('alone has its own quantile, in closed form', () => {
    const sd = logSd(0.18);
    const spread = sumSpread([one(800, 0.18)]);
    expect(spread.medianG).toBeCloseTo(800, 9);
    expect(spread.meanG).toBeCloseTo(800 * Math.sqrt(1 + 0.18 ** 2), 9);
    expect(enoughG(spread, 0.05)).toBeCloseTo(800 * Math.exp(1.644853627 * sd), 4);
    expect(shortShareOf(spread, enoughG(spread, 0.02))).toBeCloseTo(0.02, 9);
  });

  it('simulated has the mean and the quantile of its log-normal', () => {
    const found = simulate([one(800, 0.25)]);
    const sd = logSd(0.25);
    expect(found.meanG / (800 * Math.exp((sd * sd) / 2))).toBeCloseTo(1, 2);
    expect(found.medianG / 800).toBeCloseTo(1, 2);
    expect(found.enoughG / (800 * Math.exp(1.644853627 * sd))).toBeCloseTo(1, 1.7);
    // what runs short as seldom as asked does so in that share of the draws
    const made = 800 * Math.exp(normalQuantile(0.9) * sd);
    expect(simulate([one(800, 0.25)], { madeG: made }).short).toBeCloseTo(0.1, 2);
  });

  it('adds up exactly where one hand draws all of it', () => {
    // the same hand throughout: the sum is one log-normal, of the added medians
    const spread = sumSpread([one(300, 0.18, 1), one(500, 0.18, 1)]);
    expect(spread.medianG).toBeCloseTo(800, 9);
    expect(spread.sd).toBeCloseTo(logSd(0.18), 12);
    const found = simulate([one(300, 0.18, 1), one(500, 0.18, 1)]);
    expect(found.enoughG / (800 * Math.exp(1.644853627 * logSd(0.18)))).toBeCloseTo(1, 1.7);
  });

  it('evens out where every part goes its own way, and not where a hand is common', () => {
    const parts = (hand: number) => Array.from({ length: 9 }, () => one(100, 0.18, hand));
    const apart = sumSpread(parts(0));
    const common = sumSpread(parts(0.9));
    // nine independent parts vary a third as much as one
    const deviation = (of: typeof apart): number =>
      (of.meanG - of.shiftG) * Math.sqrt(Math.expm1(of.sd ** 2));
    expect(deviation(apart) / apart.meanG).toBeCloseTo(0.18 / 3, 6);
    expect(deviation(common) / common.meanG / 0.18).toBeGreaterThan(0.94);
    expect(enoughG(common, 0.05)).toBeGreaterThan(1.15 * enoughG(apart, 0.05));
  });

  it('as a matched sum agrees with the simulation', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            medianG: fc.double({ min: 5, max: 900, noNaN: true }),
            kind: fc.constantFrom('gap' as const, 'coat' as const, 'piping' as const),
          }),
          { minLength: 1, maxLength: 8 },
        ),
        (all) => {
          const parts = all.map(({ medianG, kind }) => ({ medianG, ...scatterOfKind[kind] }));
          const spread = sumSpread(parts);
          const found = simulate(parts);
          expect(found.meanG / spread.meanG).toBeCloseTo(1, 1.7);
          expect(found.enoughG / enoughG(spread, 0.05)).toBeCloseTo(1, 1.5);
        },
      ),
      { numRuns: 12 },
    );
  });
});

describe('the simulation', () => {
  const question = {
    bowls: [{ id: 'b', parts: [one(500, 0.18, 0.9), one(200, 0.04)], madeG: 800 }],
    draws: 5000,
    seed: 3,
    short: 0.05,
  };
  it('with the same seed gives the same answer, with another a near one', () => {
    expect(drawChance(question)).toEqual(drawChance(question));
    const other = drawChance({ ...question, seed: 4 })[0]!;
    expect(other).not.toEqual(drawChance(question)[0]);
    expect(other.enoughG / drawChance(question)[0]!.enoughG).toBeCloseTo(1, 1);
  });
  it('counts every draw but the farthest', () => {
    const [found] = drawChance(question);
    const counted = found!.bins.counts.reduce((sum, n) => sum + n, 0);
    expect(counted).toBeGreaterThan(0.99 * 5000);
    expect(counted).toBeLessThanOrEqual(5000);
    expect(found!.lowG).toBeLessThan(found!.medianG);
    expect(found!.medianG).toBeLessThan(found!.highG);
  });
  it('draws numbers spread evenly between 0 and 1', () => {
    const random = randomFrom(11);
    const tenths = Array.from({ length: 10 }, () => 0);
    for (let i = 0; i < 20_000; i++) tenths[Math.floor(random() * 10)]! += 1;
    for (const n of tenths) expect(Math.abs(n - 2000)).toBeLessThan(200);
  });
});

describe('a bowl made for a chance', () => {
  const bowlAt = (short: number) => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    build.shortShare = short;
    const plan = planBuild(build, pantry);
    if (!plan.bowls.ok) throw new Error(plan.bowls.problem);
    return plan.bowls.value[0]!;
  };
  it('is larger the more seldom it may run short, and never less than its need', () => {
    const amounts = [0.5, 0.2, 0.1, 0.05, 0.01].map((short) => bowlAt(short).safeG);
    expect(amounts).toEqual([...amounts].sort((a, b) => a - b));
    expect(amounts[0]).toBeGreaterThanOrEqual(bowlAt(0.5).needG);
  });
  it('runs short in the simulation as seldom as was accepted', () => {
    const bowl = bowlAt(0.1);
    const found = drawChance({
      bowls: [{ id: bowl.id, parts: chancePartsOf(bowl), madeG: bowl.safeG }],
      draws: 40_000,
      seed: 5,
      short: 0.1,
    })[0]!;
    expect(found.short).toBeCloseTo(0.1, 1.7);
  });
});
