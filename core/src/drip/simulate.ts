import { runDrip, usualDrip, type DripRun } from './flow.ts';
import { lengthTable, restAt, settingOf, type DripSpec } from './length-table.ts';

/** All drips of a rim, each with its own amount. */
export interface DripsQuestion {
  spec: DripSpec;
  /** How far each may run before it meets the board or a border, mm. */
  sideMm: number;
  grams: number[];
  seconds: number;
  everyS: number;
}

/** Runs every drip by itself; drips of one weight are run once. */
export function runDrips({ spec, sideMm, grams, seconds, everyS }: DripsQuestion): DripRun[] {
  const setting = settingOf(spec, sideMm);
  const known = new Map<string, DripRun>();
  return grams.map((massG) => {
    const key = massG.toFixed(4);
    let run = known.get(key);
    if (!run) known.set(key, (run = runDrip(massG, setting, seconds, undefined, everyS)));
    return run;
  });
}

/** How drips look, by the film that stays: mean thickness in mm. */
export const dripLooks = { slender: 1.3, usual: 1.8, bold: 2.6 } as const;
export type DripLook = keyof typeof dripLooks;

export interface LooksQuestion {
  spec: DripSpec;
  lengthMm: number;
}

const coldestC = 12;
/** Warmer than this it melts a coat that holds butter, C (trade custom): never offered for a drip on one. */
export const meltsCoatC = 36;
const stepC = 3;

/** Working temperature for each look at a length, C; null where none from 12 C up to what melts the coat gives it. */
export function tempsForLooks({ spec, lengthMm }: LooksQuestion): Record<DripLook, number | null> {
  const films: { fluidC: number; film: number }[] = [];
  for (let fluidC = coldestC; fluidC <= meltsCoatC; fluidC += stepC) {
    // on a coat as warm as itself it does not cool, and that is another picture
    if (fluidC <= spec.coatC) continue;
    const rest = restAt(lengthMm, lengthTable({ ...spec, fluidC }, lengthMm), usualDrip.beadG);
    if (rest.reached) films.push({ fluidC, film: rest.meanMm });
  }
  // the film thins about exponentially as it gets warmer
  const tempFor = (wanted: number): number | null => {
    const after = films.findIndex(({ film }) => film <= wanted);
    if (after <= 0) return null;
    const [cool, warm] = [films[after - 1]!, films[after]!];
    const share = Math.log(cool.film / wanted) / Math.log(cool.film / warm.film);
    return cool.fluidC + share * (warm.fluidC - cool.fluidC);
  };
  return {
    slender: tempFor(dripLooks.slender),
    usual: tempFor(dripLooks.usual),
    bold: tempFor(dripLooks.bold),
  };
}
