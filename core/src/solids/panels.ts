import type { Panel } from '../carve/result.ts';
import { eachEdge, eachFace, lengthOf, type Surface } from './mesh.ts';

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

/**
 * Panels of cover: the surface by which way it faces, each with its area, the sheet it is cut from
 * (as large as it looks, stretched by how much it curves away) and its seams with the others.
 */
export function panelsOf(surface: Surface): Panel[] {
  const { points } = surface;
  const sideOf = new Int8Array(surface.triangles.length / 3).fill(-1);
  const rows = sides.map(({ name }) => ({
    name,
    areaMm2: 0,
    seamMm: 0,
    lo: [Infinity, Infinity] as [number, number],
    hi: [-Infinity, -Infinity] as [number, number],
  }));
  eachFace(surface, ({ t, a, b, c, nx, ny, nz, areaMm2, isFoot }) => {
    if (isFoot) return;
    let best = 0;
    let most = -2;
    sides.forEach(({ n }, i) => {
      const dot = nx * n[0] + ny * n[1] + nz * n[2];
      // a face half-way between two goes to the first, all of it
      if (dot > most + 1e-4) [most, best] = [dot, i];
    });
    sideOf[t] = best;
    const row = rows[best]!;
    row.areaMm2 += areaMm2;
    const { n } = sides[best]!;
    for (const p of [a, b, c]) {
      const at =
        n[2] !== 0
          ? [points[p]!, points[p + 1]!]
          : [n[0] !== 0 ? points[p + 1]! : points[p]!, points[p + 2]!];
      for (const k of [0, 1] as const) {
        row.lo[k] = Math.min(row.lo[k], at[k]!);
        row.hi[k] = Math.max(row.hi[k], at[k]!);
      }
    }
  });
  eachEdge(surface, (p, q, t, other) => {
    const [mine, theirs] = [sideOf[t]!, sideOf[other]!];
    if (mine < 0 || theirs < 0 || mine === theirs) return;
    const mm = lengthOf(surface, p, q);
    rows[mine]!.seamMm += mm;
    rows[theirs]!.seamMm += mm;
  });
  return rows
    .filter((row) => row.areaMm2 > leastMm2)
    .map(({ name, areaMm2, seamMm, lo, hi }) => {
      const [wide, high] = [hi[0] - lo[0], hi[1] - lo[1]];
      const stretch = Math.sqrt(Math.max(1, areaMm2 / Math.max(1, wide * high)));
      return { name, areaMm2, seamMm, wideMm: wide * stretch, highMm: high * stretch };
    });
}

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
