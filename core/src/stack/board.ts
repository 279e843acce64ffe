import { fitsInside, grow, widthMm, type Outline } from '../outline/outline.ts';
import type { Board } from '../pantry/types.ts';
import { areaMm2 } from '../outline/outline.ts';

/** Rim of board that shows round the finished cake, for fingers and a border. */
export const boardMarginMm = 25;

/** Rim of board that shows beside the finished cake, left and right, mm; negative where it juts out. */
export const rimShownMm = (board: Board, finished: Outline): number =>
  (widthMm(board.outline) - widthMm(finished)) / 2;

/** True when the board shows at least `marginMm` all round the finished cake. */
export function boardFits(board: Board, finished: Outline, marginMm = boardMarginMm): boolean {
  const wanted = grow(finished, marginMm);
  return wanted !== null && fitsInside(wanted, board.outline);
}

/** The smallest board with a margin all round; undefined when none is large enough. */
export function smallestBoard(boards: readonly Board[], finished: Outline): Board | undefined {
  return boards
    .filter((board) => boardFits(board, finished))
    .sort((a, b) => areaMm2(a.outline) - areaMm2(b.outline))[0];
}
