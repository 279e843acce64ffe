import type { TintNote } from '../colour/tint-note.ts';
import { fondantTinted } from '../covers/fondant.ts';
import { toppingTinted } from '../finish/toppings.ts';
import { batterGels } from '../colour/batter-gels.ts';
import { batterMixings } from '../oven/mixings.ts';
import { fondantId, foodOf } from '../pantry/find.ts';
import { prepFor, preparedFrom } from '../pantry/prepared.ts';
import type { Food } from '../pantry/types.ts';
import { mixedTiers } from './mixed-tiers.ts';
import type { Work } from './work.ts';
import type { ShapePlan } from './shape-plan.ts';
import { mixedG, otherMixings } from '../others/mixings.ts';
import { withInsets } from '../others/other-layers.ts';
import { dissolve } from '../recipes/parts.ts';
import {
  looseIngredient,
  mergeIngredients,
  scaleRecipe,
  weighedUp,
  type ScaledIngredient,
} from '../recipes/scale.ts';
import { areaMm2 } from '../outline/outline.ts';
import { soakNeeds } from '../soak/soak-needs.ts';
import { spongeLayers } from '../tins/sponge-layers.ts';
import { attempt, valueOf, type Staged } from '../working/staged.ts';

/** As it is bought: with the stalks and stones that come off it, and the sugar that draws it. */
function bought(
  used: readonly ScaledIngredient[],
  inRecipe: boolean,
  foods: readonly Food[],
): ScaledIngredient[] {
  return used.flatMap((line): ScaledIngredient[] => {
    const prep = prepFor(foodOf(foods, line.foodId)?.prep, inRecipe);
    if (!prep) return [line];
    const { boughtG, inG } = preparedFrom(line.massG, prep);
    return [
      { ...line, massG: boughtG },
      ...(prep.ways.includes('sugar')
        ? [looseIngredient('sugar', inG, [], foodOf(foods, 'caster-sugar') ?? null)]
        : []),
    ];
  });
}

/** What a recipe takes for so many grams in equal mixings, as it is bought; eggs are whole in every mixing. */
function madeOf(
  { recipes, foods }: Work['pantry'],
  recipeId: string | null,
  makesG: number,
  mixes: number,
): ScaledIngredient[] {
  const recipe = recipes.find((row) => row.id === recipeId);
  if (!recipe || makesG <= 0) return [];
  const eachG = makesG / mixes;
  const flat = { ...recipe, yieldG: eachG, ingredients: dissolve(recipe, eachG, recipes) };
  const lines = scaleRecipe(flat, eachG).ingredients.map((line) => ({
    ...line,
    massG: line.massG * mixes,
    pieces: line.pieces === null ? null : line.pieces * mixes,
  }));
  return bought(lines, true, foods);
}

/** What layers and bowls that were put away before are made of: bought then, and paid for by this cake. */
export function putAwayIngredients(
  { tiers, batches }: ShapePlan,
  { build, pantry }: Work,
): ScaledIngredient[] {
  const layers = build.tiers.flatMap((tier, i) => {
    const bake = valueOf(tiers[i]!.bake);
    const sponge = pantry.sponges.find(({ id }) => id === tier.spongeId);
    if (!bake?.stock || !sponge) return [];
    const ml = spongeLayers(tier).reduce(
      (sum, k) => sum + (areaMm2(tier.outline) * tier.layers[k]!.heightMm) / 1000,
      0,
    );
    // as much batter as gave these layers: the oven took its share
    const batterG = (ml * bake.bakedDensity) / (1 - sponge.ovenLoss);
    return madeOf(pantry, sponge.recipeId, batterG, 1);
  });
  const bowls = batches.flatMap((batch) =>
    batch.stock ? madeOf(pantry, batch.recipe.recipeId, batch.stock.massG, 1) : [],
  );
  return mergeIngredients([...layers, ...bowls]);
}

/**
 * Everything that is bought for a build in one list: batters, bowls with the recipes they are made
 * of, layers of other kinds, syrup, what is folded in, laid between and put on. Largest first.
 */
