import svgpath from 'svgpath';

/* Closed lines in an SVG drawing: its paths and basic shapes, where their transforms put them. */

/** One line of a drawing. */
export interface SvgLine {
  /** What the drawing calls it; empty where it does not. */
  name: string;
  /** As path data, where every transform has been taken into account. */
  d: string;
}
export type SvgLines = { ok: true; lines: SvgLine[] } | { ok: false; problem: string };

const no = (problem: string): SvgLines => ({ ok: false, problem });
/** Longer paths and more lines are no outline of a cake. */
const longest = 200_000;
const most = 200;
/** What is in these is drawn elsewhere, or not at all. */
const hidden = 'defs, clipPath, mask, pattern, symbol, marker, [display="none"]';

type Read = (name: string) => number;
const ellipse = (x: number, y: number, rx: number, ry: number): string =>
  rx > 0 && ry > 0
    ? `M${x - rx} ${y}a${rx} ${ry} 0 1 1 ${2 * rx} 0a${rx} ${ry} 0 1 1 ${-2 * rx} 0z`
    : '';
const rectangle = (n: Read, element: Element): string => {
  const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')];
  if (w <= 0 || h <= 0) return '';
  // one radius stands for both where only one is given
  const given = (name: string, other: string): number =>
    n(element.hasAttribute(name) ? name : other);
  const rx = Math.min(w / 2, Math.max(0, given('rx', 'ry')));
  const ry = Math.min(h / 2, Math.max(0, given('ry', 'rx')));
  if (rx === 0 || ry === 0) return `M${x} ${y}h${w}v${h}h${-w}z`;
  const turn = (dx: number, dy: number): string => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
  return `M${x + rx} ${y}h${w - 2 * rx}${turn(rx, ry)}v${h - 2 * ry}${turn(-rx, ry)}h${2 * rx - w}${turn(-rx, -ry)}v${2 * ry - h}${turn(rx, -ry)}z`;
};
const pathOf: Record<string, (element: Element, n: Read) => string> = {
  path: (element) => element.getAttribute('d') ?? '',
  polygon: (element) => `M${element.getAttribute('points') ?? ''}z`,
  polyline: (element) => `M${element.getAttribute('points') ?? ''}`,
  circle: (_, n) => ellipse(n('cx'), n('cy'), n('r'), n('r')),
  ellipse: (_, n) => ellipse(n('cx'), n('cy'), n('rx'), n('ry')),
  rect: (element, n) => rectangle(n, element),
};

/** Path data where every transform of a shape and of what it stands in has been taken into account. */
function placed(d: string, element: Element): ReturnType<typeof svgpath> {
  let path = svgpath(d);
  for (let at: Element | null = element; at; at = at.parentElement) {
    const transform = at.getAttribute('transform');
    if (transform) path = path.transform(transform);
  }
  return path;
}

/** Each line of a path that has several, as a path of its own. */
function parted(path: ReturnType<typeof svgpath>): string[] {
  const lines: string[] = [];
  let line = '';
  let start = '';
  path
    .abs()
    .unshort()
    .iterate((segment) => {
      const [command, ...n] = segment as [string, ...number[]];
      if (command === 'M') {
        if (line) lines.push(line);
        start = `M${n.join(' ')}`;
        line = start;
        return;
      }
      // what goes on after a line was closed begins where that one began
      if (line === '') line = start;
      line += `${command}${n.join(' ')}`;
      if (command !== 'Z' && command !== 'z') return;
      lines.push(line);
      line = '';
    });
  if (line && line !== start) lines.push(line);
  return lines;
}

const problemOf = (path: ReturnType<typeof svgpath>): string | null => {
  const { err } = path as unknown as { err: string };
  return err ? `The path cannot be read: ${err.replace('SvgPath: ', '')}.` : null;
};

/**
 * The lines in an SVG file, or in pasted path data (what stands in d="…"). Nothing of a file runs or is fetched;
 * what stands in definitions, clips and masks is passed over.
 */
export function svgLines(text: string): SvgLines {
  if (!/<\s*(svg|path|\?xml)/i.test(text)) {
    if (text.length > longest) return no('The line is too long to be an outline.');
    const path = svgpath(text.trim());
    const problem = problemOf(path);
    return problem ? no(problem) : { ok: true, lines: parted(path).map((d) => ({ name: '', d })) };
  }
  // an inert document: only lines are read from it
  const parsed = new DOMParser().parseFromString(text, 'image/svg+xml');
  if (parsed.querySelector('parsererror')) return no('The file is no SVG that can be read.');
  const shapes = [...parsed.querySelectorAll(Object.keys(pathOf).join(','))].filter(
    (element) => !element.closest(hidden),
  );
  if (shapes.length === 0)
    return no(
      'The file has no line: no path, rectangle, circle, ellipse or polygon. Text and pictures are not read.',
    );
  const lines: SvgLine[] = [];
  let problem: string | null = null;
  for (const element of shapes) {
    const n: Read = (name) => Number.parseFloat(element.getAttribute(name) ?? '') || 0;
    const d = pathOf[element.tagName.toLowerCase()]!(element, n);
    const path = placed(d, element);
    const wrong = d.length > longest ? 'A line is too long to be an outline.' : problemOf(path);
    if (wrong) {
      problem ??= wrong;
      continue;
    }
    const name = element.querySelector('title')?.textContent || element.id || '';
    lines.push(...parted(path).map((each) => ({ name: name.trim().slice(0, 60), d: each })));
    if (lines.length > most)
      return no(`The file has more than ${most} lines: leave the one that is wanted.`);
  }
  return lines.length > 0
    ? { ok: true, lines }
    : no(problem ?? 'The file has no line that can be read.');
}
