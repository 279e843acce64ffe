import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  fillKey,
  addTier,
  areaMm2,
  metric,
  inchesAndOunces,
  newBuild,
  newLayer,
  planBuild,
  planShape,
  removeTier,
  say,
  type Build,
  type Step,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';

const fresh = (change: (build: Build) => void = () => undefined): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  change(build);
  return build;
};
const stepsOf = (change?: (build: Build) => void): Step[] => {
  const { steps } = planBuild(fresh(change), pantry);
  if (!steps.ok) throw new Error(steps.problem);
  return steps.value;
};
const titles = (steps: readonly Step[]): string[] => steps.map((s) => s.title);
const find = (steps: readonly Step[], key: string): Step => {
  const found = steps.find((s) => s.key === key);
  if (!found) throw new Error(`no step ${key} among ${steps.map((s) => s.key).join(', ')}`);
  return found;
};
const at = (steps: readonly Step[], key: string): number => steps.indexOf(find(steps, key));

describe('the run sheet', () => {
  it('runs in the order of the work', () => {
    const steps = stepsOf();
    const order = [
      'tier-1/weigh',
      'tier-1/line',
      'tier-1/mix',
      'tier-1/divide',
      'tier-1/bake',
      'tier-1/cool',
      'bowl/buttercream/make',
      'tier-1/cut/layer-1',
      'tier-1/rims',
      'tier-1/first',
      'tier-1/fill/layer-1+layer-2',
      'tier-1/fill/layer-3+layer-4',
      'tier-1/settle',
      'tier-1/crumb',
      'tier-1/crumb-chill',
      'tier-1/coat',
      'tier-1/paper',
      'tier-1/coat-chill',
      'box',
      'serve',
    ];
    const places = order.map((key) => at(steps, key));
    expect(places).toEqual([...places].sort((a, b) => a - b));
  });

  it('has a filling for each gap, with the grams of the plan', () => {
    const build = fresh();
    const plan = planBuild(build, pantry);
    const gaps = plan.tiers[0]!.gaps;
    if (!gaps.ok || !plan.steps.ok) throw new Error('no plan');
    for (const gap of gaps.value) {
      const step = find(plan.steps.value, fillKey(build.tiers[0]!, gap.index));
      expect(step.amounts.at(-1)!.value).toBeCloseTo(gap.fillingG, 9);
      expect(step.record!.planned).toBeCloseTo(gap.fillingG, 9);
    }
  });

  it.each([
    ['buttercream', true],
    ['meringue', true],
    ['fudge', false],
  ])('asks for soft butter before it is beaten, not before it is melted: %s', (spreadId, asked) => {
    const steps = stepsOf((build) => {
      const tier = build.tiers[0]!;
      build.tiers[0] = {
        ...tier,
        coat: { ...tier.coat, spreadId },
        gaps: tier.gaps.map((gap) => ({ ...gap, spreadId })),
      };
    });
    const { list, checks } = find(steps, `bowl/${spreadId}/make`);
    expect(list.some(({ label }) => /butter/.test(label))).toBe(true);
    expect(checks.some((check) => /before it is beaten: butter/.test(check))).toBe(asked);
  });

  it('sets a bake timer from the estimate, with the first look before it', () => {
    const step = find(stepsOf(), 'tier-1/bake');
    expect(step.timer!.lookMin).toBeLessThan(step.timer!.minutes);
    expect(step.checks).toContain('A skewer comes out clean');
    const slower = find(
      stepsOf((b) => (b.tiers[0]!.slicesPerCake = 4)),
      'tier-1/bake',
    );
    expect(slower.timer!.minutes).toBeGreaterThan(step.timer!.minutes);
  });

  it('cools the deeper cake longer', () => {
    const minutes = (slices: number): number =>
      stepsOf((b) => (b.tiers[0]!.slicesPerCake = slices)).find(({ kind }) => kind === 'turn out')!
        .timer!.minutes;
    expect(minutes(3)).toBeGreaterThan(minutes(1));
    expect(minutes(2) % 5).toBe(0);
  });

  it('has no cutting where nothing is cut', () => {
    const none = stepsOf((b) => {
      b.tiers[0]!.levelling = 'cut none';
      b.tiers[0]!.slicesPerCake = 1;
    });
    expect(none.some((s) => s.key.includes('/cut/'))).toBe(false);
    const crust = stepsOf((b) => (b.tiers[0]!.trim.bottomMm = 3));
    const cut = find(crust, 'tier-1/cut/layer-1');
    expect(cut.amounts.map((a) => a.label)).toEqual([
      '1. take the dome off at',
      '2. take the bottom crust off at',
      '3. split at',
    ]);
    expect(cut.amounts[1]!.value).toBe(3);
  });

  it('cuts the core and soaks before anything is stacked', () => {
    const steps = stepsOf((b) => {
      const tier = b.tiers[0]!;
      tier.soak = 'medium';
      tier.centre = {
        outline: { kind: 'round', diameterMm: 60 },
        fromLayer: 1,
        toLayer: 2,
        spreadId: 'caramel',
        pieces: null,
      };
    });
    expect(at(steps, 'tier-1/core')).toBeLessThan(at(steps, 'tier-1/soak'));
    expect(at(steps, 'tier-1/soak')).toBeLessThan(at(steps, 'tier-1/first'));
    expect(find(steps, 'tier-1/soak').list).toHaveLength(4);
    expect(find(steps, 'tier-1/centre-fill').amounts[0]!.figure).toBe('tier-1/centre');
    // hot sugar is told where the caramel is made
    const caramel = find(steps, 'bowl/caramel/make');
    expect(caramel.cautions.map((c) => say(c, metric)).join(' ')).toMatch(/burn|hot/i);
  });

  it('tells the turn of a layer at the step where it is set', () => {
    const steps = stepsOf((b) => (b.tiers[0]!.layers[1]!.turnSteps = 6));
    expect(find(steps, 'tier-1/fill/layer-1+layer-2').checks.join()).toContain(
      'Its mark at 3 o’clock: 90°',
    );
    expect(find(steps, 'tier-1/fill/layer-2+layer-3').checks.join()).not.toContain('mark at');
  });

  it('says which layer goes on upside down: the top of its school, or one turned over', () => {
    const flipped = stepsOf((b) => {
      b.tiers[0]!.levelling = 'cut all';
      b.tiers[0]!.layers[2]!.flipped = true;
    });
    expect(find(flipped, 'tier-1/fill/layer-2+layer-3').checks.join()).toContain(
      'Layer 3 upside down',
    );
    expect(find(flipped, 'tier-1/fill/layer-3+layer-4').checks.join()).not.toContain('upside down');
    const top = stepsOf((b) => (b.tiers[0]!.levelling = 'cut none, top inverted'));
    expect(find(top, 'tier-1/fill/layer-3+layer-4').checks.join()).toContain('Layer 4 upside down');
  });

  it('rests it under the weight that was chosen', () => {
    expect(
      find(
        stepsOf((b) => (b.tiers[0]!.restG = 400)),
        'tier-1/settle',
      ).title,
    ).toContain('under a weight');
  });

  it('makes the layers that are not cut from a cake, each its own way', () => {
    const steps = stepsOf((b) => {
      b.tiers[0]!.layers[0] = { ...newLayer(5, 'layer-1'), otherId: 'biscuit' };
      b.tiers[0]!.layers[1] = {
        ...newLayer(30, 'layer-2'),
        otherId: 'mousse',
        insets: [{ id: 'inset-1', otherId: null, heightMm: 10, marginMm: 10, upMm: 10 }],
      };
      b.tiers[0]!.layers[2] = { ...newLayer(18, 'layer-3'), otherId: 'bought-sponge' };
      b.tiers[0]!.layers[3] = {
        ...newLayer(20, 'layer-4'),
        otherId: 'crepe',
        between: { spreadId: 'cream', heightMm: 2 },
      };
    });
    const words = (i: number): string =>
      say(find(steps, `tier-1/other/layer-${i + 1}`).lead!, metric);
    expect(words(0)).toContain('Trace circles 19.4 cm');
    expect(words(1)).toContain('set in and pressed');
    expect(words(2)).toContain('1 pack');
    expect(find(steps, 'tier-1/other-thaw/bought-sponge').timer!.minutes).toBe(120);
    const crepes = find(steps, 'tier-1/other/layer-4');
    expect(crepes.amounts[0]).toMatchObject({ label: 'pieces', value: 7 });
    // it is their recipe's own time, not the cylinder's
    expect(find(steps, 'tier-1/other/layer-1').timer!.minutes).toBe(14);
    expect(steps.some((s) => s.key === 'tier-1/bake')).toBe(false);
  });

  it('names the tier at each step when there are several, and keeps bowls common', () => {
    const two = stepsOf((b) => {
      addTier(b).name = 'Lantern';
      b.tiers[0]!.name = 'Base';
    });
    expect(titles(two)).toContain('Base: set layer 1 on the board');
    expect(titles(two)).toContain('Lantern: set layer 1 on the board');
    expect(two.filter((s) => s.key === 'bowl/buttercream/make')).toHaveLength(1);
    expect(new Set(two.map((s) => s.key)).size).toBe(two.length);
  });

  it('reads in both unit systems without a figure left open', () => {
    fc.assert(
      fc.property(anyBuild, fc.constantFrom(metric, inchesAndOunces), (build, system) => {
        const { steps } = planBuild(build, pantry);
        if (!steps.ok) throw new Error(steps.problem);
        for (const step of steps.value)
          for (const text of [step.lead, ...step.cautions])
            if (text) expect(say(text, system)).not.toMatch(/\{\w+\}|NaN|undefined/);
      }),
      { numRuns: 15 },
    );
  });
});

