import type { ListItem, Step } from './steps.ts';
import { weighedKey, weighTargets } from './weighing.ts';

/** What does not wait for something to be weighed: what is used within so many minutes, min. */
const shortMin = 60;
/** Fewer lines than this are no list. */
const leastLines = 2;

/** One line that lies weighed out before a step begins, and how that is ticked. */
export interface AtHandLine {
  item: ListItem;
  key: string;
}

/** How it is said that a step begins although not all is at hand. */
export const goOnKey = ({ key }: Step): string => `${key}|at hand|go on`.slice(0, 200);

/**
 * What has to lie weighed out before a step that cannot be left once it has begun (docs/model.md#at-the-bench):
 * sugar over the fire does not wait for the cream, nor what is used within the hour. None for others.
 */
export function atHandFor(step: Step): AtHandLine[] {
  const cannotWait =
    step.hazards.includes('hot sugar') || (step.keepsMin !== null && step.keepsMin <= shortMin);
  if (!cannotWait) return [];
  const targets = weighTargets(step);
  const lines = step.list.flatMap((item): AtHandLine[] => {
    const target = targets.find(({ label, record }) => record === null && label === item.label);
    return target ? [{ item, key: weighedKey(step, target) }] : [];
  });
  return lines.length >= leastLines ? lines : [];
}

/** True once all of it is ticked, or it was said to go on. */
export const isAtHand = (step: Step, checks: readonly string[]): boolean => {
  const ticked = new Set(checks);
  return ticked.has(goOnKey(step)) || atHandFor(step).every(({ key }) => ticked.has(key));
};
