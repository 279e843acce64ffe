import { pantryLimits } from '../pantry/limits.ts';
import {
  usualMakeMin,
  type Ingredient,
  type Pantry,
  type Recipe,
  type Sponge,
  type Spread,
} from '../pantry/types.ts';
import type { ReadMethod } from './read-method.ts';

/** What a pasted recipe is to become. */
export type Becomes =
  | { kind: 'recipe' }
  /** A frosting that is as dense and as stiff as another. */
  | { kind: 'spread'; likeId: string }
  /** A batter that rises and domes as another sponge does. */
  | { kind: 'sponge'; likeId: string };

export interface Pasted {
  name: string;
  yieldG: number;
  ingredients: Ingredient[];
  method: ReadMethod;
  /** Oven, minutes, tin and depth that its writer meant; null where they are not known. */
  bake: Recipe['bake'];
  becomes: Becomes;
}

/** The rows that a pasted recipe gives. */
export interface PastedRows {
  recipe: Recipe;
  spread: Spread | null;
  sponge: Sponge | null;
}

/**
 * The rows of the pantry that a pasted recipe becomes: the recipe, and the frosting or sponge made from
 * it, which borrows from the one it is like what only baking and weighing can tell.
 *
 * @param freshId gives an id that no other row has
 */
export function rowsOfPasted(pasted: Pasted, pantry: Pantry, freshId: () => string): PastedRows {
  const { name, yieldG, ingredients, method, becomes } = pasted;
  const own = { id: freshId(), name, source: 'own' as const, ranges: {} };
  const spreadLike =
    becomes.kind === 'spread' ? pantry.spreads.find(({ id }) => id === becomes.likeId) : undefined;
  const spongeLike =
    becomes.kind === 'sponge' ? pantry.sponges.find(({ id }) => id === becomes.likeId) : undefined;
  const recipe: Recipe = {
    ...own,
    yieldG,
    ingredients,
    steps: method.steps,
    bake: pasted.bake,
    caution: null,
    hazards: method.hazards,
    hottestC: method.hottestC,
    holds: method.holds.length > 0 ? method.holds : waitsLike(spreadLike, pantry),
    makeMin: usualMakeMin,
    soakGPerMl: null,
  };
  const made = { name, source: 'own' as const, ranges: {}, recipeId: recipe.id };
  return {
    recipe,
    spread: spreadLike ? { ...spreadLike, ...made, id: freshId() } : null,
    sponge: spongeLike ? { ...spongeLike, ...made, id: freshId() } : null,
  };
}

/** It waits, when it is made, as the one does that it is like; null where nobody has said. */
const waitsLike = (like: Spread | undefined, { recipes }: Pantry): Recipe['holds'] =>
  recipes
    .find(({ id }) => id === like?.recipeId)
    ?.holds?.map((hold) => ({ ...hold, after: pantryLimits.holdAfter.max })) ?? null;
