import type { Sponge, Tin } from '../pantry/types.ts';
import { tinVolumeMl } from '../tins/volume.ts';

/** How full a tin is customarily filled: between half and two thirds. */
const fillShare = 0.6;

/** Batter that so many tins take, filled as is customary, g: what a recipe said by tins yields. */
export const batterForTins = (tin: Tin, count: number, sponge: Sponge): number =>
  count * tinVolumeMl(tin, tin.depthMm) * fillShare * sponge.batterDensityGPerMl;

/** What stays in the bowl of a recipe whose yield is not said, as a share (estimate). */
const leftShare = 0.02;

/** Yield of a recipe of which only the ingredients are known, g. */
export const usualYieldG = (ingredientsG: number): number => ingredientsG * (1 - leftShare);
