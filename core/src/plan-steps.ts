import { bakeSteps } from './bench/bake-steps.ts';
import { bowlSteps } from './bench/bowl-steps.ts';
import { closingSteps } from './bench/closing-steps.ts';
import { coatSteps } from './bench/coat-steps.ts';
import { coverSteps } from './bench/cover-steps.ts';
import type { StackContext } from './bench/stack-context.ts';
import { stackSteps } from './bench/stack-steps.ts';
import type { Step } from './bench/steps.ts';
import { findRow } from './pantry/find.ts';
import type { Work } from './plan-tier.ts';
import type { ShapePlan } from './plan-types.ts';
import { attempt, valueOf, type Staged } from './working/staged.ts';

const lowered = (title: string): string => title.charAt(0).toLowerCase() + title.slice(1);

/** The run sheet, tier by tier in working order. */
export function planSteps(
  { tiers, bowls, batches, boardCover, strips, tally }: ShapePlan,
  { build, pantry, cautions, spreadOf, recipeOf }: Work,
): Staged<Step[]> {
  if (!bowls.ok) return bowls;
  const failed = tiers.flatMap((tier) => [tier.bake, tier.batterRecipe]).find((stage) => !stage.ok);
  if (failed && !failed.ok) return failed;
  return attempt('bench', null, cautions, () => {
    const contexts = tiers.map((plan, i): StackContext => ({
      tier: build.tiers[i]!,
      stack: plan.stack,
      gaps: valueOf(plan.gaps)!,
      others: valueOf(plan.others) ?? [],
      soak: plan.soak,
      centre: plan.centre,
      coat: valueOf(plan.coat)!,
      dabG: plan.dabG,
      fondant: plan.fondant,
      pressed: plan.pressed,
      strips,
      spreadOf,
    }));
    const baking = tiers.map((plan, i) => {
      const tier = build.tiers[i]!;
      if (plan.bake.ok && plan.bake.value.cakes.length === 0) return [];
      const sponge = findRow(pantry, 'sponges', tier.spongeId);
      return bakeSteps({
        tier,
        sponge,
        tin: findRow(pantry, 'tins', tier.tinId),
        recipe: recipeOf(sponge.recipeId),
        scaled: valueOf(plan.batterRecipe)!,
        bake: valueOf(plan.bake)!,
        kitchen: pantry.kitchen,
        foods: pantry.foods,
      });
    });
    const isCutting = (step: Step): boolean => step.chapter === 'Fill and stack';
    const several = tiers.length > 1;
    const named = (steps: Step[], i: number): Step[] =>
      several
        ? steps.map((step) => ({
            ...step,
            title: `${build.tiers[i]!.name}: ${lowered(step.title)}`,
          }))
        : steps;
    return [
      ...baking.flatMap((steps, i) =>
        named(
          steps.filter((step) => !isCutting(step)),
          i,
        ),
      ),
      ...bowlSteps(bowls.value, batches, spreadOf, recipeOf, pantry),
      ...contexts.flatMap((context, i) => [
        ...named([...baking[i]!.filter(isCutting), ...stackSteps(context)], i),
      ]),
      ...contexts.flatMap((context, i) =>
        named([...coatSteps(context), ...coverSteps(context)], i),
      ),
      ...closingSteps(build, tally.massG, tally.servings, boardCover, pantry.kitchen, spreadOf),
    ];
  });
}
