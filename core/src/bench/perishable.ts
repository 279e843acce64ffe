import type { Spread } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';

const coldClasses = [
  'yolk buttercream, cream cheese',
  'whipped cream',
  'stabilised cream',
  'curd',
  'compote',
];
export const isPerishable = (spread: Spread): boolean => coldClasses.includes(spread.keeping);

/** The caution of a spread that does not keep out of the cold; none for others. */
export const perishable = (spread: Spread) =>
  isPerishable(spread)
    ? [
        phrase(
          `${spread.name} is perishable: no more than 2 h out of the cold in all, 1 h above {warm}. Usual guidance; your local food code decides.`,
          { warm: [32, 'temperature'] },
        ),
      ]
    : [];
