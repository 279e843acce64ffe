/* eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the library has no types of its own */
/// <reference path="./clipper-lib.d.ts" />
import ClipperLib from 'clipper-lib';
import type { Point } from './point.ts';

/** The clipping works in whole numbers: a micrometre is fine enough for cake. */
const perMm = 1000;
const toWhole = (line: readonly Point[]): { X: number; Y: number }[] =>
  line.map(({ x, y }) => ({ X: Math.round(x * perMm), Y: Math.round(y * perMm) }));

/**
 * What is left of closed lines when others are taken out of them, by a polygon clipper: outsides run
 * counter-clockwise, holes the other way. Empty where nothing is left.
 */
export function cutAway(
  lines: readonly (readonly Point[])[],
  cut: readonly (readonly Point[])[],
): Point[][] {
  const clipper = new ClipperLib.Clipper();
  clipper.AddPaths(lines.map(toWhole), ClipperLib.PolyType.ptSubject, true);
  clipper.AddPaths(cut.map(toWhole), ClipperLib.PolyType.ptClip, true);
  const left: { X: number; Y: number }[][] = [];
  const { pftNonZero } = ClipperLib.PolyFillType;
  clipper.Execute(ClipperLib.ClipType.ctDifference, left, pftNonZero, pftNonZero);
  return left.map((line) => line.map(({ X, Y }) => ({ x: X / perMm, y: Y / perMm })));
}
