import type { Field, Shape } from './field.ts';

/* Whether a value is what a field says: yes or no, by plain comparisons. What is wrong is said by the checks. */

// line breaks and tabs are fine in notes
export const control = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\u202a-\u202e\u2066-\u2069]/; // eslint-disable-line no-control-regex
export const timePattern = /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)?$/;

export const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const right = new WeakMap<Field<unknown>, WeakSet<object>>();

/** Whether a record was found right before: they are known by their identity, as none is changed in place. */
export const isKnownRight = (field: Field<unknown>, value: unknown): boolean =>
  isObject(value) && (right.get(field)?.has(value) ?? false);

function know(field: Field<unknown>, value: object): void {
  const known = right.get(field);
  if (known) known.add(value);
  else right.set(field, new WeakSet([value]));
}

/**
 * Whether a value, of any kind, is what a field says: strict about what it knows, silent about what it does not
 * know. Of a document of which one thing changed, one thing is looked at.
 */
export function fits(field: Field<unknown>, value: unknown): boolean {
  const { shape, about } = field;
  if (shape.kind === 'null or') return value === null || fits(shape.of, value);
  if (shape.kind === 'by kind') {
    const kind = isObject(value) ? value.kind : null;
    return typeof kind === 'string' && Object.hasOwn(shape.of, kind) && fits(shape.of[kind]!, value); // prettier-ignore
  }
  if (value === null || value === undefined) return about.mayMiss;
  if (isKnownRight(field, value)) return true;
  const isRight = plainFits(shape, value) && about.rules.every(({ holds }) => holds(value as never)); // prettier-ignore
  if (isRight && shape.kind === 'record') know(field, value);
  return isRight;
}

function plainFits(
  shape: Exclude<Shape, { kind: 'null or' | 'by kind' }>,
  value: unknown,
): boolean {
  switch (shape.kind) {
    case 'figure': {
      const { min, max } = shape.range;
      return Number.isFinite(value) && Number(value) >= min && Number(value) <= max && (!shape.whole || Number.isInteger(value)); // prettier-ignore
    }
    case 'words':
      if (typeof value !== 'string') return false;
      if (shape.pattern) return value !== '' && value.search(shape.pattern.of) >= 0;
      return value.length >= shape.least && value.length <= shape.most && !control.test(value);
    case 'time':
      return typeof value === 'string' && timePattern.test(value) && !Number.isNaN(Date.parse(value)); // prettier-ignore
    case 'flag':
      return typeof value === 'boolean';
    case 'choice':
      return typeof value === 'string' && shape.values.includes(value);
    case 'list':
      return Array.isArray(value) && value.length >= shape.least && value.length <= shape.most && value.every((one) => fits(shape.of, one)); // prettier-ignore
    case 'record':
      return isObject(value) && Object.entries(shape.fields).every(([key, of]) => fits(of, value[key])); // prettier-ignore
    case 'by name': {
      const { of } = shape;
      return isObject(value) && (!of || Object.values(value).every((one) => fits(of, one)));
    }
    case 'swift':
      return typeof value === 'object' && shape.isSo(value);
  }
}
