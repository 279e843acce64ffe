import { randomFrom } from '../bowls/chance.ts';
import { contains, grow, widthMm, type Outline, type Point } from '../outline/outline.ts';
import { placesAlong } from '../piping/shapes.ts';

export const arrangements = ['round', 'clusters', 'crescent', 'scattered'] as const;
export type Arrangement = (typeof arrangements)[number];

/** Where pieces stand on a top. Lengths in mm. */
export interface Arranged {
  arrangement: Arrangement;
  count: number;
  /** Across one piece, and how far its middle stays from the rim besides. */
  acrossMm: number;
  insetMm: number;
  /** Pieces to a cluster: odd numbers look right. */
  clusterOf: number;
  /** A crescent's share of the rim. */
  share: number;
  seed: number;
}

/** The next odd number that is not less; even ones as they are when that is allowed. */
export const oddCount = (count: number): number => (count % 2 === 0 ? count + 1 : count);

/**
 * Places of so many pieces on a top, all of each inside the outline: round the rim, in clusters
 * along it, over a part of it, or strewn by a seed. Fewer where there is no room for more.
 */
export function placePieces(outline: Outline, arranged: Arranged): Point[] {
  const { arrangement, count, acrossMm, insetMm, clusterOf, share, seed } = arranged;
  const line = grow(outline, -(insetMm + acrossMm / 2));
  if (!line || count < 1) return [];
  const inside = (point: Point): boolean => contains(line, point, 0.5);
  switch (arrangement) {
    case 'round':
      return placesAlong(line, count);
    case 'crescent': {
      const all = placesAlong(line, Math.max(count, Math.round(count / Math.max(0.05, share))));
      return all.slice(0, count);
    }
    case 'clusters': {
      const clusters = Math.max(1, Math.round(count / clusterOf));
      return placesAlong(line, clusters)
        .flatMap((centre) => clusterRound(centre, clusterOf, acrossMm))
        .filter(inside)
        .slice(0, count);
    }
    case 'scattered': {
      const random = randomFrom(seed);
      const places: Point[] = [];
      const reach = widthMm(line);
      // pieces keep clear of each other while there is room
      for (let tries = 0; tries < 400 * count && places.length < count; tries++) {
        const point = { x: (random() - 0.5) * reach, y: (random() - 0.5) * reach };
        if (!inside(point)) continue;
        if (places.every((other) => Math.hypot(other.x - point.x, other.y - point.y) >= acrossMm))
          places.push(point);
      }
      return places;
    }
  }
}

/** One piece in the middle and the others close round it, turned inwards. */
function clusterRound(centre: Point, count: number, acrossMm: number): Point[] {
  const inward = Math.atan2(-centre.y, -centre.x);
  return Array.from({ length: count }, (_, i) => {
    if (i === 0) return centre;
    const angle = inward + ((i - 1) * 2 * Math.PI) / Math.max(1, count - 1);
    return {
      x: centre.x + acrossMm * Math.cos(angle),
      y: centre.y + acrossMm * Math.sin(angle),
    };
  });
}

/** Pieces counted by others: a berry for each star, or for every second. */
export const linkedCount = (of: number, every: number): number =>
  Math.ceil(of / Math.max(1, every) - 1e-9);
