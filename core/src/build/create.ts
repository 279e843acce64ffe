import type { Outline } from '../outline/outline.ts';
import type { Brief, Build, Coat, Gap, Layer, PipingJob, Tier } from './types.ts';

/** A brief with nothing decided but what a usual order has. */
export const newBrief = (): Brief => ({
  occasion: '',
  place: '',
  servings: 40,
  portion: 'dessert',
  cutting: 'grid',
  halves: false,
  look: 'smooth',
  serveAt: null,
  keepOut: [],
  diets: [],
  kitchenC: null,
  venueC: null,
  notes: '',
});

/** A layer of the tier's own sponge, not yet measured. */
export const newLayer = (heightMm: number): Layer => ({
  heightMm,
  otherId: null,
  inset: null,
  between: null,
  soak: null,
  rimMm: [],
  turnSteps: null,
  flipped: false,
});

/** A plain gap, filled to the edge. */
export const newGap = (heightMm: number, spreadId: string): Gap => ({
  heightMm,
  spreadId,
  damMm: 0,
  setbackMm: 0,
  pieces: null,
  drizzle: null,
});

/** What a tier has besides its layers until something is decided about it. */
export const tierDefaults = (): Pick<
  Tier,
  | 'bowl'
  | 'soak'
  | 'trim'
  | 'centre'
  | 'ovenC'
  | 'temps'
  | 'stackedAt'
  | 'restG'
  | 'asBaked'
  | 'fondant'
  | 'pressed'
> => ({
  bowl: null,
  soak: 'none',
  trim: { bottomMm: 0, sideMm: 0, topMm: 0 },
  centre: null,
  ovenC: null,
  temps: [],
  stackedAt: 'room',
  restG: 0,
  asBaked: [],
  fondant: null,
  pressed: null,
});

/** A coat of one frosting and one colour, as its style has it. */
export const newCoat = (spreadId: string): Coat => ({
  style: 'smooth',
  spreadId,
  innerSpreadId: null,
  topSpreadId: null,
  tint: '',
  bands: [],
  blended: false,
  crumbMm: null,
  sideMm: null,
  topMm: null,
  cover: null,
  comb: null,
  rimMm: 0,
});

/** Something to pipe, of the coat's own frosting. */
export const newPiping = (id: string, massG: number): PipingJob => ({
  id,
  name: 'piping',
  spreadId: null,
  tint: '',
  massG,
  pieces: 0,
  lineMm: 0,
});

/** What a build has besides its tiers until something is decided about it. */
export const buildDefaults = (): Pick<
  Build,
  'boardCoverMm' | 'piping' | 'reserveShare' | 'shortShare' | 'batchBy' | 'apart' | 'mixedApart'
> => ({
  boardCoverMm: 0,
  piping: [],
  reserveShare: 0.03,
  shortShare: 0.05,
  batchBy: 'grams',
  apart: [],
  mixedApart: [],
});

/** A tier of equal layers and equal fillings. */
export function newTier(
  id: string,
  outline: Outline,
  tinId: string,
  layers: number,
  layerMm: number,
): Tier {
  return {
    id,
    name: 'Cake',
    outline: { ...outline },
    spongeId: 'butter',
    tinId,
    slicesPerCake: 2,
    levelling: 'cut all, top inverted',
    layers: Array.from({ length: layers }, () => newLayer(layerMm)),
    gaps: Array.from({ length: layers - 1 }, () => newGap(7, 'buttercream')),
    inclusion: null,
    coat: newCoat('buttercream'),
    ...tierDefaults(),
  };
}

/** A new build with one tier, 20 cm round. Ids and times come from the caller: core has no clock. */
export function newBuild(id: string, name: string, createdAt: string): Build {
  return {
    id,
    name,
    createdAt,
    brief: newBrief(),
    tiers: [newTier('tier-1', { kind: 'round', diameterMm: 200 }, 'round-20', 4, 25)],
    boardId: 'drum-round-28',
    ...buildDefaults(),
    bench: { stepKey: null, done: [], checks: [], notes: [], timers: [] },
  };
}
