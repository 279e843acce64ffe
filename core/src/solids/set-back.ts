import type { Vec3 } from '../carve/result.ts';
import type { SetPiece } from '../carve/types.ts';
import { nPerG } from '../units/gravity.ts';
import { phrase } from '../units/phrase.ts';
import { movedPiece, pieceShares, weigh, wholeOf, type Body, type Piece } from './body.ts';
import { after, bearing, moved, turned, type Frame } from './frame.ts';
import type { Scope, Solid } from './library.ts';
import { crumbMl, mlOf, type Made, type Making } from './making.ts';
import { sharesOf } from './materials.ts';
import { surfaceOf } from './mesh.ts';

/**
 * Sets an offcut back on: turned, tilted, its middle over the place and its lowest point at the
 * height; what is in the way is cut off it.
 */
export function setPiece(cut: SetPiece, piece: Piece, body: Body, ctx: Making): Made {
  const { lib, own, scratch } = ctx;
  const { min, max } = piece.solid.boundingBox();
  const middle = [0, 1, 2].map((k) => (min[k]! + max[k]!) / 2) as Vec3;
  const [x, y] = bearing(cut.bearingDeg);
  const facing = [
    turned([0, 0, 1], -cut.turnDeg),
    turned([1, 0, 0], cut.tiltDeg),
    moved(-middle[0], -middle[1], -middle[2]),
  ].reduce<Frame | null>((all, next) => (all === null ? next : after(all, next)), null)!;
  const box = movedPiece(piece, facing, scratch).solid.boundingBox();
  const to = moved(
    x * cut.outMm - (box.min[0] + box.max[0]) / 2,
    y * cut.outMm - (box.min[1] + box.max[1]) / 2,
    cut.upMm - box.min[2],
  );
  const placed = movedPiece(piece, after(to, facing), scratch);
  const whole = wholeOf(lib, body, scratch);
  const [inTheWay, fits] = placed.solid.split(whole);
  scratch.holdAll([inTheWay, fits]);
  const [ground] = fits.splitByPlane([0, 0, 1], 0);
  scratch.hold(ground);
  const parts = scratch
    .holdAll(ground.decompose())
    .filter((part) => mlOf(part) > crumbMl)
    .sort((p, q) => q.volume() - p.volume());
  const [main, ...others] = parts;
  if (!main)
    return { problem: phrase('The piece lies wholly inside the cake here: move it outward.') };
  const glue = Math.max(0.2, cut.glueMm);
  const contact = contactOf(main, whole, glue, scratch);
  if (contact.areaMm2 < 25)
    return {
      problem: phrase('The piece touches the cake nowhere: move it until it rests on it.'),
    };
  const lost = [inTheWay, ...others].filter((solid) => !solid.isEmpty());
  const shares = lost.flatMap((solid) => sharesOf(surfaceOf(solid), placed.frame, placed.bands));
  const set: Piece = { ...placed, solid: own.hold(main.translate(0, 0, 0)) };
  const massG = weigh(pieceShares(set)).massG;
  const alongN = nPerG * massG * Math.sin((contact.slopeDeg * Math.PI) / 180);
  return {
    body: [...body, set],
    crumbs: [],
    glueMl: (contact.areaMm2 * cut.glueMm) / 1000,
    held: {
      cutId: cut.id,
      areaMm2: contact.areaMm2,
      slopeDeg: contact.slopeDeg,
      needsPa: (alongN / contact.areaMm2) * 1e6,
    },
    ...(shares.length > 0 && weigh(shares).ml > mlOf(placed.solid) / 20
      ? {
          note: phrase('{ml} of the piece were in the way and are cut off it to fit.', {
            ml: [weigh(shares).ml, 'volume'],
          }),
        }
      : {}),
  };
}

/**
 * Where a piece rests on the cake: the faces of it that touch, found by growing the cake's contact
 * with a copy of the piece moved towards it in six directions by the glue's thickness.
 */
function contactOf(
  piece: Solid,
  whole: Solid,
  glue: number,
  scratch: Scope,
): { areaMm2: number; slopeDeg: number } {
  let [nx, ny, nz] = [0, 0, 0];
  const directions: Vec3[] = [
    [0, 0, -1],
    [0, 0, 1],
    [1, 0, 0],
    [-1, 0, 0],
    [0, 1, 0],
    [0, -1, 0],
  ];
  for (const [x, y, z] of directions) {
    const shifted = scratch.hold(piece.translate(x * glue, y * glue, z * glue));
    const mm3 = scratch.hold(shifted.intersect(whole)).volume();
    // the volume swept into the cake is the contact's projection along the shift, times the shift
    nx += (mm3 / glue) * x;
    ny += (mm3 / glue) * y;
    nz += (mm3 / glue) * z;
  }
  const areaMm2 = Math.hypot(nx, ny, nz);
  const slopeDeg =
    areaMm2 === 0 ? 0 : (Math.acos(Math.min(1, Math.max(0, -nz) / areaMm2)) * 180) / Math.PI;
  return { areaMm2, slopeDeg };
}
