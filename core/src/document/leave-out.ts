import { keepGapsBelowCake } from './edit.ts';
import type { Tier } from './types.ts';

/** True where a tier stands without this layer: not its last one, and not one that a centre or a board needs. */
export const mayLeaveOut = (tier: Tier, index: number): boolean =>
  tier.layers.length > 1 &&
  index >= 0 &&
  index < tier.layers.length &&
  !(tier.centre && index >= tier.centre.fromLayer && index <= tier.centre.toLayer);

/**
 * Takes a layer out of a tier with the filling under it (over it, for the lowest). Boards half-way up
 * stay over the layer they were over, and fillings below the height of the cake. Changes the tier it is given.
 *
 * @throws RangeError where the tier cannot do without it
 */
export function leaveOutLayer(tier: Tier, index: number): void {
  if (!mayLeaveOut(tier, index)) throw new RangeError(`layer ${index + 1} cannot be left out`);
  tier.layers.splice(index, 1);
  tier.gaps.splice(Math.max(0, index - 1), 1);
  if (tier.centre && tier.centre.fromLayer > index) {
    tier.centre.fromLayer--;
    tier.centre.toLayer--;
  }
  tier.stand.decks = tier.stand.decks
    .map((deck) => (deck.afterLayer >= index ? { ...deck, afterLayer: deck.afterLayer - 1 } : deck))
    .filter(
      ({ afterLayer }, i, all) =>
        afterLayer >= 0 &&
        afterLayer < tier.layers.length - 1 &&
        all.findIndex((one) => one.afterLayer === afterLayer) === i,
    );
  keepGapsBelowCake(tier);
}
