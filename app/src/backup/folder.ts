import { database } from '../storage/database.ts';

/*
 * A folder of the user's into which backups are written by themselves, where the browser can; it asks
 * once each time it is opened whether it may.
 */

/** What the browser's types do not name yet. */
export interface BackupFolder {
  readonly name: string;
  queryPermission(of: { mode: 'readwrite' }): Promise<PermissionState>;
  requestPermission(of: { mode: 'readwrite' }): Promise<PermissionState>;
  getFileHandle(
    name: string,
    of: { create: true },
  ): Promise<{
    createWritable(): Promise<{ write(data: Blob): Promise<void>; close(): Promise<void> }>;
  }>;
  keys(): AsyncIterableIterator<string>;
  removeEntry(name: string): Promise<void>;
}
declare global {
  interface Window {
    showDirectoryPicker?: (of: { mode: 'readwrite'; id: string }) => Promise<BackupFolder>;
  }
}

const folderKey = 'backup folder';
const mode = { mode: 'readwrite' } as const;
/** So many of its own files stay in the folder; the oldest go. */
const keptFiles = 8;
const ownFile = /^pyrgotect-\d{4}-\d\d-\d\d(-\d{4})?\.zip$/;

export const canKeepFolder = (): boolean => typeof window.showDirectoryPicker === 'function';

export const folderNow = async (): Promise<BackupFolder | null> =>
  ((await database.settings.get(folderKey))?.value as BackupFolder | undefined) ?? null;

/** Asks for a folder; null where the user chose none. */
export async function chooseFolder(): Promise<BackupFolder | null> {
  try {
    const folder = await window.showDirectoryPicker!({ ...mode, id: 'pyrgotect' });
    await database.settings.put({ key: folderKey, value: folder });
    return folder;
  } catch (error) {
    if ((error as Error).name === 'AbortError') return null;
    throw error;
  }
}
export const forgetFolder = (): Promise<void> => database.settings.delete(folderKey);

/** True where it may be written to now. @param asking may ask the user, which takes a press of theirs */
export async function mayWrite(folder: BackupFolder, asking: boolean): Promise<boolean> {
  if ((await folder.queryPermission(mode)) === 'granted') return true;
  return asking && (await folder.requestPermission(mode)) === 'granted';
}

/** Writes a backup into the folder, and lets go of its oldest. */
export async function writeInto(folder: BackupFolder, name: string, blob: Blob): Promise<void> {
  const file = await folder.getFileHandle(name, { create: true });
  const writing = await file.createWritable();
  await writing.write(blob);
  // what was written before stands until here
  await writing.close();
  const own: string[] = [];
  for await (const each of folder.keys()) if (ownFile.test(each)) own.push(each);
  for (const old of own.sort().slice(0, Math.max(0, own.length - keptFiles)))
    await folder.removeEntry(old);
}
