import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  buildSchema,
  faultsAt,
  findRow,
  isForGrownUps,
  isForHelper,
  isWithoutDanger,
  leaveOutLayer,
  mergeRows,
  mayLeaveOut,
  nearG,
  newBuild,
  newDowels,
  newPour,
  newTopping,
  planBuild,
  readBuildFile,
  scalingRules,
  setLayerCount,
  startingPantry,
  thinnerFillingMm,
  tornLayers,
  usualCard,
  weighedKey,
  weighTargets,
  type Build,
  type Step,
} from '../src/index.ts';
import { anyBuild } from './arbitrary.ts';
import { demo } from './work-kit.ts';

const pantry = startingPantry();
const spreadOf = (id: string) => findRow(pantry, 'spreads', id);
const stepsOf = (build: Build, rows = pantry): Step[] => {
  const plan = planBuild(structuredClone(build), structuredClone(rows));
  if (!plan.steps.ok) throw new Error(plan.steps.problem);
  return plan.steps.value;
};
const steps = (build = newBuild('b', 'Test', '2027-05-03T09:30:00Z')): Step[] => stepsOf(build);
const at = (key: string): Step => steps().find((step) => step.key === key)!;

describe('faults at the bench', () => {
  const jubilee = stepsOf(demo('jubilee'));
  const names = (key: string): string[] =>
    faultsAt(
      jubilee.find((step) => step.key === key || step.key.replace(/^tier-\d/, 'tier-1') === key)!,
    ).map(({ id }) => id);
  it('stand at the step where they show', () => {
    expect(names('tier-1/mix')).toContain('grainy');
    expect(names('tier-1/cool')).toEqual(expect.arrayContaining(['domed', 'sunk-cold']));
    expect(names('tier-1/cut/layer-1')).toContain('torn');
    expect(names('tier-1/fill/layer-3+layer-4')).toEqual(
      expect.arrayContaining(['runny', 'lean', 'bulge']),
    );
    expect(names('tier-1/coat')).toEqual(expect.arrayContaining(['split', 'crumbs', 'short-coat']));
    expect(names('tier-1/drip')).toEqual(expect.arrayContaining(['hot', 'cold', 'too-long']));
    expect(names('tier-1/coat-chill')).toContain('cracked');
    expect(names('road')).toContain('shifted');
    expect(names('serve')).toEqual([]);
  });
  it('all show at some step of a cake that there is, with a sign and a mend', () => {
    const jubilee = readFileSync(new URL('../../demo/jubilee.json', import.meta.url), 'utf8');
    const read = readBuildFile(jubilee);
    if (!read.ok) throw new Error('no demo');
    const found = new Map(
      steps(mergeRows(read.build, read.rows, pantry).build)
        .flatMap(faultsAt)
        .map((fault) => [fault.id, fault]),
    );
    expect([...found.keys()].sort()).toEqual(
      [
        'bulge cold cracked crumbs dark domed grainy hot lean over-whipped runny shifted',
        'short-batter short-coat split sunk sunk-cold too-long too-soft torn torn-stack',
      ]
        .join(' ')
        .split(' '),
    );
    for (const { name, sign, mend } of found.values()) {
      expect(name.length).toBeGreaterThan(4);
      expect(sign.length).toBeGreaterThan(8);
      expect(mend.length).toBeGreaterThan(20);
    }
  });
  it('know which layer may be torn', () => {
    const tier = newBuild('b', 'Test', '2027-05-03T09:30:00Z').tiers[0]!;
    const torn = (key: string): number[] => tornLayers(at(key), tier);
    expect(torn('tier-1/cut/layer-3')).toEqual([2, 3]);
    expect(torn('tier-1/fill/layer-1+layer-2')).toEqual([1]);
    expect(torn('tier-1/first')).toEqual([0]);
    expect(torn('tier-1/settle')).toEqual([0, 1, 2, 3]);
    expect(tornLayers({ layers: [7] }, tier)).toEqual([]);
  });
});

