import type { Outline } from '../outline/outline.ts';
import type { Brief, Build, Gap, Layer, Tier } from './types.ts';

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
  'bowl' | 'soak' | 'trim' | 'centre' | 'ovenC' | 'temps' | 'stackedAt' | 'restG' | 'asBaked'
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
    coat: { style: 'smooth', spreadId: 'buttercream', crumbMm: null, sideMm: null, topMm: null },
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
    pipingG: 0,
    reserveShare: 0.08,
    bench: { stepKey: null, done: [], checks: [], notes: [], timers: [] },
  };
}
