import {
  freshId,
  kitchenSchema,
  mergeRows,
  pantryTables,
  rowKey,
  startingPantry,
  withRows,
  type Build,
  type BackupDifference,
  type CarriedRows,
  type Pantry,
  type PantryTable,
  type ReadBackup,
} from '@pyrgotect/core';
import { layFresh, plain, saveBuild } from '../storage/builds.ts';
import type { Database, OwnRow, Photo, Revision } from '../storage/database.ts';
import { isPhoto } from '../storage/photos.ts';
import { ownPictures, photoBlob } from '../storage/pictures.ts';
import { removedKey } from '../storage/removed.ts';
import { settingKeys } from './gather.ts';

/** What of a backup is taken in. */
export interface BackupChoice {
  /** Ids of the cakes. */
  cakes: string[];
  /** A cake that is here otherwise comes in beside it, as a copy; else it takes its place, and what was here is among its earlier versions. */
  beside: boolean;
  /** Rows that are not here; all of them, also those that are here otherwise; or none but what the cakes need. */
  rows: 'none' | 'fresh' | 'all';
  hand: boolean;
  settings: boolean;
}

/** What was taken in, for who has it open elsewhere. */
export interface BackupTaken {
  cakes: { id: string; revision: number }[];
  pictures: number;
  rows: number;
}

interface Placed {
  build: Build;
  /** It is not here yet. */
  isFresh: boolean;
  updatedAt: string;
  versions: ReadBackup['cakes'][number]['versions'];
}

/** Of taking in, the share that looking at the photos is, and with what is written all at once. */
const lookingShare = 0.2;
const writtenShare = 0.7;
/** How a version says where it came from. */
const label = 'From a backup';

/** Earlier versions of a cake that was not here, before all that is saved here. */
const earlierOf = ({ build, versions }: Placed): Omit<Revision, 'key'>[] =>
  versions.map((one, i) => ({ ...one, buildId: build.id, revision: i - versions.length }));

/** The rows that are written: the user's own by the choice, and what was taken out. */
function chosenRows(
  { pantry }: ReadBackup,
  difference: BackupDifference,
  which: BackupChoice['rows'],
): OwnRow[] {
  if (which === 'none') return [];
  const wanted = new Set(
    difference.rows
      .filter(({ isFresh }) => isFresh || which === 'all')
      .map(({ table, id }) => rowKey(table, id)),
  );
  const entry = (table: PantryTable, id: string, row: unknown): OwnRow => {
    const key = rowKey(table, id);
    return { key, table, row, removed: row === null };
  };
  return [
    ...pantryTables.flatMap((table) =>
      pantry.rows[table].map((row) => entry(table, row.id, plain(row))),
    ),
    ...pantry.removed.map(({ table, id }) => entry(table, id, null)),
  ].filter(({ key }) => wanted.has(key));
}

/** The pantry as it is once the rows are written. */
function pantryWith(own: readonly OwnRow[]): Pantry {
  const pantry = startingPantry();
  for (const table of pantryTables) {
    const rows = new Map(pantry[table].map((row) => [row.id, row as { id: string }]));
    for (const { key, table: of, row, removed } of own) {
      if (of !== table) continue;
      const id = key.slice(table.length + 1);
      if (removed) rows.delete(id);
      else rows.set(id, row as { id: string });
    }
    (pantry[table] as { id: string }[]) = [...rows.values()];
  }
  return pantry;
}

/**
 * Takes what was chosen of a backup, in one transaction: all of it or nothing. Photos are looked at before;
 * what is none is left out.
 */
