/* Reading solids from STL files, and writing them. */

/** A surface read from a file: welded points in mm and triangles of three of them. */
export interface ReadMesh {
  points: number[];
  triangles: number[];
  /** What was mended on the way, in plain words. */
  notes: string[];
  sizeMm: [number, number, number];
}
export class MeshProblem extends Error {}

/** More triangles than this are not read. */
export const maxStlTriangles = 2_000_000;

export const stlUnits = ['guess', 'mm', 'cm', 'in', 'm'] as const;
/** What one unit of a file is; the file itself does not say. */
export type StlUnit = (typeof stlUnits)[number];
const mmOf: Record<Exclude<StlUnit, 'guess'>, number> = { mm: 1, cm: 10, in: 25.4, m: 1000 };

/**
 * Reads an STL file, binary or ASCII: equal points become one, triangles without area go, a solid
 * that is inside out is turned. One above 2 m is refused.
 *
 * @param unit what one unit of the file is; guessed, it is taken as mm, and as metres where it is below 3 mm across
 * @throws MeshProblem with what is wrong, in plain words
 */
export function readStl(bytes: Uint8Array, unit: StlUnit = 'guess'): ReadMesh {
  const corners = isBinary(bytes) ? binaryCorners(bytes) : asciiCorners(bytes);
  const notes: string[] = [];
  if (corners.some((n) => !Number.isFinite(n)))
    throw new MeshProblem('The file holds coordinates that are no numbers.');
  const { points, triangles } = weld(corners);
  if (triangles.length === 0) throw new MeshProblem('The file holds no triangles with an area.');
  const open = openEdges(triangles);
  if (open > 0)
    throw new MeshProblem(
      `The solid is open: ${open} ${open === 1 ? 'edge borders' : 'edges border'} one triangle, or more than two. Close it in the program it was drawn in.`,
    );
  const volume = signedVolume(points, triangles);
  if (Math.abs(volume) < 1e-9) throw new MeshProblem('The solid has no volume.');
  if (volume < 0) {
    for (let t = 0; t < triangles.length; t += 3)
      [triangles[t + 1], triangles[t + 2]] = [triangles[t + 2]!, triangles[t + 1]!];
    notes.push('It was inside out and has been turned.');
  }
  let { low, size } = boxOf(points);
  const isTiny = unit === 'guess' && Math.max(...size) < 3;
  const perUnit = unit === 'guess' ? (isTiny ? mmOf.m : mmOf.mm) : mmOf[unit];
  if (perUnit !== 1) {
    points.forEach((n, i) => (points[i] = n * perUnit));
    ({ low, size } = boxOf(points));
  }
  if (isTiny) notes.push('It was in metres and has been read as such.');
  if (Math.max(...size) > 2000)
    throw new MeshProblem(
      `The solid is ${(Math.max(...size) / 1000).toFixed(1)} m across: say in which unit it was drawn, or scale it down.`,
    );
  // its foot on the board, its middle on the axis
  const middle = [low[0] + size[0] / 2, low[1] + size[1] / 2, low[2]];
  points.forEach((n, i) => (points[i] = n - middle[i % 3]!));
  return { points, triangles, notes, sizeMm: size };
}

/** Where a surface begins along each axis, and how far it reaches. */
function boxOf(points: readonly number[]): { low: ReadMesh['sizeMm']; size: ReadMesh['sizeMm'] } {
  const low: ReadMesh['sizeMm'] = [Infinity, Infinity, Infinity];
  const high: ReadMesh['sizeMm'] = [-Infinity, -Infinity, -Infinity];
  points.forEach((n, i) => {
    const k = i % 3;
    if (n < low[k]!) low[k] = n;
    if (n > high[k]!) high[k] = n;
  });
  return { low, size: [high[0] - low[0], high[1] - low[1], high[2] - low[2]] };
}

const textOf = (bytes: Uint8Array, from: number, to: number): string => {
  let text = '';
  for (let i = from; i < to; i += 8192)
    text += String.fromCharCode(...bytes.subarray(i, Math.min(to, i + 8192)));
  return text;
};

/** A binary file is as long as its count of triangles says; the word "solid" may begin either. */
function isBinary(bytes: Uint8Array): boolean {
  if (bytes.length < 15) throw new MeshProblem('This is no STL file: it is too short.');
  if (bytes.length >= 84) {
    const count = new DataView(bytes.buffer, bytes.byteOffset).getUint32(80, true);
    if (bytes.length === 84 + 50 * count) return true;
    const head = textOf(bytes, 0, 512).trimStart();
    if (head.startsWith('solid') && /facet|endsolid/.test(head)) return false;
    if (!head.startsWith('solid') && count > 0 && bytes.length < 84 + 50 * count)
      throw new MeshProblem(
        count < 50_000_000
          ? `This is no whole STL file: it says ${count} triangles and ends too early.`
          : 'This is no STL file.',
      );
  }
  if (textOf(bytes, 0, 80).trimStart().startsWith('solid')) return false;
  throw new MeshProblem('This is no STL file.');
}

