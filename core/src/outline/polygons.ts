import { boxPolygon } from './box.ts';
import type { Point } from './point.ts';

/** Outlines that are drawn as a closed line of points; their measures are those of that line. */
export type DrawnOutline =
  | { kind: 'oval'; widthMm: number; depthMm: number }
  | { kind: 'hexagon'; acrossMm: number }
  | { kind: 'heart'; widthMm: number }
  | { kind: 'petal'; diameterMm: number; petals: number }
  | { kind: 'path'; name: string; points: [x: number, y: number][] };

const chords = 32;

/** Points on an arc from one angle to another, both ends included. */
const arc = (cx: number, cy: number, r: number, from: number, to: number, steps: number): Point[] =>
  Array.from({ length: steps + 1 }, (_, i) => {
    const a = from + ((to - from) * i) / steps;
    return { x: cx + r * Math.cos(a), y: cy + r * Math.sin(a) };
  });

/** Turns the middle of the bounding box to the origin. */
function centred(points: Point[]): Point[] {
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  const cx = (Math.min(...xs) + Math.max(...xs)) / 2;
  const cy = (Math.min(...ys) + Math.max(...ys)) / 2;
  return points.map((p) => ({ x: p.x - cx, y: p.y - cy }));
}

/** A square on its tip with a half round on each upper side, as a heart tin is made. */
function heart(widthMm: number): Point[] {
  const side = widthMm / (1 + Math.SQRT1_2);
  const h = side * Math.SQRT1_2;
  return centred([
    { x: 0, y: -h },
    { x: h, y: 0 },
    ...arc(h / 2, h / 2, side / 2, -Math.PI / 4, (3 * Math.PI) / 4, chords * 2).slice(1),
    ...arc(-h / 2, h / 2, side / 2, Math.PI / 4, (5 * Math.PI) / 4, chords * 2).slice(1),
  ]);
}

/** A half round on each side of a regular polygon. */
function petal(diameterMm: number, petals: number): Point[] {
  const half = Math.PI / petals;
  const corner = diameterMm / 2 / (Math.cos(half) + Math.sin(half));
  const lobe = corner * Math.sin(half);
  return centred(
    Array.from({ length: petals }, (_, i) => {
      const middle = 2 * half * i;
      const r = corner * Math.cos(half);
      return arc(
        r * Math.cos(middle),
        r * Math.sin(middle),
        lobe,
        middle - Math.PI / 2,
        middle + Math.PI / 2,
        chords * 2,
      ).slice(1);
    }).flat(),
  );
}

/** The closed line of a drawn outline, counter-clockwise, mm. */
export function drawnPoints(outline: DrawnOutline): Point[] {
  switch (outline.kind) {
    case 'oval':
      return boxPolygon({ widthMm: 2, depthMm: 2, cornerMm: 1 }, chords).map((p) => ({
        x: (p.x * outline.widthMm) / 2,
        y: (p.y * outline.depthMm) / 2,
      }));
    case 'hexagon': {
      const r = outline.acrossMm / Math.sqrt(3);
      return arc(0, 0, r, 0, (5 * Math.PI) / 3, 5);
    }
    case 'heart':
      return heart(outline.widthMm);
    case 'petal':
      return petal(outline.diameterMm, outline.petals);
    case 'path':
      return outline.points.map(([x, y]) => ({ x, y }));
  }
}
