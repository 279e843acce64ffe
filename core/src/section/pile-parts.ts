import type { Layer } from '../document/types.ts';
import { pileHeight, type OtherPlan } from '../others/other-layers.ts';

/** One stripe of a pile, mm up from the foot of its layer: what is spread there, or the seam of two that lie bare on each other. */
export interface PileStripe {
  fromMm: number;
  toMm: number;
  isFilled: boolean;
}

/** Two bare pieces show their seam so thick, mm. */
const seamMm = 0.25;

/**
 * What lies between the pieces of a pile, one by one: as many stripes as it has seams, true to scale
 * where it makes up its height, and squeezed or stretched with it where it does not quite.
 */
export function pileStripes(
  { heightMm, between }: Pick<Layer, 'heightMm' | 'between'>,
  { count, row }: Pick<OtherPlan, 'count' | 'row'>,
): PileStripe[] {
  if (count < 2) return [];
  const fillMm = between?.heightMm ?? 0;
  const scale = heightMm / pileHeight(count, row.thicknessMm, fillMm);
  const stepMm = (row.thicknessMm + fillMm) * scale;
  const isFilled = fillMm > 0;
  return Array.from({ length: count - 1 }, (_, i) => {
    const fromMm = i * stepMm + row.thicknessMm * scale;
    const wide = isFilled ? fillMm * scale : seamMm;
    return { fromMm, toMm: fromMm + wide, isFilled };
  });
}
