import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  buildSchema,
  coatStyles,
  countServings,
  cuttings,
  draftBuilds,
  newBuild,
  planBuild,
  portions,
  type Build,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const asked = (change: Partial<Build['brief']>): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  Object.assign(build.brief, change);
  return build;
};

describe('draft it', () => {
  it('gives three different builds for forty', () => {
    const draft = draftBuilds(asked({ servings: 40 }), pantry);
    if (!draft.ok) throw new Error(draft.problem);
    expect(draft.proposals.map((p) => p.key)).toEqual(['even', 'low', 'tall']);
    const shapes = draft.proposals.map((p) => JSON.stringify(p.build.tiers[0]!.outline));
    expect(new Set(shapes).size).toBe(3);
    const heights = Object.fromEntries(
      draft.proposals.map((p) => [p.key, planBuild(p.build, pantry).tally]),
    );
    expect(heights.low!.heightMm).toBeLessThan(heights.even!.heightMm);
    expect(heights.tall!.heightMm).toBeGreaterThan(heights.even!.heightMm);
    expect(heights.low!.widthMm).toBeGreaterThan(heights.tall!.widthMm);
  });

  it('satisfies the servings it was asked for, by its own cutting map', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 140 }),
        fc.constantFrom(...portions),
        fc.constantFrom(...cuttings),
        fc.constantFrom(...coatStyles),
        (servings, portion, cutting, look) => {
          const draft = draftBuilds(asked({ servings, portion, cutting, look }), pantry);
          if (!draft.ok) {
            expect(draft.most).toBeLessThan(servings);
            return;
          }
          for (const { build, servings: promised } of draft.proposals) {
            expect(buildSchema.isValidSync(build, { strict: true })).toBe(true);
            const plan = planBuild(build, pantry);
            expect(plan.servings.count).toBe(promised);
            expect(plan.servings.spare).toBeGreaterThanOrEqual(0);
            const tier = build.tiers[0]!;
            expect(countServings(tier.outline, portion, cutting, build.brief.halves)).toBe(
              promised,
            );
            const stops = plan.cautions.filter((c) => c.severity === 'stop');
            expect(stops.map((c) => c.id)).toEqual([]);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('keeps allergens out where the pantry can', () => {
    const own = structuredClone(pantry);
    own.recipes.push({
      ...own.recipes.find((r) => r.id === 'recipe-buttercream')!,
      id: 'recipe-plain',
      ingredients: [
        { name: 'plant fat', massG: 1000, allergens: [], foodId: 'plant-block', recipeId: null },
      ],
      yieldG: 980,
    });
    own.spreads = own.spreads.filter((row) => row.id !== 'plantcream');
    own.spreads.push({
      ...own.spreads[0]!,
      id: 'plain',
      name: 'Plain frosting',
      recipeId: 'recipe-plain',
    });
    const draft = draftBuilds(asked({ keepOut: ['milk'] }), own);
    if (!draft.ok) throw new Error(draft.problem);
    expect(draft.proposals[0]!.build.tiers[0]!.coat.spreadId).toBe('plain');
  });

  it('says how far the tins reach when they do not', () => {
    const draft = draftBuilds(asked({ servings: 900 }), pantry);
    expect(draft.ok).toBe(false);
    if (!draft.ok) expect(draft.problem).toContain(`at most ${draft.most} servings`);
    const none = draftBuilds(asked({ servings: 4 }), { ...pantry, tins: [] });
    expect(none.ok ? '' : none.problem).toContain('no tin');
  });
});
