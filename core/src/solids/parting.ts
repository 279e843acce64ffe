import type { CarveStep, Vec3 } from '../carve/result.ts';
import { phrase } from '../units/phrase.ts';
import { wholeOf, type Body, type Piece } from './body.ts';
import { cutterOf, type PartingCut } from './cutters.ts';
import type { Scope, Solid } from './library.ts';
import { crumbMl, isHollow, mlOf, type Made, type Making } from './making.ts';
import { sharesOf } from './materials.ts';
import { surfaceOf } from './mesh.ts';

/** Parts the cake by a cut's tool: what stays, what comes away, what is crumbs. */
export function partBy(cut: PartingCut, body: Body, ctx: Making): Made {
  const { lib, own, scratch, question, segments } = ctx;
  let whole: Solid | null = null;
  const tool = cutterOf(cut, {
    lib,
    scope: scratch,
    whole: () => (whole ??= wholeOf(lib, body, scratch)),
    cover: question.cover,
    segments,
  });
  const kept: Piece[] = [];
  const removed: Piece[] = [];
  const crumbs: ReturnType<typeof sharesOf> = [];
  const crumble = (solid: Solid, { frame, bands }: Piece): void =>
    void crumbs.push(...sharesOf(surfaceOf(solid), frame, bands));
  let inTwo = false;
  let hollow = false;
  for (const piece of body) {
    const [a, b] =
      tool.kind === 'plane'
        ? piece.solid.splitByPlane(tool.normal, tool.offset)
        : piece.solid.split(tool.solid);
    scratch.holdAll([a, b]);
    const [away, left] = tool.kind === 'solid' && tool.takes === 'outside' ? [b, a] : [a, b];
    if (piece.isGlue) {
      // it goes where the cake round it goes
      if (!left.isEmpty()) kept.push({ ...piece, solid: left });
      continue;
    }
    if (mlOf(left) > crumbMl) {
      const parts = scratch.holdAll(left.decompose());
      // a hollow shut inside comes as a part of its own, turned inside out
      const hollows = parts.filter(isHollow).length;
      if (hollows > 0) {
        hollow ||= scratch.holdAll(piece.solid.decompose()).filter(isHollow).length < hollows;
        kept.push({ ...piece, solid: left });
      } else {
        const large = parts.filter((part) => mlOf(part) > crumbMl);
        if (large.length > 1) inTwo = true;
        const [only] = large.length === 1 && parts.length > 1 ? large : [left];
        kept.push({ ...piece, solid: only! });
        for (const part of parts)
          if (parts.length > 1 && !large.includes(part)) crumble(part, piece);
      }
    } else crumble(left, piece);
    if (away.isEmpty()) continue;
    const parts = scratch.holdAll(away.decompose());
    for (const part of parts.some(isHollow) ? [away] : parts) {
      if (mlOf(part) > crumbMl) removed.push({ ...piece, solid: part });
      else crumble(part, piece);
    }
  }
  if (kept.every((piece) => piece.isGlue))
    return { problem: phrase('This cut takes the whole cake. It is left as it was.') };
  if (inTwo)
    return {
      problem: phrase(
        'This cut leaves the cake in two pieces, of which one would fall. It is left as it was.',
      ),
    };
  const lacks =
    tool.kind === 'solid' && tool.wants
      ? lacking(tool.wants, wholeOf(lib, kept, scratch), scratch)
      : [];
  if (removed.length === 0 && crumbs.every((share) => Math.abs(share.ml) < 0.05))
    return {
      lacks,
      note: phrase('This cut takes nothing: it passes the cake by.'),
    };
  // what stays is taken over; the rest goes with the scratch
  const keep = (piece: Piece): Piece => ({
    ...piece,
    solid: own.hold(piece.solid.translate(0, 0, 0)),
  });
  removed.sort((p, q) => q.solid.volume() - p.solid.volume());
  return {
    body: kept.map(keep),
    removed: removed.map(keep),
    crumbs,
    lacks,
    ...(hollow
      ? { note: phrase('It leaves a hollow shut inside the cake, which no knife reaches.') }
      : {}),
  };
}

/** Where the drawn shape asks for more than there is. */
function lacking(shape: Solid, whole: Solid, scratch: Scope): CarveStep['lacks'] {
  const above = scratch.hold(shape.trimByPlane([0, 0, 1], 0.05));
  const missing = scratch.hold(above.subtract(whole));
  if (missing.isEmpty()) return [];
  return scratch
    .holdAll(missing.decompose())
    .filter((part) => mlOf(part) > 2)
    .map((part) => {
      const { min, max } = part.boundingBox();
      return {
        ml: mlOf(part),
        at: [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2, (min[2] + max[2]) / 2] as Vec3,
        sizeMm: [max[0] - min[0], max[1] - min[1], max[2] - min[2]].sort((a, b) => b - a) as Vec3,
      };
    })
    .sort((a, b) => b.ml - a.ml)
    .slice(0, 8);
}
