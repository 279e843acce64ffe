import { lineProblem, type Outline } from '@pyrgotect/core';
import svgpath from 'svgpath';

export type PathRead =
  { ok: true; outline: Extract<Outline, { kind: 'path' }> } | { ok: false; problem: string };

const perCurve = 16;
const mostPoints = 600;
const no = (problem: string): PathRead => ({ ok: false, problem });

/** The path's own text: what was pasted, or the d of the only path in an SVG file. */
function pathText(text: string): PathRead | string {
  if (!/<\s*(svg|path|\?xml)/i.test(text)) return text.trim();
  // an inert document: nothing in it runs or is fetched, and only the line is read from it
  const parsed = new DOMParser().parseFromString(text, 'image/svg+xml');
  if (parsed.querySelector('parsererror')) return no('The file is no SVG that can be read.');
  const paths = [...parsed.querySelectorAll('path')];
  if (paths.length === 0) return no('The file has no path: other shapes are not read.');
  if (paths.length > 1) return no(`The file has ${paths.length} paths; it needs just one.`);
  return paths[0]!.getAttribute('d') ?? '';
}

/**
 * An outline from an SVG path, scaled to a width and centred. Curves become short chords. Says which
 * it is when the line is open, crosses itself, or is more than one.
 */
export function pathOutline(text: string, name: string, wideMm: number): PathRead {
  const found = pathText(text);
  if (typeof found !== 'string') return found;
  if (found.length > 200_000) return no('The line is too long to be an outline.');
  const path = svgpath(found).abs().unarc().unshort();
  const { err } = path as unknown as { err: string };
  if (err) return no(`The path cannot be read: ${err.replace('SvgPath: ', '')}.`);
  const points: [number, number][] = [];
  let [starts, closed] = [0, false];
  path.iterate((segment, _index, x, y) => {
    const [command, ...n] = segment as [string, ...number[]];
    const add = (px: number, py: number): void => void points.push([px, py]);
    const curve = (f: (t: number) => [number, number]): void => {
      for (let i = 1; i <= perCurve; i++) add(...f(i / perCurve));
    };
    switch (command) {
      case 'M':
        starts += 1;
        add(n[0]!, n[1]!);
        break;
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
  if (starts > 1) return no('The path has more than one line; an outline is one.');
  const [first, last] = [points[0]!, points.at(-1)!];
  const meets = Math.hypot(first[0] - last[0], first[1] - last[1]) < 1e-6;
  if (!closed && !meets) return no('The line is open: its end does not meet its start.');
  return scaledOutline(meets ? points.slice(0, -1) : points, name, wideMm);
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
