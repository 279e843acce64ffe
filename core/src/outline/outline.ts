import { showText } from '../units/format.ts';
import type { UnitSystem } from '../units/kinds.ts';
import {
  boxAreaMm2,
  boxContains,
  boxOf,
  boxPerimeterMm,
  boxPolygon,
  growBox,
  type BoxOutline,
} from './box.ts';
import { polygonAreaMm2 } from './clip.ts';
import { offsetLine } from './offset.ts';
import type { Point } from './point.ts';
import { drawnPoints, type DrawnOutline } from './polygons.ts';

export interface RingOutline {
  kind: 'ring';
  diameterMm: number;
  holeMm: number;
}

/**
 * The shape of a tier, tin or board seen from above. All lengths in mm; the middle of its bounding
 * box is the origin, x runs to the right, y to the back.
 */
export type Outline = BoxOutline | RingOutline | DrawnOutline;

export const outlineKinds = [
  'round',
  'square',
  'rectangle',
  'oval',
  'hexagon',
  'heart',
  'petal',
  'ring',
  'path',
] as const satisfies readonly Outline['kind'][];

export type { Point };

const isBox = (outline: Outline): outline is BoxOutline =>
  outline.kind === 'round' || outline.kind === 'square' || outline.kind === 'rectangle';

interface Line {
  points: Point[];
  areaMm2: number;
  perimeterMm: number;
  lowX: number;
  lowY: number;
  widthMm: number;
  depthMm: number;
  convex: boolean;
  /** Sides by the column they cross, so that a cut through the outline need not try all. */
  columns: number[][];
  grown: Map<number, Outline | null>;
}
const columnCount = 64;
/* The line of a drawn outline and its measures, worked out once for each outline. */
const lines = new WeakMap<Outline, Line>();
function lineOf(outline: DrawnOutline): Line {
  const known = lines.get(outline);
  if (known) return known;
  let points = drawnPoints(outline);
  if (polygonAreaMm2(points) < 0) points = points.reverse();
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  let perimeter = 0;
  let convex = true;
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length]!;
    const c = points[(i + 2) % points.length]!;
    perimeter += Math.hypot(b.x - a.x, b.y - a.y);
    if ((b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x) < -1e-6) convex = false;
  });
  const line: Line = {
    points,
    areaMm2: polygonAreaMm2(points),
    perimeterMm: perimeter,
    lowX: Math.min(...xs),
    lowY: Math.min(...ys),
    widthMm: Math.max(...xs) - Math.min(...xs),
    depthMm: Math.max(...ys) - Math.min(...ys),
    convex,
    columns: columnsOf(points, Math.min(...xs), Math.max(...xs)),
    grown: new Map(),
  };
  lines.set(outline, line);
  return line;
}

function columnsOf(points: readonly Point[], low: number, high: number): number[][] {
  const columns = Array.from({ length: columnCount }, (): number[] => []);
  const at = (x: number): number =>
    Math.min(columnCount - 1, Math.max(0, Math.floor(((x - low) / (high - low)) * columnCount)));
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length]!;
    for (let c = at(Math.min(a.x, b.x)); c <= at(Math.max(a.x, b.x)); c++) columns[c]!.push(i);
  });
  return columns;
}

/** Area in mm2; exact, and for a drawn outline that of its closed line. A ring's hole is left out. */
export function areaMm2(outline: Outline): number {
  if (isBox(outline)) return boxAreaMm2(boxOf(outline));
  if (outline.kind === 'ring')
    return (Math.PI / 4) * (outline.diameterMm ** 2 - outline.holeMm ** 2);
  return lineOf(outline).areaMm2;
}

/** Length of the rim in mm; a ring has its inner rim besides. */
export function perimeterMm(outline: Outline): number {
  if (isBox(outline)) return boxPerimeterMm(boxOf(outline));
  if (outline.kind === 'ring') return Math.PI * (outline.diameterMm + outline.holeMm);
  return lineOf(outline).perimeterMm;
}

