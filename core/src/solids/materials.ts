import type { Stratum } from '../carve/types.ts';
import type { Vec3 } from '../carve/result.ts';
import { apply, inverse, type Frame } from './frame.ts';
import type { Surface } from './mesh.ts';
import { cornerNormals, normalAt } from './normals.ts';

/** What of a surface lies in one band: what it encloses there, and what of it shows. */
export interface BandShare {
  part: string;
  ml: number;
  massG: number;
  /** Of the volume, in the world. */
  centre: Vec3;
  /** Surface in this band, without what lies on the table, mm2. */
  areaMm2: number;
}

/** Gets each clipped triangle of a surface, as it lies in the stack, with the band it is in. */
type Take = (
  band: number,
  polygon: Float64Array,
  corners: number,
  isFoot: boolean,
  triangle: number,
) => void;

/**
 * Cuts every triangle at the level planes between bands, in the stack's own frame. Polygons come as
 * x, y, z one after another in a buffer that is used again. Written without small objects: it sees
 * every triangle of every cut.
 */
function clip(surface: Surface, frame: Frame, planes: readonly number[], take: Take): void {
  const { points, triangles, stride } = surface;
  const count = points.length / stride;
  const own = new Float64Array(count * 3);
  const [[a0, a1, a2, a3], [b0, b1, b2, b3], [c0, c1, c2, c3]] = frame;
  for (let i = 0; i < count; i++) {
    const at = i * stride;
    const x = points[at]!;
    const y = points[at + 1]!;
    const z = points[at + 2]!;
    own[i * 3] = a0 * x + a1 * y + a2 * z + a3;
    own[i * 3 + 1] = b0 * x + b1 * y + b2 * z + b3;
    own[i * 3 + 2] = c0 * x + c1 * y + c2 * z + c3;
  }
  const most = planes.length;
  const work = [new Float64Array(36), new Float64Array(36)] as const;
  const below = new Float64Array(36);
  for (let t = 0; t < triangles.length; t += 3) {
    const i = triangles[t]!;
    const j = triangles[t + 1]!;
    const k = triangles[t + 2]!;
    const isFoot =
      points[i * stride + 2]! < 0.02 &&
      points[j * stride + 2]! < 0.02 &&
      points[k * stride + 2]! < 0.02;
    let now = work[0];
    now[0] = own[i * 3]!;
    now[1] = own[i * 3 + 1]!;
    now[2] = own[i * 3 + 2]!;
    now[3] = own[j * 3]!;
    now[4] = own[j * 3 + 1]!;
    now[5] = own[j * 3 + 2]!;
    now[6] = own[k * 3]!;
    now[7] = own[k * 3 + 1]!;
    now[8] = own[k * 3 + 2]!;
    const low = Math.min(now[2], now[5], now[8]) + 1e-7;
    const high = Math.max(now[2], now[5], now[8]) - 1e-7;
    let band = 0;
    while (band < most && low > planes[band]!) band++;
    let corners = 3;
    for (; band < most && high > planes[band]!; band++) {
      const rest = now === work[0] ? work[1] : work[0];
      const [under, over] = part(now, corners, planes[band]!, below, rest);
      if (under > 2) take(band, below, under, isFoot, t);
      now = rest;
      corners = over;
    }
    if (corners > 2) take(band, now, corners, isFoot, t);
  }
}

const counts: [below: number, above: number] = [0, 0];
/** Parts a convex polygon at a level into two buffers; gives how many corners each part has. */
function part(
  polygon: Float64Array,
  corners: number,
  level: number,
  below: Float64Array,
  above: Float64Array,
): [below: number, above: number] {
  let under = 0;
  let over = 0;
  for (let i = 0; i < corners; i++) {
    const a = i * 3;
    const b = (i + 1 === corners ? 0 : i + 1) * 3;
    const az = polygon[a + 2]!;
    const bz = polygon[b + 2]!;
    if (az <= level) {
      below[under] = polygon[a]!;
      below[under + 1] = polygon[a + 1]!;
      below[under + 2] = az;
      under += 3;
    }
    if (az >= level) {
      above[over] = polygon[a]!;
      above[over + 1] = polygon[a + 1]!;
      above[over + 2] = az;
      over += 3;
    }
    if ((az < level && bz > level) || (az > level && bz < level)) {
      const f = (level - az) / (bz - az);
      const x = polygon[a]! + (polygon[b]! - polygon[a]!) * f;
      const y = polygon[a + 1]! + (polygon[b + 1]! - polygon[a + 1]!) * f;
      below[under] = x;
      below[under + 1] = y;
      below[under + 2] = level;
      under += 3;
      above[over] = x;
      above[over + 1] = y;
      above[over + 2] = level;
      over += 3;
    }
  }
  counts[0] = under / 3;
  counts[1] = over / 3;
  return counts;
}

