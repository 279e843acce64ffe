import { lazy, type ISchema } from 'yup';
import {
  cutKinds,
  drawnAs,
  type Carving,
  type Cut,
  type CutKind,
  type Lattice,
} from '../carve/types.ts';
import { limits } from './limits.ts';
import {
  figure,
  flag,
  id,
  list,
  name,
  oneOf,
  orNull,
  record,
  tint,
  wholeFigure,
  words,
} from './schema-blocks.ts';

const base = <K extends CutKind>(kind: K) => ({
  id: id(),
  name: name(),
  on: flag(),
  kind: oneOf([kind]),
});
const line = (least: number) =>
  list(
    list(figure(limits.carvePlace) as never, 2).test(
      'two',
      'needs two numbers',
      (point) => !Array.isArray(point) || point.length === 2,
    ) as never,
    limits.linePoints.max,
  ).test(
    'enough',
    `needs at least ${least} points`,
    (points) => !Array.isArray(points) || points.length >= least,
  );
const toward = () => ({ bearingDeg: figure(limits.bearingDeg) });

const cuts = {
  plane: record({
    ...base('plane'),
    ...toward(),
    slopeDeg: figure(limits.slopeDeg),
    outMm: figure(limits.carvePlace),
    upMm: figure(limits.carveUp),
    away: oneOf(['above', 'below']),
  }),
  step: record({
    ...base('step'),
    ...toward(),
    slopeDeg: figure(limits.stepSlopeDeg),
    outMm: figure(limits.carvePlace),
    upMm: figure(limits.carveUp),
  }),
  edge: record({
    ...base('edge'),
    form: oneOf(['bevelled', 'rounded']),
    where: oneOf(['top', 'foot']),
    sizeMm: figure(limits.edgeMm),
  }),
  silhouette: record({
    ...base('silhouette'),
    seen: oneOf(['front', 'side']),
    points: line(3),
    drawn: oneOf(drawnAs),
  }),
  profile: record({
    ...base('profile'),
    points: line(2),
    curved: flag(),
    drawn: oneOf(drawnAs),
  }),
  flutes: record({
    ...base('flutes'),
    count: wholeFigure(limits.flutes),
    depthMm: figure(limits.fluteDepthMm),
    widthMm: orNull(figure(limits.grooveMm) as never),
    fromMm: figure(limits.carveUp),
    toMm: figure(limits.carveUp),
  }),
  scoop: record({
    ...base('scoop'),
    ...toward(),
    outMm: figure(limits.carvePlace),
    upMm: figure(limits.carveUp),
    radiusMm: figure(limits.scoopMm),
  }),
  core: record({
    ...base('core'),
    ...toward(),
    outMm: figure(limits.carvePlace),
    upMm: figure(limits.carveUp),
    diameterMm: figure(limits.scoopMm),
  }),
  groove: record({
    ...base('groove'),
    upMm: figure(limits.carveUp),
    widthMm: figure(limits.grooveMm),
    depthMm: figure(limits.fluteDepthMm),
  }),
  relief: record({
    ...base('relief'),
    areaMm2: figure(limits.reliefMm2),
    depthMm: figure(limits.reliefMm),
    inlaySpreadId: orNull(id() as never),
    inlayTint: tint(),
  }),
  halves: record({
    ...base('halves'),
    upMm: figure(limits.carveUp),
    trimMm: figure(limits.trimFaceMm),
    glueMm: figure(limits.glueMm),
  }),
  target: record({
    ...base('target'),
    fileName: words(limits.fileName.max),
    points: list(figure(limits.meshPlace) as never, limits.meshPoints.max * 3),
    triangles: list(wholeFigure(limits.meshPoints) as never, limits.meshTriangles.max * 3),
    heightMm: figure(limits.targetMm),
    upMm: figure(limits.carveUp),
    turnDeg: figure(limits.bearingDeg),
  }).test('mesh', 'is no solid: its triangles name points that are not there', (cut) => {
    const { points, triangles } = cut as unknown as { points?: unknown; triangles?: unknown };
    if (!Array.isArray(points) || !Array.isArray(triangles)) return true;
    return (
      points.length % 3 === 0 &&
      triangles.length % 3 === 0 &&
      triangles.length >= 12 &&
      triangles.every((at) => Number(at) < points.length / 3)
    );
  }),
  set: record({
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
  lay: record({
    ...base('lay'),
    ...toward(),
    overDeg: figure(limits.overDeg),
  }),
} satisfies Record<CutKind, unknown> as unknown as Record<CutKind, ISchema<Cut>>;

const cut = lazy((value: unknown) => {
  const kind = (value as { kind?: unknown } | null | undefined)?.kind;
  if (typeof kind === 'string' && Object.hasOwn(cuts, kind)) return cuts[kind as CutKind] as never;
  return record<{ kind: string }>({ kind: oneOf(cutKinds) }) as never;
}) as unknown as ISchema<Cut>;

/** Checks of how a tier is said to be carved. */
export const carvingSchema = record<Carving>({
  cuts: list(cut, limits.cuts.max).test(
    'ids',
    'has two cuts of one id',
    (all) => !Array.isArray(all) || new Set(all.map((one) => one?.id)).size === all.length,
  ),
  chilled: flag(),
  guidesMm: list(figure(limits.guideMm) as never, limits.guides.max),
  lattice: orNull(
    record<Lattice>({
      angleDeg: figure(limits.latticeDeg),
      spacingMm: figure(limits.latticeMm),
      studs: flag(),
    }) as never,
  ),
  glueSpreadId: orNull(id() as never),
});
