import type { DripFluid } from './fluid.ts';
import { runDrip, type DripSetting } from './flow.ts';

/** One drip tried at the back: what it weighed, how warm it was, how far it ran. */
export interface TestDrip {
  massG: number;
  fluidC: number;
  coatC: number;
  /** Length after `afterS` seconds, mm. */
  lengthMm: number;
  afterS: number;
  /** Chocolate to one of cream in that bowl; 0 where it has no cream. */
  ratio: number;
  /** When it was made; null when not noted. */
  at: string | null;
}

export interface TestFit {
  /** Factor on the yield stress that makes the model run as far as the drip did. */
  stiffer: number;
  /** How sure: the factor for a drip read a millimetre shorter and longer. */
  low: number;
  high: number;
  /** Null when all is well; otherwise why no factor does it. */
  problem: string | null;
}

const least = 0.05;
const most = 20;
/** How well a length is read off a side, mm. */
const readMm = 1;

/** The fluid with a factor on its yield stress. */
export const stiffened = (fluid: DripFluid, by: number): DripFluid => ({
  ...fluid,
  stressPa: (t) => by * fluid.stressPa(t),
});

/** Factor on the yield stress at which the model's drip is as long at that time, by bisection. */
function factorFor(test: TestDrip, setting: DripSetting, lengthMm: number): number {
  const own = { ...setting, fluidC: test.fluidC, coatC: test.coatC, sideMm: 400 };
  const lengthAt = (by: number): number =>
    runDrip(
      test.massG,
      { ...own, fluid: stiffened(setting.fluid, by) },
      test.afterS,
      undefined,
      test.afterS,
    ).restMm;
  let [low, high] = [Math.log(least), Math.log(most)];
  // to a hundredth of a per cent of the factor
  for (let i = 0; i < 16; i++) {
    const middle = (low + high) / 2;
    if (lengthAt(Math.exp(middle)) > lengthMm) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}

/**
 * Fits the yield stress to a test drip by running the flow for as long as it ran (docs/model.md#ganache-and-drips).
 * A length that no stress gives is said, with the nearest that does.
 */
export function fitTestDrip(test: TestDrip, setting: DripSetting): TestFit {
  const stiffer = factorFor(test, setting, test.lengthMm);
  const problem =
    test.lengthMm <= 1
      ? 'It did not leave the rim: it is too cold, or too little.'
      : stiffer <= least * 1.05
        ? 'It ran further than any ganache of this ratio could: look at its grams and its temperature.'
        : stiffer >= most * 0.95
          ? 'It stopped sooner than any ganache of this ratio could: look at its grams and its temperature.'
          : null;
  return {
    stiffer,
    low: factorFor(test, setting, test.lengthMm + readMm),
    high: factorFor(test, setting, Math.max(0.5, test.lengthMm - readMm)),
    problem,
  };
}

/** Several test drips as one factor: their logarithms by how surely each was read. */
export function combineFits(fits: readonly TestFit[]): TestFit | null {
  const good = fits.filter((fit) => fit.problem === null);
  if (good.length === 0) return null;
  const each = good.map((fit) => {
    const sd = Math.max(0.02, Math.log(fit.high / fit.low) / 2);
    return { log: Math.log(fit.stiffer), weight: 1 / sd ** 2 };
  });
  const weight = each.reduce((sum, one) => sum + one.weight, 0);
  const log = each.reduce((sum, one) => sum + one.log * one.weight, 0) / weight;
  const sd = 1 / Math.sqrt(weight);
  return {
    stiffer: Math.exp(log),
    low: Math.exp(log - sd),
    high: Math.exp(log + sd),
    problem: null,
  };
}
