import type { Tier } from '../document/types.ts';
import { gapMassG } from '../fill/gaps.ts';
import { loadGaps } from '../fill/load.ts';
import { nPerG } from '../units/gravity.ts';
import { areaMm2 } from '../outline/outline.ts';
import type { Spread, Sponge } from '../pantry/types.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { valueOf } from '../working/staged.ts';

/** How a sponge's strength changes with its warmth: chilled, and at 30 C (docs/model.md#support, estimates). */
export function warmthShare(tempC: number): number {
  if (tempC <= 4) return 1.3;
  if (tempC <= 21) return 1.3 - ((tempC - 4) / 17) * 0.3;
  return Math.max(0.6, 1 - ((tempC - 21) / 9) * 0.2);
}

/** Unsoaked crumb firms as it stales, 4 % a day for five days; soaked crumb does not (estimate). */
export const ageShare = (days: number, isSoaked: boolean): number =>
  isSoaked ? 1 : 1 + 0.04 * Math.min(5, Math.max(0, days - 1));

/** What one layer stands. Stresses in kPa. */
export interface LayerStress {
  index: number;
  restKPa: number;
  /** The worst that lasts seconds, compared with twice what it stands for long. */
  briefKPa: number;
  standsKPa: number;
  /** The worse of the two, as a share of what it stands. */
  used: number;
}

/** What the crumb of a layer stands for long, kPa: by its row, soak, warmth and age. */
export function standsKPa(
  tier: Tier,
  plan: TierPlan,
  index: number,
  sponge: Sponge | null,
  tempC: number,
  days: number,
): number {
  const other = (valueOf(plan.others) ?? []).find((one) => one.index === index);
  const kPa = other?.row.allowableKPa ?? sponge?.allowableKPa ?? 2;
  const { strength } = plan.soak[index]!;
  const firm = other?.row.form === 'foam' ? 1 : warmthShare(tempC) * ageShare(days, strength < 1);
  return kPa * strength * firm;
}

/**
 * Stress in each layer of a tier (docs/model.md#support): what rests on it over the area of its board, and
 * the weight of its own tier above it, down from the next board. Loads of seconds are held against
 * twice what it stands.
 *
 * @param aboveN weight of the tiers above that cake alone carries, over `aboveMm2`
 */
export function stressesOf(
  tier: Tier,
  plan: TierPlan,
  sponge: Sponge | null,
  aboveN: number,
  aboveMm2: number,
  times: number,
  tempC: number,
  days: number,
): LayerStress[] {
  const area = areaMm2(tier.outline);
  const gaps = valueOf(plan.gaps) ?? [];
  const masses = plan.layersG ?? [];
  const left = plan.carve?.result
    ? plan.carve.result.leftG / Math.max(1, plan.carve.result.stackG)
    : 1;
  const boards = tier.stand.decks.map((deck) => deck.afterLayer);
  return tier.layers.map((_layer, i) => {
    // a board between layers takes what is above it down its own dowels
    const next = boards.find((after) => after >= i);
    const top = next ?? tier.layers.length - 1;
    let ownG = 0;
    for (let k = i; k <= top; k++) {
      if (k > i) ownG += masses[k] ?? 0;
      const gap = gaps.find((one) => one.index === k);
      if (gap && k < top) ownG += gapMassG(gap);
    }
    const own = (ownG * left * nPerG) / area;
    const above = next === undefined && aboveMm2 > 0 ? aboveN / aboveMm2 : 0;
    const restKPa = (own + above) * 1000;
    const stands = standsKPa(tier, plan, i, sponge, tempC, days);
    const briefKPa = restKPa * times;
    return {
      index: i,
      restKPa,
      briefKPa,
      standsKPa: stands,
      used: Math.max(restKPa, briefKPa / 2) / stands,
    };
  });
}

/** Fillings that would creep under the tiers above, with what they settle to, mm. */
export function creepUnder(
  tier: Tier,
  plan: TierPlan,
  aboveG: number,
  spreadOf: (id: string) => Spread,
): { index: number; settledMm: number; nowMm: number }[] {
  if (!plan.loads || aboveG <= 0) return [];
  const last = tier.stand.decks.at(-1)?.afterLayer ?? -1;
  return loadGaps(
    tier,
    plan.loads.map((load, i) => load.aboveG + (i > last ? aboveG : 0)),
    spreadOf,
  ).flatMap((load, index) => {
    const nowMm = plan.loads![index]!.settledMm;
    return load.settledMm < nowMm - 0.2 ? [{ index, settledMm: load.settledMm, nowMm }] : [];
  });
}
