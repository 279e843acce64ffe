import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync, type Unzipped } from 'fflate';
import { describe, expect, it } from 'vitest';
import {
  backupSchema,
  buildVersion,
  compareBackup,
  isArchive,
  isBackup,
  newBuild,
  noRows,
  packBackup,
  readBackup,
  startingPantry,
  type Build,
  type Here,
  type Kept,
  type ReadBackup,
} from '../src/index.ts';
import { anyBuild } from './arbitrary.ts';

const at = '2027-05-03T09:30:00Z';
const pantry = startingPantry();
const noHere: Here = {
  cakes: new Map(),
  rows: new Map(),
  kitchen: null,
  pictures: new Set(),
  records: new Set(),
  tries: new Set(),
  settings: null,
};
const cakeOf = (build: Build): Kept['cakes'][number] => ({
  build,
  updatedAt: at,
  versions: [],
  carvings: [],
});
const photo = (seed: number): Uint8Array =>
  Uint8Array.from({ length: 900 }, (_, i) => (i * seed * 7919) % 251);

/** A kitchen with two cakes, one of them with a history; an own row, one taken out, records, photos. */
function kitchen(): Kept {
  const quince = newBuild('quince', 'Quince “grün”', at);
  const plum = newBuild('plum', 'Plum', at);
  const own = { ...pantry.tins[0]!, id: 'own-tin', name: 'Grandmother’s tin' };
  return {
    cakes: [
      {
        ...cakeOf(quince),
        versions: [{ revision: 3, at, label: 'Layers', build: { ...quince, name: 'Quince' } }],
      },
      cakeOf(plum),
    ],
    pictures: [
      { id: 'photo-1', buildId: 'quince', at, bytes: photo(1) },
      { id: 'photo-2', buildId: 'plum', at, bytes: photo(2) },
    ],
    pantry: {
      rows: { ...noRows(), tins: [own] },
      removed: [{ table: 'boards', id: pantry.boards[0]!.id }],
      kitchen: { ...pantry.kitchen, dabG: 12 },
    },
    hand: {
      records: [
        {
          id: 'note-1',
          buildId: 'quince',
          buildName: 'Quince',
          at,
          kind: 'batter',
          title: 'Batter',
          label: 'left',
          planned: 20,
          actual: 25,
          ratio: 1.25,
          excluded: 'a slip',
        },
      ],
      tries: [{ id: 'try-1', drill: 'pressure', at, target: 8, actual: 7.4 }],
      off: [],
    },
    settings: { settings: { scheme: 'night' }, examples: ['quince'] },
  };
}
const packed = (kept: Kept = kitchen()): Uint8Array => packBackup(kept, pantry, at);
const readOf = (bytes: Uint8Array): ReadBackup => {
  const read = readBackup(bytes);
  if (!read.ok) throw new Error(read.problem);
  return read.backup;
};
const problemOf = (bytes: Uint8Array): string => {
  const read = readBackup(bytes);
  return read.ok ? 'none' : read.problem;
};
/** A backup with some of its files as they should not be. */
function changed(change: (files: Unzipped) => void): Uint8Array {
  const files = unzipSync(packed());
  change(files);
  return zipSync(files);
}
const listOf = (files: Unzipped): Record<string, unknown> =>
  JSON.parse(strFromU8(files['backup.json']!)) as Record<string, unknown>;
const writeList = (files: Unzipped, list: object): void =>
  void (files['backup.json'] = strToU8(JSON.stringify(list)));
/** Puts a file in its place, and its length into the list. */
function replace(files: Unzipped, name: string, text: string): void {
  files[name] = strToU8(text);
  const list = listOf(files) as { files: { name: string; bytes: number }[] };
  for (const one of list.files) if (one.name === name) one.bytes = files[name].length;
  writeList(files, list);
}

