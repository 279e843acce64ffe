import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bakeAsWritten,
  bakedDepthMm,
  inchesAndOunces,
  metric,
  readMethod,
  readPasted,
  rowSchemas,
  rowsOfPasted,
  sentencesOf,
  spongesLike,
  startingPantry,
  writtenFor,
  type Becomes,
  type ReadMethod,
} from '../src/index.ts';

const pantry = startingPantry();
const of = (text: string, system = metric): ReadMethod =>
  readMethod(text.split('\n'), [], pantry.foods, system);

describe('a pasted method', () => {
  it.each<[string, number | null, [number, number], ReadMethod['tins']]>([
    [
      'Heat the oven to 180 C. Divide between two 20 cm round tins and bake for 25 minutes.',
      180,
      [25, 25],
      { count: 2, acrossMm: 200, form: 'round' },
    ],
    ['Preheat the oven to 350°F (180°C, 160°C fan).\nBake 25–30 mins.', 180, [25, 30], null],
    ['Oven at fan 160C.\nBake until firm, 40 to 45 minutes.', 180, [40, 45], null],
    [
      'Bake at gas mark 4 for 1 hour 15 minutes in a deep 23cm/9in tin.',
      180,
      [75, 75],
      { count: 1, acrossMm: 230, form: 'round' },
    ],
    [
      'Bake in an 8-inch square pan at 325°F for 1 1/2 hours.',
      165,
      [90, 90],
      { count: 1, acrossMm: 203, form: 'square' },
    ],
    ['Bake 10 minutes at 200C, then lower the oven to 160C and bake a further 30 minutes.', 200, [40, 40], null], // prettier-ignore
    ['Sift the baking powder over it. Bake for half an hour.', null, [30, 30], null],
  ])('tells oven, minutes and tins: %s', (text, ovenC, [fromMin, toMin], tins) => {
    const method = of(text);
    expect(method.bake).toEqual({ ovenC, fromMin, toMin });
    expect(method.tins).toEqual(tins);
    // a cake cools by its own size, not by what a recipe says
    expect(method.holds).toEqual([]);
  });

  it.each<[string, Partial<ReadMethod['holds'][number]>[]]>([
    ['Leave to cool to 30 degrees C.', [{ toC: 30, where: 'bowl', leastMin: 0 }]],
    ['Boil for 5 minutes. Cool completely.', [{ fromC: 100, toC: 24, where: 'bowl' }]],
    ['Simmer it. Spread on a tray to cool.', [{ fromC: 100, toC: 24, where: 'tray' }]],
    ['Cook to 82 C. Cool over an ice bath to 20 C.', [{ fromC: 82, toC: 20, where: 'cold water' }]],
    ['Boil, then chill in the fridge.', [{ fromC: 100, toC: 8, where: 'fridge' }]],
    ['Chill for at least 4 hours, or overnight.', [{ toC: null, leastMin: 240, where: 'fridge' }]],
    ['Rest the batter for half an hour.', [{ fromC: null, leastMin: 30, where: 'bowl' }]],
    ['Keeps in the fridge for up to 3 days.', [{ leastMin: 0, mostMin: 3 * 24 * 60 }]],
    // hands are on it, or it is part of the work
    ['Boil to 118 C. Whisk until cool, about 10 minutes.', []],
    ['Leave for 2 minutes, then stir until smooth.', []],
    ['Beat for 5 minutes. Simmer for 20 minutes.', []],
  ])('tells what waits, where and how far it cools: %s', (text, holds) => {
    const read = of(text).holds;
    expect(read).toHaveLength(holds.length);
    read.forEach((hold, i) => expect(hold).toMatchObject(holds[i]!));
  });

  it.each<[string, number | null, string[]]>([
    ['Boil the sugar to 118 °C.', 118, ['steam', 'hot sugar']],
    ['Boil the sugar to 245 F.', 118, ['steam', 'hot sugar']],
    ['Melt the sugar to a dark caramel.', 175, ['hot sugar']],
    ['Heat the cream until it simmers.', 100, ['steam', 'hot fat or cream']],
    ['Whip it in a stand mixer.', 21, ['running machine']],
    ['Brown the top with a blowtorch.', 21, ['torch']],
    ['Stir everything together.', 21, []],
    // it is heated, and nobody says how far: it counts as hot
    ['Cook until thick.', null, []],
  ])('tells how hot it gets and what can hurt: %s', (text, hottestC, hazards) => {
    const method = of(text);
    expect(method.hottestC).toBe(hottestC);
    expect([...method.hazards].sort()).toEqual([...hazards].sort());
  });

  it('with egg and flour that nothing makes safe says so', () => {
    const lines = [{ foodId: 'eggs' }, { foodId: 'plain-flour' }];
    const hazardsOf = (text: string): string[] =>
      readMethod([text], lines, pantry.foods, metric).hazards;
    expect(pantry.foods.filter(({ id }) => lines.some((one) => one.foodId === id))).toHaveLength(2);
    expect(hazardsOf('Stir together.')).toEqual(['raw egg', 'raw flour']);
    expect(hazardsOf('Heat to 65 C.')).toEqual(['lightly cooked egg', 'raw flour']);
    expect(hazardsOf('Heat to 82 C.')).toEqual([]);
  });

  it('keeps every word, in sentences that end where they end', () => {
    const text = '2. Bake approx. 30 mins. in the oven. Turn out! “Done” is when it springs back.';
    expect(sentencesOf(text)).toEqual([
      'Bake approx. 30 mins. in the oven.',
      'Turn out!',
      '“Done” is when it springs back.',
    ]);
    expect(of('Do what your aunt did.\nAnd sing.').steps).toEqual([
      'Do what your aunt did.',
      'And sing.',
    ]);
  });

  it('takes a bare 350° as the reader’s own, and never for more than an oven can', () => {
    expect(of('Oven at 175°. Bake 30 minutes.').bake!.ovenC).toBe(175);
    expect(of('Oven at 350°. Bake 30 minutes.', inchesAndOunces).bake!.ovenC).toBe(175);
    expect(of('Oven at 350°. Bake 30 minutes.').bake!.ovenC).toBe(175);
  });
});

