import { bowlMinutes, minutesTo } from '../heat/cool-bowl.ts';
import { capacityOfGanache, type GanacheMade } from './composer.ts';

/** Where a bowl stands to cool, with its coefficient in W/m2K (estimates). */
export const coolingPlaces = {
  room: { tempC: 21, surfaceW: 9 },
  fridge: { tempC: 4, surfaceW: 7 },
  'cold bath': { tempC: 12, surfaceW: 120 },
} as const;
export type CoolingPlace = keyof typeof coolingPlaces;

/**
 * When a stirred bowl of ganache comes into its working window and how long it stays there, min; the
 * heat of setting is left out, so it is a little longer in truth. Null where it never gets there.
 */
export function workingWindow(
  made: GanacheMade,
  fromC: number,
  [lowC, highC]: readonly [number, number],
  place: CoolingPlace,
  roomC: number = coolingPlaces.room.tempC,
): { readyMin: number; staysMin: number | null } | null {
  const around = { ...coolingPlaces[place], ...(place === 'room' ? { tempC: roomC } : {}) };
  const tau = bowlMinutes(made.massG, 1.15, capacityOfGanache(made), around.surfaceW);
  const readyMin = fromC <= highC ? 0 : minutesTo(fromC, highC, around, tau);
  if (readyMin === null || fromC < lowC) return null;
  // once it is right it is worked in the room, wherever it was cooled
  const room = { ...coolingPlaces.room, tempC: roomC };
  const slow = bowlMinutes(made.massG, 1.15, capacityOfGanache(made), room.surfaceW);
  return { readyMin, staysMin: minutesTo(Math.min(fromC, highC), lowC, room, slow) };
}
