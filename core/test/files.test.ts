/* eslint-disable @typescript-eslint/no-explicit-any, @typescript-eslint/no-unsafe-member-access, @typescript-eslint/no-unsafe-call, @typescript-eslint/no-unsafe-return --
   these tests damage files on purpose, and a damaged file has no type */
import { readdirSync, readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  buildFileSchema,
  buildSchema,
  carvingKnown,
  mergeRows,
  newBuild,
  newCarving,
  newCut,
  newGap,
  newPiping,
  newLayer,
  planBuild,
  readBuildFile,
  rowSchemas,
  pantryTables,
  startingPantry,
  withRows,
  writeBuildFile,
  type FileProblem,
} from '../src/index.ts';
import { withLists } from './work-kit.ts';
import { anyBuild, pantry } from './arbitrary.ts';

const root = new URL('../../', import.meta.url);
const demos = readdirSync(new URL('demo/', root)).filter((name) => name.endsWith('.json'));
const text = (path: string): string => readFileSync(new URL(path, root), 'utf8');
const validate = new Ajv2020({ strict: true }).compile(buildFileSchema());
const problems = (file: string): FileProblem[] => {
  const read = readBuildFile(file);
  return read.ok ? [] : read.problems;
};
const good = (): Record<string, any> =>
  JSON.parse(writeBuildFile(newBuild('b', 'Test', '2027-05-03T09:30:00Z'), pantry)) as never;
const broken = (change: (file: Record<string, any>) => void): FileProblem[] => {
  const file = good();
  change(file);
  return problems(JSON.stringify(file, null, 2));
};

