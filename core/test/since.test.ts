import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { contents } from '../src/document/schema.ts';
import type { Field } from '../src/fields/field.ts';
import { buildVersion } from '../src/index.ts';

/* Each field says which version brought it: the files of older versions bear it out. */

/** Versions of which a file is kept. */
const kept = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18];

interface Met {
  path: string;
  version: number;
  there: boolean;
  since: number;
}

/** Every field of every record that a file has, whether it is there, and since when it is said to be. */
function* met(
  field: Field<unknown>,
  value: unknown,
  path: string,
  version: number,
): Generator<Met> {
  const { shape } = field;
  if (value === null || value === undefined) return;
  if (shape.kind === 'null or') yield* met(shape.of, value, path, version);
  else if (shape.kind === 'by kind') {
    const of = shape.of[(value as { kind: string }).kind];
    if (of) yield* met(of, value, path, version);
  } else if (shape.kind === 'list' && Array.isArray(value))
    for (const each of value) yield* met(shape.of, each, `${path}[]`, version);
  else if (shape.kind === 'record')
    for (const [key, of] of Object.entries(shape.fields)) {
      const there = Object.hasOwn(value, key);
      if (!of.about.mayMiss)
        yield { path: `${path}.${key}`, version, there, since: of.about.since };
      if (there) yield* met(of, (value as Record<string, unknown>)[key], `${path}.${key}`, version);
    }
}

const all = kept.flatMap((version) => {
  const file = JSON.parse(
    readFileSync(new URL(`fixtures/version-${version}.json`, import.meta.url), 'utf8'),
  ) as unknown;
  return [...met(contents, file, '', version)];
});

describe('the version that brought a field', () => {
  it('is no later than the first file that has it, and later than the last that lacks it', () => {
    const wrong = all
      .filter(({ there, version, since }) => there !== version >= since)
      .map(({ path, version, since, there }) => `${path} of ${since}: ${there ? 'in' : 'not in'} a file of ${version}`); // prettier-ignore
    expect([...new Set(wrong)]).toEqual([]);
    expect(all.filter(({ since, there }) => since > 1 && there).length).toBeGreaterThan(100);
  });
  it('is one of those there are', () => {
    expect(all.every(({ since }) => since >= 1 && since <= buildVersion)).toBe(true);
  });
});
