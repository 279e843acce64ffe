import { isObject } from '../fields/fits.ts';

/*
 * Two changes of one document put together: what only one of them changed is as that one left it, what both
 * changed is as the later one says, and named, so that it can be taken back.
 */

/** Which of two changes of the same thing stands. */
export type Prefer = 'mine' | 'theirs';

export interface ThreeWay<T> {
  value: T;
  /** Places of what both changed, as fields and numbers of lists in `value`. */
  clashes: string[];
}

/** True for the same content; the same object is the same at once, as documents are never changed in place. */
export function isSame(a: unknown, b: unknown): boolean {
  // nothing is nothing, with a minus before it too: JSON writes none
  if (a === b || Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const [one, other] = [a as Fields, b as Fields];
  const keys = Object.keys(one);
  return (
    keys.length === Object.keys(other).length &&
    keys.every((key) => Object.hasOwn(other, key) && isSame(one[key], other[key]))
  );
}

type Fields = Record<string, unknown>;
/** By what one of a list is known again, whatever else of it changes and wherever it stands; null for nothing. */
const keyFields = ['id', 'stepKey', 'afterLayer', 'spreadId', 'name'] as const;
function keyOf(value: unknown): string | null {
  if (typeof value === 'string') return value;
  if (!isObject(value)) return null;
  const field = keyFields.find((one) => Object.hasOwn(value, one));
  return field ? `${field}:${String(value[field])}` : null;
}
/** A list by its keys; null where one of it has none, or two have the same. */
function byKeys(list: readonly unknown[]): Map<string, unknown> | null {
  const found = new Map<string, unknown>();
  for (const one of list) {
    const key = keyOf(one);
    if (key === null || found.has(key)) return null;
    found.set(key, one);
  }
  return found;
}

/** Keys of a list that is there, in its order, with those of another put in behind what they stood behind there. */
function woven(into: readonly string[], from: readonly string[]): string[] {
  const keys = [...into];
  from.forEach((key, i) => {
    if (keys.includes(key)) return;
    const before = from
      .slice(0, i)
      .reverse()
      .find((one) => keys.includes(one));
    keys.splice(before === undefined ? 0 : keys.indexOf(before) + 1, 0, key);
  });
  return keys;
}

/**
 * What two states of one thing have in common: fields that are the same, and of lists whose members have keys
 * those that both have. It stands for what both were made from where nobody has that any more: what only one of
 * them has then counts as added, and is kept.
 */
export function commonOf(a: unknown, b: unknown): unknown {
  if (isSame(a, b)) return a;
  if (Array.isArray(a) && Array.isArray(b)) {
    const [one, other] = [byKeys(a), byKeys(b)];
    if (!one || !other) return [];
    return [...one]
      .filter(([key]) => other.has(key))
      .map(([key, value]) => commonOf(value, other.get(key)));
  }
  if (isObject(a) && isObject(b) && a.kind === b.kind)
    return Object.fromEntries(
      Object.keys(a)
        .filter((key) => Object.hasOwn(b, key))
        .map((key) => [key, commonOf(a[key], b[key])]),
    );
  return undefined;
}

interface Merging {
  prefer: Prefer;
  clashes: string[];
}

/** A list whose members are known by keys: each is merged by itself, and none is lost. */
function mergeKeyed(
  base: Map<string, unknown>,
  theirs: Map<string, unknown>,
  mine: Map<string, unknown>,
  path: string,
  how: Merging,
): unknown[] {
  const shared = (one: Map<string, unknown>): string[] =>
    [...one.keys()].filter((key) => base.has(key) && theirs.has(key) && mine.has(key));
  // who moved what both have gives the order; else the one that is there
  const moved = !isSame(shared(mine), shared(base));
  const [first, second] = moved ? [mine, theirs] : [theirs, mine];
  const merged: unknown[] = [];
  for (const key of woven([...first.keys()], [...second.keys()])) {
    const at = `${path}[${merged.length}]`;
    if (theirs.has(key) && mine.has(key)) {
      merged.push(mergeValue(base.get(key), theirs.get(key), mine.get(key), at, how));
      continue;
    }
    const left = theirs.get(key) ?? mine.get(key);
    const wasThere = base.has(key);
    // taken away by one: gone, unless the other changed it since
    const isChanged = wasThere && !isSame(left, base.get(key));
    const standsWith = mine.has(key) ? 'mine' : 'theirs';
    if (isChanged) how.clashes.push(at);
    if (!wasThere || (isChanged && how.prefer === standsWith)) merged.push(left);
  }
  return merged;
}

function mergeValue(
  base: unknown,
  theirs: unknown,
  mine: unknown,
  path: string,
  how: Merging,
): unknown {
  if (isSame(theirs, mine) || isSame(base, mine)) return theirs;
  if (isSame(base, theirs)) return mine;
  if (Array.isArray(base) && Array.isArray(theirs) && Array.isArray(mine)) {
    const lists = [byKeys(base), byKeys(theirs), byKeys(mine)] as const;
    const [was, there, here] = lists;
    if (was && there && here) return mergeKeyed(was, there, here, path, how);
  }
  // what is another kind of thing has other fields
  if (
    isObject(base) &&
    isObject(theirs) &&
    isObject(mine) &&
    base.kind === theirs.kind &&
    base.kind === mine.kind
  ) {
    const merged: Fields = {};
    for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
      const value = mergeValue(base[key], theirs[key], mine[key], path ? `${path}.${key}` : key, how); // prettier-ignore
      if (value !== undefined) merged[key] = value;
    }
    return merged;
  }
  how.clashes.push(path);
  return how.prefer === 'mine' ? mine : theirs;
}

/**
 * Puts two changes of `base` together. Lists whose members have ids (or are words) are merged member by member:
 * what one added, moved or took away stands beside what the other did; other lists count as one thing.
 *
 * @param prefer which stands where both changed the same thing; what one took away and the other changed is one
 */
export function mergeThree<T>(base: T, theirs: T, mine: T, prefer: Prefer = 'mine'): ThreeWay<T> {
  const how: Merging = { prefer, clashes: [] };
  return { value: mergeValue(base, theirs, mine, '', how) as T, clashes: how.clashes };
}
