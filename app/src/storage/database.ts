import Dexie, { type DexieOptions, type EntityTable, type Table, type Transaction } from 'dexie';
import {
  buildFrom2,
  buildFrom3,
  buildFrom4,
  buildFrom5,
  buildFrom6,
  buildFrom7,
  buildFrom8,
  buildFrom9,
  buildFrom10,
  buildFrom11,
  buildFrom12,
  buildFrom13,
  buildFrom14,
  buildFrom15,
  buildFrom16,
  buildFrom17,
  buildFrom18,
  rowFrom2,
  rowFrom3,
  rowFrom4,
  rowFrom7,
  rowFrom9,
  rowFrom10,
  rowFrom11,
  rowFrom12,
  rowFrom13,
  rowFrom14,
  rowFrom15,
  rowFrom17,
  startingKitchen,
  type Build,
  type KeptRecord,
  type OrderState,
  type PantryTable,
  type Try,
} from '@pyrgotect/core';

/** What the shelf shows of a build without opening it. */
export interface ShelfEntry {
  id: string;
  name: string;
  occasion: string;
  serveAt: string | null;
  servings: number;
  updatedAt: string;
  /** Done, and its notes taken into the log. */
  finished?: boolean;
  customer: string;
  order: OrderState;
  isPattern: boolean;
}
/** What the shelf knew of an order before there was one. */
const unordered = { customer: '', order: 'open', isPattern: false } as const;
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
/** A photo of a step, shrunk, under the id of its note. */
export interface Photo {
  id: string;
  buildId: string;
  at: string;
  blob: Blob;
}
/** A row the user added or changed, or the mark that a built-in row was taken out. */
export interface OwnRow {
  key: string;
  table: PantryTable;
  row: unknown;
  removed: boolean;
}

/** A thing as it was agreed with the other devices. */
export interface Carried {
  item: string;
  mark: string | null;
  changes: Readonly<Record<string, number>>;
  value: unknown;
}

type Renew = Record<string, unknown>;

/** Brings builds, their history, the user's rows and the kitchen up to a later version. */
async function renewAll(
  work: Transaction,
  build: (old: unknown) => Renew,
  row: (table: string, old: unknown) => Renew,
): Promise<void> {
  const renew = (stored: { build: Build }): void => {
    stored.build = build(stored.build) as unknown as Build;
  };
  await work.table<StoredBuild>('builds').toCollection().modify(renew);
  await work.table<Revision>('revisions').toCollection().modify(renew);
  await work
    .table<OwnRow>('pantry')
    .toCollection()
    .modify((own) => {
      if (own.row !== null) own.row = row(own.table, own.row);
    });
  const settings = work.table<{ key: string; value: unknown }>('settings');
  const kitchen = await settings.get('kitchen');
  if (kitchen)
    await settings.put({
      key: 'kitchen',
      value: { ...startingKitchen, ...(kitchen.value as object) },
    });
}

/** Everything Pyrgotect keeps in the browser. */
export class Database extends Dexie {
  builds!: Table<StoredBuild, string>;
  shelf!: Table<ShelfEntry, string>;
  revisions!: EntityTable<Revision, 'key'>;
  pantry!: Table<OwnRow, string>;
  settings!: Table<{ key: string; value: unknown }, string>;
  /** What the solids said of carvings, by the key of the question. */
  carvings!: Table<{ key: string; result: unknown }, string>;
  /** What every build was planned to be and came to, for the hand. */
  records!: Table<KeptRecord, string>;
  photos!: Table<Photo, string>;
  /** What paired devices agreed on, by the thing's name. */
  carried!: Table<Carried, string>;
  /** Tries of practice drills. */
  tries!: Table<Try, string>;

  constructor(name = 'pyrgotect', options: DexieOptions = {}) {
    // strict: what is shown as saved is on the disk, even when the browser is killed
    super(name, { chromeTransactionDurability: 'strict', ...options });
    this.version(1).stores({
      builds: 'id',
      shelf: 'id, serveAt, updatedAt',
      revisions: '++key, buildId, [buildId+revision]',
      pantry: 'key, table',
      settings: 'key',
    });
    // tiers learnt more than layers and fillings; what was kept is brought up to it as a file is
    this.version(2).upgrade((work) => renewAll(work, buildFrom2, rowFrom2));
    // and again when bowls learnt colours and recipes their ingredients
    this.version(3).upgrade((work) => renewAll(work, buildFrom3, rowFrom3));
    // and when cakes were finished with drips, borders and toppings
    this.version(4).upgrade((work) => renewAll(work, buildFrom4, rowFrom4));
    // and when tiers were carved; what a carving comes to is kept beside, by what it was asked of
    this.version(5)
      .stores({ carvings: 'key' })
      .upgrade((work) => renewAll(work, buildFrom5, (_table, row) => row as Renew));
    // and when tiers stood on boards and dowels, and what happened at the bench was learnt from
    this.version(6)
      .stores({ records: 'id, buildId', photos: 'id, buildId', tries: 'id, drill' })
      .upgrade((work) => renewAll(work, buildFrom6, (_table, row) => row as Renew));
    // and when everything eaten came from a row of the pantry
    this.version(7).upgrade((work) => renewAll(work, buildFrom7, rowFrom7));
    // and when a core could hold loose pieces
    this.version(8).upgrade((work) => renewAll(work, buildFrom8, (_table, row) => row as Renew));
    // and when recipes said what they wait for
    this.version(9).upgrade((work) => renewAll(work, buildFrom9, rowFrom9));
    // and when layers got ids of their own, and ingredients said how they are made ready
    this.version(10).upgrade((work) => renewAll(work, buildFrom10, rowFrom10));
    // and when cakes came out of the freezer, and boards half-way up went by their layer
    this.version(11).upgrade((work) => renewAll(work, buildFrom11, rowFrom11));
    // and when tiers were soaked with more than syrup
    this.version(12).upgrade((work) => renewAll(work, buildFrom12, rowFrom12));
    // and when a cream held several insets, and a tier was set in a mould
    this.version(13).upgrade((work) => renewAll(work, buildFrom13, rowFrom13));
    // and when toppings came onto the sides
    this.version(14).upgrade((work) => renewAll(work, buildFrom14, rowFrom14));
    // and when every topping and sauce had a colour, and a wall could be drawn
    this.version(15)
      .stores({ revisions: '++key, buildId, [buildId+revision], [buildId+at]' })
      .upgrade((work) => renewAll(work, buildFrom15, rowFrom15));
    // and when a cake knew who ordered it; the shelf says so of each
    this.version(16).upgrade(async (work) => {
      await renewAll(work, buildFrom16, (_table, row) => row as Renew);
      await work
        .table<ShelfEntry>('shelf')
        .toCollection()
        .modify((entry) => void Object.assign(entry, { ...unordered, ...entry }));
    });
    // and when devices were paired
    this.version(17).stores({ carried: 'item' });
    // and when gels were ingredients
    this.version(18).upgrade((work) => renewAll(work, buildFrom17, rowFrom17));
    // and when a colour named its gels, and a relief had a place
    this.version(19).upgrade((work) => renewAll(work, buildFrom18, (_table, row) => row as Renew));
  }
}

/** What is kept, or what stands in for it where the browser keeps nothing. */
export let database = new Database();
export const replaceDatabase = (other: Database): void => void (database = other);
