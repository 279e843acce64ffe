import type { PictureBody } from '@pyrgotect/core';
import { Color, Vector3, type BufferGeometry } from 'three';
import { Triangles } from './body-mesh.ts';

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
  step: number;
}
/** Corners moved out by so much, each by all the faces that meet there, so that nothing comes apart at an edge. */
function grown(corners: Float32Array, normals: Float32Array, byMm: number): Float32Array {
  const at = (i: number): string =>
    `${Math.round(corners[i]! * 100)}/${Math.round(corners[i + 1]! * 100)}/${Math.round(corners[i + 2]! * 100)}`;
  const facing = new Map<string, Vector3>();
  for (let i = 0; i < corners.length; i += 3) {
    const sum = facing.get(at(i)) ?? new Vector3();
    facing.set(at(i), sum.add(new Vector3(normals[i], normals[i + 1], normals[i + 2])));
  }
  for (const sum of facing.values()) sum.normalize().multiplyScalar(byMm);
  return Float32Array.from(corners, (mm, i) => {
    const out = facing.get(at(i - (i % 3)))!;
    return mm + out.getComponent(i % 3);
  });
}

/** The triangles of a carved tier, its faces moved out by its coat. */
export function carvedGeometry(
  { corners, normals, coatMm, looks }: CarvedMesh,
  colourOf: (look: PictureBody['look']) => string,
): BufferGeometry {
  const moved = grown(corners, normals, coatMm);
  const colours = new Map(looks.map((look) => [look, new Color(colourOf(look))]));
  const triangles = new Triangles();
  const at = (i: number): number[] => [moved[i]!, moved[i + 1]!, moved[i + 2]!];
  for (let i = 0; i < moved.length; i += 9)
    triangles.add(at(i), at(i + 3), at(i + 6), colours.get(looks[i / 9]!)!, 0);
  return triangles.geometry();
}
