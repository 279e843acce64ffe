/**
 * Customs of the trade for how high the tiers of a cake are (docs/model.md#designs): choices, not laws.
 * Layers to a tier and their height, mm.
 */
export interface Proportion {
  id: 'even steps' | 'short and wide' | 'tall' | 'one tall tier';
  layers: number;
  layerMm: number;
  /** The lowest tier is as high as those of a tall cake. */
  tallFoot: boolean;
  /** High enough that each tier is cut across first, two portions above each other. */
  halves: boolean;
}
export const proportions: readonly Proportion[] = [
  { id: 'even steps', layers: 4, layerMm: 20, tallFoot: false, halves: false },
  { id: 'short and wide', layers: 3, layerMm: 23, tallFoot: false, halves: false },
  { id: 'tall', layers: 6, layerMm: 21, tallFoot: false, halves: true },
  { id: 'one tall tier', layers: 4, layerMm: 20, tallFoot: true, halves: false },
];
export const tallTier = { layers: 6, layerMm: 21 } as const;
export type ProportionId = Proportion['id'];

/** Two tiers differ by at least so much across, mm: less is no step that the eye sees, and leaves no room for a border. */
export const leastStepMm = 40;
/** And by at most so much, or the upper one looks lost. */
export const mostStepMm = 130;
