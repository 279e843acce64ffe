// @vitest-environment node
import { newBuild, startingPantry, type Build, type Pantry } from '@pyrgotect/core';
import { describe, expect, it, vi } from 'vitest';
import { BackupDesk, type BackupPreview } from '../src/backup/backup-desk.ts';
import { backupDue, usualHabit, waitingFor } from '../src/backup/due.ts';
import { gather } from '../src/backup/gather.ts';
import type { BackupChoice } from '../src/backup/take-in.ts';
import { mergesNothing, removeBuild, revisionsOf, saveBuild } from '../src/storage/builds.ts';
import { Database, type ShelfEntry } from '../src/storage/database.ts';
import { aPhoto } from './a-photo.ts';

vi.stubGlobal('navigator', {});
const told = (): void => undefined;
let n = 0;
const emptyDb = (): Database => new Database(`backup-${n++}`);
const at = '2027-05-03T09:30:00Z';

/** A browser with two cakes, one of them twice saved and with a photo, an own tin and a row taken out. */
async function kitchen(): Promise<{ db: Database; pantry: Pantry }> {
  const db = emptyDb();
  const start = startingPantry();
  const tin = { ...start.tins[0]!, id: 'own-tin', name: 'Grandmother’s tin' };
  await db.pantry.bulkPut([
    { key: 'tins/own-tin', table: 'tins', row: tin, removed: false },
    { key: `boards/${start.boards[0]!.id}`, table: 'boards', row: null, removed: true },
  ]);
  const quince = newBuild('quince', 'Quince and rye', at);
  quince.tiers[0]!.tinId = 'own-tin';
  quince.order.pictures = ['wish'];
  const planned = {
    ...{
      hand: 'batter' as const,
      what: '',
      title: 'Batter',
      label: 'weighed',
      value: 1000,
      show: 'bowl',
    },
    ...{ takenG: null, movedBy: 1 },
  };
  quince.bench.notes.push({
    ...{ id: 'note-1', stepKey: 's', at, kind: 'mass' as const, value: 1250, text: '' },
    planned: planned as never,
  });
  await saveBuild(quince, 0, mergesNothing, 'New', db);
  const taller: Build = { ...quince, brief: { ...quince.brief, servings: 31 } };
  await new Promise((resolve) => setTimeout(resolve, 5));
  await saveBuild(taller, 1, mergesNothing, 'Servings', db);
  await saveBuild(newBuild('plum', 'Plum', at), 0, mergesNothing, 'New', db);
  await db.photos.put({ id: 'wish', buildId: 'quince', at, blob: new Blob([aPhoto(7)]) });
  await db.records.toCollection().modify({ excluded: 'a slip' });
  await db.settings.put({ key: 'settings', value: { scheme: 'night' } });
  return { db, pantry: { ...start, tins: [...start.tins, tin] } };
}

async function backupOf(db: Database, pantry: Pantry, versions = false): Promise<Blob> {
  return (await new BackupDesk(() => db).make(versions, pantry, told)).blob;
}
/** Opens a backup over a store. */
async function opened(
  db: Database,
  file: Blob,
): Promise<{ desk: BackupDesk; preview: BackupPreview }> {
  const desk = new BackupDesk(() => db);
  const read = await desk.open(file, told);
  if (!read.ok) throw new Error(read.problem);
  return { desk, preview: read.preview };
}
const all: BackupChoice = {
  cakes: ['quince', 'plum'],
  beside: false,
  rows: 'all',
  hand: true,
  settings: true,
};
/** What is kept, but for what a store says of itself. */
async function held(db: Database): Promise<object> {
  const { cakes, pictures, pantry, hand, settings } = await gather(db, false, () => []);
  const byId = <T extends { id: string }>(list: T[]): T[] =>
    list.sort((a, b) => a.id.localeCompare(b.id));
  return {
    cakes: byId(cakes.map(({ build }) => build)),
    pictures: pictures.map(({ id, bytes }) => [id, ...bytes]),
    pantry,
    hand,
    settings,
  };
}

describe('a backup taken to an empty browser', () => {
  it('is all that was there', async () => {
    const { db, pantry } = await kitchen();
    const there = emptyDb();
    const { desk, preview } = await opened(there, await backupOf(db, pantry));
    expect(preview.unreadable).toEqual([]);
    expect(preview.difference.cakes.map(({ standing }) => standing)).toEqual(['fresh', 'fresh']);
    const taken = await desk.take(all, told);
    expect([taken.cakes.length, taken.pictures, taken.rows]).toEqual([2, 1, 2]);
    expect(await held(there)).toEqual(await held(db));
    expect((await there.records.toArray())[0]!.excluded).toBe('a slip');
    const at = new Map((await db.shelf.toArray()).map((entry) => [entry.id, entry.updatedAt]));
    for (const entry of await there.shelf.toArray()) expect(entry.updatedAt).toBe(at.get(entry.id));
    // and then nothing is new any more
    const again = await opened(there, await backupOf(db, pantry));
    expect(again.preview.difference.cakes.every(({ standing }) => standing === 'same')).toBe(true);
    expect(again.preview.difference.rows).toEqual([]);
  });

  it('brings earlier versions where they were wanted', async () => {
    const { db, pantry } = await kitchen();
    await db.revisions.toCollection().modify({ at: '2027-01-01T10:00:00Z' });
    const there = emptyDb();
    const { desk } = await opened(there, await backupOf(db, pantry, true));
    await desk.take(all, told);
    const labels = (await revisionsOf('quince', there)).map(({ label }) => label);
    expect(labels[0]).toBe('From a backup');
    expect(labels.length).toBe((await revisionsOf('quince', db)).length);
  });

  it('brings the rows that a cake stands on, even where no rows are wanted', async () => {
    const { db, pantry } = await kitchen();
    const there = emptyDb();
    const { desk } = await opened(there, await backupOf(db, pantry));
    await desk.take({ ...all, cakes: ['quince'], rows: 'none', hand: false }, told);
    expect((await there.pantry.toArray()).map(({ key }) => key)).toEqual(['tins/own-tin']);
    expect(await there.builds.count()).toBe(1);
    expect(await there.tries.count()).toBe(0);
  });
});

