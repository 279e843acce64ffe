import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planBuild, productsOf, type Build, type Product } from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';
import { demo, stepsOf } from './work-kit.ts';

/* Everything that is made on the way goes somewhere: given = taken + lost + left, to the gram. */

const sum = (shares: readonly { massG: number }[]): number =>
  shares.reduce((all, { massG }) => all + massG, 0);
const made = (build: Build): Product[] => productsOf(build, planBuild(build, pantry));
const names = ['jubilee', 'meridian', 'comet-crepes', 'fig-and-walnut', 'harbour-light', 'aurora'];

function expectBalanced(build: Build): void {
  const plan = planBuild(build, pantry);
  const products = productsOf(build, plan);
  expect(new Set(products.map(({ id }) => id)).size).toBe(products.length);
  const keys = new Set(plan.steps.ok ? plan.steps.value.map(({ key }) => key) : []);
  for (const { id, givenG, taken, lost, leftG } of products) {
    expect(Math.abs(sum(taken) + sum(lost) + leftG - givenG), id).toBeLessThan(
      1e-6 * Math.max(1, givenG),
    );
    // parts of a gram are parts of a gram
    expect(leftG, `${id} is short`).toBeGreaterThan(-1e-6 * Math.max(1, givenG));
    for (const { massG } of [...taken, ...lost]) expect(massG, id).toBeGreaterThanOrEqual(0);
    // whoever takes of it is a step of the sheet
    if (plan.steps.ok)
      for (const { step } of taken) if (step !== null) expect(keys, id).toContain(step);
  }
}

describe('what is made on the way', () => {
  it.each(names)('is all accounted for in %s', (name) => expectBalanced(demo(name)));
  it('is all accounted for, whatever the build', () => {
    fc.assert(fc.property(anyBuild, expectBalanced), { seed: 20270619, numRuns: 40 });
  });
  it('what a cake weighs out of its tin is what went in, less what the oven took', () => {
    const build = demo('meridian');
    const plan = planBuild(build, pantry);
    const bake = plan.tiers[0]!.bake;
    if (!bake.ok) throw new Error('no bake');
    const cakes = productsOf(build, plan).filter(({ kind }) => kind === 'cake');
    expect(cakes.length).toBe(bake.value.cakes.length);
    cakes.forEach(({ givenG, lost }, i) => {
      const oven = lost.find(({ label }) => label === 'in the oven')!;
      expect(givenG - oven.massG).toBeCloseTo(bake.value.cakes[i]!.bakedG, 6);
    });
    // and the batter fills the tins, with no more than a few grams over
    const batter = productsOf(build, plan).find(({ kind }) => kind === 'batter')!;
    expect(sum(batter.taken)).toBeCloseTo(sum(cakes.map(({ givenG }) => ({ massG: givenG }))), 6);
    expect(batter.leftG).toBeLessThan(5);
  });
  it('layers of other kinds get what was mixed for them', () => {
    const crepes = made(demo('comet-crepes')).filter(({ kind }) => kind === 'mixture');
    expect(crepes).toHaveLength(1);
    expect(crepes[0]!.taken.length).toBe(2);
    expect(crepes[0]!.lost[0]!.massG).toBeGreaterThan(0);
  });
  it('the grams of a step are the grams that it takes of its bowl', () => {
    const build = demo('jubilee');
    const steps = stepsOf(planBuild(build, pantry));
    for (const { taken, kind, name } of made(build)) {
      if (kind !== 'bowl') continue;
      for (const { step, massG, label } of taken) {
        const at = steps.find(({ key }) => key === step);
        if (!at || at.kind !== 'spread') continue;
        const amounts = at.amounts.map(({ value }) => value);
        const near = Math.min(...amounts.map((g) => Math.abs(g - massG)));
        expect(near, `${name}: ${label}`).toBeLessThan(0.5);
      }
    }
  });
});
