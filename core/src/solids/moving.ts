import type { HalvesCut, LayCut } from '../carve/types.ts';
import { phrase } from '../units/phrase.ts';
import { movedPiece, type Body, type Piece } from './body.ts';
import { after, bearing, moved, still, turned } from './frame.ts';
import type { Flat, Solid } from './library.ts';
import { crumbMl, footOf, mlOf, type Made, type Making } from './making.ts';

/** Parts the cake level, trims both faces and sets the upper half back on its frosting. */
export function join(cut: HalvesCut, body: Body, { lib, own, scratch }: Making): Made {
  const lower: Piece[] = [];
  const upper: Piece[] = [];
  const removed: Piece[] = [];
  let faceMm2 = 0;
  const drop = moved(0, 0, cut.glueMm - 2 * cut.trimMm);
  for (const piece of body) {
    const cutAt = (solid: Solid, z: number): [Solid, Solid] => {
      const [high, low] = solid.splitByPlane([0, 0, 1], z);
      scratch.holdAll([high, low]);
      return [high, low];
    };
    const [high, rest] = cutAt(piece.solid, cut.upMm + cut.trimMm);
    const [slab, low] = cutAt(rest, cut.upMm - cut.trimMm);
    if (!low.isEmpty()) {
      faceMm2 += scratch.hold(low.slice(cut.upMm - cut.trimMm - 0.05)).area();
      lower.push({ ...piece, solid: own.hold(low.translate(0, 0, 0)) });
    }
    if (!high.isEmpty()) upper.push(movedPiece({ ...piece, solid: high }, drop, own));
    if (!piece.isGlue && !slab.isEmpty() && mlOf(slab) > crumbMl)
      removed.push({ ...piece, solid: own.hold(slab.translate(0, 0, 0)) });
  }
  if (lower.length === 0 || upper.length === 0)
    return {
      problem: phrase('There is no cake on one side of the parting. It is left as it was.'),
    };
  const share = (pieces: Piece[]): number => pieces.reduce((sum, p) => sum + mlOf(p.solid), 0);
  const [a, b] = [share(lower), share(upper)];
  const uneven = Math.abs(a - b) / Math.max(a, b);
  return {
    body: [...lower, ...upper, ...glueBetween(lower, upper, cut, { own, scratch, lib })],
    removed,
    glueMl: (faceMm2 * cut.glueMm) / 1000,
    ...(uneven > 0.05
      ? {
          note: phrase('The halves are not equal: {low} below, {high} above.', {
            low: [a, 'volume'],
            high: [b, 'volume'],
          }),
        }
      : {}),
  };
}

/** Frosting where the faces of two halves meet: it fills the slit, so that no coat goes in. */
function glueBetween(
  lower: Body,
  upper: Body,
  { upMm, trimMm, glueMm }: HalvesCut,
  { lib, own, scratch }: Pick<Making, 'lib' | 'own' | 'scratch'>,
): Piece[] {
  if (glueMm <= 0) return [];
  const from = upMm - trimMm;
  const face = (body: Body, z: number): Flat =>
    scratch.hold(lib.CrossSection.union(body.map(({ solid }) => scratch.hold(solid.slice(z)))));
  const flat = scratch.hold(
    face(lower, from - faceMm).intersect(face(upper, from + glueMm + faceMm)),
  );
  if (flat.isEmpty()) return [];
  const slab = scratch.hold(flat.extrude(glueMm + 2 * faceMm));
  return [
    {
      solid: own.hold(slab.translate(0, 0, from - faceMm)),
      frame: still,
      bands: [{ part: 'glue', fromMm: from, toMm: from + glueMm, gPerMl: 0 }],
      isGlue: true,
    },
  ];
}

/** How far inside a face it is looked at, mm. */
const faceMm = 0.02;

/** Lays the cake over and lets it down onto the board, its middle over the middle. */
export function lay(cut: LayCut, body: Body, { own, scratch }: Making): Made {
  const [x, y] = bearing(cut.bearingDeg);
  const turn = turned([-y, x, 0], cut.overDeg);
  const over = body.map((piece) => movedPiece(piece, turn, scratch));
  const boxes = over.map(({ solid }) => solid.boundingBox());
  const low = Math.min(...boxes.map((box) => box.min[2]));
  const middle = (k: 0 | 1): number =>
    (Math.min(...boxes.map((b) => b.min[k])) + Math.max(...boxes.map((b) => b.max[k]))) / 2;
  const down = moved(-middle(0), -middle(1), -low);
  const laid = body.map((piece) => movedPiece(piece, after(down, turn), own));
  return {
    body: laid,
    ...(footOf(laid) < 100
      ? {
          note: phrase(
            'It lies on less than a square centimetre: cut a flat for it to lie on first.',
          ),
        }
      : {}),
  };
}
