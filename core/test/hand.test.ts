import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  biasBetween,
  handFactor,
  handOf,
  handQuantile,
  handScatter,
  isWildRatio,
  logOf,
  newBuild,
  planBuild,
  startingPantry,
  logGamma,
  studentQuantile,
  studentShare,
  type HandRecord,
} from '../src/index.ts';

describe('Student’s t', () => {
  it('has the quantiles of the tables', () => {
    // t(0.95) for 1, 2, 6, 10 and 30 degrees of freedom
    const table: [number, number][] = [
      [1, 6.313752],
      [2, 2.919986],
      [6, 1.94318],
      [10, 1.812461],
      [30, 1.697261],
    ];
    for (const [dof, t] of table) {
      expect(studentQuantile(0.95, dof)).toBeCloseTo(t, 5);
      expect(studentQuantile(0.05, dof)).toBeCloseTo(-t, 5);
    }
    expect(studentQuantile(0.5, 7)).toBe(0);
    expect(studentQuantile(0.975, 4)).toBeCloseTo(2.776445, 5);
  });
  it('gives back the share it was asked for', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.999, noNaN: true }),
        fc.double({ min: 1, max: 200, noNaN: true }),
        (share, dof) => {
          expect(studentShare(studentQuantile(share, dof), dof)).toBeCloseTo(share, 8);
        },
      ),
    );
  });
  it('rests on a gamma function that knows its factorials', () => {
    for (let n = 1, factorial = 1; n < 15; factorial *= n, n++)
      expect(logGamma(n)).toBeCloseTo(Math.log(factorial), 10);
    expect(logGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 12);
  });
});

/** The same posterior by adding up over a grid of bias and log-variance. */
function byGrid(
  records: readonly HandRecord[],
  cv: number,
): { mean: number; next: (x: number) => number } {
  const beta0 = (4 / 3) * Math.log(1 + cv * cv);
  const data = records.map(({ ratio, buildsAgo }) => ({
    x: Math.log(ratio),
    w: 0.5 ** (buildsAgo / 20),
  }));
  const cells: { mu: number; variance: number; p: number }[] = [];
  for (let i = 0; i < 400; i++) {
    const variance = Math.exp(-14 + (i / 399) * 16);
    for (let j = 0; j < 401; j++) {
      const mu = -2 + j / 100;
      // inverse gamma(3, beta0) and normal(0, variance/2), the grid even in the log of the variance
      let log = -4 * Math.log(variance) - beta0 / variance + Math.log(variance);
      log += -0.5 * Math.log(variance / 2) - (mu * mu) / variance;
      for (const { x, w } of data)
        log += w * (-0.5 * Math.log(variance) - (x - mu) ** 2 / (2 * variance));
      cells.push({ mu, variance, p: log });
    }
  }
  const most = cells.reduce((a, b) => Math.max(a, b.p), -Infinity);
  let all = 0;
  for (const cell of cells) all += cell.p = Math.exp(cell.p - most);
  const normal = (z: number): number => {
    // Abramowitz and Stegun 7.1.26
    const t = 1 / (1 + 0.3275911 * Math.abs(z / Math.SQRT2));
    const erf =
      1 -
      ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) *
        t *
        Math.exp(-(z * z) / 2);
    return z > 0 ? (1 + erf) / 2 : (1 - erf) / 2;
  };
  return {
    mean: cells.reduce((sum, cell) => sum + cell.p * cell.mu, 0) / all,
    next: (x) =>
      cells.reduce(
        (sum, cell) => sum + cell.p * normal((x - cell.mu) / Math.sqrt(cell.variance)),
        0,
      ) / all,
  };
}