describe('who may do a step', () => {
  it('keeps children from oven and knife, and not from the brush', () => {
    expect(isForGrownUps(at('tier-1/bake'))).toBe(true);
    expect(isForGrownUps(steps().find(({ key }) => key === 'tier-1/cut/layer-1')!)).toBe(true);
    expect(isForGrownUps(at('tier-1/coat'))).toBe(false);
    // the mixer runs
    expect(isForGrownUps(at('tier-1/mix'))).toBe(true);
  });
  const bowlOf = (spreadId: string) => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    for (const gap of build.tiers[0]!.gaps) gap.spreadId = spreadId;
    return stepsOf(build).find(({ key }) => key === `bowl/${spreadId}/make`)!;
  };
  it.each(['curd', 'meringue', 'yolk', 'caramel', 'compote', 'softganache'])(
    'offers %s to nobody who was not told, and to no child',
    (spreadId) => {
      expect(isForGrownUps(bowlOf(spreadId))).toBe(true);
      expect(isForHelper(bowlOf(spreadId))).toBe(false);
    },
  );
  it('offers what is cold to a helper, whatever words it is described in', () => {
    expect(isForHelper(bowlOf('cheese'))).toBe(true);
    const own = structuredClone(pantry);
    const recipe = own.recipes.find((row) => row.id === 'recipe-cheese')!;
    recipe.steps = ['Boil caramel, torch it, two people!'];
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    build.tiers[0]!.gaps[0]!.spreadId = 'cheese';
    const step = stepsOf(build, own).find(({ key }) => key === 'bowl/cheese/make')!;
    expect(isForHelper(step)).toBe(true);
    // and of a recipe of which nobody said how hot it gets, nothing is offered
    recipe.hottestC = null;
    const unsaid = stepsOf(build, own).find(({ key }) => key === 'bowl/cheese/make')!;
    expect(isForHelper(unsaid)).toBe(false);
    expect(isForGrownUps(unsaid)).toBe(true);
  });
  it('keeps children from what is above 45 C and helpers from what is above 50, until it has cooled', () => {
    const danger = (hotC: number | null) => ({ hazards: [], hotC });
    expect([45, 45.1, 50, 50.1].map((c) => isForGrownUps(danger(c)))).toEqual([
      false,
      true,
      true,
      true,
    ]);
    expect([45, 50, 50.1].map((c) => isWithoutDanger(danger(c)))).toEqual([true, true, false]);
    expect(isForGrownUps(at('tier-1/cool'))).toBe(true);
    expect(isForGrownUps(at('tier-1/settle'))).toBe(false);
  });
  it('warns of hot sugar where sugar is boiled, and of tempering where chocolate is melted', () => {
    const slab = (foodId: string | null) => {
      const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
      build.tiers[0]!.toppings.push({
        ...newTopping('t'),
        name: 'shards',
        foodId,
        tray: { thickMm: 3, wholeShare: 0.7, spreads: 1 },
      });
      return stepsOf(build).find(({ key }) => key === 't/tray')!;
    };
    const said = (step: Step) => step.cautions.map(({ text }) => text).join(' ');
    expect(said(slab('dark-chocolate'))).toMatch(/Tempered/);
    expect(said(slab('dark-chocolate'))).not.toMatch(/sugar burns/);
    expect(said(slab('caster-sugar'))).toMatch(/sugar burns deep/);
    expect(said(slab(null))).toMatch(/If there is boiled sugar/);
    const tempered = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    tempered.tiers[0]!.pour = newPour('tempered-dark');
    const pour = stepsOf(tempered).find(({ key }) => key === 'tier-1/pour')!;
    expect(said(pour)).toMatch(/Tempered/);
  });
  it('cuts leavening back for a wide tin, never for a large batch in small ones', () => {
    const rules = (factor: number, tinMm: number) =>
      scalingRules(
        pantry.recipes.find((row) => row.id === 'recipe-butter')!,
        factor,
        tinMm,
        pantry.foods,
      )
        .map(({ text }) => text)
        .join(' ');
    expect(rules(6, 150)).not.toMatch(/leavening/);
    expect(rules(1, 300)).toMatch(/leavening/);
  });
  it('knows what can go on beside', () => {
    expect(isForHelper(at('tier-1/weigh'))).toBe(true);
    expect(isForHelper(at('tier-1/coat'))).toBe(false);
  });
});

