import {
  goOnKey,
  newBuild,
  planBuild,
  startingPantry,
  step as stepOf,
  weighTargets,
  type Build,
  type Stock,
  type Step,
} from '@pyrgotect/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, nextTick, type EffectScope } from 'vue';
import { checkKey, useBench, type BenchHand } from '../src/bench/useBench.ts';
import { useStockLedger } from '../src/bench/useStockLedger.ts';
import { mergesNothing, saveBuild } from '../src/storage/builds.ts';
import { database } from '../src/storage/database.ts';
import { useBuild } from '../src/stores/build.ts';
import { usePantry } from '../src/stores/pantry.ts';

/* What is done at the bench becomes what the cake's own document says of it. */

let scope: EffectScope;
let bench: BenchHand;
const sheet: Step[] = [
  stepOf('mix', 'mix', 'Bake', 'Mix', 10, { checks: ['Smooth'] }),
  stepOf('bake', 'bake', 'Bake', 'Bake', 5, { timer: { label: 'bake', minutes: 30, lookMin: 25 } }),
  stepOf('cool/a', 'turn out', 'Bake', 'Cool a', 2, { wholeKey: 'cool' }),
  stepOf('cool/b', 'turn out', 'Bake', 'Cool b', 2, { wholeKey: 'cool' }),
  stepOf('fill', 'spread', 'Fill and stack', 'Fill', 12, {
    amounts: [{ label: 'cream', value: 120, kind: 'small', figure: null }],
    record: { kind: 'mass', label: 'cream', planned: 120, show: 'small' },
  }),
];
const doneKeys = (): string[] => useBuild().build!.bench.done.map(({ stepKey }) => stepKey);

beforeEach(async () => {
  setActivePinia(createPinia());
  await Promise.all(database.tables.map((table) => table.clear()));
  await saveBuild(newBuild('cake', 'Cake', '2027-05-03T09:30:00Z'), 0, mergesNothing, 'New');
  await useBuild().open('cake');
  scope = effectScope();
  bench = scope.run(() => useBench(() => sheet))!;
});
afterEach(async () => {
  scope.stop();
  await useBuild().flush();
  vi.useRealTimers();
});

describe('steps at the bench', () => {
  it('are ticked off one after the other, and turned back to', () => {
    expect([bench.index.value, bench.step.value!.key]).toEqual([0, 'mix']);
    bench.finish();
    expect([doneKeys(), bench.step.value!.key]).toEqual([['mix'], 'bake']);
    bench.goTo(0);
    bench.finish();
    // ticked once, however often
    expect(doneKeys()).toEqual(['mix']);
    expect(bench.step.value!.key).toBe('bake');
    bench.reopen('mix');
    expect(doneKeys()).toEqual([]);
  });
  it('go no further than the sheet', () => {
    bench.goTo(99);
    expect(bench.step.value!.key).toBe('fill');
    bench.finish();
    expect(bench.step.value!.key).toBe('fill');
    bench.goTo(-5);
    expect(bench.step.value!.key).toBe('mix');
  });
  it('pass over what is done already', () => {
    bench.goTo(1);
    bench.finish();
    bench.goTo(0);
    bench.finish();
    expect(bench.step.value!.key).toBe('cool/a');
  });
  it('that were one are done with it, and one of them is taken back alone', () => {
    useBuild().edit('As it was', (draft) => {
      draft.bench.done = [{ stepKey: 'cool', at: '2027-05-03T10:00:00Z' }];
      draft.bench.stepKey = 'cool';
    });
    expect([...bench.done.value].sort()).toContain('cool/b');
    bench.reopen('cool/a');
    expect(doneKeys()).toEqual(['cool/b']);
    expect(bench.index.value).toBe(2);
  });
  it('are undone with everything else', () => {
    bench.finish();
    useBuild().undo();
    expect(doneKeys()).toEqual([]);
  });
});

