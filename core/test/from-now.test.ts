import { describe, expect, it } from 'vitest';
import { replanFrom, type DayQuestion, type DayTask, type Replan } from '../src/index.ts';

const chain: DayTask[] = (
  [
    ['bake', 'Bake', 60, 0, []],
    ['coat', 'Coat', 20, 200, [{ resource: 'fridge', amount: 100, when: 'wait' }]],
    ['drips', 'Finish', 60, 0, []],
    ['box', 'Serve', 10, 0, []],
  ] as [string, string, number, number, DayTask['uses']][]
).map(([id, chapter, handsMin, waitMin, uses], i, all) => ({
  id,
  stepKeys: [id],
  title: id,
  chapter: chapter,
  tierId: null,
  handsMin,
  waitMin,
  again: null,
  uses,
  after: i === 0 ? [] : [{ id: all[i - 1]![0], leastMin: 0, mostMin: null }],
}));
const question: DayQuestion = {
  tasks: chain,
  windows: [{ fromMin: -1000, toMin: 0 }],
  capacity: { hands: 1, oven: 1, mixer: 1, fridge: 1000, freezer: 1000 },
  seed: 1,
  rounds: 40,
};
const from = (minutes: number): Replan => replanFrom(question, -minutes);

describe('from now on', () => {
  it('one thing that is enough alone needs no other', () => {
    expect(from(400)).toMatchObject({ shortMin: 0, together: null });
    // 350 min in all: without the drips 290, from the freezer 240
    const late = from(300);
    expect(late.shortMin).toBeCloseTo(50, 6);
    expect(late.savers.filter(({ isEnough }) => isEnough).length).toBeGreaterThan(1);
    expect(late.together).toBeNull();
  });

  it('where none is enough alone, names those that are together, and none too many', () => {
    // the freezer makes it 240 min, and 180 without the drips or without the baking
    const { savers, together } = from(200);
    expect(savers.every(({ isEnough }) => !isEnough)).toBe(true);
    expect(together).toHaveLength(2);
    expect(together).toContain('the freezer instead of the fridge, for stacks and coats');
    for (const title of together!) expect(savers.map((one) => one.title)).toContain(title);
    // 10 + 20 + 200 · 0.45 · 0.7 is 93 min of box, coat and shorter sets from the freezer
    expect(from(100).together!.length).toBeGreaterThan(2);
  });

  it('says nothing where all of it together is too little', () => {
    expect(from(60)).toMatchObject({ together: null });
  });
});
