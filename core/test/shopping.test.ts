import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addDays,
  addTier,
  bowlMinutes,
  costOf,
  findRow,
  fromLeft,
  leftoverUse,
  liquidToSoften,
  meltToWarm,
  minutesTo,
  newBuild,
  newPiping,
  pipingMin,
  planBuild,
  planShape,
  planShopping,
  pricesOf,
  putRight,
  shoppingList,
  startingPantry,
  sugarShareOf,
  unsweetenedToAdd,
  cakeDays,
  faults,
  type Build,
  type PutRightQuestion,
  type ScaledIngredient,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const line = (foodId: string, massG: number): ScaledIngredient => ({
  name: foodId,
  massG,
  pieces: null,
  nearest: null,
  allergens: [],
  foodId,
  recipeId: null,
});
const cake = (id: string, useOn: string | null, ...ingredients: ScaledIngredient[]) => ({
  id,
  name: id,
  useOn,
  days: null,
  ingredients,
});
const build = (id: string): Build => newBuild(id, id, '2027-05-03T09:30:00Z');

describe('a shopping list', () => {
  it('adds up, takes from stock, and rounds the rest up to packs', () => {
    const foods = startingPantry().foods;
    foods.find((food) => food.id === 'butter')!.stockG = 300;
    const list = shoppingList(
      [cake('a', null, line('butter', 500)), cake('b', null, line('butter', 420))],
      foods,
    );
    const [row] = list.rows;
    expect(row).toMatchObject({ needG: 920, stockG: 300, buyG: 620, packs: 3, leftG: 130 });
    expect(row!.cost).toBeCloseTo(3 * 2.6, 9);
    expect(row!.builds.map((b) => b.needG)).toEqual([500, 420]);
  });
  it('buys one egg for a white and a yolk of the same cake', () => {
    const list = shoppingList(
      [cake('a', null, line('egg-whites', 8 * 33), line('egg-yolks', 10 * 17), line('eggs', 150))],
      pantry.foods,
    );
    // ten for the yolks, whose whites are enough, and three whole
    expect(list.rows).toHaveLength(1);
    expect(list.rows[0]).toMatchObject({ needG: 650, pieces: 13, packs: 3 });
    // of the ten opened for their yolks eight whites are used; the three whole ones leave nothing
    expect(list.rows[0]!.spare).toEqual([
      { foodId: 'egg-whites', name: 'egg whites', pieces: 2, massG: 66 },
    ]);
    const two = shoppingList(
      [cake('a', null, line('egg-yolks', 5 * 17)), cake('b', null, line('egg-yolks', 3 * 17))],
      pantry.foods,
    );
    expect(two.rows[0]!.spare).toMatchObject([{ foodId: 'egg-whites', pieces: 8 }]);
    expect(two.rows[0]!.paired).toEqual([]);
    const whole = shoppingList([cake('a', null, line('eggs', 150))], pantry.foods);
    expect(whole.rows[0]!.spare).toEqual([]);
  });
  it('uses the whites that one cake leaves for another, while they keep, and opens no egg twice', () => {
    const listed = (days: (string | null)[], lines: ReturnType<typeof line>[][]) =>
      shoppingList(
        lines.map((some, i) => cake('abc'[i]!, days[i]!, ...some)),
        pantry.foods,
      ).rows.find(({ foodId }) => foodId === 'eggs')!;
    const yolks = [line('egg-yolks', 6 * 17)];
    const whites = [line('egg-whites', 4 * 33)];
    const soon = listed(['2027-06-10', '2027-06-12'], [yolks, whites]);
    expect([soon.pieces, soon.paired]).toEqual([
      6,
      [{ foodId: 'egg-whites', name: 'egg whites', pieces: 4, from: 'a', to: 'b' }],
    ]);
    expect(soon.spare).toMatchObject([{ foodId: 'egg-whites', pieces: 2 }]);
    // after three days they are thrown away, and eggs opened anew
    const late = listed(['2027-06-10', '2027-06-13'], [yolks, whites]);
    expect([late.pieces, late.paired]).toEqual([10, []]);
    // nor for a cake that has no day
    expect(listed([null, '2027-06-10'], [yolks, whites]).paired).toEqual([]);
    // the earlier cake leaves what the later one takes, whichever was written down first
    expect(listed(['2027-06-12', '2027-06-10'], [yolks, whites]).paired).toMatchObject([
      { foodId: 'egg-yolks', pieces: 4, from: 'b', to: 'a' },
    ]);
    // yolks of the second pair with whites of the third; what is left over is what was opened less what is used
    const three = listed(
      ['2027-06-10', '2027-06-11', '2027-06-12'],
      [yolks, whites, [line('egg-whites', 3 * 33), line('egg-yolks', 17)]],
    );
    expect(three.paired.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(6);
    expect(three.pieces).toBe(6 + 1);
  });
  it('buys what spoils as late as it keeps, and twice where it does not last', () => {
    const list = shoppingList(
      [
        cake('late', '2027-06-20', line('whipping-cream', 500)),
        cake('soon', '2027-06-10', line('whipping-cream', 500), line('plain-flour', 400)),
      ],
      pantry.foods,
    );
    const of = (name: string) => list.rows.find((row) => row.name.startsWith(name))!;
    expect(of('whipping cream')).toMatchObject({
      from: '2027-06-04',
      by: '2027-06-10',
      twice: true,
    });
    expect(of('plain flour')).toMatchObject({ from: null, by: '2027-06-10', twice: false });
    expect(addDays('2027-03-01', -1)).toBe('2027-02-28');
  });
  it('buys for the day it is used, early enough to keep to the last of them', () => {
    const days = { 'whipping-cream': { first: '2027-06-10', last: '2027-06-13' } };
    const of = (last: string) => {
      const one = cake('a', '2027-06-08', line('whipping-cream', 500), line('plain-flour', 90));
      const spans = { 'whipping-cream': { ...days['whipping-cream'], last } };
      return shoppingList([{ ...one, days: spans }], pantry.foods).rows;
    };
    const row = (last: string, name: string) => of(last).find((r) => r.name.startsWith(name))!;
    // cream keeps six days: bought on the 7th it is there on the 10th and good on the 13th
    expect(row('2027-06-13', 'whipping')).toMatchObject({
      from: '2027-06-07',
      by: '2027-06-10',
      twice: false,
    });
    expect(row('2027-06-17', 'whipping')).toMatchObject({ from: '2027-06-04', twice: true });
    // what no step takes is there when work begins
    expect(row('2027-06-13', 'plain')).toMatchObject({ by: '2027-06-08' });
  });
  it('knows from the plan of its days when a cake takes what, after its layers are baked', () => {
    const made = build('dated');
    made.brief.serveAt = '2027-06-12T15:00';
    made.day.hours = Array.from({ length: 7 }, () => ({ from: 17 * 60, to: 21 * 60 }));
    const spans = cakeDays(made, pantry)!.uses;
    const plan = planBuild(made, pantry);
    const steps = plan.steps.ok ? plan.steps.value : [];
    for (const { first, last } of Object.values(spans)) {
      expect(first <= last).toBe(true);
      expect(last <= '2027-06-12').toBe(true);
      expect(first >= addDays('2027-06-12', -14)).toBe(true);
    }
    const flour = spans['plain-flour'] ?? spans['self-raising-flour'];
    expect(flour!.first < '2027-06-12').toBe(true);
    // every ingredient that a step takes has its days, and eggs stand for their parts
    const known = new Set(Object.keys(spans));
    for (const { foodId } of steps.flatMap(({ takes }) => takes)) {
      const food = pantry.foods.find(({ id }) => id === foodId);
      if (food) expect(known).toContain(food.boughtAs ?? food.id);
    }
    expect(cakeDays({ ...made, brief: { ...made.brief, serveAt: null } }, pantry)).toBeNull();
    const shut = Array.from({ length: 7 }, () => ({ from: 0, to: 0 }));
    expect(cakeDays({ ...made, day: { ...made.day, hours: shut } }, pantry)).toBeNull();
  });
  it('keeps what has no ingredient row by its name, and costs nothing for water', () => {
    const list = shoppingList(
      [cake('a', null, { ...line('', 20), name: 'star dust', foodId: null }, line('water', 100))],
      pantry.foods,
    );
    expect(list.unpriced).toEqual(['star dust']);
    expect(list.rows.find((row) => row.name === 'water')!.cost).toBe(0);
  });
  it('never buys less than is missing, whatever is asked and in stock', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom(...pantry.foods.map((f) => f.id)),
            fc.double({ min: 0, max: 5000, noNaN: true }),
          ),
          { maxLength: 30 },
        ),
        fc.double({ min: 0, max: 4000, noNaN: true }),
        (wanted, stock) => {
          const foods = startingPantry().foods.map((food) => ({ ...food, stockG: stock }));
          const list = shoppingList(
            [cake('a', null, ...wanted.map(([id, g]) => line(id, g)))],
            foods,
          );
          for (const row of list.rows) {
            expect(row.stockG + row.buyG).toBeCloseTo(row.needG, 6);
            expect(row.stockG).toBeLessThanOrEqual(stock + 1e-9);
            if (row.packs !== null && row.packG !== null)
              expect(row.packs * row.packG).toBeGreaterThanOrEqual(row.buyG - 1e-6);
          }
        },
      ),
    );
  });
  it('over whole builds names one that cannot be planned, and keeps the others', () => {
    const broken = { ...build('broken'), tiers: [{ ...build('x').tiers[0]!, spongeId: 'gone' }] };
    const plan = planShopping([build('good'), broken], pantry, 2);
    expect(plan.builds.map((b) => b.problem === null)).toEqual([true, false]);
    expect(plan.builds[0]!.allergens).toEqual(['eggs', 'gluten cereals', 'milk']);
    expect(plan.rows.find((row) => row.foodId === 'butter')!.builds.map((b) => b.id)).toEqual([
      'good',
    ]);
  });
});

