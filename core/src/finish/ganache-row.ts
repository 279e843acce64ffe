import type { FluidSpec } from '../drip/fluid.ts';
import { combineFits, fitTestDrip, type TestFit } from '../drip/test-drip.ts';
import { settingOf } from '../drip/length-table.ts';
import { usualDrip } from '../drip/flow.ts';
import {
  chocolateOf,
  creamFat,
  creamOf,
  type Chocolate,
  type Cream,
} from '../ganache/chocolates.ts';
import { composeGanache, type GanacheMade, type GanacheParts } from '../ganache/composer.ts';
import { foodOf, PantryProblem } from '../pantry/find.ts';
import type { Food, Ganache } from '../pantry/types.ts';

/** A ganache with its chocolate and cream found: one gram of it by its parts. */
export interface ComposedGanache {
  chocolate: Chocolate;
  cream: Cream;
  ratio: number;
  /** Grams of each in a kilogram. */
  parts: Omit<GanacheParts, 'chocolate' | 'cream'>;
  made: GanacheMade;
}

/**
 * The composition of a ganache row at a ratio.
 * @throws PantryProblem where an ingredient is missing or is no chocolate or cream; null for fluids
 * that are not composed
 */
export function composed(
  row: Ganache,
  ratio: number | null,
  foods: readonly Food[],
): ComposedGanache | null {
  if (row.fluid !== 'ganache') return null;
  const chocolate = chocolateOf(foodOf(foods, row.chocolateId));
  const cream = creamOf(foodOf(foods, row.creamId));
  if (!chocolate)
    throw new PantryProblem(
      `ganaches/${row.id}`,
      `“${row.name}” needs a chocolate: an ingredient of which cocoa butter and dry cocoa are known.`,
    );
  if (!cream)
    throw new PantryProblem(`ganaches/${row.id}`, `“${row.name}” needs a cream that holds water.`);
  if (cream.fat > creamFat.max)
    throw new PantryProblem(
      `ganaches/${row.id}`,
      `“${cream.name}” is ${Math.round(cream.fat * 100)} % fat: that is butter, not cream, and the ganache would split. Take at most ${creamFat.max * 100} %.`,
    );
  const used = ratio ?? row.ratio;
  if (!(used > 0))
    throw new PantryProblem(
      `ganaches/${row.id}`,
      `“${row.name}” has no ratio of chocolate to cream; one to one is where most begin.`,
    );
  const whole = used * (1 + row.butterShare + row.syrupShare + row.sugarShare) + 1;
  const parts = {
    chocolateG: (1000 * used) / whole,
    creamG: 1000 / whole,
    butterG: (1000 * used * row.butterShare) / whole,
    syrupG: (1000 * used * row.syrupShare) / whole,
    sugarG: (1000 * used * row.sugarShare) / whole,
  };
  return {
    chocolate,
    cream,
    ratio: used,
    parts,
    made: composeGanache({ chocolate, cream, ...parts }),
  };
}

/** Firmness index of the bowl a test drip came from. */
const firmnessAt = (row: Ganache, ratio: number, foods: readonly Food[]): number =>
  ratio > 0 ? (composed(row, ratio, foods)?.made.firmness ?? 1) : 1;

const fits = new Map<string, TestFit>();

/** How each test drip of a ganache is explained; the last is of them all, null without a good one. */
export function fitsOf(
  row: Ganache,
  foods: readonly Food[],
): { each: TestFit[]; all: TestFit | null } {
  const each = row.tests.map((test) => {
    const kind = row.fluid;
    const firmness = firmnessAt(row, test.ratio, foods);
    const key = JSON.stringify([kind, firmness, test]);
    const known = fits.get(key);
    if (known) return known;
    const setting = settingOf(
      {
        fluid: { kind, firmness, stiffer: 1, coatEffusivity: 0.6 },
        fluidC: test.fluidC,
        coatC: test.coatC,
        widthMm: usualDrip.widthMm,
        feedS: usualDrip.feedS,
      },
      400,
    );
    const fit = fitTestDrip(test, setting);
    fits.set(key, fit);
    if (fits.size > 200) fits.delete(fits.keys().next().value!);
    return fit;
  });
  return { each, all: combineFits(each) };
}

/** The fluid of a ganache at a ratio, as its test drips have found it. */
export function fluidOf(
  row: Ganache,
  ratio: number | null,
  foods: readonly Food[],
  coatEffusivity: number,
): FluidSpec {
  return {
    kind: row.fluid,
    firmness: composed(row, ratio, foods)?.made.firmness ?? 1,
    stiffer: fitsOf(row, foods).all?.stiffer ?? 1,
    coatEffusivity,
  };
}
