import { drawnAs, type CutKind } from '../carve/types.ts';
import {
  id,
  int,
  list,
  name,
  nullable,
  num,
  obj,
  oneOf,
  text,
  tint,
  type Schema,
} from './json-blocks.ts';
import { limits } from './limits.ts';

const flag: Schema = { type: 'boolean' };
const line = (least: number): Schema =>
  list(list(num(limits.carvePlace), 2, 2), limits.linePoints.max, least);
const bearingDeg = num(limits.bearingDeg);
const outMm = num(limits.carvePlace);
const upMm = num(limits.carveUp);
const glueMm = num(limits.glueMm);

const fields: Record<CutKind, Record<string, Schema>> = {
  plane: {
    bearingDeg,
    slopeDeg: num(limits.slopeDeg),
    outMm,
    upMm,
    away: oneOf(['above', 'below']),
  },
  step: { bearingDeg, slopeDeg: num(limits.stepSlopeDeg), outMm, upMm },
  edge: {
    form: oneOf(['bevelled', 'rounded']),
    where: oneOf(['top', 'foot']),
    sizeMm: num(limits.edgeMm),
  },
  silhouette: { seen: oneOf(['front', 'side']), points: line(3), drawn: oneOf(drawnAs) },
  profile: { points: line(2), curved: flag, drawn: oneOf(drawnAs) },
  flutes: {
    count: int(limits.flutes),
    depthMm: num(limits.fluteDepthMm),
    widthMm: nullable(num(limits.grooveMm)),
    fromMm: upMm,
    toMm: upMm,
  },
  scoop: { bearingDeg, outMm, upMm, radiusMm: num(limits.scoopMm) },
  core: { bearingDeg, outMm, upMm, diameterMm: num(limits.scoopMm) },
  groove: { upMm, widthMm: num(limits.grooveMm), depthMm: num(limits.fluteDepthMm) },
  relief: {
    areaMm2: num(limits.reliefMm2),
    depthMm: num(limits.reliefMm),
    inlaySpreadId: nullable(id),
    inlayTint: tint,
  },
  halves: { upMm, trimMm: num(limits.trimFaceMm), glueMm },
  target: {
    fileName: text(limits.fileName.max),
    points: list(num(limits.meshPlace), limits.meshPoints.max * 3),
    triangles: list(int(limits.meshPoints), limits.meshTriangles.max * 3, 12),
    heightMm: num(limits.targetMm),
    upMm,
    turnDeg: bearingDeg,
  },
  set: {
    fromCutId: id,
    piece: int(limits.piece),
    bearingDeg,
    outMm,
    upMm,
    turnDeg: bearingDeg,
    tiltDeg: num(limits.tiltDeg),
    glueMm,
  },
  lay: { bearingDeg, overDeg: num(limits.overDeg) },
};

/** How a tier is carved, as JSON Schema. */
export const carving = obj({
  cuts: list(
    {
      oneOf: Object.entries(fields).map(([kind, own]) =>
        obj({ id, name, on: flag, kind: oneOf([kind]), ...own }),
      ),
    },
    limits.cuts.max,
  ),
  chilled: flag,
  guidesMm: list(num(limits.guideMm), limits.guides.max),
  lattice: nullable(
    obj({ angleDeg: num(limits.latticeDeg), spacingMm: num(limits.latticeMm), studs: flag }),
  ),
  glueSpreadId: nullable(id),
});
