import type { Tier } from '../document/types.ts';

/*
 * What a step goes by when it is about one of several things: those things themselves, never their
 * place in a list, so that a layer left out or turned round takes no tick to another one.
 */

/** Filling the gap over a layer, by the two layers it lies between. */
export const fillKey = (tier: Tier, gap: number): string =>
  `${tier.id}/fill/${tier.layers[gap]!.id}+${tier.layers[gap + 1]!.id}`;

/** Making a layer that is no sponge. */
export const otherKey = (tier: Tier, layer: number): string =>
  `${tier.id}/other/${tier.layers[layer]!.id}`;

/** Levelling and splitting a baked cake, by the lowest layer that is cut from it. */
export const cutKey = (tier: Tier, lowest: number): string =>
  `${tier.id}/cut/${tier.layers[lowest]!.id}`;
