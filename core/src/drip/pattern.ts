import { randomFrom } from '../working/random.ts';

export const dripPatterns = ['even', 'alternating', 'random', 'curve'] as const;
export type DripPattern = (typeof dripPatterns)[number];

/** Drips round a rim: how long each is to be, and where it hangs. Lengths in mm. */
export interface WantedDrips {
  pattern: DripPattern;
  count: number;
  /** Mean length, and how far from it the longest and shortest go. */
  lengthMm: number;
  spreadMm: number;
  seed: number;
  /** For a curve: lengths as drawn along the rim, evenly from its start; two or more. */
  curveMm: number[];
}

/** Least room a drip takes along the rim, as a multiple of its width. */
const leastPitch = 1.15;

/** Most drips that a rim takes side by side. */
export const mostDrips = (rimMm: number, widthMm: number): number =>
  Math.max(1, Math.floor(rimMm / (widthMm * leastPitch)));

/** Count for a wanted spacing along the rim; even where they alternate, so that the round closes. */
export function countFor(rimMm: number, spacingMm: number, pattern: DripPattern): number {
  const near = Math.max(1, Math.round(rimMm / spacingMm));
  return pattern === 'alternating' && near > 1 ? 2 * Math.max(1, Math.round(near / 2)) : near;
}

/** Wanted length of every drip in order along the rim, mm; never below 2 mm. */
export function wantedLengths(drips: WantedDrips): number[] {
  const { pattern, count, lengthMm, spreadMm, seed, curveMm } = drips;
  const random = randomFrom(seed);
  const of = (i: number): number => {
    switch (pattern) {
      case 'even':
        return lengthMm;
      case 'alternating':
        return lengthMm + (i % 2 === 0 ? spreadMm : -spreadMm);
      case 'random':
        return lengthMm + (2 * random() - 1) * spreadMm;
      case 'curve': {
        if (curveMm.length < 2) return lengthMm;
        // the round closes: behind the last point comes the first again
        const at = (i / count) * curveMm.length;
        const [a, b] = [curveMm[Math.floor(at)]!, curveMm[(Math.floor(at) + 1) % curveMm.length]!];
        return a + (b - a) * (at - Math.floor(at));
      }
    }
  };
  return Array.from({ length: count }, (_, i) => Math.max(2, of(i)));
}
