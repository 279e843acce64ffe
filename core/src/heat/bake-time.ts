import { equivalentRadiusMm, type Outline } from '../outline/outline.ts';
import { Remembered } from '../working/remembered.ts';
import { bodyOf, centreShare, secondsUntil } from './body.ts';

/** The centre of a cake that is done, C. */
export const doneC = 97;
/** Surface coefficient over conductivity in the oven, per metre (4 to 10, estimate). */
export const ovenPerM = 7;
/** Diffusivity of an ordinary butter sponge while it bakes, m2/s; it lumps in steam and rise. */
export const usualBakeAlpha = 1.2e-6;
export const usualOvenC = 175;

/** A cake in its tin and oven. Mean depth in mm, temperatures in C. */
export interface Baking {
  outline: Outline;
  depthMm: number;
  ovenC: number;
  startC: number;
}

/** A recipe's own time in its own tin. */
export interface BakeRule {
  ovenC: number;
  minutes: number;
  tinMm: number;
  depthMm: number;
}

/** Batter at room temperature, as recipes mean it, C. */
export const recipeStartC = 20;

const known = new Remembered<number>();

/** Minutes until the centre is done if the diffusivity were 1e-6 m2/s; Infinity in too cool an oven. */
function minutesAtOne({ outline, depthMm, ovenC, startC }: Baking): number {
  const wanted = (ovenC - doneC) / (ovenC - startC);
  if (ovenC <= doneC) return Infinity;
  if (startC >= doneC) return 0;
  const key = JSON.stringify([outline, depthMm, ovenC, startC]);
  return known.of(key, () => {
    const body = bodyOf(outline, depthMm, {
      alpha: 1e-6,
      k: 1,
      top: ovenPerM,
      side: ovenPerM,
      bottom: ovenPerM,
    });
    return secondsUntil((t) => centreShare(body, t), wanted) / 60;
  });
}

/**
 * What the conduction of a flat body leaves out where a cake is narrow and deep: crust and crown close
 * it over, and its own steam keeps the middle back. By the slenderness over that of the recipe's own
 * cake; calibrated on a loaf of 900 g, which takes 45 to 55 minutes, and on cupcakes (estimate).
 */
const narrowSlows = 0.3;
const mostSlow = 2;
const slenderness = (outline: Outline, depthMm: number): number =>
  depthMm /
  (outline.kind === 'ring'
    ? (outline.diameterMm - outline.holeMm) / 2
    : equivalentRadiusMm(outline));
export function slowerByShape(
  { outline, depthMm }: Pick<Baking, 'outline' | 'depthMm'>,
  rule: BakeRule | null,
): number {
  const own = rule
    ? slenderness({ kind: 'round', diameterMm: rule.tinMm }, rule.depthMm)
    : usualSlenderness;
  return Math.min(mostSlow, 1 + narrowSlows * Math.max(0, slenderness(outline, depthMm) / own - 1));
}
/** 50 mm deep and 200 mm across. */
const usualSlenderness = 0.5;

/** The diffusivity that makes the recipe's own tin come out in the recipe's own time, m2/s. */
export function calibrate(rule: BakeRule): number {
  const own = minutesAtOne({
    outline: { kind: 'round', diameterMm: rule.tinMm },
    depthMm: rule.depthMm,
    ovenC: rule.ovenC,
    startC: recipeStartC,
  });
  return Number.isFinite(own) ? (1e-6 * own) / rule.minutes : usualBakeAlpha;
}

export interface BakeWindow {
  minutes: number;
  /** First look. */
  fromMin: number;
  toMin: number;
  /** Effective diffusivity, m2/s. */
  alpha: number;
}

/**
 * When a cake is likely done (docs/model.md#heat-and-cold): the centre at 97 C, calibrated by the recipe's own
 * tin and time. Right to about a quarter, so the window runs from 0.85 to 1.25 of it.
 *
 * @param slower how much more heat the filling of the tin takes than plain batter, 1 and above
 * @returns null where the oven is too cool to finish it
 */
export function bakeWindow(own: Baking, rule: BakeRule | null, slower = 1): BakeWindow | null {
  const alpha = (rule ? calibrate(rule) : usualBakeAlpha) / slower;
  const minutes = ((minutesAtOne(own) * 1e-6) / alpha) * slowerByShape(own, rule);
  if (!Number.isFinite(minutes)) return null;
  return { minutes, fromMin: 0.85 * minutes, toMin: 1.25 * minutes, alpha };
}
