import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addTier,
  breaksAt,
  dayTasks,
  findRow,
  handsOf,
  handsOfTasks,
  inDayOrder,
  newBuild,
  ownPart,
  planBuild,
  scheduleDay,
  sharedId,
  startingPantry,
  tasksTogether,
  type Capacity,
  type DayAnswer,
  type DayPlan,
  type DayQuestion,
  type DayTask,
  type Window,
} from '../src/index.ts';
import { handsOnOf } from '../src/labour/hands-on.ts';
import { pantry } from './arbitrary.ts';
import { bareTask as task, demo, stepsOf, tasksOf } from './work-kit.ts';

const capacity: Capacity = { hands: 1, oven: 1, mixer: 1, fridge: 1000, freezer: 0 };
const after = (...ids: string[]): Pick<DayTask, 'after'> => ({
  after: ids.map((id) => ({ id, leastMin: 0, mostMin: null })),
});
const evenings: Window[] = [0, 1, 2, 3].map((back) => ({
  fromMin: -240 - 1440 * back,
  toMin: -1440 * back,
}));
const question = (tasks: DayTask[], more: Partial<DayQuestion> = {}): DayQuestion => ({
  tasks,
  windows: evenings,
  capacity,
  seed: 7,
  rounds: 120,
  ...more,
});
const planned = (answer: DayAnswer): DayPlan => {
  if (!answer.ok) throw new Error(JSON.stringify(answer));
  return answer.plan;
};
const startOf = (plan: DayPlan, id: string): number =>
  plan.placed.find((one) => one.id === id)!.startMin;

describe('a task that is put at its time', () => {
  it('begins then, and what it waits for goes before it', () => {
    const tasks = [task('bake', 60), task('coat', 40, 0, { ...after('bake'), pinMin: -150 })];
    const plan = planned(scheduleDay(question(tasks)));
    expect(startOf(plan, 'coat')).toBe(-150);
    expect(startOf(plan, 'bake')).toBeLessThanOrEqual(-210);
    expect(plan.moved).toEqual([]);
  });
  it('begins earlier where it cannot begin then, and that is said', () => {
    const tasks = [task('coat', 40, 0, { pinMin: -20 }), task('box', 30, 0, after('coat'))];
    const plan = planned(scheduleDay(question(tasks)));
    expect(startOf(plan, 'coat')).toBe(-70);
    expect(plan.moved).toEqual([{ id: 'coat', wantedMin: -20, startMin: -70 }]);
  });
  it('never breaks a rule, wherever it is put', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            hands: fc.integer({ min: 1, max: 8 }).map((n) => n * 10),
            wait: fc.integer({ min: 0, max: 6 }).map((n) => n * 10),
            pin: fc.option(
              fc.integer({ min: 1, max: 200 }).map((n) => -n * 15),
              { nil: null },
            ),
          }),
          { minLength: 2, maxLength: 7 },
        ),
        (rows) => {
          const tasks = rows.map((row, i) =>
            task(`t${i}`, row.hands, row.wait, {
              ...(i > 0 && i % 2 === 0 ? after(`t${i - 1}`) : {}),
              ...(row.pin === null ? {} : { pinMin: row.pin }),
            }),
          );
          const answer = scheduleDay(question(tasks, { rounds: 20 }));
          if (!answer.ok) return expect(answer.why).toBe('too little time');
          for (const one of tasks) {
            const start = startOf(answer.plan, one.id);
            // nothing that stands against a task where it was placed
            expect(breaksAt(question(tasks), answer.plan.placed, one.id, start)).toEqual([]);
            if (one.pinMin !== undefined) expect(start).toBeLessThanOrEqual(one.pinMin + 1e-6);
          }
        },
      ),
      { numRuns: 120 },
    );
  });
});

