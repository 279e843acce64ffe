import type { Solid } from './library.ts';

/** The surface of a solid as triangles: three numbers to a point, three points to a triangle. */
export interface Surface {
  points: Float32Array;
  triangles: Uint32Array;
  /** Numbers to a point; the first three are its place. */
  stride: number;
}

export function surfaceOf(solid: Solid): Surface {
  const mesh = solid.getMesh();
  return { points: mesh.vertProperties, triangles: mesh.triVerts, stride: mesh.numProp };
}

/** One triangle: its number, where its corners begin in `points`, its unit normal and its area. */
export interface Face {
  t: number;
  a: number;
  b: number;
  c: number;
  nx: number;
  ny: number;
  nz: number;
  areaMm2: number;
  /** Lies on the board: neither coated nor seen. */
  isFoot: boolean;
}

/** Calls for each triangle that has an area; the face is the same object each time. */
export function eachFace({ points, triangles, stride }: Surface, take: (face: Face) => void): void {
  const face: Face = { t: 0, a: 0, b: 0, c: 0, nx: 0, ny: 0, nz: 0, areaMm2: 0, isFoot: false };
  for (let t = 0; t < triangles.length / 3; t++) {
    const a = triangles[t * 3]! * stride;
    const b = triangles[t * 3 + 1]! * stride;
    const c = triangles[t * 3 + 2]! * stride;
    const ux = points[b]! - points[a]!;
    const uy = points[b + 1]! - points[a + 1]!;
    const uz = points[b + 2]! - points[a + 2]!;
    const wx = points[c]! - points[a]!;
    const wy = points[c + 1]! - points[a + 1]!;
    const wz = points[c + 2]! - points[a + 2]!;
    const nx = uy * wz - uz * wy;
    const ny = uz * wx - ux * wz;
    const nz = ux * wy - uy * wx;
    const length = Math.sqrt(nx * nx + ny * ny + nz * nz);
    if (length === 0) continue;
    face.t = t;
    face.a = a;
    face.b = b;
    face.c = c;
    face.nx = nx / length;
    face.ny = ny / length;
    face.nz = nz / length;
    face.areaMm2 = length / 2;
    face.isFoot = nz < 0 && Math.max(points[a + 2]!, points[b + 2]!, points[c + 2]!) < 0.02;
    take(face);
  }
}

/** Area of everything but the foot, mm2. */
export function seenMm2(surface: Surface): number {
  let sum = 0;
  eachFace(surface, ({ areaMm2, isFoot }) => {
    if (!isFoot) sum += areaMm2;
  });
  return sum;
}

/**
 * Calls for each edge between two triangles: its ends as numbers of points, in the order the second
 * triangle runs, and both triangles.
 */
export function eachEdge(
  { points, triangles, stride }: Surface,
  take: (p: number, q: number, t: number, other: number) => void,
): void {
  // every edge by its lower end, in a row that is sorted once: a map of so many is slower
  const count = triangles.length;
  const size = points.length / stride;
  const keys = new Float64Array(count);
  for (let t = 0; t < count; t += 3)
    for (let k = 0; k < 3; k++) {
      const p = triangles[t + k]!;
      const q = triangles[t + (k === 2 ? 0 : k + 1)]!;
      // which of the triangle's edges it is rides along behind the pair
      keys[t + k] = (p < q ? p * size + q : q * size + p) * count + t + k;
    }
  keys.sort();
  for (let i = 0; i + 1 < count; i++) {
    const pair = Math.floor(keys[i]! / count);
    if (Math.floor(keys[i + 1]! / count) !== pair) continue;
    const first = keys[i]! - pair * count;
    const second = keys[i + 1]! - pair * count;
    const t = second - (second % 3);
    const p = triangles[second]!;
    const q = triangles[t + (((second % 3) + 1) % 3)]!;
    take(p, q, t / 3, Math.floor(first / 3));
    i++;
  }
}

/** Distance between two points of a surface, mm. */
export const lengthOf = ({ points, stride }: Surface, p: number, q: number): number =>
  Math.hypot(
    points[q * stride]! - points[p * stride]!,
    points[q * stride + 1]! - points[p * stride + 1]!,
    points[q * stride + 2]! - points[p * stride + 2]!,
  );