describe('the published schema', () => {
  it('is the one in docs', () => {
    expect(JSON.parse(text('docs/build.schema.json'))).toEqual(buildFileSchema());
  });
  it.each(demos)('passes the demo file %s, as the program does', (name) => {
    const file = text(`demo/${name}`);
    expect(validate(JSON.parse(file)), JSON.stringify(validate.errors)).toBe(true);
    expect(problems(file)).toEqual([]);
  });
  it('passes whatever the program writes', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const file = writeBuildFile(build, pantry);
        expect(problems(file)).toEqual([]);
        expect(validate(JSON.parse(file)), JSON.stringify(validate.errors)).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
  it('refuses what the program refuses', () => {
    const changes: ((f: Record<string, any>) => void)[] = [
      (f) => (f.build.tiers[0].layers[0].heightMm = -3),
      (f) => (f.build.brief.servings = 1.5),
      (f) => (f.build.brief.look = 'marbled'),
      (f) => delete f.build.boardId,
      (f) => (f.build.tiers[0].outline = { kind: 'star' }),
      (f) => (f.pantry.tins[0].depthMm = 1e6),
      (f) => (f.build.tiers = []),
    ];
    for (const change of changes) {
      const file = good();
      change(file);
      expect(validate(file)).toBe(false);
      expect(problems(JSON.stringify(file)).length).toBeGreaterThan(0);
    }
  });
});

describe('a build file', () => {
  it('comes back as it was written', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const read = readBuildFile(writeBuildFile(build, pantry));
        if (!read.ok) throw new Error(read.problems[0]!.message);
        expect(read.build).toEqual(JSON.parse(JSON.stringify(build)));
      }),
      { numRuns: 40 },
    );
  });
  it('keeps fields of a newer kind', () => {
    const file = good();
    file.build.mood = 'solemn';
    const read = readBuildFile(JSON.stringify(file));
    expect(read.ok && (read.build as unknown as Record<string, unknown>).mood).toBe('solemn');
  });
  it('of version 1 is migrated, and plans', () => {
    const read = readBuildFile(text('core/test/fixtures/version-1.json'));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const tier = read.build.tiers[0]!;
    expect(tier.layers.map((l) => l.heightMm)).toEqual([24, 24, 24]);
    expect(tier.gaps).toEqual([newGap(8, 'buttercream'), newGap(8, 'buttercream')]);
    expect(read.build.brief.servings).toBe(24);
    expect(planBuild(read.build, pantry).tally.heightMm).toBeGreaterThan(90);
  });
  it('of version 2 is migrated: nothing it said is lost, and what is new is undecided', () => {
    const old = JSON.parse(text('core/test/fixtures/version-2.json')) as Record<string, any>;
    const read = readBuildFile(JSON.stringify(old));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const { pipingG, ...kept } = old.build as Record<string, unknown>;
    expect(read.build).toMatchObject(withLists(kept));
    expect(read.build.piping).toEqual([newPiping('piping-1', pipingG as number)]);
    expect(read.rows).toMatchObject({ ...old.pantry, recipes: read.rows.recipes } as object);
    expect(read.build.tiers[0]).toMatchObject({ soak: 'none', centre: null, asBaked: [] });
    // rows that did not change are still the pantry's own
    expect(mergeRows(read.build, read.rows, pantry).added.sponges).toEqual([]);
  });
  it('of version 3 keeps its piping as a job, and its recipes find their ingredients', () => {
    const old = JSON.parse(text('core/test/fixtures/version-3.json')) as Record<string, any>;
    old.build.pipingG = 260;
    const { pipingG, ...kept } = old.build as Record<string, unknown>;
    const read = readBuildFile(JSON.stringify(old));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.build).toMatchObject(withLists(kept));
    expect(read.build.piping).toEqual([newPiping('piping-1', pipingG as number)]);
    expect(read.build.tiers[0]!.coat).toMatchObject({ bands: [], innerSpreadId: null, rimMm: 0 });
    for (const recipe of read.rows.recipes)
      for (const line of recipe.ingredients) {
        const food = read.rows.foods.find((row) => row.id === line.foodId);
        expect(food?.name).toBe(line.name);
      }
    // the same allergens as before, and none of its rows a stranger to the pantry
    const was = new Set(
      (old.pantry.recipes as { ingredients: { allergens: string[] }[] }[]).flatMap((recipe) =>
        recipe.ingredients.flatMap((line) => line.allergens),
      ),
    );
    const now = planBuild(read.build, { ...pantry, ...read.rows }).allergens;
    expect(now).toEqual(expect.arrayContaining([...was]));
    const { added } = mergeRows(read.build, read.rows, pantry);
    expect(Object.values(added).flat()).toEqual([]);
  });
  it('of version 4 gets a finish that is undecided, and its chocolates know their cocoa', () => {
    const old = JSON.parse(text('core/test/fixtures/version-4.json')) as Record<string, any>;
    const read = readBuildFile(JSON.stringify(old));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.build).toMatchObject(withLists(old.build as object));
    for (const tier of read.build.tiers)
      expect(tier).toMatchObject({ drip: null, pour: null, toppings: [], torched: false });
    for (const job of read.build.piping) expect(job.piped).toBeNull();
    const { added } = mergeRows(read.build, read.rows, pantry);
    expect(Object.values(added).flat()).toEqual([]);
    // nothing it weighs has changed
    const plan = planBuild(read.build, pantry);
    expect(plan.piping.map((job) => job.massG)).toEqual(read.build.piping.map((job) => job.massG));
  });
});

