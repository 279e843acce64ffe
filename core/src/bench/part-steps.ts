import type { Food, Kitchen, Recipe } from '../pantry/types.ts';
import type { ScaledRecipe } from '../recipes/scale.ts';
import { phrase } from '../units/phrase.ts';
import { planHolds } from '../workflow/holds.ts';
import { dangerOf, holdStep, linesOf, makingKind, takenBy } from './recipe-steps.ts';
import { step, type Chapter, type Step } from './steps.ts';

/** Of what is not a filling by itself, g/mL. */
export const usualDensity = 1.05;

/** Where recipes and what they are made of are found. */
interface Larder {
  recipes: readonly Recipe[];
  foods: readonly Food[];
  kitchen: Kitchen;
}

/** Recipes that go into another one, in the order they are made, and how each cools before it may. */
export const partSteps = (
  head: string,
  into: string,
  parts: readonly ScaledRecipe[],
  chapter: Chapter,
  larder: Larder,
): Step[] =>
  parts.flatMap((part) => {
    const recipe = larder.recipes.find(({ id }) => id === part.recipeId)!;
    const name = part.name.toLowerCase();
    const key = `${head}/part/${part.recipeId}`;
    return [
      step(key, makingKind(recipe), chapter, `First the ${name}`, recipe.makeMin, {
        lead: phrase(`{make} of it goes into the ${into.toLowerCase()}. ${part.steps.join(' ')}`, {
          make: [part.makesG, 'bowl'],
        }),
        list: linesOf(part, 1),
        takes: takenBy(part),
        cautions: part.caution ? [phrase(part.caution)] : [],
        ...dangerOf(recipe),
        beside: true,
      }),
      ...planHolds(recipe, part.makesG, usualDensity, larder).flatMap((hold) =>
        holdStep(key, name, hold, recipe, true, chapter),
      ),
    ];
  });