/** Levels at which one band ends and the next begins, and the part of each stretch. */
function stretches(bands: readonly Stratum[]): { planes: number[]; of: (Stratum | null)[] } {
  const planes: number[] = [];
  const of: (Stratum | null)[] = [bands[0] ?? null];
  bands.forEach((band, i) => {
    if (i === 0) return;
    planes.push((bands[i - 1]!.toMm + band.fromMm) / 2);
    of.push(band);
  });
  return { planes, of };
}

/**
 * Volume, mass, centre and visible surface of a closed surface by band. The planes between bands
 * are level in the stack's frame, so a band's volume is the integral of x·nx over what of the
 * surface lies in it: the caps have no nx and are not needed.
 */
export function sharesOf(surface: Surface, frame: Frame, bands: readonly Stratum[]): BandShare[] {
  const { planes, of } = stretches(bands);
  const sums = of.map(() => ({ v: 0, x: 0, y: 0, z: 0, area: 0 }));
  clip(surface, frame, planes, (band, polygon, corners, isFoot) => {
    const sum = sums[band]!;
    const x0 = polygon[0]!;
    const y0 = polygon[1]!;
    const z0 = polygon[2]!;
    for (let k = 1; k + 1 < corners; k++) {
      const x1 = polygon[k * 3]!;
      const y1 = polygon[k * 3 + 1]!;
      const z1 = polygon[k * 3 + 2]!;
      const x2 = polygon[k * 3 + 3]!;
      const y2 = polygon[k * 3 + 4]!;
      const z2 = polygon[k * 3 + 5]!;
      const nx = (y1 - y0) * (z2 - z0) - (z1 - z0) * (y2 - y0);
      const ny = (z1 - z0) * (x2 - x0) - (x1 - x0) * (z2 - z0);
      const nz = (x1 - x0) * (y2 - y0) - (y1 - y0) * (x2 - x0);
      const a = nx / 2;
      const sx = x0 + x1 + x2;
      const sy = y0 + y1 + y2;
      const sz = z0 + z1 + z2;
      sum.v += (a * sx) / 3;
      // the mean of a product of two coordinates over a triangle
      sum.x += (a * (x0 * x0 + x1 * x1 + x2 * x2 + sx * sx)) / 24;
      sum.y += (a * (x0 * y0 + x1 * y1 + x2 * y2 + sx * sy)) / 12;
      sum.z += (a * (x0 * z0 + x1 * z1 + x2 * z2 + sx * sz)) / 12;
      if (!isFoot) sum.area += Math.sqrt(nx * nx + ny * ny + nz * nz) / 2;
    }
  });
  const back = inverse(frame);
  return of.flatMap((band, i): BandShare[] => {
    const sum = sums[i]!;
    if (!band || (Math.abs(sum.v) < 1e-3 && sum.area < 1e-3)) return [];
    const ml = sum.v / 1000;
    const centre: Vec3 = sum.v === 0 ? [0, 0, 0] : [sum.x / sum.v, sum.y / sum.v, sum.z / sum.v];
    return [
      {
        part: band.part,
        ml,
        massG: ml * band.gPerMl,
        centre: apply(back, centre),
        areaMm2: sum.area,
      },
    ];
  });
}

/** Triangles for showing a surface, each with the part it belongs to. */
export interface Shown {
  /** Nine numbers to a triangle. */
  corners: Float32Array;
  /** Which way the surface faces there, so that light does not show the facets of a curved face. */
  normals: Float32Array;
  /** Which of `parts` each triangle is. */
  partOf: Uint8Array;
  parts: string[];
}

/** The triangles of a surface cut at the bands, in the world. */
export function shown(surface: Surface, frame: Frame, bands: readonly Stratum[]): Shown {
  const { planes, of } = stretches(bands);
  const back = inverse(frame);
  const corners: number[] = [];
  const looks: number[] = [];
  const partOf: number[] = [];
  const facing = cornerNormals(surface);
  clip(surface, frame, planes, (band, polygon, n, _isFoot, t) => {
    const places = Array.from({ length: n }, (_, k): Vec3 =>
      apply(back, [polygon[k * 3]!, polygon[k * 3 + 1]!, polygon[k * 3 + 2]!]),
    );
    const normals = places.map((place) => normalAt(surface, facing, t, place));
    for (let k = 1; k + 1 < n; k++) {
      for (const i of [0, k, k + 1]) {
        corners.push(...places[i]!);
        looks.push(...normals[i]!);
      }
      partOf.push(band);
    }
  });
  return {
    corners: Float32Array.from(corners),
    normals: Float32Array.from(looks),
    partOf: Uint8Array.from(partOf),
    parts: of.map((band) => band?.part ?? ''),
  };
}
