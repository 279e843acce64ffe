import type { Tier } from '../document/types.ts';
import { cakesOf, spongeLayers } from '../tins/sponge-layers.ts';

/** Of one colour, or as it is mixed: empty; with pieces that are folded in, g. */
export interface ColouredBatter {
  tint: string;
  massG: number;
}

/**
 * The colour that a sponge layer comes out in: that of the cake it is cut from, which is what its lowest
 * layer says. Empty for batter as it is mixed, and for layers of another kind.
 */
export function bakedTint(tier: Tier, index: number): string {
  const cake = cakesOf(spongeLayers(tier), tier.slicesPerCake).find((some) => some.includes(index));
  return cake ? tier.layers[cake[0]!]!.tint.trim() : '';
}

/** Cakes whose layers are planned in several colours, as lists of layers by their place. */
export const mottledCakes = (tier: Tier): number[][] =>
  cakesOf(spongeLayers(tier), tier.slicesPerCake).filter(
    (some) => new Set(some.map((i) => tier.layers[i]!.tint.trim().toLowerCase())).size > 1,
  );

/** A colour on a layer, and on all that are cut from the same cake. The draft is changed in place. */
export function setBatterTint(tier: Tier, index: number, tint: string): void {
  const cake = cakesOf(spongeLayers(tier), tier.slicesPerCake).find((some) => some.includes(index));
  for (const i of cake ?? [index]) tier.layers[i]!.tint = tint;
}

/** Amounts of one colour added up, in the order they come; colours by their names alone. */
export function byTint(parts: readonly ColouredBatter[]): ColouredBatter[] {
  const sums = new Map<string, ColouredBatter>();
  for (const { tint, massG } of parts) {
    const key = tint.toLowerCase();
    const known = sums.get(key);
    if (known) known.massG += massG;
    else sums.set(key, { tint, massG });
  }
  return [...sums.values()];
}
