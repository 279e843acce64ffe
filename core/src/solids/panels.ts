import type { Panel } from '../carve/result.ts';
import { eachEdge, eachFace, lengthOf, type Face, type Surface } from './mesh.ts';
import { cornerNormals } from './normals.ts';

const sides = [
  { name: 'top', n: [0, 0, 1] },
  { name: 'front', n: [0, -1, 0] },
  { name: 'right', n: [1, 0, 0] },
  { name: 'back', n: [0, 1, 0] },
  { name: 'left', n: [-1, 0, 0] },
  { name: 'underside', n: [0, 0, -1] },
] as const;

/** Less than this is no panel of its own, mm2. */
const leastMm2 = 200;
/** A face half-way between two goes to the first, all of it. */
const firstBy = 1e-4;
/** Pieces into which a sharp edge is looked at, to see which panels meet there. */
const edgeParts = 16;

interface PanelSums {
  areaMm2: number;
  seamMm: number;
  lo: [number, number];
  hi: [number, number];
}

/**
 * Panels of cover: the surface by which way it faces, each with its area, the sheet it is cut from
 * (as large as it looks, stretched by how much it curves away) and its seams with the others. On a
 * curved face the seam runs where the surface turns from one side to the next, straight through its
 * facets and not round them; a sharp edge between two sides is a seam itself.
 */
export function panelsOf(surface: Surface): Panel[] {
  const { triangles } = surface;
  const normals = cornerNormals(surface);
  const rows = sides.map((): PanelSums => ({
    areaMm2: 0,
    seamMm: 0,
    lo: [Infinity, Infinity],
    hi: [-Infinity, -Infinity],
  }));
  const isFoot = new Uint8Array(triangles.length / 3);
  eachFace(surface, (face) => {
    if (face.isFoot) isFoot[face.t] = 1;
    else shareFace(surface, face, facing(normals, face.t), rows);
  });
  eachEdge(surface, (p, q, t, other) => {
    if (isFoot[t] || isFoot[other]) return;
    const [own, others] = [t, other].map((face) => {
      const looks = facing(normals, face);
      const [from, to] = [p, q].map((point) => looks[cornerOf(triangles, face, point)]!);
      return (f: number): number => bestSide(from!, to!, f);
    });
    const mm = lengthOf(surface, p, q) / edgeParts;
    for (let k = 0; k < edgeParts; k++) {
      const [a, b] = [own!((k + 0.5) / edgeParts), others!((k + 0.5) / edgeParts)];
      if (a === b) continue;
      rows[a]!.seamMm += mm;
      rows[b]!.seamMm += mm;
    }
  });
  return sides.flatMap(({ name }, i) => {
    const { areaMm2, seamMm, lo, hi } = rows[i]!;
    if (areaMm2 <= leastMm2) return [];
    const [wide, high] = [hi[0] - lo[0], hi[1] - lo[1]];
    const stretch = Math.sqrt(Math.max(1, areaMm2 / Math.max(1, wide * high)));
    return [{ name, areaMm2, seamMm, wideMm: wide * stretch, highMm: high * stretch }];
  });
}

/** How much each corner of a triangle looks towards each side. */
const facing = (normals: Float32Array, t: number): number[][] =>
  [0, 1, 2].map((k) => {
    const at = t * 9 + k * 3;
    return sides.map(
      ({ n }, i) =>
        n[0] * normals[at]! + n[1] * normals[at + 1]! + n[2] * normals[at + 2]! - firstBy * i,
    );
  });
const cornerOf = (triangles: Uint32Array, t: number, point: number): number =>
  [0, 1, 2].find((k) => triangles[t * 3 + k] === point)!;
/** The side that a place between two corners looks to most. */
function bestSide(from: readonly number[], to: readonly number[], f: number): number {
  let best = 0;
  let most = -Infinity;
  from.forEach((look, i) => {
    const here = look * (1 - f) + to[i]! * f;
    if (here > most) [most, best] = [here, i];
  });
  return best;
}

/** A place in a triangle by the shares of its corners. */
type Shares = readonly [number, number, number];

