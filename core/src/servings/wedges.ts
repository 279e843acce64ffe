import {
  areaMm2,
  grow,
  grownAreaMm2,
  polygon,
  type Outline,
  type Point,
} from '../outline/outline.ts';
import type { Block, Piece } from './blocks.ts';

/** Customary wedges from a round of this diameter in cm (docs/model.md#servings, trade custom). */
const customary: [cm: number, wedges: number][] = [
  [15, 8],
  [20, 12],
  [25, 16],
  [30, 22],
];

/**
 * Number of dessert wedges from an outline: the customary table read at the round of the same area,
 * straight lines between its rows, by area beyond them. Smaller portions give more in proportion to
 * their footprint, as long as the wedge stays 20 mm wide at the rim.
 */
export function countWedges(outline: Outline, block: Block): number {
  const cm = Math.sqrt((4 * areaMm2(outline)) / Math.PI) / 10;
  const [first, last] = [customary[0]!, customary.at(-1)!];
  let wedges: number;
  if (cm <= first[0]) wedges = first[1] * (cm / first[0]) ** 2;
  else if (cm >= last[0]) wedges = last[1] * (cm / last[0]) ** 2;
  else {
    const upper = customary.findIndex(([size]) => size >= cm);
    const [a, b] = [customary[upper - 1]!, customary[upper]!];
    wedges = a[1] + ((cm - a[0]) / (b[0] - a[0])) * (b[1] - a[1]);
  }
  const scaled = wedges * (1250 / (block.wideMm * block.deepMm));
  const rimLimit = (Math.PI * cm * 10) / 20;
  return Math.max(1, Math.floor(Math.min(scaled, rimLimit) + 1e-9));
}

/** Splits the rim at points that cut equal areas from the middle; exact on the polygon. */
function fan(rim: readonly Point[], parts: number): Point[][] {
  const areas = rim.map((a, i) => {
    const b = rim[(i + 1) % rim.length]!;
    return (a.x * b.y - b.x * a.y) / 2;
  });
  const each = areas.reduce((sum, area) => sum + area, 0) / parts;
  const pieces: Point[][] = [];
  let piece: Point[] = [rim[0]!];
  let room = each;
  for (let i = 0; i < rim.length; i++) {
    let a = rim[i]!;
    const b = rim[(i + 1) % rim.length]!;
    let area = areas[i]!;
    while (area > room + 1e-9 && pieces.length < parts - 1) {
      const t = room / area;
      a = { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
      piece.push(a);
      pieces.push(piece);
      piece = [a];
      area -= room;
      room = each;
    }
    room -= area;
    piece.push(b);
  }
  pieces.push(piece);
  return pieces;
}

/** `parts` wedges of equal area, their points on the middle. */
export const wedgePieces = (outline: Outline, parts: number): Piece[] =>
  fan(polygon(outline), parts).map((rim) => ({
    points: [{ x: 0, y: 0 }, ...rim],
    counted: true,
  }));

/** Rings one portion deep, from the rim inwards; what is left in the middle is cut into wedges. */
interface Ring {
  outer: Outline;
  inner: Outline | null;
  parts: number;
}
function rings(outline: Outline, block: Block): Ring[] {
  const deep = Math.max(block.wideMm, block.deepMm);
  const footprint = block.wideMm * block.deepMm;
  const found: Ring[] = [];
  let outer: Outline | null = outline;
  while (outer) {
    const inner: Outline | null = grow(outer, -deep);
    // a core too small for two portions stays with the ring around it
    const keepsCore = inner !== null && areaMm2(inner) >= 2 * footprint;
    const area = areaMm2(outer) - (keepsCore ? grownAreaMm2(outer, -deep) : 0);
    found.push({
      outer,
      inner: keepsCore ? inner : null,
      parts: Math.max(1, Math.floor(area / footprint + 1e-9)),
    });
    outer = keepsCore ? inner : null;
  }
  return found;
}

/** Servings from rings cut one portion deep. */
export const countRings = (outline: Outline, block: Block): number =>
  rings(outline, block).reduce((sum, ring) => sum + ring.parts, 0);

/** The pieces of the rings, each an outer arc and an inner one. */
export function ringPieces(outline: Outline, block: Block): Piece[] {
  return rings(outline, block).flatMap(({ outer, inner, parts }) => {
    if (!inner) return wedgePieces(outer, parts);
    const innerRim = fan(polygon(inner), parts);
    return fan(polygon(outer), parts).map((rim, i) => ({
      points: [...rim, ...[...innerRim[i]!].reverse()],
      counted: true,
    }));
  });
}
