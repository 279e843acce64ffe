import fc from 'fast-check';

/* Files as a fault, a careless hand or somebody who means harm leaves them. */

type Json = unknown;
const odd: readonly Json[] = [null, true, 0, -1, -0.5, 1e308, -1e308, 2 ** 53, '', 'x', '__proto__', '../../x', '<svg onload=1>', 'ﷺ'.repeat(50), [], {}, [null], [[]], { id: 1 }, [1, 'a', {}]]; // prettier-ignore

/** How many things are inside a value. */
function partsOf(value: Json): number {
  if (typeof value !== 'object' || value === null) return 0;
  let parts = 0;
  for (const inner of Object.values(value)) parts += 1 + partsOf(inner);
  return parts;
}

/** The path to the n-th thing inside a value, from 0, as they stand written. */
function pathTo(root: Json, n: number): (string | number)[] {
  const path: (string | number)[] = [];
  let [at, left] = [root, n];
  for (;;) {
    const inside = Object.entries(at as Record<string, Json>);
    for (const [key, inner] of inside) {
      const parts = 1 + partsOf(inner);
      if (left >= parts) {
        left -= parts;
        continue;
      }
      path.push(Array.isArray(at) ? Number(key) : key);
      if (left === 0) return path;
      left -= 1;
      at = inner;
      break;
    }
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
        const parts = partsOf(root);
        if (parts > 0) changed(root, pathTo(root, at % parts), how, pick);
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
