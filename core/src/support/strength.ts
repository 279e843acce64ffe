import { nPerG } from '../units/gravity.ts';
import type { Dowel } from '../pantry/types.ts';

/** Safety of what is read from a table, and of what was tried on the scale. */
export const safetyOf = { table: 3, tested: 2 } as const;
/** Below this share of wall to radius a tube folds in its wall before it is crushed. */
const thinWall = 0.1;

export const strengthModes = ['crushing', 'buckling', 'wall folding', 'board', 'own test'] as const;
export type StrengthMode = (typeof strengthModes)[number];

/** What one dowel carries, and what gives first. */
export interface Strength {
  /** Each way it can give, with the load at which it does and its safety, N. */
  modes: { mode: StrengthMode; givesN: number; safety: number }[];
  /** The load it may carry, N: the least over the modes, each over its safety. */
  allowedN: number;
  by: StrengthMode;
}

const hollow = ({ form, outerMm, wallMm }: Dowel): number =>
  form === 'tube' && wallMm !== null ? Math.max(0, outerMm - 2 * wallMm) : 0;

/** Area of the material in a dowel's section, mm2. */
export const sectionMm2 = (dowel: Dowel): number =>
  (Math.PI / 4) * (dowel.outerMm ** 2 - hollow(dowel) ** 2);

/** Second moment of area, mm4 (textbook). */
export const momentMm4 = (dowel: Dowel): number =>
  (Math.PI / 64) * (dowel.outerMm ** 4 - hollow(dowel) ** 4);

/** Euler's load of a column with pinned ends, N, lengths in mm, stiffness in GPa (textbook). */
export const eulerN = (modulusGPa: number, inertiaMm4: number, lengthMm: number): number =>
  (Math.PI ** 2 * modulusGPa * 1000 * inertiaMm4) / lengthMm ** 2;

/**
 * What a dowel of a length carries (docs/model.md#support): the least of crushing, Euler buckling with
 * pinned ends and no help from the cake, folding of a thin wall, and what the board above bears on
 * the gross end. A press on the scale replaces what it has tried: crushing and folding, and buckling
 * too where the piece tried was no shorter. What damp takes from it comes off in every case.
 */
export function strengthOf(dowel: Dowel, lengthMm: number, bearsMPa: number): Strength {
  const area = sectionMm2(dowel);
  const modes: Strength['modes'] = [];
  const table = (mode: StrengthMode, givesN: number): void =>
    void modes.push({ mode, givesN, safety: safetyOf.table });
  const tested = dowel.testsG.length > 0 ? Math.min(...dowel.testsG) * nPerG : null;
  if (tested === null) {
    table('crushing', dowel.strengthMPa * area * dowel.dampShare);
    const radius = dowel.outerMm / 2;
    const wall = dowel.wallMm ?? radius;
    if (dowel.form === 'tube' && wall / radius < thinWall)
      table(
        'wall folding',
        0.6 * dowel.modulusGPa * 1000 * (wall / radius) * 0.3 * area * dowel.dampShare,
      );
  } else
    modes.push({
      mode: 'own test',
      givesN: tested * dowel.dampShare,
      safety: safetyOf.tested,
    });
  if (tested === null || lengthMm > dowel.testedMm)
    table('buckling', eulerN(dowel.modulusGPa, momentMm4(dowel), lengthMm));
  table('board', (Math.PI / 4) * dowel.outerMm ** 2 * bearsMPa);
  const least = modes.reduce((a, b) => (b.givesN / b.safety < a.givesN / a.safety ? b : a));
  return { modes, allowedN: least.givesN / least.safety, by: least.mode };
}

/** Dowels that custom puts under a tier of this width, whatever it weighs. */
export const fewestDowels = (upperWideMm: number): number =>
  Math.max(3, Math.ceil(upperWideMm / 40 - 1e-9));
