import { shallowRef } from 'vue';
import { Database, database, replaceDatabase } from './database.ts';

/**
 * Where what is typed here goes: into the browser; into this window's memory alone, for the browser keeps
 * nothing; or nowhere, for a newer program has changed what is stored, or an older one holds it.
 */
export type StorageState =
  | { kind: 'kept' }
  | { kind: 'memory'; why: string }
  | { kind: 'newer' }
  | { kind: 'held' }
  | { kind: 'emptied' };

const state = shallowRef<StorageState>({ kind: 'kept' });
export const useStorageState = () => state;

/** The browser's name for what a newer program has written. */
const newerName = 'VersionError';

/**
 * Opens what the browser keeps, or a store in memory where it keeps nothing: work goes on, and the mark says
 * so. Safe to call again.
 */
export async function openStorage(): Promise<void> {
  watchStorage(database);
  try {
    await database.open();
  } catch (error) {
    const { name, message } = error as Error;
    if (name === newerName) {
      state.value = { kind: 'newer' };
      throw error;
    }
    const { IDBFactory, IDBKeyRange } = await import('fake-indexeddb');
    replaceDatabase(
      new Database('pyrgotect', { indexedDB: new IDBFactory(), IDBKeyRange: IDBKeyRange }),
    );
    await database.open();
    state.value = { kind: 'memory', why: message.split(/\.\s|\n/)[0]!.slice(0, 160) };
  }
}

function watchStorage(db: Database): void {
  // an older window that does not let go holds up the newer program
  db.on('blocked', () => void (state.value = { kind: 'held' }));
  db.on('ready', () => {
    if (state.value.kind === 'held') state.value = { kind: 'kept' };
  });
  db.on('versionchange', ({ newVersion }) => {
    if (newVersion === null) {
      // it opens anew, empty, with the next thing that is kept
      state.value = { kind: 'emptied' };
      db.close({ disableAutoOpen: false });
      return false;
    }
    // nothing is written any more by a program that does not know what it writes over
    state.value = { kind: 'newer' };
    db.close({ disableAutoOpen: true });
    return false;
  });
}
