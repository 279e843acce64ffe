import type { CarveResult, CarveStep, Lines, Offcut, Vec3 } from '../carve/result.ts';
import {
  byName,
  figure,
  figures,
  flag,
  id,
  list,
  oneOf,
  orNull,
  record,
  swift,
  wholeFigure,
  words,
  wordsLike,
  type Field,
} from '../fields/field.ts';
import { kinds } from '../units/kinds.ts';
import type { Phrase } from '../units/phrase.ts';
import { carveMeasures, limits } from './limits.ts';

/* What the solids said of a carving, as it travels in a build file. */

const { measure, mostPoints, mostLines, mostPieces } = carveMeasures;
const mostSteps = limits.cuts.max;
/** Heights of a carved top at most: a grid of 64 by 64. */
const mostTops = 4096;

const isFigure = (value: unknown): boolean =>
  typeof value === 'number' && value >= measure.min && value <= measure.max;
const isPoint = (value: unknown): boolean =>
  Array.isArray(value) && value.length === 2 && value.every(isFigure);
/** Thousands of points are tried at one go. */
const lines = (): Field<Lines> =>
  swift(
    list(list(figures<[number, number]>(measure, 2), mostPoints), mostLines),
    'must be lists of points, two numbers to each',
    (value) =>
      Array.isArray(value) &&
      value.length <= mostLines &&
      value.every(
        (line) => Array.isArray(line) && line.length <= mostPoints && line.every(isPoint),
      ),
  );
const size = () => figure(measure);
const byPart = () => byName(size(), 'must give a number for each part');
const place = () => figures<Vec3>(measure, 3);
const said = () =>
  orNull(
    record<Phrase>({
      text: words(1000),
      values: byName(
        record<NonNullable<Phrase['values']>[string]>({ value: size(), kind: oneOf(kinds) }),
        'must give a figure and its kind for each name',
      ).orMissing(),
    }),
  );

const offcut = record<Offcut>({
  cutId: id(),
  piece: wholeFigure({ min: 0, max: mostPieces }),
  sizeMm: place(),
  ml: size(),
  massG: size(),
  byPart: byPart(),
  whole: flag(),
  usedBy: orNull(id()),
});
const step = record<CarveStep>({
  cutId: id(),
  problem: said(),
  note: said(),
  removedMl: size(),
  removedG: size(),
  byPart: byPart(),
  pieces: list(offcut, mostPieces),
  leftMl: size(),
  leftG: size(),
  centre: place(),
  topMm: size(),
  footMm2: size(),
  lacks: list(
    record<CarveStep['lacks'][number]>({ ml: size(), at: place(), sizeMm: place() }),
    mostPieces,
  ),
  behind: lines(),
});

const carveResult = record<CarveResult>({
  key: wordsLike(/^[0-9a-z]{1,40}$/, 40, 'is no key'),
  steps: list(step, mostSteps),
  stackMl: size(),
  leftMl: size(),
  stackG: size(),
  leftG: size(),
  byPart: byPart(),
  stackByPart: byPart(),
  centre: place(),
  topMm: size(),
  widthMm: size(),
  depthMm: size(),
  foot: lines(),
  footMm2: size(),
  neck: orNull(
    record<NonNullable<CarveResult['neck']>>({
      upMm: size(),
      areaMm2: size(),
      acrossMm: size(),
    }),
  ),
  overhang: record<CarveResult['overhang']>({ mm: size(), bearingDeg: size() }),
  stands: flag(),
  surfaceMm2: size(),
  exposedMm2: byPart(),
  coat: record<CarveResult['coat']>({
    crumbMl: size(),
    coatMl: size(),
    fondantMl: size(),
    finishedMm2: size(),
    exact: flag(),
  }),
  guides: list(
    record<CarveResult['guides'][number]>({
      upMm: size(),
      label: words(200),
      lines: lines(),
      outMm: list(orNull(size()), 24),
    }),
    mostLines,
  ),
  section: list(
    record<CarveResult['section'][number]>({ part: words(64), lines: lines() }),
    mostLines,
  ),
  sectionLines: lines(),
  front: lines(),
  side: lines(),
  plan: lines(),
  tops: record<CarveResult['tops']>({
    count: size(),
    stepMm: size(),
    mm: list(orNull(size()), mostTops),
  }).since(16),
  panels: list(
    record<CarveResult['panels'][number]>({
      name: oneOf(['top', 'front', 'right', 'back', 'left', 'underside']),
      areaMm2: size(),
      wideMm: size(),
      highMm: size(),
      seamMm: size(),
    }),
    6,
  ),
  drapes: flag(),
  glueMl: size(),
  held: list(
    record<CarveResult['held'][number]>({
      cutId: id(),
      areaMm2: size(),
      slopeDeg: size(),
      needsPa: size(),
    }),
    mostSteps,
  ),
  laid: flag(),
});

/** What the solids said of the carved tiers of a build: at most one answer for each. */
export const carvings = list(carveResult, limits.tiers.max);
