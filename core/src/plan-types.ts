import type { Step } from './bench/steps.ts';
import type { Bowl } from './bowls/bowls.ts';
import type { Batch } from './bowls/batches.ts';
import type { TierCarve } from './carve/apply.ts';
import type { CoatPlan } from './coat/coat.ts';
import type { BoardCover, FondantPlan, PaperStrips } from './covers/fondant.ts';
import type { PressedPlan } from './covers/pressed.ts';
import type { CentrePlan } from './fill/centre.ts';
import type { GapPlan } from './fill/gaps.ts';
import type { OutOfCold } from './day/clocks.ts';
import type { Serving } from './day/serving.ts';
import type { FinishPlan } from './finish/finish.ts';
import type { PlannedPiping } from './finish/piping.ts';
import type { GapLoad } from './fill/load.ts';
import type { TierTimes } from './heat/tier-times.ts';
import type { OtherPlan } from './others/other-layers.ts';
import type { OvenPlan } from './oven/loads.ts';
import type { Outline } from './outline/outline.ts';
import type { Diet, DietAnswer } from './pantry/diets.ts';
import type { Allergen, Board } from './pantry/types.ts';
import type { Price } from './price/price.ts';
import type { ScaledIngredient, ScaledRecipe } from './recipes/scale.ts';
import type { Section } from './section/section.ts';
import type { SoakPlan } from './soak/soak.ts';
import type { CutFrom } from './support/shopping-list.ts';
import type { NonFood } from './support/counts.ts';
import type { SupportPlan } from './support/support.ts';
import type { StackPlan } from './stack/stack.ts';
import type { BakePlan } from './tins/bake.ts';
import type { Caution } from './working/cautions.ts';
import type { Figures } from './working/figures.ts';
import type { Staged } from './working/staged.ts';

/** Everything computed for one tier. */
export interface TierPlan {
  tierId: string;
  stack: StackPlan;
  bake: Staged<BakePlan>;
  batterRecipe: Staged<ScaledRecipe>;
  others: Staged<OtherPlan[]>;
  gaps: Staged<GapPlan[]>;
  /** How each filling settles; null where the weights above it are not known. */
  loads: GapLoad[] | null;
  soak: SoakPlan[];
  /** How it is carved; null for a tier that is left as it is stacked. */
  carve: TierCarve | null;
  centre: CentrePlan | null;
  coat: Staged<CoatPlan>;
  fondant: FondantPlan | null;
  pressed: PressedPlan | null;
  /** Its outline with everything on it. */
  finished: Outline;
  finish: FinishPlan;
  dabG: number;
  /** Servings from this tier. */
  servings: number;
  /** Each layer with its soak, g; null where it could not be computed. */
  layersG: number[] | null;
  /** Layers, fillings, coat and finish, g; null where a part could not be computed. */
  massG: number | null;
}

export interface ServingsPlan {
  count: number;
  /** Servings over the number asked for; negative when short. */
  spare: number;
  /** What one portion weighs on average, g. */
  portionG: number | null;
}

/** What the foot of every screen shows. Null where it could not be computed. */
export interface Tally {
  heightMm: number;
  widthMm: number;
  massG: number | null;
  servings: number;
  frostingG: number | null;
  handsOnMin: number | null;
}

/** The plan of a build without its times. */
export interface ShapePlan {
  tiers: TierPlan[];
  servings: ServingsPlan;
  bowls: Staged<Bowl[]>;
  /** Every piping job with what it takes and where it goes. */
  piping: PlannedPiping[];
  /** The recipes the bowls come from, each in its mixings. */
  batches: Batch[];
  board: Board | null;
  boardCover: BoardCover | null;
  strips: PaperStrips;
  /** Oven loads in order; null where a tier's baking could not be computed. */
  oven: OvenPlan | null;
  allergens: Allergen[];
  /** Traces that ingredients warn of, apart from what they hold. */
  mayContain: Allergen[];
  /** Diets that the whole cake is known to keep, and the answer for each tier. */
  diets: Diet[];
  tierDiets: Record<Diet, DietAnswer>[];
  /** What is eaten of which nothing is known but its name. */
  unknownLines: string[];
  section: Section;
  tally: Omit<Tally, 'handsOnMin'>;
  figures: Figures;
  cautions: Caution[];
}

/** The whole plan of a build. */
export interface Plan extends ShapePlan {
  /** How it stands and travels; null where a mass could not be computed. */
  support: SupportPlan | null;
  /** What is on and in the cake and must come out before it is eaten, with its counts. */
  nonFood: NonFood[];
  cutLists: CutFrom[];
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
  tally: Tally;
}
