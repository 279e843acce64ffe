import { temperingOf, type Chocolate } from './chocolates.ts';

/** Heat capacity of chocolate, kJ/kgK, and its heat of melting, kJ/kg (docs/model.md#ganache-and-drips). */
const c = 1.6;
const latent = 50;

/**
 * Unmelted chocolate that cools a melt, as a share of the melt's mass: c·(T0 - T) over
 * c·(T - Ts) + L.
 *
 * @param meltC temperature of the melt; @param toC where it is to come to; @param seedC of what is added
 */
export function seedShare(meltC: number, toC: number, seedC: number): number {
  if (toC >= meltC) return 0;
  return (c * (meltC - toC)) / (c * (toC - seedC) + latent);
}

/** Seeds for a melt of so many grams, down to the middle of the working window; null for compound. */
export function seedFor(
  chocolate: Chocolate,
  meltG: number,
  roomC: number,
): { seedG: number; workC: readonly [number, number]; meltC: number } | null {
  const tempering = temperingOf(chocolate);
  if (!tempering) return null;
  const { meltC, workC } = tempering;
  const from = (meltC[0] + meltC[1]) / 2;
  const to = (workC[0] + workC[1]) / 2;
  return { seedG: meltG * seedShare(from, to, roomC), workC, meltC: from };
}

/**
 * Hours a crisp piece stays crisp against something moist: a reference time by the square of its
 * thickness, three times as long under a film of fat or chocolate (docs/model.md#ganache-and-drips, estimate).
 */
export const crispHours = (thickMm: number, filmed: boolean): number =>
  4 * (thickMm / 5) ** 2 * (filmed ? 3 : 1);
