import { foodOf } from '../pantry/find.ts';
import type { Food, Recipe } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';

/** Beyond this factor leavening and mixing no longer follow the recipe (trade custom). */
const largeFactor = 3;
const smallFactor = 0.4;
/** Leavening taken back in large batches and wide tins, as a share of it (estimate). */
const lessLeaven = 0.12;
/** Tins wider than this set slowly in the middle, mm. */
const wideTinMm = 280;
/** A recipe that loses more than this is cooked down, and a pan's width decides how fast. */
const cooksDownShare = 0.04;

/**
 * What does not scale with the grams of a recipe: leavening, mixing, cooking down. Empty for a
 * factor near one.
 *
 * @param tinMm widest measure of the tin that it is baked in; null when it is not baked
 */
export function scalingRules(
  recipe: Recipe,
  factor: number,
  tinMm: number | null,
  foods: readonly Food[],
): Phrase[] {
  const rules: Phrase[] = [];
  const leavenG = recipe.ingredients
    .filter((line) => {
      const food = foodOf(foods, line.foodId);
      // self-raising flour is a leaven too, and is not taken back
      return food?.traits.includes('leaven') && food.cupSiftedG === null;
    })
    .reduce((sum, line) => sum + line.massG * factor, 0);
  const isWide = tinMm !== null && tinMm > wideTinMm;
  // how a crown sets follows the tin, not how much is mixed
  if (leavenG > 0 && isWide)
    rules.push(
      phrase(
        `In a tin this wide take {less} of leavening and not {all}: a deep crown sets late and falls. An estimate; your own records decide.`,
        { less: [leavenG * (1 - lessLeaven), 'small'], all: [leavenG, 'small'] },
      ),
    );
  if (recipe.bake && factor >= largeFactor)
    rules.push(
      phrase(
        'Mixing does not take {times} times as long: stop when no dry flour shows. Baking follows the tin, not the batch.',
        { times: [Math.round(factor * 10) / 10, 'factor'] },
      ),
    );
  if (factor <= smallFactor)
    rules.push(
      phrase(
        'A small batch mixes in a fraction of the time and is easily overworked; weigh leavening, salt and gelatine on a scale that shows tenths.',
      ),
    );
  const total = recipe.ingredients.reduce((sum, line) => sum + line.massG, 0);
  const lost = 1 - recipe.yieldG / total;
  if (!recipe.bake && lost > cooksDownShare && (factor >= 2 || factor <= 0.5))
    rules.push(
      phrase(
        `It loses {share} by cooking down, and a pan’s width decides how fast: ${factor > 1 ? 'take a wider pan, or cook it in several' : 'take a narrower pan'}, and go by weight: done at {done}.`,
        { share: [lost, 'share'], done: [recipe.yieldG * factor, 'bowl'] },
      ),
    );
  return rules;
}
