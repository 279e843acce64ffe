import { describe, expect, it } from 'vitest';
import {
  dayTasks,
  findRow,
  inDayOrder,
  isForGrownUps,
  metric,
  planBuild,
  say,
  scheduleDay,
  startingPantry,
  windowsBefore,
} from '../../src/index.ts';
import { stepsOf } from '../work-kit.ts';
import { faultsOf, type WholeJob } from './checker.ts';
import { layeredJobs } from './layered.ts';
import { mouldJobs } from './moulded.ts';
import { shapedJobs } from './shaped.ts';
import type { Job } from './job-kit.ts';

/* Twenty kinds of job, each through plan, steps, days and every step of the bench. */

const pantry = startingPantry();
const jobs = [...layeredJobs, ...shapedJobs, ...mouldJobs];

function whole({ build }: Job): WholeJob {
  const plan = planBuild(build, pantry);
  const tasks = dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));
  const windows = windowsBefore(new Date('2027-06-19T16:00:00'), build.day.hours);
  const capacity = { hands: 1, oven: 1, mixer: 1, fridge: 900, freezer: build.day.freezerMm };
  const answer = scheduleDay({ tasks, windows, capacity, seed: 1, rounds: 60 });
  if (!answer.ok) throw new Error(answer.why);
  const { placed } = answer.plan;
  return { build, pantry, plan, steps: stepsOf(plan), tasks, placed, windows, capacity };
}

describe('every kind of job', () => {
  it('is there once, twenty and those in moulds', () => {
    expect(jobs).toHaveLength(20 + mouldJobs.length);
    expect(new Set(jobs.map(({ name }) => name)).size).toBe(jobs.length);
  });
  describe.each(jobs.map((job) => [job.name, job] as const))('%s', (_, job) => {
    const made = whole(job);
    it('plans without a stop, and holds by sheet and clock', () => {
      expect(made.plan.cautions.filter(({ id }) => id.startsWith('missing/'))).toEqual([]);
      expect(faultsOf(made)).toEqual([]);
    });
    it('reads as sentences: every figure has its unit, nothing is empty', () => {
      for (const step of made.steps) {
        const words = [
          step.title,
          ...(step.lead ? [say(step.lead, metric)] : []),
          ...step.checks,
          ...step.cautions.map((one) => say(one, metric)),
          ...step.list.map(({ label }) => label),
          ...step.amounts.map(({ label }) => label),
        ];
        for (const text of words) {
          expect(text, step.key).not.toMatch(/\{|\}|undefined|NaN|null|Infinity|\s\s|\.\./);
          expect(text.trim(), step.key).not.toBe('');
        }
        for (const { value } of [...step.amounts, ...step.list])
          expect(Number.isFinite(value) && value >= 0, step.key).toBe(true);
      }
    });
    it('keeps its order when the days are planned', () => {
      const byDay = inDayOrder(made.steps, made.tasks, made.placed);
      expect(byDay.map(({ key }) => key).sort()).toEqual(made.steps.map(({ key }) => key).sort());
      expect(byDay.at(-1)!.kind).toBe('cut and serve');
      const knife = made.steps.filter(({ hazards }) => hazards.includes('knife'));
      for (const step of knife) expect(isForGrownUps(step), step.key).toBe(true);
    });
  });
});

describe('the checker', () => {
  const sound = whole(jobs.find(({ name }) => name === 'soaked, nuts pressed on')!);
  const faults = (change: Partial<WholeJob>): string =>
    faultsOf({ ...sound, ...change }).join('\n');
  it('finds what is used hot from the pan', () => {
    const compote = whole(jobs.find(({ name }) => name === 'compote in a ring')!);
    const steps = compote.steps.filter(({ hold }) => hold === null);
    expect(faultsOf({ ...compote, steps }).join('\n')).toContain('used hot from the pan');
  });
  it('finds nuts that come after the coat is chilled hard', () => {
    const chill = sound.steps.findIndex(({ key }) => key === 'tier-1/coat-chill');
    const pressed = sound.steps.find(({ kind }) => kind === 'press on')!;
    const rest = sound.steps.filter((step) => step !== pressed);
    const at = chill; // one less before it
    const steps = [...rest.slice(0, at), pressed, ...rest.slice(at)];
    expect(faults({ steps })).toContain('pressed on before the coat is chilled hard');
  });
  it('finds a layer that nobody sets on, and a cake that is cut warm', () => {
    const missing = sound.steps.filter(({ kind }) => kind !== 'set layer on');
    expect(faults({ steps: missing })).toContain('layer 1 of Cake is set on 0 times');
    const cut = sound.tasks.find(({ stepKeys }) => stepKeys.some((key) => key.includes('/cut/')))!;
    const placed = sound.placed.map((one) =>
      one.id === cut.id ? { ...one, startMin: -9000, handsEndMin: -8990, endMin: -8990 } : one,
    );
    expect(faults({ placed })).toContain('cold before it is cut');
    expect(faults({ placed })).toContain('too early');
  });
  it('finds two in one oven, and hands outside the hours', () => {
    expect(faults({ capacity: { ...sound.capacity, hands: 0 } })).toMatch(/hands\/-?\d+: 1 of 0/);
    expect(faults({ windows: [] })).toContain('outside the hours');
  });
});
