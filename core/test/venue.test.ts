import { describe, expect, it } from 'vitest';
import { isHeavyLift, planBuild, type Build, type DayTask } from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { demo, placedOf, placeOf, stepsOf, tasksOf } from './work-kit.ts';

const withTopping = (byRoad: boolean, minutes: number): Build => {
  const build = structuredClone(demo('jubilee'));
  build.journey = { ...build.journey, byRoad, minutes };
  return build;
};
const taskWith = (tasks: readonly DayTask[], key: string): DayTask =>
  tasks.find(({ stepKeys }) => stepKeys.includes(key))!;

describe('at the venue', () => {
  it('it is carried in after the road and before anything is done to it there', () => {
    const steps = stepsOf(planBuild(withTopping(true, 30), pantry));
    const road = placeOf(steps, 'road');
    expect(placeOf(steps, 'set-down')).toBe(road + 1);
    const last = steps.findIndex(({ kind, chapter }) => kind === 'place topping' && chapter === 'Serve'); // prettier-ignore
    expect(last).toBeGreaterThan(road + 1);
    expect(steps[road + 1]!.hazards).toContain('heavy lift');
  });
  it('what is put on there is made ready before it leaves, and counts the road as time that it keeps', () => {
    const [near, far] = [5, 100].map((minutes) => {
      const build = withTopping(true, minutes);
      const plan = planBuild(build, pantry);
      const tasks = tasksOf(build, plan);
      const washed = tasks.find(({ line }) => line?.preparedFor?.last)!;
      const road = taskWith(tasks, 'road');
      const placed = placedOf(build, tasks);
      const at = (id: string) => placed.find((one) => one.id === id)!;
      expect(at(washed.id).endMin).toBeLessThanOrEqual(at(road.id).startMin + 1e-6);
      const sheet = stepsOf(plan);
      expect(placeOf(sheet, washed.stepKeys.at(-1)!)).toBeLessThan(placeOf(sheet, 'road'));
      return road.after.find(({ id }) => id === washed.id)!.mostMin!;
    });
    expect(near! - far!).toBeCloseTo(95, 6);
  });
  it('nothing is put on while it is on the road, however short that is', () => {
    for (const minutes of [3, 45]) {
      const build = withTopping(true, minutes);
      const tasks = tasksOf(build, planBuild(build, pantry));
      const placed = placedOf(build, tasks);
      const at = (key: string) => placed.find(({ id }) => id === taskWith(tasks, key).id)!;
      expect(at('road').endMin - at('road').handsEndMin).toBeCloseTo(minutes, 6);
      expect(at('set-down').startMin).toBeGreaterThanOrEqual(at('road').endMin - 1e-6);
    }
  });
  it('that is at home has no road, and nothing to carry in', () => {
    const steps = stepsOf(planBuild(withTopping(false, 30), pantry));
    expect(steps.some(({ kind }) => kind === 'drive' || kind === 'place at the venue')).toBe(false);
  });
  it('two people are asked for where it is too heavy for one', () => {
    const cautions = (build: Build): number => {
      const steps = stepsOf(planBuild(build, pantry));
      return steps[placeOf(steps, 'set-down')]!.cautions.length;
    };
    const heavier = structuredClone(demo('jubilee'));
    for (const layer of heavier.tiers[0]!.layers) layer.heightMm *= 2;
    const light = structuredClone(demo('meridian'));
    light.journey.byRoad = true;
    expect([cautions(light), cautions(heavier)]).toEqual([0, 1]);
    expect(isHeavyLift(10_000)).toBe(false);
    expect(isHeavyLift(10_001)).toBe(true);
    expect(isHeavyLift(null)).toBe(false);
  });
});

describe('a naked cake', () => {
  const naked = (): Build => {
    const build = structuredClone(demo('meridian'));
    const [tier] = build.tiers;
    tier!.coat = { ...tier!.coat, style: 'naked', crumbMm: null, sideMm: null, topMm: null };
    for (const gap of tier!.gaps) gap.damMm = 0;
    build.journey.byRoad = true;
    build.piping = [];
    tier!.drip = null;
    return build;
  };
  it('is dabbed to its board with its first filling: no frosting is made for that alone', () => {
    const build = naked();
    const plan = planBuild(build, pantry);
    const bowls = plan.bowls.ok ? plan.bowls.value : [];
    const dab = bowls.find(({ uses }) => uses.some(({ kind }) => kind === 'dab'))!;
    expect(dab.spreadId).toBe(build.tiers[0]!.gaps[0]!.spreadId);
    const frosted = bowls.filter(({ spreadId }) => spreadId === build.tiers[0]!.coat.spreadId);
    // what is left of it is filled in
    expect([...new Set(frosted.flatMap(({ uses }) => uses.map(({ kind }) => kind)))]).toEqual([
      'gap',
    ]);
    const coated = naked();
    coated.tiers[0]!.coat.crumbMm = 1;
    const ownDab = planBuild(coated, pantry);
    const own = (ownDab.bowls.ok ? ownDab.bowls.value : []).find(({ uses }) => uses.some(({ kind }) => kind === 'dab'))!; // prettier-ignore
    expect(own.spreadId).toBe(
      coated.tiers[0]!.coat.innerSpreadId ?? coated.tiers[0]!.coat.spreadId,
    );
  });
  it('takes no frosting along', () => {
    const road = (build: Build) => stepsOf(planBuild(build, pantry)).find(({ key }) => key === 'road')!; // prettier-ignore
    expect(road(naked()).checks.join()).not.toContain('frosting');
    expect(road(demo('jubilee')).checks.join()).toContain('frosting of the coat');
  });
});
