import type { OtherPlan } from '../others/other-layers.ts';
import { grow } from '../outline/outline.ts';
import type { Kitchen } from '../pantry/types.ts';
import { Shelf } from './shelf.ts';

/** What bakes on trays: so many at once, in so many loads, and how long that takes, min. */
export interface TrayRun {
  atOnce: number;
  loads: number;
  minutes: number;
}

/**
 * Discs and rounds on their trays (docs/model.md#oven-loads-and-batter-that-waits): as many at once as lie on a tray beside each
 * other once they have spread, trays and shelves considered. Null for what is not baked.
 */
export function trayRun(
  { row, traced, count }: Pick<OtherPlan, 'row' | 'traced' | 'count'>,
  kitchen: Kitchen,
): TrayRun | null {
  if (!row.bake || count <= 0) return null;
  const spread = traced && (grow(traced, row.spreadMm) ?? traced);
  const tray = new Shelf(kitchen);
  let onTray = 0;
  while (spread && onTray < count && tray.place(spread)) onTray += 1;
  const atOnce = Math.max(1, onTray) * Math.max(1, Math.min(kitchen.shelves, kitchen.trays));
  const loads = Math.ceil(count / atOnce);
  return {
    atOnce: Math.min(atOnce, count),
    loads,
    minutes: loads * row.bake.minutes + (loads - 1) * kitchen.turnaroundMin,
  };
}
