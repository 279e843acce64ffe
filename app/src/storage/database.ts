import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Build, PantryTable } from '@pyrgotect/core';

/** What the shelf shows of a build without opening it. */
export interface ShelfEntry {
  id: string;
  name: string;
  occasion: string;
  serveAt: string | null;
  servings: number;
  updatedAt: string;
}
export interface StoredBuild {
  id: string;
  revision: number;
  build: Build;
}
export interface Revision {
  key: number;
  buildId: string;
  revision: number;
  at: string;
  label: string;
  build: Build;
}
/** A row the user added or changed, or the mark that a built-in row was taken out. */
export interface OwnRow {
  key: string;
  table: PantryTable;
  row: unknown;
  removed: boolean;
}

/** Everything Pyrgotect keeps in the browser. */
export class Database extends Dexie {
  builds!: Table<StoredBuild, string>;
  shelf!: Table<ShelfEntry, string>;
  revisions!: EntityTable<Revision, 'key'>;
  pantry!: Table<OwnRow, string>;
  settings!: Table<{ key: string; value: unknown }, string>;

  constructor(name = 'pyrgotect') {
    // strict: what is shown as saved is on the disk, even when the browser is killed
    super(name, { chromeTransactionDurability: 'strict' });
    this.version(1).stores({
      builds: 'id',
      shelf: 'id, serveAt, updatedAt',
      revisions: '++key, buildId, [buildId+revision]',
      pantry: 'key, table',
      settings: 'key',
    });
  }
}

export const database = new Database();
