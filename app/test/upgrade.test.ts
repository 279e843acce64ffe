import { buildSchema, kitchenSchema, rowSchemas, startingKitchen } from '@pyrgotect/core';
import { describe, expect, it } from 'vitest';
import { Database } from '../src/storage/database.ts';
import { layOlder, olderFile, olderStore, olderVersions } from './older-store.ts';

describe.each(olderVersions)('what the browser kept at version %i of a cake', (version) => {
  it('is brought up to date, and nothing of it is lost', async () => {
    const name = `kept-${version}`;
    await layOlder({ name, older: olderStore(version, 3) });
    const db = new Database(name);
    const stored = await db.builds.toArray();
    const old = olderFile(version);
    expect(stored.map(({ revision }) => revision)).toEqual([4, 4, 4]);
    for (const { build } of [...stored, ...(await db.revisions.toArray())]) {
      expect(buildSchema.isValidSync(build, { strict: true })).toBe(true);
      expect(build.brief.serveAt).toBe(old.build.brief.serveAt);
    }
    expect(stored.map(({ id }) => id)).toContain(old.build.id);
    for (const entry of await db.shelf.toArray())
      expect(entry).toMatchObject({ customer: '', order: 'open', isPattern: false, servings: 20 });
    const rows = await db.pantry.toArray();
    expect(rows).toHaveLength(Object.values(old.pantry).flat().length + 1);
    for (const own of rows)
      if (own.row !== null)
        expect(rowSchemas[own.table].isValidSync(own.row, { strict: true }), own.key).toBe(true);
    expect((await db.pantry.get('tins/gone'))!.row).toBeNull();
    const kitchen = (await db.settings.get('kitchen'))!.value;
    expect(kitchenSchema.isValidSync(kitchen, { strict: true })).toBe(true);
    expect(kitchen).toMatchObject({ mixerMl: 6900, shelfWideMm: startingKitchen.shelfWideMm });
    db.close();
  });
});

it('makes of frosting kept for piping, which was a figure, a job of its own', async () => {
  await layOlder({ name: 'piping', older: olderStore(2) });
  const db = new Database('piping');
  const [stored] = await db.builds.toArray();
  const { pipingG, ...kept } = olderFile(2).build as unknown as { pipingG: number };
  // what is folded into a batter became a list
  const { inclusions, ...tier } = stored!.build.tiers[0]!;
  expect(inclusions).toEqual([]);
  expect({ ...stored!.build, tiers: [{ ...tier, inclusion: null }] }).toMatchObject(kept);
  expect(stored!.build.piping.map((job) => job.massG)).toEqual([pipingG]);
  db.close();
});
