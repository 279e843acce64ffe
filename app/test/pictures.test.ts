// @vitest-environment node
import { newBuild, packCake, unpackCake } from '@pyrgotect/core';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { saveBuild, mergesNothing } from '../src/storage/builds.ts';
import { database } from '../src/storage/database.ts';
import { picturesOf } from '../src/storage/pictures.ts';
import { useShelf } from '../src/stores/shelf.ts';
import { aPhoto } from './a-photo.ts';

// a browser without storage of its own to ask for
vi.stubGlobal('navigator', {});
beforeEach(async () => {
  setActivePinia(createPinia());
  await Promise.all(database.tables.map((table) => table.clear()));
});

async function withTwo() {
  const build = newBuild('quince', 'Quince', '2027-05-03T09:30:00Z');
  build.order.pictures = ['wish-1'];
  const note = { id: 'step-1', stepKey: 's', at: '2027-05-03T09:30:00Z', kind: 'photo' as const };
  build.bench.notes.push({ ...note, value: null, text: '', planned: null });
  await saveBuild(build, 0, mergesNothing, 'New build');
  for (const [id, fill] of [
    ['wish-1', 7],
    ['step-1', 9],
  ] as const)
    // prettier-ignore
    await database.photos.put({
      id,
      buildId: build.id,
      at: note.at,
      blob: new Blob([aPhoto(fill)], { type: 'image/jpeg' }),
    });
  return build;
}

describe('a cake with its pictures', () => {
  it('leaves in one zip and comes back with them, beside the one that is there', async () => {
    await withTwo();
    const shelf = useShelf();
    const file = (await shelf.exportArchive('quince'))!;
    expect(file.name).toBe('Quince.zip');
    const taken = await shelf.importFile(new Blob([file.bytes as Uint8Array<ArrayBuffer>]));
    if (!('build' in taken)) throw new Error(taken.problems[0]!.message);
    const { build } = taken;
    expect(build.id).not.toBe('quince');
    const pictures = await picturesOf(build);
    expect(pictures.map(({ bytes }) => [...bytes])).toEqual([[...aPhoto(7)], [...aPhoto(9)]]);
    // of its own: the other cake's go with the other cake
    expect(pictures.map(({ id }) => id)).not.toContain('wish-1');
    expect(await database.photos.where('buildId').equals('quince').count()).toBe(2);
    expect(await database.photos.where('buildId').equals(build.id).count()).toBe(2);
  });

  it('leaves out what is no photo, and what the cake does not name', async () => {
    await withTwo();
    const shelf = useShelf();
    const read = unpackCake((await shelf.exportArchive('quince'))!.bytes);
    if (!read.ok) throw new Error(read.problem);
    const svg = new TextEncoder().encode('<svg xmlns="http://www.w3.org/2000/svg"/>');
    const odd = packCake(read.text, [
      { id: 'wish-1', bytes: svg },
      { id: 'step-1', bytes: aPhoto(9) },
      { id: 'stranger', bytes: aPhoto(1) },
    ]);
    await database.photos.clear();
    const taken = await shelf.importFile(new Blob([odd as Uint8Array<ArrayBuffer>]));
    if (!('build' in taken)) throw new Error(taken.problems[0]!.message);
    expect(taken.build.order.pictures).toEqual([]);
    expect(await database.photos.count()).toBe(1);
  });

  it('is refused whole where it is cut, and nothing of it is kept', async () => {
    await withTwo();
    const shelf = useShelf();
    const { bytes } = (await shelf.exportArchive('quince'))!;
    const [builds, photos] = [await database.builds.count(), await database.photos.count()];
    const cut = await shelf.importFile(new Blob([bytes.slice(0, bytes.length - 40)]));
    expect('problems' in cut && cut.problems[0]!.message).toContain('part of it is missing');
    expect(await database.builds.count()).toBe(builds);
    expect(await database.photos.count()).toBe(photos);
  });
});
