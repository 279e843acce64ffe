/* eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the library has no types of its own */
/// <reference path="./clipper-lib.d.ts" />
import ClipperLib from 'clipper-lib';
import { polygonAreaMm2 } from './clip.ts';
import type { Point } from './point.ts';

/** The clipping works in whole numbers: a micrometre is fine enough for cake. */
const perMm = 1000;
/** How far a round join may be off its arc, mm. */
const arcMm = 0.01;
/** What is smaller on a line is not seen on a cake, mm. */
const fineMm = 0.01;

const distance = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);

type Whole = { X: number; Y: number };
const whole = (x: number, y: number): Whole => ({
  X: Math.round(x * perMm),
  Y: Math.round(y * perMm),
});

/**
 * The line counter-clockwise, without points and spikes of less than `fineMm`: a line that was moved several times
 * has them by the hundred, and each would be moved as far as the line.
 */
function tidied(points: readonly Point[]): Point[] {
  const clean = ClipperLib.Clipper.CleanPolygon(
    points.map(({ x, y }) => whole(x, y)),
    fineMm * perMm,
  );
  const line = clean.map(({ X, Y }) => ({ x: X / perMm, y: Y / perMm }));
  return polygonAreaMm2(line) < 0 ? line.reverse() : line;
}

/**
 * Each edge moved along its normal, and how one goes on to the next: by an arc where the turn opens them, straight on
 * where a smooth line closes them and both have length left. Elsewhere the line goes back to its point, which keeps
 * the count of turns right where edges come to lie the wrong way round, but crosses itself at each such point.
 */
function movedEdges(line: readonly Point[], byMm: number): Whole[] {
  const count = line.length;
  const lengths = line.map((p, i) => distance(p, line[(i + 1) % count]!));
  const normals = line.map((p, i): Point => {
    const next = line[(i + 1) % count]!;
    return { x: (next.y - p.y) / lengths[i]!, y: (p.x - next.x) / lengths[i]! };
  });
  const step = 2 * Math.acos(1 - Math.min(arcMm / Math.abs(byMm), 0.25));
  const moved: Whole[] = [];
  for (let i = 0; i < count; i += 1) {
    const p = line[i]!;
    const a = normals[(i + count - 1) % count]!;
    const b = normals[i]!;
    const along = a.x * b.x + a.y * b.y;
    const turn = Math.atan2(a.x * b.y - a.y * b.x, along);
    const opens = turn * byMm > 0;
    const steps = opens ? Math.ceil(Math.abs(turn) / step) : 0;
    const taken = Math.abs(byMm) * Math.tan(Math.abs(turn) / 2);
    const [before, after] = [lengths[(i + count - 1) % count]!, lengths[i]!];
    if (opens ? steps <= 1 : taken < Math.min(before, after) / 2) {
      // on the arc, or where the edges meet
      const scale = byMm / (opens ? Math.sqrt(2 + 2 * along) : 1 + along);
      moved.push(whole(p.x + (a.x + b.x) * scale, p.y + (a.y + b.y) * scale));
      continue;
    }
    const from = Math.atan2(a.y, a.x);
    moved.push(whole(p.x + a.x * byMm, p.y + a.y * byMm));
    for (let k = 1; k < steps; k += 1) {
      const at = from + (turn * k) / steps;
      moved.push(whole(p.x + byMm * Math.cos(at), p.y + byMm * Math.sin(at)));
    }
    if (!opens) moved.push(whole(p.x, p.y));
    moved.push(whole(p.x + b.x * byMm, p.y + b.y * byMm));
  }
  return moved;
}

/** Least and greatest across and deep. */
function boundsOf(line: readonly Whole[]): [number, number, number, number] {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { X, Y } of line) {
    [left, right] = [Math.min(left, X), Math.max(right, X)];
    [low, high] = [Math.min(low, Y), Math.max(high, Y)];
  }
  return [left, right, low, high];
}

/** A rectangle round a line, with room. */
function frameOf(line: readonly Whole[]): Whole[] {
  const [left, right, low, high] = boundsOf(line);
  return [
    { X: left - 10, Y: high + 10 },
    { X: right + 10, Y: high + 10 },
    { X: right + 10, Y: low - 10 },
    { X: left - 10, Y: low - 10 },
  ];
}

/** A line without spikes moved in one go. */
function movedOnce(line: readonly Point[], byMm: number): Point[][] {
  const moved = movedEdges(line, byMm);
  const clipper = new ClipperLib.Clipper();
  const { pftPositive, pftNegative } = ClipperLib.PolyFillType;
  clipper.AddPath(moved, ClipperLib.PolyType.ptSubject, true);
  const solution: Whole[][] = [];
  if (byMm > 0) clipper.Execute(ClipperLib.ClipType.ctUnion, solution, pftPositive, pftPositive);
  else {
    // inside out: what the moved line goes round backwards is what a frame has left of it
    clipper.AddPath(frameOf(moved), ClipperLib.PolyType.ptSubject, true);
    clipper.ReverseSolution = true;
    clipper.Execute(ClipperLib.ClipType.ctUnion, solution, pftNegative, pftNegative);
    solution.shift();
  }
  return solution.map((piece) => piece.map(({ X, Y }) => ({ x: X / perMm, y: Y / perMm })));
}

/** A line of more points than these is moved in by steps of such a share of its lesser width: far ones cross most of it. */
const fewPoints = 64;
const stepShare = 1 / 24;

/** Sides of the rectangle that a line fills, mm. */
const sidesOf = (line: readonly Point[]): [number, number] => {
  const [left, right, low, high] = boundsOf(line.map(({ x, y }) => ({ X: x, Y: y })));
  return [right - left, high - low];
};

/** A line without spikes, and what it is a step further in. */
interface Inward {
  line: Point[];
  stepMm: number;
  /** Made when it is first gone through. */
  inner: Point[][] | null;
}
/** A line is moved in by many amounts, all through the same steps. */
const inwards = new WeakMap<readonly Point[], Inward>();

function inwardOf(points: readonly Point[]): Inward {
  const known = inwards.get(points);
  if (known) return known;
  const line = tidied(points);
  const stepMm = line.length < 3 ? 0 : Math.min(...sidesOf(line)) * stepShare;
  const made: Inward = { line, stepMm, inner: null };
  inwards.set(points, made);
  return made;
}

/**
 * The closed line moved outward by `byMm` with round joins, or inward where it is negative; pieces
 * and holes that result are each a line of their own. A line that was given is never changed afterwards. What of the moved edges bounds the result, a polygon clipper
 * finds by how often they go round it, so it is right where the line is not convex.
 */
export function offsetLine(points: readonly Point[], byMm: number): Point[][] {
  const known = inwardOf(points);
  const { line, stepMm } = known;
  if (line.length < 3) return [];
  if (Math.abs(byMm) * perMm < 1) return [line];
  if (-byMm <= stepMm || line.length <= fewPoints) return movedOnce(line, byMm);
  known.inner ??= movedOnce(line, -stepMm);
  return known.inner.flatMap((piece) => offsetLine(piece, byMm + stepMm));
}
