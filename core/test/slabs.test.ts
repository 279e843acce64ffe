import { describe, expect, it } from 'vitest';
import { doneOf, newBuild, newTopping, planBuild, type Build, type Step } from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { placedOf, placeOf, stepsOf, tasksOf } from './work-kit.ts';

/** A cake with a slab on a tray, broken and set round its top. */
function withSlab(foodId: string, thickMm: number): Build {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  build.tiers[0]!.toppings.push({
    ...newTopping('shards'),
    name: 'shards',
    foodId,
    densityGPerMl: 1.3,
    tray: { thickMm, wholeShare: 0.7, spreads: 1 },
  });
  return build;
}
const sheetOf = (build: Build): Step[] => stepsOf(planBuild(build, pantry));
const setMin = (foodId: string, thickMm: number): number =>
  sheetOf(withSlab(foodId, thickMm)).find(({ key }) => key === 'shards/tray-set')!.timer!.minutes;

describe('a slab that is broken', () => {
  it('is spread, sets, is broken and then put on, each a step of its own', () => {
    const steps = sheetOf(withSlab('caster-sugar', 4));
    const places = ['shards/tray', 'shards/tray-set', 'shards/break', 'shards/put'].map((key) =>
      placeOf(steps, key),
    );
    expect(places).toEqual([...places].sort((a, b) => a - b));
    const kinds = places.map((at) => steps[at]!.kind);
    expect(kinds).toEqual(['pipe piece on tray', 'put in', 'break up', 'place topping']);
  });
  it('of boiled sugar is as hard as its heat has left it, by one lump with both faces open', () => {
    // tau = thickness x density x capacity over both faces
    const tau = (0.004 * 1300 * 2000) / (pantry.kitchen.roomW * 2) / 60;
    const fromRoom = 170 - pantry.kitchen.roomC;
    expect(setMin('caster-sugar', 4)).toBeCloseTo(tau * Math.log(fromRoom / 3), -1);
    expect(setMin('caster-sugar', 8)).toBeGreaterThan(1.9 * setMin('caster-sugar', 4));
  });
  it('of chocolate waits for its crystals however thin it is, and is not burning hot meanwhile', () => {
    expect(setMin('dark-chocolate', 1)).toBe(30);
    const hot = (foodId: string): Step =>
      sheetOf(withSlab(foodId, 2)).find(({ key }) => key === 'shards/tray-set')!;
    expect(hot('dark-chocolate').hazards).toEqual([]);
    expect(hot('dark-chocolate').hotC).toBeLessThan(45);
    expect(hot('caster-sugar').hazards).toEqual(['hot sugar']);
  });
  it('is broken no sooner than it is set, by the plan of the days', () => {
    const build = withSlab('caster-sugar', 6);
    const tasks = tasksOf(build, planBuild(build, pantry));
    const placed = placedOf(build, tasks);
    const at = (key: string) => {
      const task = tasks.find(({ stepKeys }) => stepKeys.includes(key))!;
      return placed.find(({ id }) => id === task.id)!;
    };
    expect(at('shards/break').startMin).toBeGreaterThanOrEqual(at('shards/tray-set').endMin - 1e-6);
    expect(at('shards/put').startMin).toBeGreaterThanOrEqual(at('shards/break').endMin - 1e-6);
    expect(at('shards/tray-set').endMin - at('shards/tray-set').handsEndMin).toBe(
      setMin('caster-sugar', 6),
    );
  });
  it('that an older record ticked off as one step is done', () => {
    const build = withSlab('caster-sugar', 4);
    build.bench.done = [{ stepKey: 'shards/tray', at: '2027-06-19T12:00:00Z' }];
    const done = doneOf(build, sheetOf(build));
    expect(['shards/tray-set', 'shards/break'].map((key) => done.has(key))).toEqual([true, true]);
    expect(done.has('shards/put')).toBe(false);
  });
});
