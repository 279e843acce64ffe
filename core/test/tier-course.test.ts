import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  planBuild,
  scheduleDay,
  tierCourses,
  windowsBefore,
  type Build,
  type CourseGate,
  type TierCourse,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';
import { demo, stepsOf, tasksOf } from './work-kit.ts';

/** How warm the tiers of a cake are by the plan of its days; null where there is no such plan. */
function coursesOf(build: Build): TierCourse[] | null {
  const plan = planBuild(build, pantry);
  if (!plan.steps.ok) return null;
  const tasks = tasksOf(build, plan);
  const answer = scheduleDay({
    tasks,
    windows: windowsBefore(new Date('2027-06-19T16:00:00'), build.day.hours),
    capacity: { hands: 1, oven: 1, mixer: 1, fridge: build.day.fridgeMm, freezer: build.day.freezerMm }, // prettier-ignore
    seed: 1,
    rounds: 5,
  });
  if (!answer.ok) return null;
  const { placed } = answer.plan;
  return tierCourses({ build, plan, steps: stepsOf(plan), tasks, placed, pantry });
}
const gateOf = (courses: readonly TierCourse[], what: CourseGate['what']): CourseGate =>
  courses.flatMap(({ gates }) => gates).find((gate) => gate.what === what)!;
const changed = (build: Build, by: (draft: Build) => void): Build => {
  const draft = JSON.parse(JSON.stringify(build)) as Build;
  by(draft);
  return draft;
};

