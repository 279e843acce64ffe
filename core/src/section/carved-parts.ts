import type { CarveResult, Lines } from '../carve/result.ts';
import { clipToRectangle, polygonAreaMm2 } from '../outline/clip.ts';
import { offsetLine } from '../outline/offset.ts';
import type { Look } from '../pantry/types.ts';
import type { SectionPart } from './parts.ts';

/** One shape of a carved tier's section, from its axis and its foot, mm. */
export interface CarvedShape {
  id: string;
  kind: SectionPart['kind'];
  label: string;
  tone: Look;
  lines: Lines;
}

/** Lines moved outward by a coat; of what stands on its foot nothing goes below it. */
export function grownLines(lines: Lines, byMm: number, isStanding = true): Lines {
  // lines of an answer stay the same while other parts of the cake are edited
  const known = grown.get(lines) ?? new Map<string, Lines>();
  const key = `${byMm}/${isStanding}`;
  const found = known.get(key) ?? movedOut(lines, byMm, isStanding);
  known.set(key, found);
  grown.set(lines, known);
  return found;
}
const grown = new WeakMap<Lines, Map<string, Lines>>();

const movedOut = (lines: Lines, byMm: number, isStanding: boolean): Lines =>
  lines
    .flatMap((line) => {
      const points = line.map(([x, y]) => ({ x, y }));
      // a hollow inside grows smaller
      return offsetLine(points, polygonAreaMm2(points) < 0 ? -byMm : byMm);
    })
    .map((line) =>
      (isStanding ? clipToRectangle(line, -1e4, 0, 1e4, 1e4) : line).map((p): [number, number] => [
        p.x,
        p.y,
      ]),
    )
    .filter((line) => line.length > 2);

/** Layers and fillings as the knife left them, under crumb coat and coat. */
export function carvedShapes(
  result: CarveResult,
  cover: { crumbMm: number; sideMm: number; fondantMm: number },
  coatTone: Look,
  toneOf: (part: string) => Look,
): CarvedShape[] {
  const outer = result.sectionLines;
  const all = cover.crumbMm + cover.sideMm;
  const shapes: CarvedShape[] = [];
  if (cover.fondantMm > 0)
    shapes.push({
      id: 'fondant',
      kind: 'fondant',
      label: 'fondant',
      tone: 'ivory',
      lines: grownLines(outer, all + cover.fondantMm),
    });
  if (cover.sideMm > 0)
    shapes.push({
      id: 'coat',
      kind: 'coat',
      label: 'coat',
      tone: coatTone,
      lines: grownLines(outer, all),
    });
  if (cover.crumbMm > 0)
    shapes.push({
      id: 'crumb',
      kind: 'crumb',
      label: 'crumb coat',
      tone: coatTone,
      lines: grownLines(outer, cover.crumbMm),
    });
  // what was set back on is still of the layer it came from
  const parts = new Map<string, Lines>();
  for (const { part, lines } of result.section)
    parts.set(part, [...(parts.get(part) ?? []), ...lines]);
  for (const [part, lines] of parts) {
    const [kind, n] = part.split('/');
    if (kind === 'glue') {
      const label = 'frosting that joins the halves';
      shapes.push({ id: 'glue', kind: 'crumb', label, tone: coatTone, lines });
      continue;
    }
    const number = Number(n ?? 0) + 1;
    shapes.push({
      id: part,
      kind: kind === 'gap' ? 'gap' : kind === 'centre' ? 'centre' : 'layer',
      label:
        kind === 'gap'
          ? `filling ${number}`
          : kind === 'centre'
            ? 'hidden centre'
            : `layer ${number}`,
      tone: toneOf(part),
      lines,
    });
  }
  return shapes;
}

/** The box round some lines. */
export function boxOfLines(lines: Lines): { x: [number, number]; y: [number, number] } {
  const xs = lines.flatMap((line) => line.map((p) => p[0]));
  const ys = lines.flatMap((line) => line.map((p) => p[1]));
  return {
    x: [Math.min(...xs), Math.max(...xs)],
    y: [Math.min(...ys), Math.max(...ys)],
  };
}

/** From where to where closed lines reach at a height, with a little room for the board between. */
export function spanAt(lines: Lines, y: number): [number, number] {
  const xs = lines.flatMap((line) =>
    line.flatMap(([ax, ay], i) => {
      const [bx, by] = line[(i + 1) % line.length]!;
      return ay > y === by > y ? [] : [ax + ((bx - ax) * (y - ay)) / (by - ay)];
    }),
  );
  if (xs.length < 2) return [0, 0];
  return [Math.min(...xs) + shyMm, Math.max(...xs) - shyMm];
}
const shyMm = 3;
