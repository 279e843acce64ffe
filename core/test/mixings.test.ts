import { describe, expect, it } from 'vitest';
import {
  batchCards,
  newBuild,
  newInclusion,
  planBuild,
  setBatterTint,
  type Build,
  type Pantry,
  type Step,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { demo, placedOf, stepsOf, tasksOf } from './work-kit.ts';

/* Tiers of one batter that bake together: mixed once, as far as the mixer holds it. */

/** The jubilee cake with all its tiers of one sponge. */
function oneSponge(change: (build: Build) => void = () => {}): Build {
  const build = structuredClone(demo('jubilee'));
  for (const tier of build.tiers) tier.spongeId = 'butter';
  change(build);
  return build;
}
const roomy: Pantry = {
  ...pantry,
  kitchen: { ...pantry.kitchen, shelves: 3, shelfWideMm: 900, shelfDeepMm: 900, mixerMl: 20_000 },
  tins: pantry.tins.map((tin) => ({ ...tin, owned: 4 })),
};
const baking = (build: Build, own: Pantry = roomy) => {
  const plan = planBuild(build, own);
  const steps = stepsOf(plan);
  const of = (kind: Step['kind']): Step[] =>
    steps.filter((step) => step.kind === kind && step.line.load !== null);
  return { plan, steps, of };
};

describe('tiers of one batter in one load', () => {
  it('are weighed out and mixed once, and their tins are lined before', () => {
    const build = oneSponge();
    const { of, steps } = baking(build);
    expect(of('mix')).toHaveLength(1);
    expect(of('weigh')).toHaveLength(1);
    expect(of('fill tin')).toHaveLength(3);
    const [mix] = of('mix');
    expect(mix!.sharedBy).toHaveLength(2);
    expect(mix!.title).toContain(build.tiers.map(({ name }) => name).join(', '));
    const at = steps.indexOf(mix!);
    for (const lined of of('line tin')) expect(steps.indexOf(lined)).toBeLessThan(at);
    for (const filled of of('fill tin')) expect(steps.indexOf(filled)).toBeGreaterThan(at);
    // all of it is shared out: each tier's part, and its tins
    const [all, ...parts] = mix!.amounts.map(({ value }) => value);
    expect(parts.reduce((sum, g) => sum + g, 0)).toBeCloseTo(all!, 6);
    const tins = of('fill tin').flatMap(({ amounts }) => amounts);
    expect(tins.reduce((sum, { value }) => sum + value, 0)).toBeCloseTo(all!, 6);
  });
  it('take what is bought, to the gram', () => {
    const { plan, steps } = baking(oneSponge());
    if (!plan.ingredients.ok) throw new Error(plan.ingredients.problem);
    const flour = 'plain-flour';
    const taken = steps
      .flatMap(({ takes }) => takes)
      .reduce((sum, { foodId, massG }) => sum + (foodId === flour ? massG : 0), 0);
    const bought = plan.ingredients.value.find(({ foodId }) => foodId === flour)!.massG;
    expect(taken).toBeGreaterThan(300);
    expect(taken).toBeCloseTo(bought, 1);
  });
  it('are mixed apart where something is folded into one, or where they bake in another load', () => {
    const folded = oneSponge(({ tiers }) => {
      tiers[1]!.inclusions = [{ ...newInclusion('raisins'), way: 'folded in' }];
    });
    expect(baking(folded).of('mix')).toHaveLength(2);
    const weighed = oneSponge(({ tiers }) => {
      tiers[1]!.bowl = { fullG: 2000, emptyG: 600, pouredG: [] };
    });
    expect(baking(weighed).of('mix')).toHaveLength(2);
    const small = { ...roomy, kitchen: { ...roomy.kitchen, shelves: 1, shelfWideMm: 330, shelfDeepMm: 330 } }; // prettier-ignore
    const { of } = baking(oneSponge(), small);
    const loads = new Set(of('bake').map(({ line }) => line.load));
    expect(loads.size).toBeGreaterThan(1);
    expect(of('mix').length).toBeGreaterThan(1);
  });
  it('are mixed in equal parts that the mixer holds', () => {
    const mini = { ...roomy, kitchen: { ...roomy.kitchen, mixerMl: 3000 } };
    const { of } = baking(oneSponge(), mini);
    expect(of('mix')).toHaveLength(1);
    const times = of('weigh')[0]!.list[0]!.times!;
    const { bake } = planBuild(oneSponge(), mini).tiers[0]!;
    if (!bake.ok) throw new Error(bake.problem);
    const [one] = bake.value.cakes;
    const mlPerG = one!.batterMl / one!.batterG;
    expect(times).toBeGreaterThan(1);
    expect((of('mix')[0]!.amounts[0]!.value * mlPerG) / times).toBeLessThan(3000 * 0.61);
    expect(of('mix')[0]!.handsOnMin).toBeGreaterThanOrEqual(20 * times);
  });
  it('take less hands than mixed apart, and have one card that names all tins', () => {
    const build = oneSponge();
    const { plan, steps } = baking(build);
    const handsOf = (some: readonly Step[]): number =>
      some.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0);
    const apart = oneSponge(({ tiers }) => (tiers[2]!.spongeId = 'chocolate'));
    expect(handsOf(steps)).toBeLessThan(handsOf(baking(apart).steps));
    const tasks = tasksOf(build, plan);
    const cards = batchCards({ build, plan, steps, tasks, placed: placedOf(build, tasks), pantry: roomy }); // prettier-ignore
    const batter = cards.filter(({ id }) => id.endsWith('/weigh'));
    expect(batter).toHaveLength(1);
    expect(batter[0]!.goesInto.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(
      batter[0]!.makeG,
      6,
    );
  });
});

describe('batter in colours', () => {
  const rainbow = (change: (build: Build) => void = () => {}): Build => {
    const build = newBuild('b', 'B', '2027-05-03T09:30:00Z');
    const [tier] = build.tiers;
    tier!.slicesPerCake = 1;
    ['', 'rose', 'rose', 'deep blue'].forEach((tint, i) => (tier!.layers[i]!.tint = tint));
    build.colours = [
      { name: 'rose', hex: '#f3c4cf', gPerKg: 1, doses: [] },
      { name: 'deep blue', hex: '#1e2a52', gPerKg: 8, doses: [] },
    ];
    change(build);
    return build;
  };
  const tins = { ...roomy, kitchen: { ...roomy.kitchen, shelves: 4 } };
  it('is mixed once, divided by weight, coloured, and poured tin by tin', () => {
    const { of, plan, steps } = baking(rainbow(), tins);
    expect(of('mix')).toHaveLength(1);
    const [colour] = of('colour');
    const [plainG, roseG, blueG] = colour!.amounts.map(({ value }) => value);
    expect(roseG).toBeCloseTo(2 * blueG!, 6);
    expect(plainG! + roseG! + blueG!).toBeCloseTo(of('mix')[0]!.amounts[0]!.value, 6);
    // 1 g and 8 g of gel to the kilogram
    const gels = colour!.list.map(({ value }) => value);
    expect(gels[0]).toBeCloseTo(roseG! / 1000, 6);
    expect(gels[1]).toBeCloseTo((8 * blueG!) / 1000, 6);
    const tinLabels = of('fill tin').flatMap(({ amounts }) => amounts.map(({ label }) => label));
    expect(tinLabels).toEqual(['tin 1', 'tin 2, rose', 'tin 3, rose', 'tin 4, deep blue']);
    expect(steps.indexOf(colour!)).toBeGreaterThan(steps.indexOf(of('mix')[0]!));
    expect(steps.indexOf(colour!)).toBeLessThan(steps.indexOf(of('fill tin')[0]!));
    if (!plan.ingredients.ok) throw new Error(plan.ingredients.problem);
    const gelG = plan.ingredients.value
      .filter(({ foodId }) => foodId === 'colour-gel')
      .reduce((sum, { massG }) => sum + massG, 0);
    expect(gelG).toBeCloseTo(gels[0]! + gels[1]!, 6);
  });
  it('is drawn as it comes out, layer by layer', () => {
    const { section } = planBuild(rainbow(), tins);
    const tones = section.parts.filter(({ kind }) => kind === 'layer').map(({ tone }) => tone);
    expect(tones).toEqual(['butter', '#f3c4cf', '#f3c4cf', '#1e2a52']);
  });
  it('of two colours in one cake says so, and draws the one that it bakes to', () => {
    const build = rainbow(({ tiers }) => (tiers[0]!.slicesPerCake = 2));
    const plan = planBuild(build, tins);
    const said = plan.cautions.filter(({ id }) => id.includes('/colours/'));
    expect(said.map(({ part }) => part)).toEqual(['tier-1/layer/0', 'tier-1/layer/2']);
    const tones = plan.section.parts.filter(({ kind }) => kind === 'layer').map(({ tone }) => tone);
    expect(tones).toEqual(['butter', 'butter', '#f3c4cf', '#f3c4cf']);
    const one = structuredClone(build);
    setBatterTint(one.tiers[0]!, 3, 'rose');
    setBatterTint(one.tiers[0]!, 0, '');
    expect(planBuild(one, tins).cautions.some(({ id }) => id.includes('/colours/'))).toBe(false);
  });
  it('of one colour is one bowl, and of none has no step for it', () => {
    const all = baking(rainbow(({ tiers }) => tiers[0]!.layers.forEach((layer) => (layer.tint = 'rose'))), tins); // prettier-ignore
    expect(all.of('colour')[0]!.amounts).toHaveLength(1);
    const none = baking(rainbow(({ tiers }) => tiers[0]!.layers.forEach((layer) => (layer.tint = ''))), tins); // prettier-ignore
    expect(none.of('colour')).toEqual([]);
  });
});
