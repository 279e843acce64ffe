import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { isArchive, packCake, unpack, unpackCake } from '../src/index.ts';

const few = { most: 5, mostEach: 100_000, mostInAll: 200_000 };
const problemOf = (bytes: Uint8Array, limits = few): string => {
  const read = unpack(bytes, limits);
  return read.ok ? 'none' : read.problem;
};
const photo = (seed: number): Uint8Array =>
  Uint8Array.from({ length: 3000 }, (_, i) => (i * seed * 7919) % 251);

describe('the archive of a cake', () => {
  it('gives back the cake and its pictures as they were', () => {
    const pictures = [1, 2, 3].map((n) => ({ id: `picture-${n}`, bytes: photo(n) }));
    const bytes = packCake('{"name":"Quitte, grün"}', pictures);
    expect(isArchive(bytes)).toBe(true);
    expect(unpackCake(bytes)).toEqual({ ok: true, text: '{"name":"Quitte, grün"}', pictures });
    expect(isArchive(strToU8('{"format"'))).toBe(false);
  });

  it('leaves alone what is no picture of it, and says when it holds no cake', () => {
    const odd = zipSync({
      'cake.json': strToU8('{}'),
      'pictures/a.svg': strToU8('<svg/>'),
      'pictures/deep/a.jpg': photo(1),
      'notes.txt': strToU8('hello'),
      'pictures/b.jpg': photo(2),
    });
    const read = unpackCake(odd);
    expect(read.ok && read.pictures.map(({ id }) => id)).toEqual(['b']);
    const none = unpackCake(zipSync({ 'other.json': strToU8('{}') }));
    expect(none.ok ? '' : none.problem).toContain('no “cake.json”');
  });

  it.each(['../cake.json', '/etc/cake.json', 'a/../../b', 'C:\\cake.json', 'a\\..\\b'])(
    'refuses a name that climbs: %s',
    (name) => {
      expect(problemOf(zipSync({ [name]: strToU8('x') }))).toContain('leads out of the archive');
    },
  );

  it('refuses the same name twice, too many, and what swells', () => {
    const two = zipSync({ 'aa.txt': strToU8('1'), 'ab.txt': strToU8('2') });
    for (let i = 0; i < two.length - 6; i++)
      if (String.fromCharCode(...two.subarray(i, i + 6)) === 'ab.txt') two[i + 1] = 0x61;
    expect(problemOf(two)).toContain('twice');
    const many = Object.fromEntries([...'abcdef'].map((name) => [name, strToU8(name)]));
    expect(problemOf(zipSync(many))).toContain('more than 5 files');
    const bomb = zipSync({ bomb: new Uint8Array(30_000_000) });
    expect(bomb.length).toBeLessThan(40_000);
    const from = performance.now();
    expect(problemOf(bomb)).toContain('unpacks to more');
    expect(performance.now() - from).toBeLessThan(2000);
    const three = {
      a: new Uint8Array(90_000),
      b: new Uint8Array(90_000),
      c: new Uint8Array(90_000),
    };
    expect(problemOf(zipSync(three))).toContain('“c” unpacks to more');
  });

  it('counts what comes out, whatever the archive says of its size', () => {
    const bomb = zipSync({ bomb: new Uint8Array(30_000_000) });
    // the size it claims, in the head of the file
    new DataView(bomb.buffer).setUint32(22, 10, true);
    expect(problemOf(bomb)).toContain('unpacks to more');
  });

  it('says of one that is cut, wherever it is cut, that it is', () => {
    const whole = packCake('{"a":1}', [{ id: 'a', bytes: photo(5) }]);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: whole.length - 1 }), (length) => {
        expect(unpack(whole.subarray(0, length), few).ok).toBe(false);
      }),
      { seed: 22, numRuns: 60 },
    );
  });

  it('throws at nothing that was changed', () => {
    const whole = packCake('{"a":1}', [{ id: 'a', bytes: photo(5) }]);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(whole.length - 1), fc.nat(255)), { minLength: 1, maxLength: 8 }),
        (changes) => {
          const changed = whole.slice();
          for (const [at, to] of changes) changed[at] = to;
          const read = unpackCake(changed);
          if (!read.ok) expect(read.problem.length).toBeGreaterThan(10);
        },
      ),
      { seed: 23, numRuns: 300 },
    );
  });
});
