import type { Clock, DayTask } from '@pyrgotect/core';
import { describe, expect, it } from 'vitest';
import { bandsOf } from '../src/day/bands.ts';
import { ribbonsOf } from '../src/day/ribbons.ts';
import type { DayRow } from '../src/stores/day.ts';

const deadline = new Date(2027, 5, 19, 15, 30);
const dateOf = (minutes: number): Date => new Date(deadline.getTime() + minutes * 60_000);
const task = (handsMin: number, waitMin: number, resource?: 'oven' | 'freezer'): DayTask => ({
  id: 't',
  stepKeys: [],
  title: 'Task',
  chapter: 'Bake',
  tierId: null,
  handsMin,
  waitMin,
  again: null,
  uses: resource ? [{ resource, amount: 1, when: 'wait' }] : [],
  after: [],
});
const row = (id: string, startMin: number, own: DayTask): DayRow => ({
  at: {
    id,
    startMin,
    handsEndMin: startMin + own.handsMin,
    againMin: null,
    endMin: startMin + own.handsMin + own.waitMin,
  },
  task: own,
  isCritical: false,
  cake: null,
});

describe('the bands of the days', () => {
  it('cut what goes over midnight, and leave out a night in which something only stands', () => {
    // hands from 22:00 on Thursday, standing until Saturday morning
    const bands = bandsOf([row('a', -41.5 * 60, task(60, 34 * 60))], dateOf);
    expect(bands.map(({ key }) => key)).toEqual(['2027-06-17']);
    const [hands, wait] = bands[0]!.bars;
    expect([hands!.from, hands!.to]).toEqual([22 * 60, 23 * 60]);
    expect([wait!.from, wait!.to]).toEqual([23 * 60, 24 * 60]);
  });
  it('give bars that overlap lines of their own, and know oven from cold', () => {
    const bands = bandsOf(
      [row('a', -300, task(60, 40, 'oven')), row('b', -290, task(60, 40, 'freezer'))],
      dateOf,
    );
    expect(bands[0]!.hands).toBe(2);
    expect(bands[0]!.bars.map(({ kind }) => kind).sort()).toEqual([
      'fridge',
      'hands',
      'hands',
      'oven',
    ]);
  });
});

describe('ribbons of what is out of the cold', () => {
  const clock: Clock = {
    name: 'cream',
    tierId: 'tier-1',
    tierName: 'Cake',
    outMin: 150,
    mostMin: 120,
    tasks: [],
    spans: [
      { fromMin: -300, toMin: -200 },
      { fromMin: -60, toMin: -10 },
    ],
  };
  it('turn where the time of guidance is used up', () => {
    const ribbons = ribbonsOf([clock], dateOf);
    expect(ribbons.map(({ from, to, isOver }) => [to - from, isOver])).toEqual([
      [100, false],
      [20, false],
      [30, true],
    ]);
    expect(ribbons[0]!.day).toBe('2027-06-19');
  });
});