describe('a price', () => {
  it('is ingredients by their packs, the board, and the hands', () => {
    const plan = planBuild(build('b'), pantry);
    const price = plan.price!;
    const board = findRow(pantry, 'boards', 'drum-round-28');
    expect(price.board).toBe(board.price);
    expect(price.labour).toBeCloseTo((plan.tally.handsOnMin! / 60) * 18, 9);
    expect(price.total).toBeCloseTo(price.ingredients + price.board + price.labour, 9);
    expect(price.perServing! * plan.servings.count).toBeCloseTo(price.total, 9);
    expect(price.unpriced).toEqual([]);
    const sugar = pantry.foods.find((food) => food.id === 'caster-sugar')!;
    expect(costOf(sugar, 500)).toBeCloseTo(0.75, 9);
    expect(costOf({ ...sugar, price: null }, 500)).toBeNull();
  });
  it('counts piping by pieces, by metres and by fresh bags', () => {
    const job = { ...newPiping('p', 800), pieces: 60, lineMm: 2000 };
    // 60 times 6 s, 2 m at 1.5 min, two fresh bags of 350 g after the first
    expect(pipingMin(job, pantry.kitchen)).toBeCloseTo(6 + 3 + 2 * 1.5, 9);
    expect(pipingMin(newPiping('p', 100), pantry.kitchen)).toBeCloseTo(8, 9);
  });
});