/** Width along x in mm, which is what the section cuts through. */
export function widthMm(outline: Outline): number {
  if (isBox(outline)) return boxOf(outline).widthMm;
  return outline.kind === 'ring' ? outline.diameterMm : lineOf(outline).widthMm;
}

/** Depth along y in mm. */
export function depthMm(outline: Outline): number {
  if (isBox(outline)) return boxOf(outline).depthMm;
  return outline.kind === 'ring' ? outline.diameterMm : lineOf(outline).depthMm;
}

/**
 * The outline moved outward by `byMm` with round joins, or inward where `byMm` is negative. Exact
 * for round, square, rectangle and ring; to a hundredth of a millimetre for drawn outlines.
 *
 * @returns null when nothing is left of an inward move; its largest piece when it falls apart
 */
export function grow(outline: Outline, byMm: number): Outline | null {
  if (isBox(outline)) return growBox(outline, byMm);
  if (outline.kind === 'ring') {
    const diameterMm = outline.diameterMm + 2 * byMm;
    const holeMm = outline.holeMm - 2 * byMm;
    if (diameterMm <= Math.max(0, holeMm)) return null;
    return holeMm <= 0 ? { kind: 'round', diameterMm } : { kind: 'ring', diameterMm, holeMm };
  }
  if (byMm === 0) return outline;
  const line = lineOf(outline);
  const known = line.grown.get(byMm);
  if (known !== undefined) return known;
  const moved = growLine(outline, line, byMm);
  line.grown.set(byMm, moved);
  return moved;
}

/** Points that a line keeps which is only placed by. */
const coarsePoints = 240;
/** And where only the size of what is left matters. */
const fewPoints = 160;
const coarsened = new WeakMap<Outline, Map<number, Outline>>();
/** From this turn on a point is a corner, rad. */
const cornerTurn = 0.3;

/** How far a line turns at a point, rad. */
function turnAt(points: readonly Point[], i: number): number {
  const a = points.at(i - 1)!;
  const b = points[i]!;
  const c = points[(i + 1) % points.length]!;
  const turn = Math.atan2(c.y - b.y, c.x - b.x) - Math.atan2(b.y - a.y, b.x - a.x);
  return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn)));
}

/**
 * The same outline with at most so many points, and its corners, for moving it far in: what is piped or set along it
 * is placed to a tenth of a millimetre, and a line of thousands of points takes its time at each step inward.
 */
export function coarse(outline: Outline, most = coarsePoints): Outline {
  if (isBox(outline) || outline.kind === 'ring') return outline;
  const kept = coarsened.get(outline) ?? new Map<number, Outline>();
  coarsened.set(outline, kept);
  const known = kept.get(most);
  if (known) return known;
  const { points } = lineOf(outline);
  const every = Math.ceil(points.length / most);
  const made: Outline =
    every === 1
      ? outline
      : {
          kind: 'path',
          name: outline.kind === 'path' ? outline.name : outline.kind,
          points: points
            .filter((_, i) => i % every === 0 || turnAt(points, i) > cornerTurn)
            .map((p) => [p.x, p.y]),
        };
  kept.set(most, made);
  return made;
}

/** From here on inward the coarse line is taken, mm: it goes by steps. */
const farInMm = 4;

function growLine(outline: DrawnOutline, line: Line, byMm: number): Outline | null {
  // moved in by half its width nothing is left, and no step is needed to find that out
  if (2 * -byMm >= Math.min(line.widthMm, line.depthMm)) return null;
  const { points } = -byMm < farInMm ? line : lineOf(coarse(outline) as DrawnOutline);
  const pieces = offsetLine(points, byMm).sort(
    (a, b) => Math.abs(polygonAreaMm2(b)) - Math.abs(polygonAreaMm2(a)),
  );
  const largest = pieces[0];
  if (!largest || largest.length < 3) return null;
  return {
    kind: 'path',
    name: outline.kind === 'path' ? outline.name : outline.kind,
    points: largest.map((p) => [p.x, p.y]),
  };
}

