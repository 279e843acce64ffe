import type { Build } from '../document/types.ts';
import type { Pantry } from '../pantry/types.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { widthMm } from '../outline/outline.ts';
import { circleOf } from '../recipes/parts.ts';
import { scalingRules } from '../recipes/rules.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { valueOf } from '../working/staged.ts';
import type { Batch } from './batches.ts';

/** Batches too small for the whisk or too many for the day, and recipes that do not scale by grams. */
export function warnOfBatches(
  build: Build,
  batches: readonly Batch[],
  tiers: readonly TierPlan[],
  pantry: Pantry,
  cautions: Caution[],
): void {
  for (const batch of batches) {
    const least = batch.smallestMixG;
    if (least !== null && batch.mixes > 0 && batch.eachMixG < least)
      cautions.push({
        id: `bowl/${batch.id}/small`,
        severity: 'note',
        stage: 'coat',
        part: null,
        title: phrase(
          `{make} of ${batch.name.toLowerCase()}: the whisk of your mixer hardly reaches it.`,
          {
            make: [batch.eachMixG, 'bowl'],
          },
        ),
        todo: phrase('Make {least} or more, or beat it by hand in a small bowl.', {
          least: [least, 'bowl'],
        }),
      });
    const recipe = pantry.recipes.find((row) => row.id === batch.recipe.recipeId);
    const circle = recipe && circleOf(recipe, pantry.recipes);
    if (circle)
      cautions.push({
        id: `circle/${batch.recipe.recipeId}`,
        severity: 'stop',
        stage: 'coat',
        part: null,
        title: phrase(`A recipe is made of itself: ${circle.join(' → ')}.`),
        todo: phrase('Take one of these lines out of its recipe in the pantry.'),
      });
  }
  build.tiers.forEach((tier, i) => {
    const scaled = valueOf(tiers[i]!.batterRecipe);
    const recipe = pantry.recipes.find((row) => row.id === scaled?.recipeId);
    const tin = pantry.tins.find((row) => row.id === tier.tinId);
    if (!scaled || !recipe || scaled.makesG <= 0) return;
    // the first is the weightiest; the others stand at the step
    scalingRules(recipe, scaled.factor, tin ? widthMm(tin.outline) : null, pantry.foods)
      .slice(0, 1)
      .forEach((rule) =>
        cautions.push({
          id: `${tier.id}/scaling`,
          severity: 'note',
          stage: 'bake',
          part: `${tier.id}/cake`,
          title: phrase(`${recipe.name} at {times} times its recipe.`, {
            times: [Math.round(scaled.factor * 10) / 10, 'factor'],
          }),
          todo: rule,
        }),
      );
  });
}
