import {
  array,
  boolean,
  lazy,
  mixed,
  number,
  object,
  string,
  type ArraySchema,
  type ISchema,
  type ObjectSchema,
} from 'yup';
import { lineProblem } from '../outline/line-problem.ts';
import type { Outline } from '../outline/outline.ts';
import { allergens } from '../pantry/types.ts';
import type { Range } from '../units/field.ts';
import { limits } from './limits.ts';

/* Building blocks. Messages begin after the field's name, which the reader puts before them. */

export const figure = (range: Range) =>
  number()
    .strict()
    .typeError('must be a number')
    .required('is missing')
    .test('finite', 'must be a finite number', (n) => n === undefined || Number.isFinite(n))
    .min(range.min, `must be at least ${range.min}`)
    .max(range.max, `must be at most ${range.max}`);
export const wholeFigure = (range: Range) => figure(range).integer('must be a whole number');
export const words = (max: number, min = 0) =>
  string()
    .strict()
    .typeError('must be text')
    .defined('is missing')
    .min(min, 'is empty')
    .max(max, `is longer than ${max} characters`)
    .test(
      'plain',
      'holds control characters',
      // line breaks and tabs are fine in notes
      (s) =>
        s === undefined ||
        !/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\u202a-\u202e\u2066-\u2069]/.test(s), // eslint-disable-line no-control-regex
    );
export const name = () => words(limits.nameLength.max, 1);
export const id = () =>
  string()
    .strict()
    .typeError('must be text')
    .required('is missing')
    .matches(/^[A-Za-z0-9_-]{1,64}$/, 'is no identifier (letters, digits, - and _)');
export const oneOf = <T extends string>(values: readonly T[]) =>
  mixed<T>()
    .strict()
    .required('is missing')
    .oneOf(values, `must be one of: ${values.join(', ')}`);
export const list = <T>(of: ISchema<T>, max: number) =>
  array()
    .of(of as never)
    .strict()
    .typeError('must be a list')
    .required('is missing')
    .max(max, `has more than ${max} entries`) as unknown as ArraySchema<T[], object>;
export const tint = () => words(limits.tintLength.max);
export const allergenList = () => list(oneOf(allergens), allergens.length);
export const flag = () =>
  boolean().strict().typeError('must be true or false').required('is missing');
const whatNot = { typeError: 'must be an object', missing: 'is missing' };
export const record = <T extends object>(fields: Record<keyof T, unknown>): ObjectSchema<T> =>
  object(fields as never)
    .strict()
    .typeError(whatNot.typeError)
    .required(whatNot.missing) as unknown as ObjectSchema<T>;
export const orNull = <T>(schema: ISchema<T>): ISchema<T | null> =>
  lazy((value: unknown) => (value === null ? (mixed().nullable() as never) : (schema as never)));
export const isoTime = () =>
  string()
    .strict()
    .typeError('must be text')
    .required('is missing')
    .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)?$/, 'is no date and time')
    .test('real', 'is no date and time', (s) => s === undefined || !Number.isNaN(Date.parse(s)));

const outlines: Record<Outline['kind'], ISchema<Outline>> = {
  round: record({ kind: oneOf(['round']), diameterMm: figure(limits.sideMm) }) as never,
  square: record({
    kind: oneOf(['square']),
    sideMm: figure(limits.sideMm),
    cornerMm: figure(limits.cornerMm),
  }) as never,
  rectangle: record({
    kind: oneOf(['rectangle']),
    widthMm: figure(limits.sideMm),
    depthMm: figure(limits.sideMm),
    cornerMm: figure(limits.cornerMm),
  }) as never,
  oval: record({
    kind: oneOf(['oval']),
    widthMm: figure(limits.sideMm),
    depthMm: figure(limits.sideMm),
  }) as never,
  hexagon: record({ kind: oneOf(['hexagon']), acrossMm: figure(limits.sideMm) }) as never,
  heart: record({ kind: oneOf(['heart']), widthMm: figure(limits.sideMm) }) as never,
  petal: record({
    kind: oneOf(['petal']),
    diameterMm: figure(limits.sideMm),
    petals: wholeFigure(limits.petals),
  }) as never,
  ring: record({
    kind: oneOf(['ring']),
    diameterMm: figure(limits.sideMm),
    holeMm: figure({ min: 5, max: limits.sideMm.max }),
  }).test(
    'hole',
    'has a hole as wide as the ring',
    (o) => !(Number(o.holeMm) >= Number(o.diameterMm) - 10),
  ) as never,
  path: record({
    kind: oneOf(['path']),
    name: name(),
    points: list(list(figure({ min: -1000, max: 1000 }) as never, 2) as never, 600),
  }).test(
    'line',
    'is no closed line that keeps clear of itself',
    (o) => !Array.isArray(o.points) || lineProblem(o.points as [number, number][]) === null,
  ) as never,
};
export const outlineSchema = lazy((value: unknown) => {
  const kind = (value as { kind?: unknown } | null | undefined)?.kind;
  if (typeof kind === 'string' && Object.hasOwn(outlines, kind))
    return outlines[kind as Outline['kind']] as never;
  return record<{ kind: string }>({ kind: oneOf(Object.keys(outlines)) }) as never;
}) as unknown as ISchema<Outline>;
