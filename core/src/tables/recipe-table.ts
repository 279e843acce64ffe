import type { Recipe } from '../pantry/types.ts';
import { readTable, writeTable, type CsvProblem, type CsvResult } from './table.ts';

/** Columns of a table of recipes that must be there; a line is an ingredient, or a step where "step" is filled. */
export const recipeColumns = ['recipe', 'amount', 'unit', 'ingredient'] as const;
const stepColumn = 'step';

/** A recipe as its lines, to be read as if it had been pasted; what comes out of it where that is known, g. */
export interface TakenRecipe {
  name: string;
  lines: string[];
  yieldG: number | null;
}

/**
 * Reads recipes from a table, one ingredient a line, as the text of a line each: the same reader as
 * for pasted recipes makes grams of them.
 */
export function readRecipeTable(text: string): CsvResult<TakenRecipe> {
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
    const step = header.includes(stepColumn) ? (cells[header.indexOf(stepColumn)] ?? '') : '';
    last = name || last;
    if (last && step && !ingredient) {
      recipes.set(last, [...(recipes.get(last) ?? []), step]);
      continue;
    }
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
  return { ok: true, rows: [...recipes].map(([name, lines]) => ({ name, lines, yieldG: null })) };
}

/** Recipes as a table that `readRecipeTable` reads back: a line for each ingredient, then one for each step. */
export const writeRecipes = (recipes: readonly Recipe[]): string =>
  writeTable(
    [...recipeColumns, stepColumn],
    recipes.flatMap(({ name, ingredients, steps }) => [
      ...ingredients.map((each) => [name, each.massG, 'g', each.name, '']),
      ...steps.map((step) => [name, '', '', '', step]),
    ]),
  );
