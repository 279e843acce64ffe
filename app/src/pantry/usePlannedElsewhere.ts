import { plannedByOthers, type Build, type PlannedTake, type Stock } from '@pyrgotect/core';
import { onScopeDispose, shallowRef } from 'vue';
import { listen } from '../storage/channel.ts';
import { database } from '../storage/database.ts';

/** What other cakes on the shelf count on of things put away. */
export function usePlannedElsewhere(
  ownId: () => string,
): (row: Stock | undefined) => PlannedTake[] {
  const builds = shallowRef<Build[]>([]);
  const load = async (): Promise<void> => {
    const stored = await database.builds.toArray();
    builds.value = stored
      .map(({ build }) => build)
      .filter(({ tiers, fromStock }) => fromStock.length > 0 || tiers.some(({ stockId }) => stockId !== null)); // prettier-ignore
  };
  void load();
  onScopeDispose(
    listen((word) => {
      if (word.kind === 'build' || word.kind === 'shelf') void load();
    }),
  );
  return (row) => (row ? plannedByOthers(row, builds.value, ownId()) : []);
}
