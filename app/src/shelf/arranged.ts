import type { ShelfEntry } from '../storage/database.ts';

/* How the shelf is looked at: which cakes, and in which order. */

export const sortings = ['date', 'name', 'customer', 'changed'] as const;
export type Sorting = (typeof sortings)[number];
export const states = ['all', 'open', 'offered', 'confirmed'] as const;
export type States = (typeof states)[number];

export interface Group {
  title: string;
  entries: ShelfEntry[];
}

/** Cakes in which each word is found: in the name, the occasion or the customer. */
export function found(entries: readonly ShelfEntry[], search: string, state: States): ShelfEntry[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return entries.filter((entry) => {
    const text = `${entry.name} ${entry.occasion} ${entry.customer}`.toLowerCase();
    return words.every((word) => text.includes(word)) && (state === 'all' || entry.order === state);
  });
}

const byWord =
  (of: (entry: ShelfEntry) => string) =>
  (a: ShelfEntry, b: ShelfEntry): number =>
    // what has none comes last
    Number(of(a) === '') - Number(of(b) === '') || of(a).localeCompare(of(b));
const orders: Record<Exclude<Sorting, 'date'>, (a: ShelfEntry, b: ShelfEntry) => number> = {
  name: byWord(({ name }) => name),
  customer: byWord(({ customer }) => customer),
  changed: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
};

/** The first so many cakes of some groups. */
export function firstOf(groups: readonly Group[], most: number): Group[] {
  let left = most;
  return groups.flatMap(({ title, entries }) => {
    const shown = entries.slice(0, left);
    left -= shown.length;
    return shown.length > 0 ? [{ title, entries: shown }] : [];
  });
}

/** By date in the groups of a shelf, otherwise in one row; patterns stand by themselves. */
export function grouped(entries: readonly ShelfEntry[], sorting: Sorting, today: string): Group[] {
  const cakes = entries.filter(({ isPattern }) => !isPattern);
  const patterns = { title: 'Patterns', entries: entries.filter(({ isPattern }) => isPattern) };
  const open = cakes.filter(({ finished }) => !finished);
  const groups: Group[] =
    sorting === 'date'
      ? [
          { title: 'To be made', entries: open.filter((e) => e.serveAt && e.serveAt >= today) },
          { title: 'Without a date', entries: open.filter((e) => !e.serveAt) },
          { title: 'Served', entries: open.filter((e) => e.serveAt && e.serveAt < today) },
          { title: 'Finished', entries: cakes.filter(({ finished }) => finished) },
        ]
      : [{ title: 'Cakes', entries: [...cakes].sort(orders[sorting]) }];
  return [...groups, patterns].filter((group) => group.entries.length > 0);
}
