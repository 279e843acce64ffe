import type { Tier } from './types.ts';

/** A board half-way up by the layer it lies over: it keeps its dowels' ticks when another is put in below it. */
export const deckKey = (tier: Tier, deck: number): string =>
  `${tier.id}/deck/${tier.layers[tier.stand.decks[deck]!.afterLayer]!.id}`;
