import { eachFace, type Surface } from './mesh.ts';

/** Edge of a cell of the grid, mm. */
export const cellMm = 2;

/** What a triangle's coat is: so thick for the first layer of it, and with the next one on it. */
export interface Thickness {
  crumb: number;
  coat: number;
  fondant: number;
}
export interface CoatVolumes {
  crumbMl: number;
  coatMl: number;
  fondantMl: number;
}

/**
 * Volumes of crumb coat, coat and cover on a solid, measured: on a grid of cells the exact distance
 * to the nearest triangle of what is coated gives how much of a cell each layer fills, clamped
 * (0.5 + (t - d)/cell); what counts is what was not filled before. The foot is not coated, and
 * nothing below the board counts.
 *
 * @param thick thicknesses by how far a face looks up: 0 upright, 1 level; @returns mL
 */
export function coatVolumes(surface: Surface, thick: (up: number) => Thickness): CoatVolumes {
  const faces = facesOf(surface, thick);
  const reach = Math.max(...faces.map((f) => f.all)) + cellMm;
  const grid = gridOf(surface, reach);
  const { nx, ny, nz, x0, y0, z0 } = grid;
  const cells = nx * ny * nz;
  // signed distance less the layer's own thickness would differ by face: the nearest face decides
  const near = new Float32Array(cells).fill(1e9);
  const which = new Int32Array(cells).fill(-1);
  for (let f = 0; f < faces.length; f++) {
    const face = faces[f]!;
    const [ax, ay, az, bx, by, bz, cx, cy, cz] = face.corners as unknown as number[];
    const lo = (a: number, b: number, c: number, start: number): number =>
      Math.max(0, Math.ceil((Math.min(a, b, c) - reach - start) / cellMm));
    const hi = (a: number, b: number, c: number, start: number, n: number): number =>
      Math.min(n - 1, Math.floor((Math.max(a, b, c) + reach - start) / cellMm));
    const [i0, i1] = [lo(ax!, bx!, cx!, x0), hi(ax!, bx!, cx!, x0, nx)];
    const [j0, j1] = [lo(ay!, by!, cy!, y0), hi(ay!, by!, cy!, y0, ny)];
    const [k0, k1] = [lo(az!, bz!, cz!, z0), hi(az!, bz!, cz!, z0, nz)];
    const [px, py, pz] = face.normal;
    const [mx, my, mz] = face.middle;
    const plane = px * ax! + py * ay! + pz * az!;
    for (let k = k0; k <= k1; k++) {
      const z = z0 + k * cellMm;
      for (let j = j0; j <= j1; j++) {
        const y = y0 + j * cellMm;
        const away = py * y + pz * z - plane;
        // deep inside nothing is coated
        const [from, to] = within(px, away, -cellMm, reach);
        const last = Math.min(i1, Math.floor((to - x0) / cellMm));
        for (let i = Math.max(i0, Math.ceil((from - x0) / cellMm)); i <= last; i++) {
          const x = x0 + i * cellMm;
          const off = px * x + away;
          const at = (k * ny + j) * nx + i;
          const known = near[at]!;
          if (off * off >= known) continue;
          const least = Math.sqrt((x - mx!) ** 2 + (y - my!) ** 2 + (z - mz!) ** 2) - face.radius;
          if (least > reach || (least > 0 && least * least >= known)) continue;
          const d = distance2(x, y, z, face.corners);
          if (d < near[at]!) {
            near[at] = d;
            which[at] = f;
          }
        }
      }
    }
  }
  const inside = insideOf(surface, grid);
  const sums = { bare: 0, crumb: 0, coat: 0, fondant: 0 };
  const fill = (t: number, d: number): number => Math.min(1, Math.max(0, 0.5 + (t - d) / cellMm));
  for (let at = 0; at < cells; at++) {
    const f = which[at]!;
    if (f < 0) continue;
    const away = Math.sqrt(near[at]!);
    const d = inside[at] ? -away : away;
    const { thick: t } = faces[f]!;
    sums.bare += fill(0, d);
    sums.crumb += fill(t.crumb, d);
    sums.coat += fill(t.crumb + t.coat, d);
    sums.fondant += fill(t.crumb + t.coat + t.fondant, d);
  }
  const cell = cellMm ** 3 / 1000;
  return {
    crumbMl: (sums.crumb - sums.bare) * cell,
    coatMl: (sums.coat - sums.crumb) * cell,
    fondantMl: (sums.fondant - sums.coat) * cell,
  };
}

