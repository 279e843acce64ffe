import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addTier,
  dayTasks,
  doneOf,
  findRow,
  inOrder,
  keepingClocks,
  metric,
  outOfCold,
  say,
  showText,
  latestFor,
  newBuild,
  newDay,
  planBuild,
  replanFrom,
  scheduleDay,
  tasksLeft,
  windowsBefore,
  workedSince,
  type Build,
  type Capacity,
  type DayAnswer,
  type DayPlan,
  type DayTask,
  type Hours,
  type Window,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';
import { bareTask } from './work-kit.ts';

const capacity: Capacity = { hands: 1, oven: 1, mixer: 1, fridge: 1000, freezer: 0 };
const task = (
  id: string,
  handsMin: number,
  waitMin: number,
  after: DayTask['after'] = [],
  uses: DayTask['uses'] = [],
): DayTask => bareTask(id, handsMin, waitMin, { after, uses });
const comes = (id: string, leastMin = 0, mostMin: number | null = null) => ({
  id,
  leastMin,
  mostMin,
});
/** Evenings from six to ten, four days back. */
const evenings: Window[] = [0, 1, 2, 3].map((back) => ({
  fromMin: -240 - 1440 * back,
  toMin: -1440 * back,
}));
const planned = (answer: DayAnswer): DayPlan => {
  if (!answer.ok) throw new Error(JSON.stringify(answer));
  return answer.plan;
};
const ask = (
  tasks: DayTask[],
  more: { windows?: Window[]; capacity?: Capacity; rounds?: number } = {},
) => scheduleDay({ tasks, windows: evenings, capacity, seed: 7, rounds: 200, ...more });

/** Checks a plan by its own rules, minute by minute, without a line of the scheduler. */
function faults(
  tasks: readonly DayTask[],
  plan: DayPlan,
  windows: readonly Window[],
  most: Capacity,
) {
  const at = new Map(plan.placed.map((one) => [one.id, one]));
  const wrong: string[] = [];
  if (at.size !== tasks.length) wrong.push('a task is missing');
  for (const one of tasks) {
    const own = at.get(one.id)!;
    if (Math.abs(own.handsEndMin - own.startMin - one.handsMin) > 1e-6)
      wrong.push(`${one.id} hands`);
    const rest = one.again ? one.again.handsMin + one.again.waitMin : 0;
    if (Math.abs(own.endMin - own.handsEndMin - one.waitMin - rest) > 1e-6)
      wrong.push(`${one.id} wait`);
    if (one.again) {
      const taken = own.againMin!;
      if (Math.abs(taken - own.handsEndMin - one.waitMin) > 1e-6)
        wrong.push(`${one.id} is not taken up again in time`);
      if (
        !windows.some(
          (w) => w.fromMin - 1e-6 <= taken && taken + one.again!.handsMin <= w.toMin + 1e-6,
        )
      )
        wrong.push(`${one.id} taken up again outside the hours`);
    }
    if (own.endMin > 1e-6) wrong.push(`${one.id} ends after the deadline`);
    if (
      one.handsMin > 0 &&
      !windows.some((w) => w.fromMin - 1e-6 <= own.startMin && own.handsEndMin <= w.toMin + 1e-6)
    )
      wrong.push(`${one.id} outside the hours`);
    for (const { id, leastMin, mostMin } of one.after) {
      const before = at.get(id);
      if (!before) continue;
      const waited = own.startMin - before.endMin;
      if (waited < leastMin - 1e-6) wrong.push(`${one.id} too soon after ${id}`);
      if (mostMin !== null && waited > mostMin + 1e-6 && !plan.late.some((l) => l.id === one.id))
        wrong.push(`${one.id} too long after ${id}, and not said`);
    }
  }
  const edges = new Set(
    plan.placed.flatMap((p) => [p.startMin, p.handsEndMin, p.againMin ?? p.endMin, p.endMin]),
  );
  for (const edge of edges) {
    const t = edge + 1e-4;
    const use: Record<string, number> = {};
    for (const one of tasks) {
      const own = at.get(one.id)!;
      const hands = own.startMin <= t && t < own.handsEndMin;
      const again =
        own.againMin !== null && own.againMin <= t && t < own.againMin + one.again!.handsMin;
      const waits = own.handsEndMin <= t && t < (own.againMin ?? own.endMin);
      if (hands || again) use.hands = (use.hands ?? 0) + 1;
      for (const { resource, amount, when } of one.uses)
        if ((hands && when !== 'wait') || (waits && when !== 'hands'))
          use[resource] = (use[resource] ?? 0) + amount;
    }
    for (const [name, amount] of Object.entries(use))
      if (amount > most[name as keyof Capacity] + 1e-9) wrong.push(`${name} over-used at ${edge}`);
  }
  return wrong;
}

