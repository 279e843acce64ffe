import type { Tier } from '../build/types.ts';
import { thicknessOf } from '../coat/coat.ts';
import { areaMm2 } from '../outline/outline.ts';
import { FigureBook, from, given } from '../working/figures.ts';

/** Heights of a tier's parts above the board it stands on, mm, from the bottom up. */
export interface StackPlan {
  dabMm: number;
  layers: { fromMm: number; toMm: number }[];
  gaps: { fromMm: number; toMm: number }[];
  /** Dab, layers and gaps, without the coat. */
  stackMm: number;
  crumbMm: number;
  coatTopMm: number;
  finishedMm: number;
  /** Share of the stack that is filling. */
  fillingShare: number;
}

/**
 * Heights in one tier: dab, layers with their gaps, crumb coat and coat on top.
 * @param dabMl volume of the dab under the first layer, spread over the whole base
 */
export function planStack(tier: Tier, dabMl: number, book: FigureBook): StackPlan {
  const dabMm = (dabMl * 1000) / areaMm2(tier.outline);
  const { crumbMm, topMm } = thicknessOf(tier);
  const layers: StackPlan['layers'] = [];
  const gaps: StackPlan['gaps'] = [];
  let z = dabMm;
  tier.layers.forEach((layer, i) => {
    layers.push({ fromMm: z, toMm: z + layer.heightMm });
    z += layer.heightMm;
    const gap = tier.gaps[i];
    if (!gap) return;
    gaps.push({ fromMm: z, toMm: z + gap.heightMm });
    z += gap.heightMm;
  });
  const cakeMm = tier.layers.reduce((sum, layer) => sum + layer.heightMm, 0);
  const fillingMm = tier.gaps.reduce((sum, gap) => sum + gap.heightMm, 0);
  const finishedMm = z + crumbMm + topMm;
  book.add(
    `${tier.id}/stack`,
    'Height of the stack, before its coat',
    z,
    'span',
    `Dab, ${tier.layers.length} layers and ${tier.gaps.length} fillings, added up.`,
    [
      given('dab under the first layer', dabMm, 'thickness'),
      given('layers', cakeMm, 'span'),
      given('fillings', fillingMm, 'span'),
    ],
  );
  book.add(
    `${tier.id}/height`,
    'Finished height',
    finishedMm,
    'size',
    'The stack with the crumb coat and the coat on top, from the board up.',
    [
      from(`${tier.id}/stack`, 'stack', z, 'span'),
      given('crumb coat on top', crumbMm, 'thickness'),
      given('coat on top', topMm, 'thickness'),
    ],
  );
  return {
    dabMm,
    layers,
    gaps,
    stackMm: z,
    crumbMm,
    coatTopMm: topMm,
    finishedMm,
    fillingShare: fillingMm / (cakeMm + fillingMm),
  };
}
