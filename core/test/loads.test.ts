import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  doneOf,
  newBuild,
  planBuild,
  setLayerCount,
  spansOf,
  startingPantry,
  trayRun,
  type Build,
  type DayTask,
  type Pantry,
  type Step,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';
import { demo, placedOf, stepsOf, tasksOf } from './work-kit.ts';

/* What bakes in which load: mixed for it, in tins that are free, in an oven that is hot. */

const fresh = (change: (build: Build) => void): Build => {
  const build = newBuild('loads', 'Loads', '2027-05-03T09:30:00Z');
  change(build);
  return build;
};
const sum = (some: readonly number[]): number => some.reduce((all, one) => all + one, 0);
const grams = ({ amounts }: Step): number => sum(amounts.map(({ value }) => value));
const ofKind = (steps: readonly Step[], kind: Step['kind']): Step[] =>
  steps.filter((step) => step.kind === kind && step.chapter === 'Bake');
/** A kitchen with so many of each tin. */
const owning = (owned: number, more: Partial<Pantry['kitchen']> = {}): Pantry => {
  const own = startingPantry();
  for (const tin of own.tins) tin.owned = owned;
  return { ...own, kitchen: { ...own.kitchen, ...more } };
};

describe('four cakes and one tin', () => {
  // one slice from each cake: as many cakes as layers
  const build = fresh((b) => void (b.tiers[0]!.slicesPerCake = 1));
  const plan = planBuild(build, owning(1));
  const steps = stepsOf(plan);
  it('are baked one after the other, each with a step of its own', () => {
    expect(ofKind(steps, 'bake')).toHaveLength(4);
    expect(ofKind(steps, 'turn out')).toHaveLength(4);
    expect(ofKind(steps, 'bake').map(({ title }) => title)[1]).toBe('Bake, load 2 of 4');
  });
  it('get all the batter there is, and each its share', () => {
    const bake = plan.tiers[0]!.bake;
    if (!bake.ok) throw new Error('no bake');
    expect(sum(ofKind(steps, 'fill tin').map(grams))).toBeCloseTo(bake.value.batterG, 6);
    expect(sum(ofKind(steps, 'mix').map(grams))).toBeCloseTo(bake.value.batterG, 6);
  });
  it('are mixed anew where the batter would stand too long', () => {
    const sponge = owning(1).sponges.find(({ id }) => id === build.tiers[0]!.spongeId)!;
    const longest = Math.max(...ofKind(steps, 'bake').map(({ oven }) => oven!.minutes));
    // half an hour each: batter that stands for less is mixed for every load
    expect(ofKind(steps, 'mix').length).toBe(sponge.waitMin < longest + 10 ? 4 : 2);
    const chiffon = planBuild(
      { ...build, tiers: [{ ...build.tiers[0]!, spongeId: 'chiffon' }] },
      owning(1),
    );
    expect(ofKind(stepsOf(chiffon), 'mix')).toHaveLength(4);
  });
  it('wait for their tin: out of one load, washed, cold, and into the next', () => {
    const washed = ofKind(steps, 'line tin');
    expect(washed[0]!.title).toContain('heat the oven');
    for (const step of washed.slice(1)) expect(step.title).toContain('again');
    const tasks = tasksOf(build, plan);
    const loads = tasks.filter(({ bakes }) => bakes);
    expect(loads).toHaveLength(4);
    const placed = new Map(placedOf(build, tasks).map((one) => [one.id, one]));
    for (let k = 1; k < loads.length; k++) {
      const [one, two] = [placed.get(loads[k - 1]!.id)!, placed.get(loads[k]!.id)!];
      const isOut = one.againMin! + loads[k - 1]!.again!.handsMin;
      // weighing and mixing go on while the tin is in the oven; lining waits until it is cold
      const own = loads[k]!.stepKeys.map((key) => steps.find((step) => step.key === key)!);
      const lined = own.findIndex(({ kind }) => kind === 'line tin');
      const before = sum(own.slice(0, lined).map(({ handsOnMin }) => handsOnMin));
      expect(before > 20).toBe(own.some(({ kind }) => kind === 'mix'));
      expect(two.startMin + before).toBeGreaterThanOrEqual(isOut + 15 - 1);
    }
  });
  it('are all cold before the first is cut', () => {
    const tasks = tasksOf(build, plan);
    const placed = new Map(placedOf(build, tasks).map((one) => [one.id, one]));
    const first = tasks.find(({ line }) => line?.id === 'tier-1')!;
    for (const load of tasks.filter(({ bakes }) => bakes)) {
      const out = placed.get(load.id)!.againMin! + load.again!.handsMin;
      const cool = ofKind(steps, 'turn out')[0]!.timer!.minutes;
      expect(placed.get(first.id)!.startMin).toBeGreaterThanOrEqual(out + cool - 1);
    }
  });
  it('that were ticked off as one load stay so when they are several', () => {
    const done = doneOf(
      {
        bench: {
          ...build.bench,
          done: [{ stepKey: 'tier-1/bake', at: '2027-06-12T12:00:00Z' }],
        },
      },
      steps,
    );
    for (const { key } of ofKind(steps, 'bake')) expect(done.has(key), key).toBe(true);
    for (const { key } of ofKind(steps, 'turn out')) expect(done.has(key), key).toBe(false);
  });
});

