import { phrase, type Phrase } from '../units/phrase.ts';
import { heavyLiftG } from '../working/checks.ts';

/** Nobody lifts it alone. */
export const isHeavyLift = (totalG: number | null): boolean =>
  totalG !== null && totalG > heavyLiftG;

/** Said where all of it is lifted. */
export const heavyCaution = (totalG: number | null): Phrase[] =>
  isHeavyLift(totalG)
    ? [phrase('It weighs {mass}: two people or a trolley.', { mass: [totalG!, 'weight'] })]
    : [];
