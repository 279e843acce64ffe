import { polygonAreaMm2 } from './clip.ts';

type Pair = readonly [x: number, y: number];

/** True when the open segments ab and cd cross or touch. */
function cross(a: Pair, b: Pair, c: Pair, d: Pair): boolean {
  const side = (p: Pair, q: Pair, r: Pair): number =>
    (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  const [s1, s2, s3, s4] = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)];
  return s1 * s2 < 0 && s3 * s4 < 0;
}

/**
 * Why points, joined in their order and closed, are no outline of a cake, or null when they are:
 * fewer than three, an area of nothing, or a line that crosses itself.
 */
export function lineProblem(points: readonly Pair[]): string | null {
  if (points.some((p) => p.length !== 2)) return 'has a point that is not two numbers';
  if (points.length < 3) return 'has fewer than three points';
  const n = points.length;
  for (let i = 0; i < n; i++)
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      if (cross(points[i]!, points[(i + 1) % n]!, points[j]!, points[(j + 1) % n]!))
        return `crosses itself near ${points[i]!.map((c) => Math.round(c)).join(', ')} mm`;
    }
  const area = Math.abs(polygonAreaMm2(points.map(([x, y]) => ({ x, y }))));
  if (area < 100) return 'encloses no area';
  return null;
}