describe('the mixer', () => {
  const tall = fresh(({ tiers: [tier] }) => {
    setLayerCount(tier!, 6);
    tier!.outline = { kind: 'round', diameterMm: 250 };
    tier!.tinId = 'round-25';
  });
  const eggsIn = (step: Step): number =>
    sum(step.list.filter(({ foodId }) => foodId === 'eggs').map(({ value, times = 1 }) => value * times)); // prettier-ignore
  it('holds no more than it holds: large batters are mixed in equal parts', () => {
    const small = stepsOf(planBuild(tall, owning(9, { mixerMl: 2000, shelves: 4 })));
    const large = stepsOf(planBuild(tall, owning(9, { mixerMl: 30_000, shelves: 4 })));
    const weigh = (steps: Step[]): Step[] => ofKind(steps, 'weigh');
    const times = weigh(small)[0]!.list[0]!.times ?? 1;
    expect(times).toBeGreaterThan(1);
    expect(weigh(large)[0]!.list[0]!.times).toBeUndefined();
    expect(sum(weigh(small).map(eggsIn))).toBeCloseTo(sum(weigh(large).map(eggsIn)), 6);
    const hands = (steps: Step[]): number => sum(ofKind(steps, 'mix').map((one) => one.handsOnMin));
    expect(hands(small)).toBeGreaterThan(hands(large));
  });
});

