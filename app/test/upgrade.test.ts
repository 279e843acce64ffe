import { readFileSync } from 'node:fs';
import { buildSchema, kitchenSchema, rowSchemas, startingKitchen } from '@pyrgotect/core';
import Dexie from 'dexie';
import { expect, it } from 'vitest';
import { Database } from '../src/storage/database.ts';

interface OldFile {
  build: { id: string; pipingG: number };
  pantry: { sponges: { id: string }[]; tins: { id: string }[] };
}
const old = JSON.parse(readFileSync('core/test/fixtures/version-2.json', 'utf8')) as OldFile;

/** What the browser of an earlier version kept. */
async function layDown(name: string): Promise<void> {
  const before = new Dexie(name);
  before.version(1).stores({
    builds: 'id',
    shelf: 'id, serveAt, updatedAt',
    revisions: '++key, buildId, [buildId+revision]',
    pantry: 'key, table',
    settings: 'key',
  });
  const { build } = old;
  await before.table('builds').put({ id: build.id, revision: 4, build });
  await before
    .table('revisions')
    .add({ buildId: build.id, revision: 4, at: '', label: 'x', build });
  const [sponge] = old.pantry.sponges;
  const [tin] = old.pantry.tins;
  await before.table('pantry').bulkPut([
    { key: `sponges/${sponge!.id}`, table: 'sponges', row: sponge, removed: false },
    { key: `tins/${tin!.id}`, table: 'tins', row: tin, removed: false },
    { key: 'tins/gone', table: 'tins', row: null, removed: true },
  ]);
  const kitchen = Object.fromEntries(
    Object.entries(startingKitchen).filter(([key]) => ['mixerMl', 'kerfMm', 'dabG'].includes(key)),
  );
  await before.table('settings').put({ key: 'kitchen', value: { ...kitchen, mixerMl: 6900 } });
  before.close();
}

it('brings what an earlier version kept up to date, and loses nothing', async () => {
  await layDown('old-kept');
  const db = new Database('old-kept');
  const [stored] = await db.builds.toArray();
  expect(stored!.revision).toBe(4);
  const { pipingG, ...kept } = old.build;
  // what is folded into a batter became a list
  const { inclusions, ...tier } = stored!.build.tiers[0]!;
  expect(inclusions).toEqual([]);
  expect({ ...stored!.build, tiers: [{ ...tier, inclusion: null }] }).toMatchObject(kept);
  // frosting kept for piping is a job of its own now
  expect(stored!.build.piping.map((job) => job.massG)).toEqual([pipingG]);
  expect(buildSchema.isValidSync(stored!.build, { strict: true })).toBe(true);
  const [revision] = await db.revisions.toArray();
  expect(buildSchema.isValidSync(revision!.build, { strict: true })).toBe(true);
  for (const own of await db.pantry.toArray())
    if (own.row !== null)
      expect(rowSchemas[own.table].isValidSync(own.row, { strict: true })).toBe(true);
  expect((await db.pantry.get('tins/gone'))!.row).toBeNull();
  const kitchen = (await db.settings.get('kitchen'))!.value;
  expect(kitchenSchema.isValidSync(kitchen, { strict: true })).toBe(true);
  expect(kitchen).toMatchObject({ mixerMl: 6900, shelfWideMm: startingKitchen.shelfWideMm });
  db.close();
});
