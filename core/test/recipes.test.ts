import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  batterForTins,
  breaksDiet,
  circleOf,
  CircularRecipe,
  contentsOf,
  cupWeightG,
  dietsKept,
  dissolve,
  drained,
  givesJuice,
  gramsOfMl,
  householdText,
  inchesAndOunces,
  macerate,
  metric,
  newBuild,
  planBuild,
  recipeContents,
  say,
  scaleRecipe,
  scalingRules,
  stabilise,
  starchForCompote,
  startingPantry,
  swapFood,
  swapLine,
  usualKeep,
  usualYieldG,
  type Food,
  type Recipe,
} from '../src/index.ts';
import { askedForRecipes } from '../src/pantry/starting/asked-for.ts';
import { pantry } from './arbitrary.ts';

const food = (id: string): Food => pantry.foods.find((row) => row.id === id)!;
const recipe = (id: string): Recipe => pantry.recipes.find((row) => row.id === `recipe-${id}`)!;
const sum = (lines: readonly { massG: number }[]): number =>
  lines.reduce((total, line) => total + line.massG, 0);

describe('a recipe made of others', () => {
  it('dissolves into ingredients, and keeps its mass but for what the part loses', () => {
    const curd = recipe('curd');
    const cream = recipe('curdcream');
    const lines = dissolve(cream, cream.yieldG * 2, pantry.recipes);
    expect(lines.every((line) => line.recipeId === null)).toBe(true);
    // 520 g of curd take so much more of its ingredients as it loses in the pan
    const plain = 2 * (sum(cream.ingredients) - 260);
    expect(sum(lines)).toBeCloseTo(plain + (520 * sum(curd.ingredients)) / curd.yieldG, 6);
    expect(recipeContents(cream, pantry).allergens).toEqual(['eggs', 'milk']);
  });

  it('cannot be made of itself: the circle is named', () => {
    const own = startingPantry();
    const curd = own.recipes.find((row) => row.id === 'recipe-curd')!;
    curd.ingredients.push({
      name: 'cream',
      massG: 10,
      allergens: [],
      foodId: null,
      recipeId: 'recipe-curdcream',
    });
    expect(circleOf(curd, own.recipes)).toEqual(['Lemon curd', 'Lemon curd cream', 'Lemon curd']);
    expect(circleOf(recipe('butter'), own.recipes)).toBeNull();
    expect(() => dissolve(curd, 500, own.recipes)).toThrow(CircularRecipe);
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    build.tiers[0]!.gaps[0]!.spreadId = 'curd';
    const plan = planBuild(build, own);
    // the ingredients are spoilt, and say so; the rest of the plan stands
    expect(plan.ingredients.ok ? '' : plan.ingredients.problem).toContain(
      'Lemon curd → Lemon curd cream',
    );
    expect(plan.bowls.ok).toBe(true);
    expect(plan.tally.heightMm).toBeGreaterThan(100);
    expect(plan.cautions.some((c) => c.severity === 'stop' && c.id.startsWith('circle/'))).toBe(
      true,
    );
  });
});

describe('a yield', () => {
  it('said by tins is three fifths of them in batter', () => {
    const tin = pantry.tins.find((row) => row.id === 'round-20')!;
    const sponge = pantry.sponges.find((row) => row.id === 'butter')!;
    const box = { ...tin, flareMm: 0, depthMm: 50 };
    expect(batterForTins(box, 2, sponge)).toBeCloseTo(
      (2 * Math.PI * 100 ** 2 * 50 * 0.6 * 0.85) / 1000,
      6,
    );
    expect(usualYieldG(1000)).toBeCloseTo(980, 9);
  });
});

describe('contents', () => {
  it('follow a line that is changed in place, as a form does', () => {
    const own = structuredClone(recipe('butter'));
    expect(recipeContents(own, pantry).allergens).toContain('milk');
    for (const line of own.ingredients)
      if (line.foodId === 'butter' || line.foodId === 'milk') line.foodId = 'water';
    expect(recipeContents(own, pantry).allergens).not.toContain('milk');
    own.ingredients[0]!.foodId = null;
    own.ingredients[0]!.allergens = ['sesame'];
    expect(recipeContents(own, pantry).allergens).toContain('sesame');
  });
});

