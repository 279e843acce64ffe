import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  alcoholByVolume,
  alcoholShareOf,
  dayTasks,
  ethanolGPerMl,
  findRow,
  foodOf,
  planBuild,
  soakAlcohol,
  soakNeeds,
  syrupGPerMl,
  type Build,
  type Pantry,
  type Plan,
  type Step,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { demo, placedOf, placeOf, stepsOf } from './work-kit.ts';

/** A cake soaked with a recipe. */
const soaked = (soakId: string | null, more: (build: Build) => void = () => {}): Build => {
  const build = structuredClone(demo('meridian'));
  build.tiers[0]!.soak = 'medium';
  build.tiers[0]!.soakId = soakId;
  more(build);
  return build;
};
const rum = 'recipe-rum-soak';
const planOf = (build: Build): Plan => planBuild(build, pantry);
const stepAt = (plan: Plan, key: string): Step => {
  const steps = stepsOf(plan);
  return steps[placeOf(steps, key)]!;
};
const bought = (plan: Plan, foodId: string): number =>
  (plan.ingredients.ok ? plan.ingredients.value : [])
    .filter((one) => one.foodId === foodId)
    .reduce((sum, { massG }) => sum + massG, 0);

describe('what layers are soaked with', () => {
  it('weighs by its own density, face by face, and adds up to what is made', () => {
    for (const id of [null, rum, 'recipe-coffee-soak']) {
      const plan = planOf(soaked(id));
      const { soak } = plan.tiers[0]!;
      const gPerMl = findRow(pantry, 'recipes', id ?? 'recipe-syrup').soakGPerMl!;
      for (const each of soak) {
        expect(each.massG).toBeCloseTo(each.ml * gPerMl, 9);
        expect(each.faceG * each.faces).toBeCloseTo(each.massG, 9);
      }
      const [need] = soakNeeds(soaked(id).tiers, plan.tiers);
      expect(need!.massG).toBeCloseTo(
        soak.reduce((sum, { massG }) => sum + massG, 0),
        9,
      );
      const list = stepAt(plan, `${plan.tiers[0]!.tierId}/soak`).list;
      const brushed = soak.filter(({ ml }) => ml > 0);
      expect(list.map(({ value }) => value)).toEqual(brushed.map(({ faceG }) => faceG));
    }
  });
  it('goes on both faces of a layer that is thick, on one of a thin one', () => {
    const of = (heightMm: number): number[] =>
      planOf(soaked(null, (b) => b.tiers[0]!.layers.forEach((layer) => (layer.heightMm = heightMm))))
        .tiers[0]!.soak.map(({ faces }) => faces); // prettier-ignore
    expect(new Set(of(20))).toEqual(new Set([1]));
    expect(new Set(of(21))).toEqual(new Set([2]));
  });
  it('is made of its own recipe, bought for it, and finished when it is cold', () => {
    const plan = planOf(soaked(rum));
    const steps = stepsOf(plan);
    const batch = `bowl/soak/${rum}`;
    const order = ['make', 'hold/1', 'then/1'].map((what) => placeOf(steps, `${batch}/${what}`));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(bought(plan, 'rum')).toBeGreaterThan(0);
    expect(bought(planOf(soaked(null)), 'rum')).toBe(0);
    // cold by then, and no flame beside it
    const finish = steps[order[2]!]!;
    expect(finish.hotC).toBeLessThan(45);
    expect(finish.cautions.map(({ text }) => text).join()).toContain('no flame');
  });
  it('is one batch for all tiers of one recipe, and its own for each other', () => {
    const build = structuredClone(demo('jubilee'));
    build.tiers.forEach((tier, i) => {
      tier.soak = 'light';
      tier.soakId = i === 2 ? rum : null;
    });
    const plan = planOf(build);
    const needs = soakNeeds(build.tiers, plan.tiers);
    expect(needs.map(({ recipeId, tiers }) => [recipeId, tiers.length])).toEqual([
      ['recipe-syrup', 2],
      [rum, 1],
    ]);
    const keys = stepsOf(plan).map(({ key }) => key);
    expect(keys).toEqual(expect.arrayContaining(['bowl/syrup/make', `bowl/soak/${rum}/make`]));
  });
  it('has cooled before its tier is filled, by the plan of the days', () => {
    const build = soaked(rum);
    const plan = planOf(build);
    const tasks = dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));
    const placed = placedOf(build, tasks);
    const at = (key: string) =>
      placed.find(({ id }) => id === tasks.find(({ stepKeys }) => stepKeys.includes(key))!.id)!;
    expect(at(`${build.tiers[0]!.id}/soak`).startMin).toBeGreaterThanOrEqual(
      at(`bowl/soak/${rum}/then/1`).endMin - 1e-6,
    );
  });
  it('that the pantry has no more says so, and the rest of the plan stands', () => {
    const plan = planOf(soaked('gone'));
    expect(plan.unknownLines).toContain('soaking syrup');
    expect(stepsOf(plan).some(({ kind }) => kind === 'brush syrup')).toBe(true);
  });
});

