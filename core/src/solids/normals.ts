import type { Vec3 } from '../carve/result.ts';
import { eachFace, type Surface } from './mesh.ts';

/** Faces that meet at less than this are facets of one curved face, degrees. */
const creaseDeg = 28;

/**
 * Which way the surface faces at each corner of each triangle, nine numbers to a triangle: on a curved
 * face the mean of the facets that meet there, weighed by their angle, so that neither light nor seams
 * show the facets; along a sharp edge each side's own.
 */
export function cornerNormals(surface: Surface): Float32Array {
  const { points, triangles, stride } = surface;
  const count = points.length / stride;
  const faces = new Float64Array(triangles.length);
  eachFace(surface, ({ t, nx, ny, nz }) => faces.set([nx, ny, nz], t * 3));
  // triangles round each point, in one row: where each begins, then which they are
  const starts = new Uint32Array(count + 1);
  for (const p of triangles) starts[p + 1]!++;
  for (let p = 0; p < count; p++) starts[p + 1]! += starts[p]!;
  const round = new Uint32Array(triangles.length);
  const filled = starts.slice();
  for (let k = 0; k < triangles.length; k++) round[filled[triangles[k]!]!++] = k;
  const angles = cornerAngles(surface);
  const least = Math.cos((creaseDeg * Math.PI) / 180);
  const out = new Float32Array(triangles.length * 3);
  for (let k = 0; k < triangles.length; k++) {
    const own = Math.floor(k / 3) * 3;
    const [ox, oy, oz] = [faces[own]!, faces[own + 1]!, faces[own + 2]!];
    let [x, y, z] = [0, 0, 0];
    const p = triangles[k]!;
    for (let i = starts[p]!; i < starts[p + 1]!; i++) {
      const other = Math.floor(round[i]! / 3) * 3;
      const [nx, ny, nz] = [faces[other]!, faces[other + 1]!, faces[other + 2]!];
      if (nx * ox + ny * oy + nz * oz < least) continue;
      const weight = angles[round[i]!]!;
      x += nx * weight;
      y += ny * weight;
      z += nz * weight;
    }
    const length = Math.hypot(x, y, z);
    out.set(length > 0 ? [x / length, y / length, z / length] : [ox, oy, oz], k * 3);
  }
  return out;
}

/** The angle of each triangle at each of its corners, radians. */
function cornerAngles({ points, triangles, stride }: Surface): Float32Array {
  const angles = new Float32Array(triangles.length);
  for (let k = 0; k < triangles.length; k++) {
    const t = k - (k % 3);
    const [p, q, r] = [0, 1, 2].map((i) => triangles[t + ((k - t + i) % 3)]! * stride) as [
      number,
      number,
      number,
    ];
    let [dot, a, b] = [0, 0, 0];
    for (let i = 0; i < 3; i++) {
      const u = points[q + i]! - points[p + i]!;
      const v = points[r + i]! - points[p + i]!;
      dot += u * v;
      a += u * u;
      b += v * v;
    }
    angles[k] = a * b > 0 ? Math.acos(Math.max(-1, Math.min(1, dot / Math.sqrt(a * b)))) : 0;
  }
  return angles;
}

/** Which way the surface faces at a place in one of its triangles, whose first corner is `t`. */
export function normalAt(
  { points, triangles, stride }: Surface,
  normals: Float32Array,
  t: number,
  place: Vec3,
): Vec3 {
  const [a, b, c] = [0, 1, 2].map((k) => triangles[t + k]! * stride) as [number, number, number];
  const along = (p: number): Vec3 => [0, 1, 2].map((k) => points[p + k]! - points[a + k]!) as Vec3;
  const [u, v] = [along(b), along(c)];
  const w = place.map((x, k) => x - points[a + k]!) as Vec3;
  const dot = (p: Vec3, q: Vec3): number => p[0] * q[0] + p[1] * q[1] + p[2] * q[2];
  const [uu, uv, vv, wu, wv] = [dot(u, u), dot(u, v), dot(v, v), dot(w, u), dot(w, v)];
  const det = uu * vv - uv * uv;
  const [f, g] = det > 0 ? [(vv * wu - uv * wv) / det, (uu * wv - uv * wu) / det] : [0, 0];
  const shares = [1 - f - g, f, g];
  return [0, 1, 2].map((k) =>
    shares.reduce((sum, share, i) => sum + share * normals[(t + i) * 3 + k]!, 0),
  ) as Vec3;
}
