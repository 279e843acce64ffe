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
  valueOf,
  weighDesigns,
  widthMm,
  type Build,
  type DesignAnswer,
  type Weights,
  type Wish,
} from '../src/index.ts';
import { buildFrom } from '../src/designs/build-from.ts';
import { candidatesFor } from '../src/designs/candidates.ts';
import { daysTogether, lastDayHandsMin } from '../src/day/plan-days.ts';
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
          const left = (list: readonly number[]): number => list.reduce((sum, g) => sum + g, 0);
          if (stops().length > 0 || over < 0 || over > 0.35 * 55) continue;
          all.push({
            weights: {
              over,
              handsOnMin: plan.tally.handsOnMin!,
              lastDayMin: null,
              cost: plan.price!.total,
              heightMm: plan.tally.heightMm,
              massG: plan.tally.massG!,
              leftG:
                left(plan.tiers.map(({ bake }) => valueOf(bake)!.offcutsG)) +
                left(valueOf(plan.bowls)!.map((bowl) => bowl.leftG)),
              tipsAtG: plan.support!.whole.tipping!.brakeG,
            },
          });
        }
    const text = (set: readonly { weights: Weights }[]): string[] =>
      unbeaten(set)
        .map(({ weights }) => JSON.stringify(Object.entries(weights).sort()))
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
    const one: Weights = {
      over: 2,
      handsOnMin: 60,
      lastDayMin: 30,
      cost: 30,
      heightMm: 100,
      massG: 3000,
      leftG: 200,
      tipsAtG: 1,
    };
    expect(beats(one, one)).toBe(false);
    expect(beats({ ...one, cost: 29 }, one)).toBe(true);
    expect(beats({ ...one, cost: 29, tipsAtG: 0.9 }, one)).toBe(false);
    // what does not fit the days beats nothing by the work of the last one
    expect(beats({ ...one, lastDayMin: null }, one)).toBe(false);
    expect(beats(one, { ...one, lastDayMin: null })).toBe(true);
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

  it('keep to a height and a weight, and offer the nearest where nothing does', () => {
    const low = found(asked({ servings: 40 }), pantry, { ...anyWish, mostMm: 110 });
    expect(low.beyond).toBeNull();
    for (const { weights } of low.designs) expect(weights.heightMm).toBeLessThanOrEqual(110);
    const flat = found(asked({ servings: 40 }), pantry, { ...anyWish, mostMm: 40 });
    expect(flat.beyond).toBe('height');
    const lowest = Math.min(...flat.weighed.map(({ weights }) => weights.heightMm));
    expect(flat.designs[0]!.weights.heightMm).toBe(lowest);
    const heavy = found(asked({ servings: 40 }), pantry, { ...anyWish, mostG: 500 });
    expect(heavy.beyond).toBe('weight');
    const { designs } = found(asked({ servings: 40 }), pantry, { ...anyWish, mostG: 5000 });
    for (const { build, weights } of designs) {
      expect(weights.massG).toBeLessThanOrEqual(5000);
      expect(planBuild(build, pantry).tally.massG).toBe(weights.massG);
    }
  });

  it('say how much of the work is on the day itself, by the days that are planned', () => {
    const base = asked({ servings: 40, serveAt: '2027-06-12T16:00' });
    const { weighed, designs } = found(base, pantry);
    for (const { weights } of weighed) {
      expect(weights.lastDayMin).toBeGreaterThanOrEqual(0);
      expect(weights.lastDayMin).toBeLessThanOrEqual(weights.handsOnMin + 1);
    }
    const { build, weights } = designs[0]!;
    const days = daysTogether([{ build, plan: planBuild(build, pantry), times: 1 }], pantry, 0)!;
    const onDay = days.placed.filter(({ startMin }) => startMin > -15 * 60);
    expect(onDay.length).toBeGreaterThan(0);
    expect(lastDayHandsMin(days)).toBe(weights.lastDayMin);
    // with no hours on the day itself, nothing is left for it
    const early = asked({ servings: 40, serveAt: '2027-06-12T16:00' });
    early.day.hours = early.day.hours.map((hours, i) => (i === 5 ? null : hours));
    for (const one of found(early, pantry).designs) expect(one.weights.lastDayMin).toBe(0);
  });

  it('count the work of plain cakes among what must fit the days', () => {
    const base = asked({ servings: 300, serveAt: '2027-06-12T16:00' });
    const wish: Wish = { ...anyWish, mayKitchen: true };
    const { designs } = found(base, pantry, wish);
    const { build, kitchen } = designs.find((one) => one.kitchen)!;
    const [main, plain] = [build, kitchen!.build].map((one) => ({
      build: one,
      plan: planBuild(one, pantry),
    }));
    const hands = (times: number): number => {
      const days = daysTogether(
        [
          { ...main!, times: 1 },
          { ...plain!, times },
        ],
        pantry,
        0,
      )!;
      expect(new Set(days.tasks.map(({ id }) => id)).size).toBe(days.tasks.length);
      return days.tasks.reduce((sum, task) => sum + task.handsMin + (task.again?.handsMin ?? 0), 0);
    };
    const [none, one, three] = [hands(0), hands(1), hands(3)];
    expect(one).toBeGreaterThan(none);
    expect(three - none).toBeCloseTo(3 * (one - none), 6);
  });

  it('show the first of them early, each as whole as the last', () => {
    const heard: { share: number; first: DesignAnswer }[] = [];
    const search = weighDesigns(asked({ servings: 75 }), pantry);
    let step = search.next();
    for (; !step.done; step = search.next()) {
      const { share, first } = step.value;
      if (first) heard.push({ share, first });
    }
    const last = step.value;
    expect(heard).toHaveLength(1);
    const [{ share, first }] = heard as [(typeof heard)[number]];
    expect(share).toBeLessThan(0.5);
    if (!first.ok || !last.ok) throw new Error('nothing was found');
    expect(first.designs.length).toBeGreaterThan(1);
    const keys = new Set(last.weighed.map(({ key }) => key));
    for (const { key } of first.designs) expect(keys.has(key)).toBe(true);
  });
});
