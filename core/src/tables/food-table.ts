import { allergens, type Allergen, type Food } from '../pantry/types.ts';
import { readRows } from './rows.ts';
import { writeTable, type CsvResult } from './table.ts';

/** Columns of the ingredients' table, by the name in its first line. */
export const foodColumns = [
  'id',
  'name',
  'g per cup',
  'g per cup sifted',
  'g per cup scooped',
  'g per piece',
  'water %',
  'fat %',
  'sugar %',
  'salt %',
  'alcohol %',
  'allergens',
  'may contain',
  'pack g',
  'price',
  'stock g',
  'keeps days',
] as const;
export type FoodColumn = (typeof foodColumns)[number];
/** The columns that change from week to week: what lies there, what a pack holds and costs. */
export const stockColumns: readonly FoodColumn[] = [
  'id',
  'name',
  'stock g',
  'pack g',
  'price',
  'keeps days',
];

/** Stands in a table where an ingredient holds no allergen; an empty cell means that nobody has said. */
const noneWord = 'none';

const listOf = (text: string): string[] =>
  text
    .split(/[|/]/)
    .map((part) => part.trim().toLowerCase())
    .filter(Boolean);

/**
 * Reads a table of ingredients. Rows with the id or the name of a known one change it, others are
 * added. All of it or nothing: every problem names its line, column and value.
 *
 * @param freshId makes an id for a row that has none
 */
export function readFoods(
  text: string,
  known: readonly Food[],
  freshId: () => string,
): CsvResult<Food> {
  const byId = new Map(known.map((food) => [food.id, food]));
  const byName = new Map(known.map((food) => [food.name.toLowerCase(), food]));
  const seen = new Map<string, number>();
  return readRows(
    text,
    'foods',
    foodColumns,
    ['name'],
    ({ line, text: cell, figure, wrong }): Food => {
      const name = cell('name') ?? '';
      const before = byId.get(cell('id') ?? '') ?? byName.get(name.toLowerCase());
      const again = seen.get(name.toLowerCase());
      if (again !== undefined) wrong('name', name, `is in line ${again} already`);
      seen.set(name.toLowerCase(), line);
      const share = (column: FoodColumn, was: number): number => figure(column, was, 0.01) ?? 0;
      const allergenCells = (column: FoodColumn, was: Allergen[]): Allergen[] => {
        const text = cell(column);
        if (text === null) return was;
        if (text.toLowerCase() === noneWord) return [];
        return listOf(text).flatMap((word) => {
          const found = allergens.find((a) => a === word);
          if (!found) wrong(column, word, `is not one of: ${allergens.join(', ')}`);
          return found ? [found] : [];
        });
      };
      const allergenCell = cell('allergens');
      // an empty cell says nothing; a new row of which nothing is said is not known
      const declared =
        allergenCell === null || (allergenCell === '' && before?.allergens.length === 0)
          ? (before?.declared ?? false)
          : allergenCell !== '';
      return {
        id: before?.id ?? freshId(),
        name,
        source: 'own',
        ranges: before?.ranges ?? {},
        aliases: before?.aliases ?? [],
        cupG: figure('g per cup', before?.cupG ?? null),
        cupSiftedG: figure('g per cup sifted', before?.cupSiftedG ?? null),
        cupScoopedG: figure('g per cup scooped', before?.cupScoopedG ?? null),
        pieceG: figure('g per piece', before?.pieceG ?? null),
        boughtAs: before?.boughtAs ?? null,
        waterShare: share('water %', before?.waterShare ?? 0),
        fatShare: share('fat %', before?.fatShare ?? 0),
        sugarShare: share('sugar %', before?.sugarShare ?? 0),
        saltShare: share('salt %', before?.saltShare ?? 0),
        alcoholShare: share('alcohol %', before?.alcoholShare ?? 0),
        bloom: before?.bloom ?? null,
        allergens: allergenCells('allergens', before?.allergens ?? []),
        mayContain: allergenCells('may contain', before?.mayContain ?? []),
        traits: before?.traits ?? [],
        declared,
        packG: figure('pack g', before?.packG ?? null),
        price: figure('price', before?.price ?? null),
        stockG: figure('stock g', before?.stockG ?? 0) ?? 0,
        keepsDays: figure('keeps days', before?.keepsDays ?? null),
        cocoa: before?.cocoa ?? null,
        piece: before?.piece ?? null,
        gel: before?.gel ?? null,
        prep: before?.prep ?? null,
      };
    },
  );
}

type Cell = string | number | null;
const percent = (share: number): number => Number((share * 100).toFixed(3));
/** What stands in each column. */
const cellOf: Record<FoodColumn, (food: Food) => Cell> = {
  id: ({ id }) => id,
  name: ({ name }) => name,
  'g per cup': ({ cupG }) => cupG,
  'g per cup sifted': ({ cupSiftedG }) => cupSiftedG,
  'g per cup scooped': ({ cupScoopedG }) => cupScoopedG,
  'g per piece': ({ pieceG }) => pieceG,
  'water %': ({ waterShare }) => percent(waterShare),
  'fat %': ({ fatShare }) => percent(fatShare),
  'sugar %': ({ sugarShare }) => percent(sugarShare),
  'salt %': ({ saltShare }) => percent(saltShare),
  'alcohol %': ({ alcoholShare }) => percent(alcoholShare),
  allergens: ({ allergens: held, declared }) => held.join(' | ') || (declared ? noneWord : ''),
  'may contain': ({ mayContain }) => mayContain.join(' | '),
  'pack g': ({ packG }) => packG,
  price: ({ price }) => price,
  'stock g': ({ stockG }) => stockG,
  'keeps days': ({ keepsDays }) => keepsDays,
};

/** The ingredients as a table that `readFoods` reads back; what has no column in it stays as it is there. */
export const writeFoods = (
  foods: readonly Food[],
  columns: readonly FoodColumn[] = foodColumns,
): string =>
  writeTable(
    columns,
    foods.map((food) => columns.map((column) => cellOf[column](food))),
  );
