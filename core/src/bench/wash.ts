import type { Step } from './steps.ts';

/** What runs in the mixer's bowl. */
export const isMachined = ({ kind, hazards }: Step): boolean =>
  (kind === 'mix' || kind === 'whip' || kind === 'cook') && hazards.includes('running machine');

/**
 * One bowl and one whisk serve all that is whipped: between two of them they are washed, which takes
 * its minutes where it is done. Steps are changed in place.
 */
export function washBetween(sheet: readonly Step[], washMin: number): void {
  const machined = sheet.filter(isMachined);
  machined.slice(0, -1).forEach((step) => {
    step.handsOnMin += washMin;
    step.checks.push('Bowl and whisk washed and dry, without a trace of fat: they are used again');
  });
}
