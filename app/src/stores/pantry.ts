import {
  mergeThree,
  pantryTables,
  startingPantry,
  type CarriedRows,
  type Kitchen,
  type Pantry,
  type PantryTable,
} from '@pyrgotect/core';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { plain } from '../storage/builds.ts';
import { listen, tell } from '../storage/channel.ts';
import { database, type OwnRow } from '../storage/database.ts';

export type RowOf<T extends PantryTable> = Pantry[T][number];
type AnyRow = RowOf<PantryTable>;

/** What is checked at the door is checked by this, which a kitchen without rows of its own never asks for. */
const checks = () => import('../pantry/checks.ts');

const keyOf = (table: PantryTable, id: string): string => `${table}/${id}`;

/** The built-in rows with the user's own changes on top. */
export const usePantry = defineStore('pantry', () => {
  const start = startingPantry();
  const pantry = shallowRef<Pantry>(start);
  const loaded = shallowRef(false);
  const builtIn = new Set<string>();
  for (const table of pantryTables)
    for (const row of start[table]) builtIn.add(keyOf(table, row.id));

  async function load(): Promise<void> {
    const next = { ...start };
    const own = await database.pantry.toArray();
    const kitchen = (await database.settings.get('kitchen'))?.value;
    const schemas = own.length > 0 || kitchen ? await checks() : null;
    for (const table of pantryTables) {
      const rows = new Map((next[table] as AnyRow[]).map((row) => [row.id, row]));
      for (const entry of own) {
        if (entry.table !== table) continue;
        const id = entry.key.slice(table.length + 1);
        if (entry.removed) rows.delete(id);
        else if (schemas?.rowSchemas[table].isValidSync(entry.row, { strict: true }))
          rows.set(id, entry.row);
      }
      (next[table] as AnyRow[]) = [...rows.values()];
    }
    if (schemas?.kitchenSchema.isValidSync(kitchen, { strict: true })) next.kitchen = kitchen;
    pantry.value = next;
    loaded.value = true;
  }

  const writtenAtOnce = 500;
  /** All of it or nothing; `progress` is told the share that is written. */
  async function write(
    entries: OwnRow[],
    progress: (share: number) => void = () => undefined,
  ): Promise<void> {
    await database.transaction('rw', database.pantry, async () => {
      for (let from = 0; from < entries.length; from += writtenAtOnce) {
        await database.pantry.bulkPut(entries.slice(from, from + writtenAtOnce));
        progress(Math.min(1, (from + writtenAtOnce) / entries.length));
      }
    });
    await load();
    tell({ kind: 'pantry' });
  }
  /**
   * Saves a row; throws yup's error when it is not valid. What another window changed of it since stays.
   *
   * @param from the row that it was made from, where that is not the one that is known here now
   */
  async function saveRow<T extends PantryTable>(
    table: T,
    row: RowOf<T>,
    from: RowOf<T> | undefined = (pantry.value[table] as RowOf<T>[]).find(
      ({ id }) => id === row.id,
    ),
  ): Promise<void> {
    const copy = plain(row);
    const { rowSchemas } = await checks();
    rowSchemas[table].validateSync(copy, { strict: true, abortEarly: false });
    const key = keyOf(table, row.id);
    await database.transaction('rw', database.pantry, async () => {
      const there = await database.pantry.get(key);
      const theirs = there && !there.removed ? (there.row as RowOf<T>) : null;
      const both = from && theirs ? mergeThree(plain(from), theirs, copy).value : copy;
      const fits = rowSchemas[table].isValidSync(both, { strict: true });
      await database.pantry.put({ key, table, row: fits ? both : copy, removed: false });
    });
    await load();
    tell({ kind: 'pantry' });
  }
  /** Saves several rows in one transaction, all of them valid already. */
  const saveRows = <T extends PantryTable>(
    table: T,
    rows: readonly RowOf<T>[],
    progress?: (share: number) => void,
  ): Promise<void> =>
    write(
      rows.map((row) => ({ key: keyOf(table, row.id), table, row: plain(row), removed: false })),
      progress,
    );
  const removeRow = (table: PantryTable, id: string): Promise<void> =>
    write([{ key: keyOf(table, id), table, row: null, removed: true }]);
  /** Takes the user's change of a row back. */
  async function resetRow(table: PantryTable, id: string): Promise<void> {
    await database.pantry.delete(keyOf(table, id));
    await load();
    tell({ kind: 'pantry' });
  }
  const addRows = (rows: CarriedRows): Promise<void> =>
    write(
      pantryTables.flatMap((table) =>
        rows[table].map((row) => ({
          key: keyOf(table, row.id),
          table,
          row: plain(row),
          removed: false,
        })),
      ),
    );
  async function saveKitchen(kitchen: Kitchen): Promise<void> {
    const copy = plain(kitchen);
    const known = plain(pantry.value.kitchen);
    const { kitchenSchema } = await checks();
    kitchenSchema.validateSync(copy, { strict: true, abortEarly: false });
    await database.transaction('rw', database.settings, async () => {
      const theirs = (await database.settings.get('kitchen'))?.value as Kitchen | undefined;
      const both = theirs ? mergeThree(known, theirs, copy).value : copy;
      const fits = kitchenSchema.isValidSync(both, { strict: true });
      await database.settings.put({ key: 'kitchen', value: fits ? both : copy });
    });
    await load();
    tell({ kind: 'pantry' });
  }
  const isBuiltIn = (table: PantryTable, id: string): boolean => builtIn.has(keyOf(table, id));

  listen((word) => {
    if (word.kind === 'pantry') void load();
  });
  return {
    pantry,
    loaded,
    load,
    saveRow,
    saveRows,
    removeRow,
    resetRow,
    addRows,
    saveKitchen,
    isBuiltIn,
  };
});
