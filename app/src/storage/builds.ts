import { orderState, recordsOf, type Build, type KeptRecord } from '@pyrgotect/core';
import {
  database,
  type Database,
  type Revision,
  type ShelfEntry,
  type StoredBuild,
} from './database.ts';
import { removedKey } from './removed.ts';
import { keptRevisions, thinned } from './thin.ts';

/** A version saved so soon after one of the same edit takes its place: a drag is one, ms. */
const sameEditMs = 2000;

/** For what is new and has nothing to be put on. */
export const mergesNothing = (): null => null;

/** A plain copy: the database refuses reactive proxies. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

export const entryOf = (build: Build, updatedAt: string): ShelfEntry => ({
  id: build.id,
  name: build.name,
  occasion: build.brief.occasion,
  serveAt: build.brief.serveAt,
  servings: build.brief.servings,
  updatedAt,
  finished: build.bench.finished !== null,
  customer: build.order.customer,
  order: orderState(build.order),
  isPattern: build.isPattern,
});

export type SaveResult =
  | { kind: 'saved'; stored: StoredBuild; rebased: boolean }
  | { kind: 'conflict'; stored: StoredBuild }
  | { kind: 'gone' };

/**
 * Saves a build in one transaction. When another tab has saved in the meantime, the edits made here
 * are put on top of what it saved; where they no longer fit, nothing is written and the stored build
 * comes back.
 *
 * @param base revision that `build` was made from
 * @param mergeOnto puts the edits made since then on another build; null where they no longer fit
 */
export async function saveBuild(
  build: Build,
  base: number,
  mergeOnto: (onto: Build) => Build | null,
  label: string,
  db: Database = database,
): Promise<SaveResult> {
  const at = new Date().toISOString();
  const tables = [db.builds, db.shelf, db.revisions, db.records];
  return db.transaction('rw', tables, async (): Promise<SaveResult> => {
    const now = await db.builds.get(build.id);
    if (!now && base > 0) return { kind: 'gone' };
    let next = plain(build);
    let rebased = false;
    if (now && now.revision !== base) {
      const merged = mergeOnto(now.build);
      if (!merged) return { kind: 'conflict', stored: now };
      next = merged;
      rebased = true;
    }
    const stored: StoredBuild = { id: build.id, revision: (now?.revision ?? 0) + 1, build: next };
    await db.builds.put(stored);
    await db.shelf.put(entryOf(next, at));
    await keepRecords(next, now?.build ?? null, db);
    const last = await db.revisions.where('[buildId+revision]').equals([build.id, stored.revision - 1]).first(); // prettier-ignore
    const goesOn =
      last !== undefined &&
      last.label === label &&
      Date.parse(at) - Date.parse(last.at) < sameEditMs;
    await db.revisions.put({
      ...(goesOn ? { key: last.key } : {}),
      buildId: build.id,
      revision: stored.revision,
      at,
      label,
      build: next,
    });
    await thinRevisions(build.id, db);
    return { kind: 'saved', stored, rebased };
  });
}

/** Lays cakes that are not kept yet, all at once; each with the time it was last changed. */
export async function layFresh(
  cakes: readonly { build: Build; updatedAt: string }[],
  label: string,
  db: Database = database,
): Promise<void> {
  const tables = [db.builds, db.shelf, db.revisions, db.records];
  await db.transaction('rw', tables, async () => {
    const at = new Date().toISOString();
    const first = { revision: 1 };
    await db.builds.bulkAdd(cakes.map(({ build }) => ({ ...first, id: build.id, build })));
    await db.shelf.bulkPut(cakes.map(({ build, updatedAt }) => entryOf(build, updatedAt)));
    await db.revisions.bulkAdd(
      cakes.map(({ build }) => ({ ...first, buildId: build.id, at, label, build })),
    );
    const records = cakes.flatMap(({ build }) => recordsOf(build));
    if (records.length > 0) await putRecords(records, db);
  });
}

/** Lets go of versions that others stand for; only their keys are read. */
async function thinRevisions(buildId: string, db: Database): Promise<void> {
  const of = db.revisions.where('[buildId+at]').between([buildId, ''], [buildId, '\uffff']);
  if ((await of.count()) <= keptRevisions) return;
  const [ats, keys] = [await of.keys(), await of.primaryKeys()];
  const versions = keys.map((key, i) => ({ key, at: (ats[i] as unknown as [string, string])[1] }));
  await db.revisions.bulkDelete(thinned(versions));
}

/** Keeps what the notes of a build say beside it; what was excluded stays so, with its reason. */
async function keepRecords(build: Build, before: Build | null, db: Database): Promise<void> {
  if (before && JSON.stringify(before.bench.notes) === JSON.stringify(build.bench.notes)) return;
  const kept = await db.records.where('buildId').equals(build.id).primaryKeys();
  const records = recordsOf(build);
  if (kept.length === 0 && records.length === 0) return;
  const now = new Set(records.map(({ id }) => id));
  await db.records.bulkDelete(kept.filter((id) => !now.has(id)));
  await putRecords(records, db);
}

/** Keeps records; whether one counts stays as it was said, as long as it says the same. */
async function putRecords(records: readonly KeptRecord[], db: Database): Promise<void> {
  const known = await db.records.bulkGet(records.map(({ id }) => id));
  await db.records.bulkPut(
    records.map((one, i) => {
      const before = known[i];
      return before && before.ratio === one.ratio ? { ...one, excluded: before.excluded } : one;
    }),
  );
}

export async function removeBuild(
  id: string,
  db: Database = database,
): Promise<StoredBuild | null> {
  return db.transaction('rw', db.builds, db.shelf, db.settings, async () => {
    const stored = await db.builds.get(id);
    await db.builds.delete(id);
    await db.shelf.delete(id);
    await db.settings.put({ key: removedKey(id), value: new Date().toISOString() });
    return stored ?? null;
  });
}

/** Puts a removed build back as it was; its revisions and photos were not taken away yet. */
export async function restoreBuild(stored: StoredBuild, db: Database = database): Promise<void> {
  await db.transaction('rw', db.builds, db.shelf, db.settings, async () => {
    await db.settings.delete(removedKey(stored.id));
    await db.builds.put(stored);
    await db.shelf.put(entryOf(stored.build, new Date().toISOString()));
  });
}

export const revisionsOf = async (buildId: string, db: Database = database): Promise<Revision[]> =>
  (await db.revisions.where('buildId').equals(buildId).toArray()).sort(
    (a, b) => b.revision - a.revision,
  );
