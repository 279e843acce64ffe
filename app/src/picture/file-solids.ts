import type { FileSolid } from '@pyrgotect/core';
import { Box3, Color, InstancedMesh, Matrix4, Mesh, Vector3, type Object3D } from 'three';

/** The twelve numbers of a place, as a file has them. */
const placeOf = ({ elements: e }: Matrix4): number[] => [0, 1, 2, 4, 5, 6, 8, 9, 10, 12, 13, 14].map((i) => e[i]!); // prettier-ignore

/** Where it stands, once or as often as it is repeated. */
function placesOf(mesh: Mesh): number[][] {
  if (!(mesh instanceof InstancedMesh)) return [placeOf(mesh.matrixWorld)];
  const one = new Matrix4();
  return Array.from({ length: mesh.count }, (_, i) => {
    mesh.getMatrixAt(i, one);
    return placeOf(one.premultiply(mesh.matrixWorld));
  });
}

/** The colours of a mesh, and which of them each triangle has. */
function coloursOf({ geometry, material }: Mesh, triangles: ArrayLike<number>) {
  const ofPoints = geometry.getAttribute('color') as typeof geometry.attributes.color | undefined;
  if (!ofPoints) {
    const own = (material as { color?: Color }).color ?? new Color('white');
    return { colours: [`#${own.getHexString()}`], colourOf: () => 0 };
  }
  const known = new Map<string, number>();
  const mixed = new Color();
  const each: number[] = [];
  for (let t = 0; t < triangles.length; t += 3) {
    const hex = `#${mixed.fromBufferAttribute(ofPoints, triangles[t]!).getHexString()}`;
    if (!known.has(hex)) known.set(hex, known.size);
    each.push(known.get(hex)!);
  }
  return { colours: [...known.keys()], colourOf: (t: number) => each[t]! };
}

/** What is drawn as solids for a file, in millimetres, z up; what is only painted on a sheet is none. */
export function fileSolids(
  root: Object3D,
  nameOf: (one: Object3D) => string,
): { solids: FileSolid[]; liftMm: [number, number, number] } {
  root.updateMatrixWorld(true);
  const solids: FileSolid[] = [];
  const box = new Box3();
  root.traverse((one) => {
    if (!(one instanceof Mesh) || one.userData.isInk === true || one.userData.isSheet === true)
      return;
    const mesh = one as Mesh;
    const points = mesh.geometry.getAttribute('position');
    const { index } = mesh.geometry;
    const triangles: ArrayLike<number> = index
      ? index.array
      : Array.from({ length: points.count }, (_, i) => i);
    solids.push({
      name: nameOf(mesh),
      points: points.array,
      triangles,
      ...coloursOf(mesh, triangles),
      places: placesOf(mesh),
    });
    box.expandByObject(mesh);
  });
  const { x, y, z } = box.isEmpty() ? new Vector3() : box.min.negate();
  return { solids, liftMm: [x, y, z] };
}
