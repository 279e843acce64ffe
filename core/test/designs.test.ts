import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  anyWish,
  beats,
  buildSchema,
  coatStyles,
  countServings,
  cuttings,
  findDesigns,
  newBuild,
  planBuild,
  portions,
  proportions,
  stacksOf,
  unbeaten,
  widthMm,
  type Build,
  type Weights,
} from '../src/index.ts';
import { buildFrom } from '../src/designs/build-from.ts';
import { candidatesFor } from '../src/designs/candidates.ts';
import { pantry } from './arbitrary.ts';

const asked = (change: Partial<Build['brief']>): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  Object.assign(build.brief, change);
  return build;
};
const found = (...of: Parameters<typeof findDesigns>) => {
  const answer = findDesigns(...of);
  if (!answer.ok) throw new Error(answer.problem);
  return answer;
};

describe('designs', () => {
  it('for forty are three to five that differ, of one tier and of two', () => {
    const { designs } = found(asked({ servings: 40 }), pantry);
    expect(designs.length).toBeGreaterThanOrEqual(3);
    expect(designs.length).toBeLessThanOrEqual(5);
    const kinds = designs.map(
      ({ build, proportion }) =>
        `${build.tiers.length}/${build.tiers[0]!.outline.kind}/${proportion}`,
    );
    expect(new Set(kinds).size).toBe(designs.length);
    expect(new Set(designs.map(({ build }) => build.tiers.length))).toEqual(new Set([1, 2]));
  });

  it.each([10, 25, 40, 75, 120, 200, 300, 500])(
    'for %i guests stand, bake and serve everyone, with a whole plan without a stop',
    (servings) => {
      const { designs } = found(asked({ servings }), pantry, { ...anyWish, mayKitchen: true });
      expect(designs.length).toBeGreaterThanOrEqual(3);
      for (const { build, kitchen, servings: promised, weights } of designs) {
        expect(buildSchema.isValidSync(build, { strict: true })).toBe(true);
        const plan = planBuild(build, pantry);
        expect(plan.cautions.filter((c) => c.severity === 'stop').map((c) => c.id)).toEqual([]);
        const beside = kitchen ? kitchen.count * kitchen.each : 0;
        expect(plan.servings.count + beside).toBe(promised);
        expect(plan.servings.spare).toBeGreaterThanOrEqual(0);
        expect(promised).toBeGreaterThanOrEqual(servings);
        expect(weights.over).toBe(promised - servings);
        // nobody bakes for half as many again
        expect(weights.over).toBeLessThanOrEqual(Math.max(12, 0.35 * servings));
        if (!kitchen) continue;
        const plain = planBuild(kitchen.build, pantry);
        expect(plain.servings.count).toBe(kitchen.each);
        expect(plain.cautions.filter((c) => c.severity === 'stop')).toEqual([]);
      }
    },
  );

  it('serve what they promise by their own cutting map, whatever is asked', () => {
    let answered = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 140 }),
        fc.constantFrom(...portions),
        fc.constantFrom(...cuttings),
        fc.constantFrom(...coatStyles),
        (servings, portion, cutting, look) => {
          const draft = findDesigns(asked({ servings, portion, cutting, look }), pantry);
          if (!draft.ok) return;
          answered += 1;
          for (const { build, servings: promised } of draft.designs)
            expect(
              build.tiers.reduce(
                (sum, { outline }) =>
                  sum + countServings(outline, portion, cutting, build.brief.halves),
                0,
              ),
            ).toBe(promised);
        },
      ),
      { numRuns: 12, seed: 19 },
    );
    expect(answered).toBeGreaterThanOrEqual(9);
  });

  it('are the unbeaten ones of everything that a small pantry can make', () => {
    const small = {
      ...pantry,
      tins: pantry.tins.filter(({ id }) => ['round-15', 'round-20', 'round-25', 'square-20'].includes(id)), // prettier-ignore
    };
    const base = asked({ servings: 55 });
    const { weighed } = found(base, small);
    // everything, one by one and without the search
    const all: { weights: Weights }[] = [];
    for (const kind of ['round', 'square'])
      for (const tins of stacksOf(
        small.tins.filter(({ outline }) => outline.kind === kind),
        5,
      ))
        for (const proportion of proportions) {
          if (proportion.tallFoot && tins.length === 1) continue;
          const build = buildFrom(base, small, anyWish.flavour, {
            tins,
            proportion,
            servings: 0,
            kitchen: null,
          });
          let plan = planBuild(build, small);
          const stops = (): string[] =>
            plan.cautions.filter((c) => c.severity === 'stop').map((c) => c.id);
          if (stops().join() === 'rod/wanted')
            plan = planBuild({ ...build, rod: { dowelId: build.tiers[0]!.stand.dowels!.dowelId, at: null } }, small); // prettier-ignore
          const over = plan.servings.count - 55;
          if (stops().length > 0 || over < 0 || over > 0.35 * 55) continue;
          all.push({
            weights: {
              over,
              handsOnMin: plan.tally.handsOnMin!,
              cost: plan.price!.total,
              heightMm: plan.tally.heightMm,
              tipsAtG: plan.support!.whole.tipping!.brakeG,
            },
          });
        }
    const text = (set: readonly { weights: Weights }[]): string[] =>
      unbeaten(set)
        .map(({ weights }) => JSON.stringify(weights))
        .sort();
    expect(all.length).toBeGreaterThan(3);
    expect(text(weighed)).toEqual(text(all));
  });

  it('keep the wishes: shape, tiers, height, rows and their rings', () => {
    const { designs } = found(asked({ servings: 60 }), pantry, {
      ...anyWish,
      shape: 'round',
      tiers: 3,
      proportion: 'even steps',
      flavour: { spongeId: 'chocolate', fillingId: 'compote', frostingId: 'meringue' },
    });
    for (const { build } of designs) {
      expect(build.tiers).toHaveLength(3);
      for (const tier of build.tiers) {
        expect(tier.outline.kind).toBe('round');
        expect(tier.spongeId).toBe('chocolate');
        expect(tier.coat.spreadId).toBe('meringue');
        // a compote runs: a ring of the frosting holds it
        expect(tier.gaps.every((gap) => gap.spreadId === 'compote' && gap.damMm > 0)).toBe(true);
      }
    }
  });

  it('step in by a hand’s width at most and by four fingers at least', () => {
    for (const stack of stacksOf(
      pantry.tins.filter(({ outline }) => outline.kind === 'round'),
      5,
    ))
      // prettier-ignore
      for (const [i, tin] of stack.slice(1).entries()) {
        const step = widthMm(stack[i]!.outline) - widthMm(tin.outline);
        expect(step).toBeGreaterThanOrEqual(40);
        expect(step).toBeLessThanOrEqual(130);
      }
    const most = candidatesFor(asked({ servings: 75 }).brief, pantry.tins, anyWish, 7);
    expect(most).toHaveLength(7);
  });

  it('know which beats which', () => {
    const one: Weights = { over: 2, handsOnMin: 60, cost: 30, heightMm: 100, tipsAtG: 1 };
    expect(beats(one, one)).toBe(false);
    expect(beats({ ...one, cost: 29 }, one)).toBe(true);
    expect(beats({ ...one, cost: 29, tipsAtG: 0.9 }, one)).toBe(false);
    expect(unbeaten([{ weights: one }, { weights: { ...one, over: 3 } }])).toHaveLength(1);
  });

  it('keep allergens out where the pantry can, and say when a named row does not', () => {
    const { designs } = found(asked({ keepOut: ['milk', 'eggs'] }), pantry);
    for (const { build } of designs)
      expect(planBuild(build, pantry).allergens).not.toContain('milk');
    const named = findDesigns(asked({ keepOut: ['eggs'] }), pantry, {
      ...anyWish,
      flavour: { ...anyWish.flavour, frostingId: 'meringue' },
    });
    expect(named.ok ? '' : named.problem).toMatch(/meringue.*does not keep to: no eggs/i);
  });

  it('say how far the tins reach when they do not, and that hours are too few', () => {
    const far = findDesigns(asked({ servings: 900 }), pantry);
    expect(far.ok ? '' : far.problem).toContain('at most 344 servings');
    const none = findDesigns(asked({ servings: 4 }), { ...pantry, tins: [] });
    expect(none.ok ? '' : none.problem).toContain('no tin');
    const soon = asked({ servings: 40, serveAt: '2027-06-12T16:00' });
    soon.day.hours = soon.day.hours.map(() => null);
    const { designs } = found(soon, pantry);
    expect(designs.every(({ fitsDays }) => fitsDays === false)).toBe(true);
    const fine = found(asked({ servings: 40, serveAt: '2027-06-12T16:00' }), pantry);
    expect(fine.designs.every(({ fitsDays }) => fitsDays === true)).toBe(true);
  });
});
