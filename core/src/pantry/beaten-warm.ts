import type { Food } from './types.ts';

/** Solid fat as butter is, and eggs: cold from the fridge they make a batter grainy and split a buttercream. */
export const isBeatenWarm = ({ fatShare, waterShare, allergens }: Food): boolean =>
  (fatShare >= 0.6 && waterShare >= 0.08 && waterShare <= 0.25) ||
  (allergens.includes('eggs') && waterShare >= 0.4);
