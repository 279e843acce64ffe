import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  coolingMin,
  coolPlaces,
  dayTasks,
  findRow,
  freeSteps,
  migrate,
  newBuild,
  planBuild,
  planHolds,
  planSessions,
  readBuildFile,
  rowFrom9,
  scheduleDay,
  storeLabels,
  warmFor,
  windowsBefore,
  type Build,
  type CoolPlace,
  type Plan,
  type Recipe,
  type Step,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';

const startingRecipes = pantry.recipes;

const { kitchen } = pantry;
const sauce = { massG: 500, densityGPerMl: 1.1, capacityKJ: 2.9 };
const min = (from: number, to: number, place: CoolPlace, what = sauce): number =>
  coolingMin(what, from, to, place, kitchen)!;
const recipe = (id: string): Recipe => findRow(pantry, 'recipes', `recipe-${id}`);
const demo = (name: string): Build => {
  const url = new URL(`../../demo/${name}.json`, import.meta.url);
  const read = readBuildFile(readFileSync(url, 'utf8'));
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return read.build;
};
const stepsOf = ({ steps }: Plan): Step[] => {
  if (!steps.ok) throw new Error(steps.problem);
  return steps.value;
};
const placeOf = (steps: Step[], key: string): number => {
  const at = steps.findIndex((step) => step.key === key);
  expect(at, key).toBeGreaterThanOrEqual(0);
  return at;
};

describe('what was hot cools', () => {
  it('in the times that cooks know: half a kilo from 85 to 30 degrees', () => {
    expect(min(85, 30, 'bowl')).toBeGreaterThan(90);
    expect(min(85, 30, 'bowl')).toBeLessThan(160);
    // fruit is mostly water and holds more heat
    const fruit = min(85, 30, 'bowl', { ...sauce, capacityKJ: 3.7 });
    expect(fruit).toBeGreaterThan(120);
    expect(fruit).toBeLessThan(200);
    expect(min(85, 30, 'tray')).toBeGreaterThan(30);
    expect(min(85, 30, 'tray')).toBeLessThan(55);
    expect(min(85, 30, 'cold water')).toBeLessThan(min(85, 30, 'bowl') / 3);
    expect(min(85, 30, 'fridge')).toBeLessThan(min(85, 30, 'bowl'));
  });
  it('slower the more there is of it in a bowl, and no slower on a tray', () => {
    const eight = { ...sauce, massG: 8 * sauce.massG };
    // eight times the mass is four times the face
    expect(min(85, 30, 'bowl', eight)).toBeCloseTo(2 * min(85, 30, 'bowl'), 6);
    expect(min(85, 30, 'tray', eight)).toBe(min(85, 30, 'tray'));
  });
  it('never below what is round it', () => {
    expect(coolingMin(sauce, 80, 8, 'bowl', kitchen)).toBeNull();
    expect(coolingMin(sauce, 80, 8, 'tray', kitchen)).toBeNull();
    expect(min(80, 8, 'tray in the fridge')).toBeGreaterThan(0);
    expect(coolingMin(sauce, 20, 25, 'bowl', kitchen)).toBe(0);
  });
  it('longer the further, wherever it stands', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...coolPlaces),
        fc.double({ min: 40, max: 110, noNaN: true }),
        fc.double({ min: 24, max: 39, noNaN: true }),
        fc.double({ min: 20, max: 5000, noNaN: true }),
        (place, from, to, massG) => {
          const what = { ...sauce, massG };
          const whole = min(from, to, place, what);
          const part = min(from, (from + to) / 2, place, what);
          expect(whole).toBeGreaterThan(part);
          // the way is the same in one go or in two
          expect(part + min((from + to) / 2, to, place, what)).toBeCloseTo(whole, 6);
        },
      ),
    );
  });
});

