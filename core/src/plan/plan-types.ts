import type { Step } from '../bench/steps.ts';
import type { OutOfCold } from '../day/clocks.ts';
import type { Serving } from '../day/serving.ts';
import type { TierTimes } from '../times/tier-times.ts';
import type { Price } from '../price/price.ts';
import type { ScaledIngredient } from '../recipes/scale.ts';
import type { CutFrom } from '../support/shopping-list.ts';
import type { NonFood } from '../support/counts.ts';
import type { SupportPlan } from '../support/support.ts';
import type { Caution } from '../working/cautions.ts';
import type { FigureBook } from '../working/figures.ts';
import type { Staged } from '../working/staged.ts';
import type { ShapePlan, Tally } from './shape-plan.ts';

/** The first layer of a plan: what the cake is and how it stands. */
export interface CakePlan extends ShapePlan {
  /** How it stands and travels; null where a mass could not be computed. */
  support: SupportPlan | null;
  /** What is on and in the cake and must come out before it is eaten, with its counts. */
  nonFood: NonFood[];
  cutLists: CutFrom[];
}

/** What the second layer says besides its figures and cautions. */
interface Made {
  /** How long each tier waits on the rack and in the cold. */
  times: TierTimes[];
  /** When it comes out of the fridge; null where its steps are not known. */
  serving: Serving | null;
  /** How long the perishable parts of each tier are out of the cold. */
  outOfCold: OutOfCold[];
  steps: Staged<Step[]>;
  ingredients: Staged<ScaledIngredient[]>;
  /** Null where the ingredients or the minutes are not known. */
  price: Price | null;
}

/** The second layer of a plan: how the cake is made, with what, and when. Nothing of the first rests on it. */
export interface MakingPlan extends Made {
  handsOnMin: number | null;
  figures: FigureBook;
  cautions: Caution[];
}

/** The whole plan of a build: both layers, with the figures and cautions of both. */
export interface Plan extends CakePlan, Made {
  tally: Tally;
}
