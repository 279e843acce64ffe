import { partOf, wordsOfName } from '../fields/described.ts';
import type { Field } from '../fields/field.ts';

/*
 * Where a value stands, in words: a path through a document ("tiers[0].layers[2].heightMm") is for
 * programs, and "tier 1, layer 3, height" for people.
 */

const singular = (word: string): string =>
  word.endsWith('ies')
    ? `${word.slice(0, -3)}y`
    : word.endsWith('ches') || word.endsWith('shes')
      ? word.slice(0, -2)
      : word.replace(/s$/, '');

/**
 * "ingredients[4].massG" as "ingredient 5, weight".
 *
 * @param of describes what the path leads through; without it the program's own names are put in words
 */
export function fieldWords(path: string, of: Field<unknown> | null = null): string {
  let field = of;
  return path
    .split('.')
    .filter(Boolean)
    .map((part) => {
      const [, key = part, places = ''] = /^([^[\]]*)((?:\[\d+\])*)$/.exec(part) ?? [];
      field = field && partOf(field, key);
      const name = field?.about.label ?? wordsOfName(key);
      const numbers = [...places.matchAll(/\[(\d+)\]/g)].map((m) => Number(m[1]) + 1);
      return numbers.length > 0 ? `${singular(name)} ${numbers.join('.')}` : name;
    })
    .join(', ');
}

/** One problem that the checks found, as a sentence without its stop: "Ingredient 5, weight: must be at least 0.1". */
export function fieldProblem(
  path: string | undefined,
  message: string | undefined,
  whole: string,
  of: Field<unknown> | null = null,
): string {
  const where = path ? fieldWords(path, of) : whole;
  const text = `${where} ${message ?? 'is wrong'}`;
  return text.charAt(0).toUpperCase() + text.slice(1);
}
