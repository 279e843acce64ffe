import { foodOf } from '../pantry/find.ts';
import type { Food } from '../pantry/types.ts';
import type { ScaledRecipe } from '../recipes/scale.ts';
import { phrase, type Phrase } from '../units/phrase.ts';

/** Cold water or milk to one of gelatine powder, and as hot as it may get (trade custom: 5 to 6 times, 60 C). */
const bloom = { waterShare: 5, mostC: 60 };

/** Said where a recipe sets with gelatine: how much blooms in how much, and what it does not stand. None for others. */
export function gelatineNote(
  recipe: ScaledRecipe,
  mixes: number,
  foods: readonly Food[],
): Phrase[] {
  const grams = recipe.ingredients
    .filter(({ foodId }) => foodOf(foods, foodId)?.traits.includes('gelatine'))
    .reduce((sum, { massG }) => sum + massG, 0);
  if (grams <= 0) return [];
  return [
    phrase(
      `{gelatine} of gelatine${mixes > 1 ? ', each mixing,' : ''} blooms in {water} of cold water or of the recipe’s own milk, 5 to 10 min, before anything is heated. It melts below {most} and is never boiled: it would not set.`,
      {
        gelatine: [grams, 'fineMass'],
        water: [grams * bloom.waterShare, 'small'],
        most: [bloom.mostC, 'temperature'],
      },
    ),
  ];
}
