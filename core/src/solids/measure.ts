import type { Guide, Lines, Neck } from '../carve/result.ts';
import type { Body } from './body.ts';
import { reach, rightOf, standing } from './cutters.ts';
import { bearing, bearingOf, columns, inverse } from './frame.ts';
import type { Flat, Library, Scope, Solid } from './library.ts';
import type { Stratum } from '../carve/types.ts';

/** Points closer to a straight line than this are left out of guides and drawings, mm. */
const smooth = 0.1;

export const plainLines = (flat: Flat, scope: Scope): Lines =>
  scope
    .hold(flat.simplify(smooth))
    .toPolygons()
    .map((line) =>
      line.map(([x, y]): [number, number] => [
        Math.round(x * 100) / 100,
        Math.round(y * 100) / 100,
      ]),
    );

/** Shadow of a solid seen from the front or from the side: right in the view, and up. */
export function shadow(solid: Solid, seen: 'front' | 'side', scope: Scope): Lines {
  const laid = scope.hold(solid.transform(columns(inverse(standing(rightOf[seen])))));
  return plainLines(scope.hold(laid.project()), scope);
}

/** The upright section from left to right through the axis, by part. */
export function sections(
  lib: Library,
  body: Body,
  scope: Scope,
): { section: { part: string; lines: Lines }[]; whole: Flat } {
  // right, up and towards the eye become x, y and z
  const back = columns(inverse(standing(rightOf.front)));
  const section: { part: string; lines: Lines }[] = [];
  const flats = body.map(({ solid, frame, bands }) => {
    const flat = scope.hold(scope.hold(solid.transform(back)).slice(0.013));
    // height in the stack as a plane over (right, up): z = a·u + b·v + c
    const [a, b, c] = [frame[2][0], frame[2][2], frame[2][3]];
    bands.forEach((band, i) => {
      const low = i === 0 ? -1e4 : (bands[i - 1]!.toMm + band.fromMm) / 2;
      const high = i + 1 === bands.length ? 1e4 : (band.toMm + bands[i + 1]!.fromMm) / 2;
      const strip = between(lib, [a, b, c], low, high, scope);
      if (!strip) return;
      const lines = plainLines(scope.hold(flat.intersect(strip)), scope);
      if (lines.length > 0) section.push({ part: band.part, lines });
    });
    return flat;
  });
  return {
    section,
    whole: flats.length === 1 ? flats[0]! : scope.hold(lib.CrossSection.union(flats)),
  };
}

/** The strip of the section plane whose height in the stack is between two values. */
function between(
  lib: Library,
  [a, b, c]: [number, number, number],
  low: number,
  high: number,
  scope: Scope,
): Flat | null {
  const steep = Math.hypot(a, b);
  if (steep < 1e-6)
    return c >= low && c < high ? scope.hold(lib.CrossSection.square([4e4, 4e4], true)) : null;
  const [from, to] = [(low - c) / steep, (high - c) / steep].map((v) =>
    Math.max(-1e4, Math.min(1e4, v)),
  ) as [number, number];
  if (to - from < 1e-6) return null;
  const bar = scope.hold(lib.CrossSection.square([4e4, to - from]));
  const placed = scope.hold(bar.translate([-2e4, from]));
  // its up turned to where the height grows
  return scope.hold(placed.rotate((Math.atan2(b, a) * 180) / Math.PI - 90));
}

/** Distances from the axis at 24 bearings, from the back on with the clock. */
export const clockDistances = (lines: Lines): (number | null)[] =>
  Array.from({ length: 24 }, (_, i) => {
    const [x, y] = bearing(i * 15);
    return reach(lines, x, y);
  });

