import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { breaksAt } from '../src/day/breaks.ts';
import { latestFor, windowsBefore, workedSince, type Window } from '../src/day/hours.ts';
import { compareLevels, lateOf, levelsOf, waitingShort, type Levels } from '../src/day/levels.ts';
import { followersOf, inOrder } from '../src/day/order.ts';
import { latestStarts, placeBackward } from '../src/day/place.ts';
import type { DayQuestion } from '../src/day/plan-types.ts';
import type { DayTask, Hours, Placed } from '../src/day/types.ts';
import { bareTask as task } from './work-kit.ts';
import { handsOf, inHours, latestWithin, lengthOf, spansOf, Usage } from '../src/day/usage.ts';

/* The parts that a plan of the days is made of, each by itself. */

const comes = (id: string, leastMin = 0, mostMin: number | null = null) => ({
  id,
  leastMin,
  mostMin,
});
const evening: Window[] = [
  { fromMin: -240, toMin: 0 },
  { fromMin: -1680, toMin: -1440 },
];

describe('hours', () => {
  const daily = (from: number, to: number): Hours[] => Array.from({ length: 7 }, () => ({ from, to })); // prettier-ignore
  it('are counted back from the deadline, the latest first, a fortnight and no more', () => {
    const all = windowsBefore(new Date(2027, 5, 19, 16, 0), daily(9 * 60, 20 * 60));
    expect(all[0]).toEqual({ fromMin: -7 * 60, toMin: 0 });
    expect(all[1]).toEqual({ fromMin: -31 * 60, toMin: -20 * 60 });
    expect(all).toHaveLength(15);
    expect(all.every(({ fromMin, toMin }) => fromMin < toMin)).toBe(true);
  });
  it('are those of their own weekday; a day off has none, and what ends before it begins is none', () => {
    const hours: Hours[] = [null, null, { from: 600, to: 660 }, null, null, null, { from: 700, to: 600 }]; // prettier-ignore
    // a Saturday: the Wednesdays before it are three and ten days back
    const all = windowsBefore(new Date(2027, 5, 19, 16, 0), hours);
    expect(all.map(({ toMin }) => Math.round((-toMin - 300) / 1440))).toEqual([3, 10]);
  });
  it('begin after the deadline on its own day: then there are none of that day', () => {
    expect(windowsBefore(new Date(2027, 5, 19, 8, 0), daily(9 * 60, 20 * 60))[0]!.toMin).toBe(-12 * 60); // prettier-ignore
  });
  it('add up, and are used up from the end', () => {
    expect(workedSince(evening, -240)).toBe(240);
    expect(workedSince(evening, -1500)).toBe(300);
    expect(workedSince(evening, 10)).toBe(0);
    expect(latestFor(evening, 100)).toBe(-100);
    expect(latestFor(evening, 300)).toBe(-1500);
    expect(latestFor(evening, 481)).toBeNull();
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 480 }), (minutes) => {
        expect(workedSince(evening, latestFor(evening, minutes)!)).toBe(minutes);
      }),
    );
  });
});

describe('what is used of a resource', () => {
  it('clashes where more is asked than there is, and says how far back there is room', () => {
    const oven = new Usage();
    oven.add(-60, -30, 1);
    expect(oven.clash(-30, 0, 1, 1)).toBe(0);
    expect(oven.clash(-90, -60, 1, 1)).toBe(0);
    // it would have to end when the other begins
    expect(oven.clash(-40, -10, 1, 1)).toBe(50);
    expect(oven.clash(-40, -10, 1, 2)).toBe(0);
    expect(oven.clash(-40, -40, 1, 1)).toBe(0);
  });
  it('adds up what stands beside each other', () => {
    const fridge = new Usage();
    fridge.add(-100, -50, 300);
    fridge.add(-80, -20, 400);
    expect(fridge.clash(-70, -60, 200, 900)).toBe(0);
    expect(fridge.clash(-70, -60, 201, 900)).toBeGreaterThan(0);
    expect(fridge.clash(-45, -25, 500, 900)).toBe(0);
    fridge.add(-10, -10, 900);
    expect(fridge.clash(-20, 0, 900, 900)).toBe(0);
  });
  it('of a task: hands at both ends, an oven that gets hot before, the fridge while it waits', () => {
    const bake = task('bake', 20, 40, {
      again: { handsMin: 5, waitMin: 60 },
      uses: [
        { resource: 'oven', amount: 1, when: 'wait', leadMin: 15 },
        { resource: 'mixer', amount: 1, when: 'hands' },
        { resource: 'fridge', amount: 90, when: 'all' },
      ],
    });
    expect(lengthOf(bake)).toBe(125);
    expect(handsOf(bake)).toBe(25);
    expect(spansOf(bake, -200)).toEqual([
      { resource: 'hands', from: -200, to: -180, amount: 1 },
      { resource: 'hands', from: -140, to: -135, amount: 1 },
      { resource: 'oven', from: -195, to: -140, amount: 1 },
      { resource: 'mixer', from: -200, to: -180, amount: 1 },
      { resource: 'fridge', from: -200, to: -140, amount: 90 },
    ]);
  });
});