describe('a backup', () => {
  it('gives back all that was kept', () => {
    const kept = kitchen();
    const bytes = packed(kept);
    expect(isArchive(bytes)).toBe(true);
    expect(isBackup(bytes.subarray(0, 64))).toBe(true);
    const { rowsOf, unreadable, madeAt, ...rest } = readOf(bytes);
    expect(rest).toEqual(kept);
    expect(unreadable).toEqual([]);
    expect(madeAt).toBe(at);
    expect(rowsOf.get('quince')!.tins.map(({ id }) => id)).toContain(
      kept.cakes[0]!.build.tiers[0]!.tinId,
    );
  });

  it('holds each cake as a build file of its own', () => {
    const files = unzipSync(packed());
    expect(Object.keys(files)[0]).toBe('backup.json');
    const file = JSON.parse(strFromU8(files['cakes/plum.json']!)) as { format: string };
    expect(file.format).toBe('pyrgotect-build');
    expect(isBackup(zipSync({ 'cake.json': strToU8('{}') }))).toBe(false);
  });

  it('gives back any cakes as they were', () => {
    fc.assert(
      fc.property(fc.array(anyBuild, { minLength: 1, maxLength: 3 }), (builds) => {
        const cakes = builds.map((build, i) => cakeOf({ ...build, id: `cake-${i}` }));
        const back = readOf(packed({ ...kitchen(), cakes, pictures: [] }));
        // a file knows no minus nothing
        expect(back.cakes).toEqual(JSON.parse(JSON.stringify(cakes)));
      }),
      { numRuns: 20 },
    );
  });

  it('says how far it is, from nothing to all', () => {
    const shares: number[] = [];
    const bytes = packBackup(kitchen(), pantry, at, (share) => shares.push(share));
    expect(shares.at(-1)).toBe(1);
    const reading: number[] = [];
    readBackup(bytes, (share) => reading.push(share));
    for (const told of [shares, reading]) {
      expect([...told].sort((a, b) => a - b)).toEqual(told);
      expect(told.every((share) => share >= 0 && share <= 1)).toBe(true);
    }
  });

  it('publishes the schema that is in docs', () => {
    const written: unknown = JSON.parse(
      readFileSync(new URL('../../docs/backup.schema.json', import.meta.url), 'utf8'),
    );
    expect(written).toEqual(JSON.parse(JSON.stringify(backupSchema())));
  });
});

describe('a backup that is none', () => {
  it('is refused wherever it is cut', () => {
    const bytes = packed();
    const odd: number[] = [];
    for (let cut = 0; cut < bytes.length; cut += 97)
      if (readBackup(bytes.subarray(0, cut)).ok) odd.push(cut);
    expect(odd).toEqual([]);
  });

  it('is refused with a word of what it is', () => {
    expect(problemOf(strToU8('{"format":"pyrgotect-build"}'))).toContain('no zip file');
    expect(problemOf(zipSync({ 'cake.json': strToU8('{}') }))).toContain('one cake');
    expect(problemOf(zipSync({ 'notes.txt': strToU8('a') }))).toContain('no backup of Pyrgotect');
    const other = changed((files) => writeList(files, { format: 'another', version: 1 }));
    expect(problemOf(other)).toContain('no backup of Pyrgotect');
  });

  it.each([
    ['version', 2],
    ['buildVersion', buildVersion + 1],
  ])('is refused where a newer program made it: %s', (field, value) => {
    const newer = changed((files) => writeList(files, { ...listOf(files), [field]: value }));
    expect(problemOf(newer)).toContain('newer Pyrgotect');
  });

  it('is refused where a file is missing, was changed, climbs or stands twice', () => {
    const without = changed((files) => void delete files['pictures/photo-1.jpg']);
    expect(problemOf(without)).toContain('“pictures/photo-1.jpg” is missing');
    const longer = changed((files) => void (files['hand.json'] = strToU8('{}')));
    expect(problemOf(longer)).toContain('was changed');
    const climbing = changed((files) => void (files['../cakes/a.json'] = strToU8('{}')));
    expect(problemOf(climbing)).toContain('leads out');
    const bomb = changed((files) => void (files['notes'] = new Uint8Array(700_000_000)));
    expect(problemOf(bomb)).toContain('unpacks to more');
  });
});

