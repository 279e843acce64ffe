import type { Surroundings } from './body.ts';

/** Shares of the start's difference that are left, by finite volumes. */
export interface FiniteResult {
  centre: number;
  mean: number;
  /** Mean over the outer part of top and side. */
  shell: number;
}

/**
 * The same heat flow as the series, solved independently: explicit finite volumes on rings of a
 * cylinder, start at 1, surroundings at 0. Slower; it is there to check the series.
 *
 * @param radiusMm, heightMm of the cylinder; @param shellMm depth of the outer part
 * @param cells rings and slices each way
 */
export function finiteCylinder(
  radiusMm: number,
  heightMm: number,
  s: Surroundings,
  seconds: number,
  shellMm = 10,
  cells = 40,
): FiniteResult {
  const [nr, nz] = [cells, cells];
  const dr = radiusMm / 1000 / nr;
  const dz = heightMm / 1000 / nz;
  const capacity = s.k / s.alpha;
  const dt0 = 0.2 / (s.alpha * (1 / (dr * dr) + 1 / (dz * dz)));
  const steps = Math.max(1, Math.ceil(seconds / dt0));
  const dt = seconds / steps;
  const surface = (h: number, d: number): number => 1 / (1 / h + d / (2 * s.k));
  const [gTop, gBottom, gSide] = [surface(s.top, dz), surface(s.bottom, dz), surface(s.side, dr)];
  let now = new Float64Array(nr * nz).fill(1);
  let next = new Float64Array(nr * nz);
  // ring i: inner and outer rim over its own area, times the conductance across
  const inner = Float64Array.from({ length: nr }, (_, i) => (2 * i) / ((2 * i + 1) * dr));
  const outer = Float64Array.from({ length: nr }, (_, i) => (2 * (i + 1)) / ((2 * i + 1) * dr));
  const perDr = s.k / dr;
  const perDz = s.k / dz;
  for (let step = 0; step < steps; step++) {
    for (let j = 0; j < nz; j++)
      for (let i = 0; i < nr; i++) {
        const at = j * nr + i;
        const t = now[at]!;
        let gain = 0;
        if (i > 0) gain += inner[i]! * perDr * (now[at - 1]! - t);
        gain += outer[i]! * (i < nr - 1 ? perDr * (now[at + 1]! - t) : -gSide * t);
        gain += (j > 0 ? perDz * (now[at - nr]! - t) : -gBottom * t) / dz;
        gain += (j < nz - 1 ? perDz * (now[at + nr]! - t) : -gTop * t) / dz;
        next[at] = t + (dt * gain) / capacity;
      }
    [now, next] = [next, now];
  }
  let [sum, volume, shellSum, shellVolume] = [0, 0, 0, 0];
  for (let j = 0; j < nz; j++)
    for (let i = 0; i < nr; i++) {
      const v = 2 * i + 1;
      sum += v * now[j * nr + i]!;
      volume += v;
      const isShell =
        (i + 0.5) * dr > (radiusMm - shellMm) / 1000 ||
        (j + 0.5) * dz > (heightMm - shellMm) / 1000;
      if (isShell) {
        shellSum += v * now[j * nr + i]!;
        shellVolume += v;
      }
    }
  // at the axis the profile is flat across, and the middle lies between two slices
  const centre = (now[(nz / 2 - 1) * nr]! + now[(nz / 2) * nr]!) / 2;
  return { centre, mean: sum / volume, shell: shellSum / shellVolume };
}