describe('hands within hours', () => {
  it('are one stretch, as late as it fits', () => {
    expect(latestWithin(evening, 100, 0)).toBe(-100);
    expect(latestWithin(evening, 100, -200)).toBe(-1540);
    expect(latestWithin(evening, 241, 0)).toBeNull();
  });
  it('both times where something is taken out again; the wait may be when nobody works', () => {
    const bake = task('bake', 30, 60, { again: { handsMin: 10, waitMin: 0 } });
    expect(inHours(evening, bake, -100)).toBe(-100);
    // out of the oven after hours: begun earlier instead, or never
    const long = task('long', 30, 190, { again: { handsMin: 10, waitMin: 0 } });
    expect(inHours(evening, long, -200)).toBe(-230);
    expect(inHours(evening, { ...long, waitMin: 300 }, -340)).toBeNull();
    const overnight = task('rest', 30, 600);
    expect(inHours(evening, overnight, -1500)).toBe(-1500);
    expect(inHours([], task('a', 5), -5)).toBeNull();
    // what takes no hands is done at any time
    expect(inHours([], task('thaw', 0, 480), -480)).toBe(-480);
  });
});

describe('the order of tasks', () => {
  it('puts each after what it waits for, and names what goes round in a loop', () => {
    const chain = [
      task('c', 1, 0, { after: [comes('b')] }),
      task('a', 1),
      task('b', 1, 0, { after: [comes('a'), comes('nobody')] }),
    ];
    expect(inOrder(chain).order.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
    expect(inOrder(chain).loop).toEqual([]);
    const round = [
      task('x', 1, 0, { after: [comes('y')] }),
      task('y', 1, 0, { after: [comes('x')] }),
      task('z', 1),
    ];
    expect(inOrder(round)).toMatchObject({ loop: ['x', 'y'] });
    expect(
      followersOf(chain)
        .get('a')!
        .map(({ task: one }) => one.id),
    ).toEqual(['b']);
    expect(followersOf(chain).has('nobody')).toBe(false);
  });
});

const asked = (tasks: DayTask[], windows: Window[] = evening): DayQuestion => ({
  tasks,
  windows,
  capacity: { hands: 1, oven: 1, mixer: 1, fridge: 900, freezer: 0 },
  seed: 1,
  rounds: 0,
});
const placing = (tasks: DayTask[], windows?: Window[]) => {
  const { order } = inOrder(tasks);
  const ranks = new Map(order.map((one) => [one.id, 0]));
  return placeBackward(order, followersOf(tasks), ranks, asked(tasks, windows));
};

describe('placing backward', () => {
  it('puts all as late as it can be, one pair of hands after the other', () => {
    const tasks = [
      task('bake', 30, 60),
      task('cream', 20),
      task('coat', 40, 0, { after: [comes('bake', 15), comes('cream', 0, 60)] }),
    ];
    const starts = placing(tasks) as Map<string, number>;
    expect(starts.get('coat')).toBe(-40);
    expect(starts.get('bake')).toBeLessThanOrEqual(-145);
    expect(starts.get('cream')).toBe(-60);
  });
  it('has one oven, and what is due earlier is done earlier', () => {
    const oven = { uses: [{ resource: 'oven' as const, amount: 1, when: 'wait' as const }] };
    const starts = placing([
      task('one', 10, 50, oven),
      task('two', 10, 50, { ...oven, dueMin: -30 }),
    ]) as Map<string, number>;
    const spans = ['one', 'two'].map((id) => [starts.get(id)! + 10, starts.get(id)! + 60]);
    const [a, b] = spans.sort((x, y) => x[0]! - y[0]!);
    expect(a![1]).toBeLessThanOrEqual(b![0]!);
    expect(starts.get('two')! + 60).toBeLessThanOrEqual(-30);
  });
  it('names the task that finds no place', () => {
    expect(placing([task('long', 300)])).toEqual({ id: 'long' });
    expect(placing([task('big', 10, 20, { uses: [{ resource: 'freezer', amount: 90, when: 'wait' }] })])).toEqual({ id: 'big' }); // prettier-ignore
  });
  it('never begins a task later than when only what waits for what and the hours count', () => {
    const drawn = fc.array(
      fc.record({
        hands: fc.integer({ min: 0, max: 60 }),
        wait: fc.integer({ min: 0, max: 200 }),
        on: fc.array(fc.nat(5), { maxLength: 2 }),
      }),
      { minLength: 1, maxLength: 6 },
    );
    fc.assert(
      fc.property(drawn, (parts) => {
        const tasks = parts.map(({ hands, wait, on }, i) =>
          task(`t${i}`, hands, wait, {
            after: [...new Set(on.filter((k) => k < i))].map((k) => comes(`t${k}`, 5)),
          }),
        );
        const { order } = inOrder(tasks);
        const latest = latestStarts(order, followersOf(tasks), evening);
        const starts = placing(tasks);
        fc.pre(latest instanceof Map && starts instanceof Map);
        for (const one of tasks) {
          const at = starts.get(one.id)!;
          expect(at).toBeLessThanOrEqual(latest.get(one.id)! + 1e-6);
          for (const { id, leastMin } of one.after) {
            const before = tasks.find((other) => other.id === id)!;
            const ended = starts.get(id)! + lengthOf(before);
            expect(ended + leastMin).toBeLessThanOrEqual(at + 1e-6);
          }
        }
      }),
      { numRuns: 80 },
    );
  });
});

describe('how good a plan is', () => {
  const tasks = [
    task('cream', 20),
    task('syrup', 5),
    task('coat', 40, 0, { after: [comes('cream', 0, 30), comes('syrup', 0, 2000)] }),
  ];
  const at = (cream: number, syrup: number, coat: number) =>
    new Map([
      ['cream', cream],
      ['syrup', syrup],
      ['coat', coat],
    ]);
  it('what waits longer than it keeps is late by what is over, and what keeps short waits least', () => {
    const starts = at(-120, -600, -40);
    expect(lateOf(tasks, starts)).toEqual([{ id: 'coat', after: 'cream', byMin: 30 }]);
    expect(levelsOf(tasks, starts)).toMatchObject({
      lateMin: 30,
      freshMin: 60,
      spanMin: 600,
      sessions: 2,
      waitedMin: 760,
    });
    expect(waitingShort(tasks, starts)).toEqual(['cream']);
    expect(levelsOf(tasks, at(-60, -70, -40))).toMatchObject({ lateMin: 0, freshMin: 0, sessions: 1 }); // prettier-ignore
  });
  it('is compared level by level, and within a band the next one decides', () => {
    const good: Levels = { lateMin: 0, freshMin: 12, spanMin: 500, sessions: 2, waitedMin: 900 };
    const worse = (by: Partial<Levels>): number => compareLevels({ ...good, ...by }, good);
    expect(worse({ lateMin: 1, freshMin: 0, spanMin: 100, sessions: 1 })).toBeGreaterThan(0);
    expect(worse({ freshMin: 25, spanMin: 100 })).toBeGreaterThan(0);
    expect(worse({ freshMin: 19, sessions: 1 })).toBeLessThan(0);
    expect(worse({ spanMin: 590, sessions: 1 })).toBeLessThan(0);
    expect(worse({ spanMin: 610, sessions: 1 })).toBeGreaterThan(0);
    expect(worse({ waitedMin: 800 })).toBeLessThan(0);
    expect(worse({})).toBe(0);
  });
});

describe('a task that is moved', () => {
  const tasks = [
    task('bake', 30, 60),
    task('coat', 40, 0, { after: [comes('bake', 10)] }),
    task('box', 20, 0, { after: [comes('coat')] }),
    task('phone', 15),
  ];
  const placed: Placed[] = [
    { id: 'bake', startMin: -200, handsEndMin: -170, againMin: null, endMin: -110 },
    { id: 'coat', startMin: -100, handsEndMin: -60, againMin: null, endMin: -60 },
    { id: 'box', startMin: -20, handsEndMin: 0, againMin: null, endMin: 0 },
    { id: 'phone', startMin: -50, handsEndMin: -35, againMin: null, endMin: -35 },
  ];
  const why = (id: string, startMin: number): string[] =>
    breaksAt(asked(tasks), placed, id, startMin).map((one) => one.why);
  it('says each thing that stands against it, and nothing where nothing does', () => {
    expect(why('coat', -100)).toEqual([]);
    expect(why('coat', -105)).toEqual(['before']);
    expect(why('coat', -55)).toEqual(['after', 'full']);
    expect(why('box', -10)).toEqual(['hours', 'past due']);
    expect(why('phone', -90)).toEqual(['full']);
    expect(why('phone', -600)).toEqual(['hours']);
    expect(why('nobody', -10)).toEqual([]);
  });
});