describe('a carving in a file', () => {
  const cut = (kind: 'plane' | 'profile') =>
    newCut(kind, 'cut-1', { radiusMm: 90, widthMm: 180, heightMm: 110 });
  const carved = (change: (tier: Record<string, any>) => void) => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    build.tiers[0]!.carving = {
      ...newCarving(),
      cuts: [cut('plane'), { ...cut('profile'), id: 'two' }],
    };
    const file = JSON.parse(writeBuildFile(build, pantry)) as Record<string, any>;
    change(file.build.tiers[0] as Record<string, any>);
    return problems(JSON.stringify(file, null, 2)).map((problem) => problem.message);
  };
  it('names the cut and the field that is wrong', () => {
    expect(carved(() => {})).toEqual([]);
    expect(carved((tier) => (tier.carving.cuts[0].slopeDeg = 'steep'))[0]).toMatch(
      /carving, cut 1, slope must be a number/,
    );
    expect(carved((tier) => (tier.carving.cuts[1].kind = 'chainsaw'))[0]).toMatch(
      /cut 2, kind must be one of/,
    );
    expect(carved((tier) => (tier.carving.cuts[1].points = [[1, 2]]))[0]).toContain(
      'at least 2 points',
    );
    expect(carved((tier) => (tier.carving.cuts[1].id = 'cut-1'))[0]).toContain(
      'two cuts of one id',
    );
  });
  it('refuses a solid whose triangles point nowhere', () => {
    const target = {
      kind: 'target',
      id: 't',
      name: 'Shape',
      on: true,
      fileName: 'x.stl',
      points: [0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0, 1],
      triangles: [0, 1, 2, 0, 1, 3, 0, 2, 3, 1, 2, 9],
      heightMm: 50,
      upMm: 0,
      turnDeg: 0,
    };
    expect(carved((tier) => tier.carving.cuts.push(target))[0]).toContain('is no solid');
  });
  it('of version 5 is left uncarved, and nothing else of it has changed', () => {
    const old = JSON.parse(text('core/test/fixtures/version-5.json')) as Record<string, any>;
    const read = readBuildFile(JSON.stringify(old));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.build).toMatchObject(withLists(old.build as object));
    for (const tier of read.build.tiers) expect(tier.carving).toBeNull();
  });
  it('of version 6 stands as it was stacked, and says what it lacks', () => {
    const old = JSON.parse(text('core/test/fixtures/version-6.json')) as Record<string, any>;
    const read = readBuildFile(JSON.stringify(old));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.build).toMatchObject(withLists(old.build as object));
    for (const { stand } of read.build.tiers)
      expect(stand).toEqual({ card: null, offsetMm: [0, 0], postMm: 0, dowels: null, decks: [] });
    expect(read.build.rod).toBeNull();
    expect(read.rows.dowels).toEqual([]);
  });
});

describe('a bad file', () => {
  const whole = writeBuildFile(newBuild('b', 'Test', '2027-05-03T09:30:00Z'), pantry);
  it('that is cut short says so, with the line', () => {
    for (const length of [1, 40, 700, whole.length - 3]) {
      const [problem] = problems(whole.slice(0, length));
      expect(problem!.message).toContain('ends too early');
      expect(problem!.line).toBe(whole.slice(0, length).split('\n').length);
    }
    expect(problems('')[0]!.message).toContain('empty');
  });
  it('that is not JSON names the line', () => {
    const lines = whole.split('\n');
    lines[3] = '    "id" = "b",';
    expect(problems(lines.join('\n'))[0]).toMatchObject({ line: 4 });
    expect(problems('tiers,layers\n1,2')[0]!.message).toContain('not JSON');
  });
  it('of another format or a newer version is named', () => {
    expect(broken((f) => (f.format = 'something'))[0]!.message).toContain('“pyrgotect-build”');
    expect(broken((f) => (f.version = 99))[0]!.message).toContain('newer Pyrgotect (version 99');
    expect(broken((f) => (f.version = 'two'))[0]!.path).toBe('version');
    expect(broken((f) => (f.version = 0)).length).toBe(1);
    expect(problems('[]')[0]!.message).toContain('no object');
  });
  it('names field, line and value of each wrong value', () => {
    const found = broken((f) => {
      f.build.tiers[0].layers[2].heightMm = -4;
      f.build.brief.servings = 'many';
    });
    expect(found.map((p) => p.path)).toEqual([
      'build.brief.servings',
      'build.tiers[0].layers[2].heightMm',
    ]);
    expect(found[1]).toMatchObject({ value: '-4' });
    const file = good();
    file.build.tiers[0].layers[2].heightMm = -4;
    const lines = JSON.stringify(file, null, 2).split('\n');
    const line = problems(lines.join('\n'))[0]!.line!;
    expect(lines[line - 1]).toContain('"heightMm": -4');
  });
  it('with a filling thicker than the cake, or a gap too many, is refused', () => {
    expect(
      broken((f) => {
        f.build.tiers[0].layers = [newLayer(4), newLayer(4)];
        f.build.tiers[0].gaps = [newGap(20, 'curd')];
      })[0]!.message,
    ).toContain('thicker than the whole cake');
    expect(
      broken((f) => f.build.tiers[0].gaps.push(f.build.tiers[0].gaps[0]))[0]!.message,
    ).toContain('one gap fewer');
  });
  it('with hostile keys or names is refused, and touches no prototype', () => {
    const file = JSON.stringify(good()).replace(
      '"build":{',
      '"build":{"__proto__":{"polluted":1},',
    );
    expect(problems(file)[0]!.path).toBe('build.__proto__');
    expect(({} as Record<string, unknown>).polluted).toBeUndefined();
    expect(broken((f) => (f.build.constructor = { a: 1 }))[0]!.message).toContain('constructor');
    expect(broken((f) => (f.build.name = 'a\u0000b'))[0]!.message).toContain('control characters');
    expect(broken((f) => (f.build.name = 'x'.repeat(500)))[0]!.message).toContain('longer than 80');
    expect(broken((f) => (f.build.id = '../../etc'))[0]!.path).toBe('build.id');
    let deep: unknown = 1;
    for (let i = 0; i < 200; i++) deep = { deep };
    expect(broken((f) => (f.build.deep = deep)).length).toBe(1);
  });
  it('of 50 MB is refused at once', () => {
    const started = performance.now();
    expect(problems('x'.repeat(50_000_000))[0]!.message).toContain('50.0 MB');
    expect(performance.now() - started).toBeLessThan(500);
  });
  it('never makes the reader throw', () => {
    fc.assert(
      fc.property(fc.string(), fc.nat(whole.length), (noise, at) => {
        const read = readBuildFile(whole.slice(0, at) + noise + whole.slice(at + noise.length));
        expect(typeof read.ok).toBe('boolean');
      }),
      { numRuns: 400 },
    );
    fc.assert(
      fc.property(fc.json(), (json) => {
        expect(readBuildFile(json).ok).toBe(false);
      }),
    );
  });
});

