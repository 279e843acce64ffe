import type { Staged } from '../working/staged.ts';
import type { DripPlan, PourPlan } from './drips.ts';
import type { ToppingPlan } from './toppings.ts';

/** What is poured, dripped and put on one tier. */
export interface FinishPlan {
  drip: Staged<DripPlan | null>;
  pour: Staged<PourPlan | null>;
  toppings: ToppingPlan[];
  /** What of it is food and stays on the cake, without the piping, g. */
  massG: number;
}
