import type { Build, Tier } from './build/types.ts';
import type { BareTier } from './finish/finish.ts';
import { fitsInside, type Outline } from './outline/outline.ts';
import { planTier, type TierAround, type Work } from './plan-tier.ts';
import type { Caution } from './working/cautions.ts';
import { FigureBook, type Figures } from './working/figures.ts';
import { Known } from './working/known.ts';

/** A tier planned once, with the figures and cautions that belong to it. */
interface KnownTier {
  plan: BareTier;
  figures: Figures;
  cautions: Caution[];
}
export const tiersKnown = new Known<Tier, KnownTier>();

/**
 * The tiers of a build, from the bottom up. A tier that was planned before with the same pantry, hand,
 * neighbours and answer of the solids is not planned again: only its figures and cautions are entered.
 */
export function planTiers(work: Work): BareTier[] {
  const { build, pantry, moves, workings, withTimes, carved, book, cautions } = work;
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
      [pantry, moves, workings, withTimes, ...Object.values(around)],
      () => {
        const own = { ...work, book: new FigureBook(), cautions: [] as Caution[] };
        const plan = planTier(tier, around, own);
        return { plan, figures: own.book.figures, cautions: own.cautions };
      },
      ({ plan: { carve } }) => carve === null || (carved(carve.key) ?? null) === carve.result,
    );
    Object.assign(book.figures, known.figures);
    cautions.push(...known.cautions);
    return known.plan;
  });
}

/** True where the tier above stands over the whole hole of a ring. */
function isHoleShut({ outline }: Tier, above: Tier | undefined): boolean {
  if (outline.kind !== 'ring' || !above || above.outline.kind === 'ring') return false;
  const aside = Math.hypot(...above.stand.offsetMm);
  const hole: Outline = { kind: 'round', diameterMm: outline.holeMm + 2 * aside };
  return above.stand.postMm === 0 && fitsInside(hole, above.outline);
}
