import type { Outline } from '../outline/outline.ts';
import type { Tin } from '../pantry/types.ts';
import { readStl, signedVolume, type StlUnit } from './stl.ts';

/** Heights that a wall is read at, from the bottom to the brim. */
const heights = 33;
/** Slices are taken this far inside both ends, as a share of the depth. */
const inside = 1e-4;
/** Widths that differ by no more than this share are a round. */
const isRound = 0.03;

/** What a mould is by the solid of its inside: outline where it is widest, depth, widths of its wall, and what it holds. */
export type ReadWall = Pick<Tin, 'outline' | 'depthMm' | 'wall'> & {
  volumeMl: number;
  notes: string[];
};

/** Where an edge from `a` to `b` meets a height; null where it does not. */
function meet(a: readonly number[], b: readonly number[], z: number): [number, number] | null {
  const [low, high] = [a[2]! - z, b[2]! - z];
  if (low < 0 === high < 0) return null;
  const t = low / (low - high);
  return [a[0]! + (b[0]! - a[0]!) * t, a[1]! + (b[1]! - a[1]!) * t];
}

/**
 * Area that a closed surface encloses at a height, mm2, and how far that reaches along x and y: the line of
 * each triangle it cuts, summed by the shoelace rule, whatever loops they make.
 */
function sliceAt(
  points: readonly number[],
  triangles: readonly number[],
  z: number,
): { areaMm2: number; x: number; y: number } {
  let twice = 0;
  const box = { x0: Infinity, x1: -Infinity, y0: Infinity, y1: -Infinity };
  const corner = (t: number, k: number): number[] => {
    const at = 3 * triangles[t + k]!;
    return [points[at]!, points[at + 1]!, points[at + 2]!];
  };
  for (let t = 0; t < triangles.length; t += 3) {
    const [a, b, c] = [corner(t, 0), corner(t, 1), corner(t, 2)];
    let enters: [number, number] | null = null;
    let leaves: [number, number] | null = null;
    // seen from outside the surface runs one way round: an edge that falls begins the line, one that rises ends it
    for (const [from, to] of [
      [a, b],
      [b, c],
      [c, a],
    ] as const) {
      // prettier-ignore
      const at = meet(from, to, z);
      if (!at) continue;
      if (from[2]! > to[2]!) enters = at;
      else leaves = at;
    }
    if (!enters || !leaves) continue;
    twice += enters[0] * leaves[1] - leaves[0] * enters[1];
    for (const [x, y] of [enters, leaves]) {
      box.x0 = Math.min(box.x0, x);
      box.x1 = Math.max(box.x1, x);
      box.y0 = Math.min(box.y0, y);
      box.y1 = Math.max(box.y1, y);
    }
  }
  return { areaMm2: Math.abs(twice) / 2, x: box.x1 - box.x0, y: box.y1 - box.y0 };
}

/**
 * Reads a mould from an STL file of what it holds: a closed solid. Its wall is the round (or oval, where
 * it is longer than wide) of equal area at each of 33 heights; its mouth is its wider end.
 *
 * @throws MeshProblem with what is wrong, in plain words
 */
export function tinWallFrom(bytes: Uint8Array, unit: StlUnit = 'guess'): ReadWall {
  const { points, triangles, notes, sizeMm } = readStl(bytes, unit);
  const depthMm = sizeMm[2];
  const slices = Array.from({ length: heights }, (_, i) =>
    sliceAt(points, triangles, depthMm * Math.min(1 - inside, Math.max(inside, i / (heights - 1)))),
  );
  const widest = slices.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
  const wall = slices.map(({ areaMm2 }) => Math.sqrt(areaMm2 / widest.areaMm2));
  const isTurned = wall[0]! > wall.at(-1)!;
  if (isTurned) wall.reverse();
  const round = Math.abs(widest.x / widest.y - 1) <= isRound;
  // the oval of equal area, as much longer than wide as the solid is
  const ratio = round ? 1 : widest.x / widest.y;
  const across = Math.sqrt((4 * widest.areaMm2) / (Math.PI * ratio));
  const outline: Outline = round
    ? { kind: 'round', diameterMm: across }
    : { kind: 'oval', widthMm: across * ratio, depthMm: across };
  return {
    outline,
    depthMm,
    wall,
    volumeMl: signedVolume(points, triangles) / 1000,
    notes: isTurned ? [...notes, 'It stood on its mouth and has been turned.'] : notes,
  };
}