const anyTasks = fc
  .array(
    fc.record({
      hands: fc.integer({ min: 0, max: 12 }).map((n) => n * 5),
      wait: fc.integer({ min: 0, max: 24 }).map((n) => n * 5),
      on: fc.array(fc.nat(11), { maxLength: 2 }),
      lag: fc.integer({ min: 0, max: 6 }).map((n) => n * 5),
      oven: fc.boolean(),
      mixer: fc.boolean(),
      fridge: fc.integer({ min: 0, max: 3 }),
      again: fc.option(fc.integer({ min: 1, max: 12 }), { nil: null }),
    }),
    { minLength: 1, maxLength: 12 },
  )
  .map((rows) =>
    rows.map((row, i) => ({
      ...task(
        `t${i}`,
        row.hands,
        row.wait,
        // only on what comes before in the list, so that nothing goes round in a loop
        [...new Set(row.on)].filter((k) => k < i).map((k) => comes(`t${k}`, row.lag)),
        [
          ...(row.oven ? [{ resource: 'oven' as const, amount: 1, when: 'wait' as const }] : []),
          ...(row.mixer ? [{ resource: 'mixer' as const, amount: 1, when: 'hands' as const }] : []),
          ...(row.fridge > 0
            ? [{ resource: 'fridge' as const, amount: row.fridge * 150, when: 'wait' as const }]
            : []),
        ],
      ),
      again: row.again === null ? null : { handsMin: 5, waitMin: row.again * 5 },
    })),
  );

