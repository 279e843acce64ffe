import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  findDesigns,
  emptyFood,
  foodOf,
  heldBy,
  labelText,
  newBuild,
  newTopping,
  planBuild,
  planShape,
  readFoods,
  recipeContents,
  rowsUsed,
  startingPantry,
  writeFoods,
  type Build,
  type Food,
  newInclusion,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';

const buildWith = (change: (build: Build) => void): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  change(build);
  return build;
};
const inclusion = (foodId: string | null) => ({
  ...newInclusion('pieces'),
  name: 'hazelnuts',
  foodId,
  gPerKg: 150,
  densityGPerMl: 0.7,
  allergens: [],
  waterShare: 0.03,
  tempC: 20,
});
const pieces = (foodId: string | null) => ({
  id: 'pieces-1',
  name: 'hazelnuts',
  foodId,
  how: 'scattered' as const,
  densityGPerMl: 0.7,
  share: 0.5,
  gPerCm2: 0.3,
  allergens: [],
});
const nutty: [string, (build: Build, foodId: string | null) => void][] = [
  ['folded in', (b, id) => (b.tiers[0]!.inclusions = [inclusion(id)])],
  ['in a filling', (b, id) => (b.tiers[0]!.gaps[0]!.pieces = [pieces(id)])],
  [
    'pressed on',
    (b, id) =>
      (b.tiers[0]!.pressed = {
        name: 'hazelnuts',
        foodId: id,
        gPerCm2: 0.2,
        cover: 0.6,
        bandMm: null,
        onTop: false,
        allergens: [],
      }),
  ],
  [
    'put on, broken from a slab',
    (b, id) =>
      b.tiers[0]!.toppings.push({
        ...newTopping('t'),
        name: 'brittle',
        foodId: id,
        tray: { thickMm: 4, wholeShare: 0.6, spreads: 1 },
      }),
  ],
];

describe('what a cake holds', () => {
  it.each(nutty)('nuts %s are nuts everywhere', (_where, put) => {
    const build = buildWith((b) => {
      put(b, 'hazelnuts');
      b.brief.diets = ['no nuts'];
    });
    const plan = planBuild(build, pantry);
    expect(plan.allergens).toContain('tree nuts');
    expect(plan.mayContain).toEqual(expect.arrayContaining(['peanuts', 'sesame']));
    expect(plan.diets).not.toContain('no nuts');
    expect(plan.tierDiets[0]!['no nuts']).toBe('no');
    expect(plan.cautions.map((c) => c.id)).toContain('diet/no nuts');
    // on the list with its price and its stock
    const line =
      plan.ingredients.ok && plan.ingredients.value.find((i) => i.foodId === 'hazelnuts');
    expect(line && line.massG).toBeGreaterThan(1);
    expect(plan.price!.unpriced).not.toContain('hazelnuts');
    expect(rowsUsed(build, pantry).foods.map((row) => row.id)).toContain('hazelnuts');
  });
  it.each(nutty)('%s and of no row, nobody says “free of”', (_where, put) => {
    const plan = planBuild(
      buildWith((b) => {
        put(b, null);
        b.brief.keepOut = ['tree nuts'];
      }),
      pantry,
    );
    expect(plan.unknownLines).toHaveLength(1);
    expect(plan.diets).toEqual([]);
    expect(plan.tierDiets[0]!['no nuts']).toBe('not known');
    expect(labelText(heldBy(plan))).toMatch(/Not known: what is in (hazelnuts|brittle)\.$/);
    const unknown = plan.cautions.find((c) => c.id === 'contents/unknown')!;
    expect(unknown.severity).toBe('stop');
  });
  it('counts the syrup of a soak, the fondant of the board, and piping in the coat’s own frosting', () => {
    const own = startingPantry();
    own.recipes.find((row) => row.id === 'recipe-syrup')!.ingredients[0]!.foodId = 'hazelnuts';
    const soaked = buildWith((b) => (b.tiers[0]!.soak = 'light'));
    expect(planShape(soaked, structuredClone(own)).allergens).toContain('tree nuts');
    expect(rowsUsed(soaked, own).recipes.map((row) => row.id)).toContain('recipe-syrup');
    const without = { ...own, recipes: own.recipes.filter((row) => row.id !== 'recipe-syrup') };
    expect(planShape(soaked, structuredClone(without)).unknownLines).toEqual(['soaking syrup']);
    foodOf(own.foods, 'fondant')!.mayContain = ['lupin'];
    expect(
      planShape(
        buildWith((b) => (b.boardCoverMm = 3)),
        own,
      ).mayContain,
    ).toContain('lupin');
  });
  it('says of a new ingredient, a bought layer and a lost recipe that they are not known', () => {
    const own = startingPantry();
    own.foods.push(emptyFood('own-1', 'star dust'));
    const built = buildWith((b) => (b.tiers[0]!.inclusions = [inclusion('own-1')]));
    expect(planShape(built, structuredClone(own)).unknownLines).toEqual(['star dust']);
    own.foods.at(-1)!.declared = true;
    expect(planShape(built, structuredClone(own)).unknownLines).toEqual([]);
    const bought = own.others.find((row) => row.form === 'bought')!;
    bought.allergens = [];
    const layered = buildWith((b) => (b.tiers[0]!.layers[0]!.otherId = bought.id));
    expect(planShape(layered, structuredClone(own)).unknownLines).toEqual([bought.name]);
    const lost = { ...own, recipes: own.recipes.filter((row) => row.id !== 'recipe-buttercream') };
    expect(
      planShape(
        buildWith(() => undefined),
        lost,
      ).unknownLines,
    ).toEqual(['Sugar-and-butter buttercream']);
  });
  it('leaves out what is only looked at, and counts it out instead', () => {
    const build = buildWith((b) =>
      b.tiers[0]!.toppings.push({
        ...newTopping('t'),
        name: 'paper star',
        foodId: null,
        eaten: false,
      }),
    );
    const plan = planBuild(build, pantry);
    expect(plan.unknownLines).toEqual([]);
    expect(plan.nonFood.map((each) => each.name)).toEqual(['paper star']);
  });
  it('holds at least what every row in it holds, and keeps no diet while a part is not known', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const plan = planShape(build, pantry);
        const rows = build.tiers.flatMap((tier) =>
          [...tier.inclusions, tier.pressed, ...tier.gaps.flatMap((gap) => gap.pieces)].flatMap(
            (part) => {
              const food = part && foodOf(pantry.foods, part.foodId);
              return food ? [food] : part ? [null] : [];
            },
          ),
        );
        for (const food of rows)
          if (food)
            for (const allergen of food.allergens) expect(plan.allergens).toContain(allergen);
        if (rows.includes(null)) {
          expect(plan.unknownLines.length).toBeGreaterThan(0);
          expect(plan.diets).toEqual([]);
        }
      }),
      { numRuns: 40, seed: 14 },
    );
  });
});

