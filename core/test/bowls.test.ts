import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  metric,
  showText,
  mergeIngredients,
  newBuild,
  newPiping,
  planBuild,
  scaleRecipe,
  type Bowl,
  type Build,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';

const fresh = (): Build => newBuild('b', 'Test', '2027-05-03T09:30:00Z');
const bowl = (build: Build, id: string): Bowl => {
  const plan = planBuild(build, pantry);
  if (!plan.bowls.ok) throw new Error(plan.bowls.problem);
  return plan.bowls.value.find((b) => b.spreadId === id)!;
};
const grams = (b: Bowl, kind: string): number =>
  [...b.uses, ...b.losses].filter((u) => u.kind === kind).reduce((sum, u) => sum + u.massG, 0);

describe('a bowl', () => {
  it('is shared out in working order, with what is lost', () => {
    const build = fresh();
    build.piping = [newPiping('p', 400)];
    for (const gap of build.tiers[0]!.gaps) gap.damMm = 10;
    const b = bowl(build, 'buttercream');
    const order = b.uses.map((u) => u.kind);
    expect(order.filter((k, i) => k !== order[i - 1])).toEqual([
      'dab',
      'dam',
      'gap',
      'dam',
      'gap',
      'dam',
      'gap',
      'crumb',
      'coat',
      'piping',
      'reserve',
    ]);
    expect(grams(b, 'scrapings')).toBeCloseTo(0.15 * grams(b, 'crumb'), 9);
    // one bag for the dams, two for 400 g of piping
    expect(grams(b, 'bags')).toBe(60);
    expect(grams(b, 'reserve')).toBeCloseTo(0.03 * (grams(b, 'crumb') + grams(b, 'coat')), 9);
    expect(grams(b, 'tools')).toBeCloseTo(0.03 * (b.usedG + grams(b, 'scrapings') + 60), 9);
  });

  it('of another filling takes the gaps and leaves coat and dams where they were', () => {
    const build = fresh();
    for (const gap of build.tiers[0]!.gaps) Object.assign(gap, { spreadId: 'curd', damMm: 12 });
    expect(bowl(build, 'curd').uses.every((u) => u.kind === 'gap')).toBe(true);
    expect(grams(bowl(build, 'buttercream'), 'gap')).toBe(0);
    expect(grams(bowl(build, 'buttercream'), 'dam')).toBeGreaterThan(0);
  });

  it('beyond the mixer is made in several equal mixings', () => {
    const build = fresh();
    build.tiers[0]!.outline = { kind: 'square', sideMm: 380, cornerMm: 0 };
    const plan = planBuild(build, pantry);
    const batch = plan.batches.find((b) => b.spreadId === 'buttercream')!;
    expect(batch.largestMixG).toBeCloseTo(4800 * 0.55 * 0.95, 6);
    expect(batch.limit).toBe('mixer');
    expect(batch.mixes).toBe(Math.ceil(batch.needG / batch.largestMixG!));
    expect(batch.mixes).toBeGreaterThan(1);
    expect(batch.makeG).toBe(batch.mixes * batch.eachMixG);
    expect(batch.recipe.makesG).toBe(batch.eachMixG);
  });
});

describe('a batch', () => {
  it('is divided so that what is shown of the bowls adds up to what is shown of it', () => {
    const shown = (g: number): number => {
      const [number, unit] = showText(g, 'bowl', metric).split(' ');
      return Math.round(Number(number) * (unit === 'kg' ? 1000 : 1));
    };
    const tinted = fc.tuple(anyBuild, fc.integer({ min: 1, max: 5 })).map(([build, n]) => ({
      ...build,
      mixedApart: [],
      apart: [],
      piping: Array.from({ length: n }, (_, i) => ({
        ...newPiping(`p${i}`, 40 + 57 * i),
        spreadId: 'buttercream',
        tint: `blue ${i}`,
      })),
    }));
    let divided = 0;
    fc.assert(
      fc.property(tinted, (build) => {
        const { bowls, batches } = planBuild(build, pantry);
        if (!bowls.ok) return;
        for (const batch of batches) {
          const own = bowls.value.filter((each) => each.batchId === batch.id);
          divided += own.length > 1 ? 1 : 0;
          for (const each of own) expect(each.makeG).toBeGreaterThanOrEqual(each.safeG - 1e-6);
          // a batch in halves of its recipe need not come out by five grams
          const off = own.reduce((sum, each) => sum + each.makeG, 0) - batch.makeG;
          expect(Math.abs(off)).toBeLessThanOrEqual(batch.makeG < 500 ? 0.5 : 2.5);
          expect(own.reduce((sum, each) => sum + shown(each.makeG), 0)).toBe(shown(batch.makeG));
        }
      }),
      { numRuns: 40, seed: 10 },
    );
    expect(divided).toBeGreaterThan(20);
  });
});

describe('a recipe', () => {
  const recipe = pantry.recipes.find((r) => r.id === 'recipe-butter')!;
  it('scales every ingredient alike and opens whole eggs', () => {
    const scaled = scaleRecipe(recipe, recipe.yieldG * 1.3);
    scaled.ingredients.forEach((i, k) =>
      expect(i.massG).toBeCloseTo(recipe.ingredients[k]!.massG * 1.3, 9),
    );
    // 4 eggs times 1.3 are 5.2: six are opened, 260 g weighed out
    const eggs = scaled.ingredients.find((i) => i.pieces !== null)!;
    expect([eggs.pieces, Math.round(eggs.massG)]).toEqual([6, 260]);
  });
  it('of its own size opens the eggs it names', () => {
    expect(scaleRecipe(recipe, recipe.yieldG).ingredients.find((i) => i.pieces)!.pieces).toBe(4);
  });
  it('adds up with others into one list', () => {
    const once = scaleRecipe(recipe, 500);
    const list = mergeIngredients([...once.ingredients, ...once.ingredients, ...once.ingredients]);
    expect(list.find((i) => i.name === 'caster sugar')!.massG).toBeCloseTo(
      3 * once.ingredients.find((i) => i.name === 'caster sugar')!.massG,
      9,
    );
    expect(once.ingredients[0]!.massG).toBeCloseTo((225 * 500) / recipe.yieldG, 9);
  });
});
