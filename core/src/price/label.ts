import type { Allergen, Recipe } from '../pantry/types.ts';
import { alcoholShareOf } from '../recipes/alcohol.ts';
import { recipeContents, type Contents, type Larder } from '../recipes/parts.ts';
import { valueWords } from '../units/value-words.ts';

/** What is said of a cake's or a recipe's contents: what it holds, traces, and what nobody can say. */
export interface Label {
  holds: string;
  /** Null where no ingredient warns of any. */
  traces: string | null;
  /** Null where everything is known. */
  unknown: string | null;
}

/**
 * The words of a label. Where a part is not known the label never says that something is free of
 * anything: it says which part that is.
 */
export function labelOf({
  allergens,
  mayContain,
  unknown,
}: Pick<Contents, 'allergens' | 'mayContain' | 'unknown'>): Label {
  const known = unknown.length === 0;
  return {
    holds:
      allergens.length > 0
        ? `Holds ${valueWords(allergens)}`
        : known
          ? 'Holds none of the allergens that are tracked'
          : 'What it holds is not known',
    traces: mayContain.length > 0 ? `May contain traces of ${valueWords(mayContain)}` : null,
    unknown: known ? null : `Not known: what is in ${unknown.join(', ')}`,
  };
}

/** What a plan says of its contents, as a label asks for it. */
export const heldBy = (plan: {
  allergens: Allergen[];
  mayContain: Allergen[];
  unknownLines: string[];
}): Parameters<typeof labelOf>[0] => ({
  allergens: plan.allergens,
  mayContain: plan.mayContain,
  unknown: plan.unknownLines,
});

/** What stands on a bowl, a batch or a cake put away: its allergens, and alcohol, a sentence to each. */
export const recipeLabel = (recipe: Recipe, larder: Larder): string =>
  [
    labelText(recipeContents(recipe, larder)),
    ...(alcoholShareOf(recipe, larder) > 0 ? ['Holds alcohol.'] : []),
  ].join(' ');

/** The same as one text, a sentence to each. */
export const labelText = (held: Parameters<typeof labelOf>[0]): string => {
  const { holds, traces, unknown } = labelOf(held);
  return [holds, traces, unknown].flatMap((part) => (part ? [`${part}.`] : [])).join(' ');
};
