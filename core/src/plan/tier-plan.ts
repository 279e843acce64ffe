import type { Rim } from '../mould/rim.ts';
import type { TierCarve } from '../carve/apply.ts';
import type { CoatPlan } from '../coat/coat.ts';
import type { FondantPlan } from '../covers/fondant.ts';
import type { PressedPlan } from '../covers/pressed.ts';
import type { SurfacePlan } from '../covers/surfaces.ts';
import type { CentrePlan } from '../fill/centre.ts';
import type { GapPlan } from '../fill/gaps.ts';
import type { FinishPlan } from '../finish/finish-plan.ts';
import type { GapLoad } from '../fill/load.ts';
import type { MouldShape } from '../mould/mould.ts';
import type { OtherPlan } from '../others/other-layers.ts';
import type { Outline } from '../outline/outline.ts';
import type { ScaledRecipe } from '../recipes/scale.ts';
import type { SoakPlan } from '../soak/soak.ts';
import type { StackPlan } from '../stack/stack.ts';
import type { BakePlan } from '../tins/bake.ts';
import type { Staged } from '../working/staged.ts';

/** Everything computed for one tier. */
export interface TierPlan {
  tierId: string;
  stack: StackPlan;
  bake: Staged<BakePlan>;
  batterRecipe: Staged<ScaledRecipe>;
  others: Staged<OtherPlan[]>;
  /** The mould that it is built up in; null for what is stacked free. */
  mould: MouldShape | null;
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
  surfaces: SurfacePlan[];
  /** Its outline with everything on it. */
  finished: Outline;
  /** Where its top ends and its side begins. */
  rim: Rim;
  finish: FinishPlan;
  dabG: number;
  /** Servings from this tier. */
  servings: number;
  /** Each layer with its soak, g; null where it could not be computed. */
  layersG: number[] | null;
  /** Layers, fillings, coat and finish, g; null where a part could not be computed. */
  massG: number | null;
}

/** A tier with all but its finish. */
export type BareTier = Omit<TierPlan, 'finish'>;
