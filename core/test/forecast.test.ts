import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  coolingMin,
  forecastOf,
  handsLeft,
  minutesLeft,
  newBench,
  startingPantry,
  tasksLeft,
  type Bench,
  type CoolPlace,
  type DayTask,
} from '../src/index.ts';

const { kitchen } = startingPantry();
const t0 = Date.parse('2027-06-10T09:00:00Z');
const at = (min: number): string => new Date(t0 + min * 60_000).toISOString();
const what = { massG: 900, densityGPerMl: 1.1, capacityKJ: 3 };

/** A sauce that comes hot from the pan and waits in some place for 28 C. */
const sauce = (place: CoolPlace = 'bowl', fromC = 95, toC = 28) => ({
  key: 'bowl/sauce/hold/2',
  probe: { label: 'in the middle', fromC: toC - 6, toC },
  hold: { place, highMm: 120, spoils: false },
  hotC: fromC,
  timer: {
    label: 'sauce',
    minutes: coolingMin(what, fromC, toC, place, kitchen)!,
    lookMin: null,
  },
});
const read = (...readings: [min: number, c: number][]): Bench => ({
  ...newBench(),
  timers: [
    {
      id: 't',
      stepKey: sauce().key,
      label: 'sauce',
      startedAt: at(0),
      minutes: 100,
      stoppedAt: null,
    },
  ],
  notes: readings.map(([min, c], i) => ({
    id: `n${i}`,
    stepKey: sauce().key,
    kind: 'temperature',
    at: at(min),
    value: c,
    text: '',
    planned: null,
  })),
});

describe('what a thermometer reads in what cools', () => {
  it('at the planned rate says what was planned, wherever it is read', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<CoolPlace>('bowl', 'tray', 'fridge'),
        fc.integer({ min: 35, max: 85 }),
        (place, c) => {
          const step = sauce(place);
          const min = coolingMin(what, 95, c, place, kitchen)!;
          fc.pre(min >= 5);
          const found = forecastOf(step, read([min, c]), kitchen)!;
          expect(found.totalMin).toBeCloseTo(step.timer.minutes, 1);
          expect(found.leftMin).toBeCloseTo(step.timer.minutes - min, 1);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('twice as fast is ready in half the time, and a slower one later', () => {
    const step = sauce();
    const min = coolingMin(what, 95, 50, 'bowl', kitchen)!;
    const fast = forecastOf(step, read([min / 2, 50]), kitchen)!;
    expect(fast.totalMin).toBeCloseTo(step.timer.minutes / 2, 1);
    const slow = forecastOf(step, read([min * 1.5, 50]), kitchen)!;
    expect(slow.totalMin).toBeCloseTo(step.timer.minutes * 1.5, 1);
  });

  it('goes by two readings where there are two, however hot it was at first', () => {
    const step = sauce();
    // it came at 80 C and not at 95: only the pace between the readings counts
    const pace = coolingMin(what, 60, 45, 'bowl', kitchen)!;
    const { leftMin } = forecastOf(step, read([10, 60], [10 + pace, 45]), kitchen)!;
    expect(leftMin).toBeCloseTo(coolingMin(what, 45, 28, 'bowl', kitchen)!, 1);
  });

  it('is cold enough when it is, and never gets there where the air is warmer', () => {
    expect(forecastOf(sauce(), read([40, 27]), kitchen)).toMatchObject({
      leftMin: 0,
      totalMin: 40,
    });
    const hotRoom = { ...kitchen, roomC: 33 };
    expect(forecastOf(sauce(), read([40, 45]), hotRoom)!.leftMin).toBeNull();
    expect(forecastOf(sauce(), read(), kitchen)).toBeNull();
  });

  it('stays within four times of the plan, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 600 }), fc.double({ min: -20, max: 200, noNaN: true })), { minLength: 1, maxLength: 4 }), // prettier-ignore
        (readings) => {
          const step = sauce();
          const found = forecastOf(step, read(...readings), kitchen)!;
          expect(found.leftMin).toBeGreaterThanOrEqual(0);
          expect(Number.isFinite(found.leftMin!)).toBe(true);
          // from 200 C down it takes longer than from 95
          expect(found.leftMin!).toBeLessThanOrEqual(step.timer.minutes * 4 * 2);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('counts down from the last reading, else by the timer', () => {
    const step = sauce();
    expect(minutesLeft(step, read(), kitchen, at(30))).toBeCloseTo(70, 6);
    expect(minutesLeft(step, read(), kitchen, at(300))).toBe(0);
    expect(minutesLeft(step, newBench(), kitchen, at(30))).toBeNull();
    const bench = read([30, 50]);
    const left = forecastOf(step, bench, kitchen)!.leftMin!;
    expect(minutesLeft(step, bench, kitchen, at(40))).toBeCloseTo(left - 10, 6);
  });

  it('leaves the hands of what is not ticked off', () => {
    const steps = [
      { key: 'a', handsOnMin: 5 },
      { key: 'b', handsOnMin: 7 },
    ];
    expect(handsLeft(steps, new Set(['a']))).toBe(7);
    expect(handsLeft(steps, new Set(['a', 'b']))).toBe(0);
  });

  it('shortens what is left of the day', () => {
    const task: DayTask = {
      id: 'a',
      stepKeys: ['a', 'b'],
      title: 'Sauce',
      chapter: 'Bowls',
      tierId: null,
      handsMin: 20,
      waitMin: 120,
      again: null,
      uses: [],
      after: [],
    };
    const left = (min: number | null): DayTask[] => tasksLeft([task], new Set(['a']), () => min);
    expect(left(null)).toMatchObject([{ handsMin: 10, waitMin: 120 }]);
    expect(left(35.4)).toMatchObject([{ handsMin: 10, waitMin: 35 }]);
    // the oven and the rack after it are two waits: neither is taken for the other
    const baked = { ...task, again: { handsMin: 5, waitMin: 60 } };
    expect(tasksLeft([baked], new Set(['a']), () => 10)).toMatchObject([{ waitMin: 120 }]);
  });
});
