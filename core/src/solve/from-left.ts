import type { Tier } from '../document/types.ts';
import { planCoat } from '../coat/coat.ts';
import { coatStyles, styleRows, type CoatStyle } from '../pantry/styles.ts';
import type { Kitchen, Spread } from '../pantry/types.ts';
import { FigureBook } from '../working/figures.ts';

/** A tier that is still to be coated from what is left. */
export interface ToCoat {
  tier: Tier;
  stackMm: number;
  /** The crumb coat is on already. */
  crumbed: boolean;
}

export interface FromLeft {
  /** What the coats still to do take as they are planned, losses on tools included, g. */
  needG: number;
  /** Missing from what is left, g; 0 where it is enough. */
  shortG: number;
  /** Thickness that all of it comes to, side and top alike in proportion; null where none is possible. */
  share: number | null;
  /** Thickness on the side and on top of the first tier at that share, mm. */
  sideMm: number;
  topMm: number;
  /** Styles that what is left is enough for, the most generous first, with what each takes, g. */
  styles: { style: CoatStyle; needG: number }[];
}

/** Thinnest coat that still hides the crumb coat, mm: below it another style is better. */
export const thinnestMm = 2;

/**
 * What is still possible with so many grams in the bowl: the coat thinned in proportion until it is
 * enough, the styles that fit, and what is missing for the one that was planned. Solved on the exact
 * shells by bisection.
 */
export function fromLeft(
  leftG: number,
  tiers: readonly ToCoat[],
  spreadOf: (id: string) => Spread,
  kitchen: Kitchen,
): FromLeft {
  const book = new FigureBook();
  const takes = (change: (tier: Tier) => Tier, always = false): number => {
    const sum = tiers.reduce((total, { tier, stackMm, crumbed }) => {
      const plan = planCoat(change(tier), stackMm, spreadOf, kitchen, 0, 0, book);
      const crumbG = crumbed && !always ? 0 : plan.crumbG * (1 + kitchen.scrapingsShare);
      return total + crumbG + plan.coatG;
    }, 0);
    return sum * (1 + kitchen.toolsShare);
  };
  const thinned =
    (share: number) =>
    (tier: Tier): Tier => {
      const base = planCoat(tier, 100, spreadOf, kitchen, 0, 0, book);
      return {
        ...tier,
        coat: { ...tier.coat, sideMm: base.sideMm * share, topMm: base.topMm * share },
      };
    };
  const needG = takes((tier) => tier);
  const first = tiers[0];
  const full = first ? planCoat(first.tier, first.stackMm, spreadOf, kitchen, 0, 0, book) : null;
  let share: number | null = null;
  if (full && takes(thinned(0)) <= leftG) {
    let [low, high] = [0, 3];
    if (takes(thinned(high)) <= leftG) low = high;
    for (let i = 0; i < 50 && high - low > 1e-6; i++) {
      const middle = (low + high) / 2;
      if (takes(thinned(middle)) <= leftG) low = middle;
      else high = middle;
    }
    share = low;
  }
  const styles = coatStyles
    .filter((style) => style !== 'naked' && style !== 'under fondant')
    .map((style) => ({
      style,
      needG: takes((tier) => ({
        ...tier,
        coat: {
          ...tier.coat,
          style,
          crumbMm: null,
          sideMm: null,
          topMm: null,
          comb: null,
          cover: null,
        },
      })),
    }))
    .filter((each) => each.needG <= leftG && each.needG > 0)
    .sort((a, b) => styleRows[b.style].sideMm - styleRows[a.style].sideMm || b.needG - a.needG);
  return {
    needG,
    shortG: Math.max(0, needG - leftG),
    share,
    sideMm: (full?.sideMm ?? 0) * (share ?? 0),
    topMm: (full?.topMm ?? 0) * (share ?? 0),
    styles,
  };
}
