import type { Point } from '../outline/point.ts';

/** A place on an outline with how much of what hangs there faces the front: 1 in front, 0 at the edge. */
interface Facing extends Point {
  i: number;
  facing: number;
}

/** Places that are seen from the front, from the outside inwards: the middle is drawn last. */
export function seenFrom(places: readonly Point[]): Facing[] {
  const count = places.length;
  return places
    .map((place, i): Facing => {
      const next = places[(i + 1) % count]!;
      const before = places[(i + count - 1) % count]!;
      const along = Math.hypot(next.x - before.x, next.y - before.y);
      // the round runs to the right along the front
      const facing =
        count < 3 ? (place.y <= 0 ? 1 : 0) : (next.x - before.x) / Math.max(1e-9, along);
      return { ...place, i, facing };
    })
    .filter(({ facing }) => facing > 0.05)
    .sort((a, b) => a.facing - b.facing);
}

/** Behind first. */
export const fromBehind = <T extends { y: number }>(some: readonly T[]): T[] =>
  [...some].sort((a, b) => b.y - a.y);