describe('tiers', () => {
  it('stand on each other: heights, weights and servings add up', () => {
    const one = planBuild(fresh(), pantry);
    const build = fresh((b) => void addTier(b));
    const both = planBuild(build, pantry);
    // a new tier comes with a card of 3 mm
    expect(both.section.tiers[1]!.fromMm).toBeCloseTo(one.tally.heightMm + 3, 9);
    const [low, high] = both.tiers;
    expect(both.tally.heightMm).toBeCloseTo(low!.stack.finishedMm + 3 + high!.stack.finishedMm, 9);
    const cardG = (areaMm2(build.tiers[1]!.outline) * 3 * 0.75) / 1000;
    expect(both.servings.count).toBe(low!.servings + high!.servings);
    expect(both.tally.massG! - one.tally.massG!).toBeCloseTo(high!.massG! + cardG, 6);
  });
  it('are added narrower, under names of their own, and never fewer than one', () => {
    const build = fresh();
    for (let i = 0; i < 3; i++) addTier(build);
    expect(build.tiers.map((t) => t.id)).toEqual(['tier-1', 'tier-2', 'tier-3', 'tier-4']);
    const wide = build.tiers.map((t) => (t.outline.kind === 'round' ? t.outline.diameterMm : 0));
    expect(wide).toEqual([...wide].sort((a, b) => b - a));
    removeTier(build, 'tier-2');
    expect(addTier(build).id).toBe('tier-5');
    for (const tier of [...build.tiers]) removeTier(build, tier.id);
    expect(build.tiers).toHaveLength(1);
  });
  it('share the batter of one sponge with nobody: each has its own tins', () => {
    const build = fresh((b) => void addTier(b));
    const plan = planBuild(build, pantry);
    const cakes = plan.oven!.loads.flatMap((l) => l.shelves.flat());
    expect(new Set(cakes.map((c) => c.tierId)).size).toBe(2);
  });
});

describe('the shape alone', () => {
  it('is the shape of the whole plan, without times and run sheet', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const whole = planBuild(build, pantry);
        const shape = planShape(build, pantry);
        // the whole one has dowels and rod besides
        const wooden = ({ tone }: { tone: string }): boolean => tone === 'wood';
        const parts = whole.section.parts.filter((part) => !wooden(part));
        expect(shape.section).toEqual({ ...whole.section, parts });
        expect({ ...shape.tally, handsOnMin: null }).toEqual({ ...whole.tally, handsOnMin: null });
        expect(shape.bowls).toEqual(whole.bowls);
      }),
      { numRuns: 15 },
    );
  });
});
