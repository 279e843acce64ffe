import { depthMm, spansAt, widthMm, type Outline, type Point } from '../outline/outline.ts';

/** A portion seen from above, drawn as a closed polygon. `counted` pieces are servings. */
export interface Piece {
  points: Point[];
  counted: boolean;
}

/** Footprint of one portion in mm: `wideMm` by `deepMm`. */
export interface Block {
  wideMm: number;
  deepMm: number;
}

/** Least share of a block that has to be cake for it to be a serving (docs/model.md#servings). */
export const leastShare = 0.75;

const strips = 24;

/** One column of the grid: where there is cake at `strips` places across it, mm. */
interface Column {
  x: number;
  /** Pairs of from and to, strip by strip. */
  spans: Float64Array;
  /** From here to there the whole width of the column is cake, without a gap. */
  wholeFrom: number;
  wholeTo: number;
  /** Front and back of the farthest cake in the column. */
  reachFrom: number;
  reachTo: number;
}

function columnAt(outline: Outline, x: number, wideMm: number): Column {
  const spans: number[] = [];
  let [wholeFrom, wholeTo, reachFrom, reachTo] = [-Infinity, Infinity, Infinity, -Infinity];
  // the two edges of the column, and the middles of its strips
  for (let i = -1; i <= strips; i++) {
    const into = i < 0 ? 1e-6 : i === strips ? wideMm - 1e-6 : ((i + 0.5) * wideMm) / strips;
    const here = spansAt(outline, x + into);
    const only = here.length === 1 ? here[0]! : nothing;
    wholeFrom = Math.max(wholeFrom, only[0]);
    wholeTo = Math.min(wholeTo, only[1]);
    for (const [from, to] of here) {
      reachFrom = Math.min(reachFrom, from);
      reachTo = Math.max(reachTo, to);
      if (i >= 0 && i < strips) spans.push(from, to);
    }
  }
  return { x, spans: Float64Array.from(spans), wholeFrom, wholeTo, reachFrom, reachTo };
}
const nothing = [0, 0] as const;

/** Share of a block that is cake, 0 to 1, by the midpoint rule; whole blocks are told at once. */
function shareOf(column: Column, y0: number, y1: number): number {
  if (y0 >= column.wholeFrom - 1e-9 && y1 <= column.wholeTo + 1e-9) return 1;
  if (y0 >= column.reachTo || y1 <= column.reachFrom) return 0;
  const { spans } = column;
  let deep = 0;
  for (let i = 0; i < spans.length; i += 2) {
    const span = Math.min(y1, spans[i + 1]!) - Math.max(y0, spans[i]!);
    if (span > 0) deep += span;
  }
  return deep / (strips * (y1 - y0));
}

interface Grid {
  block: Block;
  x0: number;
  y0: number;
}

function columnsOf(outline: Outline, block: Block, x0: number): Column[] {
  const half = widthMm(outline) / 2;
  const first = Math.floor((-half - x0) / block.wideMm);
  const last = Math.ceil((half - x0) / block.wideMm);
  const columns: Column[] = [];
  for (let i = first; i < last; i++)
    columns.push(columnAt(outline, x0 + i * block.wideMm, block.wideMm));
  return columns;
}

/** Calls `use` with every block that may hold cake: its column, its lower edge and its share. */
function eachBlock(
  outline: Outline,
  columns: readonly Column[],
  block: Block,
  y0: number,
  use: (column: Column, y: number, share: number) => void,
): void {
  const half = depthMm(outline) / 2;
  const first = Math.floor((-half - y0) / block.deepMm);
  const last = Math.ceil((half - y0) / block.deepMm);
  for (let j = first; j < last; j++) {
    const y = y0 + j * block.deepMm;
    for (const column of columns) use(column, y, shareOf(column, y, y + block.deepMm));
  }
}

function count(outline: Outline, columns: readonly Column[], block: Block, y0: number): number {
  let n = 0;
  eachBlock(outline, columns, block, y0, (_column, _y, share) => {
    if (share >= leastShare - 1e-9) n += 1;
  });
  return n;
}

const turned = (block: Block): Block => ({ wideMm: block.deepMm, deepMm: block.wideMm });

/**
 * The placing of a grid of blocks on an outline that gives most servings, tried in both directions.
 * With `throughMiddle` a cut runs through the middle, as the trade does it; where that gives less, the
 * middle of a block is in the middle.
 */
export function bestGrid(
  outline: Outline,
  block: Block,
  throughMiddle: boolean,
): Grid & { count: number } {
  // mirror images count the same where the outline is its own mirror image both ways: half a block
  // of shift then covers every placing
  const mirrored = !['heart', 'petal', 'path'].includes(outline.kind);
  const shifts = throughMiddle
    ? [0, 0.5]
    : mirrored
      ? [0, 0.125, 0.25, 0.375, 0.5]
      : [0, 0.125, 0.25, 0.375, 0.5, 0.625, 0.75, 0.875];
  let best = { block, x0: 0, y0: 0, count: -1 };
  const square = block.wideMm === block.deepMm;
  for (const way of square ? [block] : [block, turned(block)])
    for (const sx of shifts) {
      const x0 = sx * way.wideMm;
      const columns = columnsOf(outline, way, x0);
      for (const sy of shifts) {
        const y0 = sy * way.deepMm;
        const n = count(outline, columns, way, y0);
        if (n > best.count) best = { block: way, x0, y0, count: n };
      }
    }
  return best;
}

/** Number of servings in the best (or the middle-cut) grid. */
export const countBlocks = (outline: Outline, block: Block, throughMiddle = false): number =>
  bestGrid(outline, block, throughMiddle).count;

/** The pieces of a grid, every one that has any cake in it; those under three quarters do not count. */
export function blockPieces(outline: Outline, { block, x0, y0 }: Grid): Piece[] {
  const pieces: Piece[] = [];
  eachBlock(outline, columnsOf(outline, block, x0), block, y0, ({ x }, y, share) => {
    if (share < 0.01) return;
    const [x1, y1] = [x + block.wideMm, y + block.deepMm];
    pieces.push({
      points: [
        { x, y },
        { x: x1, y },
        { x: x1, y: y1 },
        { x, y: y1 },
      ],
      counted: share >= leastShare - 1e-9,
    });
  });
  return pieces;
}