export async function takeIn(
  db: Database,
  backup: ReadBackup,
  difference: BackupDifference,
  choice: BackupChoice,
  progress: (share: number) => void = () => undefined,
): Promise<BackupTaken> {
  const own = new Map((await db.pantry.toArray()).map((row) => [row.key, row]));
  const rows = new Map(chosenRows(backup, difference, choice.rows).map((row) => [row.key, row]));
  for (const [key, row] of rows) own.set(key, row);
  let pantry = pantryWith([...own.values()]);

  const standing = new Map(difference.cakes.map((one) => [one.id, one.standing]));
  const wanted = new Set(choice.cakes);
  const photos: Photo[] = [];
  const placed: Placed[] = [];
  for (const { build: read, versions, updatedAt } of backup.cakes) {
    const stands = standing.get(read.id);
    if (!wanted.has(read.id) || stands === 'same') continue;
    const carried: CarriedRows = backup.rowsOf.get(read.id)!;
    const { build, added } = mergeRows(read, carried, pantry);
    pantry = withRows(pantry, added);
    for (const table of pantryTables)
      for (const row of added[table]) {
        const key = rowKey(table, row.id);
        rows.set(key, { key, table, row: plain(row), removed: false });
      }
    const isFresh = stands === 'fresh';
    if (isFresh || !choice.beside) {
      placed.push({ build, isFresh, updatedAt, versions: isFresh ? versions : [] });
      continue;
    }
    const name = `${build.name.slice(0, 60)}, from the backup`;
    const copy = { ...build, id: freshId('cake', 13), name };
    const mine = backup.pictures.filter(({ buildId }) => buildId === read.id);
    const renamed = await ownPictures(copy, mine);
    photos.push(...renamed.photos);
    placed.push({ build: renamed.build, isFresh: true, updatedAt, versions: [] });
  }
  const here = new Set(await db.photos.toCollection().primaryKeys());
  const stay = new Set(placed.map(({ build }) => build.id));
  for (const [i, { id, buildId, at, bytes }] of backup.pictures.entries()) {
    if (!stay.has(buildId) || here.has(id) || !(await isPhoto(bytes))) continue;
    photos.push({ id, buildId, at, blob: photoBlob(bytes) });
    progress((i / backup.pictures.length) * lookingShare);
  }

  const cakes: BackupTaken['cakes'] = [];
  await db.transaction('rw', db.tables, async () => {
    await db.pantry.bulkPut([...rows.values()]);
    if (choice.rows === 'all' && backup.pantry.kitchen) await takeKitchen(db, backup);
    await db.photos.bulkPut(photos);
    // before the cakes, whose own records keep what is said of them here
    if (choice.hand) await takeHand(db, backup);
    await db.settings.bulkDelete(placed.map(({ build }) => removedKey(build.id)));
    const fresh = placed.filter(({ isFresh }) => isFresh);
    await layFresh(fresh, label, db);
    await db.revisions.bulkAdd(fresh.flatMap(earlierOf));
    cakes.push(...fresh.map(({ build: { id } }) => ({ id, revision: 1 })));
    progress(writtenShare);
    for (const { build, isFresh } of placed) {
      if (isFresh) continue;
      const saved = await saveBuild(build, -1, () => build, label, db);
      if (saved.kind !== 'saved') throw new Error(`“${build.name}” could not be written.`);
      cakes.push({ id: build.id, revision: saved.stored.revision });
      progress(writtenShare + (cakes.length / placed.length) * (1 - writtenShare));
    }
    const answers = backup.cakes
      .filter(({ build }) => wanted.has(build.id))
      .flatMap(({ carvings }) => carvings);
    await db.carvings.bulkPut(answers.map((result) => ({ key: result.key, result })));
    if (choice.settings) await takeSettings(db, backup);
  });
  return { cakes, pictures: photos.length, rows: rows.size };
}

async function takeKitchen(db: Database, { pantry: { kitchen } }: ReadBackup): Promise<void> {
  if (kitchenSchema.isValidSync(kitchen, { strict: true }))
    await db.settings.put({ key: settingKeys.kitchen, value: kitchen });
}

/** Records that are here stand as they are: whether one counts was said here. */
async function takeHand(
  db: Database,
  { hand: { records, tries, off } }: ReadBackup,
): Promise<void> {
  const here = new Set(await db.records.toCollection().primaryKeys());
  await db.records.bulkPut(records.filter(({ id }) => !here.has(id)));
  await db.tries.bulkPut(tries);
  if (off.length > 0) await db.settings.put({ key: settingKeys.off, value: off });
}

async function takeSettings(db: Database, { settings }: ReadBackup): Promise<void> {
  const ids = (value: unknown): string[] =>
    Array.isArray(value) ? value.filter((one) => typeof one === 'string') : [];
  if (settings?.settings)
    await db.settings.put({ key: settingKeys.settings, value: settings.settings });
  const known = (await db.settings.get(settingKeys.examples))?.value;
  const examples = new Set([...ids(known), ...ids(settings?.examples)]);
  if (examples.size > 0) await db.settings.put({ key: settingKeys.examples, value: [...examples] });
}
