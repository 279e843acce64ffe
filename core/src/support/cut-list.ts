/** A piece to saw off. */
export interface SawnPiece {
  label: string;
  lengthMm: number;
}
/** One rod or straw as bought, with the pieces in the order they are sawn. */
export interface Stick {
  pieces: SawnPiece[];
  leftMm: number;
}
export interface CutList {
  sticks: Stick[];
  /** Pieces longer than what is bought. */
  tooLong: SawnPiece[];
  /** Fewest sticks that any way of cutting could do with. */
  fewest: number;
}

/** Up to so many pieces every way of cutting is tried. */
const tryAll = 14;
const mostTurns = 200_000;

/**
 * Cuts pieces from sticks of one length so that the fewest sticks are used: the longest pieces first
 * where they fit tightest, then, for up to 14 pieces, a search through all ways that could do with
 * fewer. A saw cut is lost between two pieces.
 *
 * @param stockMm length of a stick as bought; @param kerfMm lost at each cut
 */
export function cutSticks(pieces: readonly SawnPiece[], stockMm: number, kerfMm: number): CutList {
  const tooLong = pieces.filter((piece) => piece.lengthMm > stockMm);
  // a cut lost after each piece but the last is one lost after each from a stick longer by one cut
  const room = stockMm + kerfMm;
  const needs = pieces
    .filter((piece) => piece.lengthMm <= stockMm)
    .sort((a, b) => b.lengthMm - a.lengthMm || (a.label < b.label ? -1 : 1));
  const sizes = needs.map((piece) => piece.lengthMm + kerfMm);
  const fewest = Math.max(
    Math.ceil(sizes.reduce((sum, size) => sum + size, 0) / room - 1e-9),
    sizes.filter((size) => size > room / 2 + 1e-9).length,
  );
  let best = tightestFit(sizes, room);
  if (needs.length <= tryAll && countOf(best) > fewest)
    best = search(sizes, room, fewest, best) ?? best;
  const sticks = Array.from({ length: countOf(best) }, (_, k): Stick => {
    const own = needs.filter((_piece, i) => best[i] === k);
    const used = own.reduce((sum, piece) => sum + piece.lengthMm, 0) + kerfMm * (own.length - 1);
    return { pieces: own, leftMm: Math.max(0, stockMm - used) };
  });
  return { sticks: sticks.sort((a, b) => a.leftMm - b.leftMm), tooLong, fewest };
}

const countOf = (homes: readonly number[]): number => Math.max(-1, ...homes) + 1;

function tightestFit(sizes: readonly number[], room: number): number[] {
  const left: number[] = [];
  return sizes.map((size) => {
    let at = -1;
    left.forEach((space, k) => {
      if (space >= size - 1e-9 && (at < 0 || space < left[at]!)) at = k;
    });
    if (at < 0) at = left.push(room) - 1;
    left[at]! -= size;
    return at;
  });
}

/** Branch and bound: a way with fewer sticks than `best`, or null. */
function search(
  sizes: readonly number[],
  room: number,
  fewest: number,
  best: readonly number[],
): number[] | null {
  let most = countOf(best) - 1;
  let found: number[] | null = null;
  let turns = 0;
  const homes = sizes.map(() => 0);
  const left: number[] = [];
  const place = (i: number): void => {
    if (found && countOf(found) === fewest) return;
    if (++turns > mostTurns) return;
    if (i === sizes.length) {
      found = [...homes];
      most = left.length - 1;
      return;
    }
    const tried = new Set<number>();
    for (let k = 0; k < left.length; k++) {
      if (left[k]! < sizes[i]! - 1e-9 || tried.has(Math.round(left[k]! * 1000))) continue;
      tried.add(Math.round(left[k]! * 1000));
      left[k]! -= sizes[i]!;
      homes[i] = k;
      place(i + 1);
      left[k]! += sizes[i]!;
    }
    if (left.length >= most) return;
    left.push(room - sizes[i]!);
    homes[i] = left.length - 1;
    place(i + 1);
    left.pop();
  };
  place(0);
  return found;
}
