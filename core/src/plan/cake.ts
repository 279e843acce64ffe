import { asHappened } from '../bench/happened.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import type { Build } from '../document/types.ts';
import { type Corrections, noCorrections } from '../hand/corrections.ts';
import type { Pantry } from '../pantry/types.ts';
import { nonFoodList } from '../support/counts.ts';
import { warnOfCutting } from '../support/dowel-cautions.ts';
import { supportShapes } from '../support/section-parts.ts';
import { cutListsOf } from '../support/shopping-list.ts';
import { planSupport } from '../support/support.ts';
import { warnOfSupport } from '../support/support-cautions.ts';
import { enterSupport } from '../support/support-figures.ts';
import { sortCautions, type Caution } from '../working/cautions.ts';
import { asDocument, Known } from '../working/known.ts';
import { isStillCarvedSo, plannedBy } from './known-by.ts';
import type { CakePlan } from './plan-types.ts';
import { enterTally } from './shape-figures.ts';
import { beginWork, nothingCarved, shapeOf } from './shape.ts';

/**
 * The first layer of a plan: what the cake is, tier by tier, what each bowl of it holds, and how it
 * stands and travels. What an open drawing, its sheet and the tally need after every edit.
 *
 * A row missing from the pantry spoils only the stages that need it; they say so and the others
 * stand. Never throws on a build that passes the schema.
 *
 * @param corrections what the records say of the decorator's hand; what was measured at the bench counts first
 * @param carved answers of the solids known so far; a carved tier without one is planned whole, and says so
 */
export function planCake(
  intended: Build,
  pantry: Pantry,
  carved: CarveAnswers = nothingCarved,
  corrections: Corrections = noCorrections,
): CakePlan {
  const { build, cautions } = asHappened(asDocument(intended));
  asDocument(pantry);
  return cakesKnown.of(
    build.tiers,
    [pantry, corrections, cautions, ...plannedBy(build)],
    () => cakeAnew(build, cautions, pantry, carved, corrections),
    ({ tiers }) => tiers.every(({ carve }) => isStillCarvedSo(carve, carved)),
  );
}
export const cakesKnown = new Known<Build['tiers'], CakePlan>();

function cakeAnew(
  build: Build,
  cautions: readonly Caution[],
  pantry: Pantry,
  carved: CarveAnswers,
  corrections: Corrections,
): CakePlan {
  const work = beginWork(build, pantry, true, carved, corrections);
  work.cautions.push(...cautions);
  const shape = shapeOf(work);
  const support = planSupport(shape, work);
  const cutLists = support ? cutListsOf(build, support) : [];
  const nonFood = nonFoodList(shape, support, work);
  if (support) {
    warnOfSupport(build, shape, support, pantry, work.cautions);
    warnOfCutting(cutLists, work.cautions);
    work.book.later((page) => enterSupport(build, support, page));
  }
  work.book.later((page) => enterTally(shape, page));
  return {
    ...shape,
    section: support
      ? { ...shape.section, parts: [...shape.section.parts, ...supportShapes(support)] }
      : shape.section,
    support,
    nonFood,
    cutLists,
    cautions: sortCautions(work.cautions),
  };
}
