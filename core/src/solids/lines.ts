import { drawnAs, type Cover, type DrawnAs, type LinePoint } from '../carve/types.ts';
import { insetOf } from '../carve/stock.ts';
import type { Lines } from '../carve/result.ts';
import type { Flat, Library, Scope } from './library.ts';
import { flatOf } from './outlines.ts';

/** More than any cake reaches, mm. */
export const far = 2000;

/** A curve through the points, `steps` chords to each stretch (Catmull and Rom, chord length). */
export function curveThrough(points: readonly LinePoint[], steps = 10): LinePoint[] {
  if (points.length < 3) return [...points];
  const at = (i: number): LinePoint => {
    if (i >= 0 && i < points.length) return points[i]!;
    // beyond its ends the line goes on as it came
    const [end, before] = i < 0 ? [points[0]!, points[1]!] : [points.at(-1)!, points.at(-2)!];
    return [2 * end[0] - before[0], 2 * end[1] - before[1]];
  };
  const out: LinePoint[] = [];
  for (let i = 0; i + 1 < points.length; i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const knots = [0, 0, 0, 0];
    [p0, p1, p2, p3].forEach((p, k, all) => {
      if (k > 0)
        knots[k] =
          knots[k - 1]! +
          Math.max(1e-6, Math.hypot(p[0] - all[k - 1]![0], p[1] - all[k - 1]![1]) ** 0.5);
    });
    const [t0, t1, t2, t3] = knots as [number, number, number, number];
    for (let s = 0; s < steps; s++) {
      const t = t1 + ((t2 - t1) * s) / steps;
      const mix = (a: number, b: number, ta: number, tb: number): number =>
        (a * (tb - t) + b * (t - ta)) / (tb - ta);
      out.push(
        [0, 1].map((k) => {
          const a1 = mix(p0[k]!, p1[k]!, t0, t1);
          const a2 = mix(p1[k]!, p2[k]!, t1, t2);
          const a3 = mix(p2[k]!, p3[k]!, t2, t3);
          return mix(mix(a1, a2, t0, t2), mix(a2, a3, t1, t3), t1, t2);
        }) as LinePoint,
      );
    }
  }
  out.push([...points.at(-1)!]);
  return out;
}

/**
 * A flat shape moved inward by the cover, its foot left where it stands: what is under the finished
 * line when coat and cover are on. The result is held by the scope.
 */
export function insideCover(
  lib: Library,
  shape: Flat,
  drawn: DrawnAs,
  cover: Cover,
  scope: Scope,
): Flat {
  const t = insetOf(cover);
  if (drawn === drawnAs[1] || t <= 0) return shape;
  // no coat goes under the cake: the shape is carried on downward where it stands
  const strip = scope.hold(
    scope.hold(lib.CrossSection.square([2 * far, 1])).translate([-far, 0.2]),
  );
  const feet = scope.hold(shape.intersect(strip)).toPolygons();
  const legs = feet.map((line): [number, number][] => {
    const xs = line.map((p) => p[0]);
    const [a, b] = [Math.min(...xs), Math.max(...xs)];
    return [
      [a, -4 * t],
      [b, -4 * t],
      [b, 1],
      [a, 1],
    ];
  });
  const standing = legs.length > 0 ? scope.hold(shape.add(scope.hold(flatOf(lib, legs)))) : shape;
  return scope.hold(standing.offset(-t, 'Round', 2, 64));
}

/** The half section of a turned shape mirrored to the whole. */
export function lathe(points: readonly LinePoint[], curved: boolean): Lines {
  const line = (curved ? curveThrough(points) : [...points]).map(([r, z]): LinePoint => [
    Math.max(0, r),
    z,
  ]);
  const mirrored = [...line].reverse().map(([r, z]): LinePoint => [-r, z]);
  return [
    [...line, ...mirrored].filter((p, i, all) => {
      const q = all[(i + all.length - 1) % all.length]!;
      return Math.hypot(p[0] - q[0], p[1] - q[1]) > 1e-6;
    }),
  ];
}
