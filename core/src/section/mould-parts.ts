import { mouldOutlineAt, type MouldShape } from '../mould/mould.ts';
import { widthMm } from '../outline/outline.ts';
import type { SectionPart } from './parts.ts';

/** A curved wall is drawn with so many points to a part. */
const points = 24;

/** True for a wall that stands upright: what is in it is as wide everywhere. */
export const isUpright = ({ tin }: MouldShape): boolean =>
  tin.flareMm === 0 && ['upright', 'ring'].includes(tin.form ?? 'upright');

/** Half of its width at a height above its foot, and of its hole's, mm. */
const halves = (shape: MouldShape, upMm: number): [outer: number, hole: number] => {
  const outline = mouldOutlineAt(shape, upMm);
  return [widthMm(outline) / 2, outline.kind === 'ring' ? outline.holeMm / 2 : 0];
};
const heightsOf = (fromMm: number, toMm: number): number[] =>
  Array.from({ length: points + 1 }, (_, i) => fromMm + ((toMm - fromMm) * i) / points);

/** What runs down a wall that leans or is round, so thick on it, on one side of the axis. */
export const downWall = (
  shape: MouldShape,
  [fromMm, toMm]: [number, number],
  thickMm: number,
  coatMm: number,
  side: 1 | -1,
  base: number,
): [number, number][] => {
  const at = (upMm: number, out: number): [number, number] => [
    side * (halves(shape, upMm)[0] + coatMm + out),
    base + upMm,
  ];
  const up = heightsOf(fromMm, toMm);
  return [...up.map((y) => at(y, 0)), ...up.reverse().map((y) => at(y, thickMm))];
};

/** What lies over a ring between two heights: left and right of its hole. */
export function overRing(
  shape: MouldShape,
  [fromMm, toMm]: [number, number],
  base: number,
): [number, number][][] {
  const up = heightsOf(fromMm, toMm);
  const right = [
    ...up.map((y): [number, number] => [halves(shape, y)[0], base + y]),
    ...[...up].reverse().map((y): [number, number] => [halves(shape, y)[1], base + y]),
  ];
  return [right, right.map(([x, y]): [number, number] => [-x, y])];
}

/** The hole of a ring up to a height, as wide as its wall leaves it there, round the axis. */
export function holeLines(shape: MouldShape, highMm: number, base: number): [number, number][][] {
  const right = heightsOf(0, highMm).map((y): [number, number] => [halves(shape, y)[1], base + y]);
  return [[...right, ...[...right].reverse().map(([x, y]): [number, number] => [-x, y])]];
}

/**
 * Parts of a tier as its mould leaves them: none is wider than the wall at its height, and what lies
 * round it keeps its thickness.
 *
 * @param base height of the tier's foot, mm; @param half half its width there, mm
 */
export const withinWall = <T extends Pick<SectionPart, 'x0' | 'x1' | 'y0' | 'y1' | 'lines'>>(
  parts: readonly T[],
  shape: MouldShape | null,
  base: number,
  half: number,
): T[] =>
  !shape || isUpright(shape)
    ? [...parts]
    : parts.map((part): T => {
        if (part.lines) return part;
        const reach = (y: number): number => {
          const wall = widthMm(mouldOutlineAt(shape, y - base)) / 2;
          return Math.min(part.x1, wall + Math.max(0, part.x1 - half));
        };
        const heights = Array.from(
          { length: points + 1 },
          (_, i) => part.y0 + ((part.y1 - part.y0) * i) / points,
        );
        const right = heights.map((y): [number, number] => [Math.max(part.x0, reach(y)), y]);
        const isWhole = part.x0 <= -part.x1 + 1e-6;
        const left = [...right]
          .reverse()
          .map(([x, y]): [number, number] => [isWhole ? -x : part.x0, y]);
        if (right.every(([x]) => x >= part.x1 - 1e-6)) return part;
        const wide = Math.max(...right.map(([x]) => x));
        return {
          ...part,
          x0: isWhole ? -wide : part.x0,
          x1: wide,
          lines: [[...right, ...left]],
        };
      });
