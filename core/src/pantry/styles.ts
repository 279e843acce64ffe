import type { Source } from './types.ts';

export const coatStyles = [
  'naked',
  'semi-naked',
  'crumb coat only',
  'smooth',
  'rustic',
  'combed',
  'thick',
  'under fondant',
  'ganache shell',
  'poured veil',
] as const;
export type CoatStyle = (typeof coatStyles)[number];

/** Mean thicknesses in mm; `cover` is the share of the side and top that the crumb coat hides. */
export interface StyleRow {
  style: CoatStyle;
  title: string;
  crumbMm: number;
  cover: number;
  sideMm: number;
  topMm: number;
  source: Source;
  /** Spread of mean thickness, mm. */
  range: [low: number, high: number];
  words: string;
}

/** Customary coats: docs/model.md#coat. "Smooth 5" is the final coat on top of the crumb coat. */
export const styleRows: Record<CoatStyle, StyleRow> = {
  naked: row('naked', 'Naked', 0, 0, 0, [0, 0], 'no coat: the layers show'),
  'semi-naked': row(
    'semi-naked',
    'Semi-naked',
    0.8,
    0.6,
    0,
    [0.5, 1.2],
    'a scraped crumb coat that lets the layers show',
  ),
  'crumb coat only': row('crumb coat only', 'Crumb coat only', 1.5, 1, 0, [1, 2], 'one thin coat'),
  smooth: row('smooth', 'Smooth', 1.5, 1, 5, [4, 7], 'scraped smooth with a sharp rim'),
  rustic: row('rustic', 'Rustic', 1.5, 1, 6, [4, 9], 'swept with the spatula'),
  combed: row(
    'combed',
    'Combed',
    1.5,
    1,
    5.5,
    [4.5, 6.5],
    '7 mm at the ridges, 3 mm deep, triangular',
  ),
  thick: row(
    'thick',
    'Thick, for pressed pieces',
    1.5,
    1,
    8,
    [6, 10],
    'soft enough to press nuts or sprinkles into',
  ),
  'under fondant': row(
    'under fondant',
    'Under fondant',
    1.5,
    1,
    3,
    [2, 4],
    'a thin firm coat below rolled fondant',
  ),
  'ganache shell': row(
    'ganache shell',
    'Ganache shell',
    0,
    1,
    5,
    [4, 7],
    'firm ganache straight on the cake',
  ),
  'poured veil': row(
    'poured veil',
    'Poured over',
    0,
    1,
    2,
    [1.5, 2.5],
    'poured over on a rack; this is what stays, and the run-off is caught',
  ),
};

function row(
  style: CoatStyle,
  title: string,
  crumbMm: number,
  cover: number,
  thickMm: number,
  range: [number, number],
  words: string,
): StyleRow {
  return {
    style,
    title,
    crumbMm,
    cover,
    sideMm: thickMm,
    topMm: thickMm,
    source: 'trade custom',
    range,
    words,
  };
}
