import { asList, asObject, type Loose } from './loose.ts';

const day = 24 * 60;
/** What recipes of the house wait for, as version 10 said it: steps before, from, to, place, least, most. */
const waits: Record<
  string,
  [number, number | null, number | null, string, number, number | null][]
> = {
  'recipe-ganache': [[2, 50, 26, 'bowl', 120, null]],
  'recipe-softganache': [[2, 50, 26, 'bowl', 180, null]],
  'recipe-whippedganache': [
    [1, 50, 6, 'fridge', 360, 3 * day],
    [2, null, null, 'bowl', 0, 15],
  ],
  'recipe-cream': [[1, null, null, 'bowl', 0, 60]],
  'recipe-fudge': [[2, 58, 28, 'bowl', 0, null]],
  'recipe-nutspread': [[2, 40, 28, 'bowl', 0, null]],
  'recipe-compote': [[2, 98, 20, 'tray', 0, null]],
  'recipe-curd': [[2, 75, 8, 'tray in the fridge', 0, null]],
  'recipe-caramel': [[3, 106, 28, 'bowl', 0, null]],
  'recipe-butterscotch': [[2, 103, 30, 'bowl', 0, null]],
  'recipe-crepe': [[1, null, null, 'bowl', 30, null]],
  'recipe-mousse': [[2, 82, 28, 'cold water', 0, 20]],
  'recipe-biscuit': [[1, 22, 8, 'fridge', 30, null]],
  'recipe-syrup': [[1, 104, 26, 'bowl', 0, null]],
};

/**
 * Fields that version 10 added to a pantry row: recipes of the house wait as they should, of the
 * user's own nobody has said.
 */
export function rowFrom9(table: string, value: unknown): Loose {
  const row = asObject(value);
  if (table !== 'recipes') return row;
  const known = waits[String(row.id)];
  const holds =
    row.source === 'own'
      ? null
      : (known ?? []).map(([after, fromC, toC, where, leastMin, mostMin]) => ({
          after,
          fromC,
          toC,
          where,
          leastMin,
          mostMin,
        }));
  return { holds, ...row };
}

/** Fields that version 10 added to a build: where its fillings cool. */
export function buildFrom9(value: unknown): Loose {
  const build = asObject(value);
  return { ...build, day: { cooling: [], ...asObject(build.day) } };
}