describe('a file with any field taken out or replaced', () => {
  const paths: string[][] = [];
  const walk = (value: unknown, path: string[]): void => {
    if (typeof value !== 'object' || value === null) return;
    for (const [key, inner] of Object.entries(value)) {
      paths.push([...path, key]);
      walk(inner, [...path, key]);
    }
  };
  walk(good(), []);
  it('gives problems, never an exception', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...paths),
        fc.constantFrom(undefined, null, 7, 'x', [], {}, [null], { kind: 'toString' }),
        (path, value) => {
          const file = good();
          let at: Record<string, any> = file;
          for (const key of path.slice(0, -1)) at = at[key] as Record<string, any>;
          if (value === undefined) delete at[path.at(-1)!];
          else at[path.at(-1)!] = value;
          const read = readBuildFile(JSON.stringify(file));
          if (read.ok) planBuild(read.build, pantry);
          else expect(read.problems[0]!.message.length).toBeGreaterThan(10);
        },
      ),
      { numRuns: 600 },
    );
  });
});

describe('rows that travel with a file', () => {
  it('change nothing when the pantry has the same', () => {
    const read = readBuildFile(writeBuildFile(newBuild('b', 'T', '2027-05-03T09:30:00Z'), pantry));
    if (!read.ok) throw new Error('unread');
    const { build, added } = mergeRows(read.build, read.rows, pantry);
    expect(build).toEqual(read.build);
    expect(Object.values(added).flat()).toEqual([]);
  });
  it('that differ come in beside the pantry’s own, and the build follows them', () => {
    const other = startingPantry();
    other.sponges.find((s) => s.id === 'butter')!.rise = 1.5;
    other.recipes.find((r) => r.id === 'recipe-butter')!.yieldG -= 10;
    const source = newBuild('b', 'T', '2027-05-03T09:30:00Z');
    const read = readBuildFile(writeBuildFile(source, other));
    if (!read.ok) throw new Error('unread');
    const { build, added } = mergeRows(read.build, read.rows, pantry);
    expect(added.sponges.map((s) => s.name)).toEqual(['Creamed butter sponge (from file)']);
    expect(build.tiers[0]!.spongeId).toBe(added.sponges[0]!.id);
    expect(added.sponges[0]!.recipeId).toBe(added.recipes[0]!.id);
    const joined = startingPantry();
    for (const table of pantryTables) (joined[table] as unknown[]).push(...added[table]);
    const planned = (plan: ReturnType<typeof planBuild>) =>
      plan.tiers[0]!.bake.ok && plan.tiers[0]!.bake.value.batterG;
    expect(planned(planBuild(build, joined))).toBeCloseTo(
      planned(planBuild(source, other)) as number,
      9,
    );
    // a second time nothing new comes in
    const again = mergeRows(read.build, read.rows, joined);
    expect(again.added.sponges).toEqual([]);
    expect(again.build.tiers[0]!.spongeId).toBe(added.sponges[0]!.id);
  });
});