describe('a scaled recipe', () => {
  it('rounds its eggs to whole ones and makes up the rest', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.15, max: 6, noNaN: true }), (factor) => {
        const butter = recipe('butter');
        const eggs = scaleRecipe(butter, butter.yieldG * factor).ingredients.find(
          (line) => line.pieces !== null,
        )!;
        const { pieces, makeUpG } = eggs.nearest!;
        expect(pieces * 50 + makeUpG).toBeCloseTo(eggs.massG, 9);
        expect(pieces).toBeGreaterThanOrEqual(1);
        if (eggs.massG > 50) expect(Math.abs(makeUpG)).toBeLessThanOrEqual(25 + 1e-9);
        expect(eggs.pieces! * 50).toBeGreaterThanOrEqual(eggs.massG - 5 - 1e-6);
      }),
    );
  });

  it('says what does not scale: leavening, mixing, cooking down', () => {
    const said = (id: string, factor: number, tinMm: number | null) =>
      scalingRules(recipe(id), factor, tinMm, pantry.foods).map((rule) => say(rule, metric));
    expect(said('butter', 1, 200)).toEqual([]);
    // 9 g of baking powder times four, less an eighth
    expect(said('butter', 4, 300)[0]).toContain('32 g of leavening and not 36 g');
    expect(said('butter', 1.2, 300)[0]).toContain('In a tin this wide');
    expect(said('butter', 4, 200).join()).not.toContain('leavening');
    expect(said('butter', 0.3, 150).join()).toContain('tenths');
    expect(said('caramel', 3, null).join()).toContain('wider pan');
    expect(said('foam', 4, 200).join()).not.toContain('leavening');
  });
});

describe('household measures', () => {
  it('know the schools of filling a cup', () => {
    const flour = food('plain-flour');
    expect(
      (['spooned', 'sifted', 'scooped'] as const).map((way) => cupWeightG(flour, way)),
    ).toEqual([125, 110, 140]);
    // what is not sifted weighs the same in every school
    expect(cupWeightG(food('butter'), 'sifted')).toBe(227);
    expect(gramsOfMl(flour, 237, 'scooped')).toBeCloseTo(140, 9);
    expect(gramsOfMl(food('fondant'), 237, 'spooned')).toBeNull();
  });
  it('are shown in cups of the user’s own size, in pieces, or not at all', () => {
    const text = (id: string, g: number) => householdText(food(id), g, 'spooned', inchesAndOunces);
    expect(text('caster-sugar', 300)).toBe('1 1/2 cups');
    expect(text('salt', 6)).toBe('1 tsp');
    expect(text('eggs', 150)).toBe('3 of 50 g');
    expect(text('fondant', 500)).toBeNull();
    // a metric cup is larger, so there are fewer of them
    expect(householdText(food('caster-sugar'), 316, 'spooned', metric)).toBe('1 1/2 cups');
  });
});

describe('a swap', () => {
  it('keeps what the ingredient is for, and says what it changes', () => {
    const swap = swapFood(food('butter'), food('plant-block'), 200, 'fat');
    expect(swap.massG * 0.75).toBeCloseTo(200 * 0.82, 9);
    expect(swap.fatG).toBeCloseTo(0, 9);
    expect(swap.waterG).toBeCloseTo(200 * 0.16 - swap.massG * 0.22, 9);
    expect(swap.saltG).toBeLessThan(0);
    expect(usualKeep(food('butter'))).toBe('fat');
    expect(usualKeep(food('caster-sugar'))).toBe('sugar');
    expect(usualKeep(food('milk'))).toBe('mass');
  });
  it('puts its water right in the wettest other line, and the yield follows', () => {
    const butter = recipe('butter');
    const at = butter.ingredients.findIndex((line) => line.foodId === 'butter');
    const done = swapLine(butter, at, food('plant-block'), 'fat', pantry.foods);
    const waterOf = (r: Recipe): number =>
      r.ingredients.reduce((total, l) => total + l.massG * food(l.foodId!).waterShare, 0);
    expect(done.corrected).toBe('milk');
    expect(waterOf(done.recipe)).toBeCloseTo(waterOf(butter), 6);
    expect(done.recipe.yieldG / sum(done.recipe.ingredients)).toBeCloseTo(
      butter.yieldG / sum(butter.ingredients),
      9,
    );
    // and its milk is gone from the fat, not from the milk
    const twice = swapLine(
      done.recipe,
      done.recipe.ingredients.findIndex((line) => line.foodId === 'milk'),
      food('soy-drink'),
      'mass',
      pantry.foods,
    ).recipe;
    expect(recipeContents(twice, pantry).allergens).toEqual(['eggs', 'gluten cereals', 'soy']);
  });
});