/** Where slope·x + start lies between two values. */
function within(slope: number, start: number, low: number, high: number): [number, number] {
  if (Math.abs(slope) < 1e-9)
    return start >= low && start <= high ? [-Infinity, Infinity] : [Infinity, -Infinity];
  const [a, b] = [(low - start) / slope, (high - start) / slope];
  return a < b ? [a, b] : [b, a];
}

interface CoatedFace {
  corners: Float64Array;
  normal: readonly [number, number, number];
  /** A ball round it. */
  middle: readonly number[];
  radius: number;
  thick: Thickness;
  all: number;
}

function facesOf(surface: Surface, thick: (up: number) => Thickness): CoatedFace[] {
  const faces: CoatedFace[] = [];
  eachFace(surface, ({ a, b, c, nx, ny, nz, isFoot }) => {
    if (isFoot) return;
    const corners = new Float64Array(9);
    [a, b, c].forEach((from, v) => {
      for (let k = 0; k < 3; k++) corners[v * 3 + k] = surface.points[from + k]!;
    });
    const middle = [0, 1, 2].map((k) => (corners[k]! + corners[3 + k]! + corners[6 + k]!) / 3);
    const layers = thick(Math.max(0, nz));
    faces.push({
      corners,
      normal: [nx, ny, nz],
      middle,
      radius: Math.max(
        ...[0, 3, 6].map((v) => Math.hypot(...middle.map((m, k) => corners[v + k]! - m))),
      ),
      thick: layers,
      all: layers.crumb + layers.coat + layers.fondant,
    });
  });
  return faces;
}

interface Grid {
  nx: number;
  ny: number;
  nz: number;
  x0: number;
  y0: number;
  z0: number;
}
function gridOf({ points, stride }: Surface, reach: number): Grid {
  const low = [1e9, 1e9, 1e9];
  const high = [-1e9, -1e9, -1e9];
  for (let i = 0; i < points.length; i += stride)
    for (let k = 0; k < 3; k++) {
      low[k] = Math.min(low[k]!, points[i + k]!);
      high[k] = Math.max(high[k]!, points[i + k]!);
    }
  const count = (k: number): number => Math.ceil((high[k]! - low[k]! + 2 * reach) / cellMm) + 1;
  return {
    nx: count(0),
    ny: count(1),
    nz: Math.ceil((high[2]! + reach) / cellMm) + 1,
    x0: low[0]! - reach,
    y0: low[1]! - reach,
    // the lowest cells lie wholly above the board
    z0: cellMm / 2,
  };
}

