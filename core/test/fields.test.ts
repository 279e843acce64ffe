import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ValidationError } from 'yup';
import {
  buildSchema,
  kitchenSchema,
  startingKitchen,
  startingPantry,
  emptyStock,
} from '../src/index.ts';
import { build as buildField } from '../src/document/build-fields.ts';
import { rowFields } from '../src/pantry/fields.ts';
import { fieldProblem, fieldWords } from '../src/document/field-words.ts';
import { contents } from '../src/document/schema.ts';
import { checksOf, schemaOf as yupOf } from '../src/fields/checks.ts';
import { describedFigure, partOf } from '../src/fields/described.ts';
import {
  byKind,
  byName,
  figure,
  figures,
  flag,
  id,
  isoTime,
  list,
  oneOf,
  orNull,
  record,
  swift,
  wholeFigure,
  words,
  type Field,
} from '../src/fields/field.ts';
import { fits } from '../src/fields/fits.ts';
import { jsonOf, type JsonSchema } from '../src/fields/json-schema.ts';
import { usualOf } from '../src/fields/usual.ts';
import { anyBuild } from './arbitrary.ts';

/** Whether the JSON Schema of a field takes a value. */
function schemaOf(field: Field<unknown>): (value: unknown) => boolean {
  const known = new Map<string, JsonSchema>();
  const schema = { ...jsonOf(field, known), $defs: Object.fromEntries(known) };
  const compiled = new Ajv2020({ strict: true }).compile(schema);
  return (value) => compiled(value);
}
const takes = (field: Field<unknown>, value: unknown): boolean =>
  checksOf(field).isValidSync(value, { strict: true });
const saysOf = (field: Field<unknown>, value: unknown): string[] => {
  try {
    checksOf(field).validateSync(value, { strict: true, abortEarly: false });
    return [];
  } catch (error) {
    return (error as ValidationError).errors;
  }
};

interface Slice {
  wide: number;
  name: string;
  note?: string;
}
type Cut = { kind: 'plane'; upMm: number } | { kind: 'scoop'; radiusMm: number };
const slice = record<Slice>({
  wide: figure({ min: 1, max: 9 }),
  name: words(5, 1),
  note: words(9).orMissing(),
});
const cut = byKind<Cut>({
  plane: record({ kind: oneOf(['plane']), upMm: figure({ min: 0, max: 5 }) }),
  scoop: record({ kind: oneOf(['scoop']), radiusMm: figure({ min: 1, max: 2 }) }),
});

