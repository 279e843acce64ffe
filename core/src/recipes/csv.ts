import Papa from 'papaparse';
import { fieldProblem } from '../document/field-words.ts';
import { rowFields } from '../pantry/fields.ts';
import { rowSchemas } from '../document/schema.ts';
import { allergens, type Allergen, type Food } from '../pantry/types.ts';
import { ValidationError } from 'yup';

/** Most rows that a table may have: beyond it nothing is read. */
export const mostRows = 10_000;

/** Most letters that a cell may have: names and lists of allergens are far shorter. */
const longestCell = 2000;

export interface CsvProblem {
  /** Line in the file, from 1. */
  line: number;
  column: string | null;
  value: string | null;
  message: string;
}
export type CsvResult<T> = { ok: true; rows: T[] } | { ok: false; problems: CsvProblem[] };

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
type FoodColumn = (typeof foodColumns)[number];

/** Stands in a table where an ingredient holds no allergen; an empty cell means that nobody has said. */
const noneWord = 'none';

interface Table {
  header: string[];
  rows: { line: number; cells: string[] }[];
  decimalComma: boolean;
}

/** What parts the columns: the sign that the header, which holds no figures, has most of. */
function delimiterOf(text: string): string {
  const header = text.slice(0, text.search(/\r?\n|$/)).replace(/"[^"]*"/g, '');
  const count = (sign: string): number => header.split(sign).length;
  return [',', ';', '\t'].reduce((best, sign) => (count(sign) > count(best) ? sign : best));
}

/**
 * Reads a table with commas, semicolons or tabs between its columns, a byte-order mark before it or
 * not, and decimal commas where semicolons part the columns.
 */
