import type { Build, Corrections, Pantry, ShapePlan } from '@pyrgotect/core';
import { carvedMeshes } from '../picture/carved-meshes.ts';
import { stillAside } from '../picture/still.ts';
import type { Colours } from '../styles/palette.ts';
import { askPictures } from '../workers/pictures.ts';

/* The pictures on the cards: one after another, in a worker, when the page has nothing better to do. */

/** What a card's picture is drawn from. */
export interface CardAsked {
  build: Build;
  plan: ShapePlan;
  corrections: Corrections;
  pantry: Pantry;
  colours: Colours;
}

/** Pixels: twice as fine as the card shows it. */
const size = { wide: 560, high: 300 };

/** A short text that is another one for nearly every other text (FNV-1a, twice). */
export function stampOf(text: string): string {
  let [a, b] = [0x811c9dc5, 0x01000193];
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    a = Math.imul(a ^ code, 0x01000193);
    b = Math.imul(b ^ code, 0x85ebca6b);
  }
  return `${(a >>> 0).toString(36)}${(b >>> 0).toString(36)}`;
}
const pantries = new WeakMap<Pantry, string>();
function pantryStamp(pantry: Pantry): string {
  const known = pantries.get(pantry) ?? stampOf(JSON.stringify(pantry));
  pantries.set(pantry, known);
  return known;
}
/** Stamp of all that is seen in a cake's picture: a tick at the bench leaves it, another release does not. */
export const cardStamp = ({ build, corrections, pantry }: CardAsked, scheme: string): string =>
  stampOf(
    JSON.stringify([
      import.meta.env.VITE_VERSION,
      { ...build, bench: null },
      corrections,
      pantryStamp(pantry),
      scheme,
    ]),
  );

const idle = (): Promise<void> =>
  new Promise((done) => {
    if (typeof requestIdleCallback === 'function')
      requestIdleCallback(() => done(), { timeout: 2000 });
    else setTimeout(done, 50);
  });

/** Whether the browser draws pictures in a worker. */
export const drawsAside = (): Promise<boolean> => askPictures((pictures) => pictures.draws());

let last: Promise<unknown> = Promise.resolve();
/**
 * Draws a card's picture in its turn; null where nobody waits for it any more when that comes.
 *
 * @throws where the cake cannot be planned, or the worker gives no answer
 */
export function drawCard(asked: CardAsked, isWanted: () => boolean): Promise<Blob | null> {
  const mine = last.then(async () => {
    await idle();
    if (!isWanted()) return null;
    const { build, plan, corrections, pantry, colours } = asked;
    const carvings = plan.tiers.flatMap(({ carve }) => carve?.result ?? []);
    const picture = await askPictures((pictures) =>
      pictures.cake({ build, pantry, carvings, corrections }),
    );
    const { meshes } = await carvedMeshes(build, pantry, picture, { isOpen: false });
    return stillAside({ picture, carved: meshes, colours, ...size });
  });
  last = mine.catch(() => undefined);
  return mine;
}
