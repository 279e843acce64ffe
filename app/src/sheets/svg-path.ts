import { lineProblem, type Outline } from '@pyrgotect/core';
import svgpath from 'svgpath';
import { svgLines } from './svg-lines.ts';

export type PathRead =
  { ok: true; outline: Extract<Outline, { kind: 'path' }> } | { ok: false; problem: string };

const perCurve = 16;
const mostPoints = 600;
const no = (problem: string): PathRead => ({ ok: false, problem });

/** The outline in an SVG file or pasted path data that holds just one line. */
export function pathOutline(text: string, name: string, wideMm: number): PathRead {
  const found = svgLines(text);
  if (!found.ok) return found;
  if (found.lines.length > 1)
    return no(`There are ${found.lines.length} lines; just one is needed here.`);
  return lineOutline(found.lines[0]?.d ?? '', name, wideMm);
}

/**
 * An outline from the path data of one line, scaled to a width and centred. Curves become short chords. Says
 * which it is when the line is open or crosses itself.
 */
export function lineOutline(d: string, name: string, wideMm: number): PathRead {
  const points: [number, number][] = [];
  let closed = false;
  svgpath(d)
    .abs()
    .unarc()
    .unshort()
    .iterate((segment, _index, x, y) => {
      const [command, ...n] = segment as [string, ...number[]];
      const add = (px: number, py: number): void => void points.push([px, py]);
      const curve = (f: (t: number) => [number, number]): void => {
        for (let i = 1; i <= perCurve; i++) add(...f(i / perCurve));
      };
      switch (command) {
        case 'M':
        case 'L':
          add(n[0]!, n[1]!);
          break;
        case 'H':
          add(n[0]!, y);
          break;
        case 'V':
          add(x, n[0]!);
          break;
        case 'Q':
          curve((t) => [
            (1 - t) ** 2 * x + 2 * t * (1 - t) * n[0]! + t * t * n[2]!,
            (1 - t) ** 2 * y + 2 * t * (1 - t) * n[1]! + t * t * n[3]!,
          ]);
          break;
        case 'C': {
          const at = (a: number, b: number, c: number, d: number, t: number): number =>
            (1 - t) ** 3 * a + 3 * t * (1 - t) ** 2 * b + 3 * t * t * (1 - t) * c + t ** 3 * d;
          curve((t) => [at(x, n[0]!, n[2]!, n[4]!, t), at(y, n[1]!, n[3]!, n[5]!, t)]);
          break;
        }
        default:
          closed = true;
      }
    });
  if (points.length < 3) return no('The path has too few points to be an outline.');
  const [first, last] = [points[0]!, points.at(-1)!];
  const meets = Math.hypot(first[0] - last[0], first[1] - last[1]) < 1e-6;
  if (!closed && !meets) return no('The line is open: its end does not meet its start.');
  return scaledOutline(meets ? points.slice(0, -1) : points, name, wideMm);
}

/** How large a line of a drawing is, as the area of the box round it, in the drawing's own units. */
export function sizeOf(d: string): number {
  const [xs, ys]: [number[], number[]] = [[], []];
  svgpath(d)
    .abs()
    .unarc()
    .iterate((segment, _index, x, y) => {
      const n = segment.slice(1) as number[];
      xs.push(x);
      ys.push(y);
      if (segment[0] === 'H') xs.push(n[0]!);
      else if (segment[0] === 'V') ys.push(n[0]!);
      else n.forEach((each, i) => void (i % 2 === 0 ? xs : ys).push(each));
    });
  const span = (all: readonly number[]): number =>
    all.reduce((a, b) => Math.max(a, b), -Infinity) -
    all.reduce((a, b) => Math.min(a, b), Infinity);
  // the first segment is iterated from where nothing is drawn yet
  return span(xs.slice(1)) * span(ys.slice(1));
}

function scaledOutline(points: [number, number][], name: string, wideMm: number): PathRead {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  if (x1 - x0 <= 0 || y1 - y0 <= 0) return no('The line encloses no area.');
  const scale = wideMm / (x1 - x0);
  const every = Math.ceil(points.length / mostPoints);
  // an SVG's y runs down, a cake's away from you
  const line = points
    .filter((_, i) => i % every === 0)
    .map(([x, y]): [number, number] => [
      Number(((x - (x0 + x1) / 2) * scale).toFixed(3)),
      Number((((y0 + y1) / 2 - y) * scale).toFixed(3)),
    ]);
  const distinct = line.filter(([x, y], i) => {
    const [px, py] = line[(i + line.length - 1) % line.length]!;
    return Math.hypot(x - px, y - py) > 1e-3;
  });
  const problem = lineProblem(distinct);
  if (problem) return no(`The line ${problem}.`);
  return {
    ok: true,
    outline: { kind: 'path', name: name.trim() || 'own shape', points: distinct },
  };
}
