import { grouped } from '../units/format.ts';
import Papa from 'papaparse';

/* Tables as text: rows and columns, whatever parts them. */

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

/** Largest table that is read, in characters; the cells of `mostRows` rows are far below. */
export const maxTableLength = 4_000_000;

interface Table {
  header: string[];
  rows: { line: number; cells: string[] }[];
  decimalComma: boolean;
}

/** Signs that part columns where the table does not say which does. */
const usualSigns = [',', ';', '\t', '|', '^', '~'];
/** A first line that names the sign, as spreadsheets write it. */
const saysSign = /^"?sep=([^\w\s"]|\t)"?[^\S\t\r\n]*\r?\n/i;

/** What parts the columns: what the table says, or the sign that the header, which holds no figures, has most of. */
function delimiterOf(text: string): string {
  const header = text.slice(0, text.search(/\r?\n|$/)).replace(/"[^"]*"/g, '');
  const count = (sign: string): number => header.split(sign).length;
  return usualSigns.reduce((best, sign) => (count(sign) > count(best) ? sign : best));
}

/**
 * Reads a table with commas, semicolons, tabs, upright strokes or whatever its first line names ("sep=/") between
 * its columns, a byte-order mark before it or not, and decimal commas where no comma parts the columns.
 */
export function readTable(text: string): CsvResult<never> | { ok: true; table: Table } {
  const marked = text.replace(/^\uFEFF/, '');
  const named = saysSign.exec(marked);
  const clean = named ? marked.slice(named[0].length) : marked;
  const firstLine = named ? 2 : 1;
  const fail = (line: number, message: string): CsvResult<never> => ({
    ok: false,
    problems: [{ line, column: null, value: null, message }],
  });
  if (clean.trim() === '') return fail(1, 'The file is empty.');
  const parsed = Papa.parse<string[]>(clean, {
    delimiter: named?.[1] ?? delimiterOf(clean),
    preview: mostRows + 2,
  });
  const broken = parsed.errors.find((error) => error.type === 'Quotes');
  if (broken)
    return fail(
      (broken.row ?? 0) + firstLine,
      `Line ${(broken.row ?? 0) + firstLine}: a quotation mark is not closed.`,
    );
  const all = parsed.data
    .map((cells, i) => ({ line: i + firstLine, cells: cells.map(bareCell) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
  const long = all.find(({ cells }) => cells.some((cell) => cell.length > longestCell));
  if (long) {
    const letters = Math.max(...long.cells.map((cell) => cell.length));
    return fail(
      long.line,
      `Line ${long.line}: a cell of ${grouped(letters)} letters. A cell has at most ${grouped(longestCell)}; nothing was read.`,
    );
  }
  const [head, ...rows] = all;
  if (!head) return fail(1, 'The file is empty.');
  if (rows.length > mostRows)
    return fail(
      mostRows + 1,
      `The table has more than ${grouped(mostRows)} rows. Nothing was read; split it.`,
    );
  return {
    ok: true,
    table: {
      header: head.cells.map((cell) => cell.toLowerCase()),
      rows,
      decimalComma: parsed.meta.delimiter !== ',',
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