describe('a backup over what is here otherwise', () => {
  it('takes its place, and what was here is among the earlier versions', async () => {
    const { db, pantry } = await kitchen();
    const file = await backupOf(db, pantry);
    const mine = { ...newBuild('plum', 'Damson', at) };
    await saveBuild(mine, 1, mergesNothing, 'Name', db);
    const { desk, preview } = await opened(db, file);
    const standing = new Map(preview.difference.cakes.map((one) => [one.id, one.standing]));
    expect(Object.fromEntries(standing)).toEqual({ quince: 'same', plum: 'later here' });
    await desk.take(all, told);
    expect((await db.builds.get('plum'))?.build.name).toBe('Plum');
    const names = (await revisionsOf('plum', db)).map(({ build }) => build.name);
    expect(names).toContain('Damson');
  });

  it('comes in beside it with photos of its own', async () => {
    const { db, pantry } = await kitchen();
    const file = await backupOf(db, pantry);
    const { build, revision } = (await db.builds.get('quince'))!;
    await saveBuild({ ...build, name: 'Medlar' }, revision, mergesNothing, 'Name', db);
    const { desk } = await opened(db, file);
    await desk.take({ ...all, beside: true }, told);
    const cakes = (await db.builds.toArray()).map((one) => one.build);
    expect(cakes.map(({ name }) => name).sort()).toEqual([
      'Medlar',
      'Plum',
      'Quince and rye, from the backup',
    ]);
    const copy = cakes.find(({ name }) => name.includes('backup'))!;
    expect(copy.order.pictures[0]).not.toBe('wish');
    expect(await db.photos.get(copy.order.pictures[0]!)).toMatchObject({ buildId: copy.id });
    expect(await db.photos.count()).toBe(2);
  });

  it('puts a cake back that was taken off', async () => {
    const { db, pantry } = await kitchen();
    const file = await backupOf(db, pantry);
    await removeBuild('plum', db);
    const { desk } = await opened(db, file);
    await desk.take(all, told);
    expect((await db.builds.get('plum'))?.build.name).toBe('Plum');
    expect(await db.settings.get('removed/plum')).toBeUndefined();
  });
});

describe('nothing half taken', () => {
  it('writes nothing where the store fails in the middle', async () => {
    const { db, pantry } = await kitchen();
    const there = emptyDb();
    const { desk } = await opened(there, await backupOf(db, pantry));
    const before = await held(there);
    vi.spyOn(there.carvings, 'bulkPut').mockRejectedValueOnce(new Error('full'));
    await expect(desk.take(all, told)).rejects.toThrow('full');
    expect(await held(there)).toEqual(before);
    // it is still open, and can be tried again
    await desk.take(all, told);
    expect(await there.builds.count()).toBe(2);
  });

  it('leaves out what is no photo, and refuses what is no backup', async () => {
    const { db, pantry } = await kitchen();
    await db.photos.update('wish', { blob: new Blob(['<svg/>']) });
    const there = emptyDb();
    const { desk } = await opened(there, await backupOf(db, pantry));
    expect((await desk.take(all, told)).pictures).toBe(0);
    expect(await there.photos.count()).toBe(0);
    const read = await desk.open(new Blob(['hello']), told);
    expect(read.ok ? '' : read.problem).toContain('no zip file');
    await expect(desk.take(all, told)).rejects.toThrow('Open it again');
  });

  it('has a kitchen without anything in it as a backup too', async () => {
    const pantry = startingPantry();
    const { preview } = await opened(emptyDb(), await backupOf(emptyDb(), pantry));
    expect(preview).toMatchObject({ pictures: 0, unreadable: [] });
    expect(preview.difference).toMatchObject({ cakes: [], rows: [], settings: 'same' });
  });
});

describe('when a backup is due', () => {
  const now = new Date('2027-06-20T12:00:00Z');
  const entry = (id: string, updatedAt: string): ShelfEntry => ({
    ...{ id, name: id, occasion: '', serveAt: null, servings: 12, updatedAt },
    ...{ customer: '', order: 'open' as const, isPattern: false },
  });
  const cakes = [entry('plum', '2027-06-01T10:00:00Z'), entry('quince', '2027-06-19T10:00:00Z')];
  const none = new Set<string>();

  it('counts from the first cake that is in none', () => {
    expect(backupDue(usualHabit, cakes, none, now)).toEqual({ cakes: 2, days: 19 });
    expect(backupDue(usualHabit, [cakes[1]!], none, now)).toBeNull();
    expect(backupDue(usualHabit, [], none, now)).toBeNull();
  });
  it('counts from the last one made', () => {
    const since = (lastAt: string) => ({ ...usualHabit, lastAt });
    expect(backupDue(since('2027-06-02T00:00:00Z'), cakes, none, now)).toEqual({ cakes: 1, days: 18 }); // prettier-ignore
    expect(backupDue(since('2027-06-10T00:00:00Z'), cakes, none, now)).toBeNull();
    expect(waitingFor(since('2027-06-20T00:00:00Z'), cakes, none)).toEqual([]);
  });
  it('is never where nobody wants to be asked, and not for examples', () => {
    expect(backupDue({ ...usualHabit, everyDays: 0 }, cakes, none, now)).toBeNull();
    expect(backupDue(usualHabit, cakes, new Set(['plum', 'quince']), now)).toBeNull();
  });
});
