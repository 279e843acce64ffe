import type { Step } from '../bench/steps.ts';
import { given, type FigurePage } from '../working/figures.ts';

/** Minutes with somebody's hands on it, of all steps. */
export const handsOnOf = (steps: readonly Pick<Step, 'handsOnMin'>[]): number =>
  steps.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0);

/** Where they come from: every step's. */
export function enterHandsOn(steps: readonly Step[], page: FigurePage): void {
  page.add(
    'hands-on',
    'Hands-on time',
    handsOnOf(steps),
    'minutes',
    'The minutes of every step at the bench, without the waiting. From usual times for a 20 cm tier: sides scale with rim times height, tops with area.',
    steps.map(({ title, handsOnMin }) => given(title, handsOnMin, 'minutes')),
  );
}