const tooMany = (count: number): MeshProblem =>
  new MeshProblem(
    `The file holds ${count} triangles, more than the ${maxStlTriangles - 1} that are read: make it coarser first.`,
  );

function binaryCorners(bytes: Uint8Array): Float64Array {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const count = view.getUint32(80, true);
  if (count >= maxStlTriangles) throw tooMany(count);
  const corners = new Float64Array(count * 9);
  for (let t = 0; t < count; t++)
    for (let k = 0; k < 9; k++)
      corners[t * 9 + k] = view.getFloat32(84 + t * 50 + 12 + k * 4, true);
  return corners;
}

function asciiCorners(bytes: Uint8Array): Float64Array {
  const text = textOf(bytes, 0, bytes.length);
  const found: number[] = [];
  const pattern = /vertex\s+(\S+)\s+(\S+)\s+(\S+)/g;
  for (let match = pattern.exec(text); match; match = pattern.exec(text)) {
    found.push(Number(match[1]), Number(match[2]), Number(match[3]));
    if (found.length >= maxStlTriangles * 9) throw tooMany(found.length / 9);
  }
  if (found.length === 0 || found.length % 9 !== 0)
    throw new MeshProblem('The file holds no whole triangles: is it STL?');
  return Float64Array.from(found);
}

/** Points that are equal to a few parts in a million become one. */
function weld(corners: Float64Array): { points: number[]; triangles: number[] } {
  let most = 0;
  for (const n of corners) if (Math.abs(n) > most) most = Math.abs(n);
  const step = Math.max(1e-9, most * 2e-6);
  const known = new Map<string, number>();
  const points: number[] = [];
  const triangles: number[] = [];
  for (let i = 0; i < corners.length; i += 9) {
    const ids = [0, 3, 6].map((at) => {
      const [x, y, z] = [corners[i + at]!, corners[i + at + 1]!, corners[i + at + 2]!];
      const key = `${Math.round(x / step)},${Math.round(y / step)},${Math.round(z / step)}`;
      const id = known.get(key);
      if (id !== undefined) return id;
      known.set(key, points.length / 3);
      points.push(x, y, z);
      return points.length / 3 - 1;
    }) as [number, number, number];
    if (new Set(ids).size === 3) triangles.push(...ids);
  }
  return { points, triangles };
}

/** Edges that are not shared by just two triangles that run opposite ways. */
function openEdges(triangles: readonly number[]): number {
  const runs = new Map<string, number>();
  for (let t = 0; t < triangles.length; t += 3)
    for (let k = 0; k < 3; k++) {
      const [a, b] = [triangles[t + k]!, triangles[t + ((k + 1) % 3)]!];
      const key = a < b ? `${a},${b}` : `${b},${a}`;
      runs.set(key, (runs.get(key) ?? 0) + (a < b ? 1 : 1000));
    }
  let open = 0;
  for (const count of runs.values()) if (count !== 1001) open++;
  return open;
}

/** Volume inside a closed surface, mm3; negative where it is inside out. */
export function signedVolume(points: readonly number[], triangles: readonly number[]): number {
  let six = 0;
  for (let t = 0; t < triangles.length; t += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => triangles[t + k]! * 3) as [number, number, number];
    six +=
      points[a]! * (points[b + 1]! * points[c + 2]! - points[b + 2]! * points[c + 1]!) +
      points[a + 1]! * (points[b + 2]! * points[c]! - points[b]! * points[c + 2]!) +
      points[a + 2]! * (points[b]! * points[c + 1]! - points[b + 1]! * points[c]!);
  }
  return six / 6;
}

/** A surface as a binary STL file, one unit to the mm. */
export function writeStl(points: ArrayLike<number>, triangles: ArrayLike<number>): Uint8Array {
  const count = triangles.length / 3;
  const bytes = new Uint8Array(84 + 50 * count);
  const view = new DataView(bytes.buffer);
  // "solid" would make readers take it for text
  [...'carved cake, mm'].forEach((letter, i) => (bytes[i] = letter.charCodeAt(0)));
  view.setUint32(80, count, true);
  for (let t = 0; t < count; t++)
    for (let v = 0; v < 3; v++)
      for (let k = 0; k < 3; k++)
        view.setFloat32(
          84 + t * 50 + 12 + (v * 3 + k) * 4,
          points[triangles[t * 3 + v]! * 3 + k]!,
          true,
        );
  return bytes;
}
