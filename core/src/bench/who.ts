import { isWithoutDanger } from '../pantry/hazards.ts';
import type { Step } from './steps.ts';

/** True for what a second pair of hands can take while the first goes on, and need not be told of. */
export const isForHelper = (step: Step): boolean => step.beside && isWithoutDanger(step);
