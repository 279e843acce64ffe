import fc from 'fast-check';
import { soakBatch } from '../src/bench/soak-steps.ts';
import { describe, expect, it } from 'vitest';
import {
  batchCards,
  compareLevels,
  levelsOf,
  planBuild,
  readyChance,
  soakNeeds,
  scheduleDay,
  temperatureLog,
  type Build,
  type DayTask,
  windowsBefore,
  type Levels,
  type ReadyQuestion,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { demo, placedOf, stepsOf, tasksOf } from './work-kit.ts';

const task = (id: string, handsMin: number, more: Partial<DayTask> = {}): DayTask => ({
  id,
  stepKeys: [],
  title: id,
  chapter: 'Bake',
  tierId: null,
  handsMin,
  waitMin: 0,
  again: null,
  uses: [],
  after: [],
  ...more,
});
const base = {
  windows: [{ fromMin: -600, toMin: 0 }],
  capacity: { hands: 1, oven: 1, mixer: 1, fridge: 900, freezer: 0 },
  seed: 3,
  rounds: 40,
};
const chance = (tasks: DayTask[], more: Partial<ReadyQuestion> = {}) => {
  const answer = scheduleDay({ ...base, tasks });
  if (!answer.ok) throw new Error(answer.why);
  return readyChance({
    ...base,
    tasks,
    plan: answer.plan,
    handsCv: 0.2,
    waitCv: 0.1,
    spareMin: 30,
    runs: 400,
    ...more,
  });
};

describe('the chance that all is ready', () => {
  const chain = [
    task('bake', 60, { waitMin: 30 }),
    task('coat', 60, { after: [{ id: 'bake', leastMin: 0, mostMin: null }] }),
  ];
  it('is certain where minutes are, and the same for the same seed', () => {
    const sure = chance(chain, { handsCv: 0, waitCv: 0 });
    expect(sure).toEqual({ readyShare: 1, lateTenthMin: 0, weakest: null, threat: null });
    expect(chance(chain)).toEqual(chance(chain));
  });
  it('is that of the sum where one thing follows on another', () => {
    // planned to end at the deadline: late is what is over by more than half an hour. The spread of
    // 60 + 60 min by a fifth and 30 min by a tenth is 17.2 min; 30 min are 1.74 of it: 4 of 100
    const { readyShare } = chance(chain, { runs: 4000 });
    expect(readyShare).toBeGreaterThan(0.9);
    expect(readyShare).toBeLessThan(0.98);
    expect(chance(chain, { spareMin: 0 }).readyShare).toBeLessThan(0.7);
    expect(chance(chain, { spareMin: 120 }).readyShare).toBeGreaterThan(0.99);
  });
  it('grows with minutes in hand and falls with spread', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 0, max: 60 }), (a, b) => {
        const less = chance(chain, { spareMin: a, runs: 120 });
        const more = chance(chain, { spareMin: a + b, runs: 120 });
        expect(more.readyShare).toBeGreaterThanOrEqual(less.readyShare);
      }),
      { numRuns: 15 },
    );
    expect(chance(chain, { handsCv: 0.4 }).readyShare).toBeLessThan(chance(chain).readyShare);
  });
  it('is greater where a wait can be cut short, as the chill before the road', () => {
    const boxed = (more: Partial<DayTask> = {}): DayTask[] => [
      task('finish', 60),
      task('box', 10, {
        waitMin: 180,
        after: [{ id: 'finish', leastMin: 0, mostMin: null }],
        ...more,
      }),
      task('road', 10, { after: [{ id: 'box', leastMin: 0, mostMin: null }] }),
    ];
    const stiff = chance(boxed(), { spareMin: 0 });
    const cut = chance(boxed({ shortestMin: 90 }), { spareMin: 0 });
    expect(stiff.readyShare).toBeLessThan(0.8);
    expect(cut.readyShare).toBeGreaterThan(stiff.readyShare + 0.2);
    expect(cut.threat?.id).not.toBe('box');
  });
  it('names the task that threatens most', () => {
    const long = [
      task('short', 10),
      task('long', 200, { after: [{ id: 'short', leastMin: 0, mostMin: null }] }),
    ];
    expect(chance(long).threat!.id).toBe('long');
  });
  it('says what waits longer than it keeps when minutes slip', () => {
    const whipped = [
      task('whip', 8),
      task('cut', 60),
      task('fill', 20, {
        after: [
          { id: 'whip', leastMin: 0, mostMin: 5 },
          { id: 'cut', leastMin: 0, mostMin: null },
        ],
      }),
    ];
    const { weakest } = chance(whipped);
    if (weakest) expect(weakest).toMatchObject({ id: 'fill', after: 'whip' });
  });
});

