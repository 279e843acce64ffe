import { readFileSync } from 'node:fs';

/* What the browser of an earlier version of the program kept: stores as they were, rows out of that version's file. */

interface Index {
  name: string;
  path: string | string[];
}
interface Store {
  key: string;
  isCounted?: boolean;
  indexes: Index[];
}
export interface OlderStore {
  /** The browser's own number of that version. */
  version: number;
  stores: Record<string, Store>;
  rows: Record<string, object[]>;
}
interface OlderFile {
  build: { id: string; name: string; brief: { serveAt: string | null } };
  pantry: Record<string, { id: string }[]>;
}

/** Versions of the build's file of which one was kept. */
export const olderVersions = [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18] as const;
export type OlderVersion = (typeof olderVersions)[number];
/** The store was one version behind the file until devices were paired. */
const storeOf = (version: OlderVersion): number => (version < 17 ? version - 1 : version);

const on = (...names: string[]): Index[] => names.map((name) => ({ name, path: name }));
const both = (...path: string[]): Index => ({ name: `[${path.join('+')}]`, path });

export const olderFile = (version: OlderVersion): OlderFile =>
  JSON.parse(readFileSync(`core/test/fixtures/version-${version}.json`, 'utf8')) as OlderFile;

/** So many copies of that version's cake on the shelf, each with its history, and the rows of the pantry. */
export function olderStore(of: OlderVersion, count = 1): OlderStore {
  const version = storeOf(of);
  const { build, pantry } = olderFile(of);
  const builds = Array.from({ length: count }, (_, i) => ({
    ...build,
    ...(i > 0 ? { id: `${build.id}-${i}`, name: `${build.name} ${i}` } : {}),
  }));
  return {
    version: version * 10,
    stores: {
      builds: { key: 'id', indexes: [] },
      shelf: { key: 'id', indexes: on('serveAt', 'updatedAt') },
      revisions: {
        key: 'key',
        isCounted: true,
        indexes: [
          ...on('buildId'),
          both('buildId', 'revision'),
          ...(version >= 15 ? [both('buildId', 'at')] : []),
        ],
      },
      pantry: { key: 'key', indexes: on('table') },
      settings: { key: 'key', indexes: [] },
      ...(version >= 5 ? { carvings: { key: 'key', indexes: [] } } : {}),
      ...(version >= 6
        ? {
            records: { key: 'id', indexes: on('buildId') },
            photos: { key: 'id', indexes: on('buildId') },
            tries: { key: 'id', indexes: on('drill') },
          }
        : {}),
      ...(version >= 17 ? { carried: { key: 'item', indexes: [] } } : {}),
    },
    rows: {
      builds: builds.map((each) => ({ id: each.id, revision: 4, build: each })),
      shelf: builds.map(({ id, name, brief }) => ({
        ...{ id, name, occasion: '', serveAt: brief.serveAt, servings: 20 },
        updatedAt: '2027-05-01T10:00:00Z',
        ...(version >= 16 ? { customer: '', order: 'open', isPattern: false } : {}),
      })),
      revisions: builds.map((each) => ({
        ...{ buildId: each.id, revision: 4, at: '2027-05-01T10:00:00Z', label: 'x', build: each },
      })),
      pantry: [
        ...Object.entries(pantry).flatMap(([table, rows]) =>
          rows.map((row) => ({ key: `${table}/${row.id}`, table, row, removed: false })),
        ),
        { key: 'tins/gone', table: 'tins', row: null, removed: true },
      ],
      settings: [{ key: 'kitchen', value: { mixerMl: 6900 } }],
    },
  };
}

/** Lays it down; it stands for itself, so that it can be run in a page. */
export function layOlder({ name, older }: { name: string; older: OlderStore }): Promise<void> {
  return new Promise((done, fail) => {
    const asked = indexedDB.open(name, older.version);
    asked.onerror = () => fail(asked.error ?? new Error('not opened'));
    asked.onupgradeneeded = () => {
      for (const [table, { key, isCounted, indexes }] of Object.entries(older.stores)) {
        const options = { keyPath: key, autoIncrement: isCounted ?? false };
        const store = asked.result.createObjectStore(table, options);
        for (const { name: called, path } of indexes) store.createIndex(called, path);
      }
    };
    asked.onsuccess = () => {
      const db = asked.result;
      const work = db.transaction(Object.keys(older.rows), 'readwrite');
      for (const [table, rows] of Object.entries(older.rows))
        for (const row of rows) work.objectStore(table).put(row);
      work.oncomplete = () => {
        db.close();
        done();
      };
      work.onerror = () => fail(work.error ?? new Error('not laid'));
    };
  });
}