/** Which cells lie inside, by how often a plumb line through them has crossed the surface. */
function insideOf({ points, triangles, stride }: Surface, grid: Grid): Uint8Array {
  const { nx, ny, nz, x0, y0, z0 } = grid;
  const flips = new Uint8Array(nx * ny * nz);
  for (let t = 0; t < triangles.length; t += 3) {
    const [a, b, c] = [0, 1, 2].map((v) => triangles[t + v]! * stride) as [number, number, number];
    const [ax, ay, az] = [points[a]!, points[a + 1]!, points[a + 2]!];
    const [bx, by, bz] = [points[b]!, points[b + 1]!, points[b + 2]!];
    const [cx, cy, cz] = [points[c]!, points[c + 1]!, points[c + 2]!];
    const area = (bx - ax) * (cy - ay) - (cx - ax) * (by - ay);
    if (area === 0) continue;
    const i0 = Math.max(0, Math.ceil((Math.min(ax, bx, cx) - x0) / cellMm));
    const i1 = Math.min(nx - 1, Math.floor((Math.max(ax, bx, cx) - x0) / cellMm));
    const j0 = Math.max(0, Math.ceil((Math.min(ay, by, cy) - y0) / cellMm));
    const j1 = Math.min(ny - 1, Math.floor((Math.max(ay, by, cy) - y0) / cellMm));
    for (let j = j0; j <= j1; j++)
      for (let i = i0; i <= i1; i++) {
        // a hair aside, so that no line runs through a corner
        const x = x0 + i * cellMm + 1.37e-4;
        const y = y0 + j * cellMm + 2.41e-4;
        const u = ((bx - x) * (cy - y) - (cx - x) * (by - y)) / area;
        const v = ((cx - x) * (ay - y) - (ax - x) * (cy - y)) / area;
        const w = 1 - u - v;
        if (u < 0 || v < 0 || w < 0) continue;
        const k = Math.max(0, Math.ceil((u * az + v * bz + w * cz - z0) / cellMm));
        if (k < nz) flips[(k * ny + j) * nx + i]! ^= 1;
      }
  }
  // every crossing turns what is above it
  for (let k = 1; k < nz; k++)
    for (let at = 0; at < nx * ny; at++) flips[k * nx * ny + at]! ^= flips[(k - 1) * nx * ny + at]!;
  return flips;
}

/** Square of the distance from a point to a triangle, exact. */
function distance2(px: number, py: number, pz: number, c: Float64Array): number {
  const [ax, ay, az] = [c[0]!, c[1]!, c[2]!];
  const abx = c[3]! - ax;
  const aby = c[4]! - ay;
  const abz = c[5]! - az;
  const acx = c[6]! - ax;
  const acy = c[7]! - ay;
  const acz = c[8]! - az;
  const apx = px - ax;
  const apy = py - ay;
  const apz = pz - az;
  const d1 = abx * apx + aby * apy + abz * apz;
  const d2 = acx * apx + acy * apy + acz * apz;
  if (d1 <= 0 && d2 <= 0) return apx * apx + apy * apy + apz * apz;
  const bpx = apx - abx;
  const bpy = apy - aby;
  const bpz = apz - abz;
  const d3 = abx * bpx + aby * bpy + abz * bpz;
  const d4 = acx * bpx + acy * bpy + acz * bpz;
  if (d3 >= 0 && d4 <= d3) return bpx * bpx + bpy * bpy + bpz * bpz;
  const vc = d1 * d4 - d3 * d2;
  if (vc <= 0 && d1 >= 0 && d3 <= 0) {
    const v = d1 / (d1 - d3);
    return (apx - v * abx) ** 2 + (apy - v * aby) ** 2 + (apz - v * abz) ** 2;
  }
  const cpx = apx - acx;
  const cpy = apy - acy;
  const cpz = apz - acz;
  const d5 = abx * cpx + aby * cpy + abz * cpz;
  const d6 = acx * cpx + acy * cpy + acz * cpz;
  if (d6 >= 0 && d5 <= d6) return cpx * cpx + cpy * cpy + cpz * cpz;
  const vb = d5 * d2 - d1 * d6;
  if (vb <= 0 && d2 >= 0 && d6 <= 0) {
    const w = d2 / (d2 - d6);
    return (apx - w * acx) ** 2 + (apy - w * acy) ** 2 + (apz - w * acz) ** 2;
  }
  const va = d3 * d6 - d5 * d4;
  if (va <= 0 && d4 - d3 >= 0 && d5 - d6 >= 0) {
    const w = (d4 - d3) / (d4 - d3 + (d5 - d6));
    return (
      (bpx - w * (acx - abx)) ** 2 + (bpy - w * (acy - aby)) ** 2 + (bpz - w * (acz - abz)) ** 2
    );
  }
  const nx = aby * acz - abz * acy;
  const ny = abz * acx - abx * acz;
  const nz = abx * acy - aby * acx;
  const n2 = nx * nx + ny * ny + nz * nz;
  const off = apx * nx + apy * ny + apz * nz;
  return (off * off) / n2;
}
