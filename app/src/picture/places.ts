import type { PictureDrip, PictureGroup } from '@pyrgotect/core';
import { Matrix4, Vector3 } from 'three';

/* Where and how large each of alike pieces is drawn, from a shape as wide and high as 1. */

/** The shaft of a drip is a little narrower than its end, and its end a little thicker. */
const shaftShare = 0.86;
const endThick = 1.35;
const endHigh = 1.15;

/** Shafts and ends of drips: x along the side, y out of it, z up. */
export function dripPlaces(drips: readonly PictureDrip[]): { shafts: Matrix4[]; ends: Matrix4[] } {
  const at = (
    { at: from, out }: PictureDrip,
    down: number,
    [x, y, z]: readonly [number, number, number],
  ): Matrix4 =>
    new Matrix4()
      .makeBasis(new Vector3(out.y, -out.x, 0), new Vector3(out.x, out.y, 0), new Vector3(0, 0, 1))
      .scale(new Vector3(x, y, z))
      .setPosition(from.x, from.y, from.z - down);
  return {
    shafts: drips.map((drip) => {
      const { lengthMm, widthMm, thickMm } = drip;
      const bead = Math.min(lengthMm, widthMm) / 2;
      return at(drip, 0, [widthMm * shaftShare, thickMm, Math.max(0.5, lengthMm - bead)]);
    }),
    ends: drips.map((drip) => {
      const { lengthMm, widthMm, thickMm } = drip;
      const high = Math.min(lengthMm, widthMm * endHigh);
      return at(drip, lengthMm - high / 2, [widthMm, thickMm * endThick, high]);
    }),
  };
}

/** Pieces of a group, each standing its own way on its foot, and the sticks under them. */
export function piecePlaces({ pieces, acrossMm, highMm, stickMm }: PictureGroup): {
  pieces: Matrix4[];
  sticks: Matrix4[];
} {
  return {
    pieces: pieces.map(({ at, up, along }) => {
      const z = new Vector3(up.x, up.y, up.z).normalize();
      const x = new Vector3(along.x, along.y, 0);
      x.addScaledVector(z, -x.dot(z)).normalize();
      const y = new Vector3().crossVectors(z, x);
      return new Matrix4()
        .makeBasis(x, y, z)
        .scale(new Vector3(acrossMm, acrossMm, Math.max(0.5, highMm)))
        .setPosition(at.x + z.x * stickMm, at.y + z.y * stickMm, at.z + z.z * stickMm);
    }),
    sticks:
      stickMm === 0
        ? []
        : pieces.map(({ at, up }) =>
            new Matrix4()
              .makeScale(stickWideMm, stickWideMm, stickMm)
              .setPosition(at.x, at.y, at.z - (1 - up.z) * stickMm),
          ),
  };
}
const stickWideMm = 3;
