import { type Corrections, noCorrections } from '../hand/corrections.ts';
import { levellings, type Build, type Levelling } from '../document/types.ts';
import type { Pantry } from '../pantry/types.ts';
import { planShape } from '../plan/shape.ts';

/** What one school of levelling costs a tier. */
export interface LevellingCost {
  levelling: Levelling;
  heightMm: number;
  fillingG: number;
  coatG: number;
  offcutsG: number;
  batterG: number;
}

/** The four schools of levelling side by side, each worked through the whole plan. */
export function compareLevelling(
  build: Build,
  tierId: string,
  pantry: Pantry,
  corrections: Corrections = noCorrections,
): LevellingCost[] {
  return levellings.flatMap((levelling) => {
    const tiers = build.tiers.map((tier) => (tier.id === tierId ? { ...tier, levelling } : tier));
    const plan = planShape({ ...build, tiers }, pantry, undefined, corrections).tiers.find(
      (t) => t.tierId === tierId,
    )!;
    if (!plan.bake.ok || !plan.gaps.ok || !plan.coat.ok) return [];
    return [
      {
        levelling,
        heightMm: plan.stack.finishedMm,
        fillingG: plan.gaps.value.reduce((sum, gap) => sum + gap.fillingG, 0),
        coatG: plan.coat.value.crumbG + plan.coat.value.coatG,
        offcutsG: plan.bake.value.offcutsG,
        batterG: plan.bake.value.batterG + plan.bake.value.inclusionG,
      },
    ];
  });
}
