import type { Kitchen } from '../pantry/types.ts';

/** Opening of a round nozzle, mm2 (docs/model.md#bowls), and how much the rope swells. */
const roundSwell = 1.05;
const openingMm2 = (mm: number): number => (Math.PI * mm * mm) / 4;

/** A share of a bowl in the user's own measures; turns are null where nothing is piped round. */
export interface OwnMeasures {
  scoops: number;
  spoons: number;
  turns: number | null;
}

/**
 * Scoops, heaped spoons, and turns of the bag round the cake that a volume comes to.
 *
 * @param roundMm one mean turn: the rim for coats and dams, half of it for a spiral over a layer
 */
export function ownMeasures(ml: number, kitchen: Kitchen, roundMm: number | null): OwnMeasures {
  const ropeMm = (ml * 1000) / (openingMm2(kitchen.nozzleMm) * roundSwell);
  return {
    scoops: ml / kitchen.scoopMl,
    spoons: ml / kitchen.spoonMl,
    turns: roundMm === null ? null : ropeMm / roundMm,
  };
}
