import type { PictureRelief } from '@pyrgotect/core';
import {
  BufferGeometry,
  Color,
  Float32BufferAttribute,
  ShapeUtils,
  Vector2,
  Vector3,
  type Material,
} from 'three';
import { coatFaces, type CarvedMesh } from './carved-mesh.ts';
import type { Paints } from './paints.ts';

/** It lies so far over the coat that the coat does not shine through, mm. */
const overMm = 0.35;
/** A face is met by the knife where it looks at it: the share of its normal. */
const meetsFrom = 0.2;
/** An open relief lies in its own shade: so much of the way to ink. */
const shade = 0.38;

/** A corner on the cake, and where it lies in the relief's own plane. */
interface Corner {
  x: number;
  y: number;
  at: Vector3;
}
const between = (a: Corner, b: Corner, share: number): Corner => ({
  x: a.x + (b.x - a.x) * share,
  y: a.y + (b.y - a.y) * share,
  at: a.at.clone().lerp(b.at, share),
});

/** What of a face lies to the left of the way from one point to another. */
function cutBy(face: readonly Corner[], from: Vector2, to: Vector2): Corner[] {
  const left = ({ x, y }: Corner): number =>
    (to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x);
  return face.flatMap((corner, i) => {
    const next = face[(i + 1) % face.length]!;
    const [here, there] = [left(corner), left(next)];
    const kept = here >= 0 ? [corner] : [];
    return here * there < 0 ? [...kept, between(corner, next, here / (here - there))] : kept;
  });
}

/** The relief's line in triangles, each turned to the left. */
function trianglesOf({ line }: PictureRelief): Vector2[][] {
  const points = line.map(({ x, y }) => new Vector2(x, y));
  return ShapeUtils.triangulateShape(points, []).map((three) => {
    const corners = three.map((i) => points[i]!);
    return ShapeUtils.area(corners) < 0 ? corners.reverse() : corners;
  });
}

/** How a relief lies: to its right, up, and out of the cake. */
function planeOf({ at, out }: PictureRelief) {
  const toMe = new Vector3(out.x, out.y, out.z);
  const isLevel = Math.abs(out.z) > 0.5;
  const right = isLevel ? new Vector3(1, 0, 0) : new Vector3(0, 0, 1).cross(toMe);
  const up = toMe.clone().cross(right);
  const middle = new Vector3(at.x, at.y, at.z);
  return {
    toMe,
    lay: (point: Vector3): Corner => {
      const off = point.clone().sub(middle);
      return { x: off.dot(right), y: off.dot(up), at: point };
    },
  };
}

/**
 * A relief laid on the coat of a carved tier: all of its line that meets a face from outside, and nothing of what
 * lies behind that. In the tier's own place.
 */
export function reliefGeometry(carved: CarvedMesh, relief: PictureRelief): BufferGeometry {
  const { toMe, lay } = planeOf(relief);
  const { corners, normals } = coatFaces(carved);
  const pieces = trianglesOf(relief);
  const reach = Math.max(...relief.line.map(({ x, y }) => Math.max(Math.abs(x), Math.abs(y))));
  const isIn = (face: readonly Corner[]): boolean =>
    [1, -1].every(
      (side) => face.some(({ x }) => x * side > -reach) && face.some(({ y }) => y * side > -reach),
    );
  const normal = new Vector3();
  const met: { face: Corner[]; normal: Vector3; depth: number }[] = [];
  for (let i = 0; i < corners.length; i += 9) {
    normal.set(normals[i]!, normals[i + 1]!, normals[i + 2]);
    if (normal.dot(toMe) < meetsFrom) continue;
    const face = [0, 3, 6].map((k) => lay(new Vector3().fromArray(corners, i + k)));
    if (!isIn(face)) continue;
    const depth = Math.max(...face.map(({ at }) => at.dot(toMe)));
    met.push({ face, normal: normal.clone(), depth });
  }
  const front = met.reduce((most, { depth }) => Math.max(most, depth), -Infinity);
  const points: number[] = [];
  const facing: number[] = [];
  const onSheet: number[] = [];
  const [wide, high] = [2 * Math.max(...relief.line.map(({ x }) => x)), 2 * Math.max(...relief.line.map(({ y }) => y))]; // prettier-ignore
  for (const { face, normal: way, depth } of met) {
    // what is further back than it is large is the other side of a hollow
    if (depth < front - 2 * reach) continue;
    for (const piece of pieces) {
      const cut = piece.reduce<Corner[]>((left, from, k) => (left.length < 3 ? [] : cutBy(left, from, piece[(k + 1) % 3]!)), face); // prettier-ignore
      for (let k = 2; k < cut.length; k++)
        for (const { x, y, at } of [cut[0]!, cut[k - 1]!, cut[k]!]) {
          points.push(at.x + way.x * overMm, at.y + way.y * overMm, at.z + way.z * overMm);
          facing.push(way.x, way.y, way.z);
          onSheet.push(0.5 + x / wide, 0.5 + y / high);
        }
    }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(points, 3));
  geometry.setAttribute('normal', new Float32BufferAttribute(facing, 3));
  geometry.setAttribute('uv', new Float32BufferAttribute(onSheet, 2));
  return geometry;
}

/** What a relief is painted with: its own frosting, or, left open, the shade of its coat. */
export function reliefPaint(
  { looks }: CarvedMesh,
  { look, text }: PictureRelief,
  paints: Paints,
): Material {
  const { colours } = paints;
  const color = new Color(colours.of(look ?? looks[0] ?? 'ivory'));
  if (look === null) color.lerp(new Color(colours.ink), shade);
  const hex = `#${color.getHexString()}` as const;
  return text === null ? paints.plain(hex) : paints.letters(text, hex);
}