describe('a pasted batter', () => {
  it('is most like the sponge that is made of the same', () => {
    for (const sponge of pantry.sponges) {
      const recipe = pantry.recipes.find(({ id }) => id === sponge.recipeId)!;
      expect(spongesLike(recipe.ingredients, pantry)[0]!.id).toBe(sponge.id);
    }
    expect(spongesLike([{ foodId: null, massG: 100 }], pantry)).toEqual([]);
  });

  it('is as deep as its volume over its tins', () => {
    // 800 g at 0.8 g/mL is a litre, twice that baked, over two tins of 20 cm
    expect(bakedDepthMm(800, { batterDensityGPerMl: 0.8, rise: 2 }, 200, 2)).toBeCloseTo(
      2e6 / (2 * Math.PI * 100 ** 2),
      9,
    );
  });

  it('keeps the rule it was written for, by the middle of its minutes; none until they are known', () => {
    const like = pantry.sponges.find(({ id }) => id === 'butter')!;
    const written = writtenFor(of('Oven at 180 C. Bake two 20 cm tins for 25 to 30 minutes.'));
    expect(written).toEqual({ ovenC: 180, minutes: 28, tinMm: 200, tins: 2 });
    const { depthMm, isDeep, bake } = bakeAsWritten(written, 880, like);
    expect(depthMm).toBeCloseTo(bakedDepthMm(880, like, 200, 2), 9);
    expect(isDeep).toBe(false);
    expect(bake).toEqual({ ovenC: 180, minutes: 28, tinMm: 200, depthMm: Math.round(depthMm) });
    expect(bakeAsWritten({ ...written, minutes: null }, 880, like).bake).toBeNull();
    expect(bakeAsWritten({ ...written, tins: 1 }, 2000, like).isDeep).toBe(true);
    expect(writtenFor(of('Bake until done.'))).toMatchObject({
      ovenC: null,
      minutes: null,
      tins: 1,
    });
  });

  const pasted = (becomes: Becomes) => {
    const lines = readPasted(
      '225 g butter\n225 g sugar\n4 eggs\n225 g plain flour\n2 tsp baking powder\nBeat all with an electric mixer. Rest for 10 minutes.',
      pantry.foods,
      'spooned',
      metric,
    );
    const method = readMethod(
      lines.filter(({ massG }) => massG === null).map(({ text }) => text),
      lines,
      pantry.foods,
      metric,
    );
    let n = 0;
    return rowsOfPasted(
      {
        name: 'Moonrise cake',
        yieldG: 880,
        ingredients: lines.flatMap(({ name, massG, foodId }) =>
          massG === null ? [] : [{ name, massG, foodId, recipeId: null, allergens: [] }],
        ),
        method,
        bake: { ovenC: 180, minutes: 28, tinMm: 200, depthMm: 28 },
        becomes,
      },
      pantry,
      () => `own-${++n}`,
    );
  };

  it('becomes a recipe and a sponge that the pantry takes, like the one it is said to be', () => {
    const { recipe, sponge, spread } = pasted({ kind: 'sponge', likeId: 'butter' });
    expect(spread).toBeNull();
    const like = pantry.sponges.find(({ id }) => id === 'butter')!;
    expect(sponge).toMatchObject({ name: 'Moonrise cake', source: 'own', rise: like.rise });
    expect(sponge!.recipeId).toBe(recipe.id);
    expect(sponge!.id).not.toBe(recipe.id);
    expect(recipe.hazards).toEqual(['running machine', 'raw egg', 'raw flour']);
    expect(recipe.holds).toMatchObject([{ after: 2, leastMin: 10 }]);
    expect(rowSchemas.recipes.isValidSync(recipe, { strict: true })).toBe(true);
    expect(rowSchemas.sponges.isValidSync(sponge, { strict: true })).toBe(true);
  });

  it('gives rows that the pantry takes, whatever is pasted', () => {
    const words = fc.constantFrom(
      ...[
        'Boil',
        'cool',
        'to',
        'chill',
        'for',
        'bake',
        'oven',
        'at',
        '999',
        '350°',
        '118 C',
        '-5 C',
      ],
      ...[
        'up to',
        '3 days',
        '90 hours',
        'half an hour',
        'overnight',
        'or',
        'caramel',
        'fan',
        '1/0',
      ],
      ...[
        'two 20 cm tins',
        'a 99-inch pan',
        'gas mark 9',
        '20 to 10 minutes',
        '…',
        '2.',
        '½',
        'tray',
      ],
    );
    const sentence = fc.array(words, { minLength: 1, maxLength: 8 }).map((all) => all.join(' '));
    const text = fc.array(fc.oneof(sentence, fc.string({ maxLength: 40 })), { maxLength: 6 });
    fc.assert(
      fc.property(text, (lines) => {
        const method = readMethod(lines, [{ foodId: 'eggs' }], pantry.foods, metric);
        expect(method.said).toHaveLength(method.steps.length);
        const { recipe } = rowsOfPasted(
          {
            name: 'Any',
            yieldG: 500,
            ingredients: [{ name: 'all', massG: 600, foodId: null, recipeId: null, allergens: [] }],
            method: { ...method, steps: method.steps.filter((step) => /^[ -~…½°]+$/.test(step)) },
            bake: null,
            becomes: { kind: 'recipe' },
          },
          pantry,
          () => 'own-any',
        );
        rowSchemas.recipes.validateSync(recipe, { strict: true });
      }),
      { numRuns: 300 },
    );
  });

  it('that is only a recipe makes no other row, and one like no row that is there none either', () => {
    expect(pasted({ kind: 'recipe' })).toMatchObject({ sponge: null, spread: null });
    expect(pasted({ kind: 'sponge', likeId: 'no such' }).sponge).toBeNull();
  });
});
