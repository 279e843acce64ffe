import type { Tier } from '../document/types.ts';

/** Layers of the tier's own sponge, by index, from the bottom up. */
export const spongeLayers = (tier: Tier): number[] =>
  tier.layers.flatMap((layer, i) => (layer.otherId === null ? [i] : []));

/** Which sponge layers come from which cake: as they are stacked, `perCake` at a time. */
export function cakesOf(layers: readonly number[], perCake: number): number[][] {
  const cakes: number[][] = [];
  for (let i = 0; i < layers.length; i += perCake) cakes.push(layers.slice(i, i + perCake));
  return cakes;
}
