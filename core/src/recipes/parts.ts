import { foodOf, PantryProblem } from '../pantry/find.ts';
import {
  type Allergen,
  type Food,
  type Ingredient,
  type Recipe,
  type Trait,
} from '../pantry/types.ts';

/** The rows that recipes point at. */
export interface Larder {
  recipes: readonly Recipe[];
  foods: readonly Food[];
}

/** A recipe that is made of itself, by way of others. */
export class CircularRecipe extends PantryProblem {
  constructor(names: readonly string[]) {
    super(`circle/${names.join('/')}`, `A recipe cannot be made of itself: ${names.join(' → ')}.`);
  }
}

/** The recipe behind a line, or null where it is an ingredient or only a name. */
const partOf = (line: Ingredient, recipes: readonly Recipe[]): Recipe | null =>
  line.recipeId === null ? null : (recipes.find((row) => row.id === line.recipeId) ?? null);

/** Names of the recipes in a circle that starts and ends at `recipe`; null when there is none. */
export function circleOf(recipe: Recipe, recipes: readonly Recipe[]): string[] | null {
  const walk = (now: Recipe, path: readonly Recipe[]): string[] | null => {
    if (path.includes(now)) return [...path.slice(path.indexOf(now)), now].map((r) => r.name);
    for (const line of now.ingredients) {
      const part = partOf(line, recipes);
      const found = part && walk(part.id === recipe.id ? recipe : part, [...path, now]);
      if (found) return found;
    }
    return null;
  };
  return walk(recipe, []);
}

/** The recipes and all that they are made of, each once. */
export function withParts(some: readonly Recipe[], recipes: readonly Recipe[]): Recipe[] {
  const all = new Set<Recipe>();
  const add = (recipe: Recipe): void => {
    if (all.has(recipe)) return;
    all.add(recipe);
    for (const line of recipe.ingredients) {
      const part = partOf(line, recipes);
      if (part) add(part);
    }
  };
  some.forEach(add);
  return [...all];
}

/**
 * A recipe's lines in grams for `makesG` of it, with every recipe among them dissolved into its own
 * lines.
 * @throws CircularRecipe when it is made of itself
 */
export function dissolve(
  recipe: Recipe,
  makesG: number,
  recipes: readonly Recipe[],
  path: readonly Recipe[] = [],
): Ingredient[] {
  if (path.some((row) => row.id === recipe.id))
    throw new CircularRecipe([...path, recipe].map((row) => row.name));
  const factor = makesG / recipe.yieldG;
  return recipe.ingredients.flatMap((line) => {
    const part = partOf(line, recipes);
    return part
      ? dissolve(part, line.massG * factor, recipes, [...path, recipe])
      : [{ ...line, massG: line.massG * factor }];
  });
}

/** What something holds: for labels, for diets. */
export interface Contents {
  allergens: Allergen[];
  /** Traces only: not among the allergens themselves. */
  mayContain: Allergen[];
  traits: Trait[];
  /** Lines of which nothing is known but their name. */
  unknown: string[];
}

export const nothing = (): Contents => ({ allergens: [], mayContain: [], traits: [], unknown: [] });

/** Several contents as one: traces of what is in it anyway are no longer traces. */
export function together(all: readonly Contents[]): Contents {
  const union = <T>(pick: (one: Contents) => readonly T[]): T[] => {
    const found: T[] = [];
    for (const one of all)
      for (const each of pick(one)) if (!found.includes(each)) found.push(each);
    return found;
  };
  const allergens = union((one) => one.allergens).sort();
  return {
    allergens,
    mayContain: union((one) => one.mayContain)
      .filter((a) => !allergens.includes(a))
      .sort(),
    traits: union((one) => one.traits),
    unknown: union((one) => one.unknown),
  };
}

/** What an ingredient holds. One whose label nobody has read is unknown, whatever else is said of it. */
export const foodContents = (food: Food): Contents => ({
  allergens: food.allergens,
  mayContain: food.mayContain,
  traits: food.traits,
  unknown: food.declared ? [] : [food.name],
});

/** What one line holds by itself and by its ingredient. */
export function lineContents(line: Ingredient, { foods, recipes }: Larder): Contents {
  const food = foodOf(foods, line.foodId);
  if (food) {
    const held = foodContents(food);
    return { ...held, allergens: [...line.allergens, ...held.allergens] };
  }
  const isKnown = partOf(line, recipes) !== null;
  return { ...nothing(), allergens: line.allergens, unknown: isKnown ? [] : [line.name] };
}

interface Known extends Larder {
  lines: string;
  contents: Contents;
}
const known = new WeakMap<Recipe, Known>();

/**
 * What a recipe holds, the recipes it is made of included. A circle is followed once. Kept for the
 * next plan while its lines and the pantry's lists are the same.
 */
export function recipeContents(recipe: Recipe, larder: Larder): Contents {
  const before = known.get(recipe);
  const lines = recipe.ingredients
    .map((i) => `${i.foodId ?? i.recipeId ?? i.name}/${i.allergens.join()}`)
    .join('/');
  if (before?.recipes === larder.recipes && before.foods === larder.foods && before.lines === lines)
    return before.contents;
  const { recipes, foods } = larder;
  const all = nothing();
  for (const part of withParts([recipe], recipes))
    for (const line of part.ingredients) {
      const one = lineContents(line, larder);
      all.allergens.push(...one.allergens);
      all.mayContain.push(...one.mayContain);
      all.traits.push(...one.traits);
      all.unknown.push(...one.unknown);
    }
  const contents = together([all]);
  known.set(recipe, { recipes, foods, lines, contents });
  return contents;
}
