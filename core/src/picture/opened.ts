import { cutAway } from '../outline/cut-away.ts';
import { polygonAreaMm2 } from '../outline/clip.ts';
import type { Point } from '../outline/point.ts';
import type { PictureBody, CakePicture, PictureTier, Region, Slice } from './types.ts';

/** A wedge taken out of every tier, about its own axis: the way it opens, and how wide. */
export interface OpenWedge {
  /** Where its middle points, degrees from the right, counter-clockwise: -90 is the front. */
  towardsDeg: number;
  wideDeg: number;
}

/** So far the sides of a wedge reach, mm: beyond any cake. */
const reachMm = 2000;

const pointAt = (axis: Point, deg: number, far: number): Point => ({
  x: axis.x + far * Math.cos((deg * Math.PI) / 180),
  y: axis.y + far * Math.sin((deg * Math.PI) / 180),
});

/** The lines of a wedge, less than half a round wide. */
const wedgeLines = ({ towardsDeg, wideDeg }: OpenWedge, axis: Point): Region => [
  [
    axis,
    pointAt(axis, towardsDeg - wideDeg / 2, reachMm),
    pointAt(axis, towardsDeg, reachMm),
    pointAt(axis, towardsDeg + wideDeg / 2, reachMm),
  ],
];

/** Whether a place lies in the wedge of its tier. */
export function isTakenOut({ towardsDeg, wideDeg }: OpenWedge, axis: Point, at: Point): boolean {
  const deg = (Math.atan2(at.y - axis.y, at.x - axis.x) * 180) / Math.PI;
  const off = ((deg - towardsDeg + 540) % 360) - 180;
  return Math.abs(off) < wideDeg / 2;
}

/** A slice without what is taken out of it: straight between its heights, on its middle line. */
function cutSlice({ fromMm, toMm, foot, top }: Slice, out: Region): Slice[] {
  const middle: Region =
    foot === top
      ? foot
      : foot.map((line, l) =>
          line.map((p, i) => ({ x: (p.x + top[l]![i]!.x) / 2, y: (p.y + top[l]![i]!.y) / 2 })),
        );
  // each outside with its holes, so that one who fills it knows which belong together
  const left = cutAway(middle, out);
  const outsides = left.filter((line) => polygonAreaMm2(line) > 0);
  const holes = left.filter((line) => polygonAreaMm2(line) < 0);
  return outsides.map((line, i): Slice => {
    const region = i === 0 ? [line, ...holes] : [line];
    return { fromMm, toMm, foot: region, top: region };
  });
}

/** The shell that a coat is where it is cut: what lies over the stack is whole, beside it the stack is taken out. */
function shellOf(slice: Slice, tier: PictureTier, wedge: Region): Slice[] {
  const innerTo = tier.inner.at(-1)?.toMm ?? tier.fromMm;
  const pieces: Slice[] = [];
  if (slice.fromMm < innerTo - 1e-6) {
    const toMm = Math.min(slice.toMm, innerTo);
    const at = (slice.fromMm + toMm) / 2;
    const stack = tier.inner.find((one) => one.fromMm <= at && one.toMm >= at);
    const low = toMm < slice.toMm ? { ...slice, toMm } : slice;
    pieces.push(...cutSlice(low, [...(stack ? stack.foot : []), ...wedge]));
  }
  if (slice.toMm > innerTo + 1e-6)
    pieces.push(...cutSlice({ ...slice, fromMm: Math.max(slice.fromMm, innerTo) }, wedge));
  return pieces;
}

const shells = new Set<PictureBody['kind']>(['coat', 'cover', 'poured', 'thin coat']);

/**
 * The picture with a wedge taken out of every tier, so that its layers are seen: bodies are cut, coats become
 * the shells that they are, and what would hang in the air goes. Boards stay whole.
 */
export function opened(picture: CakePicture, wedge: OpenWedge): CakePicture {
  const tierOf = new Map(picture.tiers.map((tier) => [tier.id, tier]));
  const axisOf = (tierId: string): Point => tierOf.get(tierId)!.axis;
  const isLeft = (tierId: string, at: Point): boolean => !isTakenOut(wedge, axisOf(tierId), at);
  const bodies = picture.bodies.flatMap((body): PictureBody[] => {
    const tier = body.tierId === null ? undefined : tierOf.get(body.tierId);
    if (!tier || body.kind === 'board' || body.kind === 'card') return [body];
    if (body.kind === 'dowel' || body.kind === 'post') return [body];
    const out = wedgeLines(wedge, tier.axis);
    const slices = body.slices.flatMap((slice) =>
      shells.has(body.kind) ? shellOf(slice, tier, out) : cutSlice(slice, out),
    );
    return slices.length > 0 ? [{ ...body, slices }] : [];
  });
  return {
    ...picture,
    bodies,
    drips: picture.drips.filter(({ tierId, at }) => isLeft(tierId, at)),
    groups: picture.groups.map((group) => ({
      ...group,
      pieces: group.pieces.filter(({ at }) => isLeft(group.tierId, at)),
    })),
    // a line that goes through the wedge begins and ends at its sides
    runs: picture.runs.flatMap((run) => {
      const { points } = run;
      const first = points.findIndex((p, i) => {
        const before = points[(i + points.length - 1) % points.length]!;
        return isLeft(run.tierId, p) && !isLeft(run.tierId, before);
      });
      if (first < 0) return points.every((p) => isLeft(run.tierId, p)) ? [run] : [];
      const kept = [...points.slice(first), ...points.slice(0, first)].filter((p) =>
        isLeft(run.tierId, p),
      );
      return kept.length > 1 ? [{ ...run, closed: false, points: kept }] : [];
    }),
  };
}