/** Gives each panel its part of one triangle, and the seams within it. */
function shareFace(
  { points }: Surface,
  { a, b, c, areaMm2 }: Face,
  looks: readonly (readonly number[])[],
  rows: PanelSums[],
): void {
  const at = ([u, v, w]: Shares): [number, number, number] =>
    [0, 1, 2].map((k) => points[a + k]! * u + points[b + k]! * v + points[c + k]! * w) as [
      number,
      number,
      number,
    ];
  const more = (p: Shares, i: number, j: number): number =>
    p.reduce((sum, share, k) => sum + share * (looks[k]![i]! - looks[k]![j]!), 0);
  const corners: Shares[] = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  const here = new Set(looks.map((look) => bestSide(look, look, 0)));
  sides.forEach((_, i) => {
    // the side all corners look to has all of it; one that none looks to may still have the middle
    if (here.size === 1 && !here.has(i)) return;
    let mine: Shares[] = corners;
    if (here.size > 1)
      sides.forEach((_side, j) => {
        if (j !== i) mine = keptWhere(mine, (p) => more(p, i, j));
      });
    if (mine.length < 3) return;
    const row = rows[i]!;
    row.areaMm2 += areaMm2 * shareOf(mine);
    const places = mine.map(at);
    const { n } = sides[i]!;
    for (const [x, y, z] of places) {
      const seen = n[2] !== 0 ? [x, y] : [n[0] !== 0 ? y : x, z];
      for (const k of [0, 1] as const) {
        row.lo[k] = Math.min(row.lo[k], seen[k]!);
        row.hi[k] = Math.max(row.hi[k], seen[k]!);
      }
    }
    if (here.size === 1) return;
    mine.forEach((p, k) => {
      const next = (k + 1) % mine.length;
      const isSeam = sides.some(
        (_side, j) =>
          j !== i && Math.abs(more(p, i, j)) < 1e-7 && Math.abs(more(mine[next]!, i, j)) < 1e-7,
      );
      const [u, v] = [places[k]!, places[next]!];
      if (isSeam) row.seamMm += Math.hypot(v[0] - u[0], v[1] - u[1], v[2] - u[2]);
    });
  });
}

/** The part of a polygon where a value that runs straight over it is not negative. */
function keptWhere(polygon: readonly Shares[], value: (p: Shares) => number): Shares[] {
  const kept: Shares[] = [];
  polygon.forEach((p, k) => {
    const q = polygon[(k + 1) % polygon.length]!;
    const [a, b] = [value(p), value(q)];
    if (a >= 0) kept.push(p);
    if (a >= 0 === b >= 0) return;
    const f = a / (a - b);
    kept.push([p[0] + (q[0] - p[0]) * f, p[1] + (q[1] - p[1]) * f, p[2] + (q[2] - p[2]) * f]);
  });
  return kept;
}

/** How much of its triangle a polygon is, both in shares of the corners. */
const shareOf = (polygon: readonly Shares[]): number =>
  Math.abs(
    polygon.reduce((sum, [u, v], k) => {
      const [x, y] = polygon[(k + 1) % polygon.length]!;
      return sum + u * y - x * v;
    }, 0),
  );

/** Share of the surface (without the foot) that looks down: one sheet hangs free of it. */
export function undercutShare(surface: Surface): number {
  let [all, under] = [0, 0];
  eachFace(surface, ({ nz, areaMm2, isFoot }) => {
    if (isFoot) return;
    all += areaMm2;
    if (nz < -0.05) under += areaMm2;
  });
  return all === 0 ? 0 : under / all;
}

/** Mean over the surface (without the foot) of how far it looks up, squared: 1 for a level one. */
export function lookingUp(surface: Surface): number {
  let [all, up] = [0, 0];
  eachFace(surface, ({ nz, areaMm2, isFoot }) => {
    if (isFoot) return;
    all += areaMm2;
    up += areaMm2 * Math.max(0, nz) ** 2;
  });
  return all === 0 ? 0 : up / all;
}
