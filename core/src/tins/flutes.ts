import type { Point } from '../outline/outline.ts';
import type { Flutes } from '../pantry/types.ts';

/*
 * A fluted wall runs as r = R - d/2 + d/2 cos(n a): so many waves round it, each so deep. For amounts it is
 * the round of equal area, and its surface is longer than that by a factor.
 */

/** Radius of the round that has the area of a fluted one of that outer radius, mm: exact. */
export function equalRadiusMm(outerMm: number, flutes: Flutes | null): number {
  if (!flutes) return outerMm;
  const mean = outerMm - flutes.depthMm / 2;
  return Math.sqrt(mean ** 2 + flutes.depthMm ** 2 / 8);
}

/** A coat thicker than this over its waves is spread over them and not along them, mm (estimate). */
const followsMm = 2.5;

/** The waves of a wall that are still seen under so much coat; null for none. */
export const flutesSeen = (flutes: Flutes | null, coatMm: number): Flutes | null =>
  flutes && coatMm <= followsMm ? flutes : null;

/** A round drawn with its waves, crests at its outer radius, a few points to each. */
export function flutedLine(outerMm: number, { count, depthMm }: Flutes): Point[] {
  const each = 8;
  return Array.from({ length: count * each }, (_, i) => {
    const a = (2 * Math.PI * i) / (count * each);
    const r = outerMm - depthMm / 2 + (depthMm / 2) * Math.cos(count * a);
    return { x: r * Math.cos(a), y: r * Math.sin(a) };
  });
}

/** Where its valleys are seen from the front, from -1 at the left edge to 1 at the right, as shares of its half width. */
export const valleysSeen = ({ count }: Flutes): number[] =>
  Array.from({ length: count }, (_, k) => (2 * Math.PI * (k + 0.5)) / count)
    .filter((a) => Math.sin(a) < -0.05)
    .map((a) => Math.cos(a))
    .sort((a, b) => a - b);

/** Points that one wave is measured over. */
const steps = 64;

/** How much longer a fluted wall is than the round of equal area: its arc length, summed over one wave. */
export function flutedOver(outerMm: number, flutes: Flutes | null): number {
  if (!flutes || flutes.depthMm <= 0) return 1;
  const { count, depthMm } = flutes;
  const mean = outerMm - depthMm / 2;
  const wave = (2 * Math.PI) / count;
  let long = 0;
  for (let i = 0; i < steps; i++) {
    const a = ((i + 0.5) * wave) / steps;
    const r = mean + (depthMm / 2) * Math.cos(count * a);
    const slope = (-count * depthMm * Math.sin(count * a)) / 2;
    long += (Math.hypot(r, slope) * wave) / steps;
  }
  return (long * count) / (2 * Math.PI * equalRadiusMm(outerMm, flutes));
}