describe('a day that is planned', () => {
  it('breaks no rule: lags, hours, hands, oven, mixer and fridge, on any tasks', () => {
    fc.assert(
      fc.property(anyTasks, fc.integer({ min: 1, max: 3 }), (tasks, hands) => {
        const most = { ...capacity, hands, fridge: 400 };
        const many = tasks.filter((one) =>
          one.uses.every((use) => use.amount <= most[use.resource]),
        );
        const answer = ask(many, { capacity: most, rounds: 30 });
        if (!answer.ok) {
          expect(answer.why).toBe('too little time');
          return;
        }
        expect(faults(many, answer.plan, evenings, most)).toEqual([]);
        expect(answer.plan.spanMin).toBeGreaterThanOrEqual(answer.plan.boundMin - 1e-6);
      }),
      { numRuns: 150 },
    );
  });
  it('is as short as any order makes it, on small ones', () => {
    const orders = <T>(list: readonly T[]): T[][] =>
      list.length < 2
        ? [[...list]]
        : list.flatMap((one, i) =>
            orders([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [one, ...rest]),
          );
    const all: Window[] = [{ fromMin: -100_000, toMin: 0 }];
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            hands: fc.integer({ min: 1, max: 6 }).map((n) => n * 10),
            wait: fc.integer({ min: 0, max: 6 }).map((n) => n * 10),
          }),
          { minLength: 1, maxLength: 5 },
        ),
        (rows) => {
          // one pair of hands: the hands one after the other in some order, each wait ended by the deadline
          const tasks = rows.map((row, i) => task(`t${i}`, row.hands, row.wait));
          let shortest = Infinity;
          for (const order of orders(tasks)) {
            let free = 0;
            for (const one of order) free = Math.min(free, -one.waitMin) - one.handsMin;
            shortest = Math.min(shortest, -free);
          }
          const plan = planned(ask(tasks, { windows: all, rounds: 600 }));
          expect(plan.spanMin).toBeCloseTo(shortest, 6);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('is the same for the same seed', () => {
    fc.assert(
      fc.property(anyTasks, (tasks) => {
        expect(ask(tasks, { rounds: 40 })).toEqual(ask(tasks, { rounds: 40 }));
      }),
      { numRuns: 20 },
    );
  });
  it('puts work into the evenings and waits through the night', () => {
    const plan = planned(
      ask([
        task('bake', 60, 480),
        task('coat', 180, 0, [comes('bake')]),
        task('box', 30, 0, [comes('coat')]),
      ]),
    );
    const [bake, coat, box] = plan.placed;
    expect(box!.endMin).toBe(0);
    expect(coat!.handsEndMin).toBe(-30);
    // it cools overnight: baked the evening before
    expect(bake!.handsEndMin).toBe(-1440);
    expect(plan.spanMin).toBe(1500);
    expect(plan.critical).toContain('bake');
  });
  it('says how long a result waits beyond what it keeps', () => {
    const plan = planned(
      ask([
        task('whip', 20, 0),
        task('long', 200, 0, [comes('whip')]),
        task('use', 10, 0, [comes('whip', 0, 60), comes('long')]),
      ]),
    );
    expect(plan.late).toEqual([{ id: 'use', after: 'whip', byMin: 140 }]);
  });
  it('two pairs of hands are faster than one where there is something for both', () => {
    const tasks = ['a', 'b', 'c', 'd'].map((id) => task(id, 50, 0));
    expect(planned(ask(tasks)).spanMin).toBe(200);
    expect(planned(ask(tasks, { capacity: { ...capacity, hands: 2 } })).spanMin).toBe(100);
    expect(planned(ask(tasks)).boundMin).toBe(200);
  });
  it('gives the slack of a task that is not in the chain, and none of the chain', () => {
    const plan = planned(
      ask(
        [
          task('long', 100, 0),
          task('short', 10, 0),
          task('end', 10, 0, [comes('long'), comes('short')]),
        ],
        {
          capacity: { ...capacity, hands: 2 },
        },
      ),
    );
    expect(plan.slack.short!.earlierMin).toBeGreaterThanOrEqual(90);
    expect(plan.slack.long).toEqual({ earlierMin: 0, laterMin: 0 });
    expect(plan.critical).toEqual(['long', 'end']);
  });
});

describe('a day that cannot be planned', () => {
  it('names what goes round in a loop', () => {
    const answer = ask([
      task('a', 5, 0, [comes('b')]),
      task('b', 5, 0, [comes('a')]),
      task('c', 5, 0),
    ]);
    expect(answer).toEqual({ ok: false, why: 'loop', ids: ['a', 'b'] });
    expect(inOrder([task('a', 1, 0, [comes('a')])]).loop).toEqual(['a']);
  });
  it('says when there are no hours, too few, or no evening long enough', () => {
    expect(ask([task('a', 5, 0)], { windows: [] })).toEqual({ ok: false, why: 'no hours' });
    expect(ask([task('a', 300, 0)])).toMatchObject({ ok: false, why: 'too little time', id: 'a' });
    const many = Array.from({ length: 5 }, (_, i) => task(`t${i}`, 230, 0));
    expect(ask(many)).toMatchObject({ ok: false, why: 'too little time', neededMin: 1150 });
  });
  it('says what has no room', () => {
    const tall = task('tall', 5, 60, [], [{ resource: 'fridge', amount: 2000, when: 'wait' }]);
    expect(ask([tall])).toEqual({ ok: false, why: 'no room', id: 'tall', resource: 'fridge' });
  });
});

describe('hours of work', () => {
  const week = (hours: Hours): Hours[] => Array.from({ length: 7 }, () => hours);
  it('are those of each day before the deadline, the last cut off at it', () => {
    const windows = windowsBefore(
      new Date(2027, 5, 19, 16, 0),
      week({ from: 9 * 60, to: 17 * 60 }),
    );
    expect(windows[0]).toEqual({ fromMin: -7 * 60, toMin: 0 });
    expect(windows[1]).toEqual({ fromMin: -31 * 60, toMin: -23 * 60 });
    expect(windows).toHaveLength(15);
  });
  it('leave out days off and windows without length', () => {
    // 19 June 2027 is a Saturday
    const hours = week(null);
    hours[5] = { from: 600, to: 600 };
    hours[3] = { from: 18 * 60, to: 22 * 60 };
    const windows = windowsBefore(new Date(2027, 5, 19, 16, 0), hours);
    expect(windows).toHaveLength(2);
    expect(windows[0]).toEqual({ fromMin: -46 * 60, toMin: -42 * 60 });
  });
  it('are an hour longer or shorter where the clock is changed', () => {
    const zone = process.env.TZ;
    process.env.TZ = 'Europe/Athens';
    const lengths: number[] = [];
    for (const [month, day] of [
      [2, 28],
      [9, 31],
    ] as const) {
      const deadline = new Date(2027, month, day, 23, 0);
      const [today] = windowsBefore(deadline, week({ from: 0, to: 23 * 60 }));
      const real = (deadline.getTime() - new Date(2027, month, day, 0, 0).getTime()) / 60_000;
      expect(today!.toMin - today!.fromMin).toBe(real);
      lengths.push(real / 60);
    }
    if (zone === undefined) delete process.env.TZ;
    else process.env.TZ = zone;
    // put forward in March, back in October
    expect(lengths).toEqual([22, 24]);
  });
  it('add up', () => {
    expect(workedSince(evenings, -300)).toBe(240);
    expect(workedSince(evenings, -1440 - 60)).toBe(300);
    expect(latestFor(evenings, 300)).toBe(-1440 - 60);
    expect(latestFor(evenings, 961)).toBeNull();
  });
});

describe('the tasks of a build', () => {
  const spreadOf = (id: string) => findRow(pantry, 'spreads', id);
  const build = (change: (b: Build) => void = () => undefined): Build => {
    const made = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    change(made);
    return made;
  };
  const tasksOf = (b: Build): DayTask[] =>
    dayTasks(b, planBuild(structuredClone(b), pantry), spreadOf);
  const before = (tasks: readonly DayTask[], id: string, other: string): boolean => {
    const one = tasks.find((each) => each.id === id)!;
    return one.after.some((each) => each.id === other || before(tasks, each.id, other));
  };
  it('hold every step of the run sheet once, but those at the table', () => {
    fc.assert(
      fc.property(anyBuild, (b) => {
        const plan = planBuild(b, pantry);
        const steps = plan.steps.ok ? plan.steps.value.map((step) => step.key) : [];
        const keys = dayTasks(b, plan, spreadOf).flatMap((one) => one.stepKeys);
        expect([...keys].sort()).toEqual(steps.filter((key) => !key.startsWith('out/')).sort());
      }),
      { numRuns: 25 },
    );
  });
  it('never go round in a loop, and have ids of their own', () => {
    fc.assert(
      fc.property(anyBuild, (b) => {
        const tasks = tasksOf({ ...b, day: { ...b.day, own: [] } });
        expect(inOrder(tasks).loop).toEqual([]);
        expect(new Set(tasks.map((one) => one.id)).size).toBe(tasks.length);
      }),
      { numRuns: 25 },
    );
  });
  it('bake before stacking, bowls before what they go into, the box at the end', () => {
    const tasks = tasksOf(build((b) => void addTier(b)));
    const baking = tasks.find((one) => one.stepKeys.includes('tier-1/bake'))!;
    const stacking = tasks.find((one) => one.stepKeys.includes('tier-1/fill/layer-1+layer-2'))!;
    const boxing = tasks.find((one) => one.stepKeys.includes('box'))!;
    const making = tasks.find((one) => one.id.startsWith('bowl/'))!;
    expect(before(tasks, stacking.id, baking.id)).toBe(true);
    expect(before(tasks, stacking.id, making.id)).toBe(true);
    expect(before(tasks, boxing.id, stacking.id)).toBe(true);
    // the tin comes out of the oven at once, within the same task
    expect(baking.again!.handsMin).toBeGreaterThan(0);
    expect(baking.uses).toContainEqual({ resource: 'oven', amount: 1, when: 'wait', leadMin: 20 });
    // a wrapped sponge waits two days for its filling
    expect(stacking.after.find((one) => one.id === baking.id)!.mostMin).toBe(2880);
  });
  it('take one’s own tasks and minutes in', () => {
    const tasks = tasksOf(
      build((b) => {
        b.day.own = [
          {
            id: 'own',
            title: 'fetch flowers',
            handsMin: 40,
            waitMin: 0,
            after: 'tier-1/weigh',
            before: 'box',
          },
        ];
        b.day.minutes = [{ taskId: 'tier-1/weigh', handsMin: 99 }];
      }),
    );
    expect(tasks.find((one) => one.id === 'tier-1/weigh')!.handsMin).toBe(99);
    const own = tasks.find((one) => one.id === 'own')!;
    expect(own.after[0]!.id).toBe('tier-1/weigh');
    expect(tasks.some((one) => one.after.some((each) => each.id === 'own'))).toBe(true);
  });
  const hours = windowsBefore(new Date(2027, 5, 19, 16, 0), newDay().hours);
  it('are scheduled, whole, without a fault', () => {
    const tasks = tasksOf(build((b) => void addTier(b)));
    const most = { ...capacity, fridge: 900 };
    const plan = planned(ask(tasks, { windows: hours, capacity: most }));
    expect(faults(tasks, plan, hours, most)).toEqual([]);
    expect(plan.late).toEqual([]);
  });
  it('keep the clock of a filling that must stay cold', () => {
    const cold = build((b) => {
      for (const gap of b.tiers[0]!.gaps) gap.spreadId = 'cream';
    });
    const tasks = tasksOf(cold);
    const plan = planned(ask(tasks, { windows: hours, capacity: { ...capacity, fridge: 900 } }));
    const whole = planBuild(cold, pantry);
    const [clock] = keepingClocks(whole.outOfCold, plan.placed);
    expect(clock!.mostMin).toBe(120);
    expect(clock!.outMin).toBeCloseTo(
      clock!.spans.reduce((sum, span) => sum + span.toMin - span.fromMin, 0),
      9,
    );
    // what stands in the fridge does not count, what stands on the table does
    const serving = plan.placed.find((one) => one.id === 'serve')!;
    expect(clock!.spans.at(-1)!.toMin).toBe(serving.endMin);
    expect(outOfCold(cold, tasks, pantry, 35)[0]!.mostMin).toBe(60);
    expect(outOfCold(build(), tasksOf(build()), pantry, 21)).toEqual([]);
  });
  it('say in one figure when it comes out of the fridge: bench, day and clock alike', () => {
    const inCream = (change: (b: Build) => void = () => undefined) =>
      build((b) => {
        for (const gap of b.tiers[0]!.gaps) gap.spreadId = 'cream';
        change(b);
      });
    for (const b of [build(), inCream(), inCream((each) => (each.brief.venueC = 34))]) {
      const plan = planBuild(b, pantry);
      const { outMin } = plan.serving!;
      const step = plan.steps.ok ? plan.steps.value.find(({ key }) => key === 'serve')! : null;
      const said = say(step!.lead!, metric);
      expect(said).toContain(outMin > 0 ? showText(outMin, 'minutes', metric) : 'when it is cut');
      const task = dayTasks(b, plan, spreadOf).find(({ id }) => id === 'serve')!;
      expect(task.waitMin).toBe(outMin);
    }
    // a warm room, a small cake: less than the two to three hours of the trade
    expect(planBuild(build(), pantry).serving!.outMin).toBeGreaterThan(60);
  });
  it('warn on the plan and at the bench of what is out of the cold too long, and of nothing else', () => {
    const long = build((b) => {
      for (const gap of b.tiers[0]!.gaps) gap.spreadId = 'cream';
      b.tiers[0]!.coat.spreadId = 'cream';
      b.day.minutes = [{ taskId: 'tier-1/crumb', handsMin: 200 }];
    });
    const plan = planBuild(long, pantry);
    const [out] = plan.outOfCold;
    expect(out!.outMin).toBeGreaterThan(out!.mostMin);
    const caution = plan.cautions.find(({ id }) => id === 'tier-1/out of cold')!;
    expect(caution.stage).toBe('day');
    expect(say(caution.title, metric)).toContain(showText(out!.outMin, 'minutes', metric));
    const steps = plan.steps.ok ? plan.steps.value : [];
    const warned = steps.filter(({ cautions }) =>
      cautions.some(({ text }) => text.includes('out of the cold in all')),
    );
    expect(warned.map(({ key }) => key)).toEqual(expect.arrayContaining(['tier-1/coat', 'serve']));
    // no time is left to stand before it is cut
    expect(plan.serving!.outMin).toBe(0);
    const ids = planBuild(build(), pantry).cautions.map(({ id }) => id);
    expect(ids).not.toContain('tier-1/out of cold');
  });
  it('that are ticked off are not planned again; what is missing is said, and what would help', () => {
    const b = build();
    const tasks = tasksOf(b);
    const question = {
      tasks,
      windows: hours,
      capacity: { ...capacity, fridge: 900 },
      seed: 1,
      rounds: 60,
    };
    const span = planned(scheduleDay(question)).spanMin;
    const early = replanFrom(question, -span - 600);
    expect(early).toMatchObject({ shortMin: 0, savers: [] });
    const late = replanFrom(question, -240);
    expect(late.shortMin).toBeGreaterThan(60);
    expect(late.savers.length).toBeGreaterThan(0);
    for (const saver of late.savers) {
      expect(saver.gainMin).toBeLessThanOrEqual(late.shortMin + 1e-6);
      expect(saver.isEnough).toBe(Math.abs(saver.gainMin - late.shortMin) < 1e-6);
    }
    // all but box and road ticked off
    b.bench.done = tasks
      .flatMap((one) => one.stepKeys)
      .filter((key) => !['box', 'road', 'set-down', 'serve'].includes(key))
      .map((stepKey) => ({ stepKey, at: '2027-06-19T12:00:00Z' }));
    const left = tasksLeft(tasks, doneOf(b, []));
    expect(left.map((one) => one.stepKeys.at(-1))).toEqual(['box', 'road', 'set-down', 'serve']);
    // two hours before it is too late to chill it for the road; days before it is not
    expect(replanFrom({ ...question, tasks: left }, -120).shortMin).toBeGreaterThan(50);
    expect(replanFrom({ ...question, tasks: left }, -span - 600).shortMin).toBe(0);
  });
});
