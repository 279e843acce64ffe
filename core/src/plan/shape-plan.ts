import type { Bowl } from '../bowls/bowls.ts';
import type { Batch } from '../bowls/batches.ts';
import type { BoardCover, PaperStrips } from '../covers/fondant.ts';
import type { PlannedPiping } from '../finish/piping.ts';
import type { OvenPlan } from '../oven/loads.ts';
import type { Diet, DietAnswer } from '../pantry/diets.ts';
import type { Allergen, Board } from '../pantry/types.ts';
import type { Section } from '../section/parts.ts';
import type { Caution } from '../working/cautions.ts';
import type { FigureBook } from '../working/figures.ts';
import type { Staged } from '../working/staged.ts';
import type { TierPlan } from './tier-plan.ts';

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
  figures: FigureBook;
  cautions: Caution[];
}