/**
 * Area of the outline moved by `byMm`, mm2; nothing when the inward move leaves nothing. A convex
 * outline moved outward has A + P·t + pi·t², exact.
 */
export function grownAreaMm2(outline: Outline, byMm: number): number {
  if (!isBox(outline) && outline.kind !== 'ring') {
    const line = lineOf(outline);
    if (line.convex && byMm >= 0)
      return line.areaMm2 + line.perimeterMm * byMm + Math.PI * byMm ** 2;
    // of an inward move that falls apart the largest piece counts, as for `grow`
  }
  const moved = grow(outline, byMm);
  return moved ? areaMm2(moved) : 0;
}

/** The same shape, larger or smaller: every length times `by`. */
export function scaled(outline: Outline, by: number): Outline {
  const copy: Record<string, unknown> = { ...outline };
  for (const [key, value] of Object.entries(outline))
    if (key.endsWith('Mm') && typeof value === 'number') copy[key] = value * by;
  if (outline.kind === 'path') copy.points = outline.points.map(([x, y]) => [x * by, y * by]);
  return copy as Outline;
}

/** Radius of the cylinder that has the same ratio of area to rim, 2A/P, in mm. */
export const equivalentRadiusMm = (outline: Outline): number =>
  (2 * areaMm2(outline)) / perimeterMm(outline);

/** A line that is moved in so far has not changed its kind. */
const insetStepMm = 2;

/**
 * Equivalent radius of the outline moved in by `offMm`, mm; nothing where nothing is left. Of a drawn outline
 * it is worked out every two millimetres, and lies on the straight line between them.
 */
export function insetRadiusMm(outline: Outline, offMm: number): number {
  const at = (mm: number): number => {
    const inner = mm > 0 ? grow(coarse(outline, fewPoints), -mm) : outline;
    return inner ? equivalentRadiusMm(inner) : 0;
  };
  if (isBox(outline) || outline.kind === 'ring') return at(offMm);
  const low = Math.floor(offMm / insetStepMm) * insetStepMm;
  const share = (offMm - low) / insetStepMm;
  return share === 0 ? at(low) : at(low) * (1 - share) + at(low + insetStepMm) * share;
}

/** True when the point lies inside or within `toleranceMm` of the rim. */
export function contains(outline: Outline, point: Point, toleranceMm = 1e-6): boolean {
  if (isBox(outline)) return boxContains(boxOf(outline), point, toleranceMm);
  if (outline.kind === 'ring') {
    const r = Math.hypot(point.x, point.y);
    return r <= outline.diameterMm / 2 + toleranceMm && r >= outline.holeMm / 2 - toleranceMm;
  }
  const line = lineOf(outline);
  const { lowX, lowY, widthMm: wide, depthMm: deep } = line;
  const isNear =
    point.x >= lowX - toleranceMm &&
    point.x <= lowX + wide + toleranceMm &&
    point.y >= lowY - toleranceMm &&
    point.y <= lowY + deep + toleranceMm;
  return isNear && insideLine(line, point, toleranceMm);
}

/** Looks only at the sides in the columns where the point may lie. */
function insideLine(
  { points, columns, lowX, widthMm: wide }: Line,
  p: Point,
  toleranceMm: number,
): boolean {
  const columnAt = (x: number): number =>
    Math.min(columnCount - 1, Math.max(0, Math.floor(((x - lowX) / wide) * columnCount)));
  const own = columnAt(p.x);
  let inside = false;
  for (let c = columnAt(p.x - toleranceMm); c <= columnAt(p.x + toleranceMm); c++)
    for (const i of columns[c]!) {
      const a = points[i]!;
      const b = points[(i + 1) % points.length]!;
      if (isOnEdge(a, b, p, toleranceMm)) return true;
      if (
        c === own &&
        a.x > p.x !== b.x > p.x &&
        p.y < a.y + ((b.y - a.y) * (p.x - a.x)) / (b.x - a.x)
      )
        inside = !inside;
    }
  return inside;
}