describe('plans of the days are better level by level', () => {
  const of = (more: Partial<Levels>): Levels => ({
    lateMin: 0,
    freshMin: 0,
    spanMin: 600,
    sessions: 2,
    waitedMin: 0,
    ...more,
  });
  it('nothing too late before all else; then fresh, late begun, in few stretches', () => {
    expect(compareLevels(of({ lateMin: 1 }), of({ spanMin: 5000, sessions: 9 }))).toBeGreaterThan(
      0,
    );
    expect(compareLevels(of({ freshMin: 40 }), of({ spanMin: 2000 }))).toBeGreaterThan(0);
    // within ten minutes the next level decides, within two hours the one after
    expect(compareLevels(of({ freshMin: 8 }), of({ spanMin: 2000 }))).toBeLessThan(0);
    expect(compareLevels(of({ spanMin: 590, sessions: 3 }), of({ spanMin: 530 }))).toBeGreaterThan(
      0,
    );
    expect(compareLevels(of({ spanMin: 590 }), of({ spanMin: 600 }))).toBeLessThan(0);
    expect(compareLevels(of({}), of({}))).toBe(0);
  });
  it('is an order: what is better than the better is better', () => {
    const any = fc.record({
      lateMin: fc.integer({ min: 0, max: 3 }),
      freshMin: fc.integer({ min: 0, max: 60 }),
      spanMin: fc.integer({ min: 0, max: 900 }),
      sessions: fc.integer({ min: 1, max: 4 }),
      waitedMin: fc.integer({ min: 0, max: 900 }),
    });
    fc.assert(
      fc.property(any, any, any, (a, b, c) => {
        expect(Math.sign(compareLevels(a, b))).toBe(-Math.sign(compareLevels(b, a)));
        if (compareLevels(a, b) <= 0 && compareLevels(b, c) <= 0)
          expect(compareLevels(a, c)).toBeLessThanOrEqual(0);
      }),
    );
  });
  it('the search finds no worse than every way to place a few tasks on a grid of ten minutes', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 3, maxLength: 4 }),
        fc.integer({ min: 0, max: 3 }),
        (hands, keeps) => {
          // the last takes all; what the first gives keeps so long
          const tasks = hands.map((n, i) => task(`t${i}`, 10 * n));
          tasks.at(-1)!.after = tasks
            .slice(0, -1)
            .map(({ id }, i) => ({ id, leastMin: 0, mostMin: i === 0 ? 10 * keeps : null }));
          const windows = [
            { fromMin: -60, toMin: 0 },
            { fromMin: -200, toMin: -120 },
          ];
          const answer = scheduleDay({ ...base, tasks, windows, rounds: 200 });
          if (!answer.ok) return;
          const best = bestOnGrid(tasks, windows);
          expect(best).not.toBeNull();
          // how close everything lies is not searched to the end
          const bare = (levels: Levels): Levels => ({ ...levels, waitedMin: 0 });
          expect(compareLevels(bare(answer.plan.levels), bare(best!))).toBeLessThanOrEqual(1e-6);
          // what is called the best there can be is no better than the best there is
          const { late, fresh, begin, sessions } = answer.plan.proof;
          for (const levels of [answer.plan.levels, best!]) {
            expect(late.bound).toBeLessThanOrEqual(levels.lateMin + 1e-6);
            expect(fresh.bound).toBeLessThanOrEqual(levels.freshMin + 1e-6);
            expect(begin.bound).toBeLessThanOrEqual(levels.spanMin + 1e-6);
            expect(sessions.bound).toBeLessThanOrEqual(levels.sessions);
          }
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('how near a plan is to the best there can be', () => {
  const hours = [
    { fromMin: -600, toMin: 0 },
    { fromMin: -2000, toMin: -1700 },
  ];
  const proofFor = (tasks: DayTask[], windows = hours) => {
    const answer = scheduleDay({ ...base, tasks, windows, rounds: 100 });
    if (!answer.ok) throw new Error(answer.why);
    return answer.plan;
  };
  const taking = (hands: number, ...made: [id: string, mostMin: number][]): DayTask => ({
    ...task('fill', hands),
    after: made.map(([id, mostMin]) => ({ id, leastMin: 0, mostMin })),
  });
  it('what two hands make one after the other waits for the other: the longer first', () => {
    const { proof, levels } = proofFor([
      task('cream', 20),
      task('sauce', 50),
      taking(30, ['cream', 60], ['sauce', 60]),
    ]);
    // the cream is made last, and the sauce waits those 20 min
    expect(proof.fresh).toEqual({ value: 20, bound: 20, over: 0, isProved: true });
    expect(levels.freshMin).toBe(20);
    expect([proof.late.isProved, proof.begin.isProved, proof.sessions.bound]).toEqual([
      true,
      true,
      1,
    ]);
  });
  it('what must wait longer than it keeps is late in every plan, and that is proved', () => {
    const tasks = [task('mousse', 20), taking(10, ['mousse', 30])];
    tasks[1]!.after[0]!.leastMin = 45;
    const { proof } = proofFor(tasks);
    expect(proof.late).toEqual({ value: 15, bound: 15, over: 0, isProved: true });
  });
  it('more work than one evening holds is two stretches', () => {
    const { proof } = proofFor(
      [task('a', 290), task('b', 280), task('c', 100)],
      [
        { fromMin: -600, toMin: 0 },
        { fromMin: -2000, toMin: -1700 },
      ],
    );
    expect(proof.sessions).toEqual({ value: 2, bound: 2, over: 0, isProved: true });
    expect(proofFor([]).proof.sessions.bound).toBe(0);
  });
  it('the three-tier cake: nothing too late and nothing fresher, both proved', () => {
    const build = demo('jubilee');
    const tasks = tasksOf(build, planBuild(build, pantry));
    const berries = tasks.find(({ line }) => line?.preparedFor?.last)!;
    // washed for the road, and not for the rods that go in hours before or for the box that chills
    const takers = tasks.filter(({ after }) => after.some(({ id }) => id === berries.id));
    expect(takers.map(({ id }) => id)).toEqual(['road']);
    const placed = placedOf(build, tasks);
    const [washed, road] = [berries.id, 'road'].map((id) => placed.find((one) => one.id === id)!);
    expect(road!.startMin - washed!.endMin).toBeLessThan(10);
    const answer = scheduleDay({
      tasks,
      windows: windowsBefore(new Date('2027-06-19T15:30:00'), build.day.hours),
      capacity: { hands: 1, oven: 1, mixer: 1, fridge: 900, freezer: 0 },
      seed: 3,
      rounds: 60,
    });
    if (!answer.ok) throw new Error(answer.why);
    expect([answer.plan.proof.late.isProved, answer.plan.proof.fresh.isProved]).toEqual([
      true,
      true,
    ]);
  });
  it('hours with a short pause are one stretch', () => {
    const halves = [
      { fromMin: -300, toMin: 0 },
      { fromMin: -700, toMin: -400 },
    ];
    const { proof } = proofFor([task('a', 250), task('b', 250)], halves);
    expect(proof.sessions.bound).toBe(1);
  });
});

/** The best levels of all ways to place tasks that take only hands, on a grid of ten minutes. */
function bestOnGrid(
  tasks: readonly DayTask[],
  windows: readonly { fromMin: number; toMin: number }[],
): Levels | null {
  let best: Levels | null = null;
  const starts = new Map<string, number>();
  const slots = windows.flatMap(({ fromMin, toMin }) =>
    Array.from({ length: (toMin - fromMin) / 10 }, (_, i) => fromMin + 10 * i),
  );
  const place = (i: number): void => {
    const one = tasks[i];
    if (!one) {
      const levels = levelsOf(tasks, starts);
      if (!best || compareLevels(levels, best) < 0) best = levels;
      return;
    }
    for (const at of slots) {
      const end = at + one.handsMin;
      const inHours = windows.some(({ fromMin, toMin }) => at >= fromMin && end <= toMin);
      const isFree = [...starts].every(([id, other]) => {
        const length = tasks.find((task) => task.id === id)!.handsMin;
        return at >= other + length || end <= other;
      });
      const isAfter = one.after.every(({ id }) => {
        const made = tasks.find((task) => task.id === id)!;
        return at >= starts.get(id)! + made.handsMin;
      });
      if (!inHours || !isFree || !isAfter) continue;
      starts.set(one.id, at);
      place(i + 1);
      starts.delete(one.id);
    }
  };
  place(0);
  return best;
}

describe('cards and the log of temperatures', () => {
  const build = demo('jubilee');
  const plan = planBuild(build, pantry);
  const steps = stepsOf(plan);
  const tasks = tasksOf(build, plan);
  const cardsOf = (one: Build) =>
    batchCards({ build: one, plan, steps, tasks, placed: placedOf(one, tasks), pantry });
  it('has one card for each batter and each batch, with its grams and where they go', () => {
    const cards = cardsOf(build);
    const made = [
      ...steps
        .filter(({ kind, line }) => kind === 'weigh' && line.load !== null)
        .map(({ key }) => key),
      ...plan.batches.map(({ id }) => id),
      ...soakNeeds(build.tiers, plan.tiers).map(({ recipeId }) => soakBatch(recipeId)),
    ];
    expect(made.length).toBeGreaterThan(build.tiers.length + plan.batches.length);
    expect(cards.map(({ id }) => id).sort()).toEqual(made.sort());
    for (const card of cards) {
      expect(card.lines.length, card.id).toBeGreaterThan(0);
      expect(card.madeMin, card.id).toBeLessThan(0);
      const into = card.goesInto.reduce((sum, { massG }) => sum + massG, 0);
      expect(into, card.id).toBeLessThanOrEqual(card.makeG * 1.001);
      // all of a batter goes into its tins
      if (card.id.startsWith('tier-')) expect(into, card.id).toBeCloseTo(card.makeG, 3);
    }
  });
  it('puts what is free of allergens first, and washes before what is free of something', () => {
    const cards = cardsOf(build);
    const counts = cards.map(({ allergens }) => allergens.length);
    expect(counts).toEqual([...counts].sort((a, b) => a - b));
    expect(cards[0]!.washBefore).toBe(false);
    cards.slice(1).forEach((card, i) => {
      const left = cards[i]!.allergens.filter((each) => !card.allergens.includes(each));
      expect(card.washBefore, card.name).toBe(left.length > 0);
    });
    expect(cards.some(({ washBefore }) => washBefore)).toBe(true);
    expect(cards.slice(1).some(({ washBefore }) => !washBefore)).toBe(true);
  });
  it('puts last what nobody knows, and washes after it', () => {
    const foods = pantry.foods.map((food) => food.id === 'lemon-juice' ? { ...food, declared: false } : food); // prettier-ignore
    const cards = batchCards({ build, plan, steps, tasks, placed: [], pantry: { ...pantry, foods } }); // prettier-ignore
    expect(cards.at(-1)!.id).toBe('curd');
  });
  const hold = steps.find(({ key }) => key === 'bowl/curd/hold/2')!;
  const noted = (tempC: number): Build => ({
    ...build,
    bench: {
      ...build.bench,
      timers: [],
      notes: [
        {
          id: 'n1',
          stepKey: hold.key,
          at: '2027-06-18T10:00:00Z',
          kind: 'temperature',
          value: tempC,
          text: '',
          planned: null,
        },
        {
          id: 'n2',
          stepKey: 'a step of before',
          at: '2027-06-18T11:00:00Z',
          kind: 'temperature',
          value: 5,
          text: '',
          planned: null,
        },
      ],
    },
  });
  it('holds each reading against its limit, and keeps what was read at steps that are gone', () => {
    const line = (tempC: number, afterMin: number | null = null) => {
      const build = noted(tempC);
      const startedAt = new Date(Date.parse('2027-06-18T10:00:00Z') - (afterMin ?? 0) * 60_000);
      if (afterMin !== null)
        build.bench.timers.push({
          id: 't1',
          stepKey: hold.key,
          label: 'curd',
          startedAt: startedAt.toISOString(),
          minutes: 90,
          stoppedAt: null,
        });
      return temperatureLog(build, steps).find(({ id }) => id === hold.key)!;
    };
    // curd spoils and was hot: 21 degrees within two hours, 5 within six
    expect(line(30).limits).toEqual([
      { toC: 21, withinMin: 120 },
      { toC: 5, withinMin: 360 },
    ]);
    expect(line(hold.probe!.toC - 3).readings[0]!.isWithin).toBe(true);
    expect(line(40, 60).readings[0]!.isWithin).toBeNull();
    expect(line(40, 121).readings[0]!.isWithin).toBe(false);
    expect(line(20, 121).readings[0]!.isWithin).toBeNull();
    expect(line(7, 400).readings[0]!.isWithin).toBe(false);
    expect(line(60).action).toBe('cool faster');
    // sugar does not spoil
    const caramel = temperatureLog(build, steps).find(({ id }) => id === 'bowl/caramel/hold/3')!;
    expect(caramel.limits).toEqual([]);
    const all = temperatureLog(noted(20), steps);
    expect(all.at(-1)).toMatchObject({ title: 'a step of before', readings: [{ tempC: 5 }] });
    // a thermometer step without a reading is there, to be filled in by hand
    const open = steps.filter(({ probe }) => probe !== null).map(({ key }) => key);
    expect(all.map(({ id }) => id)).toEqual(expect.arrayContaining(open));
  });
});
