import type { Step } from './bench/steps.ts';
import type { Bowl } from './bowls/bowls.ts';
import type { Build } from './build/types.ts';
import type { CarveAnswers } from './carve/apply.ts';
import type { Pantry } from './pantry/types.ts';
import { asHappened } from './bench/happened.ts';
import type { HandMoves } from './hand/moves.ts';
import { planIngredients } from './plan-ingredients.ts';
import { beginWork, nothingCarved, shapeOf } from './plan-shape.ts';
import { workings } from './plan-workings.ts';
import { planSteps } from './plan-steps.ts';
import type { Plan } from './plan-types.ts';
import { nonFoodList } from './support/counts.ts';
import { supportShapes } from './support/section-parts.ts';
import { cutListsOf } from './support/shopping-list.ts';
import { warnOfCutting } from './support/dowel-cautions.ts';
import { warnOfSupport } from './support/support-cautions.ts';
import { enterSupport } from './support/support-figures.ts';
import { planSupport } from './support/support.ts';
import { priceOf } from './price/price.ts';
import { sortCautions } from './working/cautions.ts';
import { FigureBook, from, given } from './working/figures.ts';
import type { Staged } from './working/staged.ts';

/**
 * The whole plan of a build: from the brief to the steps at the bench, with the figures' workings
 * and what to mind. Pure: the same build and pantry give the same plan.
 *
 * A row missing from the pantry spoils only the stages that need it; they say so and the others
 * stand. Never throws on a build that passes the schema.
 *
 * @param withTimes false where nobody asks when anything is baked, such as for the shopping
 * @param moves what the records say of the decorator's hand; what was measured at the bench counts first
 * @param carved answers of the solids known so far; a carved tier without one is planned whole, and says so
 */
export function planBuild(
  intended: Build,
  pantry: Pantry,
  withTimes = true,
  carved: CarveAnswers = nothingCarved,
  moves: HandMoves = {},
): Plan {
  const { build, cautions } = asHappened(intended);
  const work = beginWork(build, pantry, withTimes, carved, workings, moves);
  work.cautions.push(...cautions);
  const shape = shapeOf(work);
  // a list of what to buy does not ask how it stands
  const support = withTimes ? planSupport(shape, work) : null;
  const nonFood = nonFoodList(shape, support, work);
  const cutLists = support ? cutListsOf(build, support) : [];
  if (support) {
    warnOfSupport(build, shape, support, pantry, work.cautions);
    warnOfCutting(cutLists, work.cautions);
    enterSupport(build, support, work.book);
  }
  const steps = planSteps({ ...shape, support, nonFood, cutLists }, work);
  const handsOnMin = steps.ok ? steps.value.reduce((sum, step) => sum + step.handsOnMin, 0) : null;
  const ingredients = planIngredients(shape, work);
  enterTally(work.book, shape.section.tiers, shape.tally.frostingG, shape.bowls, steps, handsOnMin);
  return {
    ...shape,
    section: support
      ? { ...shape.section, parts: [...shape.section.parts, ...supportShapes(support)] }
      : shape.section,
    support,
    nonFood,
    cutLists,
    steps,
    ingredients,
    price:
      ingredients.ok && handsOnMin !== null
        ? priceOf(
            ingredients.value,
            pantry.foods,
            shape.board,
            cutLists,
            handsOnMin,
            shape.servings.count,
            pantry.kitchen,
            work.book,
          )
        : null,
    tally: { ...shape.tally, handsOnMin },
    cautions: sortCautions(work.cautions),
  };
}

function enterTally(
  book: FigureBook,
  spans: Plan['section']['tiers'],
  frostingG: number | null,
  bowls: Staged<Bowl[]>,
  steps: Staged<Step[]>,
  handsOnMin: number | null,
): void {
  book.add(
    'height',
    'Finished height',
    spans.at(-1)!.toMm,
    'size',
    'From the board to the top of the coat.',
    spans.map((t) => from(`${t.tierId}/height`, 'tier', t.toMm - t.fromMm, 'span')),
  );
  if (frostingG !== null && bowls.ok)
    book.add(
      'frosting',
      'Filling and frosting to make',
      frostingG,
      'bowl',
      'What each bowl has to give, added up.',
      bowls.value.map((b) => from(`bowl/${b.id}/make`, b.name, b.makeG, 'bowl')),
    );
  if (handsOnMin !== null && steps.ok)
    book.add(
      'hands-on',
      'Hands-on time',
      handsOnMin,
      'minutes',
      'The minutes of every step at the bench, without the waiting. From usual times for a 20 cm tier: sides scale with rim times height, tops with area.',
      steps.value.map((s) => given(s.title, s.handsOnMin, 'minutes')),
    );
}
