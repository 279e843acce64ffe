import { freshId } from '@pyrgotect/core';
import type { Build, Picture } from '@pyrgotect/core';
import { database, type Photo } from './database.ts';
import { isPhoto } from './photos.ts';

const newId = (): string => freshId('photo', 13);

/** The photos that a cake names: of the wish, and of its steps. */
const namedIn = ({ order, bench }: Build): string[] => [
  ...order.pictures,
  ...bench.notes.filter(({ kind }) => kind === 'photo').map(({ id }) => id),
];

/** The photos of a cake that are in this browser. */
export async function picturesOf(build: Build): Promise<Picture[]> {
  const photos = await database.photos.bulkGet(namedIn(build));
  return Promise.all(
    photos
      .filter((photo) => photo !== undefined)
      .map(async ({ id, blob }) => ({ id, bytes: new Uint8Array(await blob.arrayBuffer()) })),
  );
}

export const photoBlob = (bytes: Uint8Array): Blob =>
  new Blob([bytes as BlobPart], { type: 'image/jpeg' });

/**
 * A cake's photos under ids of their own, and the cake that names them so: another cake's are never written
 * over. What is no photo is left out, and named no more by the cake.
 */
export async function ownPictures(
  build: Build,
  pictures: readonly Picture[],
): Promise<{ build: Build; photos: Photo[] }> {
  const named = new Set(namedIn(build));
  const known = new Map<string, string>();
  const photos: Photo[] = [];
  for (const { id, bytes } of pictures) {
    if (!named.has(id) || !(await isPhoto(bytes))) continue;
    const own = newId();
    const at = new Date().toISOString();
    photos.push({ id: own, buildId: build.id, at, blob: photoBlob(bytes) });
    known.set(id, own);
  }
  const renamed: Build = {
    ...build,
    order: { ...build.order, pictures: build.order.pictures.flatMap((id) => known.get(id) ?? []) },
    bench: {
      ...build.bench,
      notes: build.bench.notes.map((note) => ({ ...note, id: known.get(note.id) ?? note.id })),
    },
  };
  return { build: renamed, photos };
}

/** Keeps the photos that came with a cake, and gives the cake that names them as they are kept. */
export async function withPictures(build: Build, pictures: readonly Picture[]): Promise<Build> {
  const own = await ownPictures(build, pictures);
  await database.photos.bulkPut(own.photos);
  return own.build;
}
