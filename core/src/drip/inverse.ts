import { heaviestG, runDrip, type DripSetting } from './flow.ts';

export interface Found {
  value: number;
  /** Length that it comes to, mm. */
  lengthMm: number;
  /** False when what was asked cannot be reached: the value is the nearest that can. */
  reached: boolean;
}

/**
 * Where a rising function meets a wanted value, by regula falsi with the ends drawn in (Illinois).
 * The ends are taken where it never does.
 */
function meet(
  of: (x: number) => number,
  wanted: number,
  low: number,
  high: number,
  tolerance: number,
): Found {
  let [a, b] = [low, high];
  let [fa, fb] = [of(a) - wanted, of(b) - wanted];
  if (fa >= 0) return { value: a, lengthMm: fa + wanted, reached: fa < tolerance };
  if (fb <= 0) return { value: b, lengthMm: fb + wanted, reached: fb > -tolerance };
  let [wa, wb] = [fa, fb];
  for (let i = 0; i < 40; i++) {
    const x = (a * wb - b * wa) / (wb - wa);
    const fx = of(x) - wanted;
    if (Math.abs(fx) < tolerance) return { value: x, lengthMm: fx + wanted, reached: true };
    if (fx < 0) {
      [a, fa, wa] = [x, fx, fx];
      wb /= 2;
    } else {
      [b, fb, wb] = [x, fx, fx];
      wa /= 2;
    }
    if (Math.abs(b - a) < 1e-6) break;
  }
  const value = Math.abs(fa) < Math.abs(fb) ? a : b;
  return { value, lengthMm: of(value), reached: true };
}

/** Grams for a drip that stops at a wanted length, its bead included. */
export function gramsForLength(lengthMm: number, setting: DripSetting, seconds = 300): Found {
  return meet(
    (g) => runDrip(g, setting, seconds, undefined, seconds).restMm,
    lengthMm,
    setting.beadG,
    heaviestG,
    0.5,
  );
}

/** Temperature at which a drip of so many grams stops at a wanted length, C. */
export function tempForLength(
  massG: number,
  lengthMm: number,
  setting: DripSetting,
  [lowC, highC]: [number, number] = [setting.coatC + 2, 45],
): Found {
  return meet(
    (fluidC) => runDrip(massG, { ...setting, fluidC }, 300, undefined, 300).restMm,
    lengthMm,
    lowC,
    highC,
    0.5,
  );
}
