import type { Food, Pantry, PantryTable } from './types.ts';

/** What colours frosting and batter, and what colours chocolate. */
export const gelId = 'colour-gel';
export const oilColourId = 'colour-oil';

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

/** The ingredient that cakes and boards are covered with. */
export const fondantId = 'fondant';

const foodIndexes = new WeakMap<readonly Food[], Map<string, Food>>();

/**
 * The ingredient with this id; undefined for none. A plan asks for hundreds among thousands, so
 * each list is indexed once, and again when its length changes.
 */
export function foodOf(foods: readonly Food[], id: string | null): Food | undefined {
  if (id === null) return undefined;
  let index = foodIndexes.get(foods);
  if (index?.size !== foods.length) {
    index = new Map(foods.map((food) => [food.id, food]));
    foodIndexes.set(foods, index);
  }
  return index.get(id);
}