describe('ticks', () => {
  it('are kept, taken back, and hold the place where work was begun', () => {
    const key = checkKey(sheet[0]!, 'Smooth');
    bench.tick([key]);
    expect(useBuild().build!.bench).toMatchObject({ checks: [key], stepKey: 'mix' });
    bench.tick([key]);
    expect(useBuild().build!.bench.checks).toEqual([]);
    bench.tick(['a', 'b']);
    bench.tick(['b', goOnKey(sheet[0]!)]);
    expect(useBuild().build!.bench.checks).toEqual(['a', goOnKey(sheet[0]!)]);
  });
  it('of what is weighed come with what the scale said', () => {
    const [target] = weighTargets(sheet[4]!);
    bench.weighed(sheet[4]!, target!, 117);
    const { checks, notes } = useBuild().build!.bench;
    expect(checks).toHaveLength(1);
    expect(notes).toMatchObject([{ stepKey: 'fill', kind: 'mass', value: 117 }]);
    bench.weighed(sheet[4]!, target!, 119);
    expect(useBuild().build!.bench.checks).toHaveLength(1);
    bench.removeNote(useBuild().build!.bench.notes[0]!.id);
    expect(useBuild().build!.bench.notes.map(({ value }) => value)).toEqual([119]);
  });
});

describe('timers', () => {
  beforeEach(() => {
    vi.useFakeTimers({ now: new Date('2027-06-12T10:00:00Z'), toFake: ['Date', 'setInterval', 'clearInterval'] }); // prettier-ignore
    scope.stop();
    scope = effectScope();
    bench = scope.run(() => useBench(() => sheet))!;
  });
  it('run from when they are started, the soonest first, and past their end', async () => {
    bench.goTo(1);
    bench.startTimer(30);
    bench.startTimer(5);
    expect(bench.timers.value.map(({ left }) => left)).toEqual([300, 1800]);
    vi.advanceTimersByTime(360_000);
    await nextTick();
    expect(bench.timers.value.map(({ left }) => left)).toEqual([-60, 1440]);
    expect(bench.timers.value[0]).toMatchObject({ stepKey: 'bake', label: 'bake', minutes: 5 });
  });
  it('are lengthened, set and stopped', () => {
    bench.goTo(1);
    bench.startTimer(30);
    const { id } = bench.timers.value[0]!;
    bench.addMinutes(id, 5);
    expect(bench.timers.value[0]!.minutes).toBe(35);
    bench.setMinutes(id, 12);
    expect(bench.timers.value[0]!.minutes).toBe(12);
    bench.addMinutes('nobody', 5);
    bench.stopTimer(id);
    expect(bench.timers.value).toEqual([]);
    expect(useBuild().build!.bench.timers[0]!.stoppedAt).toBe('2027-06-12T10:00:00.000Z');
  });
  it('are not started where the step has none', () => {
    bench.startTimer(30);
    expect(useBuild().build!.bench.timers).toEqual([]);
  });
});

describe('a cake that is done', () => {
  it('keeps what the hand did to its plan, and can be taken up again', () => {
    bench.close(true);
    expect(useBuild().build!.bench.finished).toMatchObject({ moves: [] });
    bench.close(false);
    expect(useBuild().build!.bench.finished).toBeNull();
  });
});

describe('what is taken of things put away', () => {
  const row: Stock = {
    id: 'rounds',
    name: 'Rounds',
    source: 'own',
    ranges: {},
    madeOfId: 'butter',
    layer: { outline: { kind: 'round', diameterMm: 200 }, heightMm: 25 },
    amount: 6,
    keptIn: 'freezer',
    madeOn: '2027-05-03',
    taken: [],
  };
  it('is counted off with the tick, once, and given back with it', async () => {
    const pantry = usePantry();
    await pantry.saveRow('stock', row);
    useBuild().edit('Out of the freezer', (draft) => void (draft.tiers[0]!.stockId = row.id));
    const build = (): Build => useBuild().build!;
    const plan = planBuild(build(), { ...startingPantry(), stock: [row] });
    if (!plan.steps.ok) throw new Error(plan.steps.problem);
    const { value } = plan.steps;
    const taken = (): unknown[] => pantry.pantry.stock[0]!.taken;
    scope.run(() => {
      const own = useBench(() => value);
      useStockLedger(
        () => value,
        () => own.done.value,
        build,
      );
      own.goTo(value.findIndex(({ key }) => key === 'tier-1/stock'));
      own.finish();
    });
    await vi.waitFor(() => expect(taken()).toEqual([{ buildId: 'cake', amount: 4 }]));
    await nextTick();
    expect(taken()).toHaveLength(1);
    useBuild().undo();
    await vi.waitFor(() => expect(taken()).toEqual([]));
  });
});
