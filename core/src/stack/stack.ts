import { isBare } from '../document/edit.ts';
import type { Tier } from '../document/types.ts';
import { thicknessOf } from '../coat/thickness.ts';
import { areaMm2 } from '../outline/outline.ts';
import { FigureBook, from, given } from '../working/figures.ts';

/** Where each part of one tier lies, in mm above the surface it stands on. */
export interface StackPlan {
  dabMm: number;
  /** `crownUpMm` and `crownDownMm` are domes left on, standing into the gap above or below. */
  layers: { fromMm: number; toMm: number; crownUpMm: number; crownDownMm: number }[];
  /** As they settle, with the room that domes need. */
  gaps: { fromMm: number; toMm: number; settledMm: number }[];
  /** Boards half-way up, each over the filling on its layer. */
  decks: { afterLayer: number; fromMm: number; toMm: number }[];
  /** Height of the stack before its coat. */
  stackMm: number;
  /** A dome that stays on top, under the coat. */
  topCrownMm: number;
  crumbMm: number;
  coatTopMm: number;
  fondantMm: number;
  finishedMm: number;
  /** Finished height as it is stacked: what a carved tier had before the knife, else the same. */
  uncutMm: number;
  /** Share of the stack that is filling. */
  fillingShare: number;
}

/** Crowns left on each layer, mm: standing up, or hanging down from a layer turned over. */
export interface Crown {
  upMm: number;
  downMm: number;
}

/**
 * Heights in one tier: dab, layers with their gaps as they settle, crumb coat and coat on top.
 *
 * @param dabMl volume of the dab under the first layer, spread over the whole base
 * @param settledMm thickness of each gap at rest; @param crowns domes left on, by layer
 * @param betweenMm of the layers that is spread between their own pieces
 */
export function planStack(
  tier: Tier,
  dabMl: number,
  settledMm: readonly number[],
  crowns: readonly Crown[],
  book: FigureBook,
  betweenMm = 0,
): StackPlan {
  const dabMm = (dabMl * 1000) / areaMm2(tier.outline);
  const { crumbMm, topMm } = thicknessOf(tier);
  const layers: StackPlan['layers'] = [];
  const gaps: StackPlan['gaps'] = [];
  const decks: StackPlan['decks'] = [];
  let z = dabMm;
  tier.layers.forEach((layer, i) => {
    const crown = crowns[i] ?? { upMm: 0, downMm: 0 };
    layers.push({
      fromMm: z,
      toMm: z + layer.heightMm,
      crownUpMm: crown.upMm,
      crownDownMm: crown.downMm,
    });
    z += layer.heightMm;
    if (i >= tier.gaps.length) return;
    const settled = settledMm[i] ?? tier.gaps[i]!.heightMm;
    const room = settled + crown.upMm + (crowns[i + 1]?.downMm ?? 0);
    gaps.push({ fromMm: z, toMm: z + room, settledMm: settled });
    z += room;
    const deck = tier.stand.decks.find(({ afterLayer }) => afterLayer === i);
    if (!deck) return;
    decks.push({ afterLayer: i, fromMm: z, toMm: z + deck.card.thicknessMm });
    z += deck.card.thicknessMm;
  });
  const decksMm = decks.reduce((sum, deck) => sum + deck.toMm - deck.fromMm, 0);
  const topCrownMm = layers.at(-1)!.crownUpMm;
  const cakeMm = tier.layers.reduce((sum, layer) => sum + layer.heightMm, 0);
  const fillingMm = gaps.reduce((sum, gap) => sum + gap.toMm - gap.fromMm, 0);
  const spreadMm = tier.gaps.reduce((sum, gap) => sum + gap.heightMm, 0);
  const domesMm = layers.reduce((sum, l) => sum + l.crownUpMm + l.crownDownMm, 0);
  const stackMm = z + topCrownMm;
  const fondantMm = tier.fondant?.mm ?? 0;
  const finishedMm = stackMm + crumbMm + topMm + fondantMm;
  const lostMm = spreadMm + domesMm - topCrownMm - fillingMm;
  book.later((page) => {
    page.add(
      `${tier.id}/stack`,
      'Height of the stack, before its coat',
      stackMm,
      'span',
      `Dab, ${tier.layers.length} layers and ${tier.gaps.filter((gap) => !isBare(gap)).length} fillings as they settle, added up.`,
      [
        given('dab under the first layer', dabMm, 'thickness'),
        given('layers', cakeMm, 'span'),
        given('fillings as spread', spreadMm, 'span'),
        ...(lostMm > 0.05 ? [given('less what they settle', lostMm, 'thickness')] : []),
        ...(domesMm > 0 ? [given('domes left on', domesMm, 'thickness')] : []),
        ...(decksMm > 0 ? [given('boards half-way up', decksMm, 'thickness')] : []),
      ],
    );
    page.add(
      `${tier.id}/height`,
      'Finished height',
      finishedMm,
      'size',
      'The stack with the crumb coat and the coat on top, from the board up.',
      [
        from(`${tier.id}/stack`, 'stack', stackMm, 'span'),
        given('crumb coat on top', crumbMm, 'thickness'),
        given('coat on top', topMm, 'thickness'),
        ...(fondantMm > 0 ? [given('fondant', fondantMm, 'thickness')] : []),
      ],
    );
  });
  return {
    dabMm,
    layers,
    gaps,
    decks,
    stackMm,
    topCrownMm,
    crumbMm,
    coatTopMm: topMm,
    fondantMm,
    finishedMm,
    uncutMm: finishedMm,
    fillingShare: (fillingMm + betweenMm) / (cakeMm + fillingMm),
  };
}

/** The filling nearest to half-way up that has no board over it yet; null where each has one. */
export function halfWayGap({ gaps, decks, stackMm }: StackPlan): number | null {
  const taken = new Set(decks.map((deck) => deck.afterLayer));
  let best: number | null = null;
  const off = (i: number): number => Math.abs(gaps[i]!.toMm - stackMm / 2);
  gaps.forEach((_, i) => {
    if (!taken.has(i) && (best === null || off(i) < off(best))) best = i;
  });
  return best;
}
