import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { freeSteps, planBuild, planSessions, storeLabels, warmFor } from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { demo, stepsOf, tasksOf, placedOf } from './work-kit.ts';

describe('while something waits', () => {
  const build = demo('jubilee');
  const plan = planBuild(build, pantry);
  const tasks = tasksOf(build, plan);
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
  const tasks = tasksOf(build, plan);
  const placed = placedOf(build, tasks);
  const sessions = planSessions(tasks, placed, sheet, pantry.foods);
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
  it('take out what every mixing of a batch asks for, not that of one', () => {
    const butter = {
      label: 'butter',
      value: 300,
      kind: 'bowl' as const,
      note: null,
      foodId: 'butter',
    };
    const beaten = sheet.find(({ key }) => key === 'bowl/buttercream/make')!;
    const twice = { ...beaten, list: [{ ...butter, times: 2 }] };
    expect(warmFor([twice], pantry.foods)[0]!.massG).toBe(600);
    expect(warmFor([{ ...twice, list: [butter] }], pantry.foods)[0]!.massG).toBe(300);
  });
  it('name what is there from before, and nothing of the same session', () => {
    expect(sessions[0]!.ready).toEqual([]);
    const titles = new Map(tasks.map(({ title, id }) => [title, id]));
    for (const one of sessions)
      for (const title of one.ready) expect(one.taskIds).not.toContain(titles.get(title));
    expect(sessions.at(-1)!.ready.length).toBeGreaterThan(0);
  });

  // made the evening before, whatever the plan of the days came to
  const curdEarly = placed.map((one) =>
    one.id === 'bowl/curd/make'
      ? {
          ...one,
          startMin: one.startMin - 600,
          handsEndMin: one.handsEndMin - 600,
          endMin: one.endMin - 600,
        }
      : one,
  );
  it('label what is put away between two stretches, with until when and what it holds', () => {
    const bowls = plan.bowls.ok ? plan.bowls.value : [];
    const labels = storeLabels({ build, bowls, tasks, placed, pantry });
    const early = storeLabels({ build, bowls, tasks, placed: curdEarly, pantry });
    const at = new Map(placed.map((one) => [one.id, one]));
    for (const one of [...labels, ...early]) {
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
    expect(early.find(({ id }) => id === 'bowl/curd')!.contents).toContain('eggs');
    expect(labels.filter(({ id }) => id.endsWith('/cake')).length).toBe(3);
    expect(storeLabels({ build, bowls, tasks, placed: [], pantry })).toEqual([]);
  });
  it('a row that nobody has read the label of is not known on it', () => {
    const foods = pantry.foods.map((food) => food.id === 'lemon-juice' ? { ...food, declared: false } : food); // prettier-ignore
    const bowls = plan.bowls.ok ? plan.bowls.value : [];
    const labels = storeLabels({ build, bowls, tasks, placed: curdEarly, pantry: { ...pantry, foods } }); // prettier-ignore
    const curd = labels.find(({ id }) => id === 'bowl/curd');
    expect(curd!.contents).toContain('Not known: what is in lemon juice');
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
