import type { CoolPlace } from '@pyrgotect/core';

/** Where something cools, as one says it within a sentence. */
export const placeWords: Record<CoolPlace, string> = {
  bowl: 'in its bowl on the bench',
  tray: 'thin on a tray',
  'cold water': 'in its bowl in cold water',
  fridge: 'in the fridge',
  'tray in the fridge': 'thin on a tray in the fridge',
};
