import { inRoom, shellTargets, type Mass } from '../heat/cooling.ts';
import { secondsUntil, shellReader } from '../heat/body.ts';
import { Remembered } from '../working/remembered.ts';
import type { Kitchen } from '../pantry/types.ts';

/** The depth a knife works in, and the warmest that crumb and filling still cut cleanly, mm and C. */
const workedMm = 20;
const softC = 14;

/**
 * Minutes that a cake chilled firm can be carved before it has to go back: until its outer 20 mm
 * have come from 8 °C to 14 °C on average (series of the heat model; the limit is an estimate).
 * Infinity in a kitchen that is no warmer.
 */
export function firmMin(mass: Mass, kitchen: Kitchen): number {
  const room = kitchen.roomC;
  if (room <= softC) return Infinity;
  return firm.of(JSON.stringify([mass, room, kitchen.roomW]), () => {
    const wanted = (room - softC) / (room - shellTargets['firm to carve']);
    return secondsUntil(shellReader(inRoom(mass, kitchen), workedMm), wanted) / 60;
  });
}
const firm = new Remembered<number>();
