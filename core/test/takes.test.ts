import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  newBuild,
  newPieces,
  planBuild,
  prepFor,
  preparedFrom,
  startingPantry,
  type Build,
  type Plan,
  type Recipe,
  type Step,
  newInclusion,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';
import { demo, placedOf, stepsOf, tasksOf } from './work-kit.ts';

/* What the steps take from the store is what is bought, and every gram of it once. */

/** Grams of each ingredient that leave the store, by the steps. */
function takenIn(steps: readonly Step[], foods = pantry.foods): Map<string, number> {
  const taken = new Map<string, number>();
  for (const step of steps)
    for (const { foodId, name, massG, inRecipe } of step.takes) {
      const prep = prepFor(foods.find(({ id }) => id === foodId)?.prep, inRecipe);
      // it comes from where it was made ready, which took it from the store
      if (prep && !step.line.preparedFor) continue;
      const key = foodId ?? name;
      taken.set(key, (taken.get(key) ?? 0) + massG);
    }
  return taken;
}
function expectBought(plan: Plan, foods = pantry.foods): void {
  if (!plan.steps.ok || !plan.ingredients.ok) return;
  const taken = takenIn(plan.steps.value, foods);
  for (const line of plan.ingredients.value) {
    const key = line.foodId ?? line.name;
    const g = taken.get(key) ?? 0;
    // parts are weighed by five grams at the bench
    expect(Math.abs(g - line.massG), `${key}: ${g} taken, ${line.massG} bought`).toBeLessThan(
      12 + 0.03 * line.massG,
    );
    taken.delete(key);
  }
  const more = [...taken].filter(([, g]) => g > 0.01);
  expect(more, 'taken and never bought').toEqual([]);
}
const fresh = (change: (build: Build) => void): Build => {
  const build = newBuild('takes', 'Takes', '2027-05-03T09:30:00Z');
  change(build);
  return build;
};

describe('what the steps take', () => {
  it.each(['jubilee', 'comet-crepes', 'fig-and-walnut', 'harbour-light', 'night-watch', 'aurora'])(
    'is what is bought for %s',
    (name) => expectBought(planBuild(demo(name), pantry)),
  );
  it('is what is bought, for random builds', () => {
    fc.assert(
      fc.property(anyBuild, (build) => expectBought(planBuild(build, pantry))),
      { numRuns: 60 },
    );
  });
  it('is counted through recipes in recipes, each made before what it goes into', () => {
    const own = startingPantry();
    const recipe = (id: string): Recipe => own.recipes.find((row) => row.id === id)!;
    const sugared = { ...recipe('recipe-curd'), id: 'own-inner', name: 'Inner curd' };
    const line = (recipeId: string, massG: number) => ({
      name: recipeId,
      massG,
      allergens: [],
      foodId: null,
      recipeId,
    });
    own.recipes.push(sugared, {
      ...recipe('recipe-curd'),
      id: 'own-outer',
      name: 'Outer',
      ingredients: [...recipe('recipe-curd').ingredients, line('own-inner', 80)],
    });
    const sponge = own.sponges.find(({ id }) => id === 'butter')!;
    recipe(sponge.recipeId).ingredients.push(line('own-outer', 100));
    const plan = planBuild(
      fresh(({ tiers }) => void (tiers[0]!.spongeId = 'butter')),
      own,
    );
    const steps = stepsOf(plan);
    const at = (key: string): number => steps.findIndex((step) => step.key === key);
    expect(at('tier-1/part/own-inner')).toBeGreaterThanOrEqual(0);
    expect(at('tier-1/part/own-inner')).toBeLessThan(at('tier-1/part/own-outer'));
    expect(at('tier-1/part/own-outer')).toBeLessThan(at('tier-1/weigh'));
    // the inner one is hot from the pan and cools before it goes in
    expect(steps[at('tier-1/part/own-inner') + 1]!.hold).not.toBeNull();
    expectBought(plan, own.foods);
  });
});

