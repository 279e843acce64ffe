import type { Film, PictureBody, PictureRelief } from '@pyrgotect/core';
import { Color, Vector3, type BufferGeometry } from 'three';
import { Triangles } from './body-mesh.ts';
import { film } from './film.ts';
import type { PictureColours } from './paints.ts';

/** A carved tier as the solids gave it: corners of triangles, and its place. */
export interface CarvedMesh {
  tierId: string;
  part: string;
  corners: Float32Array;
  normals: Float32Array;
  /** Of each triangle. */
  looks: PictureBody['look'][];
  at: { x: number; y: number; z: number };
  coatMm: number;
  /** On its coat; which way a face looks tells side from top. */
  films: readonly Film[];
  /** Cut into its coat. */
  reliefs: readonly PictureRelief[];
  step: number;
}
/** From here on a face looks up: the share of its normal. */
const isTopFrom = 0.7;
/** Corners nearer to each other than this are one, mm; and so far from the middle they lie at most, steps of it. */
const oneMm = 1 / 64;
const reach = 2 ** 16;

/** Corners moved out by so much, each by all the faces that meet there, so that nothing comes apart at an edge. */
function grown(corners: Float32Array, normals: Float32Array, byMm: number): Float32Array {
  const step = (i: number): number =>
    Math.min(reach - 1, Math.max(-reach, Math.round(corners[i]! / oneMm))) + reach;
  // three numbers of 17 bits are one that is exact
  const at = (i: number): number => (step(i) * 2 * reach + step(i + 1)) * 2 * reach + step(i + 2);
  const facing = new Map<number, Vector3>();
  for (let i = 0; i < corners.length; i += 3) {
    const key = at(i);
    let sum = facing.get(key);
    if (!sum) facing.set(key, (sum = new Vector3()));
    sum.x += normals[i]!;
    sum.y += normals[i + 1]!;
    sum.z += normals[i + 2]!;
  }
  for (const sum of facing.values()) sum.normalize().multiplyScalar(byMm);
  const moved = new Float32Array(corners.length);
  for (let i = 0; i < corners.length; i += 3) {
    const { x, y, z } = facing.get(at(i))!;
    moved[i] = corners[i]! + x;
    moved[i + 1] = corners[i + 1]! + y;
    moved[i + 2] = corners[i + 2]! + z;
  }
  return moved;
}
const grownKnown = new WeakMap<CarvedMesh, Float32Array>();
/** The faces of its coat: corners, and which way they look. */
export function coatFaces(carved: CarvedMesh): Pick<CarvedMesh, 'corners' | 'normals'> {
  const { corners, normals, coatMm } = carved;
  const known = grownKnown.get(carved) ?? (coatMm > 0 ? grown(corners, normals, coatMm) : corners);
  grownKnown.set(carved, known);
  return { corners: known, normals };
}
/** Of more triangles than this none is so large that one would see it flat. */
const flatFrom = 40_000;

/** The triangles of a carved tier, its faces moved out by its coat. */
export function carvedGeometry(carved: CarvedMesh, colours: PictureColours): BufferGeometry {
  const { looks, films } = carved;
  const { corners: moved, normals } = coatFaces(carved);
  const filmed = (where: 'side' | 'top'): Map<PictureBody['look'], Color> =>
    new Map(
      [...new Set(looks)].map((look) => {
        const colour = new Color(colours.of(look));
        film(colour, films, where, colours);
        return [look, colour];
      }),
    );
  const { side, top } = { side: filmed('side'), top: filmed('top') };
  const triangles = new Triangles();
  const at = (i: number): number[] => [moved[i]!, moved[i + 1]!, moved[i + 2]!];
  for (let i = 0; i < moved.length; i += 9)
    triangles.add(
      at(i),
      at(i + 3),
      at(i + 6),
      (normals[i + 2]! > isTopFrom ? top : side).get(looks[i / 9]!)!,
      0,
    );
  return looks.length > flatFrom ? triangles.flat(normals) : triangles.geometry();
}