describe('starting rows', () => {
  it('pass the same schemas as the user’s own', () => {
    for (const table of pantryTables)
      for (const row of pantry[table])
        expect(rowSchemas[table].isValidSync(row, { strict: true }), row.id).toBe(true);
  });
  it('have a range around each value that has one', () => {
    for (const table of pantryTables)
      for (const row of pantry[table])
        for (const [field, [low, high]] of Object.entries(row.ranges)) {
          const value = (row as unknown as Record<string, number>)[field]!;
          expect(low, `${row.id}.${field}`).toBeLessThanOrEqual(value);
          expect(high, `${row.id}.${field}`).toBeGreaterThanOrEqual(value);
        }
  });
  it('refuse a recipe that yields more than it weighs', () => {
    const recipe = { ...pantry.recipes[0]!, yieldG: 40000 };
    expect(() => rowSchemas.recipes.validateSync(recipe, { strict: true })).toThrow('yields more');
  });
  it('make a new build that the schema passes', () => {
    expect(
      buildSchema.isValidSync(newBuild('b', 'T', '2027-05-03T09:30:00Z'), { strict: true }),
    ).toBe(true);
  });
});

describe('answers of the solids', () => {
  const file = text('demo/harbour-light.json');
  const opened = (source: string) => {
    const read = readBuildFile(source);
    if (!read.ok) throw new Error(read.problems[0]!.message);
    return read;
  };
  it('travel in the file: a carved cake is planned as carved before any solid is worked out', () => {
    const read = opened(file);
    const { build, added } = mergeRows(read.build, read.rows, startingPantry());
    const pantry = withRows(startingPantry(), added);
    const planned = planBuild(build, pantry, (key) =>
      read.carvings.find((each) => each.key === key),
    );
    expect(carvingKnown(planned.tiers)).toBe('measured');
    expect(carvingKnown(planBuild(build, pantry).tiers)).toBe('stack only');
    expect(planned.tally.massG).toBeLessThan(planBuild(build, pantry).tally.massG!);
    const carved = planned.tiers.find((tier) => tier.carve)!;
    // the stack it was cut from is still known
    expect(carved.stack.uncutMm).toBeCloseTo(
      planBuild(build, pantry).tiers.find((tier) => tier.carve)!.stack.finishedMm,
      9,
    );
    expect(carved.stack.finishedMm).not.toBeCloseTo(carved.stack.uncutMm, 0);
  });
  it('are written as they were read', () => {
    const read = opened(file);
    const pantry = withRows(
      startingPantry(),
      mergeRows(read.build, read.rows, startingPantry()).added,
    );
    expect(opened(writeBuildFile(read.build, pantry, read.carvings)).carvings).toEqual(
      read.carvings,
    );
    expect(opened(writeBuildFile(read.build, pantry)).carvings).toEqual([]);
  });
  it.each([
    ['topMm', 'high'],
    ['plan', [[[0, 0, 0]]]],
    ['byPart', { 'layer/0': null }],
    ['panels', [{ name: 'inside', areaMm2: 1, wideMm: 1, highMm: 1, seamMm: 1 }]],
  ])('with a wrong %s are refused, by field', (field, value) => {
    const wrong = JSON.parse(file) as { carvings: Record<string, unknown>[] };
    wrong.carvings[0]![field] = value;
    const read = readBuildFile(JSON.stringify(wrong));
    expect(read.ok).toBe(false);
    expect(!read.ok && read.problems[0]!.path).toContain(`carvings[0].${field}`);
  });
});
