import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  buildFrom2,
  buildFrom3,
  buildFrom4,
  buildFrom5,
  buildFrom6,
  buildFrom7,
  buildFrom8,
  buildFrom9,
  buildFrom10,
  buildFrom11,
  buildFrom12,
  buildFrom13,
  buildFrom14,
  buildFrom15,
  buildFrom16,
  buildFrom17,
  buildFrom18,
  buildVersion,
  migrate,
  readBuildFile,
  rowFrom2,
  rowFrom3,
  rowFrom4,
  rowFrom7,
  rowFrom9,
  rowFrom10,
  rowFrom11,
  startingPantry,
} from '../src/index.ts';
import { withLists } from './work-kit.ts';

/* What each version added: with it nothing that was said is changed, and what is new is undecided. */

type Loose = Record<string, unknown>;
const steps: [number, (build: unknown) => Loose][] = [
  [3, buildFrom2],
  [4, buildFrom3],
  [5, buildFrom4],
  [6, buildFrom5],
  [7, buildFrom6],
  [8, buildFrom7],
  [9, buildFrom8],
  [10, buildFrom9],
  [11, buildFrom10],
  [12, buildFrom11],
  [13, buildFrom12],
  [14, buildFrom13],
  [15, buildFrom14],
  [16, buildFrom15],
  [17, buildFrom16],
  [18, buildFrom17],
  [19, buildFrom18],
];
const fixture = (version: number): { build: Loose; pantry: Loose; version: number } =>
  JSON.parse(
    readFileSync(new URL(`fixtures/version-${version}.json`, import.meta.url), 'utf8'),
  ) as never;
const kept = Array.from({ length: buildVersion - 1 }, (_, i) => i + 1);

/** Everything of the first that the second has otherwise, as paths. */
function lost(before: unknown, after: unknown, path = ''): string[] {
  if (Array.isArray(before))
    return before.flatMap((each, i) => lost(each, (after as unknown[] | undefined)?.[i], `${path}[${i}]`)); // prettier-ignore
  if (typeof before === 'object' && before !== null)
    return Object.entries(before).flatMap(([key, value]) =>
      lost(value, (after as Loose | null | undefined)?.[key], `${path}.${key}`),
    );
  return Object.is(before, after) ? [] : [path];
}

describe('washing up', () => {
  it('was done with the boxing that had it in it, and is not done without', () => {
    const at = '2027-06-19T12:00:00Z';
    const doneOf = (...keys: string[]): unknown[] =>
      (buildFrom14({ tiers: [], bench: { done: keys.map((stepKey) => ({ stepKey, at })) } }).bench as { done: unknown[] }).done; // prettier-ignore
    expect(doneOf('coat', 'box')).toEqual(['coat', 'box', 'wash-up'].map((stepKey) => ({ stepKey, at }))); // prettier-ignore
    expect(doneOf('coat')).toHaveLength(1);
    expect(doneOf('box', 'wash-up')).toHaveLength(2);
  });
});

describe('a step from one version to the next', () => {
  it.each(steps)('to %i bears whatever it is given, and adds nothing twice', (_to, step) => {
    for (const nothing of [null, undefined, 7, 'x', [], {}])
      expect(() => step(nothing)).not.toThrow();
    const once = step({
      tiers: [{ layers: [{}, {}], gaps: [{}], coat: {} }],
      bench: { notes: [{}] },
    });
    expect(step(once)).toEqual(once);
  });
  it('keeps what was said already, though it says it otherwise', () => {
    const said = {
      brief: { diets: ['vegan'], kitchenC: 25 },
      batchBy: 'bowls',
      tiers: [{ coat: { tint: 'rose', rimMm: 4 }, fondant: { mm: 4 } }],
    };
    expect(buildFrom3(said)).toMatchObject(said);
    expect(buildFrom4({ tiers: [{ torched: true }] })).toMatchObject({ tiers: [{ torched: true, drip: null }] }); // prettier-ignore
    expect(buildFrom6({ journey: { minutes: 90 } })).toMatchObject({ journey: { minutes: 90 } });
    expect(buildFrom11({ fromStock: [{ spreadId: 'a', stockId: 'b' }] })).toMatchObject({ fromStock: [{ spreadId: 'a' }] }); // prettier-ignore
  });
});

