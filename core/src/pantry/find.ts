import type { Pantry, PantryTable } from './types.ts';

/** Something in the pantry keeps a stage from its result. */
export class PantryProblem extends Error {
  constructor(
    readonly key: string,
    message: string,
  ) {
    super(message);
  }
}

/** A row that a build names is not in the pantry. */
export class MissingRow extends PantryProblem {
  constructor(
    readonly table: PantryTable,
    readonly rowId: string,
  ) {
    super(`${table}/${rowId}`, `The pantry has no row “${rowId}” among its ${table}.`);
  }
}

/**
 * The row with this id.
 * @throws MissingRow when the pantry has none
 */
export function findRow<T extends PantryTable>(
  pantry: Pantry,
  table: T,
  id: string,
): Pantry[T][number] {
  const found = (pantry[table] as Pantry[T][number][]).find((row) => row.id === id);
  if (!found) throw new MissingRow(table, id);
  return found;
}
