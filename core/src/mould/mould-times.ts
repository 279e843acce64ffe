import { freezeThroughMin, thawThroughMin } from '../heat/freeze.ts';
import type { Mass } from '../heat/cooling.ts';
import type { Kitchen } from '../pantry/types.ts';
import { Remembered } from '../working/remembered.ts';

/** How long a tier sets in its mould, and thaws again once it is out of it; 0 where it is not frozen. Min. */
export interface MouldTimes {
  setMin: number;
  thawMin: number;
}

/** A cream with gelatine sets so long, min: up to a finger thick, and thicker (trade custom: 4 h, overnight). */
const setting = { thin: 240, thick: 480, thickMm: 30 };
export const settingMin = (thickMm: number): number =>
  thickMm > setting.thickMm ? setting.thick : setting.thin;

/** Where the freezer or the fridge does not do it, min (trade custom: overnight). */
const overnightMin = 12 * 60;
/** Water in a set cream and in sponge, of their mass (estimates). */
const water = { cream: 0.6, sponge: 0.35 };
const kept = new Remembered<number>();
const upTo = (minutes: number, by: number): number => Math.ceil(minutes / by) * by;

/**
 * Set or frozen through, then thawed in the fridge.
 *
 * @param creamShare of its mass, what is set cream; @param thickMm its thickest cream, mm
 */
export function mouldTimes(
  mass: Mass,
  setIn: 'fridge' | 'freezer',
  creamShare: number,
  thickMm: number,
  kitchen: Kitchen,
): MouldTimes {
  if (setIn === 'fridge') return { setMin: settingMin(thickMm), thawMin: 0 };
  const share = Math.round((water.sponge + (water.cream - water.sponge) * creamShare) * 50) / 50;
  const { freezerC, freezerW, fridgeC, fridgeW, roomC } = kitchen;
  const of = (what: string, sum: () => number | null): number =>
    kept.of(JSON.stringify([what, mass, share, freezerC, freezerW, fridgeC, fridgeW, roomC]), () =>
      upTo(sum() ?? overnightMin, 15),
    );
  return {
    setMin: of('freeze', () => freezeThroughMin(mass, share, roomC, kitchen)),
    thawMin: of('thaw', () => thawThroughMin(mass, share, kitchen)),
  };
}
