import type { Food } from '../pantry/types.ts';

/*
 * Which ingredient a name in a recipe means. It is given to a row only if it names that row, apart
 * from words that leave the food what it is: what is over makes it another food ("nut liqueur",
 * "rice flour", "condensed milk"), and is asked.
 */

const leftAsItIs = new Set(
  `a an the some few about approx approximately around circa
  small medium large extra big jumbo xl x-large size sized
  fresh freshly free range organic good quality best natural ripe whole
  soft softened melted cold chilled cool cooled warm lukewarm hot boiling frozen thawed
  at room temperature from fridge straight out
  sifted spooned levelled leveled level heaped heaping rounded scant generous packed loosely firmly lightly well
  chopped finely roughly coarsely thinly thickly sliced diced cubed cut torn broken into in chunks cubes slices strips bits small pieces
  beaten whisked separated shelled peeled cored pitted stoned deseeded hulled trimmed washed rinsed drained dried patted dry
  grated shredded crushed toasted roasted halved quartered
  and or plus more extra for to taste dusting greasing rolling decorating decorate decoration serving serve sprinkling brushing tin tins needed if as
  divided optional approximately finest fine coarse plain`
    .split(/\s+/)
    .filter(Boolean),
);
/** Some of them are part of the name where the row has them: soft brown sugar, plain flour. */

const tidy = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKC')
    .replace(/\([^)]*\)/g, ' ')
    .replace(/[’']/g, '')
    .replace(/(\d)\s*%/g, '$1%')
    .replace(/[^\p{L}\p{N}% ]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim();
const singular = (word: string): string =>
  word.length > 3
    ? word
        .replace(/([^aeiou])ies$/, '$1y')
        .replace(/(ch|sh|x|o|ss)es$/, '$1')
        .replace(/([^su])s$/, '$1')
    : word;
const wordsOf = (text: string): string[] => tidy(text).split(' ').filter(Boolean).map(singular);
const leftSingular = new Set([...leftAsItIs].map(singular));
const core = (words: readonly string[]): string =>
  [...new Set(words.filter((word) => !leftSingular.has(word)))].sort().join(' ');
const all = (words: readonly string[]): string => [...new Set(words)].sort().join(' ');

interface Index {
  /** By every word of the name, and by those that make the food. */
  exact: Map<string, Food>;
  core: Map<string, Food>;
}
const indexes = new WeakMap<readonly Food[], Index>();

function indexOf(foods: readonly Food[]): Index {
  const known = indexes.get(foods);
  if (known) return known;
  const index: Index = { exact: new Map(), core: new Map() };
  for (const food of foods)
    for (const name of [food.name, ...food.aliases]) {
      const words = wordsOf(name);
      const [full, bare] = [all(words), core(words)];
      if (full && !index.exact.has(full)) index.exact.set(full, food);
      if (bare && !index.core.has(bare)) index.core.set(bare, food);
    }
  indexes.set(foods, index);
  return index;
}

/** The ingredient that a name means; null where it means none, or something else. */
export function findFood(name: string, foods: readonly Food[]): Food | null {
  const words = wordsOf(name);
  const index = indexOf(foods);
  const exact = index.exact.get(all(words));
  if (exact) return exact;
  // words that leave the food what it is are dropped one by one, so that "soft brown sugar" keeps its own
  const needed = words.filter((word) => !leftSingular.has(word));
  if (needed.length === 0) return null;
  const neutral = words.filter((word) => leftSingular.has(word));
  for (const keep of neutral) {
    const found = index.exact.get(all([...needed, keep]));
    if (found) return found;
  }
  return index.exact.get(all(needed)) ?? index.core.get(core(needed)) ?? null;
}

/** "butter or margarine": the first of two that can stand for each other; null where there is no choice. */
export const firstOfTwo = (name: string): string | null => {
  const [first, second] = name.split(/\s+or\s+/i);
  return second && first?.trim() ? first.trim() : null;
};
