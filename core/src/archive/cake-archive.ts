import { strFromU8, strToU8, zipSync } from 'fflate';
import { maxFileLength } from '../document/limits.ts';
import { unpack } from './unpack.ts';

/** A photo of a cake, with the id by which the build names it. */
export interface Picture {
  id: string;
  /** A JPEG. */
  bytes: Uint8Array;
}
export type CakeArchive =
  { ok: true; text: string; pictures: Picture[] } | { ok: false; problem: string };

/** A photo is kept at some hundred kilobytes; a cake has some dozens at most. */
export const pictureLimits = { most: 200, mostEach: 5_000_000 } as const;
/** Largest archive of a cake with its pictures that is read, bytes. */
export const maxArchiveLength = 60_000_000;
const cakeName = 'cake.json';
const pictureName = /^pictures\/([A-Za-z0-9-]{1,40})\.jpg$/;

/** A zip of a build file, "cake.json", and its photos, "pictures/ID.jpg". */
export function packCake(text: string, pictures: readonly Picture[]): Uint8Array {
  const photos = pictures.map(
    // they are compressed already
    ({ id, bytes }) => [`pictures/${id}.jpg`, [bytes, { level: 0 }]] as const,
  );
  return zipSync({ [cakeName]: strToU8(text), ...Object.fromEntries(photos) });
}

/** True of what begins as a zip archive does. */
export const isArchive = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;

/** Reads the archive of a cake; what else lies in it is left alone. */
export function unpackCake(bytes: Uint8Array): CakeArchive {
  if (bytes.length > maxArchiveLength)
    return {
      ok: false,
      problem: `The archive is ${Math.round(bytes.length / 1e6)} MB large. A cake with its pictures is at most ${maxArchiveLength / 1e6} MB.`,
    };
  const read = unpack(bytes, {
    most: pictureLimits.most + 1,
    mostEach: Math.max(pictureLimits.mostEach, maxFileLength),
    mostInAll: maxArchiveLength + maxFileLength,
  });
  if (!read.ok) return read;
  const cake = read.files.get(cakeName);
  if (!cake) return { ok: false, problem: `The archive has no “${cakeName}”: it holds no cake.` };
  const pictures = [...read.files].flatMap(([name, content]): Picture[] => {
    const id = pictureName.exec(name)?.[1];
    return id === undefined ? [] : [{ id, bytes: content }];
  });
  return { ok: true, text: strFromU8(cake), pictures };
}
