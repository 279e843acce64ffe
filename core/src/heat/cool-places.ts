import type { CoolPlace, Kitchen } from '../pantry/types.ts';
import { bowlMinutes, minutesTo, type BowlSurroundings } from './cool-bowl.ts';

/** What cools: how much, how dense, and its heat capacity in kJ/kgK. */
export interface Cooling {
  massG: number;
  densityGPerMl: number;
  capacityKJ: number;
}

/** Spread on a tray, mm; the tray's own face lets a fifth as much through as the open one (estimates). */
export const trayMm = 5;
const trayFaces = 1.2;
/** Cold water about the bowl, changed once or with a little ice in it, C and W/m2K (estimates). */
const coldWater: BowlSurroundings = { tempC: 12, surfaceW: 40 };
/** A warm bowl warms the air of its shelf by so much, K (estimate). */
const shelfWarmsK = 3;
/** Nearer than this to what is round it nothing comes in a time worth waiting for, K. */
const nearestK = 0.8;

type Places = Pick<Kitchen, 'roomC' | 'fridgeC' | 'roomW' | 'fridgeW'>;

/** What is round something that waits in a place: its temperature and how fast it takes heat. */
export const surroundingsOf = (place: CoolPlace, kitchen: Places): BowlSurroundings => {
  switch (place) {
    case 'bowl':
    case 'tray':
      return { tempC: kitchen.roomC, surfaceW: kitchen.roomW };
    case 'cold water':
      return { ...coldWater, tempC: Math.min(coldWater.tempC, kitchen.roomC) };
    case 'fridge':
      return { tempC: kitchen.fridgeC + shelfWarmsK, surfaceW: kitchen.fridgeW };
    case 'tray in the fridge':
      return { tempC: kitchen.fridgeC, surfaceW: kitchen.fridgeW };
  }
};

/** Time constant of a layer on a tray, min. */
const trayMinutes = ({ densityGPerMl, capacityKJ }: Cooling, surfaceW: number): number =>
  (trayMm * densityGPerMl * capacityKJ * 1000) / (surfaceW * trayFaces) / 60;

/**
 * Minutes until what was hot has cooled in some place, stirred now and then
 * (docs/model.md#holds): a bowl as half a ball, a tray as a layer of 5 mm whatever it weighs.
 * Null where it never comes that far.
 *
 * @param fromC at first; @param toC wanted, C
 */
export function coolingMin(
  what: Cooling,
  fromC: number,
  toC: number,
  place: CoolPlace,
  kitchen: Places,
): number | null {
  if (fromC <= toC) return 0;
  const around = surroundingsOf(place, kitchen);
  if (toC < around.tempC + nearestK) return null;
  const onTray = place === 'tray' || place === 'tray in the fridge';
  const tauMin = onTray
    ? trayMinutes(what, around.surfaceW)
    : bowlMinutes(what.massG, what.densityGPerMl, what.capacityKJ, around.surfaceW);
  return minutesTo(fromC, toC, around, tauMin);
}

/** Heat capacity of what is baked thin, kJ/kgK (estimate). */
const thinCapacityKJ = 2;

/**
 * Minutes until a thin baked layer has cooled on a rack, both faces open, as one lump
 * (docs/model.md#holds). Null where the room is too warm for it.
 */
export function layerCoolMin(
  thickMm: number,
  densityGPerMl: number,
  fromC: number,
  toC: number,
  kitchen: Places,
): number | null {
  const around = surroundingsOf('tray', kitchen);
  const to = Math.max(toC, around.tempC + 2);
  const tauMin = (thickMm * densityGPerMl * thinCapacityKJ * 1000) / (around.surfaceW * 2) / 60;
  return fromC <= to ? 0 : minutesTo(fromC, to, around, tauMin);
}

/** Depth that what cools takes on a shelf, mm: a bowl as wide as high, or a tray. */
export const shelfHighMm = (what: Cooling, place: CoolPlace): number => {
  if (place === 'tray in the fridge' || place === 'tray') return 50;
  const radius = Math.cbrt((3 * what.massG * 1000) / (what.densityGPerMl * 2 * Math.PI));
  return Math.round(radius + 40);
};
