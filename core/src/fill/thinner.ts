import type { Tier } from '../document/types.ts';
import type { Spread } from '../pantry/types.ts';
import { loadGaps } from './load.ts';

/** What a filling that runs holds of what its row says, when nobody has measured it (estimate). */
export const runnyShare = 0.4;
/** Thinner than this nobody spreads a filling, mm. */
export const thinnestFillingMm = 2;

/**
 * How thick a filling may be that came out softer than its row says, so that the weight above does
 * not push it out; the planned thickness where even that holds, null where nothing holds.
 *
 * @param aboveG mass on every gap of the tier, g; @param softer yield stress over that of the row
 */
export function thinnerFillingMm(
  tier: Tier,
  index: number,
  aboveG: readonly number[],
  spreadOf: (id: string) => Spread,
  softer = runnyShare,
): number | null {
  const gap = tier.gaps[index]!;
  const own = (id: string): Spread => {
    const row = spreadOf(id);
    return id === gap.spreadId
      ? { ...row, stress21Pa: row.stress21Pa * softer, stress4Pa: row.stress4Pa * softer }
      : row;
  };
  const holdsAt = (heightMm: number): boolean => {
    const gaps = tier.gaps.map((one, i) => (i === index ? { ...one, heightMm } : one));
    return loadGaps({ ...tier, gaps }, aboveG, own)[index]!.holds;
  };
  if (holdsAt(gap.heightMm)) return gap.heightMm;
  if (!holdsAt(thinnestFillingMm)) return null;
  let [low, high] = [thinnestFillingMm, gap.heightMm];
  while (high - low > 0.25) {
    const middle = (low + high) / 2;
    if (holdsAt(middle)) low = middle;
    else high = middle;
  }
  return Math.floor(low * 2) / 2;
}
