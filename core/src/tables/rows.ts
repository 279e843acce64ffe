import { ValidationError } from 'yup';
import { fieldProblem } from '../document/field-words.ts';
import { rowFields } from '../pantry/fields.ts';
import type { Pantry, PantryTable } from '../pantry/types.ts';
import { rowSchemas } from '../document/schema.ts';
import { cellNumber, readTable, type CsvProblem, type CsvResult } from './table.ts';

/* Rows of the pantry from a table whose columns have names. */

type RowOf<T extends PantryTable> = Pantry[T][number];

/** Most problems that are said of a table: who mends twenty reads it again. */
const mostProblems = 20;

/** The cells of one line, by the names of their columns. */
export interface Cells<C extends string> {
  line: number;
  /** Null where the table has no such column, '' where the cell is empty. */
  text: (column: C) => string | null;
  /** The figure in a cell; what it was where there is no such column; null where the cell is empty. */
  figure: (column: C, was: number | null, factor?: number) => number | null;
  /** Says what is wrong with a cell; nothing of the table is taken then. */
  wrong: (column: C, value: string, why: string) => void;
}

/**
 * Reads rows of a table of the pantry. All of them or nothing: every problem names its line, column and value.
 *
 * @param columns those that may be there
 * @param needed those that must be
 * @param rowOf the row that a line means; it is checked as every row of that table
 */
export function readRows<T extends PantryTable, C extends string>(
  text: string,
  table: T,
  columns: readonly C[],
  needed: readonly C[],
  rowOf: (cells: Cells<C>) => RowOf<T>,
): CsvResult<RowOf<T>> {
  const read = readTable(text);
  if (!('table' in read)) return read;
  const { header, rows, decimalComma } = read.table;
  const allowed = `The columns are: ${columns.join(', ')}.`;
  const missing = needed.find((column) => !header.includes(column));
  if (missing)
    return {
      ok: false,
      problems: [
        {
          line: 1,
          column: missing,
          value: header.join(', ').slice(0, 80),
          message: `Line 1: there is no column “${missing}”. ${allowed}`,
        },
      ],
    };
  const strange = header.filter((name) => !(columns as readonly string[]).includes(name));
  if (strange.length > 0)
    return {
      ok: false,
      problems: strange.slice(0, mostProblems).map((column) => ({
        line: 1,
        column,
        value: null,
        message: `Line 1: “${column}” is not a column known here. ${allowed}`,
      })),
    };
  const problems: CsvProblem[] = [];
  const made = rows.map(({ line, cells }): RowOf<T> => {
    const wrong = (column: C, value: string, why: string): void => {
      const message = `Line ${line}: ${column} “${value.slice(0, 40)}” ${why}.`;
      problems.push({ line, column, value, message });
    };
    const cellText = (column: C): string | null => {
      const at = header.indexOf(column);
      return at < 0 ? null : (cells[at] ?? '');
    };
    const figure = (column: C, was: number | null, factor = 1): number | null => {
      const cell = cellText(column);
      if (cell === null) return was;
      if (cell === '') return null;
      const value = cellNumber(cell, decimalComma);
      if (!Number.isNaN(value)) return value * factor;
      wrong(column, cell, 'is not a number');
      return was;
    };
    const before = problems.length;
    const row = rowOf({ line, text: cellText, figure, wrong });
    // what is wrong with a cell is not said again of the row that it leaves
    if (problems.length === before) problems.push(...problemsOf(row, table, line));
    return row;
  });
  return problems.length > 0
    ? { ok: false, problems: problems.slice(0, mostProblems) }
    : { ok: true, rows: made };
}

function problemsOf<T extends PantryTable>(row: RowOf<T>, table: T, line: number): CsvProblem[] {
  try {
    rowSchemas[table].validateSync(row, { strict: true, abortEarly: false });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const each = error.inner.length > 0 ? error.inner : [error];
    return each.map(({ path, errors }) => ({
      line,
      column: path || null,
      value: row.name,
      message: `Line ${line}: ${row.name || 'a row without a name'}: ${fieldProblem(path, errors[0], 'the row', rowFields[table])}.`,
    }));
  }
}