describe('what became something else', () => {
  it('frosting kept for piping is a job, and none where none was kept', () => {
    expect(buildFrom3({ pipingG: 120 }).piping).toMatchObject([{ id: 'piping-1', massG: 120, pieces: 0 }]); // prettier-ignore
    expect(buildFrom3({ pipingG: 0 }).piping).toEqual([]);
    expect(buildFrom3({ pipingG: 120 })).not.toHaveProperty('pipingG');
  });
  it('a core that was filled waits no more for the step that fills it now', () => {
    const done = [
      { stepKey: 'tier-1/core', at: 'a' },
      { stepKey: 'tier-1/settle', at: 'b' },
    ];
    const keys = (build: Loose): unknown[] =>
      (build.bench as { done: { stepKey: string }[] }).done.map(({ stepKey }) => stepKey);
    expect(keys(buildFrom9({ bench: { done }, tiers: [{ id: 'tier-1' }] }))).toContain('tier-1/centre-fill'); // prettier-ignore
    expect(keys(buildFrom9({ bench: { done: done.slice(0, 1) }, tiers: [{ id: 'tier-1' }] }))).toEqual(['tier-1/core']); // prettier-ignore
  });
  it('a bowl that was made has cooled since, by the waits of its recipe', () => {
    const done = [{ stepKey: 'bowl/caramel/make', at: 'a' }];
    const { bench } = buildFrom9({ bench: { done } }) as { bench: { done: { stepKey: string }[] } };
    expect(bench.done.map(({ stepKey }) => stepKey)).toEqual([
      'bowl/caramel/make',
      'bowl/caramel/hold/3',
      'bowl/caramel/then/3',
    ]);
  });
  it('steps that named a layer by its number name the layer', () => {
    const build = {
      tiers: [{ id: 'tier-1', slicesPerCake: 2, layers: [{}, {}, { otherId: 'crisp' }, {}] }],
      bench: {
        stepKey: 'tier-1/fill/1',
        done: [{ stepKey: 'tier-1/cut/1', at: 'a' }],
        checks: ['tier-1/fill/0|level'],
        notes: [{ stepKey: 'tier-1/other/2' }],
        timers: [{ stepKey: 'tier-2/fill/0' }],
      },
      day: {
        minutes: [{ taskId: 'tier-1/fill/2~2' }],
        own: [{ after: 'tier-1/fill/0', before: null }],
      },
    };
    const now = buildFrom10(build) as { bench: Loose; day: Loose; tiers: Loose[] };
    expect(now.bench).toMatchObject({
      stepKey: 'tier-1/fill/layer-2+layer-3',
      // the second cake begins with the fourth layer: the third is no sponge
      done: [{ stepKey: 'tier-1/cut/layer-4' }],
      checks: ['tier-1/fill/layer-1+layer-2|level'],
      notes: [{ stepKey: 'tier-1/other/layer-3' }],
      // of a tier that is not there nothing is known
      timers: [{ stepKey: 'tier-2/fill/0' }],
    });
    expect(now.day).toMatchObject({
      minutes: [{ taskId: 'tier-1/fill/layer-3+layer-4~2' }],
      own: [{ after: 'tier-1/fill/layer-1+layer-2', before: null }],
    });
    expect((now.tiers[0]!.layers as Loose[]).map(({ id }) => id)).toEqual(['layer-1', 'layer-2', 'layer-3', 'layer-4']); // prettier-ignore
  });
  it('boards half-way up go by the layer they lie over', () => {
    const build = {
      tiers: [
        {
          id: 't',
          layers: [{ id: 'a' }, { id: 'b' }, { id: 'c' }],
          stand: { decks: [{ afterLayer: 1 }] },
        },
      ],
      bench: {
        done: [{ stepKey: 'in/t/deck/0' }],
        checks: ['out/t/deck/0/dowels|counted', 't/deck/9'],
      },
    };
    expect(buildFrom11(build).bench).toMatchObject({
      done: [{ stepKey: 'in/t/deck/b' }],
      checks: ['out/t/deck/b/dowels|counted', 't/deck/9'],
    });
  });
});

