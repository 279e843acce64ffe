import type { CarveAnswers } from '../carve/apply.ts';
import type { Build } from '../document/types.ts';
import { type Corrections, noCorrections } from '../hand/corrections.ts';
import type { Pantry } from '../pantry/types.ts';
import { sortCautions } from '../working/cautions.ts';
import { FigureBook } from '../working/figures.ts';
import { Known } from '../working/known.ts';
import { planCake } from './cake.ts';
import { planMaking } from './making.ts';
import type { CakePlan, MakingPlan, Plan } from './plan-types.ts';
import { nothingCarved } from './shape.ts';

/**
 * The whole plan of a build: from the brief to the steps at the bench, with the figures' workings
 * and what to mind. Pure: the same build and pantry give the same plan. Who needs only a part asks
 * `planShape`, `planCake` or `planMaking`.
 *
 * @param corrections what the records say of the decorator's hand; what was measured at the bench counts first
 * @param carved answers of the solids known so far; a carved tier without one is planned whole, and says so
 */
export function planBuild(
  build: Build,
  pantry: Pantry,
  carved: CarveAnswers = nothingCarved,
  corrections: Corrections = noCorrections,
): Plan {
  const cake = planCake(build, pantry, carved, corrections);
  return plansKnown.of(cake, [], () =>
    bothLayers(cake, planMaking(build, pantry, carved, corrections)),
  );
}
export const plansKnown = new Known<CakePlan, Plan>(1);

/** Both layers of a plan as one. */
const bothLayers = (cake: CakePlan, making: MakingPlan): Plan => {
  const { handsOnMin, figures, cautions, ...made } = making;
  return {
    ...cake,
    ...made,
    tally: { ...cake.tally, handsOnMin },
    figures: new FigureBook(cake.figures, figures),
    cautions: sortCautions([...cake.cautions, ...cautions]),
  };
};
