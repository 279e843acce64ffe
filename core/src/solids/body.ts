import type { ByPart, Vec3 } from '../carve/result.ts';
import type { Stratum } from '../carve/types.ts';
import { after, columns, inverse, type Frame } from './frame.ts';
import type { Library, Scope, Solid } from './library.ts';
import { sharesOf, type BandShare } from './materials.ts';
import { surfaceOf } from './mesh.ts';

/** A piece of the cake: where it is, and how it lay in the stack its bands are told of. */
export interface Piece {
  solid: Solid;
  /** From the world into the stack. */
  frame: Frame;
  bands: readonly Stratum[];
  /** Frosting that joins, not cake: it is coated over, and weighed as what the bowl gave. */
  isGlue?: true;
}
/** Everything that stands on the board, glued together. */
export type Body = readonly Piece[];

/** The piece turned and moved; the new solid is held by the scope. */
export function movedPiece(piece: Piece, by: Frame, scope: Scope): Piece {
  return {
    ...piece,
    solid: scope.hold(piece.solid.transform(columns(by))),
    frame: after(piece.frame, inverse(by)),
  };
}

/** The body as one solid; of a single piece, that itself. */
export const wholeOf = (lib: Library, body: Body, scope: Scope): Solid =>
  body.length === 1
    ? body[0]!.solid
    : scope.hold(lib.Manifold.union(body.map((piece) => piece.solid)));

/** A solid without the hollows shut inside it, which nothing coats and nobody sees. */
export function outsideOf(solid: Solid, lib: Library, scope: Scope): Solid {
  const parts = scope.holdAll(solid.decompose());
  const filled = parts.filter((part) => part.volume() > 0);
  return filled.length === parts.length ? solid : scope.hold(lib.Manifold.compose([...filled]));
}

/** What a piece is of, and what of it shows; nothing of the frosting that joins. */
export const pieceShares = ({ solid, frame, bands, isGlue }: Piece): BandShare[] =>
  isGlue ? [] : sharesOf(surfaceOf(solid), frame, bands);

export interface Weighed {
  ml: number;
  massG: number;
  centre: Vec3;
  byPart: ByPart;
  shown: ByPart;
}

/** Shares of one or more pieces added up. */
export function weigh(shares: readonly BandShare[]): Weighed {
  const byPart: ByPart = {};
  const shown: ByPart = {};
  let [ml, massG] = [0, 0];
  const moment: Vec3 = [0, 0, 0];
  for (const share of shares) {
    ml += share.ml;
    massG += share.massG;
    byPart[share.part] = (byPart[share.part] ?? 0) + share.ml;
    shown[share.part] = (shown[share.part] ?? 0) + share.areaMm2;
    for (const k of [0, 1, 2] as const) moment[k] += share.massG * share.centre[k];
  }
  const centre: Vec3 =
    massG === 0 ? [0, 0, 0] : [moment[0] / massG, moment[1] / massG, moment[2] / massG];
  return { ml, massG, centre, byPart, shown };
}
