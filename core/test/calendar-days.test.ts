import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  calendarDays,
  cakeLoad,
  dayOf,
  doneOf,
  newOrder,
  orderState,
  planDays,
  type Build,
  type CakeLoad,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { demo } from './work-kit.ts';

/* Hours of work on the days of several cakes. */

const minutesOf = ({ stretches }: CakeLoad): number =>
  (stretches ?? []).reduce((sum, { from, to }) => sum + (to - from) / 60_000, 0);
/** Hands-on minutes of the placed tasks of a cake. */
function handsMin(build: Build): number {
  const { placed, tasks } = planDays(build, pantry)!;
  const again = new Map(tasks.map((task) => [task.id, task.again?.handsMin ?? 0]));
  return placed.reduce((sum, at) => sum + at.handsEndMin - at.startMin + again.get(at.id)!, 0);
}
const ticked = (build: Build, keys: readonly string[]): Build => ({
  ...build,
  bench: {
    ...build.bench,
    done: keys.map((stepKey) => ({ stepKey, at: '2027-06-01T10:00:00Z' })),
  },
});

describe('the load of a cake', () => {
  const meridian = ticked(demo('meridian'), []);
  const whole = cakeLoad(meridian, pantry);
  it('is all its work, within its hours and before it is served', () => {
    // stretches that follow on take the minutes between them along, less than a quarter of an hour each
    expect(minutesOf(whole)).toBeGreaterThanOrEqual(handsMin(meridian) - 1e-6);
    expect(minutesOf(whole)).toBeLessThan(handsMin(meridian) + 15 * whole.stretches!.length);
    const served = new Date(meridian.brief.serveAt!).getTime();
    for (const { from, to } of whole.stretches!) {
      expect(to).toBeGreaterThan(from);
      expect(to).toBeLessThanOrEqual(served);
      expect(dayOf(from)).toBe(dayOf(to));
      const at = new Date(from);
      const hours = meridian.day.hours[(at.getDay() + 6) % 7]!;
      expect(at.getHours() * 60 + at.getMinutes()).toBeGreaterThanOrEqual(hours.from);
    }
    const starts = whole.stretches!.map(({ from }) => from);
    expect(starts).toEqual([...starts].sort((a, b) => a - b));
  });
  it('gets less with everything that is ticked off, to nothing', () => {
    const { steps } = planDays(meridian, pantry)!;
    let before = minutesOf(whole);
    for (const share of [0.25, 0.5, 0.75]) {
      const some = steps.slice(0, Math.round(share * steps.length)).map(({ key }) => key);
      const now = minutesOf(cakeLoad(ticked(meridian, some), pantry));
      expect(now).toBeLessThan(before);
      before = now;
    }
    const all = ticked(
      meridian,
      steps.map(({ key }) => key),
    );
    expect(doneOf(all, steps).size).toBe(steps.length);
    expect(cakeLoad(all, pantry).stretches).toEqual([]);
  });
  it('is not known of a pattern, of what has no date or is done, and where the hours do not do', () => {
    const without = (change: Partial<Build>): unknown =>
      cakeLoad({ ...meridian, ...change }, pantry).stretches;
    expect(without({ isPattern: true })).toBeNull();
    expect(without({ brief: { ...meridian.brief, serveAt: null } })).toBeNull();
    const finished = { at: '2027-06-12T16:00:00Z', moves: [] };
    expect(without({ bench: { ...meridian.bench, finished } })).toBeNull();
    const noHours = meridian.day.hours.map(() => ({ from: 600, to: 605 }));
    expect(without({ day: { ...meridian.day, hours: noHours } })).toBeNull();
  });
});

describe('the days of a calendar', () => {
  const day = Date.parse('2027-06-11T00:00:00');
  const hours = Array.from({ length: 7 }, () => ({ from: 8 * 60, to: 16 * 60 }));
  const anyLoad = (cakeId: string): fc.Arbitrary<CakeLoad> =>
    fc.record({
      cakeId: fc.constant(cakeId),
      hours: fc.constant(hours),
      people: fc.integer({ min: 1, max: 3 }),
      stretches: fc.option(
        fc.array(
          fc
            .tuple(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 480, max: 900 }), fc.integer({ min: 1, max: 60 }))
            .map(([on, at, long]) => {
              const from = new Date(day);
              from.setDate(from.getDate() + on);
              const start = from.getTime() + at * 60_000;
              return { from: start, to: start + long * 60_000, chapter: 'Bake' };
            }),
          { maxLength: 12 },
        ),
      ),
    }); // prettier-ignore
  it('hold every minute of every cake, once', () => {
    fc.assert(
      fc.property(fc.tuple(anyLoad('a'), anyLoad('b'), anyLoad('c')), (loads) => {
        const days = calendarDays(loads);
        const all = loads.reduce((sum, load) => sum + minutesOf(load), 0);
        expect(days.reduce((sum, { workMin }) => sum + workMin, 0)).toBeCloseTo(all, 6);
        for (const one of days) {
          expect(one.workMin).toBeCloseTo(one.cakes.reduce((sum, { minutes }) => sum + minutes, 0), 6); // prettier-ignore
          expect(one.isOver).toBe(one.workMin > one.roomMin);
          expect(one.fullness).toBeCloseTo(Math.min(1, one.workMin / one.roomMin), 9);
        }
        expect(days.map(({ date }) => date)).toEqual([...new Set(days.map(({ date }) => date))].sort()); // prettier-ignore
      }),
      { numRuns: 60, seed: 5 },
    );
  });
  it('are over where two cakes fill one day, and not with a second pair of hands', () => {
    const of = (cakeId: string, people: number): CakeLoad => ({
      cakeId,
      hours,
      people,
      stretches: [{ from: day + 9 * 3_600_000, to: day + 14 * 3_600_000, chapter: 'Bake' }],
    });
    const [alone] = calendarDays([of('a', 1)]);
    expect(alone).toMatchObject({ date: '2027-06-11', workMin: 300, roomMin: 480, isOver: false });
    const [both] = calendarDays([of('a', 1), of('b', 1)]);
    expect(both).toMatchObject({ workMin: 600, roomMin: 480, isOver: true });
    expect(calendarDays([of('a', 1), of('b', 2)])[0]).toMatchObject({ roomMin: 960, isOver: false }); // prettier-ignore
  });
});

it('an order has come as far as what was agreed', () => {
  expect(orderState(newOrder())).toBe('open');
  expect(orderState({ ...newOrder(), priceOffered: 0 })).toBe('offered');
  expect(orderState({ ...newOrder(), confirmed: true })).toBe('confirmed');
});