export function readTable(text: string): CsvResult<never> | { ok: true; table: Table } {
  const clean = text.replace(/^\uFEFF/, '');
  const fail = (line: number, message: string): CsvResult<never> => ({
    ok: false,
    problems: [{ line, column: null, value: null, message }],
  });
  if (clean.trim() === '') return fail(1, 'The file is empty.');
  const parsed = Papa.parse<string[]>(clean, {
    delimiter: delimiterOf(clean),
    preview: mostRows + 2,
  });
  const broken = parsed.errors.find((error) => error.type === 'Quotes');
  if (broken)
    return fail(
      (broken.row ?? 0) + 1,
      `Line ${(broken.row ?? 0) + 1}: a quotation mark is not closed.`,
    );
  const all = parsed.data
    .map((cells, i) => ({ line: i + 1, cells: cells.map(bareCell) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
  const long = all.find(({ cells }) => cells.some((cell) => cell.length > longestCell));
  if (long) {
    const letters = Math.max(...long.cells.map((cell) => cell.length));
    return fail(
      long.line,
      `Line ${long.line}: a cell of ${letters.toLocaleString('en')} letters. A cell has at most ${longestCell.toLocaleString('en')}; nothing was read.`,
    );
  }
  const [head, ...rows] = all;
  if (!head) return fail(1, 'The file is empty.');
  if (rows.length > mostRows)
    return fail(
      mostRows + 1,
      `The table has more than ${mostRows.toLocaleString('en')} rows. Nothing was read; split it.`,
    );
  return {
    ok: true,
    table: {
      header: head.cells.map((cell) => cell.toLowerCase()),
      rows,
      decimalComma: parsed.meta.delimiter === ';' || parsed.meta.delimiter === '\t',
    },
  };
}

/** A cell without the apostrophe that kept a spreadsheet from running it. */
const bareCell = (cell: string): string => cell.trim().replace(/^'(?=[=+\-@])/, '');

/** A number in a cell: "1.5", or "1,5" where the columns are parted by something else. */
export function cellNumber(text: string, decimalComma: boolean): number {
  const plain = decimalComma ? text.replace(',', '.') : text;
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : Number.NaN;
}

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
  const read = readTable(text);
  if (!('table' in read)) return read;
  const { header, rows, decimalComma } = read.table;
  const strange = header.filter((name) => !(foodColumns as readonly string[]).includes(name));
  if (!header.includes('name'))
    return {
      ok: false,
      problems: [
        {
          line: 1,
          column: 'name',
          value: header.join(', ').slice(0, 80),
          message: `Line 1: there is no column “name”. The columns are: ${foodColumns.join(', ')}.`,
        },
      ],
    };
  if (strange.length > 0)
    return {
      ok: false,
      problems: strange.map((column) => ({
        line: 1,
        column,
        value: null,
        message: `Line 1: “${column}” is not a column known here. The columns are: ${foodColumns.join(', ')}.`,
      })),
    };
  const problems: CsvProblem[] = [];
  const byId = new Map(known.map((food) => [food.id, food]));
  const byName = new Map(known.map((food) => [food.name.toLowerCase(), food]));
  const seen = new Map<string, number>();
  const foods = rows.map(({ line, cells }): Food => {
    const cell = (column: FoodColumn): string | null => {
      const at = header.indexOf(column);
      return at < 0 ? null : (cells[at] ?? '');
    };
    const wrong = (column: string, value: string, why: string): void => {
      problems.push({
        line,
        column,
        value,
        message: `Line ${line}: ${column} “${value.slice(0, 40)}” ${why}.`,
      });
    };
    const name = cell('name') ?? '';
    const before = byId.get(cell('id') ?? '') ?? byName.get(name.toLowerCase());
    const again = seen.get(name.toLowerCase());
    if (again !== undefined) wrong('name', name, `is in line ${again} already`);
    seen.set(name.toLowerCase(), line);
    const figure = (column: FoodColumn, was: number | null, factor = 1): number | null => {
      const text = cell(column);
      if (text === null) return was;
      if (text === '') return null;
      const value = cellNumber(text, decimalComma);
      if (Number.isNaN(value)) {
        wrong(column, text, 'is not a number');
        return was;
      }
      return value * factor;
    };
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
    const food: Food = {
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
      prep: before?.prep ?? null,
    };
    try {
      rowSchemas.foods.validateSync(food, { strict: true, abortEarly: false });
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error;
      const inner = error.inner.length > 0 ? error.inner : [error];
      for (const each of inner)
        problems.push({
          line,
          column: each.path || null,
          value: name,
          message: `Line ${line}: ${name || 'a row without a name'}: ${fieldProblem(each.path, each.errors[0], 'the row', rowFields.foods)}.`,
        });
    }
    return food;
  });
  return problems.length > 0
    ? { ok: false, problems: problems.slice(0, 20) }
    : { ok: true, rows: foods };
}

/** Lines of a recipe in a table: recipe, amount, unit, ingredient; the rest of the line is kept. */
export const recipeColumns = ['recipe', 'amount', 'unit', 'ingredient'] as const;

/**
 * Reads recipes from a table, one ingredient a line, as the text of a line each: the same reader as
 * for pasted recipes makes grams of them.
 */
export function readRecipeTable(text: string): CsvResult<{ name: string; lines: string[] }> {
  const read = readTable(text);
  if (!('table' in read)) return read;
  const { header, rows, decimalComma } = read.table;
  const missing = recipeColumns.filter((column) => !header.includes(column));
  if (missing.length > 0)
    return {
      ok: false,
      problems: [
        {
          line: 1,
          column: missing[0]!,
          value: header.join(', ').slice(0, 80),
          message: `Line 1: there is no column “${missing.join('”, “')}”. The columns are: ${recipeColumns.join(', ')}.`,
        },
      ],
    };
  const recipes = new Map<string, string[]>();
  const problems: CsvProblem[] = [];
  let last = '';
  for (const { line, cells } of rows) {
    const [name, amount, unit, ingredient] = recipeColumns.map(
      (column) => cells[header.indexOf(column)] ?? '',
    ) as [string, string, string, string];
    last = name || last;
    if (!last || !ingredient) {
      problems.push({
        line,
        column: last ? 'ingredient' : 'recipe',
        value: null,
        message: `Line ${line}: the ${last ? 'ingredient' : 'recipe'} is missing.`,
      });
      continue;
    }
    const figure = decimalComma ? amount.replace(',', '.') : amount;
    recipes.set(last, [
      ...(recipes.get(last) ?? []),
      `${figure} ${unit} ${ingredient}`.replace(/\s+/g, ' ').trim(),
    ]);
  }
  if (problems.length > 0) return { ok: false, problems: problems.slice(0, 20) };
  return { ok: true, rows: [...recipes].map(([name, lines]) => ({ name, lines })) };
}

/**
 * A table as text. A cell that a spreadsheet would take for a formula gets an apostrophe before it,
 * so that nothing in it is ever run.
 */
export function writeTable(
  header: readonly string[],
  rows: readonly (string | number | null)[][],
): string {
  const safe = (cell: string | number | null): string | number =>
    typeof cell === 'string' && /^[=+\-@\t\r]/.test(cell) ? `'${cell}` : (cell ?? '');
  return `${Papa.unparse({ fields: [...header], data: rows.map((row) => row.map(safe)) }, { newline: '\r\n' })}\r\n`;
}

/** The ingredients as a table that `readFoods` reads back. */
export const writeFoods = (foods: readonly Food[]): string =>
  writeTable(
    foodColumns,
    foods.map((food) => [
      food.id,
      food.name,
      food.cupG,
      food.cupSiftedG,
      food.cupScoopedG,
      food.pieceG,
      ...[food.waterShare, food.fatShare, food.sugarShare, food.saltShare, food.alcoholShare].map(
        (share) => Number((share * 100).toFixed(3)),
      ),
      food.allergens.join(' | ') || (food.declared ? noneWord : ''),
      food.mayContain.join(' | '),
      food.packG,
      food.price,
      food.stockG,
      food.keepsDays,
    ]),
  );

/** Largest table that is read, in characters; the cells of `mostRows` rows are far below. */
export const maxTableLength = 4_000_000;