describe('how warm a cake is through its days', () => {
  it.each([
    'jubilee',
    'harbour-light',
    'first-light',
    'comet-crepes',
    'fig-and-walnut',
    'night-watch',
  ])('is at every step what the work asks: %s', (name) => {
    const courses = coursesOf(demo(name))!;
    expect(courses.length).toBeGreaterThan(0);
    for (const { gates, tierName } of courses)
      for (const gate of gates) expect([tierName, gate.title, gate.moreMin]).toEqual([tierName, gate.title, 0]); // prettier-ignore
  });
  it('is followed without a gap from the first layer to the table, and is never colder than the freezer or warmer than what is poured', () => {
    let met = 0;
    fc.assert(
      fc.property(anyBuild, (any) => {
        // shelves for anything: it is not about what fits
        const build = { ...any, day: { ...any.day, fridgeMm: 20000, freezerMm: 20000 } };
        for (const { points, stretches } of coursesOf(build) ?? []) {
          met += 1;
          stretches.slice(1).forEach((stretch, i) => {
            expect(stretch.fromMin).toBeCloseTo(stretches[i]!.toMin, 6);
            expect(stretch.toMin).toBeGreaterThanOrEqual(stretch.fromMin);
          });
          points.slice(1).forEach(({ atMin }, i) => expect(atMin).toBeGreaterThanOrEqual(points[i]!.atMin - 1e-6)); // prettier-ignore
          for (const { outsideC, middleC } of points) {
            expect(Math.min(outsideC, middleC)).toBeGreaterThan(-41);
            expect(Math.max(outsideC, middleC)).toBeLessThan(61);
          }
        }
      }),
      { numRuns: 15, seed: 71 },
    );
    expect(met).toBeGreaterThan(3);
  });
  it('stands where it is once it is away, and in no fridge of the house', () => {
    for (const { stretches } of coursesOf(demo('jubilee'))!) {
      const left = stretches.findIndex(({ place }) => place === 'car');
      expect(left).toBeGreaterThan(0);
      expect(stretches.slice(left + 1).map(({ place }) => place)).toEqual(['venue']);
    }
  });
  it('is warmer where hands are on it longer before it is poured', () => {
    const build = demo('comet-crepes');
    const [tier] = build.tiers;
    const pouring = tasksOf(build, planBuild(build, pantry)).find(({ stepKeys }) =>
      stepKeys.includes(`${tier!.id}/pour`),
    )!;
    expect(pouring.stepKeys.indexOf(`${tier!.id}/pour`)).toBeGreaterThan(0);
    const found = [undefined, 60, 240].map((handsMin) => {
      const own = changed(build, (b) => {
        b.day.minutes = handsMin ? [{ taskId: pouring.id, handsMin }] : [];
      });
      return gateOf(coursesOf(own)!, 'flow');
    });
    expect(found[1]!.foundC).toBeGreaterThan(found[0]!.foundC + 0.5);
    expect(found[2]!.foundC).toBeGreaterThan(found[1]!.foundC + 1);
    expect(found[2]!.moreMin).toBeGreaterThan(found[1]!.moreMin!);
  });
  it('is asked of every tier over which something runs, once', () => {
    const twice = changed(demo('jubilee'), (b) => {
      const [first, second] = b.tiers;
      first!.drip = { ...second!.drip! };
    });
    const flows = coursesOf(twice)!.map(({ gates }) => gates.filter(({ what }) => what === 'flow'));
    expect(flows.map(({ length }) => length)).toEqual([1, 1, 0]);
    // the second stands out while the first is dripped
    expect(flows[1]![0]!.foundC).toBeGreaterThan(flows[0]![0]!.foundC);
  });
  it('that is left at home out of the fridge leaves as warm as the room', () => {
    const warm = changed(demo('harbour-light'), (b) => {
      b.journey.chilled = false;
    });
    const [cold, room] = [demo('harbour-light'), warm].map(
      (build) => gateOf(coursesOf(build)!, 'leave').foundC,
    );
    expect(cold).toBeLessThan(9);
    expect(room).toBeGreaterThan(cold! + 3);
    expect(gateOf(coursesOf(warm)!, 'leave').wantedC).toBeNull();
    // it is in the car for as long as the road takes, whatever is put on when it is there
    for (const name of ['harbour-light', 'jubilee'])
      for (const { stretches } of coursesOf(demo(name))!) {
        const drives = stretches.filter(({ place }) => place === 'car');
        const minutes = drives.reduce((all, { fromMin, toMin }) => all + toMin - fromMin, 0);
        expect(minutes).toBeCloseTo(demo(name).journey.minutes, 6);
      }
  });
  it('goes by what a thermometer read, and says how much longer it needs', () => {
    const build = demo('leap-second');
    const chill = `${build.tiers[0]!.id}/crumb-chill`;
    const read = (tempC: number): CourseGate =>
      gateOf(
        coursesOf(
          changed(build, (b) => {
            b.bench.notes.push({
              id: 'n',
              stepKey: chill,
              at: '2027-06-19T10:00:00Z',
              kind: 'temperature',
              value: tempC,
              text: '',
              planned: null,
            });
          }),
        )!,
        'coat',
      );
    expect(stepsOf(planBuild(build, pantry)).some(({ key }) => key === chill)).toBe(true);
    const [cold, warm, hot] = [read(8), read(17), read(20)];
    expect(cold.moreMin).toBe(0);
    expect(warm.foundC).toBeGreaterThan(15);
    expect(warm.moreMin).toBeGreaterThan(3);
    expect(hot.moreMin).toBeGreaterThan(warm.moreMin!);
    expect(hot.foundC - warm.foundC).toBeCloseTo(3, 0);
  });
  it('at the table is between the fridge and the room, the outside warmer than the middle', () => {
    const { foundC, middleC } = gateOf(coursesOf(demo('first-light'))!, 'eat');
    expect(foundC).toBeGreaterThan(middleC);
    expect(middleC).toBeGreaterThan(pantry.kitchen.fridgeC);
    expect(foundC).toBeLessThan(pantry.kitchen.roomC);
  });
  it('is stacked as warm as what it is stacked from: layers off the rack, bowls from where they stood', () => {
    const [crepes] = coursesOf(demo('comet-crepes'))!;
    const part = (name: string): number => crepes!.parts.find((one) => one.name === name)!.tempC;
    const { fridgeC, roomC } = pantry.kitchen;
    expect(part('crepe')).toBe(roomC);
    expect(part('stabilised whipped cream')).toBeLessThan(fridgeC + 5);
    // as grams and heats mix
    const heat = crepes!.parts.map(({ massG, capacityKJ, tempC }) => [massG * capacityKJ, tempC] as const); // prettier-ignore
    const all = heat.reduce((sum, [c]) => sum + c, 0);
    expect(crepes!.stackedC * all).toBeCloseTo(
      heat.reduce((sum, [c, t]) => sum + c * t, 0),
      6,
    );
    expect(crepes!.points[0]!.outsideC).toBeCloseTo(crepes!.stackedC, 6);
  });
  it('stacked cold begins between fridge and rack, and colder the longer its layers stood', () => {
    const meridian = demo('meridian');
    const stacked = (build: Build): TierCourse => coursesOf(build)![0]!;
    const atRoom = stacked(changed(meridian, (b) => (b.tiers[0]!.stackedAt = 'room')));
    const cold = stacked(changed(meridian, (b) => (b.tiers[0]!.stackedAt = 'cold')));
    expect(cold.stackedC).toBeLessThan(atRoom.stackedC - 1);
    for (const { parts } of [atRoom, cold])
      for (const { tempC } of parts) {
        expect(tempC).toBeGreaterThanOrEqual(pantry.kitchen.fridgeC - 1e-6);
        expect(tempC).toBeLessThan(30);
      }
  });
});