describe('from what is left', () => {
  const tier = build('b').tiers[0]!;
  const spreadOf = (id: string) => findRow(pantry, 'spreads', id);
  const left = (g: number, crumbed = true) =>
    fromLeft(g, [{ tier, stackMm: 110, crumbed }], spreadOf, pantry.kitchen);
  it('finds the thickness that just uses it up', () => {
    const whole = left(1e6);
    const half = left(whole.needG * 0.6);
    expect(half.shortG).toBeCloseTo(whole.needG * 0.4, 6);
    expect(half.sideMm).toBeGreaterThan(2.5);
    expect(half.sideMm).toBeLessThan(5 * 0.62);
    // with that thickness as the plan, it is enough to the gram
    const thin = {
      ...tier,
      coat: { ...tier.coat, sideMm: half.sideMm, topMm: half.topMm },
    };
    const again = fromLeft(
      whole.needG * 0.6,
      [{ tier: thin, stackMm: 110, crumbed: true }],
      spreadOf,
      pantry.kitchen,
    );
    expect(again.needG).toBeCloseTo(whole.needG * 0.6, 2);
  });
  it('is enough for the plan where it is the plan’s, and for no thickness where the crumb coat takes all', () => {
    const { needG } = left(1000);
    expect(left(needG + 1).shortG).toBe(0);
    expect(left(20, false).share).toBeNull();
    expect(left(0).styles).toEqual([]);
  });
  it('names styles that it would do for, none of them dearer than it', () => {
    for (const g of [80, 200, 400, 900])
      for (const style of left(g).styles) expect(style.needG).toBeLessThanOrEqual(g);
    expect(left(900).styles.length).toBeGreaterThan(left(80).styles.length);
  });
  it('tells what is left over what it is good for', () => {
    const buttercream = spreadOf('buttercream');
    expect(leftoverUse(buttercream, 5).text).toContain('Too little');
    expect(leftoverUse(buttercream, 400).text).toContain('13 cupcakes');
    expect(leftoverUse(spreadOf('cream'), 400).text).toContain('a day in the fridge');
  });
});