describe('a field', () => {
  const cases: [string, Field<unknown>, good: unknown[], bad: unknown[]][] = [
    ['figure', figure({ min: 1, max: 3 }), [1, 2.5, 3], [0.99, 3.01, '2', null, NaN, undefined]],
    ['whole figure', wholeFigure({ min: -1, max: 1 }), [-1, 0, 1], [0.5, 2, true]],
    ['words', words(4, 1), ['a', 'abcd'], ['', 'abcde', 4, null]],
    ['id', id(), ['tier-1', 'a_B'], ['', 'a b', 'x'.repeat(65), 7]],
    ['time', isoTime(), ['2027-05-03T09:30', '2027-05-03T09:30:00Z'], ['yesterday', '', 5]],
    ['flag', flag(), [true, false], [0, 'true', null]],
    ['choice', oneOf(['fridge', 'freezer']), ['fridge'], ['cellar', 1, null]],
    ['list', list(flag(), 2, 1), [[true], [true, false]], [[], [true, true, true], [1], {}, null]],
    ['place', figures<[number, number]>({ min: 0, max: 1 }, 2), [[0, 1]], [[0], [0, 1, 1], [0, 2]]],
    ['null or a figure', orNull(figure({ min: 0, max: 1 })), [null, 0.5], [2, 'x', undefined]],
    ['record', slice, [{ wide: 2, name: 'a' }, { wide: 2, name: 'a', note: '' }], [{ wide: 2 }, [], null, { wide: 0, name: 'a' }, { wide: 2, name: 'a', note: 5 }]], // prettier-ignore
    ['one of several kinds', cut, [{ kind: 'plane', upMm: 1 }, { kind: 'scoop', radiusMm: 1 }], [{ kind: 'plane', radiusMm: 1 }, { kind: 'saw' }, {}, null, undefined]], // prettier-ignore
    ['figures by name', byName(figure({ min: 0, max: 1 }), 'no'), [{}, { a: 1 }], [{ a: 2 }, [], 3]], // prettier-ignore
  ];
  it.each(cases)('that is a %s is checked alike by program and schema', (_, field, good, bad) => {
    const schema = schemaOf(field);
    for (const value of good) {
      expect(saysOf(field, value), JSON.stringify(value)).toEqual([]);
      expect(schema(value), JSON.stringify(value)).toBe(true);
    }
    for (const value of bad) {
      expect(takes(field, value), JSON.stringify(value)).toBe(false);
      // what cannot stand in a file is no matter of its schema
      if (value !== undefined && !Number.isNaN(value))
        expect(schema(value), JSON.stringify(value)).toBe(false);
    }
  });
  it('says what is wrong in words that follow its name', () => {
    expect(saysOf(figure({ min: 1, max: 3 }), 5)).toEqual(['must be at most 3']);
    expect(saysOf(slice, { name: '' })).toEqual(['is missing', 'is empty']);
    expect(saysOf(list(flag(), 2, 1, 'has no slices'), [])).toEqual(['has no slices']);
    expect(saysOf(words(9), 'a\u0007')).toEqual(['holds control characters']);
    expect(saysOf(cut, { kind: 'saw' })).toEqual(['must be one of: plane, scoop']);
    expect(saysOf(cut, undefined)).toEqual(['is missing']);
  });
  it('keeps its rules, which are not tried on what is not there', () => {
    const even = list(figure({ min: 0, max: 9 }), 9).rule(
      'even',
      'needs an even number',
      (all) => all.length % 2 === 0,
    );
    expect(saysOf(even, [1])).toEqual(['needs an even number']);
    expect(saysOf(even, [1, 2])).toEqual([]);
    expect(saysOf(even, 'many')).toEqual(['must be a list']);
    expect(saysOf(even.orMissing(), undefined)).toEqual([]);
    expect(saysOf(orNull(even), null)).toEqual([]);
    expect(saysOf(orNull(even), [1])).toEqual(['needs an even number']);
  });
  it('of thousands of points is tried at one go', () => {
    let tried = 0;
    const many = swift(list(flag(), 9), 'is not so', (value) => {
      tried += 1;
      return Array.isArray(value);
    });
    expect([takes(many, [1, 2, 3]), takes(many, {}), tried]).toEqual([true, false, 2]);
    expect(schemaOf(many)([true])).toBe(true);
  });
  it('that has a name is written once and referred to', () => {
    const known = new Map<string, JsonSchema>();
    const named = flag().knownAs('done');
    expect(jsonOf(list(named, 3), known)).toMatchObject({ items: { $ref: '#/$defs/done' } });
    expect(known.get('done')).toEqual({ type: 'boolean' });
  });
});

describe('what is said of a field', () => {
  const said = record<Slice>({
    wide: figure({ min: 1, max: 9, kind: 'thickness' }).usually(3).called('width', 'at the rim'),
    name: words(5, 1).usually('a').since(4),
    note: words(9).orMissing(),
  });
  it('goes into the JSON Schema beside its shape', () => {
    expect(jsonOf(said, new Map())).toMatchObject({
      properties: {
        wide: { type: 'number', title: 'width', description: 'at the rim', default: 3 },
        name: { type: 'string', default: 'a', $comment: 'since version 4' },
      },
    });
  });
  it('makes what is new, all of it its own', () => {
    expect(usualOf(said)).toEqual({ wide: 3, name: 'a' });
    expect(usualOf(said, { wide: 5, note: 'n' })).toEqual({ wide: 5, name: 'a', note: 'n' });
    const lists = record<{ a: number[]; b: string; c: Slice | null; d: boolean }>({
      a: list(figure({ min: 0, max: 9 }), 3).usually([1, 2]),
      b: words(4),
      c: orNull(said),
      d: flag(),
    });
    const [one, other] = [usualOf(lists), usualOf(lists)];
    expect(one).toEqual({ a: [1, 2], b: '', c: null, d: false });
    one.a.push(3);
    expect(other.a).toEqual([1, 2]);
    expect(usualOf(lists).a).toEqual([1, 2]);
  });
  it('names the field for which nothing is usual', () => {
    const deep = record<{ of: Slice }>({ of: slice });
    expect(() => usualOf(deep)).toThrow('of.wide');
    expect(() => usualOf(id())).toThrow('must be given');
    expect(() => usualOf(list(flag(), 3, 1))).toThrow();
  });
  it('tells a form what to write, how to show it and what to take', () => {
    expect(describedFigure(said, 'wide')).toEqual({
      key: 'wide',
      label: 'width',
      hint: 'at the rim',
      kind: 'thickness',
      range: { min: 1, max: 9 },
      nullable: false,
    });
    expect(() => describedFigure(said, 'name')).toThrow('name');
    expect(() => describedFigure(slice, 'wide')).toThrow('wide');
    const water = describedFigure(rowFields.tins, 'waterG');
    expect([water.label, water.nullable, water.kind]).toEqual(['water it holds', true, 'bowl']);
    expect(describedFigure(rowFields.tins, 'depthMm').label).toBe('depth');
  });
  it('puts a path into the words of the form', () => {
    expect(fieldWords('ingredients[4].massG', rowFields.recipes)).toBe('ingredient 5, weight');
    expect(fieldWords('build.tiers[0].layers[2].between.spreadId', contents)).toBe(
      'build, tier 1, layer 3, between, filling or frosting',
    );
    expect(fieldWords('pantry.sponges[1].minSliceMm', contents)).toBe(
      'pantry, sponge 2, thinnest slice',
    );
    expect(
      fieldProblem('ingredients[4].massG', 'must be at least 0.1', 'it', rowFields.recipes),
    ).toBe('Ingredient 5, weight must be at least 0.1');
    expect(partOf(rowFields.tins, 'nothing')).toBeNull();
    expect(partOf(flag(), 'anything')).toBeNull();
    // a part of one kind among several is found, whichever kind it is
    expect(partOf(cut, 'radiusMm')?.shape.kind).toBe('figure');
  });
  it('is a value that the field itself takes, in all of what is stored', () => {
    const tried: string[] = [];
    const walk = (field: Field<unknown>, path: string): void => {
      const { usual } = field.about;
      if (usual !== undefined) {
        tried.push(path);
        expect(saysOf(field, usual), path).toEqual([]);
      }
      const { shape } = field;
      if (shape.kind === 'record')
        for (const [key, of] of Object.entries(shape.fields)) walk(of, `${path}.${key}`);
      else if (shape.kind === 'by kind') Object.values(shape.of).forEach((of) => walk(of, path));
      else if (shape.kind === 'list' || shape.kind === 'null or') walk(shape.of, path);
    };
    walk(contents, '');
    expect(tried.length).toBeGreaterThan(60);
  });
});

