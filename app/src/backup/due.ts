import type { ShelfEntry } from '../storage/database.ts';

/** When the last backup was made, and after how many days one is asked for; never where that is 0. */
export interface BackupHabit {
  lastAt: string | null;
  everyDays: number;
}
export const everyChoices = [7, 14, 30, 0] as const;
export const usualHabit: BackupHabit = { lastAt: null, everyDays: 14 };
export const habitKey = 'backup habit';

const dayMs = 86_400_000;

/** What a backup would keep that none does yet. */
export interface BackupDue {
  /** Cakes made or changed since the last one. */
  cakes: number;
  /** Days since the last one, or since the first of them was changed where there is none. */
  days: number;
}

/** Cakes made or changed since the last backup; examples count for nothing. */
export const waitingFor = (
  { lastAt }: BackupHabit,
  entries: readonly ShelfEntry[],
  examples: ReadonlySet<string>,
): ShelfEntry[] =>
  entries.filter(({ id, updatedAt }) => !examples.has(id) && updatedAt > (lastAt ?? ''));

/** What waits for a backup, as far as it is time for one. */
export function backupDue(
  habit: BackupHabit,
  entries: readonly ShelfEntry[],
  examples: ReadonlySet<string>,
  now: Date,
): BackupDue | null {
  const { lastAt, everyDays } = habit;
  const waiting = waitingFor(habit, entries, examples);
  const first = waiting.map(({ updatedAt }) => updatedAt).sort()[0];
  if (everyDays === 0 || first === undefined) return null;
  const days = Math.floor((now.getTime() - Date.parse(lastAt ?? first)) / dayMs);
  return days >= everyDays ? { cakes: waiting.length, days } : null;
}
