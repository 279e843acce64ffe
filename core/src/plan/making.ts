import { asHappened } from '../bench/happened.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import type { Build } from '../document/types.ts';
import { type Corrections, noCorrections } from '../hand/corrections.ts';
import { enterHandsOn, handsOnOf } from '../labour/hands-on.ts';
import type { Pantry } from '../pantry/types.ts';
import { priceOf } from '../price/price.ts';
import { tierTimes } from '../times/tier-times.ts';
import { Known } from '../working/known.ts';
import { planCake } from './cake.ts';
import { planCold } from './cold.ts';
import { planIngredients, putAwayIngredients } from './ingredients.ts';
import type { CakePlan, MakingPlan } from './plan-types.ts';
import { beginWork, nothingCarved } from './shape.ts';
import { planSteps } from './steps.ts';

/**
 * The second layer of a plan: the waits, the steps at the bench, what is bought and what it costs.
 * Takes the first layer as it is known. Never throws on a build that passes the schema.
 */
export function planMaking(
  intended: Build,
  pantry: Pantry,
  carved: CarveAnswers = nothingCarved,
  corrections: Corrections = noCorrections,
): MakingPlan {
  const cake = planCake(intended, pantry, carved, corrections);
  // the cake is known by everything that the making follows from
  return makingsKnown.of(cake, [], () =>
    makingAnew(asHappened(intended).build, cake, pantry, carved, corrections),
  );
}
export const makingsKnown = new Known<CakePlan, MakingPlan>(1);

function makingAnew(
  build: Build,
  cake: CakePlan,
  own: Pantry,
  carved: CarveAnswers,
  corrections: Corrections,
): MakingPlan {
  const work = beginWork(build, own, true, carved, corrections);
  const { pantry, book, cautions } = work;
  const times = build.tiers.map((tier, i) => {
    const tin = pantry.tins.find((row) => row.id === tier.tinId) ?? null;
    return tierTimes(tier, cake.tiers[i]!, tin, pantry.kitchen, build.day.chillIn);
  });
  const { steps, serving, outOfCold } = planCold(planSteps(cake, times, work), cake, work);
  const handsOnMin = steps.ok ? handsOnOf(steps.value) : null;
  const ingredients = planIngredients(cake, work);
  if (steps.ok) book.later((page) => enterHandsOn(steps.value, page));
  const price =
    ingredients.ok && handsOnMin !== null
      ? priceOf(
          ingredients.value,
          putAwayIngredients(cake, work),
          pantry.foods,
          cake.board,
          cake.cutLists,
          handsOnMin,
          cake.servings.count,
          pantry.kitchen,
          book,
        )
      : null;
  return {
    times,
    serving,
    outOfCold,
    steps,
    ingredients,
    price,
    handsOnMin,
    figures: book,
    cautions,
  };
}
