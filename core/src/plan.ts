import type { Step } from './bench/steps.ts';
import type { Bowl } from './bowls/bowls.ts';
import type { Build } from './build/types.ts';
import type { CarveAnswers } from './carve/apply.ts';
import type { Pantry } from './pantry/types.ts';
import { asHappened } from './bench/happened.ts';
import { type HandMoves, noMoves } from './hand/moves.ts';
import { outOfCold, warnOfOutOfCold, type OutOfCold } from './day/clocks.ts';
import { planServing, tellServing, type Serving } from './day/serving.ts';
import { dayTasks } from './day/tasks.ts';
import { isStillCarvedSo, plannedBy } from './known-by.ts';
import { noTimes, tierTimes } from './times/tier-times.ts';
import { planIngredients } from './plan-ingredients.ts';
import { beginWork, nothingCarved, shapeOf } from './plan-shape.ts';
import { workings } from './plan-workings.ts';
import { planSteps } from './plan-steps.ts';
import type { ShapePlan } from './shape-plan.ts';
import type { Plan } from './plan-types.ts';
import type { Work } from './work.ts';
import { phrase, type Phrase } from './units/phrase.ts';
import { nonFoodList } from './support/counts.ts';
import { supportShapes } from './support/section-parts.ts';
import { cutListsOf } from './support/shopping-list.ts';
import { warnOfCutting } from './support/dowel-cautions.ts';
import { warnOfSupport } from './support/support-cautions.ts';
import { enterSupport } from './support/support-figures.ts';
import { planSupport } from './support/support.ts';
import { priceOf } from './price/price.ts';
import { sortCautions, type Caution } from './working/cautions.ts';
import { FigureBook, from, given } from './working/figures.ts';
import { asDocument, Known } from './working/known.ts';
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
  moves: HandMoves = noMoves,
): Plan {
  const { build, cautions } = asHappened(asDocument(intended));
  asDocument(pantry);
  return plansKnown.of(
    build.tiers,
    [pantry, withTimes, moves, cautions, ...plannedBy(build)],
    () => planAnew(build, cautions, pantry, withTimes, carved, moves),
    ({ tiers }) => tiers.every(({ carve }) => isStillCarvedSo(carve, carved)),
  );
}
export const plansKnown = new Known<Build['tiers'], Plan>();

function planAnew(
  build: Build,
  cautions: readonly Caution[],
  pantry: Pantry,
  withTimes: boolean,
  carved: CarveAnswers,
  moves: HandMoves,
): Plan {
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
  const times = build.tiers.map((tier, i) => {
    const tin = pantry.tins.find((row) => row.id === tier.tinId) ?? null;
    return withTimes
      ? tierTimes(tier, shape.tiers[i]!, tin, pantry.kitchen, build.day.chillIn)
      : noTimes;
  });
  const bare = planSteps({ ...shape, support, nonFood, cutLists, times }, work);
  const { steps, serving, outOfCold } = planCold(bare, shape, work);
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
    times,
    serving,
    outOfCold,
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

/** How long it is out of the cold, when it comes out of the fridge to be cut, and the steps that say so. */
function planCold(
  bare: Staged<Step[]>,
  shape: ShapePlan,
  { build, pantry, withTimes, spreadOf, cautions }: Work,
): Pick<Plan, 'steps' | 'serving' | 'outOfCold'> {
  if (!bare.ok || !withTimes) return { steps: bare, serving: null, outOfCold: [] };
  const roomC = Math.max(
    build.brief.venueC ?? -Infinity,
    build.brief.kitchenC ?? pantry.kitchen.roomC,
    build.journey.byRoad ? build.journey.carC : -Infinity,
  );
  const outWith = (serving: Serving | null): OutOfCold[] => {
    const timed = { ...shape, steps: bare, serving, tally: { ...shape.tally, handsOnMin: null } };
    return outOfCold(build, dayTasks(build, timed, spreadOf), pantry, roomC);
  };
  const before = outWith(null);
  const serving = planServing(build, shape.tiers, pantry.kitchen, before);
  // what does not spoil is not out of the cold for longer by standing on the table
  const out = before.length === 0 ? before : outWith(serving);
  warnOfOutOfCold(out, cautions);
  const over = out.filter((one) => one.outMin > one.mostMin);
  return {
    serving,
    outOfCold: out,
    steps: {
      ok: true,
      value: bare.value.map((step) => {
        const told = step.key === 'serve' ? tellServing(step, serving) : step;
        const tooLong = over.filter(
          ({ tierId, tasks }) =>
            step.key === 'serve' || longestOf(tasks) === step.key || step.key === `${tierId}/coat`,
        );
        return tooLong.length === 0
          ? told
          : { ...told, cautions: [...told.cautions, ...tooLong.map(sayTooLong)] };
      }),
    },
  };
}

/** The task that keeps a tier out of the cold longest is where to do something about it. */
const longestOf = (tasks: OutOfCold['tasks']): string | undefined =>
  [...tasks].sort((a, b) => b.minutes - a.minutes)[0]?.taskId;

const sayTooLong = ({ tierName, name, outMin, mostMin }: OutOfCold): Phrase =>
  phrase(
    `${tierName}, with ${name}: {out} out of the cold in all by this plan, of {most}. Back into the fridge whenever hands are off it; a helper shortens it.`,
    { out: [outMin, 'minutes'], most: [mostMin, 'minutes'] },
  );

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