describe('tiers in one oven', () => {
  const build = demo('jubilee');
  const plan = planBuild(build, pantry);
  const tasks = tasksOf(build, plan);
  it('bake in the loads of the oven sheet, each once', () => {
    const loads = plan.oven!.loads;
    const own = tasks.filter(({ bakes }) => bakes);
    expect(own).toHaveLength(loads.length);
    loads.forEach((load, i) => {
      const inLoad = new Set(load.shelves.flat().map(({ tierId }) => tierId));
      const task = own.find(({ line }) => line?.load === i)!;
      expect(new Set(task.bakes)).toEqual(inLoad);
      expect(task.waitMin).toBe(Math.round(load.minutes!));
    });
  });
  it('go in as they are numbered', () => {
    const placed = new Map(placedOf(build, tasks).map((one) => [one.id, one]));
    const begun = tasks.filter(({ bakes }) => bakes).sort((a, b) => a.line!.load! - b.line!.load!);
    const baking = begun.map(({ id }) => placed.get(id)!.handsEndMin);
    expect(baking).toEqual([...baking].sort((a, b) => a - b));
  });
  it('heat it before the first, and before another temperature', () => {
    const leads = tasks.flatMap(({ uses }) =>
      uses.flatMap(({ resource, leadMin }) => (resource === 'oven' ? [leadMin ?? 0] : [])),
    );
    expect(Math.max(...leads)).toBe(pantry.kitchen.preheatMin);
    const [first] = tasks.filter(({ line }) => line?.load === 0);
    expect(first!.uses.find(({ resource }) => resource === 'oven')!.leadMin).toBe(
      pantry.kitchen.preheatMin,
    );
    const span = spansOf(first!, 0).find(({ resource }) => resource === 'oven')!;
    expect(span.from).toBe(first!.handsMin - pantry.kitchen.preheatMin);
  });
  it('never two at a time, heating included', () => {
    const placed = new Map(placedOf(build, tasks).map((one) => [one.id, one]));
    const spans = tasks
      .flatMap((task: DayTask) =>
        spansOf(task, placed.get(task.id)!.startMin).filter(({ resource }) => resource === 'oven'),
      )
      .sort((a, b) => a.from - b.from);
    expect(spans.length).toBeGreaterThan(1);
    spans
      .slice(1)
      .forEach((span, i) => expect(span.from).toBeGreaterThanOrEqual(spans[i]!.to - 1e-6));
  });
  it('of random builds: every cake is filled, baked and turned out once, and its batter mixed', () => {
    fc.assert(
      fc.property(anyBuild, (any) => {
        const made = planBuild(any, pantry);
        if (!made.steps.ok) return;
        for (const tier of made.tiers) {
          if (!tier.bake.ok) continue;
          const own = made.steps.value.filter(({ tierId }) => tierId === tier.tierId);
          const filled = ofKind(own, 'fill tin');
          expect(filled.flatMap(({ amounts }) => amounts)).toHaveLength(
            tier.bake.value.cakes.length,
          );
          const { batterG, foldedG, inclusionG } = tier.bake.value;
          const all = batterG + foldedG;
          expect(sum(filled.map(grams))).toBeCloseTo(all, 4);
          // what is laid into the tins is weighed there
          const laid = filled.flatMap(({ list }) => list.map(({ value }) => value));
          expect(sum(laid)).toBeCloseTo(inclusionG - foldedG, 4);
          const mixed = ofKind(own, 'mix').filter(({ line }) => line.load !== null);
          expect(sum(mixed.map(grams))).toBeCloseTo(all, 4);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('discs on trays', () => {
  it('bake so many at once, load after load', () => {
    const own = startingPantry();
    const biscuit = own.others.find(({ id }) => id === 'biscuit')!;
    const { kitchen } = own;
    const run = (count: number, diameterMm: number, more: Partial<typeof kitchen> = {}) =>
      trayRun(
        { row: biscuit, traced: { kind: 'round', diameterMm }, count },
        { ...kitchen, ...more },
      )!;
    // a tray of 45 x 36 cm takes two rounds of 20 cm, and one of 30
    expect(run(6, 200)).toMatchObject({ atOnce: 2, loads: 3 });
    expect(run(6, 200).minutes).toBe(3 * 14 + 2 * kitchen.turnaroundMin);
    expect(run(6, 300)).toMatchObject({ atOnce: 1, loads: 6 });
    // a second shelf helps only with a second tray
    expect(run(6, 200, { shelves: 2, trays: 1 }).loads).toBe(3);
    expect(run(6, 200, { shelves: 2, trays: 2 }).loads).toBe(2);
  });
  it('take the oven, beside the cakes', () => {
    const build = fresh(({ tiers: [tier] }) => {
      tier!.layers[1] = { ...tier!.layers[1]!, otherId: 'biscuit', heightMm: 5 };
    });
    const tasks = tasksOf(build, planBuild(build, pantry));
    const own = tasks.filter(
      ({ line }) => line?.madeFor === 'tier-1' && line.id.includes('biscuit'),
    );
    const [disc, cooled] = own.slice(-2) as [DayTask, DayTask];
    expect(disc.uses.map(({ resource }) => resource)).toContain('oven');
    const stack = tasks.find(({ line }) => line?.id === 'tier-1')!;
    expect(stack.after.map(({ id }) => id)).toContain(disc.id);
    // out of the oven it cools before anything is set on it
    expect(cooled.waitMin).toBeGreaterThan(10);
    expect(cooled.after.map(({ id }) => id)).toContain(disc.id);
    expect(stack.after.map(({ id }) => id)).toContain(cooled.id);
  });
});
