import type { Tier } from '../document/types.ts';
import type { BareTier } from './tier-plan.ts';
import { isStillCarvedSo } from './known-by.ts';
import { fitsInside, type Outline } from '../outline/outline.ts';
import { planTier, type TierAround } from './tier.ts';
import type { Work } from './work.ts';
import { collect, enter, type Collected } from '../working/collected.ts';
import { Known } from '../working/known.ts';

export const tiersKnown = new Known<Tier, Collected<BareTier>>();

/**
 * The tiers of a build, from the bottom up. A tier that was planned before with the same pantry, hand,
 * neighbours and answer of the solids is not planned again: only its figures and cautions are entered.
 */
export function planTiers(work: Work): BareTier[] {
  const { build, pantry, corrections, withTimes, carved } = work;
  const { portion, cutting, halves } = build.brief;
  return build.tiers.map((tier, i) => {
    const around: TierAround = {
      isHoleShut: isHoleShut(tier, build.tiers[i + 1]),
      portion,
      cutting,
      halves,
    };
    const known = tiersKnown.of(
      tier,
      [pantry, corrections, withTimes, ...(Object.values(around) as unknown[])],
      () => collect(work, (own) => planTier(tier, around, own)),
      ({ value: { carve } }) => isStillCarvedSo(carve, carved),
    );
    return enter(work, known);
  });
}

/** True where the tier above stands over the whole hole of a ring. */
function isHoleShut({ outline }: Tier, above: Tier | undefined): boolean {
  if (outline.kind !== 'ring' || !above || above.outline.kind === 'ring') return false;
  const aside = Math.hypot(...above.stand.offsetMm);
  const hole: Outline = { kind: 'round', diameterMm: outline.holeMm + 2 * aside };
  return above.stand.postMm === 0 && fitsInside(hole, above.outline);
}
