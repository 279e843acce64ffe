import { randomFrom } from '../working/random.ts';
import { coarse, contains, grow, widthMm, type Outline, type Point } from '../outline/outline.ts';
import { placesAlong } from '../piping/shapes.ts';

export const arrangements = ['round', 'clusters', 'crescent', 'scattered', 'free'] as const;
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
  /** Turns a round of pieces on by a share of the room between two. */
  shift?: number;
  /** Places of pieces set by hand; those outside come to the nearest that is inside. */
  spots?: readonly [number, number][];
  /** What stands on the top already: the tier above. */
  taken?: Outline | null;
}

/** The next odd number that is not less; even ones as they are when that is allowed. */
export const oddCount = (count: number): number => (count % 2 === 0 ? count + 1 : count);

/**
 * Places of so many pieces on a top, all of each inside the outline: round the rim, in clusters
 * along it, over a part of it, strewn by a seed, or where a hand set them. Fewer where there is no room for more.
 */
export function placePieces(outline: Outline, arranged: Arranged): Point[] {
  const { arrangement, count, acrossMm, insetMm, clusterOf, share, seed, shift = 0 } = arranged;
  const line = grow(coarse(outline), -(insetMm + acrossMm / 2));
  if (!line || count < 1) return [];
  const kept = arranged.taken ? grow(coarse(arranged.taken), acrossMm / 2) : null;
  const isFree = (point: Point): boolean => !kept || !contains(kept, point, 0);
  const inside = (point: Point): boolean => contains(line, point, 0.5) && isFree(point);
  switch (arrangement) {
    case 'round':
      return placesAlong(line, count, shift).filter(isFree);
    case 'crescent': {
      const all = placesAlong(
        line,
        Math.max(count, Math.round(count / Math.max(0.05, share))),
        shift,
      );
      return all.slice(0, count).filter(isFree);
    }
    case 'clusters': {
      const clusters = Math.max(1, Math.round(count / clusterOf));
      // room for the pieces on the outer side of each
      return placesAlong(grow(coarse(line), -acrossMm) ?? line, clusters)
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
    case 'free':
      return (arranged.spots ?? []).slice(0, count).map(([x, y]) => drawnIn({ x, y }, inside));
  }
}

/** A point, or the nearest on its way to the middle that is inside. */
function drawnIn(point: Point, inside: (point: Point) => boolean): Point {
  for (let part = 1; part > 0; part -= 0.05) {
    const nearer = { x: point.x * part, y: point.y * part };
    if (inside(nearer)) return nearer;
  }
  return { x: 0, y: 0 };
}

/**
 * Pieces that touch each other round a place: up to five in a ring, more with one in the middle.
 * The first points inwards.
 */
function clusterRound(centre: Point, count: number, acrossMm: number): Point[] {
  if (count === 1) return [centre];
  const ring = count > 5 ? count - 1 : count;
  const touching = acrossMm / (2 * Math.sin(Math.PI / ring));
  const radius = count > 5 ? Math.max(acrossMm, touching) : touching;
  const inward = Math.atan2(-centre.y, -centre.x);
  const round = Array.from({ length: ring }, (_, i) => {
    const angle = inward + (i * 2 * Math.PI) / ring;
    return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
  });
  return count > 5 ? [centre, ...round] : round;
}

/** Pieces counted by others: a berry for each star, or for every second. */
export const linkedCount = (of: number, every: number): number =>
  Math.ceil(of / Math.max(1, every) - 1e-9);
