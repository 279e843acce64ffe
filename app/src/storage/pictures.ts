import { freshId } from '@pyrgotect/core';
import type { Build, Picture } from '@pyrgotect/core';
import { database } from './database.ts';
import { checkPhoto } from './photos.ts';

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

/**
 * Keeps photos under ids of their own, and gives the cake that names them so: another cake's are never written
 * over. What is no photo is left out, and named no more by the cake.
 */
export async function withPictures(build: Build, pictures: readonly Picture[]): Promise<Build> {
  const named = new Set(namedIn(build));
  const known = new Map<string, string>();
  for (const { id, bytes } of pictures) {
    if (!named.has(id)) continue;
    const blob = new Blob([bytes as BlobPart], { type: 'image/jpeg' });
    const isPhoto = await checkPhoto(blob).then(
      () => true,
      () => false,
    );
    if (!isPhoto) continue;
    const own = newId();
    await database.photos.put({ id: own, buildId: build.id, at: new Date().toISOString(), blob });
    known.set(id, own);
  }
  return {
    ...build,
    order: { ...build.order, pictures: build.order.pictures.flatMap((id) => known.get(id) ?? []) },
    bench: {
      ...build.bench,
      notes: build.bench.notes.map((note) => ({ ...note, id: known.get(note.id) ?? note.id })),
    },
  };
}
