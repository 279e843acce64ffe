import { mixed, type ISchema } from 'yup';
import type { CarveResult, CarveStep, Lines, Offcut, Vec3 } from '../carve/result.ts';
import { kinds } from '../units/kinds.ts';
import type { Phrase } from '../units/phrase.ts';
import { carveMeasures, limits } from './limits.ts';
import {
  figure,
  flag,
  id,
  list,
  oneOf,
  orNull,
  record,
  wholeFigure,
  words,
} from './schema-blocks.ts';

/* What the solids said of a carving, as it travels in a build file. */

const { measure, mostPoints, mostLines, mostPieces } = carveMeasures;
const mostSteps = limits.cuts.max;

const isFigure = (value: unknown): boolean =>
  typeof value === 'number' && value >= measure.min && value <= measure.max;
const isPoint = (value: unknown): boolean =>
  Array.isArray(value) && value.length === 2 && value.every(isFigure);

/** Thousands of points are tried by one test and not by a schema for each: that took seconds. */
const lines = (): ISchema<Lines> =>
  mixed<Lines>((value): value is Lines => Array.isArray(value))
    .required('is missing')
    .test('lines', 'must be lists of points, two numbers to each', (value) => {
      const all = value as unknown[];
      return (
        all.length <= mostLines &&
        all.every((line) => Array.isArray(line) && line.length <= mostPoints && line.every(isPoint))
      );
    }) as never;
const byPart = () =>
  mixed<Record<string, number>>((value): value is Record<string, number> => isObject(value))
    .required('is missing')
    .test('parts', 'must give a number for each part', (value) =>
      Object.values(value ?? {}).every(isFigure),
    );
const isObject = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const size = () => figure(measure);
const place = (): ISchema<Vec3> =>
  list(size() as never, 3).test(
    'three',
    'needs three numbers',
    (value) => !Array.isArray(value) || value.length === 3,
  ) as never;
const said = () =>
  orNull(
    mixed<Phrase>((value): value is Phrase => isObject(value)).test(
      'phrase',
      'must be a text with its figures',
      (value) =>
        typeof value?.text === 'string' &&
        value.text.length <= 1000 &&
        Object.values(value.values ?? {}).every(
          (each) => isObject(each) && isFigure(each.value) && kinds.includes(each.kind),
        ),
    ) as never,
  );

const offcut = record<Offcut>({
  cutId: id(),
  piece: wholeFigure({ min: 0, max: mostPieces }),
  sizeMm: place(),
  ml: size(),
  massG: size(),
  byPart: byPart(),
  whole: flag(),
  usedBy: orNull(id() as never),
});
const step = record<CarveStep>({
  cutId: id(),
  problem: said(),
  note: said(),
  removedMl: size(),
  removedG: size(),
  byPart: byPart(),
  pieces: list(offcut as never, mostPieces),
  leftMl: size(),
  leftG: size(),
  centre: place(),
  topMm: size(),
  footMm2: size(),
  lacks: list(
    record<CarveStep['lacks'][number]>({ ml: size(), at: place(), sizeMm: place() }) as never,
    mostPieces,
  ),
  behind: lines(),
});

const carveResultSchema = record<CarveResult>({
  key: words(40, 1).matches(/^[0-9a-z]+$/, 'is no key'),
  steps: list(step as never, mostSteps),
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
    }) as never,
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
      outMm: list(orNull(size() as never), 24),
    }) as never,
    mostLines,
  ),
  section: list(
    record<CarveResult['section'][number]>({ part: words(64), lines: lines() }) as never,
    mostLines,
  ),
  sectionLines: lines(),
  front: lines(),
  side: lines(),
  plan: lines(),
  panels: list(
    record<CarveResult['panels'][number]>({
      name: oneOf(['top', 'front', 'right', 'back', 'left', 'underside']),
      areaMm2: size(),
      wideMm: size(),
      highMm: size(),
      seamMm: size(),
    }) as never,
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
    }) as never,
    mostSteps,
  ),
  laid: flag(),
});

/** What the solids said of the carved tiers of a build: at most one answer for each. */
export const carvingsSchema = list(carveResultSchema as never, limits.tiers.max);
