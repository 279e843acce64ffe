import { foodOf } from '../pantry/find.ts';
import type { Allergen, Food } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import { valueWords } from '../units/value-words.ts';

/** Said where pieces are handled: what they hold, or that nobody knows. None where they hold nothing. */
export function holdsCaution(
  part: { name: string; foodId: string | null; allergens: readonly Allergen[] },
  foods: readonly Food[],
): Phrase[] {
  const food = foodOf(foods, part.foodId);
  if (!food?.declared)
    return [
      phrase(
        `What is in ${part.name} is not known: read its label before anyone with an allergy eats of it.`,
      ),
    ];
  const held = [...new Set([...part.allergens, ...food.allergens])];
  return held.length > 0
    ? [phrase(`${part.name}: holds ${valueWords(held)}. Own tray, own tools, washed hands.`)]
    : [];
}
