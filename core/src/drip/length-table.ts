import { Remembered } from '../working/remembered.ts';
import { fluidFrom, type FluidSpec } from './fluid.ts';
import { heaviestG, longestCellMm, runDrip, usualDrip, type DripSetting } from './flow.ts';

/** A setting as it can be written down and sent on. */
export interface DripSpec {
  fluid: FluidSpec;
  fluidC: number;
  coatC: number;
  widthMm: number;
  feedS: number;
}

/** Where a drip of so many grams comes to rest. */
export interface DripRest {
  massG: number;
  lengthMm: number;
  restS: number;
  meanMm: number;
  /** False where no drip that one hangs goes so far, or none is so short. */
  reached: boolean;
}

/** Side on which tables are made: no drip is asked about beyond it, mm. */
export const tableSideMm = 300;
const flowSeconds = 300;

export const settingOf = (spec: DripSpec, sideMm: number): DripSetting => ({
  fluid: fluidFrom(spec.fluid),
  fluidC: spec.fluidC,
  coatC: spec.coatC,
  widthMm: spec.widthMm,
  feedS: spec.feedS,
  sideMm,
  beadG: usualDrip.beadG,
});

/** A table as far as it was asked for. */
interface Table {
  rows: DripRest[];
  /** The next heavier drip, g without its bead. */
  flowG: number;
}
/** Tables that were made, newest last: a plan asks for the same one at every change besides. */
const kept = new Remembered<Table>(60);

/**
 * Drips of rising weight with the length each comes to, until one goes further than asked: the long
 * ones take longest to run.
 *
 * @param upToMm at most `tableSideMm`
 */
export function lengthTable(spec: DripSpec, upToMm = tableSideMm): readonly DripRest[] {
  const table = kept.of(JSON.stringify(spec), () => ({ rows: [], flowG: 0.08 }));
  const setting = settingOf(spec, tableSideMm);
  const goesOn = (): boolean => {
    const longest = table.rows.at(-1);
    return !longest || longest.lengthMm < Math.min(upToMm + 1e-6, tableSideMm - longestCellMm);
  };
  for (; goesOn() && table.flowG < heaviestG; table.flowG *= 1.45) {
    const massG = setting.beadG + table.flowG;
    const run = runDrip(massG, setting, flowSeconds, undefined, flowSeconds / 60);
    table.rows.push({
      massG,
      lengthMm: run.restMm,
      restS: run.restS,
      meanMm: run.meanMm,
      reached: true,
    });
  }
  return table.rows;
}

/**
 * Grams for a drip that rests at a length, between the drips of a table: grams to the millimetre
 * change slowly, so they are what is interpolated.
 */
export function restAt(lengthMm: number, table: readonly DripRest[], beadG: number): DripRest {
  const first = table[0]!;
  const last = table.at(-1)!;
  if (lengthMm >= last.lengthMm) return { ...last, reached: lengthMm < last.lengthMm + 1 };
  if (lengthMm <= first.lengthMm) {
    const share = lengthMm / Math.max(0.1, first.lengthMm);
    return { ...first, massG: beadG + (first.massG - beadG) * share, lengthMm };
  }
  const above = table.findIndex((row) => row.lengthMm > lengthMm);
  const [a, b] = [table[above - 1]!, table[above]!];
  const t = (lengthMm - a.lengthMm) / (b.lengthMm - a.lengthMm);
  const between = (from: number, to: number): number => from + (to - from) * t;
  const perMm = between((a.massG - beadG) / a.lengthMm, (b.massG - beadG) / b.lengthMm);
  return {
    massG: beadG + perMm * lengthMm,
    lengthMm,
    restS: between(a.restS, b.restS),
    meanMm: between(a.meanMm, b.meanMm),
    reached: true,
  };
}
