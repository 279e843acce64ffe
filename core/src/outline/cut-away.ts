/* eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the library has no types of its own */
/// <reference path="./clipper-lib.d.ts" />
import ClipperLib from 'clipper-lib';
import type { Point } from './point.ts';

/** The clipping works in whole numbers: a micrometre is fine enough for cake. */
const perMm = 1000;
const toWhole = (line: readonly Point[]): { X: number; Y: number }[] =>
  line.map(({ x, y }) => ({ X: Math.round(x * perMm), Y: Math.round(y * perMm) }));

type Lines = readonly (readonly Point[])[];

/**
 * What is left of closed lines when others are taken out of them, by a polygon clipper: outsides run
 * counter-clockwise, holes the other way. Empty where nothing is left.
 */
export const cutAway = (lines: Lines, cut: Lines): Point[][] =>
  clipped(lines, cut, ClipperLib.ClipType.ctDifference);

/** What closed lines have in common with others, in the same way. */
export const within = (lines: Lines, others: Lines): Point[][] =>
  clipped(lines, others, ClipperLib.ClipType.ctIntersection);

function clipped(lines: Lines, cut: Lines, how: number): Point[][] {
  const clipper = new ClipperLib.Clipper();
  clipper.AddPaths(lines.map(toWhole), ClipperLib.PolyType.ptSubject, true);
  clipper.AddPaths(cut.map(toWhole), ClipperLib.PolyType.ptClip, true);
  const left: { X: number; Y: number }[][] = [];
  const { pftNonZero } = ClipperLib.PolyFillType;
  clipper.Execute(how, left, pftNonZero, pftNonZero);
  return left.map((line) => line.map(({ X, Y }) => ({ x: X / perMm, y: Y / perMm })));
}
