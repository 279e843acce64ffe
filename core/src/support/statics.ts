import type { Point } from '../outline/point.ts';

/** Forces in dowels under one load. */
export interface Shares {
  /** N in each, in the order of the places; none is negative. */
  n: number[];
  /** False where no set of forces without tension holds the load: it tips. */
  stands: boolean;
}

/** Dowels in one line carry nothing beside it, mm. */
const besideMm = 1e-6;

/**
 * Shares of a load among dowels under a rigid board, each pressed down as a spring of the same
 * stiffness (docs/model.md#support). A dowel that would have to pull carries nothing and the others are
 * solved again: the energy of the pressed ones is made least by Newton steps, which end exactly
 * once the set of pressed dowels is right. Forces and moments balance to rounding.
 *
 * @param loadN load, N, not negative; @param at where it acts, mm, in the coordinates of the places
 * @returns no forces and `stands` false where the load lies outside the hull of the dowels
 */
export const sharesOf = (places: readonly Point[], loadN: number, at: Point): Shares =>
  dowelsAt(places)(loadN, at);

/** The same for one set of dowels under several loads. */
export function dowelsAt(places: readonly Point[]): (loadN: number, at: Point) => Shares {
  const none = (): Shares => ({ n: places.map(() => 0), stands: false });
  if (places.length === 0) return none;
  const line = lineOf(places);
  const hull = line ? [] : hullOf(places);
  const springs = springsAt(places);
  return (loadN, at) => {
    if (loadN === 0) return { n: places.map(() => 0), stands: true };
    if (line) return sharesInLine(line, loadN, at) ?? none();
    if (toHullMm(hull, at) < -1e-9) return none();
    return { n: pressedPlate(springs, loadN, at), stands: true };
  };
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** Where all places lie in one line: its direction, a unit vector, and how far along it each is. */
interface Line {
  from: Point;
  axis: Point;
  along: number[];
}
function lineOf(places: readonly Point[]): Line | null {
  const from = places[0]!;
  const far = places.reduce((a, b) =>
    Math.hypot(b.x - from.x, b.y - from.y) > Math.hypot(a.x - from.x, a.y - from.y) ? b : a,
  );
  const length = Math.hypot(far.x - from.x, far.y - from.y);
  const axis: Point =
    length === 0 ? { x: 1, y: 0 } : { x: (far.x - from.x) / length, y: (far.y - from.y) / length };
  if (places.some((p) => Math.abs(besideLine(p, from, axis)) > besideMm)) return null;
  return {
    from,
    axis,
    along: places.map((p) => (p.x - from.x) * axis.x + (p.y - from.y) * axis.y),
  };
}
const besideLine = (p: Point, from: Point, axis: Point): number =>
  (p.y - from.y) * axis.x - (p.x - from.x) * axis.y;

/** A beam on springs: what cannot be held beside the line, or beyond its ends, does not stand. */
function sharesInLine({ from, axis, along }: Line, loadN: number, at: Point): Shares | null {
  if (Math.abs(besideLine(at, from, axis)) > besideMm) return null;
  const where = (at.x - from.x) * axis.x + (at.y - from.y) * axis.y;
  if (where < Math.min(...along) - besideMm || where > Math.max(...along) + besideMm) return null;
  // the same plate, with each dowel doubled to both sides of the line
  const pairs = along.flatMap((x): Point[] => [
    { x, y: 1 },
    { x, y: -1 },
  ]);
  const n = pressedPlate(springsAt(pairs), loadN, { x: where, y: 0 });
  return { n: along.map((_, i) => n[2 * i]! + n[2 * i + 1]!), stands: true };
}

/** The places from their middle, in units of the furthest one's distance. */
interface Springs {
  us: number[];
  vs: number[];
  cx: number;
  cy: number;
  size: number;
}
function springsAt(places: readonly Point[]): Springs {
  const cx = mean(places.map((p) => p.x));
  const cy = mean(places.map((p) => p.y));
  const size = Math.max(1, ...places.map((p) => Math.hypot(p.x - cx, p.y - cy)));
  return {
    us: places.map((p) => (p.x - cx) / size),
    vs: places.map((p) => (p.y - cy) / size),
    cx,
    cy,
    size,
  };
}

/**
 * Springs a + b·x + c·y of which only the pressed ones count: Newton's steps on their energy, which
 * is convex, each no longer than lowers it.
 */
function pressedPlate({ us, vs, cx, cy, size }: Springs, loadN: number, at: Point): number[] {
  const count = us.length;
  // worked with a load of one
  const [wu, wv] = [(at.x - cx) / size, (at.y - cy) / size];
  let [a, b, c] = [1 / count, 0, 0];
  const energyOf = (pa: number, pb: number, pc: number): number => {
    let sum = -(pa + wu * pb + wv * pc);
    for (let i = 0; i < count; i++) {
      const force = pa + pb * us[i]! + pc * vs[i]!;
      if (force > 0) sum += (force * force) / 2;
    }
    return sum;
  };
  for (let turn = 0; turn < 80; turn++) {
    let [l0, lu, lv] = [1, wu, wv];
    let [m, mu, mv, muu, muv, mvv] = [0, 0, 0, 0, 0, 0];
    for (let i = 0; i < count; i++) {
      const [u, v] = [us[i]!, vs[i]!];
      const force = a + b * u + c * v;
      if (force <= 0) continue;
      l0 -= force;
      lu -= force * u;
      lv -= force * v;
      m += 1;
      mu += u;
      mv += v;
      muu += u * u;
      muv += u * v;
      mvv += v * v;
    }
    if (Math.max(Math.abs(l0), Math.abs(lu), Math.abs(lv)) < 1e-13) break;
    // at the edge of the hull too few are pressed for three unknowns: a trace of all keeps it solvable
    const [d0, d1, d2] = [m + trace, muu + trace, mvv + trace];
    // the symmetric matrix by its minors
    const [a00, a01, a02] = [d1 * d2 - muv * muv, muv * mv - mu * d2, mu * muv - d1 * mv];
    const [a11, a12, a22] = [d0 * d2 - mv * mv, mu * mv - d0 * muv, d0 * d1 - mu * mu];
    const whole = d0 * a00 + mu * a01 + mv * a02;
    const da = (a00 * l0 + a01 * lu + a02 * lv) / whole;
    const db = (a01 * l0 + a11 * lu + a12 * lv) / whole;
    const dc = (a02 * l0 + a12 * lu + a22 * lv) / whole;
    const now = energyOf(a, b, c);
    let length = 1;
    while (length > 1e-6 && energyOf(a + length * da, b + length * db, c + length * dc) > now)
      length /= 2;
    a += length * da;
    b += length * db;
    c += length * dc;
  }
  return us.map((u, i) => loadN * Math.max(0, a + b * u + c * vs[i]!));
}
const trace = 1e-11;

/**
 * The plate's own numbers: its middle, and for each place the share of the load that a millimetre of
 * eccentricity adds to it. Null where all places lie in one line.
 */
export interface Plate {
  middle: Point;
  lever: Point[];
}

/** With all dowels pressed, the share of each is 1/n + e · lever, e from the middle (docs/model.md#support). */
export function plateOf(places: readonly Point[]): Plate | null {
  const cx = mean(places.map((p) => p.x));
  const cy = mean(places.map((p) => p.y));
  let [xx, xy, yy] = [0, 0, 0];
  for (const p of places) {
    xx += (p.x - cx) ** 2;
    xy += (p.x - cx) * (p.y - cy);
    yy += (p.y - cy) ** 2;
  }
  const det = xx * yy - xy * xy;
  // all in one line
  if (det <= 1e-9 * (xx + yy) ** 2) return null;
  return {
    middle: { x: cx, y: cy },
    lever: places.map((p) => {
      const [x, y] = [p.x - cx, p.y - cy];
      return { x: (yy * x - xy * y) / det, y: (xx * y - xy * x) / det };
    }),
  };
}

/** The convex hull, counter-clockwise (Andrew's monotone chain). */
export function hullOf(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const half = (list: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const p of list) {
      while (chain.length > 1) {
        const [a, b] = [chain.at(-2)!, chain.at(-1)!];
        if ((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x) > 0) break;
        chain.pop();
      }
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  return sorted.length < 3 ? sorted : [...half(sorted), ...half(sorted.reverse())];
}

/**
 * How far a point lies inside the hull of others, mm, to its nearest edge; negative outside. Of
 * fewer than three points, or points in one line, never positive.
 */
export const edgeDistanceMm = (points: readonly Point[], at: Point): number =>
  toHullMm(hullOf(points), at);

function toHullMm(hull: readonly Point[], at: Point): number {
  if (hull.length === 0) return -Infinity;
  if (hull.length < 3)
    return -Math.min(...hull.map((p, i) => toLineMm(p, hull[(i + 1) % hull.length]!, at)));
  let inside = Infinity;
  let outside = Infinity;
  hull.forEach((a, i) => {
    const b = hull[(i + 1) % hull.length]!;
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    inside = Math.min(inside, ((b.x - a.x) * (at.y - a.y) - (b.y - a.y) * (at.x - a.x)) / length);
    outside = Math.min(outside, toLineMm(a, b, at));
  });
  return inside >= 0 ? inside : -outside;
}

function toLineMm(a: Point, b: Point, p: Point): number {
  const length2 = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
  const t =
    length2 === 0
      ? 0
      : Math.max(0, Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / length2));
  return Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y));
}
