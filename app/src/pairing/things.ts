import {
  buildSchema,
  buildVersion,
  keptOffSchema,
  keptRecordSchema,
  keptTrySchema,
  kitchenSchema,
  mergeBuilds,
  mergeThree,
  migrate,
  rowSchemas,
  type Build,
  type Kitchen,
  type PantryTable,
} from '@pyrgotect/core';
import type { Parcel, Whole } from '@pyrgotect/core/pairing';
import { settingKeys } from '../backup/gather.ts';
import { removeBuild, saveBuild } from '../storage/builds.ts';
import type { Word } from '../storage/channel.ts';
import type { Database } from '../storage/database.ts';
import { isPhoto } from '../storage/photos.ts';
import { photoBlob } from '../storage/pictures.ts';
import { removedKey } from '../storage/removed.ts';
import { devicesKey, devicesNow, type PairedDevice } from './kept-pairing.ts';

/*
 * The things that paired devices have in common, each kind with how it is kept here, what it may be, and what
 * becomes of it where two changed it. A thing is named by its kind and its id, "cake/plum".
 */

/** What two made of one thing, and where both had changed the same: there this device's stands. */
export interface Met {
  value: unknown;
  /** Paths of fields; empty of the whole. */
  places: string[];
}

export interface ThingKind {
  /** Ids of all that are here. */
  ids(db: Database): Promise<string[]>;
  /** Its value here, without bytes; null where it is not here. */
  current(db: Database, id: string): Promise<unknown>;
  /** Bytes that belong to it; most have none. */
  bytes?(db: Database, id: string): Promise<Uint8Array | null>;
  /** What it is from now on, inside a transaction over all tables; null takes it away. */
  write(db: Database, id: string, whole: Whole, label: string): Promise<void>;
  /** What another device sent, as this program knows it; undefined where it cannot be. */
  accept(parcel: Parcel, id: string): Promise<unknown>;
  /** What two made of it that had it in common; without this each field goes by who changed it. */
  merge?(base: unknown, theirs: unknown, mine: unknown): Met;
  /** Keeps what another device had where both had changed the same, so that it can be looked at. */
  keepOther?(db: Database, id: string, theirs: unknown, label: string): Promise<void>;
  /** What other windows are told when it changed here. */
  word(id: string, revision: number): Word;
}

const settingOf = async (db: Database, key: string): Promise<unknown> =>
  (await db.settings.get(key))?.value ?? null;
const putSetting = async (db: Database, key: string, value: unknown): Promise<void> => {
  if (value === null) await db.settings.delete(key);
  else await db.settings.put({ key, value });
};

/** Rows and cakes of an older program are brought up to this one's as those of a file are. */
const renewed = (version: number, build: unknown, pantry: object): ReturnType<typeof migrate> =>
  version === buildVersion ? { build, pantry } : migrate({ version, build, pantry });

const cake: ThingKind = {
  ids: (db) => db.builds.toCollection().primaryKeys(),
  current: async (db, id) => (await db.builds.get(id))?.build ?? null,
  async write(db, id, { value }, label) {
    if (value === null) {
      await removeBuild(id, db);
      return;
    }
    await db.settings.delete(removedKey(id));
    // over whatever is here: what was merged knows it
    await saveBuild(value as Build, -1, () => value as Build, label, db);
  },
  accept({ version, value }, id) {
    const { build } = renewed(version, value, {});
    const isOne = buildSchema.isValidSync(build, { strict: true }) && build.id === id;
    return Promise.resolve(isOne ? build : undefined);
  },
  merge(base, theirs, mine) {
    const both = mergeBuilds(base as Build, theirs as Build, mine as Build);
    // what does not go together to a cake: this device's stands whole
    return both ? { value: both.value, places: both.clashes } : { value: mine, places: [''] };
  },
  async keepOther(db, id, theirs, label) {
    const revision = (await db.builds.get(id))?.revision ?? 1;
    const at = new Date().toISOString();
    await db.revisions.add({ buildId: id, revision, at, label, build: theirs as Build });
  },
  word: (id, revision) => ({ kind: 'build', id, revision }),
};

interface Row {
  row: unknown;
  removed: boolean;
}
const tableOf = (id: string): PantryTable | null => {
  const table = id.split('/')[0]!;
  return Object.hasOwn(rowSchemas, table) ? (table as PantryTable) : null;
};
const rowHolds = (table: PantryTable, row: unknown): boolean =>
  rowSchemas[table].isValidSync(row, { strict: true });
const row: ThingKind = {
  ids: (db) => db.pantry.toCollection().primaryKeys(),
  async current(db, id) {
    const own = await db.pantry.get(id);
    return own ? { row: own.row, removed: own.removed } : null;
  },
  async write(db, id, { value }) {
    const table = tableOf(id)!;
    if (value === null) await db.pantry.delete(id);
    else await db.pantry.put({ key: id, table, ...(value as Row) });
  },
  accept({ version, value }, id) {
    const table = tableOf(id);
    const { row: given, removed } = (value ?? {}) as Partial<Row>;
    if (!table || typeof removed !== 'boolean') return Promise.resolve(undefined);
    if (removed) return Promise.resolve({ row: null, removed });
    const { pantry } = renewed(version, {}, { [table]: [given] });
    const own = (pantry as Record<string, unknown[]>)[table]?.[0];
    const isOne = rowHolds(table, own) && (own as { id: string }).id === id.split('/')[1];
    return Promise.resolve(isOne ? { row: own, removed } : undefined);
  },
  word: () => ({ kind: 'pantry' }),
};