describe('fruit is made ready', () => {
  const berries = fresh(({ tiers: [tier] }) => {
    tier!.gaps[0]!.pieces = [
      { ...newPieces(), name: 'strawberries', foodId: 'strawberries', share: 0.6 },
    ];
    tier!.inclusions = [
      {
        ...newInclusion('pieces'),
        name: 'raisins',
        foodId: 'raisins',
        gPerKg: 150,
        densityGPerMl: 1.2,
        allergens: [],
        waterShare: 0.16,
        tempC: 20,
      },
    ];
  });
  const plan = planBuild(berries, pantry);
  const steps = stepsOf(plan);
  const at = (start: string): Step => steps.find(({ key }) => key.startsWith(start))!;
  it('with what comes off it, and what it drinks', () => {
    const washed = at('prepare/strawberries');
    expect(washed.kind).toBe('prepare');
    const used = steps.find(({ kind }) => kind === 'spread')!.takes[0]!.massG;
    expect(washed.amounts.at(-1)!.value).toBeCloseTo(used, 9);
    expect(washed.amounts[0]!.value).toBeCloseTo(used / 0.93, 9);
    const soaked = at('prepare/raisins');
    const folded = at('tier-1/weigh').takes.find(({ foodId }) => foodId === 'raisins')!.massG;
    // 120 g drained were 100 g, with as much hot water poured over
    expect(soaked.amounts.map(({ value }) => value / folded)).toEqual([1 / 1.2, 1 / 1.2, 1]);
    expect(soaked.hazards).toContain('steam');
    expectBought(plan);
  });
  it('before it is used, and not so long before that it weeps', () => {
    const order = steps.map(({ key }) => key);
    expect(order.indexOf(at('prepare/raisins').key)).toBeLessThan(order.indexOf('tier-1/mix'));
    const tasks = tasksOf(berries, plan);
    const placed = new Map(placedOf(berries, tasks).map((one) => [one.id, one]));
    const washed = tasks.find(({ id }) => id.startsWith('prepare/strawberries'))!;
    const user = tasks.find(({ after }) => after.some(({ id }) => id === washed.id))!;
    expect(user.stepKeys.some((key) => key.startsWith('tier-1/fill/'))).toBe(true);
    expect(user.after.find(({ id }) => id === washed.id)!.mostMin).toBe(240);
    const waited = placed.get(user.id)!.startMin - placed.get(washed.id)!.endMin;
    expect(waited).toBeGreaterThanOrEqual(-1e-6);
    expect(waited).toBeLessThanOrEqual(240);
  });
  it('for the last moment apart from what is filled in', () => {
    const both = structuredClone(berries);
    both.tiers[0]!.toppings.push({
      ...structuredClone(demo('jubilee').tiers.flatMap(({ toppings }) => toppings)[0]!),
      id: 'late',
      foodId: 'strawberries',
      kind: 'pieces',
      eaten: true,
      tray: null,
      last: true,
    });
    // for the venue before it leaves, at home right before it is put on
    for (const [byRoad, next] of [
      [true, 'road'],
      [false, 'late/put'],
    ] as const) {
      both.journey = { ...both.journey, byRoad };
      const keys = stepsOf(planBuild(structuredClone(both), pantry)).map(({ key }) => key);
      expect(keys).toContain('prepare/strawberries/tier-1');
      expect(keys.indexOf('prepare/strawberries/cake/last')).toBe(keys.indexOf(next) - 1);
    }
  });
  it('in grams that add up, whatever comes off', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 5000, noNaN: true }),
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        (readyG, leftShare, drainedShare) => {
          const prep = { ...pantry.foods.find(({ id }) => id === 'raisins')!.prep!, leftShare, drainedShare }; // prettier-ignore
          const made = preparedFrom(readyG, prep);
          expect(made.cleanG / made.boughtG).toBeCloseTo(leftShare, 9);
          expect(made.readyG / made.cleanG).toBeCloseTo(drainedShare, 9);
        },
      ),
    );
  });
});

describe('nuts that are toasted and ground', () => {
  const own = startingPantry();
  own.kitchen.processorG = 60;
  const nuts = own.foods.find(({ id }) => id === 'hazelnuts')!;
  nuts.prep = { ways: ['toast', 'grind'], minPer100G: 2, leftShare: 0.96, inShare: 0, drainedShare: 1, leastMin: 0, mostMin: null }; // prettier-ignore
  const build = fresh((one) => {
    one.tiers[0]!.pressed = { name: 'hazelnuts', foodId: 'hazelnuts', gPerCm2: 0.3, cover: 1, bandMm: 60, onTop: false, allergens: [] }; // prettier-ignore
  });
  const plan = planBuild(build, own);
  const steps = stepsOf(plan);
  const line = steps.find(({ kind }) => kind === 'toast')!.line.id;
  const own3 = steps.filter(({ line: of }) => of.id === line);
  it('are toasted, cold, and only then ground, in lots that stay nuts', () => {
    expect(own3.map(({ kind }) => kind)).toEqual(['toast', 'put in', 'grind']);
    const [toast, cool, grind] = own3;
    expect(toast!.oven!.minutes).toBe(10);
    expect(cool!.timer!.minutes).toBe(30);
    const readyG = grind!.amounts.find(({ label }) => label === 'ready')!.value;
    const lots = Math.ceil(readyG / 60);
    expect(lots).toBeGreaterThan(1);
    expect(grind!.lead!.text).toContain(`${lots} lots`);
    expect(grind!.lead!.values!.each!.value).toBeCloseTo(readyG / lots, 9);
    expect(grind!.handsOnMin).toBeCloseTo((2 * readyG) / 100 + 2 * (lots - 1), 9);
    expect(grind!.hazards).toContain('running machine');
  });
  it('take the oven, and are bought with what comes off them', () => {
    const tasks = tasksOf(build, plan);
    const toasted = tasks.find(({ stepKeys }) => stepKeys.includes(own3[0]!.key))!;
    expect(toasted.uses).toEqual([{ resource: 'oven', amount: 1, when: 'wait', leadMin: 20 }]);
    const placed = placedOf(build, tasks);
    const at = (key: string) => placed.find(({ id }) => id === tasks.find(({ stepKeys }) => stepKeys.includes(key))!.id)!; // prettier-ignore
    expect(at('tier-1/pressed').startMin).toBeGreaterThanOrEqual(at(own3[2]!.key).endMin);
    expectBought(plan, own.foods);
  });
});
