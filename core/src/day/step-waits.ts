import type { Step } from '../bench/steps.ts';

/** Cakes come out and cool: not into the cold, and not by hands. */
export const isCooling = ({ kind }: Step): boolean => kind === 'turn out';

/** Shorter waits are part of the work, min. */
const shortWaitMin = 10;
/** How long a step leaves the hands free, min; 0 for what is no wait. */
export function waitOf({ kind, oven, timer }: Step): number {
  const minutes = Math.max(oven?.minutes ?? 0, timer?.minutes ?? 0);
  // however short the road, nothing is done at the cake meanwhile
  return minutes >= shortWaitMin || kind === 'drive' ? minutes : 0;
}
