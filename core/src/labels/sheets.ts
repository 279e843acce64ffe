import type { Quantity } from '../units/field.ts';

/* Sheets of labels as they are sold: so many across and down, each so large, in the middle of the paper. */

export const papersMm = { A4: [210, 297], Letter: [215.9, 279.4] } as const;
export type Paper = keyof typeof papersMm;

/** A sheet of equal labels in rows; what lies between them is the same everywhere. */
export interface LabelSheet {
  paper: Paper;
  columns: number;
  rows: number;
  wideMm: number;
  highMm: number;
  gapXMm: number;
  gapYMm: number;
}

const sheet = (
  paper: Paper,
  [columns, rows]: [number, number],
  [wideMm, highMm]: [number, number],
  [gapXMm, gapYMm]: [number, number] = [0, 0],
): LabelSheet => ({ paper, columns, rows, wideMm, highMm, gapXMm, gapYMm });

/** Sizes that are sold nearly everywhere; any other is typed. */
export const usualSheets: readonly LabelSheet[] = [
  sheet('A4', [2, 4], [99.1, 67.7], [2.5, 0]),
  sheet('A4', [2, 7], [99.1, 38.1], [2.5, 0]),
  sheet('A4', [3, 7], [63.5, 38.1], [2.5, 0]),
  sheet('A4', [3, 8], [70, 36]),
  sheet('A4', [1, 2], [199.6, 143.5]),
  sheet('Letter', [2, 3], [101.6, 84.7], [4.8, 0]),
  sheet('Letter', [2, 5], [101.6, 50.8], [4.8, 0]),
  sheet('Letter', [3, 10], [66.7, 25.4], [3.2, 0]),
];

/** What a sheet may be typed as. */
export const sheetLimits = {
  columns: { min: 1, max: 10, kind: 'count' },
  rows: { min: 1, max: 30, kind: 'count' },
  wideMm: { min: 20, max: 215, kind: 'span' },
  highMm: { min: 10, max: 297, kind: 'span' },
  gapXMm: { min: 0, max: 50, kind: 'span' },
  gapYMm: { min: 0, max: 50, kind: 'span' },
} as const satisfies Partial<Record<keyof LabelSheet, Quantity>>;

const spanOf = (count: number, size: number, gap: number): number =>
  count * size + (count - 1) * gap;

/** Why a sheet does not fit its paper; null where it does. */
export function sheetProblem(sheet: LabelSheet): 'too wide' | 'too high' | null {
  const [wide, high] = papersMm[sheet.paper];
  const slack = 0.5;
  if (spanOf(sheet.columns, sheet.wideMm, sheet.gapXMm) > wide + slack) return 'too wide';
  return spanOf(sheet.rows, sheet.highMm, sheet.gapYMm) > high + slack ? 'too high' : null;
}

export const labelsOn = ({ columns, rows }: LabelSheet): number => columns * rows;

/** Where a label lies: its page, and its upper left corner from that of the paper, mm. */
export interface LabelPlace {
  page: number;
  x: number;
  y: number;
}

/**
 * Where so many labels lie, row by row, beginning at a place of the first sheet.
 *
 * @param first place of the first label, from 0: those before it are used already
 */
export function labelPlaces(sheet: LabelSheet, count: number, first: number): LabelPlace[] {
  const [wide, high] = papersMm[sheet.paper];
  const left = (wide - spanOf(sheet.columns, sheet.wideMm, sheet.gapXMm)) / 2;
  const top = (high - spanOf(sheet.rows, sheet.highMm, sheet.gapYMm)) / 2;
  const onOne = labelsOn(sheet);
  return Array.from({ length: count }, (_, i) => {
    const at = first + i;
    const on = at % onOne;
    return {
      page: Math.floor(at / onOne),
      x: left + (on % sheet.columns) * (sheet.wideMm + sheet.gapXMm),
      y: top + Math.floor(on / sheet.columns) * (sheet.highMm + sheet.gapYMm),
    };
  });
}
