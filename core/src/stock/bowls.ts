import type { Build } from '../document/types.ts';
import type { Stock, StockPlace } from '../pantry/types.ts';
import { leftFor } from './stock.ts';

/** A bowl put away before that a batch is begun with, g. */
export interface BatchStock {
  rowId: string;
  name: string;
  massG: number;
  keptIn: StockPlace;
}

/** Gives out what is left of the bowls that a build uses up, batch by batch. */
export type TakeStock = (spreadId: string, needG: number) => BatchStock | null;

/** What a build takes of bowls put away: each gram once, to the first batch that wants it. */
export function stockTaker(build: Build, stock: readonly Stock[]): TakeStock {
  const left = new Map(stock.map((row) => [row.id, leftFor(row, build.id)]));
  return (spreadId, needG) => {
    const chosen = build.fromStock.find((one) => one.spreadId === spreadId);
    const row = stock.find(({ id, layer }) => id === chosen?.stockId && layer === null);
    if (!row || row.madeOfId !== spreadId) return null;
    const massG = Math.min(needG, left.get(row.id)!);
    if (massG <= 0) return null;
    left.set(row.id, left.get(row.id)! - massG);
    return { rowId: row.id, name: row.name, massG, keptIn: row.keptIn };
  };
}
