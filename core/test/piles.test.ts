import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pileStripes } from '../src/section/pile-parts.ts';
import {
  boughtInstead,
  limits,
  onePile,
  pileCount,
  pileCounts,
  pileHeight,
  planBuild,
  type Build,
  type SectionPart,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { demo, stepsOf } from './work-kit.ts';

const thick = fc.double({ min: 0.5, max: 20, noNaN: true });
const fill = fc.double({ min: 0, max: 8, noNaN: true });
const crepes = (change: (build: Build) => void = () => {}): Build => {
  const build = structuredClone(demo('comet-crepes'));
  change(build);
  return build;
};
const betweenParts = (build: Build, layer: number): SectionPart[] =>
  planBuild(build, pantry).section.parts.filter(({ id }) => id.includes(`/layer/${layer}/between-`)); // prettier-ignore

describe('many thin layers', () => {
  it('are as many as were typed: their height gives their count back', () => {
    fc.assert(
      fc.property(thick, fill, fc.double({ min: 0, max: 1, noNaN: true }), (piece, between, at) => {
        const { min, max } = pileCounts(piece, between);
        const count = Math.round(min + at * (max - min));
        const mm = pileHeight(count, piece, between);
        expect(pileCount(mm, piece, between)).toBe(count);
        if (max > min) {
          expect(mm).toBeGreaterThanOrEqual(limits.layerMm.min - 1e-6);
          expect(mm).toBeLessThanOrEqual(limits.layerMm.max + 1e-6);
        }
      }),
      { numRuns: 200, seed: 17 },
    );
  });
  it('are drawn one by one, from foot to top, with what lies between in its own hatch', () => {
    fc.assert(
      fc.property(thick, fill, fc.integer({ min: 2, max: 40 }), fc.double({ min: 0.7, max: 1.4, noNaN: true }), (piece, between, count, stretch) => {
        const heightMm = pileHeight(count, piece, between) * stretch;
        const layer = { heightMm, between: between > 0 ? { spreadId: 'cream', heightMm: between } : null };
        const row = { ...pantry.others[0]!, thicknessMm: piece };
        const stripes = pileStripes(layer, { count, row });
        expect(stripes).toHaveLength(count - 1);
        let under = 0;
        for (const { fromMm, toMm, isFilled } of stripes) {
          expect(fromMm).toBeGreaterThan(under - 1e-9);
          expect(isFilled).toBe(between > 0);
          if (isFilled) expect(fromMm - under).toBeCloseTo(piece * stretch, 6);
          under = toMm;
        }
        if (between > 0) expect(heightMm - under).toBeCloseTo(piece * stretch, 6);
      }),
      { numRuns: 100, seed: 17 },
    ); // prettier-ignore
    const [, layer] = demo('comet-crepes').tiers[0]!.layers;
    const own = betweenParts(crepes(), 1);
    expect(own).toHaveLength(9);
    expect(layer!.between).not.toBeNull();
    const bare = betweenParts(
      crepes((b) => (b.tiers[0]!.layers[1]!.between = null)),
      1,
    );
    expect(bare.every(({ tone }) => tone === 'paper')).toBe(true);
    expect(own.every(({ tone }) => tone !== 'paper')).toBe(true);
  });
  it('are named together where a tier is nothing else', () => {
    const named = (build: Build) => {
      const { others } = planBuild(build, pantry).tiers[0]!;
      return others.ok ? onePile(build.tiers[0]!, others.value) : null;
    };
    expect(named(crepes())).toEqual({ name: 'Crepe', count: 20 });
    expect(named(crepes((b) => (b.tiers[0]!.layers[0]!.otherId = null)))).toBeNull();
  });
  it('count what lies between them as filling', () => {
    const share = (build: Build): number => planBuild(build, pantry).tiers[0]!.stack.fillingShare;
    // 18 times 2 mm in the layers, and 9 mm between them, of 69 mm
    expect(share(crepes())).toBeCloseTo(45 / 69, 2);
    expect(share(crepes((b) => b.tiers[0]!.layers.forEach((layer) => (layer.between = null))))).toBeCloseTo(9 / 69, 2); // prettier-ignore
  });
  it('have one list of ticks at the bench, by fives, and their grams on each but the last', () => {
    const plan = planBuild(crepes(), pantry);
    const pile = stepsOf(plan).find(({ title }) => title.startsWith('Build up layer 1'))!;
    expect(pile.checks.slice(0, 2)).toEqual(['1 to 5 on, straight from two sides', '6 to 10 on, straight from two sides']); // prettier-ignore
    const other = plan.tiers[0]!.others;
    if (!other.ok) throw new Error(other.problem);
    for (const { eachG, betweenG, count } of other.value)
      expect(eachG * (count - 1)).toBeCloseTo(betweenG, 9);
  });
});

describe('layers bought in place of made', () => {
  it('are as many and as high, taken from packs, and nothing of them is mixed, cooked or baked', () => {
    const row = pantry.others.find(({ id }) => id === 'crepe')!;
    const bought = boughtInstead(row);
    const own = { ...pantry, others: [...pantry.others, bought] };
    const build = crepes(({ tiers }) =>
      tiers[0]!.layers.forEach((layer) => layer.otherId === 'crepe' && (layer.otherId = bought.id)),
    );
    const [made, inPacks] = [planBuild(crepes(), pantry), planBuild(build, own)];
    const of = (plan: typeof made) => (plan.tiers[0]!.others.ok ? plan.tiers[0]!.others.value : []);
    expect(of(inPacks).map(({ count }) => count)).toEqual(of(made).map(({ count }) => count));
    const count = of(inPacks).reduce((sum, one) => sum + one.count, 0);
    expect(of(inPacks)[0]!.packs).toBe(Math.ceil(of(inPacks)[0]!.count / bought.packCount!));
    expect(count).toBeGreaterThan(0);
    expect(stepsOf(inPacks).some(({ kind }) => kind === 'cook thin layers')).toBe(false);
    expect(stepsOf(made).some(({ kind }) => kind === 'cook thin layers')).toBe(true);
    if (!inPacks.ingredients.ok) throw new Error(inPacks.ingredients.problem);
    const bag = inPacks.ingredients.value.find(({ name }) => name === bought.name)!;
    expect(bag.massG).toBeCloseTo(
      of(inPacks).reduce((sum, { ownG }) => sum + ownG, 0),
      6,
    );
  });
});
