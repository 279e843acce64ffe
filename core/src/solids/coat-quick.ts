import { eachEdge, eachFace, lengthOf, type Surface } from './mesh.ts';

/**
 * Volume of a coat of thickness t on a solid that stands on its foot, mL, for small t (Steiner):
 * A·t + M·t² + (2/3)·pi·t³, with A the surface without the foot and M the integral of mean
 * curvature, half the sum of each edge's length times the angle it turns. Right to about a percent
 * on rounded cakes; inner corners deeper than the coat come out too thick.
 */
export function quickCoat(surface: Surface): (tMm: number) => number {
  const { points, stride } = surface;
  const normals = new Float64Array(surface.triangles.length);
  const isFoot = new Uint8Array(surface.triangles.length / 3);
  let area = 0;
  eachFace(surface, (face) => {
    normals.set([face.nx, face.ny, face.nz], face.t * 3);
    if (face.isFoot) isFoot[face.t] = 1;
    else area += face.areaMm2;
  });
  let curvature = 0;
  eachEdge(surface, (p, q, t, other) => {
    if (isFoot[t] && isFoot[other]) return;
    const length = lengthOf(surface, p, q);
    if (length === 0) return;
    if (isFoot[t] || isFoot[other]) {
      // mirrored in the board, the side meets its own image: half of that turn is the upper half's
      const up = normals[(isFoot[t] ? other : t) * 3 + 2]!;
      curvature -= (length / 2) * Math.asin(Math.max(-1, Math.min(1, up)));
      return;
    }
    const [a, b] = [t * 3, other * 3];
    const [ax, ay, az] = [normals[a]!, normals[a + 1]!, normals[a + 2]!];
    const [bx, by, bz] = [normals[b]!, normals[b + 1]!, normals[b + 2]!];
    const e = (k: number): number => points[q * stride + k]! - points[p * stride + k]!;
    const along =
      ((ay * bz - az * by) * e(0) + (az * bx - ax * bz) * e(1) + (ax * by - ay * bx) * e(2)) /
      length;
    curvature += (length / 2) * Math.atan2(along, ax * bx + ay * by + az * bz);
  });
  return (t) => (area * t + curvature * t * t + (2 / 3) * Math.PI * t ** 3) / 1000;
}