/** Cross-sections at heights: just under the top or over the foot where there is no more. */
export function guidesAt(
  whole: Solid,
  at: readonly { upMm: number; label: string }[],
  scope: Scope,
): Guide[] {
  const { min, max } = whole.boundingBox();
  return at
    .filter(({ upMm }) => upMm > min[2] - 0.5 && upMm < max[2] + 0.5)
    .map(({ upMm, label }): Guide => {
      const z = Math.min(max[2] - 0.05, Math.max(min[2] + 0.05, upMm));
      const lines = plainLines(scope.hold(whole.slice(z)), scope);
      return { upMm, label, lines, outMm: clockDistances(lines) };
    })
    .filter((guide) => guide.lines.length > 0);
}

/** Heights at which a guide is given: each boundary of the stack's layers, and those asked for. */
export function guideHeights(
  bands: readonly Stratum[],
  topMm: number,
  chosen: readonly number[],
  laid: boolean,
): { upMm: number; label: string }[] {
  const own = laid
    ? []
    : bands
        .filter((band) => band.part.startsWith('layer/') && band.toMm < topMm - 0.5)
        .map((band) => ({
          upMm: band.toMm,
          label: `top of layer ${Number(band.part.slice(6)) + 1}`,
        }));
  return [
    { upMm: 0, label: 'foot' },
    ...own,
    ...chosen.map((upMm) => ({ upMm, label: 'chosen height' })),
  ].sort((a, b) => a.upMm - b.upMm);
}

/** The thinnest level section with more than a tenth of the cake above it. */
export function neckOf(whole: Solid, scope: Scope): Neck | null {
  const { min, max } = whole.boundingBox();
  const high = max[2] - min[2];
  const count = Math.min(60, Math.max(8, Math.round(high / 4)));
  const levels = Array.from({ length: count }, (_, i) => {
    const upMm = min[2] + (high * (i + 0.5)) / count;
    return { upMm, flat: scope.hold(whole.slice(upMm)) };
  }).map(({ upMm, flat }) => ({ upMm, flat, areaMm2: flat.area() }));
  const all = levels.reduce((sum, level) => sum + level.areaMm2, 0);
  let above = all;
  let least: (typeof levels)[number] | null = null;
  for (const level of levels) {
    above -= level.areaMm2;
    if (above < all / 10) break;
    if (!least || level.areaMm2 < least.areaMm2) least = level;
  }
  if (!least) return null;
  const { min: a, max: b } = least.flat.bounds();
  return {
    upMm: least.upMm,
    areaMm2: least.areaMm2,
    acrossMm: Math.min(b[0] - a[0], b[1] - a[1]),
  };
}

/** Convex hull of the foot, and how far the cake's shadow reaches beyond it. */
export function overhangOf(
  foot: Flat,
  plan: Lines,
  scope: Scope,
): { mm: number; bearingDeg: number } {
  if (foot.isEmpty()) return { mm: 0, bearingDeg: 0 };
  const hull = scope.hold(foot.hull()).toPolygons()[0]!;
  let most = { mm: 0, bearingDeg: 0 };
  for (const line of plan)
    for (const [x, y] of line) {
      const mm = beyond(hull, x, y);
      if (mm > most.mm) most = { mm, bearingDeg: bearingOf(x, y) };
    }
  return most;
}

/** How far a point lies outside a convex line that runs counter-clockwise, mm; 0 inside. */
export function beyond(hull: readonly (readonly [number, number])[], x: number, y: number): number {
  let nearest = Infinity;
  let isInside = true;
  for (let i = 0; i < hull.length; i++) {
    const [ax, ay] = hull[i]!;
    const [bx, by] = hull[(i + 1) % hull.length]!;
    const [ux, uy] = [bx - ax, by - ay];
    if (ux * (y - ay) - uy * (x - ax) < 0) isInside = false;
    const f = Math.max(
      0,
      Math.min(1, ((x - ax) * ux + (y - ay) * uy) / Math.max(1e-9, ux * ux + uy * uy)),
    );
    nearest = Math.min(nearest, Math.hypot(x - ax - f * ux, y - ay - f * uy));
  }
  return isInside ? 0 : nearest;
}