describe('hands-on time', () => {
  it.each(['meridian', 'jubilee', 'comet-crepes', 'star-party'])(
    'of all tasks of %s is that of all its steps but what is done at the table',
    (name) => {
      const build = demo(name);
      const plan = planBuild(build, pantry);
      const steps = stepsOf(plan);
      const tasks = tasksOf(build, plan);
      const atTable = steps
        .filter(({ key }) => !tasks.some(({ stepKeys }) => stepKeys.includes(key)))
        .reduce((sum, { handsOnMin }) => sum + handsOnMin, 0);
      expect(handsOfTasks(tasks, steps)).toBeCloseTo(handsOnOf(steps) - atTable, 6);
    },
  );
  it('counts minutes of one’s own as they were given, and tasks without steps', () => {
    const build = demo('meridian');
    const steps = stepsOf(planBuild(build, pantry));
    const [first, ...rest] = tasksOf(build, planBuild(build, pantry));
    const before = handsOfTasks([first!], steps);
    const longer = { ...first!, handsMin: first!.handsMin + 40 };
    expect(handsOfTasks([longer], steps)).toBeCloseTo(handsOf(longer), 9);
    expect(handsOfTasks([longer], steps)).toBeGreaterThan(before + 38);
    const errand = task('flowers', 25);
    expect(handsOfTasks([...rest, errand], steps)).toBeCloseTo(handsOfTasks(rest, steps) + 25, 9);
  });
});

describe('what a task that is dragged breaks', () => {
  const tasks = [
    task('bake', 60, 0),
    task('cream', 30, 0),
    task('coat', 40, 20, {
      ...after('bake'),
      uses: [{ resource: 'fridge', amount: 600, when: 'wait' }],
    }),
    task('box', 10, 0, after('coat')),
  ];
  const q = question(tasks);
  const plan = planned(scheduleDay(q));
  const why = (id: string, at: number): string[] =>
    breaksAt(q, plan.placed, id, at).map((one) => ('id' in one ? `${one.why} ${one.id}` : one.why));
  it('is nothing where it stands', () => {
    for (const one of tasks) expect(why(one.id, startOf(plan, one.id))).toEqual([]);
  });
  it('is the hours, what comes before, what comes after, or the hands', () => {
    expect(why('bake', -600)).toContain('hours');
    expect(why('coat', startOf(plan, 'bake') - 30)).toContain('before bake');
    expect(why('bake', startOf(plan, 'coat'))).toContain('after coat');
    expect(why('cream', startOf(plan, 'coat'))).toEqual(['full']);
    expect(why('box', -5)).toContain('past due');
    expect(why('nothing', -5)).toEqual([]);
  });
  it('is a fridge that is full', () => {
    const many = [...tasks, { ...tasks[2]!, id: 'other', after: [] }];
    const all = question(many);
    const own = planned(scheduleDay(all));
    const at = startOf(own, 'coat') + 10;
    expect(breaksAt(all, own.placed, 'other', at)).toContainEqual({
      why: 'full',
      resource: 'fridge',
    });
  });
});

describe('several cakes in one kitchen', () => {
  const cakes = (dueMin: number) => [
    { buildId: 'a', name: 'A', dueMin: 0, tasks: [task('x', 90, 0), task('y', 60, 0, after('x'))] },
    { buildId: 'b', name: 'B', dueMin, tasks: [task('x', 80, 0), task('y', 40, 30, after('x'))] },
  ];
  it('share the hands, and each is ready at its own time', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 20 }).map((n) => -n * 60),
        (due) => {
          const tasks = tasksTogether(cakes(due));
          const plan = planned(scheduleDay(question(tasks)));
          const byId = new Map(tasks.map((one) => [one.id, one]));
          for (const one of plan.placed)
            expect(one.endMin).toBeLessThanOrEqual(byId.get(one.id)!.dueMin! + 1e-6);
          const hands = [...plan.placed].sort((a, b) => a.startMin - b.startMin);
          hands.forEach((one, i) => {
            if (i > 0)
              expect(one.startMin).toBeGreaterThanOrEqual(hands[i - 1]!.handsEndMin - 1e-6);
          });
          expect(plan.spanMin).toBeGreaterThanOrEqual(plan.boundMin - 1e-6);
        },
      ),
      { numRuns: 30 },
    );
  });
  it('begin earlier together than each alone', () => {
    const alone = planned(scheduleDay(question(cakes(0)[0]!.tasks)));
    const both = planned(scheduleDay(question(tasksTogether(cakes(0)))));
    expect(both.spanMin).toBeGreaterThan(alone.spanMin);
  });
  it('are seen from each in its own time', () => {
    const due = -1440;
    const plan = planned(scheduleDay(question(tasksTogether(cakes(due)))));
    const own = ownPart(plan, 'b', -due);
    expect(own.placed.map(({ id }) => id).sort()).toEqual(['x', 'y']);
    for (const one of own.placed) {
      const all = plan.placed.find(({ id }) => id === sharedId('b', one.id))!;
      expect(one.startMin).toBe(all.startMin + 1440);
      expect(one.endMin).toBeLessThanOrEqual(0);
    }
    expect(Object.keys(own.slack).sort()).toEqual(['x', 'y']);
  });
});

