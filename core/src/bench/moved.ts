import type { Amount, ListItem, Step } from './steps.ts';

/** An amount of a step that is another now than it was when the bench last showed it. */
export interface Moved {
  label: string;
  was: number;
}
/** What moved, by the key of the step. */
export type MovedBySteps = ReadonlyMap<string, readonly Moved[]>;

/** Smaller moves no scale and no eye would see, as a share. */
const leastShare = 0.002;

const figuresOf = ({ amounts, list }: Step): (Amount | ListItem)[] => [...amounts, ...list];

/**
 * What moved in a run of steps since it was last looked at: an edit elsewhere, another height, a weighed bowl.
 * What is marked already keeps what it was at first; what comes back to it is marked no more, and a step that is
 * done is not either.
 *
 * @param before the steps as they were; @param after as they are; @param marked what is marked so far
 */
export function movedSince(
  before: readonly Step[],
  after: readonly Step[],
  marked: MovedBySteps,
  done: ReadonlySet<string>,
): MovedBySteps {
  const earlier = new Map(before.map((step) => [step.key, step]));
  const moved = new Map<string, Moved[]>();
  for (const step of after) {
    const then = earlier.get(step.key);
    if (!then || done.has(step.key)) continue;
    const marks = figuresOf(step).flatMap(({ label, value }): Moved[] => {
      const known = marked.get(step.key)?.find((one) => one.label === label)?.was;
      const was = known ?? figuresOf(then).find((one) => one.label === label)?.value;
      if (was === undefined) return [];
      const least = leastShare * Math.max(Math.abs(was), Math.abs(value));
      return Math.abs(value - was) > least ? [{ label, was }] : [];
    });
    if (marks.length > 0) moved.set(step.key, marks);
  }
  return moved;
}
