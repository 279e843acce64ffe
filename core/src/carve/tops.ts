/** Heights of what looks up, at the nodes of a square grid round the axis, row by row from the front left; null beside the cake. */
export interface Tops {
  /** Nodes along one edge, an odd number, and how far apart they are. */
  count: number;
  stepMm: number;
  mm: (number | null)[];
}

/** How something lies on a top: how far under its highest place, mm, and how steep it is there, degrees. */
export interface Lie {
  downMm: number;
  slopeDeg: number;
}
export const level: Lie = { downMm: 0, slopeDeg: 0 };

/** Height at a place, straight between the nodes round it that have one; null beside the cake. */
export function topAt({ count, stepMm, mm }: Tops, x: number, y: number): number | null {
  const middle = (count - 1) / 2;
  const [u, v] = [x / stepMm + middle, y / stepMm + middle];
  if (u < 0 || v < 0 || u > count - 1 || v > count - 1) return null;
  const [i, j] = [Math.min(count - 2, Math.floor(u)), Math.min(count - 2, Math.floor(v))];
  let [sum, weight] = [0, 0];
  for (const [di, dj] of [
    [0, 0],
    [1, 0],
    [0, 1],
    [1, 1],
  ] as const) {
    // prettier-ignore
    const high = mm[(j + dj) * count + i + di];
    const share = (di ? u - i : 1 - u + i) * (dj ? v - j : 1 - v + j);
    if (high === null || high === undefined) continue;
    sum += share * high;
    weight += share;
  }
  return weight > 1e-6 ? sum / weight : null;
}

/** How something lies at a place of a carved top; level where there is no cake. */
export function lieOn(tops: Tops, x: number, y: number): Lie {
  const here = topAt(tops, x, y);
  if (here === null) return level;
  const highest = tops.mm.reduce<number>((most, one) => Math.max(most, one ?? 0), 0);
  const rise = (dx: number, dy: number): number => {
    const [from, to] = [topAt(tops, x - dx, y - dy), topAt(tops, x + dx, y + dy)];
    return from === null || to === null ? 0 : (to - from) / (2 * tops.stepMm);
  };
  const slope = Math.hypot(rise(tops.stepMm, 0), rise(0, tops.stepMm));
  return { downMm: highest - here, slopeDeg: (Math.atan(slope) * 180) / Math.PI };
}
