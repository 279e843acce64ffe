import { asHappened } from '../bench/happened.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import type { Build } from '../document/types.ts';
import { type Corrections, noCorrections } from '../hand/corrections.ts';
import type { Pantry } from '../pantry/types.ts';
import type { ScaledIngredient } from '../recipes/scale.ts';
import { Known } from '../working/known.ts';
import type { Staged } from '../working/staged.ts';
import { planIngredients } from './ingredients.ts';
import type { ShapePlan } from './shape-plan.ts';
import { beginWork, nothingCarved, planShape } from './shape.ts';

/** What is bought for a build, and the shape it is bought for: without its times, its steps and its price. */
export function planBuying(
  build: Build,
  pantry: Pantry,
  carved: CarveAnswers = nothingCarved,
  corrections: Corrections = noCorrections,
): { shape: ShapePlan; ingredients: Staged<ScaledIngredient[]> } {
  const shape = planShape(build, pantry, carved, corrections);
  const ingredients = boughtKnown.of(shape, [], () =>
    planIngredients(shape, beginWork(asHappened(build).build, pantry, false, carved, corrections)),
  );
  return { shape, ingredients };
}
const boughtKnown = new Known<ShapePlan, Staged<ScaledIngredient[]>>(1);
