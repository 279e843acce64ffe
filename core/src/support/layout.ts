import type { Point } from '../outline/point.ts';
import { carriedBy, worstTimes, type Load, type LoadCase } from './cases.ts';
import type { Hindrance } from './room.ts';
import { plateOf } from './statics.ts';

/** Most dowels that are tried under one board. */
export const mostDowels = 24;
const shares = [1, 0.85, 0.7];
const starts = 6;

/** Furthest place from the middle along a bearing where a dowel may stand, mm; null where there is none. */
function reachMm(
  middle: Point,
  angle: number,
  farMm: number,
  hinders: (p: Point) => Hindrance | null,
): number | null {
  const at = (r: number): Point => ({
    x: middle.x + r * Math.cos(angle),
    y: middle.y + r * Math.sin(angle),
  });
  const stepMm = farMm / 24;
  for (let r = farMm; r > 0; r -= stepMm) {
    if (hinders(at(r)) !== null) continue;
    if (r === farMm) return r;
    let [low, high] = [r, r + stepMm];
    for (let k = 0; k < 6; k++) {
      const middleMm = (low + high) / 2;
      if (hinders(at(middleMm)) === null) low = middleMm;
      else high = middleMm;
    }
    return low;
  }
  return null;
}

/** So many dowels on bearings evenly round a middle, each as far out as `share` of what there is. */
function ringOf(
  reaches: readonly (number | null)[],
  middle: Point,
  count: number,
  first: number,
  share: number,
  hinders: (p: Point) => Hindrance | null,
): Point[] | null {
  const places: Point[] = [];
  for (let k = 0; k < count; k++) {
    const reach = reaches[k * starts + first];
    if (reach === null || reach === undefined) return null;
    const angle = (2 * Math.PI * (k * starts + first)) / (count * starts);
    const p: Point = {
      x: middle.x + reach * share * Math.cos(angle),
      y: middle.y + reach * share * Math.sin(angle),
    };
    if (share < 1 && hinders(p) !== null) return null;
    places.push(p);
  }
  return places;
}

/** Unevenness of a ring under the load, by the formula of the rigid plate while all press. */
function roughWorst(places: readonly Point[], load: Load, cases: readonly LoadCase[]): number {
  const plate = plateOf(places);
  if (!plate) return Infinity;
  const [ex, ey] = [load.at.x - plate.middle.x, load.at.y - plate.middle.y];
  let worst = 0;
  for (const u of plate.lever) {
    const size = Math.hypot(u.x, u.y) * load.upMm;
    const even = 1 / places.length + ex * u.x + ey * u.y;
    if (even < 0) worst = Math.max(worst, 10 - even);
    for (const { times, lean } of cases)
      worst = Math.max(worst, times * (even + lean * size), times * lean * size - even);
  }
  return worst;
}

/**
 * Places for so many dowels: on bearings evenly round the load, or round the middle of the board
 * above, as far out as board and cake let them, or nearer in; turned so that the most loaded one
 * carries least. Null where that many find no room.
 */
export function placeRing(
  count: number,
  middles: readonly Point[],
  farMm: number,
  load: Load,
  cases: readonly LoadCase[],
  hinders: (p: Point) => Hindrance | null,
): Point[] | null {
  let best: Point[] | null = null;
  let least = Infinity;
  for (const middle of middles) {
    const reaches = Array.from({ length: count * starts }, (_, k) =>
      reachMm(middle, (2 * Math.PI * k) / (count * starts), farMm, hinders),
    );
    for (let first = 0; first < starts; first++)
      for (const share of shares) {
        const places = ringOf(reaches, middle, count, first, share, hinders);
        if (!places || tooNear(places)) continue;
        const worst = roughWorst(places, load, cases);
        if (worst < least - 1e-6) [best, least] = [places, worst];
      }
  }
  return best;
}

/** Two dowels nearer than this split the cake between them, mm. */
export const leastApartMm = 18;
const tooNear = (places: readonly Point[]): boolean =>
  places.some((p, i) =>
    places.slice(i + 1).some((q) => Math.hypot(p.x - q.x, p.y - q.y) < leastApartMm),
  );

/**
 * The fewest dowels, from `fewest` on, under which none carries more than it may in any case; the
 * most that find room where none is enough. Null where there is no room at all.
 *
 * @param allowedN what one dowel may carry
 */
export function placeEnough(
  fewest: number,
  allowedN: number,
  middles: readonly Point[],
  farMm: number,
  load: Load,
  cases: readonly LoadCase[],
  hinders: (p: Point) => Hindrance | null,
): Point[] | null {
  const least = Math.ceil((load.weightN * worstTimes(cases)) / allowedN - 1e-9);
  let best: Point[] | null = null;
  for (let n = Math.min(mostDowels, Math.max(fewest, least)); n <= mostDowels; n++) {
    const places = placeRing(n, middles, farMm, load, cases, hinders);
    if (!places) return best;
    best = places;
    const { worstN } = carriedBy(places, load, cases);
    if (Math.max(...worstN) <= allowedN) return places;
  }
  return best;
}
