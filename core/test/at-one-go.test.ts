import { describe, expect, it } from 'vitest';
import { atOneGo, planBuild, scheduleDay, type DayTask } from '../src/index.ts';
import { demos, pantry } from './demos.ts';
import { bareTask, tasksOf } from './work-kit.ts';

const placedAtOneGo = (tasks: DayTask[], settings = demos[0]!.day) => {
  const answer = scheduleDay(atOneGo(tasks, settings));
  if (!answer.ok) throw new Error(answer.why);
  return answer.plan;
};

describe('a cake at one go', () => {
  it('takes its hands and the waits that no hands fill', () => {
    const bake = bareTask('bake', 30, 120);
    const cream = bareTask('cream', 40);
    const coat = bareTask('coat', 20, 0, {
      after: ['bake', 'cream'].map((id) => ({ id, leastMin: 0, mostMin: null })),
    });
    const plan = placedAtOneGo([bake, cream, coat]);
    expect(plan.handsMin).toBe(90);
    // the cream is made while the cake bakes
    expect(plan.spanMin).toBe(30 + 120 + 20);
  });
  it('goes through the night, and lets go what was put at a time of its own', () => {
    const tasks = [bareTask('soak', 10, 20 * 60), bareTask('stack', 10, 0, { after: [{ id: 'soak', leastMin: 0, mostMin: null }], pinMin: -3000 })]; // prettier-ignore
    const plan = placedAtOneGo(tasks);
    expect(plan.spanMin).toBe(10 + 20 * 60 + 10);
    expect(tasks[1]!.pinMin).toBe(-3000);
  });
  it.each(demos.map((build) => [build.name, build] as const))(
    'is never longer than one task after the other, nor shorter than its hands: %s',
    (_, build) => {
      const tasks = tasksOf(build, planBuild(build, pantry));
      const plan = placedAtOneGo(tasks, build.day);
      const each = plan.placed.map(({ startMin, endMin }) => endMin - startMin);
      expect(plan.placed).toHaveLength(tasks.length);
      expect(plan.spanMin).toBeGreaterThanOrEqual(plan.handsMin / build.day.people - 1e-6);
      expect(plan.spanMin).toBeLessThanOrEqual(each.reduce((sum, min) => sum + min, 0) + 1e-6);
    },
  );
});