const kitchen: ThingKind = {
  ids: async (db) => ((await settingOf(db, settingKeys.kitchen)) === null ? [] : ['']),
  current: (db) => settingOf(db, settingKeys.kitchen),
  write: (db, _id, { value }) => putSetting(db, settingKeys.kitchen, value),
  accept: ({ value }) =>
    Promise.resolve(kitchenSchema.isValidSync(value, { strict: true }) ? value : undefined),
  merge(base, theirs, mine) {
    const both = mergeThree(base as Kitchen, theirs as Kitchen, mine as Kitchen);
    return kitchenSchema.isValidSync(both.value, { strict: true })
      ? { value: both.value, places: both.clashes }
      : { value: mine, places: [''] };
  },
  word: () => ({ kind: 'pantry' }),
};

/** A kind whose things are rows of a table of the browser, each checked by itself. */
function plainTable(
  name: 'records' | 'tries',
  holds: (value: unknown) => boolean,
  word: Word,
): ThingKind {
  return {
    ids: (db) => db[name].toCollection().primaryKeys(),
    current: async (db, id) => (await db[name].get(id)) ?? null,
    async write(db, id, { value }) {
      if (value === null) await db[name].delete(id);
      else await db.table(name).put(value);
    },
    accept: ({ value }, id) =>
      Promise.resolve(holds(value) && (value as { id: string }).id === id ? value : undefined),
    word: () => word,
  };
}
const strict = { strict: true };
const record = plainTable('records', (value) => keptRecordSchema.isValidSync(value, strict), {
  kind: 'hand',
});
const drill = plainTable('tries', (value) => keptTrySchema.isValidSync(value, strict), {
  kind: 'hand',
});

const off: ThingKind = {
  ids: async (db) => ((await settingOf(db, settingKeys.off)) === null ? [] : ['']),
  current: (db) => settingOf(db, settingKeys.off),
  write: (db, _id, { value }) => putSetting(db, settingKeys.off, value),
  accept: ({ value }) =>
    Promise.resolve(keptOffSchema.isValidSync(value, strict) ? value : undefined),
  word: () => ({ kind: 'hand' }),
};

const isWord = (value: unknown): value is string => typeof value === 'string' && value.length < 100;
/** Which cakes are examples; what either knows of is one. */
const examples: ThingKind = {
  ids: async (db) => ((await settingOf(db, settingKeys.examples)) === null ? [] : ['']),
  current: (db) => settingOf(db, settingKeys.examples),
  write: (db, _id, { value }) => putSetting(db, settingKeys.examples, value),
  accept: ({ value }) =>
    Promise.resolve(Array.isArray(value) && value.every(isWord) ? (value as unknown) : undefined),
  merge: (_base, theirs, mine) => ({
    value: [...new Set([...(theirs as string[]), ...(mine as string[])])],
    places: [],
  }),
  word: () => ({ kind: 'shelf' }),
};

const photo: ThingKind = {
  ids: (db) => db.photos.toCollection().primaryKeys(),
  async current(db, id) {
    const one = await db.photos.get(id);
    return one ? { buildId: one.buildId, at: one.at } : null;
  },
  async bytes(db, id) {
    const one = await db.photos.get(id);
    return one ? new Uint8Array(await one.blob.arrayBuffer()) : null;
  },
  async write(db, id, { value, bytes }) {
    if (value === null) await db.photos.delete(id);
    else if (bytes) {
      const of = value as { buildId: string; at: string };
      await db.photos.put({ id, ...of, blob: photoBlob(bytes) });
    }
  },
  async accept({ value, bytes }) {
    const { buildId, at } = (value ?? {}) as { buildId?: unknown; at?: unknown };
    const isOne = isWord(buildId) && isWord(at) && bytes !== null && (await isPhoto(bytes));
    return isOne ? { buildId, at } : undefined;
  },
  word: () => ({ kind: 'shelf' }),
};

const device: ThingKind = {
  ids: async (db) => Object.keys(await devicesNow(db)),
  current: async (db, id) => (await devicesNow(db))[id] ?? null,
  async write(db, id, { value }) {
    const { [id]: before, ...others } = await devicesNow(db);
    void before;
    const now = value === null ? others : { ...others, [id]: value as PairedDevice };
    await db.settings.put({ key: devicesKey, value: now });
  },
  accept({ value }) {
    const { name, sign, box, addedAt, welcomed } = (value ?? {}) as Record<string, unknown>;
    const isOne = [name, sign, box, addedAt].every(isWord) && typeof welcomed === 'boolean';
    return Promise.resolve(isOne ? { name, sign, box, addedAt, welcomed } : undefined);
  },
  word: () => ({ kind: 'devices' }),
};

export const kinds: Readonly<Record<string, ThingKind>> = {
  // in this order they are sent: what is large comes last
  device,
  kitchen,
  row,
  cake,
  examples,
  record,
  try: drill,
  off,
  photo,
};

const ids = /^[A-Za-z0-9_.:-]{0,200}(\/[A-Za-z0-9_.:-]{1,200})?$/;
/** The kind and the id of a thing; null where there is no such kind. */
export function kindOf(item: string): { kind: ThingKind; id: string } | null {
  const at = item.indexOf('/');
  const [name, id] = at < 0 ? [item, ''] : [item.slice(0, at), item.slice(at + 1)];
  const kind = Object.hasOwn(kinds, name) ? kinds[name] : undefined;
  return kind && ids.test(id) ? { kind, id } : null;
}
export const itemOf = (kind: keyof typeof kinds, id: string): string =>
  id === '' ? String(kind) : `${String(kind)}/${id}`;
