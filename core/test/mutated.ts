import fc from 'fast-check';

/* Files as a fault, a careless hand or somebody who means harm leaves them. */

type Json = unknown;
const odd: readonly Json[] = [null, true, 0, -1, -0.5, 1e308, -1e308, 2 ** 53, '', 'x', '__proto__', '../../x', '<svg onload=1>', 'ﷺ'.repeat(50), [], {}, [null], [[]], { id: 1 }, [1, 'a', {}]]; // prettier-ignore

/** Paths to everything inside a value. */
function* pathsIn(value: Json, path: (string | number)[] = []): Generator<(string | number)[]> {
  if (typeof value !== 'object' || value === null) return;
  for (const key of Object.keys(value)) {
    const here = [...path, Array.isArray(value) ? Number(key) : key];
    yield here;
    yield* pathsIn((value as Record<string, Json>)[key], here);
  }
}

type Change = 'odd' | 'drop' | 'double' | 'swap' | 'many' | 'name';
const changes: readonly Change[] = ['odd', 'drop', 'double', 'swap', 'many', 'name'];

function changed(root: Json, path: readonly (string | number)[], how: Change, pick: number): void {
  const parent = path.slice(0, -1).reduce<Json>((at, key) => (at as Record<string, Json>)?.[key], root) as Record<string, Json> | Json[]; // prettier-ignore
  if (typeof parent !== 'object' || parent === null) return;
  const key = path.at(-1)!;
  const own = parent as Record<string | number, Json>;
  switch (how) {
    case 'odd':
      own[key] = structuredClone(odd[pick % odd.length]);
      return;
    case 'drop':
      if (Array.isArray(parent)) parent.splice(Number(key), 1);
      else delete own[key];
      return;
    case 'double':
      if (Array.isArray(parent)) parent.push(structuredClone(own[key]));
      return;
    case 'swap': {
      const keys = Object.keys(parent);
      const other = keys[pick % keys.length]!;
      [own[key], own[other]] = [own[other], own[key]];
      return;
    }
    case 'many':
      // not so many that no file could hold them
      if (JSON.stringify(own[key] ?? null).length < 500)
        own[key] = Array.from({ length: 2000 }, () => own[key]);
      return;
    case 'name':
      if (!Array.isArray(parent)) own[`${String(key)}${pick}`] = own[key];
  }
}

/** One of some files with up to five changes of its contents, or of its letters. */
export const mutated = (texts: readonly string[]): fc.Arbitrary<string> => {
  const nat = fc.nat({ max: 1 << 30 });
  const contents = fc
    .tuple(
      fc.constantFrom(...texts),
      fc.array(fc.tuple(nat, fc.constantFrom(...changes), nat), { minLength: 1, maxLength: 5 }),
    ) // prettier-ignore
    .map(([text, steps]) => {
      const root = JSON.parse(text) as Json;
      for (const [at, how, pick] of steps) {
        const paths = [...pathsIn(root)];
        if (paths.length > 0) changed(root, paths[at % paths.length]!, how, pick);
        // once: many of many would be more than any file
        if (how === 'many') break;
      }
      return JSON.stringify(root);
    });
  const letters = fc
    .tuple(
      fc.constantFrom(...texts),
      nat,
      fc.constantFrom('', '"', '{', '[[[[', '0', '\\', '\u0000', 'e999'),
      fc.boolean(),
    ) // prettier-ignore
    .map(([text, at, put, cut]) => {
      const i = at % text.length;
      return cut ? text.slice(0, i) : text.slice(0, i) + put + text.slice(i + 1);
    });
  return fc.oneof({ weight: 4, arbitrary: contents }, { weight: 1, arbitrary: letters });
};
