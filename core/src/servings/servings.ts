import { areaMm2, type Outline } from '../outline/outline.ts';
import type { Cutting, Portion } from '../document/types.ts';
import { Remembered } from '../working/remembered.ts';
import { bestGrid, blockPieces, countBlocks, type Block, type Piece } from './blocks.ts';
import { countRings, countWedges, ringPieces, wedgePieces } from './wedges.ts';

/** Footprints of the customary portions, for a cake about 100 mm high (docs/model.md#servings). */
export const portionBlocks: Record<Portion, Block & { heightMm: number }> = {
  dessert: { wideMm: 25, deepMm: 50, heightMm: 100 },
  small: { wideMm: 25, deepMm: 25, heightMm: 100 },
};

/** From this height on a tier can be cut across and each half portioned. */
export const halvesFromMm = 150;

/** What a portion usually weighs, g (docs/model.md#servings). */
export const portionMassG: Record<Portion, [low: number, high: number]> = {
  dessert: [90, 120],
  small: [50, 60],
};

/**
 * Servings from one outline, seen from above.
 * @param halves true when the tier is cut across at half height first, which doubles the count
 */
export function countServings(
  outline: Outline,
  portion: Portion,
  cutting: Cutting,
  halves: boolean,
): number {
  const block = portionBlocks[portion];
  const key = JSON.stringify([outline, portion, cutting]);
  const once = counted.of(key, () => {
    switch (cutting) {
      case 'grid':
        return countBlocks(outline, block);
      case 'middle grid':
        return countBlocks(outline, block, true);
      case 'rings':
        return countRings(outline, block);
      case 'wedges':
        return countWedges(outline, block);
    }
  });
  return halves ? 2 * once : once;
}
const counted = new Remembered<number>();

/** The cutting map of one outline: every piece, and whether it counts. One level of it when halved. */
export function cuttingMap(outline: Outline, portion: Portion, cutting: Cutting): Piece[] {
  const block = portionBlocks[portion];
  switch (cutting) {
    case 'grid':
      return blockPieces(outline, bestGrid(outline, block, false));
    case 'middle grid':
      return blockPieces(outline, bestGrid(outline, block, true));
    case 'rings':
      return ringPieces(outline, block);
    case 'wedges':
      return wedgePieces(outline, countWedges(outline, block));
  }
}

/** Share of the outline that one portion takes: its footprint in a grid, an equal part otherwise. */
export function portionShare(outline: Outline, portion: Portion, cutting: Cutting): number {
  const block = portionBlocks[portion];
  if (cutting === 'wedges') return 1 / countWedges(outline, block);
  if (cutting === 'rings') return 1 / countRings(outline, block);
  return Math.min(1, (block.wideMm * block.deepMm) / areaMm2(outline));
}
