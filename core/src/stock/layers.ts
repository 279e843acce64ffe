import type { Tier } from '../document/types.ts';
import { fitsInside } from '../outline/outline.ts';
import type { Stock } from '../pantry/types.ts';
import { spongeLayers } from '../tins/sponge-layers.ts';

/** Layers that a tier takes of what was put away. */
export interface TakenLayers {
  row: Stock;
  count: number;
  /** They are larger than the cake, or thicker than its layers: cut to it, cold. */
  cutAcross: boolean;
  cutDown: boolean;
}

/** Layers are as high as they should be within this, mm. */
const alikeMm = 1;

/** What a tier takes of a row of layers; null where the row is no layers. */
export function takenLayers(tier: Tier, row: Stock): TakenLayers | null {
  if (!row.layer) return null;
  const own = spongeLayers(tier);
  const thinnest = Math.min(...own.map((i) => tier.layers[i]!.heightMm));
  return {
    row,
    count: own.length,
    cutAcross: !fitsInside(row.layer.outline, tier.outline),
    cutDown: row.layer.heightMm > thinnest + alikeMm,
  };
}

/** How layers that were put away fall short of what a tier is to be made of. */
export interface StockMisfit {
  /** They are of this other sponge. */
  otherSponge: boolean;
  /** They do not cover the cake. */
  tooSmall: boolean;
  /** So much thinner than the thickest layer, mm; 0 for thick enough. */
  thinnerMm: number;
}
export function misfitOf(tier: Tier, row: Stock): StockMisfit | null {
  if (!row.layer) return null;
  const thickest = Math.max(...spongeLayers(tier).map((i) => tier.layers[i]!.heightMm));
  const lacks = thickest - row.layer.heightMm;
  return {
    otherSponge: row.madeOfId !== tier.spongeId,
    tooSmall: !fitsInside(tier.outline, row.layer.outline),
    thinnerMm: lacks > alikeMm ? lacks : 0,
  };
}
/** Has a tier stacked from layers put away, of what they are made of; or baked again. Changes the tier. */
export function takeLayers(tier: Tier, row: Stock | null): void {
  tier.stockId = row?.id ?? null;
  if (row?.layer) tier.spongeId = row.madeOfId;
}
