import type { Build } from '../document/types.ts';
import type { Dowel } from '../pantry/types.ts';
import { cutSticks, type CutList, type SawnPiece } from './cut-list.ts';
import type { SupportPlan } from './support.ts';

/** Lost at each saw cut, mm. */
export const sawMm = 1;

/** The pieces cut from one kind of rod, tube or straw, and how many of them to buy. */
export interface CutFrom extends CutList {
  row: Dowel;
  pieces: SawnPiece[];
  needed: number;
  /** Over what is in the drawer. */
  toBuy: number;
  packs: number;
  cost: number | null;
}

/** The cut list: a label for each piece by its tier, the fewest sticks, packs to buy. */
export function cutListsOf(build: Build, support: SupportPlan): CutFrom[] {
  const byRow = new Map<Dowel, SawnPiece[]>();
  const put = (row: Dowel, piece: SawnPiece): void =>
    void byRow.set(row, [...(byRow.get(row) ?? []), piece]);
  for (const lift of support.lifts)
    lift.placed.forEach(({ lengthMm }, i) => {
      const name = build.tiers[lift.tierIndex]!.name;
      const board = lift.deck === null ? '' : `, board ${lift.deck + 1}`;
      put(lift.row!, {
        label: `${name}${board} ${i + 1}`,
        // saws and rulers read tenths of a millimetre at best
        lengthMm: Math.round(lengthMm * 10) / 10,
      });
    });
  const { rod } = support;
  if (rod) put(rod.row, { label: 'rod', lengthMm: Math.round(rod.lengthMm * 10) / 10 });
  return [...byRow].map(([row, pieces]): CutFrom => {
    const cut = cutSticks(pieces, row.lengthMm, sawMm);
    const needed = cut.sticks.length;
    const toBuy = Math.max(0, needed - row.owned);
    const packs = Math.ceil(toBuy / row.packCount);
    return {
      ...cut,
      row,
      pieces,
      needed,
      toBuy,
      packs,
      cost: row.price === null ? null : packs * row.price,
    };
  });
}