describe('put right', () => {
  const spread = findRow(pantry, 'spreads', 'buttercream');
  const recipe = findRow(pantry, 'recipes', 'recipe-buttercream');
  const ask = (more: Partial<PutRightQuestion>): PutRightQuestion => ({
    fault: 'too stiff',
    by: 'a little',
    massG: 800,
    tempC: 21,
    spread,
    recipe,
    recipes: pantry.recipes,
    foods: pantry.foods,
    kitchen: pantry.kitchen,
    ...more,
  });
  it('takes more liquid the stiffer it is, and none when it is soft', () => {
    const first = (by: PutRightQuestion['by']) => putRight(ask({ by })).remedies[0]!.amount!.value;
    expect(first('a little')).toBeCloseTo((800 * Math.log(1.6)) / 20, 9);
    expect(first('much')).toBeGreaterThan(first('a little'));
    expect(liquidToSoften(800, 0.8)).toBe(0);
  });
  it('dilutes the sugar by the balance of its mass', () => {
    const now = sugarShareOf(recipe, pantry.recipes, pantry.foods);
    expect(now).toBeCloseTo((900 * 0.98 + 500 * 0.01 + 60 * 0.03 + 8 * 0.2) / 1468, 6);
    const add = unsweetenedToAdd(800, now, 0.5);
    expect((800 * now) / (800 + add)).toBeCloseTo(0.5, 9);
    expect(unsweetenedToAdd(800, 0.4, 0.5)).toBe(0);
    expect(putRight(ask({ fault: 'too sweet' })).remedies[0]!.amount!.value).toBeCloseTo(
      unsweetenedToAdd(800, now, now * 0.85),
      9,
    );
  });
  it('warms by melting a part: heat is kept', () => {
    const melted = meltToWarm(800, 12, 22);
    expect(((800 - melted) * 12 + melted * 45) / 800).toBeCloseTo(22, 9);
    expect(meltToWarm(800, 25, 22)).toBe(0);
    const cold = putRight(ask({ fault: 'split', tempC: 12 }));
    expect(cold.remedies[0]!.title).toBe('Warm a part of it');
  });
  it('chills by the bowl’s own time, never below the fridge', () => {
    const tau = bowlMinutes(800, 0.95, 2.4, 7);
    const minutes = minutesTo(28, 20, { tempC: 4, surfaceW: 7 }, tau)!;
    expect(4 + 24 * Math.exp(-minutes / tau)).toBeCloseTo(20, 9);
    expect(minutesTo(28, 3, { tempC: 4, surfaceW: 7 }, tau)).toBeNull();
    expect(minutesTo(10, 20, { tempC: 4, surfaceW: 7 }, tau)).toBeNull();
    // a bowl eight times as heavy takes twice as long
    expect(bowlMinutes(6400, 0.95, 2.4, 7) / tau).toBeCloseTo(2, 9);
    const warm = putRight(ask({ fault: 'too warm', tempC: 28 }));
    expect(warm.remedies[0]!.amount!.value).toBeCloseTo(minutes, 6);
  });
  it('answers every fault of every frosting with a cause and finite amounts', () => {
    for (const each of pantry.spreads)
      for (const fault of faults)
        for (const tempC of [6, 21, 30]) {
          const answer = putRight(
            ask({ fault, tempC, spread: each, recipe: findRow(pantry, 'recipes', each.recipeId) }),
          );
          expect(answer.cause.text.length).toBeGreaterThan(10);
          for (const remedy of answer.remedies) {
            if (remedy.amount) expect(Number.isFinite(remedy.amount.value)).toBe(true);
            if (remedy.amount) expect(remedy.amount.value).toBeGreaterThanOrEqual(0);
          }
        }
    // a perishable one is told to mind the clock, a meringue buttercream is not
    const cautionOf = (id: string) =>
      putRight(ask({ spread: findRow(pantry, 'spreads', id) })).caution;
    expect(cautionOf('cream')).not.toBeNull();
    expect(cautionOf('meringue')).toBeNull();
  });
});