describe('the hand', () => {
  const some: HandRecord[] = [1.2, 1.1, 1.35, 0.95, 1.25].map((ratio, i) => ({
    ratio,
    buildsAgo: 3 * i,
  }));
  it('agrees with adding up over a grid: bias, and quantiles of the next', () => {
    const hand = handOf(some, 0.12);
    const grid = byGrid(some, 0.12);
    expect(hand.mean).toBeCloseTo(grid.mean, 3);
    for (const share of [0.05, 0.5, 0.8, 0.95])
      expect(grid.next(Math.log(handQuantile(hand, share)))).toBeCloseTo(share, 2);
  });
  it('without records has the spread that the plan assumes, and no bias', () => {
    for (const cv of [0.05, 0.1, 0.3]) {
      const hand = handOf([], cv);
      expect(handFactor(hand)).toBe(1);
      // variance of the predictive t with six degrees of freedom
      const variance = ((hand.beta * (hand.kappa + 1)) / (hand.alpha * hand.kappa)) * (6 / 4);
      expect(variance).toBeCloseTo(Math.log(1 + cv * cv), 12);
    }
  });
  it('learns: many records of one bias move it there and narrow it', () => {
    const many = Array.from({ length: 60 }, (_, i) => ({
      ratio: 1.2 * (1 + 0.02 * ((i % 3) - 1)),
      buildsAgo: 0,
    }));
    const hand = handOf(many, 0.15);
    expect(handFactor(hand)).toBeGreaterThan(1.18);
    expect(handFactor(hand)).toBeLessThan(1.2);
    expect(handScatter(hand)).toBeLessThan(handScatter(handOf([], 0.15)));
    const [low, high] = biasBetween(hand);
    expect(low).toBeLessThan(handFactor(hand));
    expect(high).toBeGreaterThan(handFactor(hand));
    expect(high - low).toBeLessThan(0.05);
  });
  it('forgets: what is twenty builds old counts half, what is assumed does not age', () => {
    expect(handOf([{ ratio: 1.5, buildsAgo: 20 }], 0.1).weight).toBeCloseTo(0.5, 12);
    const old = handOf([{ ratio: 1.5, buildsAgo: 400 }], 0.1);
    expect(handFactor(old)).toBeCloseTo(1, 5);
    expect(old.kappa).toBeGreaterThanOrEqual(2);
  });
  it('does not care in which order records come, nor what they are called', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            ratio: fc.double({ min: 0.3, max: 3, noNaN: true }),
            buildsAgo: fc.integer({ min: 0, max: 60 }),
          }),
          { minLength: 1, maxLength: 20 },
        ),
        (records) => {
          const one = handOf(records, 0.1);
          const other = handOf([...records].reverse(), 0.1);
          expect(other.mean).toBeCloseTo(one.mean, 10);
          expect(other.beta).toBeCloseTo(one.beta, 10);
          // quantiles go up with their share
          expect(handQuantile(one, 0.9)).toBeGreaterThan(handQuantile(one, 0.5));
          expect(handQuantile(one, 0.5)).toBeCloseTo(handFactor(one), 9);
        },
      ),
    );
  });
  it('asks about a record ten times off, and refuses what is none', () => {
    expect(isWildRatio(10)).toBe(true);
    expect(isWildRatio(0.1)).toBe(true);
    expect(isWildRatio(1.6)).toBe(false);
    for (const ratio of [0, -1, Number.NaN, Infinity])
      expect(() => handOf([{ ratio, buildsAgo: 0 }], 0.1)).toThrow(RangeError);
  });
});

describe('the log', () => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  const stepsOf = () => {
    const { steps } = planBuild(structuredClone(build), startingPantry());
    if (!steps.ok) throw new Error(steps.problem);
    return steps.value;
  };
  const note = (stepKey: string, kind: 'mass' | 'height' | 'count' | 'words', value: number) => {
    build.bench.notes.push({
      id: `${build.bench.notes.length}`,
      stepKey,
      at: '2027-06-12T12:00:00Z',
      kind,
      value,
      text: '',
      planned: null,
    });
  };
  it('sets what was noted beside what was planned, the furthest off first', () => {
    expect(logOf(build, stepsOf())).toEqual([]);
    const filled = stepsOf().find((step) => step.key === 'tier-1/fill/layer-1+layer-2')!;
    const settled = stepsOf().find((step) => step.key === 'tier-1/settle')!;
    note(settled.key, 'height', settled.record!.planned * 0.95);
    note(filled.key, 'mass', filled.record!.planned * 2);
    note(filled.key, 'mass', filled.record!.planned * 1.3);
    note(filled.key, 'words', 1);
    note('a step that is no more', 'mass', 5);
    const lines = logOf(build, stepsOf());
    expect(lines.map((line) => [line.hand, Number(line.ratio.toFixed(4))])).toEqual([
      ['fill', 1.3],
      [null, 0.95],
    ]);
    note(filled.key, 'mass', filled.record!.planned * 10);
    expect(logOf(build, stepsOf())[0]!.isWild).toBe(true);
  });
});