/** One place in a document, with what stands there. */
function places(value: unknown, way: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [way];
  return [
    ...(way.length > 0 ? [way] : []),
    ...Object.entries(value).flatMap(([key, inside]) =>
      places(inside, [...way, Array.isArray(value) ? Number(key) : key]),
    ),
  ];
}
function changed(value: unknown, way: readonly (string | number)[], put: unknown): unknown {
  const copy = structuredClone(value) as Record<string, unknown>;
  let at: Record<string, unknown> = copy;
  for (const key of way.slice(0, -1)) at = at[key] as Record<string, unknown>;
  if (put === undefined) delete at[way.at(-1)!];
  else at[way.at(-1)!] = put;
  return copy;
}

/** The same with one value other: what does not hold it is the very same, as after an edit. */
function edited(
  value: unknown,
  [key, ...way]: readonly (string | number)[],
  put: unknown,
): unknown {
  if (key === undefined) return put;
  const of = value as Record<string | number, unknown>;
  if (Array.isArray(of))
    return of.map((one: unknown, i) => (i === key ? edited(one, way, put) : one));
  return { ...of, [key]: edited(of[key], way, put) };
}

describe('plain comparisons and Yup', () => {
  const even = figure({ min: -5, max: 5 }).rule('even', 'is odd', (n) => n % 2 === 0);
  const each: Record<string, Field<unknown>> = {
    figure: figure({ min: -5, max: 5 }),
    whole: wholeFigure({ min: 0, max: 3 }),
    even,
    words: words(3),
    'words that are there': words(3, 1),
    id: id(),
    time: isoTime(),
    flag: flag(),
    choice: oneOf(['a', 'b']),
    'may miss': words(3).orMissing(),
    'or null': orNull(flag()),
    list: list(orNull(flag()), 2, 1),
    place: figures<[number, number]>({ min: 0, max: 1 }, 2),
    'by name': byName(flag(), 'is no list of flags'),
    'by any name': byName(null, 'is no list'),
    record: record<{ a: number; b?: string }>({ a: even, b: words(2).orMissing() }),
    swift: swift(words(3), 'is not quick', (value) => Array.isArray(value)),
    cut,
  };
  const some = fc.oneof(
    fc.anything(),
    fc.constantFrom<unknown>(...[null, undefined, Number.NaN, Infinity, 0, 1, 2, 2.5, -5, 6, '', 'a', 'abcd', 'a\u0007', 'two words', '2027-06-12T16:00', '2027-06-12T16:00Z', '2027-19-12T16:00Z', true, [], [null], [true, false], [0, 1], [0, 2], [undefined], {}, { a: 2 }, { a: 1 }, { a: 2, b: null }, { a: 2, b: 'abc' }, { x: true }, { x: 1 }, { kind: 'plane' }, { kind: 'plane', upMm: 3 }, { kind: 'scoop', upMm: 3 }, { kind: 'toString' }, new Date(0)]), // prettier-ignore
  );
  it.each(Object.entries(each))('take and refuse the same: %s', (_, field) => {
    fc.assert(
      fc.property(some, (value) => {
        const isRight = yupOf(field).isValidSync(structuredClone(value), { strict: true });
        expect(fits(field, value)).toBe(isRight);
      }),
      { numRuns: 300, seed: 35 },
    );
  });
});

