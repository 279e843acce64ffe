import {
  drawnAs,
  motifs,
  type Carving,
  type Cut,
  type CutKind,
  type Lattice,
} from '../carve/types.ts';
import { limits } from './limits.ts';
import { name, tint } from './common-fields.ts';
import {
  byKind,
  figure,
  figures,
  flag,
  id,
  list,
  oneOf,
  orNull,
  record,
  wholeFigure,
  words,
} from '../fields/field.ts';

const base = <K extends CutKind>(kind: K) => ({
  id: id(),
  name: name(),
  on: flag(),
  kind: oneOf([kind]),
});
const line = (least: number) =>
  list(
    figures<[number, number]>(limits.carvePlace, 2),
    limits.linePoints.max,
    least,
    `needs at least ${least} points`,
  );
const toward = () => ({ bearingDeg: figure(limits.bearingDeg) });

type CutOf<K extends CutKind> = Extract<Cut, { kind: K }>;

const cut = byKind<Cut>({
  plane: record<CutOf<'plane'>>({
    ...base('plane'),
    ...toward(),
    slopeDeg: figure(limits.slopeDeg),
    outMm: figure(limits.carvePlace),
    upMm: figure(limits.carveUp),
    away: oneOf(['above', 'below']),
  }),
  step: record<CutOf<'step'>>({
    ...base('step'),
    ...toward(),
    slopeDeg: figure(limits.stepSlopeDeg),
    outMm: figure(limits.carvePlace),
    upMm: figure(limits.carveUp),
  }),
  edge: record<CutOf<'edge'>>({
    ...base('edge'),
    form: oneOf(['bevelled', 'rounded']),
    where: oneOf(['top', 'foot']),
    sizeMm: figure(limits.edgeMm),
  }),
  silhouette: record<CutOf<'silhouette'>>({
    ...base('silhouette'),
    seen: oneOf(['front', 'side']),
    points: line(3),
    drawn: oneOf(drawnAs),
  }),
  profile: record<CutOf<'profile'>>({
    ...base('profile'),
    points: line(2),
    curved: flag(),
    drawn: oneOf(drawnAs),
  }),
  flutes: record<CutOf<'flutes'>>({
    ...base('flutes'),
    count: wholeFigure(limits.flutes),
    depthMm: figure(limits.fluteDepthMm),
    widthMm: orNull(figure(limits.grooveMm)),
    fromMm: figure(limits.carveUp),
    toMm: figure(limits.carveUp),
  }),
  scoop: record<CutOf<'scoop'>>({
    ...base('scoop'),
    ...toward(),
    outMm: figure(limits.carvePlace),
    upMm: figure(limits.carveUp),
    radiusMm: figure(limits.scoopMm),
  }),
  core: record<CutOf<'core'>>({
    ...base('core'),
    ...toward(),
    outMm: figure(limits.carvePlace),
    upMm: figure(limits.carveUp),
    diameterMm: figure(limits.scoopMm),
  }),
  groove: record<CutOf<'groove'>>({
    ...base('groove'),
    upMm: figure(limits.carveUp),
    widthMm: figure(limits.grooveMm),
    depthMm: figure(limits.fluteDepthMm),
  }),
  relief: record<CutOf<'relief'>>({
    ...base('relief'),
    motif: oneOf(motifs).since(19),
    words: words(limits.nameLength.max).since(19),
    wideMm: figure(limits.motifMm).since(19),
    highMm: figure(limits.motifMm).since(19),
    strokeMm: figure(limits.strokeMm).since(19),
    areaMm2: figure(limits.reliefMm2),
    where: oneOf(['side', 'top']).since(19),
    bearingDeg: figure(limits.bearingDeg).since(19),
    outMm: figure(limits.carvePlace).since(19),
    upMm: figure(limits.carveUp).since(19),
    depthMm: figure(limits.reliefMm),
    inlaySpreadId: orNull(id()),
    inlayTint: tint(),
  }),
  halves: record<CutOf<'halves'>>({
    ...base('halves'),
    upMm: figure(limits.carveUp),
    trimMm: figure(limits.trimFaceMm),
    glueMm: figure(limits.glueMm),
  }),
  target: record<CutOf<'target'>>({
    ...base('target'),
    fileName: words(limits.fileName.max),
    points: list(figure(limits.meshPlace), limits.meshPoints.max * 3),
    triangles: list(
      wholeFigure(limits.meshPoints),
      limits.meshTriangles.max * 3,
      12,
      'has too few triangles for a solid',
    ),
    heightMm: figure(limits.targetMm),
    upMm: figure(limits.carveUp),
    turnDeg: figure(limits.bearingDeg),
  }).rule(
    'mesh',
    'is no solid: its triangles name points that are not there',
    ({ points, triangles }) =>
      !Array.isArray(points) ||
      !Array.isArray(triangles) ||
      (points.length % 3 === 0 &&
        triangles.length % 3 === 0 &&
        triangles.every((at) => Number(at) < points.length / 3)),
  ),
  set: record<CutOf<'set'>>({
    ...base('set'),
    ...toward(),
    fromCutId: id(),
    piece: wholeFigure(limits.piece),
    outMm: figure(limits.carvePlace),
    upMm: figure(limits.carveUp),
    turnDeg: figure(limits.bearingDeg),
    tiltDeg: figure(limits.tiltDeg),
    glueMm: figure(limits.glueMm),
  }),
  lay: record<CutOf<'lay'>>({
    ...base('lay'),
    ...toward(),
    overDeg: figure(limits.overDeg),
  }),
});

/** How a tier is carved. */
export const carving = record<Carving>({
  cuts: list(cut, limits.cuts.max).rule(
    'ids',
    'has two cuts of one id',
    (all) => new Set(all.map((one) => one?.id)).size === all.length,
  ),
  chilled: flag(),
  guidesMm: list(figure(limits.guideMm), limits.guides.max),
  lattice: orNull(
    record<Lattice>({
      angleDeg: figure(limits.latticeDeg),
      spacingMm: figure(limits.latticeMm),
      studs: flag(),
    }),
  ),
  glueSpreadId: orNull(id()),
});