describe('a recipe waits', () => {
  it('wherever it gets hot and is not beaten cold: every one of the house says so', () => {
    const beatenCold = ['meringue', 'yolk'].map((id) => `recipe-${id}`);
    for (const row of startingRecipes) {
      expect(row.holds, row.id).not.toBeNull();
      const isHot = row.bake === null && (row.hottestC ?? 0) > 45 && !beatenCold.includes(row.id);
      if (isHot) expect(row.holds!.length, row.id).toBeGreaterThan(0);
      for (const hold of row.holds!) expect(hold.after).toBeLessThanOrEqual(row.steps.length);
    }
  });
  it('at least as long as it must, however fast it cools', () => {
    const [hold] = planHolds(recipe('whippedganache'), 50, 1.1, pantry);
    expect(hold).toMatchObject({ minutes: 360, why: 'rested', place: 'fridge', after: 1 });
    const [large] = planHolds(recipe('caramel'), 2000, 1.3, pantry);
    const [small] = planHolds(recipe('caramel'), 250, 1.3, pantry);
    expect(large!.minutes).toBeCloseTo(2 * small!.minutes, 6);
    expect(small!.why).toBe('cooled');
  });
  it('where the user wants it, and nowhere that never makes it so cold', () => {
    const curd = (place: CoolPlace | null) =>
      planHolds(recipe('curd'), 400, 1.1, pantry, place)[0]!;
    expect(curd(null).place).toBe('tray in the fridge');
    expect(curd('fridge').place).toBe('fridge');
    expect(curd('fridge').minutes).toBeGreaterThan(curd(null).minutes);
    expect(curd('bowl').place).toBe('tray in the fridge');
    expect(curd(null).ways.map(({ place }) => place)).not.toContain('bowl');
    for (const way of curd(null).ways) expect(way.minutes).toBeGreaterThanOrEqual(curd(null).ways[0]!.minutes); // prettier-ignore
  });
  it('no longer than until it is as warm as it is used', () => {
    const to = (usedC: number | null) =>
      planHolds(recipe('caramel'), 400, 1.3, pantry, null, usedC)[0]!;
    expect(to(null).toC).toBe(28);
    expect(to(36).toC).toBe(36);
    expect(to(36).minutes).toBeLessThan(to(null).minutes);
    expect(to(20).toC).toBe(28);
  });
  it('until it can be spread, where nobody has said', () => {
    const own: Recipe = { ...recipe('caramel'), source: 'own', holds: null };
    expect(planHolds(own, 400, 1.3, pantry)[0]).toMatchObject({ guessed: true, toC: 28, after: 3 });
    expect(planHolds({ ...own, hottestC: null }, 400, 1.3, pantry)).toEqual([]);
    expect(planHolds({ ...own, holds: [] }, 400, 1.3, pantry)).toEqual([]);
  });
  it('in a hot kitchen until it is nearly as warm as the room', () => {
    const hot = { ...pantry, kitchen: { ...kitchen, roomC: 33 } };
    expect(planHolds(recipe('caramel'), 400, 1.3, hot)[0]).toMatchObject({
      toC: 35,
      place: 'bowl',
    });
  });
});

