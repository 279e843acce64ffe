import { proxy } from 'comlink';
import { format } from 'date-fns';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import {
  backupDue,
  habitKey,
  usualHabit,
  type BackupDue,
  type BackupHabit,
} from '../backup/due.ts';
import { mayWrite, folderNow, writeInto, type BackupFolder } from '../backup/folder.ts';
import type { BackupDesk, BackupOpened } from '../backup/backup-desk.ts';
import type { BackupChoice, BackupTaken } from '../backup/take-in.ts';
import { plain } from '../storage/builds.ts';
import { listen, tell } from '../storage/channel.ts';
import { database } from '../storage/database.ts';
import { useStorageState } from '../storage/state.ts';
import { Watched } from '../workers/watched.ts';
import { useCarvings } from './carvings.ts';
import { useHand } from './hand.ts';
import { usePantry } from './pantry.ts';
import { useSettings } from './settings.ts';
import { useShelf } from './shelf.ts';

type Progress = (share: number) => void;

const worker = new Watched<BackupDesk>(
  () => new Worker(new URL('../workers/backup.worker.ts', import.meta.url), { type: 'module' }),
);

/** Backups: made, read, taken in; when the last one was, and where they go by themselves. */
export const useBackups = defineStore('backups', () => {
  const habit = shallowRef<BackupHabit>(usualHabit);
  const folder = shallowRef<BackupFolder | null>(null);
  const loaded = ref(false);
  const storage = useStorageState();
  /** The share that is done of what is being made, read or taken in; null while nothing is. */
  const progress = ref<number | null>(null);
  let inPage: BackupDesk | null = null;

  async function load(): Promise<void> {
    const kept = (await database.settings.get(habitKey))?.value as Partial<BackupHabit> | undefined;
    habit.value = { ...usualHabit, ...kept };
    folder.value = await folderNow();
    loaded.value = true;
  }
  async function setHabit(change: Partial<BackupHabit>): Promise<void> {
    habit.value = { ...habit.value, ...change };
    await database.settings.put({ key: habitKey, value: plain(habit.value) });
    tell({ kind: 'settings' });
  }

  /** Asks beside the page; in it where nothing is kept that another could read. */
  async function ask<A>(work: (desk: BackupDesk, told: Progress) => Promise<A>): Promise<A> {
    progress.value = 0;
    try {
      if (storage.value.kind === 'memory' || typeof Worker === 'undefined') {
        const { BackupDesk: Desk } = await import('../backup/backup-desk.ts');
        inPage ??= new Desk(() => database);
        return await work(inPage, (share) => (progress.value = share));
      }
      return await worker.ask((remote, pulse) => {
        const told = proxy((share: number) => {
          pulse();
          progress.value = share;
        });
        return work(remote as unknown as BackupDesk, told);
      });
    } finally {
      progress.value = null;
    }
  }

  /** A name that a folder sorts by day. */
  const fileName = (): string => `pyrgotect-${format(new Date(), 'yyyy-MM-dd-HHmm')}.zip`;
  const made = (): Promise<void> => setHabit({ lastAt: new Date().toISOString() });
  /** Everything as one file. */
  async function make(withVersions: boolean): Promise<{ name: string; blob: Blob }> {
    const { pantry } = usePantry();
    const { blob } = await ask((desk, told) => desk.make(withVersions, plain(pantry), told));
    return { name: fileName(), blob };
  }
  /** Writes one into the chosen folder; false where it may not be written to. @param asking see mayWrite */
  async function makeInFolder(asking: boolean): Promise<boolean> {
    if (!folder.value || !(await mayWrite(folder.value, asking))) return false;
    const { name, blob } = await make(false);
    await writeInto(folder.value, name, blob);
    await made();
    return true;
  }

  const open = (file: Blob): Promise<BackupOpened> => ask((desk, told) => desk.open(file, told));
  /** Takes in what was chosen of the open backup; every window shows it. */
  async function take(choice: BackupChoice): Promise<BackupTaken> {
    const taken = await ask((desk, told) => desk.take(plain(choice), told));
    const hand = useHand();
    await Promise.all([usePantry().load(), useSettings().load(), useCarvings().load()]);
    if (hand.loaded) await hand.load();
    const shelf = useShelf();
    await shelf.markExamples();
    await shelf.load();
    for (const { id, revision } of taken.cakes) tell({ kind: 'build', id, revision });
    for (const kind of ['shelf', 'pantry', 'hand', 'settings'] as const) tell({ kind });
    return taken;
  }

  /** What waits for a backup, where it is time for one. */
  const due = (): BackupDue | null => {
    const shelf = useShelf();
    return loaded.value ? backupDue(habit.value, shelf.entries, shelf.examples, new Date()) : null;
  };
  listen((word) => {
    if (word.kind === 'settings' && loaded.value) void load();
  });
  return {
    habit,
    folder,
    loaded,
    progress,
    load,
    setHabit,
    make,
    made,
    makeInFolder,
    open,
    take,
    due,
  };
});