describe('diets', () => {
  it('follow from every ingredient, up to each tier', () => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    const tier = build.tiers[0]!;
    build.tiers.push({ ...structuredClone(tier), id: 'tier-2', name: 'Second' });
    build.tiers[1]!.layers[0]!.otherId = 'mousse';
    const held = contentsOf(build, pantry);
    expect(dietsKept(held.tiers[0]!)).toEqual(['vegetarian', 'no gelatine', 'no nuts']);
    // the mousse is set with gelatine
    expect(dietsKept(held.tiers[1]!)).toEqual(['no nuts']);
    build.brief.diets = ['vegetarian'];
    const stops = planBuild(build, pantry).cautions.filter((c) => c.id === 'diet/vegetarian');
    expect(stops.map((c) => c.severity)).toEqual(['stop']);
    expect(stops[0]!.todo.text).toContain('set mousse');
  });
  it('keep traces apart from what is in it, and name lines of which nothing is known', () => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    build.tiers[0]!.spongeId = 'carrot';
    const own = startingPantry();
    own.recipes
      .find((row) => row.id === 'recipe-carrot')!
      .ingredients.push({
        name: 'star dust',
        massG: 5,
        allergens: [],
        foodId: null,
        recipeId: null,
      });
    build.brief.keepOut = ['sesame'];
    const plan = planBuild(build, own);
    expect(plan.allergens).toContain('tree nuts');
    expect(plan.mayContain).toEqual(['peanuts', 'sesame']);
    expect(plan.unknownLines).toEqual(['star dust']);
    const ids = plan.cautions.map((c) => c.id);
    expect(ids).toContain('traces/sesame');
    expect(ids).toContain('contents/unknown');
  });
  it('judge what they are told and no more', () => {
    const what = { allergens: ['eggs' as const], traits: ['alcohol' as const] };
    expect(breaksDiet('vegan', what)).toBe(true);
    expect(breaksDiet('no alcohol', what)).toBe(true);
    expect(breaksDiet('vegetarian', what)).toBe(false);
    expect(dietsKept({ allergens: [], traits: [], unknown: [] })).toHaveLength(6);
    expect(dietsKept({ allergens: [], traits: [], unknown: ['star dust'] })).toEqual([]);
  });
});

describe('fruit and cream', () => {
  it('are told apart by what they are made of', () => {
    const fruit = pantry.foods.filter(givesJuice).map((each) => each.id);
    expect(fruit).toEqual(expect.arrayContaining(['raspberries', 'blackcurrants', 'figs']));
    for (const id of ['water', 'lemon-juice', 'milk', 'eggs', 'honey', 'aquafaba'])
      expect(fruit).not.toContain(id);
  });
  it('macerated keep their mass, and leave the fruit as sweet as its syrup or drier', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 3000, noNaN: true }),
        fc.double({ min: 0, max: 3000, noNaN: true }),
        (fruitG, sugarG) => {
          const { syrupG, drainedG, juiceG } = macerate(fruitG, 0.86, 0.05, sugarG);
          expect(syrupG + drainedG).toBeCloseTo(fruitG + sugarG, 6);
          expect(juiceG).toBeLessThanOrEqual(fruitG * 0.86 * 0.4 + 1e-9);
          expect(juiceG).toBeGreaterThanOrEqual(0);
        },
      ),
    );
    expect(macerate(500, 0.86, 0.05, 0).juiceG).toBe(0);
    expect(drained(400, 0.86, true)).toBeLessThan(drained(400, 0.86, false));
  });
  it('take starch for the water that is left, and none where it is cooked dry', () => {
    const firm = starchForCompote(400, 0.86, 60, 380, 'sliceable');
    // 400 g of fruit are 56 g dry, with the sugar 116 g: 264 g of water
    expect(firm.waterG).toBeCloseTo(264, 9);
    expect(firm.starchG).toBeCloseTo(264 * 0.08, 9);
    expect(starchForCompote(400, 0.86, 60, 380, 'sauce').starchG).toBeLessThan(firm.starchG);
    expect(starchForCompote(400, 0.86, 60, 100, 'sauce').starchG).toBe(0);
  });
  it('stand with a dose by the cream, gelatine in five times its weight of water', () => {
    expect(stabilise(1000, 'icing sugar').doseG).toBeCloseTo(80, 9);
    const gelatine = stabilise(1000, 'gelatine');
    expect([gelatine.doseG, gelatine.waterG]).toEqual([9, 45]);
  });
});

describe('what people ask for first', () => {
  it('has its row, its recipe of known ingredients, its wait where it is hot, and its keeping', () => {
    const own = startingPantry();
    const ways = own.spreads.filter(({ canFill }) => canFill);
    expect(ways.length).toBeGreaterThanOrEqual(30);
    expect(own.sponges.length).toBeGreaterThanOrEqual(10);
    expect(own.spreads.filter(({ canCoat }) => canCoat).length).toBeGreaterThanOrEqual(12);
    for (const recipe of askedForRecipes) {
      const row = own.spreads.find(({ recipeId }) => recipeId === recipe.id)!;
      expect(row.name).toBe(recipe.name);
      const held = recipeContents(recipe, own);
      expect(held.unknown, recipe.name).toEqual([]);
      // nothing hot is used from the pan
      if (recipe.hottestC! > 40) expect(recipe.holds!.length, recipe.name).toBeGreaterThan(0);
      expect(row.stress4Pa).toBeGreaterThanOrEqual(row.stress21Pa);
    }
    const strawberry = askedForRecipes.find(({ id }) => id === 'recipe-strawberry')!;
    // 600 + 150 + 15 + 30 + 60 g go in, a seventh boils away or sticks
    expect(strawberry.yieldG).toBe(Math.round(855 * 0.85));
    expect(recipeContents(strawberry, own).allergens).toEqual([]);
  });
});