describe('rows of a pantry', () => {
  const pantry = startingPantry();
  it('of the house get what the house says, of the user’s own what is careful', () => {
    const [sponge] = pantry.sponges;
    expect(rowFrom2('sponges', { id: sponge!.id })).toMatchObject({ waitMin: sponge!.waitMin });
    expect(rowFrom2('sponges', { id: 'own' })).toMatchObject({ waitMin: 30, soakMlPerMl: 0.1 });
    expect(rowFrom2('sponges', { id: 'own', waitMin: 9 })).toMatchObject({ waitMin: 9 });
    expect(rowFrom2('tins', { id: 'own' })).toMatchObject({ form: 'upright', waterG: null });
    expect(rowFrom10('sponges', { id: 'own' })).toMatchObject({ bareSides: false });
    expect(rowFrom10('foods', { id: 'own' })).toMatchObject({ prep: null });
  });
  it('a recipe finds its ingredients by their names, and says no allergen twice', () => {
    const butter = pantry.foods.find(({ id }) => id === 'butter')!;
    const { ingredients } = rowFrom3('recipes', {
      ingredients: [
        { name: butter.name, massG: 100, allergens: [...butter.allergens] },
        { name: 'stardust', massG: 1, allergens: ['nuts'] },
      ],
    }) as { ingredients: Loose[] };
    expect(ingredients[0]).toMatchObject({ foodId: 'butter', allergens: [] });
    expect(ingredients[1]).toMatchObject({ foodId: null, allergens: ['nuts'] });
  });
  it('prices, pans and cocoa come with the row that has them', () => {
    const board = pantry.boards.find(({ price }) => price !== null)!;
    expect(rowFrom3('boards', { id: board.id })).toMatchObject({ price: board.price });
    expect(rowFrom3('boards', { id: 'own' })).toMatchObject({ price: null });
    expect(rowFrom3('spreads', { id: 'own' })).toMatchObject({ panShare: null });
    const dark = pantry.foods.find(({ cocoa }) => cocoa !== null)!;
    expect(rowFrom4('foods', { id: dark.id })).toMatchObject({ cocoa: dark.cocoa });
    expect(rowFrom4('tins', { id: 'own' })).toEqual({ id: 'own' });
  });
  it('what can hurt is known of the house’s recipes, and of others nobody has said', () => {
    const caramel = pantry.recipes.find(({ id }) => id === 'recipe-caramel')!;
    expect(rowFrom7('recipes', { id: caramel.id, source: 'estimate' })).toMatchObject({
      hazards: caramel.hazards,
      hottestC: caramel.hottestC,
    });
    expect(rowFrom7('recipes', { id: 'own', source: 'own', caution: 'mine' })).toMatchObject({
      hazards: [],
      hottestC: null,
      caution: 'mine',
    });
    expect(rowFrom7('foods', {})).toMatchObject({ declared: true });
    expect(rowFrom9('recipes', { id: 'x', source: 'own', steps: ['Stir.'] })).toMatchObject({ holds: null, steps: ['Stir.'] }); // prettier-ignore
  });
  it('what is baked dries on where the house says so', () => {
    expect(rowFrom11('others', { id: 'meringue-disc', bake: { ovenC: 100 } })).toMatchObject({ bake: { dryMin: 120, ovenC: 100 } }); // prettier-ignore
    expect(rowFrom11('others', { id: 'meringue-disc', source: 'own', bake: {} })).toMatchObject({ bake: { dryMin: 0 } }); // prettier-ignore
    expect(rowFrom11('others', { id: 'crepe', bake: null })).toEqual({ id: 'crepe', bake: null });
  });
});

describe('a whole file of an older version', () => {
  it.each(kept.filter((version) => version > 1))('of %i loses nothing of its tiers', (version) => {
    const old = fixture(version);
    const { tiers } = migrate(old).build as { tiers: unknown };
    // a hidden centre of 3 and pieces of 7 only gain what they lacked
    const away = lost(withLists(old.build).tiers, tiers);
    // the colour of what is modelled became that of every topping
    const isMoved = (path: string): boolean => path.endsWith('.modelled.tint');
    expect(away.filter((path) => !isMoved(path))).toEqual([]);
    expect(version === 15 || away.length === 0).toBe(true);
  });
  it.each(kept)('of %i is of today when it has been read, and reads the same again', (version) => {
    const once = migrate(fixture(version));
    expect(once.version).toBe(buildVersion);
    expect(migrate(once)).toBe(once);
    const read = readBuildFile(JSON.stringify(fixture(version)));
    expect(read.ok ? [] : read.problems).toEqual([]);
  });
  it('of a version that nobody knows is left as it is', () => {
    const odd = { version: 'seven', build: {} };
    expect(migrate(odd)).toBe(odd);
    expect(migrate({ version: 99 })).toEqual({ version: 99 });
  });
});
