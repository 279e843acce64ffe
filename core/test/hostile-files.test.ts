import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  isSame,
  mergeRows,
  readBuildFile,
  startingPantry,
  tooDeepAt,
  tooMany,
  withRows,
  writeBuildFile,
} from '../src/index.ts';
import { list, record, words } from '../src/fields/field.ts';
import { mutated } from './mutated.ts';

/* Whatever a file holds: it is refused in a sentence, or taken whole; nothing is thrown and nothing hangs. */

const demo = (name: string): string =>
  readFileSync(new URL(`../../demo/${name}`, import.meta.url), 'utf8');
const meridian = demo('meridian.json');
interface Loose {
  build: { brief: Record<string, unknown>; bench: Record<string, unknown>; tiers: Record<string, unknown>[] }; // prettier-ignore
  pantry: Record<string, unknown>;
}
const withIt = (change: (file: Loose) => void): string => {
  const file = JSON.parse(meridian) as Loose;
  change(file);
  return JSON.stringify(file);
};
const refusal = (text: string): string => {
  const read = readBuildFile(text);
  expect(read.ok).toBe(false);
  return read.ok ? '' : read.problems[0]!.message;
};

describe('a file that nests', () => {
  it('deeper than any build is refused at its line, however deep', () => {
    const deep = (n: number): string => '['.repeat(n) + ']'.repeat(n);
    for (const text of [
      deep(5000),
      deep(200_000),
      '[{"a":'.repeat(100_000),
      `{\n"a":\n${deep(5000)}}`,
    ])
      expect(refusal(text)).toMatch(/nests deeper than 40/);
    expect(refusal(`{\n"a":\n${deep(5000)}}`)).toMatch(/^Line 3/);
    // brackets in words are none
    expect(tooDeepAt(JSON.stringify({ a: '['.repeat(500), b: '\\"[[' }), 40)).toBeNull();
    expect(tooDeepAt('[[[]]]', 3)).toBeNull();
    expect(tooDeepAt('[[[[]]]]', 3)).toBe(3);
  });
});

describe('a file of very many things', () => {
  it('says which list is too long and how long it may be, without a look at each of it', () => {
    const many = (n: number): unknown[] => Array.from({ length: n }, () => ({}));
    expect(refusal(withIt(({ build }) => (build.tiers[0]!.layers = many(200_000))))).toMatch(
      /layers has 200000 entries, and may have 12/,
    );
    expect(refusal(withIt(({ build }) => (build.bench.notes = many(60_000))))).toMatch(
      /notes has 60000 entries/,
    );
    expect(refusal(withIt(({ pantry }) => (pantry.foods = many(9900))))).toMatch(/foods has 9900/);
    expect(refusal(withIt(({ build }) => (build.brief.keepOut = Array.from({ length: 200_000 }, () => 'x'))))).toMatch(/keep out has 200000/); // prettier-ignore
  });
  it('that are all wrong is refused by the first of them', () => {
    expect(refusal(withIt(({ build }) => (build.bench.notes = Array.from({ length: 2000 }, () => ({ a: [...Array(20).keys()] })))))).toMatch(/note 1/); // prettier-ignore
  });
  it('looks into lists of lists', () => {
    const field = record({ rows: list(record({ words: list(words(9), 2) }), 3) });
    expect(tooMany(field, { rows: [{ words: ['a'] }, { words: ['a', 'b', 'c'] }] })).toEqual({
      path: 'rows[1].words',
      count: 3,
      most: 2,
    });
    expect(tooMany(field, { rows: 'no list' })).toBeNull();
  });
});

/** Files that the solids made long are left to the script: each of them takes a second. */
const mostLetters = 200_000;

describe('a file with an odd figure', () => {
  // by mutation: files that JSON writes otherwise than they were read
  it('of minus nothing holds nothing, and is the same when it is written again', () => {
    const text = meridian.replace(/"pinned":\s*\[\]/, '"pinned": [{ "taskId": "box", "startMin": -0 }]'); // prettier-ignore
    const read = readBuildFile(text);
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.build.day.pinned).toHaveLength(1);
    const again = readBuildFile(writeBuildFile(read.build, startingPantry()));
    expect(again.ok && isSame(again.build, read.build)).toBe(true);
  });
});

describe('a file with faults', () => {
  const texts = readdirSync(new URL('../../demo', import.meta.url))
    .map(demo)
    .filter((text) => text.length < mostLetters);
  it('is refused in sentences, or reads the same when it is written again', () => {
    fc.assert(
      fc.property(mutated(texts), (text) => {
        const read = readBuildFile(text);
        expect(Object.keys(Object.prototype)).toEqual([]);
        if (!read.ok) {
          for (const { message } of read.problems) expect(message).toMatch(/^[A-Z“].*\.$/s);
          return;
        }
        const { build, added } = mergeRows(read.build, read.rows, startingPantry());
        const again = readBuildFile(writeBuildFile(build, withRows(startingPantry(), added), read.carvings)); // prettier-ignore
        expect(again.ok && again.build).toEqual(build);
      }),
      { numRuns: 80, seed: 31, endOnFailure: true },
    );
  });
});
