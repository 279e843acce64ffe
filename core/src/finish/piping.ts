import { downAt, type Rim } from '../mould/rim.ts';
import type { Piped } from '../document/finish-types.ts';
import type { PipingJob } from '../document/types.ts';
import type { Point } from '../outline/point.ts';
import { coarse, grow, perimeterMm, widthMm, type Outline } from '../outline/outline.ts';
import {
  fitCount,
  lengthForms,
  lengthMl,
  pieceOf,
  placesAlong,
  standsBy,
  writingMm,
} from '../piping/shapes.ts';

/** The tier that a job is piped on. Lengths in mm. */
export interface PipedOn {
  tierId: string;
  finished: Outline;
  rim: Rim;
  heightMm: number;
}

/** Pieces that stand in one row, or points along a line: their feet above the tier's, their middles from its axis. */
export interface PipedRow {
  upMm: number;
  places: readonly Point[];
}

/** A job with its grams, pieces and length as computed, and where every piece sits. */
export interface PlannedPiping extends PipingJob {
  spread: string;
  /** Of one piece or of the line. */
  acrossMm: number;
  highMm: number;
  pieceG: number | null;
  /** The line it goes round; null for what is piped apart or by weight. */
  line: Outline | null;
  /** From the lowest up; a line that is piped in one go has one. */
  rows: PipedRow[];
  /** Pieces that would fit the line. */
  most: number | null;
  /** A strip to try the hand on before. */
  practiceMm: number;
  /** There is no room for it where it is to go. */
  noRoom: boolean;
}

/** Marks along a line that is piped in one go, for drawing it. */
const lineMarks = 120;

const lineOf = (piped: Piped, on: PipedOn, acrossMm: number): Outline | null => {
  switch (piped.where) {
    case 'top edge':
      return grow(coarse(on.rim.outline), -acrossMm / 2);
    case 'foot':
      return grow(coarse(on.finished), acrossMm / 2);
    case 'side':
    case 'whole side':
      return on.finished;
    case 'on top':
      return grow(coarse(on.rim.outline), -(piped.insetMm + acrossMm / 2));
    case 'apart':
      return null;
  }
};

/**
 * Heights at which it goes round, mm above the foot: one, or rows that fill a side from foot to edge, each as
 * high as a piece is across. Rows that do not come out even are drawn a little closer or apart.
 */
const rowsUpMm = (piped: Piped, on: PipedOn, line: Outline | null, acrossMm: number): number[] => {
  switch (piped.where) {
    case 'foot':
      return [0];
    case 'side':
      return [Math.min(piped.upMm, on.heightMm)];
    case 'whole side': {
      const rows = Math.max(1, Math.round(on.heightMm / Math.max(1, acrossMm)));
      return Array.from({ length: rows }, (_, k) => ((k + 0.5) * on.heightMm) / rows);
    }
    default:
      return [on.heightMm - (line ? downAt(on.rim, widthMm(line) / 2) : 0)];
  }
};

/** One job as it is piped: fitted round its line, with grams from pieces or length (docs/model.md#piping-and-toppings). */
export function planPiping(
  job: PipingJob,
  spread: string,
  tier: PipedOn | null,
  densityGPerMl: number,
): PlannedPiping {
  const { piped } = job;
  if (!piped || !tier)
    return {
      ...job,
      spread,
      acrossMm: 0,
      highMm: 0,
      pieceG: null,
      line: null,
      rows: [],
      most: null,
      practiceMm: 0,
      noRoom: piped !== null,
    };
  const { form, nozzle, wideMm, radiusMm, weighedG } = piped;
  const stands = standsBy(form, wideMm, radiusMm);
  const line = lineOf(piped, tier, stands.acrossMm);
  const noRoom = line === null && piped.where !== 'apart';
  const ups = rowsUpMm(piped, tier, line, stands.acrossMm);
  // every other row stands in the gaps of the one below
  const rowsOf = (count: number): PipedRow[] => {
    if (!line || count === 0) return [];
    const turns = ups.length > 1 ? [0, 1 / 2] : [0];
    const around = turns.map((shift) => placesAlong(line, count, shift));
    return ups.map((upMm, k) => ({ upMm, places: around[k % 2]! }));
  };
  const common = { ...job, spread, ...stands, line, noRoom };
  if (lengthForms.includes(form)) {
    const along = line ? perimeterMm(line) * ups.length : piped.lengthMm;
    const lineMm = noRoom ? 0 : form === 'writing' ? writingMm(piped.text, piped.letterMm) : along;
    const ml = lengthMl(form, nozzle, wideMm, lineMm);
    return {
      ...common,
      massG: weighedG === null ? ml * densityGPerMl : (weighedG * lineMm) / 100,
      pieces: 0,
      lineMm,
      pieceG: null,
      rows: form === 'writing' ? [] : rowsOf(lineMarks),
      most: null,
      practiceMm: Math.max(150, lineMm / 10),
    };
  }
  const piece = pieceOf(form, nozzle, wideMm, radiusMm);
  const pieceG = weighedG ?? piece.ml * densityGPerMl;
  const most = line ? fitCount(perimeterMm(line), piece.pitchMm, false) : null;
  const fitted = line
    ? fitCount(perimeterMm(line), piece.pitchMm, piped.odd)
    : Math.max(1, Math.round(piped.lengthMm / piece.pitchMm));
  const count = noRoom ? 0 : Math.min(piped.count ?? fitted, most ?? Infinity);
  return {
    ...common,
    massG: pieceG * count * ups.length,
    pieces: count * ups.length,
    lineMm: 0,
    pieceG,
    rows: rowsOf(count),
    most,
    practiceMm: 10 * piece.pitchMm,
  };
}

/** From so many pieces on each is smaller than a pen's line, and that many would hold a page. */
const mostPiecesDrawn = 4000;
/** Whether a drawing shows a row in one instead of piece by piece. */
export const isDrawnByRow = ({ pieces }: Pick<PlannedPiping, 'pieces'>): boolean =>
  pieces > mostPiecesDrawn;

/** Where pieces stand seen from above: rows from the third on stand over those below them. */
export const placesFromAbove = ({ rows }: Pick<PlannedPiping, 'rows'>): Point[] =>
  rows.slice(0, 2).flatMap(({ places }) => places);

const topOf = (
  { where, upMm }: Piped,
  acrossMm: number,
  highMm: number,
  rows: readonly PipedRow[],
): number => {
  switch (where) {
    case 'foot':
      return highMm;
    case 'side':
      return upMm + acrossMm / 2;
    case 'whole side':
      return (rows.at(-1)?.upMm ?? 0) + acrossMm / 2;
    default:
      return 0;
  }
};

/** How high the borders stand that drips of a tier would run into, mm above its foot; 0 for none. */
export function borderTopMm(jobs: readonly PlannedPiping[], tierId: string): number {
  const tops = jobs
    .filter(({ piped, noRoom }) => piped?.tierId === tierId && !noRoom)
    .map(({ piped, highMm, acrossMm, rows }) => topOf(piped!, acrossMm, highMm, rows));
  return Math.max(0, ...tops);
}
