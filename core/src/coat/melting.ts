import { ganacheFluid, otherFluid } from '../drip/fluid.ts';
import { stressAt } from '../fill/squeeze.ts';
import { foodOf } from '../pantry/find.ts';
import type { Spread } from '../pantry/types.ts';
import { dissolve, type Larder } from '../recipes/parts.ts';
import { ifThere } from '../working/staged.ts';

/** From here on the fat of every frosting melts, until nothing of it stands, C (estimate). */
const butterMeltsFromC = 30;
const butterMeltedC = 36;
/** Cocoa butter softens from here on and has melted there, C (textbook: 34, its last crystals). */
const cocoaMeltsFromC = 26;
const cocoaMeltedC = 34;
/** A spread whose fat is cocoa butter by this share sets and melts as a ganache does (estimate). */
const cocoaShare = 0.3;
/** With less water than this it is chocolate, not ganache. */
const driest = 0.02;

/** What the fat of a spread is: firmness index of the ganache it is, chocolate, or butter and the like. */
export type Melts = { as: 'ganache'; firmness: number } | { as: 'chocolate' } | { as: 'butter' };

interface Known extends Larder {
  melts: Melts;
}
const known = new WeakMap<Spread, Known>();

/** What a spread is when it is warm, by the composition of its recipe (docs/model.md#ganache-and-drips). */
export function meltsAs(spread: Spread, larder: Larder): Melts {
  const before = known.get(spread);
  if (before?.recipes === larder.recipes && before.foods === larder.foods) return before.melts;
  const { recipes, foods } = larder;
  const melts = fromRecipe(spread.recipeId, larder);
  known.set(spread, { recipes, foods, melts });
  return melts;
}

function fromRecipe(recipeId: string, { recipes, foods }: Larder): Melts {
  const recipe = recipes.find((row) => row.id === recipeId);
  const lines = recipe ? (ifThere(() => dissolve(recipe, recipe.yieldG, recipes)) ?? []) : [];
  let [mass, water, fat, cocoaButter, hard] = [0, 0, 0, 0, 0];
  for (const { foodId, massG } of lines) {
    const food = foodOf(foods, foodId);
    mass += massG;
    if (!food) continue;
    water += massG * food.waterShare;
    fat += massG * food.fatShare;
    if (!food.cocoa) continue;
    cocoaButter += massG * (food.cocoa.butter + food.cocoa.otherFat);
    hard += massG * (food.cocoa.butter + food.cocoa.otherFat + 3 * food.cocoa.nonFat);
  }
  if (fat <= 0 || cocoaButter < cocoaShare * fat) return { as: 'butter' };
  return water < driest * mass ? { as: 'chocolate' } : { as: 'ganache', firmness: hard / water };
}

/**
 * Yield stress of a spread at a temperature, Pa. Up to where its fat begins to melt it is a straight
 * line in its logarithm; butter is gone at 36 C; cocoa butter has melted at 34 C, and what is left is
 * the pourable ganache of the same composition, which stands as the drips say.
 */
export function spreadStressPa(spread: Spread, tempC: number, larder: Larder): number {
  const set = stressAt(spread.stress21Pa, spread.stress4Pa, tempC);
  if (tempC <= cocoaMeltsFromC) return set;
  const melts = meltsAs(spread, larder);
  if (melts.as === 'butter') {
    const solid = (butterMeltedC - tempC) / (butterMeltedC - butterMeltsFromC);
    return Math.min(1, Math.max(0, solid)) * set;
  }
  const fluid =
    melts.as === 'ganache' ? ganacheFluid(melts.firmness) : otherFluid('tempered dark chocolate');
  const melted = Math.min(1, (tempC - cocoaMeltsFromC) / (cocoaMeltedC - cocoaMeltsFromC));
  const from = stressAt(spread.stress21Pa, spread.stress4Pa, cocoaMeltsFromC);
  const to = fluid.stressPa(Math.max(tempC, cocoaMeltedC));
  if (from <= 0 || to <= 0) return 0;
  return Math.min(set, Math.exp((1 - melted) * Math.log(from) + melted * Math.log(to)));
}
