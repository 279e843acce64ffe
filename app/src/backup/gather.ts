import {
  noRows,
  type CarveResult,
  type Here,
  type HandKind,
  type Kept,
  type KeptCake,
  type Kitchen,
} from '@pyrgotect/core';
import { revisionsOf } from '../storage/builds.ts';
import type { Database } from '../storage/database.ts';

/* What is kept in the browser, put together for a backup, or to compare one with. */

/** Under these keys the browser keeps what is not of one cake. */
export const settingKeys = {
  kitchen: 'kitchen',
  settings: 'settings',
  off: 'hand off',
  examples: 'examples',
} as const;

/** What a backup keeps of how the program is set. */
export interface KeptSettings extends Record<string, unknown> {
  settings: unknown;
  /** Ids of the cakes that are examples. */
  examples: unknown;
}

const settingOf = async (db: Database, key: string): Promise<unknown> =>
  (await db.settings.get(key))?.value ?? null;

async function settingsOf(db: Database): Promise<KeptSettings> {
  return {
    settings: await settingOf(db, settingKeys.settings),
    examples: await settingOf(db, settingKeys.examples),
  };
}

/** Of gathering, the share that cakes are; the rest is photos. */
const cakesShare = 0.4;

/**
 * Everything that is kept.
 *
 * @param withVersions earlier versions of the cakes too
 * @param solved what the solids said of a cake's carved tiers, if they were asked
 */
export async function gather(
  db: Database,
  withVersions: boolean,
  solved: (cake: KeptCake['build'], known: ReadonlyMap<string, CarveResult>) => CarveResult[],
  progress: (share: number) => void = () => undefined,
): Promise<Kept> {
  const shelf = new Map((await db.shelf.toArray()).map((entry) => [entry.id, entry.updatedAt]));
  const answers = await db.carvings.toArray();
  const known = new Map(answers.map(({ key, result }) => [key, result as CarveResult]));
  const stored = await db.builds.toArray();
  const cakes: KeptCake[] = [];
  for (const { build, revision } of stored) {
    const earlier = withVersions ? await revisionsOf(build.id, db) : [];
    const versions = earlier
      .filter((one) => one.revision !== revision)
      .map(({ revision: number, at, label, build: then }) => ({
        revision: Math.max(0, number),
        at,
        label,
        build: then,
      }));
    const updatedAt = shelf.get(build.id) ?? build.createdAt;
    cakes.push({ build, updatedAt, versions, carvings: solved(build, known) });
    progress((cakes.length / stored.length) * cakesShare);
  }
  const rows = noRows();
  const removed: Kept['pantry']['removed'] = [];
  for (const own of await db.pantry.toArray()) {
    const id = own.key.slice(own.table.length + 1);
    if (own.removed) removed.push({ table: own.table, id });
    else (rows[own.table] as unknown[]).push(own.row);
  }
  const kitchen = (await settingOf(db, settingKeys.kitchen)) as Kitchen | null;
  const pictures: Kept['pictures'] = [];
  const ids = await db.photos.toCollection().primaryKeys();
  for (const id of ids) {
    const photo = await db.photos.get(id);
    if (!photo) continue;
    const { buildId, at, blob } = photo;
    pictures.push({ id, buildId, at, bytes: new Uint8Array(await blob.arrayBuffer()) });
    progress(cakesShare + (pictures.length / ids.length) * (1 - cakesShare));
  }
  return {
    cakes,
    pictures,
    pantry: { rows, removed, kitchen },
    hand: {
      records: await db.records.toArray(),
      tries: await db.tries.toArray(),
      off: ((await settingOf(db, settingKeys.off)) as HandKind[] | null) ?? [],
    },
    settings: await settingsOf(db),
  };
}

/** What is here, for a backup to be compared with. */
export async function hereNow(db: Database): Promise<Here> {
  const entries = await db.shelf.toArray();
  const at = new Map(entries.map(({ id, updatedAt }) => [id, updatedAt]));
  const stored = await db.builds.toArray();
  const own = await db.pantry.toArray();
  const keys = async (table: {
    toCollection: () => { primaryKeys: () => PromiseLike<string[]> };
  }): Promise<Set<string>> => new Set(await table.toCollection().primaryKeys());
  return {
    cakes: new Map(
      stored.map(({ id, build }) => [id, { build, updatedAt: at.get(id) ?? build.createdAt }]),
    ),
    rows: new Map(own.map(({ key, row, removed }) => [key, removed ? null : row])),
    kitchen: (await settingOf(db, settingKeys.kitchen)) as Kitchen | null,
    pictures: await keys(db.photos),
    records: await keys(db.records),
    tries: await keys(db.tries),
    settings: await settingsOf(db),
  };
}
