import { buildVersion, migrate, type Build } from '@pyrgotect/core';
import { restoreBuild } from './builds.ts';
import { database, type Database, type StoredBuild } from './database.ts';

/*
 * The example cakes that ship with the program: which they are, put away as they were left, and brought back.
 */

const idsKey = 'examples';
const awayKey = 'examples-away';
/** What is put away, and the version that it was written in: it may come back to a later one. */
interface Away {
  version: number;
  stored: StoredBuild[];
}

/** The builds of the example files, with dates counted from today. */
export async function exampleTexts(today: Date): Promise<{ id: string; text: string }[]> {
  const { demoFiles, demoNow } = await import('./demo.ts');
  return (await demoFiles()).map((text) => {
    const file = JSON.parse(text) as { build: Build };
    const build = demoNow(file.build, today);
    return { id: build.id, text: JSON.stringify({ ...file, build }) };
  });
}

/** Ids of the examples that were ever laid on this shelf. */
export async function exampleIds(db: Database = database): Promise<string[]> {
  const known = (await db.settings.get(idsKey))?.value as string[] | undefined;
  if (known) return known;
  if (!(await db.settings.get('seeded'))) return [];
  // laid before it was written down which they are
  const ids = (await exampleTexts(new Date())).map(({ id }) => id);
  await keepIds(ids, db);
  return ids;
}
export const keepIds = async (ids: string[], db: Database = database): Promise<void> =>
  void (await db.settings.put({ key: idsKey, value: ids }));

/** Takes the examples off the shelf as they are; what belongs to them stays. */
export async function putExamplesAway(db: Database = database): Promise<void> {
  const ids = await exampleIds(db);
  await db.transaction('rw', db.builds, db.shelf, db.settings, async () => {
    const stored = (await db.builds.bulkGet(ids)).filter((one) => one !== undefined);
    const before = await awayNow(db);
    const kept = before.filter(({ id }) => !stored.some((one) => one.id === id));
    const away: Away = { version: buildVersion, stored: [...kept, ...stored] };
    await db.settings.put({ key: awayKey, value: away });
    await db.builds.bulkDelete(ids);
    await db.shelf.bulkDelete(ids);
  });
}

/** Puts them back as they were left; gives the ids of those that were put back. */
export async function restoreExamples(db: Database = database): Promise<string[]> {
  const away = await awayNow(db);
  for (const stored of away) await restoreBuild(stored, db);
  await db.settings.delete(awayKey);
  return away.map(({ id }) => id);
}

async function awayNow(db: Database): Promise<StoredBuild[]> {
  const away = (await db.settings.get(awayKey))?.value as Away | undefined;
  return (away?.stored ?? []).map((one) => {
    const { build } = migrate({ version: away!.version, build: one.build, pantry: {} });
    return { ...one, build: build as Build };
  });
}
