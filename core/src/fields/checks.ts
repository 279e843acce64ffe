import { array, boolean, lazy, mixed, number, object, string, type AnySchema } from 'yup';
import { oneOf, record, type Field, type Rule, type Shape } from './field.ts';
import { control, fits, isKnownRight, isObject, timePattern } from './fits.ts';

/* Messages begin after the field's name, which the reader puts before them. */

/** What tells whether a value is what a field says. */
export interface Checks<T> {
  isValidSync(value: unknown, options?: { strict?: boolean }): value is T;
  /** @throws ValidationError naming the field, by its path, and what is wrong */
  validateSync(value: unknown, options?: { strict?: boolean; abortEarly?: boolean }): T;
}

const known = new WeakMap<Field<unknown>, AnySchema>();

/**
 * The checks of a field. Whether a value is right is told by plain comparisons, and Yup finds the words for what is
 * wrong: both read the same description, and a test holds them to the same answers.
 */
export function checksOf<T>(field: Field<T>): Checks<T> {
  return {
    isValidSync: (value): value is T => fits(field, value),
    validateSync: (value, options) =>
      fits(field, value) ? (value as T) : (schemaOf(field).validateSync(value, options) as T),
  };
}

/** What Yup checks a field with, made when the first value comes that is wrong. */
export function schemaOf(field: Field<unknown>): AnySchema {
  let schema = known.get(field);
  if (!schema) {
    schema = made(field);
    known.set(field, schema);
  }
  return schema;
}

function made(field: Field<unknown>): AnySchema {
  const {
    shape,
    about: { rules, mayMiss },
  } = field;
  if (shape.kind === 'null or') {
    const other = schemaOf(shape.of);
    return lazy((value: unknown) => (value === null ? mixed().nullable() : other)) as never;
  }
  if (shape.kind === 'by kind') return byKind(shape.of);
  const bare = plain(shape);
  const schema = mayMiss ? (bare.notRequired() as AnySchema) : bare;
  const whole = rules.reduce(withRule, schema);
  if (shape.kind !== 'record') return whole;
  return lazy((value: unknown) => (isKnownRight(field, value) ? mixed() : whole)) as never;
}

/** A rule is tried on what is there and of the right kind: that it is not is said besides. */
const withRule = (schema: AnySchema, { name, message, holds }: Rule): AnySchema =>
  schema.test(
    name,
    message,
    (value: unknown) => value == null || !schema.isType(value) || holds(value as never),
  );

function byKind(of: Readonly<Record<string, Field<unknown>>>): AnySchema {
  const none = schemaOf(record<{ kind: string }>({ kind: oneOf(Object.keys(of)) }));
  return lazy((value: unknown) => {
    const kind = (value as { kind?: unknown } | null | undefined)?.kind;
    return typeof kind === 'string' && Object.hasOwn(of, kind) ? schemaOf(of[kind]!) : none;
  }) as never;
}

function plain(shape: Exclude<Shape, { kind: 'null or' | 'by kind' }>): AnySchema {
  switch (shape.kind) {
    case 'figure': {
      const { min, max } = shape.range;
      const any = number()
        .strict()
        .typeError('must be a number')
        .required('is missing')
        .test('finite', 'must be a finite number', (n) => n === undefined || Number.isFinite(n))
        .min(min, `must be at least ${min}`)
        .max(max, `must be at most ${max}`);
      return shape.whole ? any.integer('must be a whole number') : any;
    }
    case 'words': {
      const text = string().strict().typeError('must be text');
      if (shape.pattern)
        return text.required('is missing').matches(shape.pattern.of, shape.pattern.message);
      return text
        .defined('is missing')
        .min(shape.least, 'is empty')
        .max(shape.most, `is longer than ${shape.most} characters`)
        .test('plain', 'holds control characters', (s) => s === undefined || !control.test(s));
    }
    case 'time':
      return string()
        .strict()
        .typeError('must be text')
        .required('is missing')
        .matches(timePattern, 'is no date and time')
        .test(
          'real',
          'is no date and time',
          (s) => s === undefined || !Number.isNaN(Date.parse(s)),
        );
    case 'flag':
      return boolean().strict().typeError('must be true or false').required('is missing');
    case 'choice':
      return mixed()
        .strict()
        .required('is missing')
        .oneOf([...shape.values], `must be one of: ${shape.values.join(', ')}`);
    case 'list':
      return array()
        .of(schemaOf(shape.of))
        .strict()
        .typeError('must be a list')
        .required('is missing')
        .min(shape.least, shape.tooFew)
        .max(shape.most, `has more than ${shape.most} entries`);
    case 'record':
      return object(
        Object.fromEntries(Object.entries(shape.fields).map(([key, of]) => [key, schemaOf(of)])),
      )
        .strict()
        .typeError('must be an object')
        .required('is missing');
    case 'by name': {
      const each = shape.of ? schemaOf(shape.of) : null;
      return mixed(isObject)
        .required('is missing')
        .test(
          'by name',
          shape.wrong,
          (value) =>
            !isObject(value) ||
            !each ||
            Object.values(value).every((one) => each.isValidSync(one, { strict: true })),
        );
    }
    case 'swift':
      return mixed((value): value is object => typeof value === 'object')
        .required('is missing')
        .test('swift', shape.message, (value) => shape.isSo(value));
  }
}
