import { fieldWords } from '@pyrgotect/core';

const most = 3;

/** The fields that two devices changed alike, in words; empty where it is the whole. */
export function placesText(places: readonly string[]): string {
  const words = places.filter(Boolean).map((place) => fieldWords(place));
  const more = words.length - most;
  return words.slice(0, most).join('; ') + (more > 0 ? `; ${more} more` : '');
}

/** What is said of a cake that two devices changed alike while they were apart. */
export const metText = ({ from, places }: { from: string; places: readonly string[] }): string =>
  `${from} and this device had both changed ${placesText(places) || 'this cake'}. This device’s stands; the other is among the earlier versions.`;
