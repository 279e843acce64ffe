import type { TierTimes } from '../times/tier-times.ts';
import type { Build, Colour, Tier } from '../document/types.ts';
import type { FondantPlan, PaperStrips } from '../covers/fondant.ts';
import type { PressedPlan } from '../covers/pressed.ts';
import type { SurfacePlan } from '../covers/surfaces.ts';
import type { CarveResult } from '../carve/result.ts';
import type { CoatPlan } from '../coat/coat.ts';
import type { CentrePlan } from '../fill/centre.ts';
import type { GapPlan } from '../fill/gaps.ts';
import type { MouldShape } from '../mould/mould.ts';
import type { OtherPlan } from '../others/other-layers.ts';
import type { Food, Recipe, Spread, Kitchen } from '../pantry/types.ts';
import type { SoakPlan } from '../soak/soak.ts';
import type { StackPlan } from '../stack/stack.ts';
import type { Step } from './steps.ts';

export interface StackContext {
  tier: Tier;
  stack: StackPlan;
  /** The mould that it is built up in; without a shape where there is none. */
  mould: { name: string; shape: MouldShape | null };
  gaps: GapPlan[];
  others: OtherPlan[];
  soak: SoakPlan[];
  centre: CentrePlan | null;
  coat: CoatPlan;
  dabG: number;
  fondant: FondantPlan | null;
  pressed: PressedPlan | null;
  surfaces: SurfacePlan[];
  /** What carving came to; null for a tier that is left as it is stacked, and until it is known. */
  carved: CarveResult | null;
  /** What comes over the filling of a layer: dowels and a board half-way up. */
  decks: ReadonlyMap<number, Step[]>;
  strips: PaperStrips;
  times: TierTimes;
  /** What names of colours stand for. */
  colours: readonly Colour[];
  /** Where it is chilled. */
  chillIn: Build['day']['chillIn'];
  foods: readonly Food[];
  recipes: readonly Recipe[];
  kitchen: Kitchen;
  spreadOf: (id: string) => Spread;
}
