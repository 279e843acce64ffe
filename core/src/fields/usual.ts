import type { Field } from './field.ts';

/**
 * What a stored thing is until somebody decides: what its description says; else nothing where there
 * may be nothing, an empty list, no words, no flag, and a record of all that. Every call gives its own.
 *
 * @param given what somebody did decide, of a record
 * @throws Error naming the field for which there is no usual value and none was given
 */
export function usualOf<T>(field: Field<T>, given: Partial<T> = {}): T {
  return usual(field, given, '') as T;
}

function usual(field: Field<unknown>, given: object, path: string): unknown {
  const { shape, about } = field;
  if (about.usual !== undefined) {
    const stated = structuredClone(about.usual);
    return isRecord(stated) ? { ...stated, ...given } : stated;
  }
  switch (shape.kind) {
    case 'record':
      return Object.fromEntries(
        Object.entries(shape.fields)
          .filter(([key, of]) => Object.hasOwn(given, key) || !of.about.mayMiss)
          .map(([key, of]) => [
            key,
            Object.hasOwn(given, key)
              ? (given as Record<string, unknown>)[key]
              : usual(of, {}, path === '' ? key : `${path}.${key}`),
          ]),
      );
    case 'null or':
      return null;
    case 'flag':
      return false;
    case 'list':
      if (shape.least === 0) return [];
      break;
    case 'words':
      if (shape.least === 0 && !shape.pattern) return '';
      break;
    case 'by name':
      return {};
    default:
  }
  throw new Error(`Nothing is usual for ${path || 'this'}: it must be given.`);
}

const isRecord = (value: unknown): value is object =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
