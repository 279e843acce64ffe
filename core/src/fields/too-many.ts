import type { Field } from './field.ts';

/** A list that is longer than it may be. */
export interface Crowd {
  path: string;
  count: number;
  most: number;
}

/**
 * The first list of a value that is longer than its field allows; null where none is. Nothing of such a list is
 * looked at: a check of each of its members would take minutes.
 */
export function tooMany(field: Field<unknown>, value: unknown, path = ''): Crowd | null {
  if (typeof value !== 'object' || value === null) return null;
  const { shape } = field;
  const inside = value as Record<string, unknown>;
  switch (shape.kind) {
    case 'null or':
      return tooMany(shape.of, value, path);
    case 'swift':
      return tooMany(shape.like, value, path);
    case 'by kind': {
      const of = typeof inside.kind === 'string' && Object.hasOwn(shape.of, inside.kind) ? shape.of[inside.kind] : null; // prettier-ignore
      return of ? tooMany(of, value, path) : null;
    }
    case 'list': {
      if (!Array.isArray(value)) return null;
      if (value.length > shape.most) return { path, count: value.length, most: shape.most };
      return first(value, (one, i) => tooMany(shape.of, one, `${path}[${i}]`));
    }
    case 'record':
      return first(Object.entries(shape.fields), ([key, of]) =>
        tooMany(of, inside[key], path ? `${path}.${key}` : key),
      );
    default:
      return null;
  }
}

function first<T>(list: readonly T[], find: (one: T, i: number) => Crowd | null): Crowd | null {
  for (const [i, one] of list.entries()) {
    const found = find(one, i);
    if (found) return found;
  }
  return null;
}

/** True where a value has more parts than so many, counted no further than that. */
export function hasOver(value: unknown, most: number): boolean {
  let left = most;
  const count = (one: unknown): boolean => {
    left -= 1;
    if (left < 0) return true;
    return typeof one === 'object' && one !== null && Object.values(one).some(count);
  };
  return count(value);
}