describe('at the bench and in the days', () => {
  const build = demo('jubilee');
  const plan = planBuild(build, pantry);
  const steps = stepsOf(plan);
  it('nothing hot is used from the pan', () => {
    for (const [id, hold, use] of [
      ['curd', 2, 'tier-2/fill/1'],
      ['caramel', 3, 'tier-3/centre-fill'],
      ['ganache', 2, 'tier-1/coat'],
    ] as const) {
      const made = placeOf(steps, `bowl/${id}/make`);
      const cooled = placeOf(steps, `bowl/${id}/hold/${hold}`);
      const used = placeOf(steps, use);
      expect(made).toBeLessThan(cooled);
      expect(cooled).toBeLessThan(used);
    }
    const caramel = steps[placeOf(steps, 'bowl/caramel/hold/3')]!;
    expect(caramel.hazards).toContain('hot sugar');
    expect(caramel.hotC).toBeGreaterThan(100);
    expect(caramel.probe!.toC).toBe(28);
  });
  it('a whipped ganache is cold before it is whipped, and used within a quarter of an hour', () => {
    const whip = steps[placeOf(steps, 'bowl/whippedganache/then/1')]!;
    expect(whip.title).toBe('Finish the whipped ganache');
    const tasks = dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));
    const finish = tasks.find(({ id }) => id === whip.key)!;
    expect(finish.after).toContainEqual({ id: 'bowl/whippedganache/make', leastMin: 0, mostMin: 3 * 24 * 60 }); // prettier-ignore
    expect(tasks.find(({ id }) => id === 'bowl/whippedganache/make')!.waitMin).toBe(360);
    const user = tasks.find((task) => task.after.some(({ id }) => id === whip.key))!;
    expect(user.after.find(({ id }) => id === whip.key)!.mostMin).toBe(15);
    // nothing comes between the whisk and the first filling: the cakes are cut by then
    expect(user.stepKeys[0]).toBe('tier-1/fill/0');
  });
  it('the days leave the time: no follower begins before what it waits for has cooled', () => {
    const tasks = dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));
    const answer = scheduleDay({
      tasks,
      windows: windowsBefore(new Date('2027-06-19T16:00:00'), build.day.hours),
      capacity: { hands: 1, oven: 1, mixer: 1, fridge: 900, freezer: 0 },
      seed: 1,
      rounds: 20,
    });
    if (!answer.ok) throw new Error(answer.why);
    const at = new Map(answer.plan.placed.map((one) => [one.id, one]));
    for (const task of tasks)
      for (const { id } of task.after)
        expect(at.get(task.id)!.startMin, `${task.id} after ${id}`).toBeGreaterThanOrEqual(
          at.get(id)!.endMin - 1e-6,
        );
    const caramel = at.get('bowl/caramel/make')!;
    expect(caramel.endMin - caramel.handsEndMin).toBeGreaterThan(100);
  });
  it('the place that was chosen changes the wait, and the fridge is taken where it stands there', () => {
    const cool = (where: CoolPlace) => {
      const chosen: Build = {
        ...build,
        day: { ...build.day, cooling: [{ spreadId: 'caramel', where }] },
      };
      return dayTasks(chosen, planBuild(chosen, pantry), (id) =>
        findRow(pantry, 'spreads', id),
      ).find(({ id }) => id === 'bowl/caramel/make')!;
    };
    expect(cool('tray').waitMin).toBeLessThan(cool('bowl').waitMin);
    expect(cool('fridge').uses.map(({ resource }) => resource)).toContain('fridge');
    expect(cool('bowl').uses.map(({ resource }) => resource)).not.toContain('fridge');
  });
  it('what spoils and cools too slowly says what to do', () => {
    const slow: Build = {
      ...newBuild('slow', 'Slow', '2027-05-03T09:30:00Z'),
      day: { ...build.day, cooling: [{ spreadId: 'compote', where: 'bowl' }] },
    };
    const thick = (massMm: number): Step => {
      const tier = slow.tiers[0]!;
      const gaps = tier.gaps.map((gap) => ({ ...gap, spreadId: 'compote', heightMm: massMm }));
      const made = planBuild({ ...slow, tiers: [{ ...tier, gaps }] }, pantry);
      const all = stepsOf(made);
      return all[placeOf(all, 'bowl/compote/hold/2')]!;
    };
    const words = (step: Step): string => step.cautions.map(({ text }) => text).join(' ');
    expect(words(thick(14))).toContain('Too slow for what spoils');
    expect(words(thick(14))).toContain('on a tray');
  });
  it('syrup is boiled and cools before it is brushed on', () => {
    const dry = newBuild('dry', 'Dry', '2027-05-03T09:30:00Z');
    const soaked: Build = { ...dry, tiers: [{ ...dry.tiers[0]!, soak: 'medium' }] };
    expect(stepsOf(planBuild(dry, pantry)).some(({ key }) => key.startsWith('bowl/syrup'))).toBe(
      false,
    );
    const made = planBuild(soaked, pantry);
    const sheet = stepsOf(made);
    expect(placeOf(sheet, 'bowl/syrup/hold/1')).toBeLessThan(
      placeOf(sheet, `${dry.tiers[0]!.id}/soak`),
    );
    const used = made.tiers[0]!.soak.reduce((sum, { massG }) => sum + massG, 0);
    const boiled = sheet[placeOf(sheet, 'bowl/syrup/make')]!;
    const weighed = boiled.list.reduce((sum, { value }) => sum + value, 0);
    expect(weighed * 0.97).toBeGreaterThanOrEqual(used - 1);
    expect(weighed * 0.97).toBeLessThan(used + 6);
    const tasks = dayTasks(soaked, made, (id) => findRow(pantry, 'spreads', id));
    expect(tasks.some((task) => task.after.some(({ id }) => id === 'bowl/syrup/make'))).toBe(true);
  });
  it('of random builds: every wait comes after its making and before the stack, with its time', () => {
    fc.assert(
      fc.property(anyBuild, (any) => {
        const made = planBuild(any, pantry);
        if (!made.steps.ok) return;
        const sheet = made.steps.value;
        expect(new Set(sheet.map(({ key }) => key)).size).toBe(sheet.length);
        for (const [i, step] of sheet.entries()) {
          if (!step.hold) continue;
          expect(step.timer!.minutes).toBeGreaterThan(0);
          expect(Number.isFinite(step.timer!.minutes)).toBe(true);
          const before = sheet
            .slice(0, i)
            .some(({ key }) => step.key.startsWith(key.replace(/\/make$/, '')));
          expect(before, step.key).toBe(true);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('kept from before', () => {
  it('a build of version 9 cools where its recipes say', () => {
    const text = readFileSync(new URL('fixtures/version-9.json', import.meta.url), 'utf8');
    const old = JSON.parse(text) as { build: object };
    const read = readBuildFile(text);
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.build).toMatchObject(old.build);
    expect(read.build.day.cooling).toEqual([]);
    for (const row of read.rows.recipes) expect(row.holds).toEqual(findRow(pantry, 'recipes', row.id).holds); // prettier-ignore
    expect(migrate(JSON.parse(text) as Record<string, unknown>).version).toBe(10);
  });
  it('what was made before has cooled since: a cake half made goes on where it stood', () => {
    const file = JSON.parse(
      readFileSync(new URL('fixtures/version-9.json', import.meta.url), 'utf8'),
    ) as { build: { bench: { done: object[] } } };
    const at = '2027-05-03T10:00:00Z';
    file.build.bench.done = ['bowl/caramel/make', 'bowl/whippedganache/make', 'tier-1/core', 'tier-2/core', 'tier-2/settle'].map((stepKey) => ({ stepKey, at })); // prettier-ignore
    const read = readBuildFile(JSON.stringify(file));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const done = read.build.bench.done.map(({ stepKey }) => stepKey);
    expect(done).toContain('bowl/caramel/hold/3');
    expect(done).toContain('bowl/whippedganache/hold/1');
    expect(done).toContain('bowl/whippedganache/then/1');
    expect(done).not.toContain('bowl/curd/hold/2');
    // a centre was filled where the stack stands, and not where it was only cut
    expect(done).toContain('tier-2/centre-fill');
    expect(done).not.toContain('tier-1/centre-fill');
    expect(new Set(done).size).toBe(done.length);
  });
  it('recipes of the house wait as the pantry says now, own ones as nobody has said', () => {
    for (const row of startingRecipes) {
      const { holds, ...old } = row;
      expect(rowFrom9('recipes', old).holds, row.id).toEqual(holds);
      expect(rowFrom9('recipes', { ...old, source: 'own' }).holds).toBeNull();
    }
    expect(rowFrom9('tins', { id: 'tin' })).toEqual({ id: 'tin' });
  });
});

describe('in an order that fits', () => {
  it('a hidden centre is filled when its topmost layer is on, before the lid', () => {
    const build = demo('jubilee');
    const { id, centre } = build.tiers[2]!;
    const sheet = stepsOf(planBuild(build, pantry));
    const filled = placeOf(sheet, `${id}/centre-fill`);
    expect(filled).toBe(placeOf(sheet, `${id}/fill/${centre!.toLayer - 1}`) + 1);
    expect(filled).toBeLessThan(placeOf(sheet, `${id}/fill/${centre!.toLayer}`));
    expect(sheet[filled]!.amounts[0]!.label).toBe('soft caramel');
    expect(sheet[placeOf(sheet, `${id}/core`)]!.amounts).toEqual([]);
    // one cut as deep as the first layer is filled before anything is set on it
    const low: Build = {
      ...build,
      tiers: build.tiers.map((tier) =>
        tier.id === id ? { ...tier, centre: { ...centre!, fromLayer: 0, toLayer: 0 } } : tier,
      ),
    };
    const lower = stepsOf(planBuild(low, pantry));
    expect(placeOf(lower, `${id}/centre-fill`)).toBe(placeOf(lower, `${id}/first`) + 1);
  });
  const base = newBuild('order', 'Order', '2027-05-03T09:30:00Z');
  const [tier] = base.tiers;
  const keysOf = (changed: Partial<Build['tiers'][number]>): string[] =>
    stepsOf(planBuild({ ...base, tiers: [{ ...tier!, ...changed }] }, pantry)).map(
      ({ key }) => key,
    );
  it('what is pressed on comes while the coat is soft, the paper out after it, then the cold', () => {
    const pressing = {
      name: 'chopped walnuts',
      foodId: 'walnuts',
      gPerCm2: 0.25,
      cover: 0.9,
      bandMm: null,
      onTop: false,
      allergens: [],
    };
    const { id } = tier!;
    const sheet = stepsOf(planBuild({ ...base, tiers: [{ ...tier!, pressed: pressing }] }, pantry));
    const pressed = placeOf(sheet, `${id}/pressed`);
    expect(pressed).toBe(placeOf(sheet, `${id}/coat`) + 1);
    expect(pressed).toBe(placeOf(sheet, `${id}/coat-chill`) - 1);
    expect(sheet[pressed]!.checks.join()).toContain('Paper strips');
    expect(sheet[pressed - 1]!.checks.join()).not.toContain('Paper strips');
  });
  it('a heap is browned by the torch, other toppings are put on when it is off', () => {
    const topped = demo('jubilee').tiers.flatMap(({ toppings }) => toppings)[0]!;
    const heap = { ...topped, id: 'heap', kind: 'heap' as const, last: false, eaten: true, pick: 'none' as const }; // prettier-ignore
    const placed = { ...topped, id: 'placed', last: false };
    const order = keysOf({ torched: true, toppings: [placed, heap] }).filter((key) =>
      /torch|topping|heap|placed/.test(key),
    );
    expect(order.length).toBeGreaterThanOrEqual(3);
    const torch = order.findIndex((key) => key.endsWith('/torch'));
    expect(torch).toBeGreaterThan(0);
    expect(torch).toBeLessThan(order.length - 1);
    const cold = keysOf({ torched: false, toppings: [placed, heap] });
    expect(cold.some((key) => key.endsWith('/torch'))).toBe(false);
  });
  it('layers of another kind are mixed once, weighed out, rested, and then made', () => {
    const build = demo('comet-crepes');
    const { id } = build.tiers[0]!;
    const sheet = stepsOf(planBuild(build, pantry));
    const mixed = placeOf(sheet, `${id}/other-mix/crepe`);
    expect(placeOf(sheet, `${id}/other-mix/crepe/hold/1`)).toBe(mixed + 1);
    const made = sheet.filter(({ key }) => key.startsWith(`${id}/other/`));
    expect(made.length).toBe(2);
    const batterG = made.flatMap(({ amounts }) => amounts.filter(({ kind }) => kind === 'bowl'));
    const wanted = batterG.reduce((sum, { value }) => sum + value, 0);
    const weighed = sheet[mixed]!.list.reduce((sum, { value }) => sum + value, 0);
    expect(weighed).toBeGreaterThanOrEqual(wanted);
    expect(weighed).toBeLessThan(wanted * 1.03 + 5);
    for (const step of made) {
      expect(sheet.indexOf(step)).toBeGreaterThan(mixed + 1);
      expect(step.lead!.text).toContain('hot pan');
    }
    // a top is spread where the side stays bare, and no word of a coat is said
    const top = sheet[placeOf(sheet, `${id}/coat`)]!;
    expect(top.title).toContain('side stays bare');
    expect(top.checks.join()).not.toMatch(/Paper|show through|set square/);
  });
  it('one layer is not measured for level, and neither are crepes', () => {
    expect(keysOf({}).some((key) => key.endsWith('/rims'))).toBe(true);
    expect(keysOf({ layers: [tier!.layers[0]!], gaps: [] }).some((key) => key.endsWith('/rims'))).toBe(false); // prettier-ignore
    const crepes = stepsOf(planBuild(demo('comet-crepes'), pantry));
    expect(crepes.some(({ key }) => key.endsWith('/rims'))).toBe(false);
  });
});

describe('while something waits', () => {
  const build = demo('jubilee');
  const plan = planBuild(build, pantry);
  const tasks = dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));
  const order = new Map(tasks.flatMap((task) => task.stepKeys.map((key) => [key, task] as const)));
  it('only that is offered whose forerunners are done, wherever one stands', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 0.999, noNaN: true }), { maxLength: 60 }),
        (dice) => {
          // a cake made by always taking one of what is offered, or the next of the task at hand
          const done = new Set<string>();
          for (const die of dice) {
            const free = freeSteps(tasks, done, new Set(), '');
            if (free.length === 0) return;
            for (const key of free) {
              const task = order.get(key)!;
              for (const { id } of task.after)
                for (const before of tasks.find((one) => one.id === id)!.stepKeys)
                  expect(done.has(before), `${before} before ${key}`).toBe(true);
              for (const earlier of task.stepKeys.slice(0, task.stepKeys.indexOf(key)))
                expect(done.has(earlier)).toBe(true);
            }
            done.add(free[Math.floor(die * free.length)]!);
          }
        },
      ),
    );
  });
  it('the whole cake is made by taking what is offered, and then nothing is', () => {
    const done = new Set<string>();
    for (let free = freeSteps(tasks, done, new Set(), ''); free.length > 0;) {
      done.add(free.at(-1)!);
      free = freeSteps(tasks, done, new Set(), '');
    }
    expect(done.size).toBe(order.size);
  });
  it('neither the step at hand nor what waits already', () => {
    const all = freeSteps(tasks, new Set(), new Set(), '');
    expect(all.length).toBeGreaterThan(3);
    const [first, second] = all;
    const left = freeSteps(tasks, new Set(), new Set([second!]), first!);
    expect(left).not.toContain(first);
    expect(left).not.toContain(second);
    expect(left.length).toBe(all.length - 2);
  });
});