describe('a backup with something in it that cannot be', () => {
  it('names the file and keeps the rest', () => {
    const {
      cakes,
      unreadable,
      pantry: rows,
    } = readOf(
      changed((files) => {
        const text = strFromU8(files['cakes/plum.json']!);
        replace(files, 'cakes/plum.json', text.replace(/"servings": \d+/, '"servings": -4'));
        replace(files, 'pantry.json', '{"rows":');
      }),
    );
    expect(cakes.map(({ build }) => build.id)).toEqual(['quince']);
    expect(unreadable.map(({ file }) => file)).toEqual(['cakes/plum.json', 'pantry.json']);
    expect(unreadable[0]!.problems[0]!.message).toContain('servings must be at least 1');
    expect(rows.rows.tins).toEqual([]);
  });

  it('takes no cake that calls itself otherwise, and no prototype', () => {
    const { unreadable } = readOf(
      changed((files) => {
        const text = strFromU8(files['cakes/plum.json']!);
        replace(files, 'cakes/plum.json', text.replace('"id": "plum"', '"id": "quince"'));
        replace(files, 'settings.json', '{"__proto__":{"polluted":1}}');
      }),
    );
    expect(unreadable.map(({ file }) => file)).toEqual(['cakes/plum.json', 'settings.json']);
    expect(({} as { polluted?: number }).polluted).toBeUndefined();
  });

  it('reads what an older program wrote', () => {
    const old = changed((files) => {
      const { order, isPattern, ...build } = newBuild('plum', 'Plum', at);
      void [order, isPattern];
      const file = JSON.parse(strFromU8(files['cakes/plum.json']!)) as object;
      replace(files, 'cakes/plum.json', JSON.stringify({ ...file, version: 16, build }));
      const versions = [{ revision: 1, at, label: 'New', build }];
      replace(files, 'versions/quince.json', JSON.stringify({ versions }));
      writeList(files, { ...listOf(files), buildVersion: 16 });
    });
    const back = readOf(old);
    expect(back.unreadable).toEqual([]);
    expect(back.cakes.map(({ build }) => build.isPattern)).toEqual([false, false]);
    expect(back.cakes[0]!.versions[0]!.build.order.customer).toBe('');
    expect(back.pantry.rows.tins.map(({ name }) => name)).toEqual(['Grandmother’s tin']);
  });

  it('reads the first backups that were made', () => {
    const bytes = readFileSync(new URL('fixtures/backup-17.zip', import.meta.url));
    const { cakes, unreadable, pictures, hand } = readOf(new Uint8Array(bytes));
    expect(unreadable).toEqual([]);
    expect(cakes.map(({ build }) => build.name)).toEqual(['Quince “grün”', 'Plum']);
    expect(cakes[0]!.versions).toHaveLength(1);
    expect([pictures.length, hand.records.length]).toEqual([2, 1]);
  });
});

describe('what a backup would change', () => {
  const backup = readOf(packed());

  it('is everything where nothing is', () => {
    const { cakes, rows, freshPictures, freshRecords, freshTries, ...rest } = compareBackup(
      backup,
      noHere,
    );
    expect(cakes.map(({ standing }) => standing)).toEqual(['fresh', 'fresh']);
    expect(rows.map(({ table, isFresh }) => [table, isFresh])).toEqual([
      ['tins', true],
      ['boards', true],
    ]);
    expect([freshPictures, freshRecords, freshTries]).toEqual([2, 1, 1]);
    expect(rest).toEqual({ sameRows: 0, kitchen: 'differs', settings: 'differs' });
  });

  it('is nothing where all of it is', () => {
    const here: Here = {
      cakes: new Map(backup.cakes.map(({ build }) => [build.id, { build, updatedAt: at }])),
      rows: new Map<string, unknown>([
        ['tins/own-tin', backup.pantry.rows.tins[0]],
        [`boards/${pantry.boards[0]!.id}`, null],
      ]),
      kitchen: backup.pantry.kitchen,
      pictures: new Set(['photo-1', 'photo-2']),
      records: new Set(['note-1']),
      tries: new Set(['try-1']),
      settings: backup.settings,
    };
    const difference = compareBackup(backup, here);
    expect(difference.cakes.every(({ standing }) => standing === 'same')).toBe(true);
    expect(difference).toMatchObject({
      rows: [],
      sameRows: 2,
      kitchen: 'same',
      freshPictures: 0,
      freshRecords: 0,
      freshTries: 0,
      settings: 'same',
    });
  });

  it.each([
    ['2027-05-01T09:30:00Z', 'later there'],
    ['2027-05-09T09:30:00Z', 'later here'],
  ])('says which of two is later: changed here on %s', (updatedAt, standing) => {
    const build = { ...backup.cakes[1]!.build, name: 'Damson' };
    const here = { ...noHere, cakes: new Map([['plum', { build, updatedAt }]]) };
    expect(compareBackup(backup, here).cakes[1]!.standing).toBe(standing);
  });
});
