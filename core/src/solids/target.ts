import { limits } from '../document/limits.ts';
import type { TargetCut } from '../carve/types.ts';
import { within, type Library } from './library.ts';
import { surfaceOf } from './mesh.ts';
import { MeshProblem, readStl, type StlUnit } from './stl.ts';

/**
 * A target shape from an STL file, as a cut of a carving: made coarser until it is small enough to
 * be kept with the cake.
 *
 * @throws MeshProblem with what is wrong with the file, in plain words
 */
export function targetFrom(
  lib: Library,
  bytes: Uint8Array,
  fileName: string,
  unit: StlUnit = 'guess',
): Pick<TargetCut, 'points' | 'triangles' | 'fileName' | 'heightMm'> & { notes: string[] } {
  const read = readStl(bytes, unit);
  return within((scope) => {
    const mesh = new lib.Mesh({
      numProp: 3,
      vertProperties: Float32Array.from(read.points),
      triVerts: Uint32Array.from(read.triangles),
    });
    mesh.merge();
    let solid;
    try {
      solid = scope.hold(lib.Manifold.ofMesh(mesh));
    } catch {
      throw new MeshProblem('Its triangles do not close to a solid: mend it where it was drawn.');
    }
    const parts = scope.holdAll(solid.decompose());
    // shells that overlap count once
    if (parts.length > 1) solid = scope.hold(lib.Manifold.union([...parts]));
    const size = Math.max(...read.sizeMm);
    let coarse = solid;
    for (
      let by = size / 5000;
      coarse.numTri() > limits.meshTriangles.max || coarse.numVert() > limits.meshPoints.max;
      by *= 1.6
    ) {
      if (by > size / 20) throw new MeshProblem('It cannot be made coarse enough to be kept.');
      coarse = scope.hold(solid.simplify(by));
    }
    const { points, triangles, stride } = surfaceOf(coarse);
    const kept = Array.from({ length: (points.length / stride) * 3 }, (_, i) => {
      const n = points[Math.floor(i / 3) * stride + (i % 3)]!;
      return Math.round(n * 100) / 100;
    });
    return {
      points: kept,
      triangles: [...triangles],
      fileName: fileName.slice(0, limits.fileName.max),
      heightMm: Math.min(limits.targetMm.max, Math.max(limits.targetMm.min, read.sizeMm[2])),
      notes: [
        ...read.notes,
        ...(parts.length > 1
          ? [`It is made of ${parts.length} shells; they are taken together.`]
          : []),
        ...(coarse.numTri() < solid.numTri()
          ? [`It was made coarser, from ${solid.numTri()} to ${coarse.numTri()} triangles.`]
          : []),
      ],
    };
  });
}