describe('sessions of the days', () => {
  const build = demo('jubilee');
  const plan = planBuild(build, pantry);
  const sheet = stepsOf(plan);
  const tasks = dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));
  const answer = scheduleDay({
    tasks,
    windows: windowsBefore(new Date('2027-06-19T16:00:00'), build.day.hours),
    capacity: { hands: 1, oven: 1, mixer: 1, fridge: 900, freezer: 0 },
    seed: 1,
    rounds: 5,
  });
  if (!answer.ok) throw new Error(answer.why);
  const sessions = planSessions(tasks, answer.plan.placed, sheet, pantry.foods);
  it('hold every task once, in order, with a pause between them', () => {
    expect(sessions.flatMap(({ taskIds }) => taskIds).sort()).toEqual(tasks.map(({ id }) => id).sort()); // prettier-ignore
    for (const [i, one] of sessions.entries()) {
      expect(one.toMin).toBeGreaterThanOrEqual(one.fromMin);
      if (i > 0) expect(one.fromMin - sessions[i - 1]!.toMin).toBeGreaterThan(180);
    }
  });
  it('weigh every gram of every recipe once', () => {
    const listed = sheet
      .flatMap(({ list }) => (list.some(({ foodId }) => foodId) ? list : []))
      .reduce((sum, { value }) => sum + value, 0);
    const weighed = sessions
      .flatMap(({ weigh }) => weigh.flatMap(({ lines }) => lines))
      .reduce((sum, { value }) => sum + value, 0);
    expect(weighed).toBeGreaterThan(3000);
    expect(weighed).toBeCloseTo(listed, 6);
  });
  it('take butter and eggs out for what is beaten, and leave cream in the cold', () => {
    const warm = sessions.flatMap((one) => one.warm.map(({ foodId }) => foodId));
    expect(warm).toContain('butter');
    expect(warm).toContain('eggs');
    expect(warm).not.toContain('whipping-cream');
    const ganache = sheet.filter(({ key }) => key === 'bowl/ganache/make');
    expect(warmFor(ganache, pantry.foods)).toEqual([]);
  });
  it('name what is there from before, and nothing of the same session', () => {
    expect(sessions[0]!.ready).toEqual([]);
    const titles = new Map(tasks.map(({ title, id }) => [title, id]));
    for (const one of sessions)
      for (const title of one.ready) expect(one.taskIds).not.toContain(titles.get(title));
    expect(sessions.at(-1)!.ready.length).toBeGreaterThan(0);
  });

  it('label what is put away between two stretches, with until when and what it holds', () => {
    const { placed } = answer.plan;
    const bowls = plan.bowls.ok ? plan.bowls.value : [];
    const labels = storeLabels({ build, bowls, tasks, placed, pantry });
    const at = new Map(placed.map((one) => [one.id, one]));
    for (const one of labels) {
      expect(one.useByMin).toBeGreaterThan(one.madeMin);
      expect(one.useByMin).toBeLessThanOrEqual(0);
      expect(one.contents).toMatch(/^(Holds|What it holds)/);
    }
    const curd = labels.find(({ id }) => id === 'bowl/curd');
    const made = at.get('bowl/curd/make')!;
    const used = at.get(
      tasks.find((task) => task.after.some(({ id }) => id === 'bowl/curd/make'))!.id,
    )!;
    expect(curd !== undefined).toBe(used.startMin - made.endMin >= 60);
    if (curd) expect(curd.contents).toContain('eggs');
    expect(labels.filter(({ id }) => id.endsWith('/cake')).length).toBe(3);
    expect(storeLabels({ build, bowls, tasks, placed: [], pantry })).toEqual([]);
  });
  it('a row that nobody has read the label of is not known on it', () => {
    const foods = pantry.foods.map((food) => food.id === 'lemon-juice' ? { ...food, declared: false } : food); // prettier-ignore
    const bowls = plan.bowls.ok ? plan.bowls.value : [];
    const labels = storeLabels({ build, bowls, tasks, placed: answer.plan.placed, pantry: { ...pantry, foods } }); // prettier-ignore
    const curd = labels.find(({ id }) => id === 'bowl/curd');
    if (curd) expect(curd.contents).toContain('Not known: what is in lemon juice');
    for (const { id, contents } of labels)
      if (id !== 'bowl/curd') expect(contents).not.toContain('lemon');
  });
  it('ganache that has set is warmed before it is spread, buttercream is not', () => {
    const warmed = sheet.filter(({ cautions }) => cautions.some(({ text }) => text.includes('where it has set'))); // prettier-ignore
    expect(warmed.map(({ key }) => key)).toContain('tier-1/first');
    for (const { cautions } of warmed)
      for (const { text } of cautions) expect(text).not.toContain('buttercream, where it has set');
    // once for each tier
    expect(new Set(warmed.map(({ key }) => key.split('/')[0])).size).toBe(warmed.length);
  });
});
