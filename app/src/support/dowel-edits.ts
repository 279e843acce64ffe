import { limits, tierOf, type Build, type Dowels, type Lift } from '@pyrgotect/core';
import { useBuild } from '../stores/build.ts';

const clamp = (n: number): number =>
  Math.min(limits.dowelPlace.max, Math.max(limits.dowelPlace.min, n));

/** The dowels of a lift in a draft of its build. */
export function dowelsIn(draft: Build, lift: Lift): Dowels | null {
  const { stand } = tierOf(draft, lift.tierId);
  return lift.deck === null ? stand.dowels : (stand.decks[lift.deck]?.dowels ?? null);
}

/** Changes the dowels of a lift. */
export const editDowels = (
  lift: Lift,
  label: string,
  recipe: (dowels: Dowels) => void,
  merge: string | null = null,
): void =>
  useBuild().edit(
    label,
    (draft) => {
      const dowels = dowelsIn(draft, lift);
      if (dowels) recipe(dowels);
    },
    merge,
  );

/** The places as they stand, to be changed by hand. */
export const spotsOf = (lift: Lift): [number, number][] =>
  lift.placed.map(({ at }) => [Math.round(at.x), Math.round(at.y)]);

/** Moves one dowel; the computed ring becomes places set by hand. */
export function moveDowel(lift: Lift, i: number, x: number, y: number): void {
  editDowels(
    lift,
    `Dowel ${i + 1}`,
    (dowels) => {
      if (dowels.spots.length === 0) dowels.spots = spotsOf(lift);
      dowels.spots[i] = [clamp(x), clamp(y)];
    },
    `dowel/${lift.id}/${i}`,
  );
}