describe('cakes on the shopping list', () => {
  const tower = (): Build => {
    const build = newBuild('tower', 'Tower', '2027-05-03T09:30:00Z');
    addTier(build);
    const dowelId = pantry.dowels[0]!.id;
    build.tiers[0]!.stand.dowels = { dowelId, count: 4, spots: [], cut: 'each' };
    return build;
  };
  it('cost what their own sheet says, board and dowels with the work', () => {
    const build = tower();
    const [price] = pricesOf([build], pantry);
    const { price: own, cutLists } = planBuild(build, pantry);
    expect(price).toEqual({ id: 'tower', total: own!.total, perServing: own!.perServing });
    expect(cutLists.length).toBeGreaterThan(0);
    expect(own!.total).toBeCloseTo(own!.ingredients + own!.board + own!.labour, 6);
  });
  it('are bought for without their steps, and say the same as their whole plan', () => {
    const build = tower();
    const list = planShopping([build], pantry, 2);
    const { ingredients, allergens } = planBuild(build, pantry);
    expect(list.builds[0]).toMatchObject({ id: 'tower', allergens, problem: null });
    const bought = ingredients.ok ? ingredients.value : [];
    const own = bought.find(({ foodId }) => foodId === 'butter')!;
    const row = list.rows.find(({ name }) => name === findRow(pantry, 'foods', 'butter').name)!;
    expect(row.needG).toBeCloseTo(own.massG, 6);
  });
  it('stand on the shelf as high as they were measured at the bench', () => {
    const build = newBuild('low', 'Low', '2027-05-03T09:30:00Z');
    const planned = planShape(build, pantry).tally.heightMm;
    const note = {
      id: 'n1',
      stepKey: 'tier-1/settle',
      at: '2027-06-12T12:00:00Z',
      kind: 'height' as const,
      value: planned - 10,
      text: '',
      planned: {
        title: 'Let it settle',
        label: 'height',
        what: 'height',
        value: planned,
        takenG: null,
        movedBy: 1,
        hand: null,
        show: 'size' as const,
      },
    };
    const measured = { ...build, bench: { ...build.bench, notes: [note] } };
    expect(planShape(measured, pantry).tally.heightMm).toBeCloseTo(planned - 10, 1);
    expect(planShape(measured, pantry).tally.heightMm).toBe(
      planBuild(measured, pantry).tally.heightMm,
    );
  });
});
