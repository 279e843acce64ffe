import type { NozzleForm, PieceForm } from '@pyrgotect/core';
import {
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  CylinderGeometry,
  SphereGeometry,
  type Vector3Tuple,
} from 'three';
import { toCreasedNormals } from 'three/addons/utils/BufferGeometryUtils.js';

/*
 * What one piece looks like: as wide as 1, as high as 1, its foot at 0, standing along z. Bodies of our own, made
 * from how a nozzle or a fruit shapes them.
 */

/** A body turned about its axis: radius 0 to 0.5 by height 0 to 1, with ridges as a star nozzle leaves them. */
function turned(
  radiusAt: (up: number) => number,
  { ridges = 0, depth = 0, twist = 0, rings = 10, round = 24 } = {},
): BufferGeometry {
  const at = (k: number, i: number): Vector3Tuple => {
    const up = k / rings;
    const a = (2 * Math.PI * (i % round)) / round;
    const r = radiusAt(up) * (1 + depth * Math.cos(ridges * a + twist * up));
    return [r * Math.cos(a), r * Math.sin(a), up];
  };
  const corners: number[] = [];
  for (let k = 0; k < rings; k++)
    for (let i = 0; i < round; i++) {
      const [a, b, c, d] = [at(k, i), at(k, i + 1), at(k + 1, i + 1), at(k + 1, i)];
      corners.push(...a, ...b, ...c, ...a, ...c, ...d);
    }
  const flat = new BufferGeometry();
  flat.setAttribute('position', new BufferAttribute(Float32Array.from(corners), 3));
  return toCreasedNormals(flat, 1.1);
}

/** Ridges that a nozzle's teeth leave, and how deep. */
const marks: Record<NozzleForm, { ridges: number; depth: number }> = {
  round: { ridges: 0, depth: 0 },
  'open star': { ridges: 6, depth: 0.15 },
  'closed star': { ridges: 8, depth: 0.17 },
  'fine star': { ridges: 12, depth: 0.07 },
  petal: { ridges: 0, depth: 0 },
  leaf: { ridges: 0, depth: 0 },
  basket: { ridges: 5, depth: 0.06 },
};

const dome = (up: number): number => 0.5 * Math.sqrt(Math.max(0, 1 - up ** 2));
/** A ball that stands on its lowest place. */
const ball = (up: number): number => Math.sqrt(Math.max(0, 0.25 - (up - 0.5) ** 2));
/** Wide at the foot, drawn off to a tip. */
const kiss = (up: number): number => 0.5 * (1 - up) ** 0.75 * (up < 0.12 ? 0.8 + 1.7 * up : 1);

/** A body drawn out along x, as a shell is where the bag is pulled away. */
function drawnOut(geometry: BufferGeometry, by: number): BufferGeometry {
  const place = geometry.getAttribute('position');
  for (let i = 0; i < place.count; i++) {
    const [x, z] = [place.getX(i), place.getZ(i)];
    place.setX(i, x * by + (x > 0 ? 0.12 * x : 0));
    // low where it ends, high where it began
    place.setZ(i, z * (1 - 0.55 * Math.max(0, x + 0.1)));
  }
  geometry.computeVertexNormals();
  return toCreasedNormals(geometry, 1.1);
}

const standing = (geometry: BufferGeometry): BufferGeometry => geometry.rotateX(Math.PI / 2).translate(0, 0, 0.5); // prettier-ignore

/** @param many true where so many are drawn that each is made of few triangles */
export function pieceShape(piece: PieceForm, many: boolean): BufferGeometry {
  const fine = many ? { rings: 4, round: 12 } : { rings: 6, round: 18 };
  if (piece.of === 'topping')
    switch (piece.form) {
      case 'ball':
        return turned(ball, many ? { rings: 5, round: 7 } : { rings: 7, round: 12 });
      case 'egg':
        return turned((up) => ball(up) * (1.12 - 0.3 * up), { rings: 8, round: 12 });
      case 'cone':
        return turned((up) => 0.5 * (1 - up), { rings: 3, round: 20 });
      case 'roll':
        return standing(new CylinderGeometry(0.5, 0.5, 1, 16)).rotateY(Math.PI / 2).translate(-0.5, 0, 0.5); // prettier-ignore
      case 'block':
        return new BoxGeometry(1, 1, 1).translate(0, 0, 0.5);
      case 'shard':
        return turned((up) => 0.5 * (1 - 0.75 * up), { rings: 2, round: 3 }).scale(1, 0.16, 1);
      case 'disc':
        return standing(new CylinderGeometry(0.5, 0.5, 1, 24));
      case 'stick':
        return standing(new CylinderGeometry(0.5, 0.5, 1, 12));
      case 'leaf':
        return new SphereGeometry(0.5, 12, 6).scale(1, 0.45, 1).translate(0, 0, 0.5);
    }
  const { ridges, depth } = marks[piece.nozzle];
  switch (piece.form) {
    case 'kiss':
      return turned(kiss, fine);
    case 'dollop':
      return turned((up) => dome(up) * (1 + 0.15 * Math.sin(9 * up)), fine);
    case 'star':
      return turned(kiss, { ...fine, ridges: ridges || 6, depth: depth || 0.14 });
    case 'rosette':
      return turned((up) => dome(up ** 1.4), { ...fine, ridges: 3, depth: 0.1, twist: 9 });
    case 'ruffle':
      return turned((up) => dome(up) * 0.95, { ...fine, ridges: 9, depth: 0.12 }).scale(
        1.5,
        0.7,
        1,
      );
    case 'leaf':
      return turned(kiss, fine)
        .rotateY(Math.PI / 3)
        .scale(1, 0.7, 0.9)
        .translate(-0.25, 0, 0.25);
    default:
      return drawnOut(turned(dome, { ...fine, ridges: ridges || 6, depth: depth || 0.12 }), 1.35);
  }
}

/** The shaft of a drip: half a round that lies on the side; as long, wide and thick as 1, hanging from 0 along -z. */
export const dripShaft = (): BufferGeometry =>
  new CylinderGeometry(0.5, 0.5, 1, 8, 1, true)
    .rotateX(Math.PI / 2)
    .translate(0, 0, -0.5)
    .scale(1, 2, 1);
/** Its end, where the last of it gathered: a bead that is wider and thicker than the shaft. */
export const dripEnd = (): BufferGeometry =>
  new SphereGeometry(0.5, 8, 6).rotateX(Math.PI / 2).scale(1, 2, 1);
