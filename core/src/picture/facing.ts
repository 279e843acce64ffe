import type { Point } from '../outline/point.ts';
import type { Place } from './types.ts';

export const upward: Place = { x: 0, y: 0, z: 1 };
/** A way of length 1; to the front where it has none. */
export const unit = ({ x, y }: Point): Point => {
  const long = Math.hypot(x, y);
  return long > 1e-9 ? { x: x / long, y: y / long } : { x: 0, y: -1 };
};

/** Which way the side faces at each of some places that run along an outline, to the right as one sees it from its front. */
export function facing(places: readonly Point[]): Point[] {
  if (places.length < 3) return places.map(unit);
  return places.map((place, i) => {
    const after = places[(i + 1) % places.length]!;
    const before = places[(i + places.length - 1) % places.length]!;
    const along = unit({ x: after.x - before.x, y: after.y - before.y });
    const out = { x: along.y, y: -along.x };
    // of the two ways across the line, the one away from the axis
    return out.x * place.x + out.y * place.y < 0 ? { x: -out.x, y: -out.y } : out;
  });
}
