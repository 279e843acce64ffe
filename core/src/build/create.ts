import type { Outline } from '../outline/outline.ts';
import type { Brief, Build, Tier } from './types.ts';

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
    layers: Array.from({ length: layers }, () => ({ heightMm: layerMm })),
    gaps: Array.from({ length: layers - 1 }, () => ({
      heightMm: 7,
      spreadId: 'buttercream',
      damMm: 0,
    })),
    inclusion: null,
    coat: { style: 'smooth', spreadId: 'buttercream', crumbMm: null, sideMm: null, topMm: null },
    bowl: null,
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
