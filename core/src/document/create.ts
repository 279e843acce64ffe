import { usualOf } from '../fields/usual.ts';
import type { Outline } from '../outline/outline.ts';
import type { DaySettings } from '../day/types.ts';
import type { Card, Dowels, Journey, Standing } from '../support/types.ts';
import { bench, brief, build, order, pipingJob } from './build-fields.ts';
import { daySettings } from './day-fields.ts';
import { drip, onSide, piped, pour, topping } from './finish-fields.ts';
import type { Drip, OnSide, Piped, Pour, Topping } from './finish-types.ts';
import { freshId } from './fresh-id.ts';
import { card, dowels, journey, standing } from './support-fields.ts';
import { coat, gap, gapPieces, inclusion, layer, surface, tier } from './tier-fields.ts';
import type {
  Bench,
  Brief,
  Build,
  Coat,
  Gap,
  Inclusion,
  Layer,
  Order,
  Pieces,
  PipingJob,
  Surface,
  SurfaceWay,
  Tier,
} from './types.ts';

/* What is made anew: as the descriptions of its fields say it usually is, and what is given. */

/** A brief with nothing decided but what a usual order has. */
export const newBrief = (): Brief => usualOf(brief);

/** A layer of the tier's own sponge, not yet measured. */
export const newLayer = (heightMm: number, id = freshId('layer')): Layer =>
  usualOf(layer, { id, heightMm });

/** How thick a filling is until somebody says, mm (trade custom). */
export const usualGapMm = 7;
/** A plain gap, filled to the edge. */
export const newGap = (heightMm: number, spreadId: string): Gap =>
  usualOf(gap, { heightMm, spreadId });

/** Pieces of fruit in a filling, until somebody says which. */
export const newPieces = (id = freshId('pieces')): Pieces => usualOf(gapPieces, { id });

/** A tier straight on what is below it. */
export const newStanding = (): Standing => usualOf(standing);
/** The solid card most tiers stand on. */
export const usualCard = (): Card => usualOf(card);
/** As many as the load asks for, on the computed ring. */
export const newDowels = (dowelId?: string): Dowels => usualOf(dowels, dowelId ? { dowelId } : {});
/** Half an hour in a cool car, put together at home. */
export const newJourney = (): Journey => usualOf(journey);

/** One person, evenings in the week and the days of the weekend. */
export const newDay = (): DaySettings => usualOf(daySettings);

/** A coat of one frosting and one colour, as its style has it. */
export const newCoat = (spreadId: string): Coat => usualOf(coat, { spreadId });

/** Something to pipe, of the coat's own frosting. */
export const newPiping = (id: string, massG: number): PipingJob =>
  usualOf(pipingJob, { id, massG });

/** Drips as most are: a third of a usual side, all alike, from the equal-parts dark ganache. */
export const newDrip = (ganacheId: string): Drip => usualOf(drip, { ganacheId });

/** A pour at the temperature at which most are done. */
export const newPour = (ganacheId: string): Pour => usualOf(pour, { ganacheId });

/** A shell border round the foot of a tier. */
export const newPiped = (tierId: string): Piped => usualOf(piped, { tierId });

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
export const newSurface = (id: string, way: SurfaceWay): Surface =>
  usualOf(surface, { id, way, ...usualSurfaces[way] });

/** Chopped pieces folded into the batter, until somebody says which. */
export const newInclusion = (id: string): Inclusion => usualOf(inclusion, { id });

/** A dozen berries round the rim. */
export const newTopping = (id: string): Topping => usualOf(topping, { id });

/** Evenly round a side, pressed into its coat. */
export const newOnSide = (given: Partial<OnSide> = {}): OnSide => usualOf(onSide, given);

/** A tier of equal layers and equal fillings. */
export const newTier = (
  id: string,
  outline: Outline,
  tinId: string,
  layers: number,
  layerMm: number,
): Tier =>
  usualOf(tier, {
    id,
    outline: { ...outline },
    tinId,
    layers: Array.from({ length: layers }, (_, i) => newLayer(layerMm, `layer-${i + 1}`)),
    gaps: Array.from({ length: layers - 1 }, () => newGap(usualGapMm, 'buttercream')),
    coat: newCoat('buttercream'),
  });

/** An order of which nothing is known. */
export const newOrder = (): Order => usualOf(order);

/** A bench on which nothing has happened. */
export const newBench = (): Bench => usualOf(bench);

/** A new build with one tier, 20 cm round. Ids and times come from the caller: core has no clock. */
export const newBuild = (id: string, name: string, createdAt: string): Build =>
  usualOf(build, {
    id,
    name,
    createdAt,
    tiers: [newTier('tier-1', { kind: 'round', diameterMm: 200 }, 'round-20', 4, 25)],
  });