describe('alcohol', () => {
  it('by volume follows from what is in it: three tenths of rum of 40 % by volume', () => {
    const recipe = findRow(pantry, 'recipes', rum);
    const alcoholG = 300 * foodOf(pantry.foods, 'rum')!.alcoholShare;
    expect(alcoholShareOf(recipe, pantry)).toBeCloseTo(alcoholG / recipe.yieldG, 12);
    const { byVolume, massG, dilution } = soakAlcohol({ soakId: rum }, [{ massG: 200 }], pantry);
    expect(byVolume).toBeCloseTo(((alcoholG / recipe.yieldG) * 1.11) / ethanolGPerMl, 12);
    expect(byVolume).toBeGreaterThan(0.12);
    expect(byVolume).toBeLessThan(0.16);
    expect(massG).toBeCloseTo((200 * alcoholG) / recipe.yieldG, 9);
    expect(soakAlcohol({ soakId: rum }, [{ massG: 200 }], pantry, 8).servingG).toBeCloseTo(massG / 8, 9); // prettier-ignore
    expect(dilution).toBe(0);
    expect(soakAlcohol({ soakId: null }, [{ massG: 200 }], pantry)).toMatchObject({ byVolume: 0, massG: 0 }); // prettier-ignore
  });
  it('of recipes in a recipe is counted, and a recipe in itself ends', () => {
    const base = findRow(pantry, 'recipes', rum);
    const line = { name: 'x', massG: 100, allergens: [], foodId: null, recipeId: rum };
    const outer = { ...base, id: 'outer', yieldG: 200, ingredients: [line] };
    expect(alcoholShareOf(outer, pantry)).toBeCloseTo(alcoholShareOf(base, pantry) / 2, 12);
    const self = { ...base, id: 'self', ingredients: [{ ...line, recipeId: 'self' }] };
    const book: Pantry = { ...pantry, recipes: [...pantry.recipes, self] };
    expect(alcoholShareOf(self, book)).toBe(0);
  });
  it('too strong is brought down by so much plain syrup, whatever it is', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 0.9, noNaN: true }), fc.double({ min: 0.85, max: 1.3, noNaN: true }), (share, soakGPerMl) => {
        const strong = { ...findRow(pantry, 'recipes', rum), id: 'strong', soakGPerMl, yieldG: 100, ingredients: [{ name: 'x', massG: 100, allergens: [], foodId: 'spirit', recipeId: null }] }; // prettier-ignore
        const spirit = { ...foodOf(pantry.foods, 'rum')!, id: 'spirit', waterShare: 0, alcoholShare: share }; // prettier-ignore
        const book = { recipes: [strong], foods: [spirit] };
        const { byVolume, dilution } = soakAlcohol({ soakId: 'strong' }, [], book);
        expect(byVolume).toBeCloseTo(alcoholByVolume(share, soakGPerMl), 12);
        expect(dilution > 0).toBe(byVolume > 0.2 && share / ethanolGPerMl / 0.2 > 1 / soakGPerMl);
        if (dilution > 0) {
          const ml = 1 / soakGPerMl + dilution / syrupGPerMl;
          expect(share / ethanolGPerMl / ml).toBeCloseTo(0.2, 9);
        }
      }),
      { numRuns: 60, seed: 13 },
    ); // prettier-ignore
  });
  it('is said where it is brushed on, and more strongly where it is torched', () => {
    const caution = (build: Build) => planOf(build).cautions.find(({ id }) => id.endsWith('/soak alcohol')); // prettier-ignore
    expect(caution(soaked(null))).toBeUndefined();
    expect(caution(soaked(rum))!.severity).toBe('note');
    const boxed = (id: string | null) => stepAt(planOf(soaked(id)), 'box').checks.some((text) => text.includes('alcohol')); // prettier-ignore
    expect([boxed(rum), boxed(null)]).toEqual([true, false]);
    expect(caution(soaked(rum, (b) => (b.tiers[0]!.torched = true)))!.severity).toBe('mind');
    const diet = planOf(soaked(rum, (b) => (b.brief.diets = ['no alcohol'])));
    expect(diet.cautions.some(({ severity, title }) => severity === 'stop' && /alcohol/.test(title.text))).toBe(true); // prettier-ignore
  });
});
