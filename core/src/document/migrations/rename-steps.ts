import { asList, asObject, type Loose } from '../loose.ts';

/**
 * The days and the bench of a build of an older version, with the keys of steps and tasks renamed: what
 * was ticked, noted, timed, pinned or put in an order of its own stays with what it was about.
 */
export function withStepsRenamed(
  build: Loose,
  rename: (key: string) => string,
): { day: Loose; bench: Loose } {
  const renamed = (text: unknown): unknown => (typeof text === 'string' ? rename(text) : text);
  const keyed = (list: unknown, field: string): unknown[] =>
    asList(list).map((each) => {
      const one = asObject(each);
      return field in one ? { ...one, [field]: renamed(one[field]) } : one;
    });
  const bench = asObject(build.bench);
  const day = asObject(build.day);
  return {
    day: {
      ...day,
      minutes: keyed(day.minutes, 'taskId'),
      pinned: keyed(day.pinned, 'taskId'),
      own: keyed(keyed(day.own, 'after'), 'before'),
    },
    bench: {
      ...bench,
      stepKey: renamed(bench.stepKey),
      done: keyed(bench.done, 'stepKey'),
      checks: asList(bench.checks).map(renamed),
      notes: keyed(bench.notes, 'stepKey'),
      timers: keyed(bench.timers, 'stepKey'),
    },
  };
}
