import type { Tops } from '../carve/tops.ts';
import { eachFace, type Surface } from './mesh.ts';

/** Nodes along an edge of the grid that heights are taken at. */
const count = 33;

/**
 * Heights of a body as it is seen from above, at the nodes of a grid that just holds it: of all faces that look
 * up over a node, the highest.
 */
export function topsOf(surface: Surface): Tops {
  const { points, triangles, stride } = surface;
  let half = 1;
  for (let i = 0; i < points.length; i += stride)
    half = Math.max(half, Math.abs(points[i]!), Math.abs(points[i + 1]!));
  const stepMm = (2 * half) / (count - 1);
  const mm: (number | null)[] = Array.from({ length: count * count }, () => null);
  const node = (mmFromAxis: number): number => mmFromAxis / stepMm + (count - 1) / 2;
  eachFace(surface, ({ t, nz }) => {
    if (nz <= 1e-6) return;
    const corners = [0, 1, 2].map((k) => {
      const at = triangles[t * 3 + k]! * stride;
      return { u: node(points[at]!), v: node(points[at + 1]!), z: points[at + 2]! };
    });
    const [a, b, c] = corners as [Corner, Corner, Corner];
    const twice = (b.u - a.u) * (c.v - a.v) - (c.u - a.u) * (b.v - a.v);
    if (Math.abs(twice) < 1e-12) return;
    const [low, high] = [Math.min(a.v, b.v, c.v), Math.max(a.v, b.v, c.v)];
    const [left, right] = [Math.min(a.u, b.u, c.u), Math.max(a.u, b.u, c.u)];
    for (let j = Math.max(0, Math.ceil(low)); j <= Math.min(count - 1, high); j++)
      for (let i = Math.max(0, Math.ceil(left)); i <= Math.min(count - 1, right); i++) {
        const wb = ((i - a.u) * (c.v - a.v) - (c.u - a.u) * (j - a.v)) / twice;
        const wc = ((b.u - a.u) * (j - a.v) - (i - a.u) * (b.v - a.v)) / twice;
        if (wb < -1e-9 || wc < -1e-9 || wb + wc > 1 + 1e-9) continue;
        const z = Math.round((a.z + wb * (b.z - a.z) + wc * (c.z - a.z)) * 10) / 10;
        mm[j * count + i] = Math.max(mm[j * count + i] ?? -Infinity, z);
      }
  });
  return { count, stepMm, mm };
}
interface Corner {
  u: number;
  v: number;
  z: number;
}