describe('the description of a build', () => {
  const schema = schemaOf(buildField);
  it('takes every build that can be, by its checks and by its schema', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const plain: unknown = JSON.parse(JSON.stringify(build));
        expect(buildSchema.isValidSync(plain, { strict: true })).toBe(true);
        expect(schema(plain)).toBe(true);
      }),
      { numRuns: 25, seed: 31 },
    );
  });
  it('takes nothing that its schema refuses, whatever single value of it is spoilt', () => {
    const spoilt = fc.constantFrom<unknown>(undefined, null, 'x', -1e9, 1e9, 0.3, true, [], {});
    let refused = 0;
    fc.assert(
      fc.property(anyBuild, fc.nat(), spoilt, (build, pick, put) => {
        const plain: unknown = JSON.parse(JSON.stringify(build));
        const ways = places(plain).filter((way) => !(put === undefined && typeof way.at(-1) === 'number')); // prettier-ignore
        const other = changed(plain, ways[pick % ways.length]!, put);
        // rules of a whole tier come on top: what the schema takes may still be refused
        if (schema(other)) return;
        refused += 1;
        expect(buildSchema.isValidSync(other, { strict: true })).toBe(false);
      }),
      { numRuns: 200, seed: 32 },
    );
    expect(refused).toBeGreaterThan(100);
  });
  it('says of an edited build, most of which was checked before, what it says of one that is new to it', () => {
    const put = fc.constantFrom<unknown>(null, 'x', -1e9, 1e9, 0.3, true, [], {});
    const said = { yes: 0, no: 0 };
    fc.assert(
      fc.property(anyBuild, fc.nat(), fc.option(put, { nil: 'same' }), (build, pick, to) => {
        expect(buildSchema.isValidSync(build, { strict: true })).toBe(true);
        const ways = places(build);
        const way = ways[pick % ways.length]!;
        const there = way.reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], build);
        const other = edited(build, way, to === 'same' ? structuredClone(there) : to);
        const isRight = buildSchema.isValidSync(structuredClone(other), { strict: true });
        expect(buildSchema.isValidSync(other, { strict: true })).toBe(isRight);
        expect(yupOf(buildField).isValidSync(structuredClone(other), { strict: true })).toBe(isRight); // prettier-ignore
        said[isRight ? 'yes' : 'no'] += 1;
      }),
      { numRuns: 150, seed: 33 },
    );
    expect(Math.min(said.yes, said.no)).toBeGreaterThan(20);
  });
  it('knows a record again only as what it was: a layer is no tier', () => {
    const small = record<{ id: string }>({ id: id() });
    const large = record<{ id: string; wide: number }>({
      ...{ id: id(), wide: figure({ min: 1, max: 9 }) },
    });
    const one = { id: 'one' };
    expect(takes(small, one)).toBe(true);
    expect(takes(large, one)).toBe(false);
    expect(takes(list(large, 3), [one])).toBe(false);
    expect(takes(list(small, 3), [one])).toBe(true);
  });
});

describe('the descriptions of the pantry', () => {
  it.each(Object.keys(rowFields) as (keyof typeof rowFields)[])('take every row of %s', (table) => {
    const field: Field<unknown> = rowFields[table];
    const schema = schemaOf(field);
    // nothing is put away in a new kitchen
    const rows: readonly unknown[] =
      table === 'stock'
        ? [{ ...emptyStock('rounds', '2027-05-03', 'butter'), name: 'Rounds' }]
        : startingPantry()[table];
    expect(rows.length).toBeGreaterThan(table === 'stock' ? 0 : 3);
    for (const row of rows) {
      expect(saysOf(field, row)).toEqual([]);
      expect(schema(JSON.parse(JSON.stringify(row)))).toBe(true);
    }
    expect(takes(field, { ...(rows[0] as object), id: 'two words' })).toBe(false);
  });
  it('take the kitchen, and none without an oven', () => {
    const kitchen = startingKitchen;
    expect(kitchenSchema.isValidSync(kitchen, { strict: true })).toBe(true);
    expect(kitchenSchema.isValidSync({ ...kitchen, shelves: 0 }, { strict: true })).toBe(false);
  });
});