describe('the ingredients’ table', () => {
  it('tells none apart from not known, there and back', () => {
    const foods: Food[] = [
      { ...emptyFood('a', 'star dust') },
      { ...emptyFood('b', 'moon sugar'), declared: true },
      { ...emptyFood('c', 'comet nuts'), declared: true, allergens: ['tree nuts'] },
    ];
    const back = readFoods(writeFoods(foods), [], () => 'x');
    expect(back.ok && back.rows.map((food) => food.declared)).toEqual([false, true, true]);
    const emptied = readFoods('name,allergens\ncomet nuts,\nmoon sugar,\n', foods, () => 'x');
    // a cleared cell of nuts says nothing any more; an empty one of a declared row stays as it was
    expect(emptied.ok && emptied.rows.map((food) => food.declared)).toEqual([false, true]);
  });
});

describe('drafts', () => {
  it('take another sponge and another frosting where eggs are kept out', () => {
    const base = buildWith((b) => {
      b.brief.keepOut = ['eggs', 'milk'];
      b.brief.look = 'ganache shell';
    });
    const draft = findDesigns(base, pantry);
    if (!draft.ok) throw new Error(draft.problem);
    for (const { build } of draft.designs) {
      const plan = planShape(build, pantry);
      expect(plan.allergens).not.toContain('eggs');
      expect(plan.allergens).not.toContain('milk');
      expect(plan.cautions.filter((c) => c.id.startsWith('allergen/'))).toEqual([]);
    }
  });
  it('say that nothing serves, and never offer what is kept out or not known', () => {
    const base = buildWith((b) => (b.brief.keepOut = ['gluten cereals']));
    const own = startingPantry();
    const glutenFree = own.sponges.filter(({ recipeId }) => {
      const held = recipeContents(
        own.recipes.find((row) => row.id === recipeId)!,
        own,
      );
      return !held.allergens.includes('gluten cereals');
    });
    const none = { ...own, sponges: own.sponges.filter((row) => !glutenFree.includes(row)) };
    const draft = findDesigns(base, none);
    expect(draft.ok ? '' : draft.problem).toMatch(
      /no sponge of which it is known.*no gluten cereals/,
    );
    const unknown = { ...own, recipes: [] };
    expect(findDesigns(base, unknown).ok).toBe(false);
  });
  it('leave no rod in a cake of one tier, and no piping of tiers that are gone', () => {
    const base = buildWith((b) => (b.rod = { dowelId: 'rod-6', offsetMm: [0, 0] } as never));
    const draft = findDesigns(base, pantry);
    if (!draft.ok) throw new Error(draft.problem);
    const single = draft.designs.filter(({ build }) => build.tiers.length === 1);
    expect(single.length).toBeGreaterThan(0);
    expect(single.every(({ build }) => build.rod === null)).toBe(true);
  });
});