describe('what is set on the scale', () => {
  it('is every ingredient, every tin, and the filling with its record', () => {
    const weigh = weighTargets(at('tier-1/weigh'));
    expect(weigh.length).toBeGreaterThan(4);
    expect(weigh.every(({ record }) => record === null)).toBe(true);
    const fill = weighTargets(at('tier-1/fill/layer-1+layer-2')).find(
      ({ record }) => record?.hand === 'fill',
    );
    expect(fill).toBeDefined();
    expect(fill!.wantedG).toBeCloseTo(at('tier-1/fill/layer-1+layer-2').record!.planned, -1);
    const left = weighTargets(at('tier-1/coat')).at(-1)!;
    expect(left).toMatchObject({ label: 'left in the bowl', wantedG: null });
  });
  it('is never a whole cake, a count or a temperature; each has a name of its own', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const plan = planBuild(build, pantry);
        if (!plan.steps.ok) return;
        for (const step of plan.steps.value) {
          const targets = weighTargets(step);
          for (const target of targets) {
            expect(target.wantedG === null || target.wantedG >= 0).toBe(true);
            expect(weighedKey(step, target).length).toBeLessThanOrEqual(200);
          }
        }
      }),
      { numRuns: 25 },
    );
    expect(weighTargets(at('tier-1/bake'))).toEqual([]);
  });
  it('is near within two in a hundred, and never nearer than a gram', () => {
    expect(nearG(500)).toBe(10);
    expect(nearG(12)).toBe(1);
  });
});

describe('a layer that is left out', () => {
  const tall = (layers: number) => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    setLayerCount(build.tiers[0]!, layers);
    build.tiers[0]!.layers.forEach((layer, i) => (layer.heightMm = 20 + i));
    return build;
  };
  it('takes one filling with it, and what is left is a cake that passes its checks', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 9 }), fc.nat(8), fc.nat(8), (count, which, deck) => {
        const build = tall(count);
        const tier = build.tiers[0]!;
        if (deck < count - 1)
          tier.stand.decks = [{ afterLayer: deck, card: usualCard(), dowels: newDowels() }];
        const index = which % count;
        leaveOutLayer(tier, index);
        expect(tier.layers.map(({ heightMm }) => heightMm)).toEqual(
          Array.from({ length: count }, (_, i) => 20 + i).filter((_, i) => i !== index),
        );
        expect(tier.gaps).toHaveLength(count - 2);
        expect(buildSchema.isValidSync(build)).toBe(true);
        expect(steps(build).length).toBeGreaterThan(5);
      }),
      { numRuns: 40 },
    );
  });
  it('is not the last one, nor one with a hidden centre in it', () => {
    const build = tall(1);
    expect(mayLeaveOut(build.tiers[0]!, 0)).toBe(false);
    expect(() => leaveOutLayer(build.tiers[0]!, 0)).toThrow(RangeError);
    expect(mayLeaveOut(tall(3).tiers[0]!, 3)).toBe(false);
    expect(mayLeaveOut(tall(3).tiers[0]!, -1)).toBe(false);
  });
});

describe('a filling that runs', () => {
  const tier = newBuild('b', 'Test', '2027-05-03T09:30:00Z').tiers[0]!;
  for (const gap of tier.gaps) gap.heightMm = 12;
  const above = tier.gaps.map(() => 1500);
  it('may be as thick as it still holds, and thinner the softer it is', () => {
    let last = Infinity;
    for (const softer of [1, 0.4, 0.2, 0.1, 0.05]) {
      const mm = thinnerFillingMm(tier, 0, above, spreadOf, softer) ?? 0;
      expect(mm).toBeLessThanOrEqual(last);
      expect(mm).toBeLessThanOrEqual(12);
      last = mm;
    }
    expect(last).toBeLessThan(12);
  });
  it('does not hold at all where nothing would', () => {
    expect(thinnerFillingMm(tier, 0, [80_000, 0, 0], spreadOf, 0.01)).toBeNull();
  });
});