export function planIngredients(
  { tiers, oven, bowls, batches, boardCover }: ShapePlan,
  { build, pantry, cautions }: Work,
): Staged<ScaledIngredient[]> {
  if (!bowls.ok) return bowls;
  const failed = tiers
    .flatMap((tier) => [tier.bake, tier.batterRecipe, tier.others])
    .find((stage) => !stage.ok);
  if (failed && !failed.ok) return failed;
  const { foods } = pantry;
  const rowOf = (id: string | null): Food | null => foodOf(foods, id) ?? null;
  const made = (recipeId: string | null, makesG: number, mixes = 1): ScaledIngredient[] =>
    madeOf(pantry, recipeId, makesG, mixes);
  const loose = (
    name: string,
    massG: number,
    allergens: ScaledIngredient['allergens'],
    foodId: string | null = null,
  ): ScaledIngredient[] =>
    massG > 0 ? bought([looseIngredient(name, massG, allergens, rowOf(foodId))], false, foods) : [];
  const gel = (tinted: TintNote | null): ScaledIngredient[] =>
    (tinted?.gels ?? []).flatMap(({ name, g, foodId }) => loose(name, g, [], foodId));
  return attempt('coat', null, cautions, () =>
    mergeIngredients([
      ...bowls.value.flatMap(({ tinted }) => gel(tinted)),
      ...batches.flatMap((batch) =>
        made(batch.recipe.recipeId, batch.mixes * batch.eachMixG, batch.mixes),
      ),
      ...soakNeeds(build.tiers, tiers).flatMap(({ recipeId, massG }) =>
        made(recipeId, weighedUp(massG)),
      ),
      ...batterMixings(mixedTiers(build, tiers, oven, pantry), pantry.kitchen).flatMap((mixing) => [
        ...made(mixing.recipeId, mixing.makesG, mixing.mixes),
        ...batterGels(mixing, build.colours, pantry).flatMap(({ note }) => gel(note)),
      ]),
      ...build.tiers.flatMap((tier, i) => {
        const plan = tiers[i]!;
        return [
          ...withInsets(valueOf(plan.others)!).flatMap((other) =>
            other.row.form === 'bought'
              ? loose(other.row.name, other.ownG, other.row.allergens)
              : [],
          ),
          ...otherMixings(tier, valueOf(plan.others)!).flatMap((mixing) =>
            made(mixing.recipeId, weighedUp(mixedG(mixing))),
          ),
          ...tier.inclusions.flatMap(({ name, allergens, foodId }, k) =>
            loose(name, valueOf(plan.bake)?.piecesG[k] ?? 0, allergens, foodId),
          ),
          ...tier.gaps.flatMap(({ pieces }, k) =>
            pieces.flatMap((one, n) =>
              loose(
                one.name,
                valueOf(plan.gaps)?.[k]?.pieces[n]?.g ?? 0,
                one.allergens,
                one.foodId,
              ),
            ),
          ),
          ...(tier.centre?.pieces
            ? loose(
                tier.centre.pieces.name,
                plan.centre?.fillG ?? 0,
                tier.centre.pieces.allergens,
                tier.centre.pieces.foodId,
              )
            : []),
          ...loose('rolled fondant', plan.fondant?.rolledG ?? 0, [], fondantId),
          ...gel(plan.fondant && fondantTinted(plan.fondant, build.colours, foods)),
          ...(tier.pressed && plan.pressed
            ? loose(
                tier.pressed.name,
                plan.pressed.atHandG,
                tier.pressed.allergens,
                tier.pressed.foodId,
              )
            : []),
          ...plan.surfaces.flatMap(({ surface, atHandG }) =>
            loose(surface.name, atHandG, surface.allergens, surface.foodId),
          ),
          ...plan.finish.toppings.flatMap((one) =>
            gel(toppingTinted(one, build.colours, pantry.foods)),
          ),
          ...plan.finish.toppings.flatMap(({ topping, massG, tray }) =>
            topping.kind === 'drizzle' || !topping.eaten
              ? []
              : loose(topping.name, tray?.massG ?? massG, topping.allergens, topping.foodId),
          ),
        ];
      }),
      ...loose('rolled fondant', boardCover?.massG ?? 0, [], fondantId),
    ]),
  );
}
