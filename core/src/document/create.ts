import type { Outline } from '../outline/outline.ts';
import type { DaySettings } from '../day/types.ts';
import type { Card, Dowels, Journey, Standing } from '../support/types.ts';
import { usualDrip } from '../drip/flow.ts';
import { freshId } from './fresh-id.ts';
import type { Drip, Piped, Pour, Topping } from './finish-types.ts';
import type {
  Bench,
  Brief,
  Build,
  Coat,
  Gap,
  Layer,
  PipingJob,
  Surface,
  SurfaceWay,
  Tier,
} from './types.ts';

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
export const newLayer = (heightMm: number, id = freshId('layer')): Layer => ({
  id,
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

/** A tier straight on what is below it. */
export const newStanding = (): Standing => ({
  card: null,
  offsetMm: [0, 0],
  postMm: 0,
  dowels: null,
  decks: [],
});
/** The solid card most tiers stand on. */
export const usualCard = (): Card => ({ material: 'card', thicknessMm: 3 });
/** As many as the load asks for, on the computed ring. */
export const newDowels = (dowelId = 'rod-6'): Dowels => ({
  dowelId,
  count: null,
  spots: [],
  cut: 'longest',
});
/** Half an hour in a cool car, put together at home. */
export const newJourney = (): Journey => ({
  byRoad: true,
  minutes: 30,
  carC: 18,
  stackAt: 'home',
  chilled: true,
  boxed: true,
  mat: true,
  days: 2,
});

/** One person, evenings in the week and the days of the weekend. */
export const newDay = (): DaySettings => ({
  people: 1,
  hours: Array.from({ length: 7 }, (_, i) =>
    i < 5 ? { from: 18 * 60, to: 22 * 60 } : { from: 9 * 60, to: 20 * 60 },
  ),
  fridgeMm: 900,
  freezerMm: 0,
  chillIn: 'fridge',
  cooling: [],
  spareMin: 30,
  own: [],
  minutes: [],
  pinned: [],
  together: [],
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
  | 'surfaces'
  | 'stockId'
  | 'drip'
  | 'pour'
  | 'toppings'
  | 'torched'
  | 'carving'
  | 'stand'
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
  surfaces: [],
  stockId: null,
  drip: null,
  pour: null,
  toppings: [],
  torched: false,
  carving: null,
  stand: newStanding(),
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
  piped: null,
});

/** Drips as most are: a third of a usual side, all alike, from the equal-parts dark ganache. */
export const newDrip = (ganacheId: string): Drip => ({
  ganacheId,
  ratio: null,
  fluidC: 32,
  coatC: 5,
  widthMm: usualDrip.widthMm,
  feedS: usualDrip.feedS,
  pattern: 'random',
  spacingMm: 20,
  lengthMm: 40,
  spreadMm: 14,
  seed: 1,
  curveMm: [],
  floodMm: 2.5,
  tool: 'bottle',
  squeezeG: null,
});

/** A pour at the temperature at which most are done. */
export const newPour = (ganacheId: string): Pour => ({
  ganacheId,
  ratio: null,
  fluidC: 31,
  coatC: 5,
  studded: null,
});

/** A shell border round the foot of a tier. */
export const newPiped = (tierId: string): Piped => ({
  tierId,
  form: 'shell',
  nozzle: 'open star',
  wideMm: 8,
  where: 'foot',
  upMm: 30,
  insetMm: 0,
  odd: false,
  count: null,
  radiusMm: 15,
  text: '',
  letterMm: 25,
  lengthMm: 500,
  weighedG: null,
});

/** How something is put on a surface until somebody weighs it: g to the square centimetre, coats, minutes to dry. */
const usualSurfaces: Record<
  SurfaceWay,
  Pick<Surface, 'name' | 'foodId' | 'gPerCm2' | 'coats' | 'dryMin'>
> = {
  glaze: { name: 'jam, warmed', foodId: 'jam', gPerCm2: 0.06, coats: 1, dryMin: 20 },
  paint: { name: 'colour gel', foodId: 'colour-gel', gPerCm2: 0.004, coats: 2, dryMin: 30 },
  dust: { name: 'cocoa powder', foodId: 'cocoa', gPerCm2: 0.003, coats: 1, dryMin: 0 },
  spray: { name: 'cocoa butter', foodId: 'cocoa-butter', gPerCm2: 0.012, coats: 2, dryMin: 10 },
};
/** Something on the surface as it is usually put on (estimates). */
export const newSurface = (id: string, way: SurfaceWay): Surface => ({
  id,
  way,
  ...usualSurfaces[way],
  tint: '',
  where: 'all over',
  allergens: [],
});

/** A dozen berries round the rim. */
export const newTopping = (id: string): Topping => ({
  id,
  name: 'raspberries',
  kind: 'pieces',
  tone: 'berry',
  foodId: 'raspberries',
  eaten: true,
  ganacheId: null,
  pieceG: 4,
  acrossMm: 20,
  highMm: 20,
  arrangement: 'round',
  count: 13,
  odd: true,
  linkedTo: null,
  every: 1,
  clusterOf: 3,
  share: 0.4,
  insetMm: 10,
  seed: 1,
  shift: 0,
  spots: [],
  pick: 'none',
  last: true,
  crisp: null,
  tray: null,
  packing: 0.6,
  densityGPerMl: 1,
  lengthMm: 600,
  allergens: [],
});

/** What a build has besides its tiers until something is decided about it. */
export const buildDefaults = (): Pick<
  Build,
  | 'boardCoverMm'
  | 'rod'
  | 'journey'
  | 'day'
  | 'piping'
  | 'reserveShare'
  | 'shortShare'
  | 'batchBy'
  | 'apart'
  | 'mixedApart'
  | 'fromStock'
> => ({
  boardCoverMm: 0,
  rod: null,
  journey: newJourney(),
  day: newDay(),
  piping: [],
  reserveShare: 0.03,
  shortShare: 0.05,
  batchBy: 'grams',
  apart: [],
  mixedApart: [],
  fromStock: [],
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
    layers: Array.from({ length: layers }, (_, i) => newLayer(layerMm, `layer-${i + 1}`)),
    gaps: Array.from({ length: layers - 1 }, () => newGap(7, 'buttercream')),
    inclusion: null,
    coat: newCoat('buttercream'),
    ...tierDefaults(),
  };
}

/** A bench on which nothing has happened. */
export const newBench = (): Bench => ({
  stepKey: null,
  done: [],
  checks: [],
  notes: [],
  timers: [],
  finished: null,
});

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
    bench: newBench(),
  };
}