describe('the freezer', () => {
  const pantry = startingPantry();
  const spreadOf = (id: string) => findRow(pantry, 'spreads', id);
  it('takes less than half the time, and its own room', () => {
    const cold = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    // what is chilled for the road stands in the fridge whatever its coats were set in
    cold.journey.chilled = false;
    const fridge = dayTasks(cold, planBuild(cold, pantry), spreadOf);
    const own = {
      ...cold,
      day: { ...cold.day, chillIn: 'freezer' as const, freezerMm: 400 },
    };
    const freezer = dayTasks(own, planBuild(own, pantry), spreadOf);
    const uses = (tasks: DayTask[], resource: string): DayTask[] =>
      tasks.filter((one) => one.uses.some((use) => use.resource === resource));
    expect(uses(fridge, 'freezer')).toEqual([]);
    expect(uses(freezer, 'fridge')).toEqual([]);
    expect(uses(freezer, 'freezer')).toHaveLength(uses(fridge, 'fridge').length);
    uses(freezer, 'freezer').forEach((one, i) => {
      const before = uses(fridge, 'fridge')[i]!;
      expect(one.waitMin).toBeLessThan(0.5 * before.waitMin + 1);
      expect(one.waitMin).toBeGreaterThan(0);
    });
    // a freezer that is not there takes nothing
    const answer = scheduleDay(question(freezer));
    expect(answer).toMatchObject({ ok: false, why: 'no room', resource: 'freezer' });
  });
});

describe('the bench in the order of the days', () => {
  const pantry = startingPantry();
  it('has every step once, each task together, and turns out when the baking is over', () => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    addTier(build);
    const plan = planBuild(build, pantry);
    if (!plan.steps.ok) throw new Error('no steps');
    const tasks = dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));
    const days = planned(scheduleDay(question(tasks)));
    const order = inDayOrder(plan.steps.value, tasks, days.placed);
    expect(order.map(({ key }) => key).sort()).toEqual(
      plan.steps.value.map(({ key }) => key).sort(),
    );
    const at = new Map(order.map(({ key }, i) => [key, i]));
    for (const one of tasks) {
      const keys = one.again ? one.stepKeys.slice(0, -1) : one.stepKeys;
      keys.forEach((key, i) => {
        if (i > 0) expect(at.get(key)).toBeGreaterThan(at.get(keys[i - 1]!)!);
      });
      for (const { id } of one.after) {
        const before = tasks.find((other) => other.id === id);
        const [last, first] = [before?.stepKeys.at(-1), one.stepKeys[0]];
        if (last && first) expect(at.get(first)).toBeGreaterThan(at.get(last)!);
      }
    }
    expect(at.get('tier-1/cool')).toBeGreaterThan(at.get('tier-1/bake')!);
  });
  it('is the run sheet where there is no plan', () => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    const plan = planBuild(build, pantry);
    if (!plan.steps.ok) throw new Error('no steps');
    expect(inDayOrder(plan.steps.value, [], [])).toEqual(plan.steps.value);
  });
});
