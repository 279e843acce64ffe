import { isSame } from '../document/three-way.ts';
import type { Build } from '../document/types.ts';
import { pantryTables, type Kitchen, type PantryTable } from '../pantry/types.ts';
import type { ReadBackup } from './read-backup.ts';

/** How something of a backup stands to what is here. */
export type BackupStanding = 'fresh' | 'same' | 'later there' | 'later here';

/** What is here, as far as a backup is compared with it. */
export interface Here {
  cakes: ReadonlyMap<string, { build: Build; updatedAt: string }>;
  /** The user's own rows by table and id; null for a built-in one that was taken out. */
  rows: ReadonlyMap<string, unknown>;
  kitchen: Kitchen | null;
  pictures: ReadonlySet<string>;
  records: ReadonlySet<string>;
  tries: ReadonlySet<string>;
  settings: Record<string, unknown> | null;
}

export interface CakeDifference {
  id: string;
  name: string;
  serveAt: string | null;
  updatedAt: string;
  standing: BackupStanding;
}
export interface RowDifference {
  table: PantryTable;
  id: string;
  name: string;
  isFresh: boolean;
}
/** What taking a backup in would change. */
export interface BackupDifference {
  cakes: CakeDifference[];
  /** Rows that are not here, or are here otherwise; rows that are the same are not named. */
  rows: RowDifference[];
  sameRows: number;
  kitchen: 'none' | 'same' | 'differs';
  freshPictures: number;
  freshRecords: number;
  freshTries: number;
  settings: 'none' | 'same' | 'differs';
}

export const rowKey = (table: PantryTable, id: string): string => `${table}/${id}`;

/** What a backup holds beside what is here, cake by cake and row by row. */
export function compareBackup(backup: ReadBackup, here: Here): BackupDifference {
  const cakes = backup.cakes.map(({ build, updatedAt }): CakeDifference => {
    const own = here.cakes.get(build.id);
    const { id, name, brief } = build;
    const standing: BackupStanding = !own
      ? 'fresh'
      : isSame(own.build, build)
        ? 'same'
        : updatedAt > own.updatedAt
          ? 'later there'
          : 'later here';
    return { id, name, serveAt: brief.serveAt, updatedAt, standing };
  });
  const rows: RowDifference[] = [];
  let sameRows = 0;
  const look = (table: PantryTable, id: string, name: string, row: unknown): void => {
    const key = rowKey(table, id);
    const isFresh = !here.rows.has(key);
    if (!isFresh && isSame(here.rows.get(key), row)) sameRows += 1;
    else rows.push({ table, id, name, isFresh });
  };
  for (const table of pantryTables)
    for (const row of backup.pantry.rows[table]) look(table, row.id, row.name, row);
  for (const { table, id } of backup.pantry.removed) look(table, id, id, null);
  const standingOf = (there: object | null, own: object | null): 'none' | 'same' | 'differs' =>
    there === null ? 'none' : isSame(there, own) ? 'same' : 'differs';
  const freshOf = (all: readonly { id: string }[], known: ReadonlySet<string>): number =>
    all.filter(({ id }) => !known.has(id)).length;
  return {
    cakes,
    rows,
    sameRows,
    kitchen: standingOf(backup.pantry.kitchen, here.kitchen),
    freshPictures: freshOf(backup.pictures, here.pictures),
    freshRecords: freshOf(backup.hand.records, here.records),
    freshTries: freshOf(backup.hand.tries, here.tries),
    settings: standingOf(backup.settings, here.settings),
  };
}
