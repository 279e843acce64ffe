import letterUrl from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url';
import {
  drawPicture,
  planCake,
  type Build,
  type CakePicture,
  type CarveResult,
  type Corrections,
  type Pantry,
} from '@pyrgotect/core';
import { expose } from 'comlink';
import { letters } from '../picture/sheet.ts';
import { StillRoom, type StillAsked } from '../picture/still-room.ts';

/* Pictures are drawn here, away from the page, which goes on meanwhile. */

/** What a cake is planned from. */
export interface CakeAsked {
  build: Build;
  pantry: Pantry;
  carvings: readonly CarveResult[];
  corrections: Corrections;
}

let room: StillRoom | null = null;
const theRoom = (): StillRoom => (room ??= new StillRoom(new OffscreenCanvas(1, 1)));
let lettered: Promise<unknown> | null = null;

/** Words are written in the page's letters; where they do not come, in the machine's. */
async function letter(): Promise<void> {
  const fonts = (globalThis as unknown as { fonts?: FontFaceSet }).fonts;
  if (!fonts) return;
  const face = new FontFace(letters.split(',')[0]!, `url(${letterUrl})`, { weight: '200 800' });
  fonts.add(face);
  await face.load();
}

const pictures = {
  /** Whether the browser has WebGL in its workers. */
  draws(): boolean {
    try {
      return theRoom() !== null;
    } catch {
      return false;
    }
  },
  /** The picture of a cake, as data. */
  cake({ build, pantry, carvings, corrections }: CakeAsked): CakePicture {
    const known = new Map(carvings.map((result) => [result.key, result]));
    return drawPicture(build, planCake(build, pantry, (key) => known.get(key), corrections), pantry); // prettier-ignore
  },
  /** A picture drawn as an image. @throws when the browser has no WebGL in its workers */
  async still(asked: StillAsked): Promise<Blob> {
    if (asked.picture.words.length > 0) await (lettered ??= letter().catch(() => undefined));
    return theRoom().still(asked);
  },
};
export type Pictures = typeof pictures;
expose(pictures);