/** Whether a point lies as near an edge as that; most edges are far off, and told by their box. */
function isOnEdge(a: Point, b: Point, p: Point, toleranceMm: number): boolean {
  if (p.x < Math.min(a.x, b.x) - toleranceMm || p.x > Math.max(a.x, b.x) + toleranceMm)
    return false;
  if (p.y < Math.min(a.y, b.y) - toleranceMm || p.y > Math.max(a.y, b.y) + toleranceMm)
    return false;
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length2 = dx ** 2 + dy ** 2;
  const along = length2 === 0 ? 0 : ((p.x - a.x) * dx + (p.y - a.y) * dy) / length2;
  const t = Math.max(0, Math.min(1, along));
  return (p.x - a.x - t * dx) ** 2 + (p.y - a.y - t * dy) ** 2 <= toleranceMm ** 2;
}

/** The outer rim as a closed polygon, counter-clockwise, with `perQuarter` chords on round corners. */
export function polygon(outline: Outline, perQuarter = 24): Point[] {
  if (isBox(outline)) return boxPolygon(boxOf(outline), perQuarter);
  if (outline.kind === 'ring')
    return boxPolygon(boxOf({ kind: 'round', diameterMm: outline.diameterMm }), perQuarter);
  return [...lineOf(outline).points];
}

/** True when `inner`, centred, lies within `outer`. A ring's hole is not looked at. */
export function fitsInside(inner: Outline, outer: Outline, toleranceMm = 0.05): boolean {
  const whole: Outline =
    outer.kind === 'ring' ? { kind: 'round', diameterMm: outer.diameterMm } : outer;
  if (outer.kind === 'ring' && inner.kind !== 'ring') return false;
  return polygon(inner, 12).every((p) => contains(whole, p, toleranceMm));
}

/** Where there is cake along the line at `x`: spans from front to back, mm. */
export function spansAt(outline: Outline, x: number): [from: number, to: number][] {
  if (isBox(outline)) {
    const { widthMm: w, depthMm: d, cornerMm: c } = boxOf(outline);
    const ax = Math.abs(x);
    if (ax >= w / 2) return [];
    const into = ax - (w / 2 - c);
    const half = into <= 0 ? d / 2 : d / 2 - c + Math.sqrt(Math.max(0, c * c - into * into));
    return [[-half, half]];
  }
  if (outline.kind === 'ring') {
    const [R, r] = [outline.diameterMm / 2, outline.holeMm / 2];
    if (Math.abs(x) >= R) return [];
    const out = Math.sqrt(R * R - x * x);
    if (Math.abs(x) >= r) return [[-out, out]];
    const hole = Math.sqrt(r * r - x * x);
    return [
      [-out, -hole],
      [hole, out],
    ];
  }
  const { points, columns, widthMm: wide, lowX } = lineOf(outline);
  const column = Math.floor(((x - lowX) / wide) * columnCount);
  const ys: number[] = [];
  for (const i of columns[Math.min(columnCount - 1, column)] ?? []) {
    const [a, b] = [points[i]!, points[(i + 1) % points.length]!];
    if (a.x > x !== b.x > x) ys.push(a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x));
  }
  ys.sort((a, b) => a - b);
  const spans: [number, number][] = [];
  for (let i = 0; i + 1 < ys.length; i += 2) spans.push([ys[i]!, ys[i + 1]!]);
  return spans;
}

/** "28 cm across" or "33 × 23 cm": the size of an outline in the reader's units. */
export function outlineText(outline: Outline, system: UnitSystem): string {
  const [wide, deep] = [widthMm(outline), depthMm(outline)];
  const across = showText(wide, 'size', system);
  return Math.abs(wide - deep) < 0.5 ? across : `${across} × ${showText(deep, 'size', system)}`;
}
