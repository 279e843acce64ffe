/* eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the library has no types of its own */
/// <reference path="./clipper-lib.d.ts" />
import ClipperLib from 'clipper-lib';
import type { Point } from './point.ts';

/** The clipping works in whole numbers: a micrometre is fine enough for cake. */
const perMm = 1000;

/**
 * The closed line moved outward by `byMm` with round joins, or inward where it is negative; pieces
 * and holes that result are each a line of their own. By a polygon clipper, so it is right where
 * the line is not convex.
 */
export function offsetLine(points: readonly Point[], byMm: number): Point[][] {
  const offset = new ClipperLib.ClipperOffset(2, 0.05 * perMm);
  offset.AddPath(
    points.map((p) => ({ X: Math.round(p.x * perMm), Y: Math.round(p.y * perMm) })),
    ClipperLib.JoinType.jtRound,
    ClipperLib.EndType.etClosedPolygon,
  );
  const solution: { X: number; Y: number }[][] = [];
  offset.Execute(solution, byMm * perMm);
  return solution.map((line) => line.map(({ X, Y }) => ({ x: X / perMm, y: Y / perMm })));
}
