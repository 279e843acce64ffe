import type { Build } from '../document/types.ts';
import type { Stock } from '../pantry/types.ts';
import { spongeLayers } from '../tins/sponge-layers.ts';
import { leftFor } from './stock.ts';

/** Another cake that counts on something put away and has not taken it yet. */
export interface PlannedTake {
  buildId: string;
  name: string;
  /** Layers it still wants; null for a bowl, of which it takes what it needs. */
  layers: number | null;
}

/** Layers of a row that a build wants in all. */
const wantedOf = (build: Build, row: Stock): number =>
  build.tiers
    .filter(({ stockId }) => stockId === row.id)
    .reduce((sum, tier) => sum + spongeLayers(tier).length, 0);

/**
 * Cakes besides one that count on a row and have not taken it yet: what is finished, or has taken all that
 * it wants, counts on nothing any more.
 */
export function plannedByOthers(
  row: Stock,
  builds: readonly Build[],
  ownId: string,
): PlannedTake[] {
  return builds.flatMap((build): PlannedTake[] => {
    if (build.id === ownId || build.bench.finished !== null) return [];
    const { id: buildId, name } = build;
    const taken = row.taken.find((one) => one.buildId === buildId)?.amount ?? 0;
    if (row.layer === null)
      return taken === 0 && build.fromStock.some(({ stockId }) => stockId === row.id)
        ? [{ buildId, name, layers: null }]
        : [];
    const layers = wantedOf(build, row) - taken;
    return layers > 0 ? [{ buildId, name, layers }] : [];
  });
}

/** Layers that are missing when this cake and the others all take what they count on; 0 for none. */
export function missingLayers(row: Stock, build: Build, others: readonly PlannedTake[]): number {
  const own = wantedOf(build, row);
  const theirs = others.reduce((sum, { layers }) => sum + (layers ?? 0), 0);
  return Math.max(0, own + theirs - leftFor(row, build.id));
}
