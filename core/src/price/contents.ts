import { spreadIdsOf } from '../build/edit.ts';
import type { Build, Tier } from '../build/types.ts';
import { pouredSpreadsOf, withGanaches } from '../finish/ganache-recipe.ts';
import { breaksDiet, type Diet } from '../pantry/diets.ts';
import { foodOf } from '../pantry/find.ts';
import type { Allergen, Pantry } from '../pantry/types.ts';
import { nothing, recipeContents, together, type Contents } from '../recipes/parts.ts';
import { spongeLayers } from '../tins/bake.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';

/** Something in a tier and what it holds. */
export interface Holding {
  name: string;
  contents: Contents;
}

const withAllergens = (name: string, allergens: readonly Allergen[]): Holding => ({
  name,
  contents: { ...nothing(), allergens: [...allergens] },
});

/** Every sponge, filling, piece and cover of a tier with what it holds. */
export function holdingsOf(tier: Tier, pantry: Pantry): Holding[] {
  const found: Holding[] = [];
  const addRecipe = (name: string, recipeId: string | null | undefined): void => {
    const recipe = recipeId ? pantry.recipes.find((row) => row.id === recipeId) : undefined;
    if (recipe) found.push({ name, contents: recipeContents(recipe, pantry) });
  };
  const sponge = pantry.sponges.find((row) => row.id === tier.spongeId);
  if (sponge && spongeLayers(tier).length > 0) addRecipe(sponge.name, sponge.recipeId);
  for (const id of new Set(spreadIdsOf(tier))) {
    const spread = pantry.spreads.find((row) => row.id === id);
    if (spread) addRecipe(spread.name, spread.recipeId);
  }
  for (const id of new Set(tier.layers.map((layer) => layer.otherId))) {
    const other = pantry.others.find((row) => row.id === id);
    if (!other) continue;
    found.push(withAllergens(other.name, other.allergens));
    addRecipe(other.name, other.recipeId);
  }
  for (const part of [tier.inclusion, ...tier.gaps.map((gap) => gap.pieces), tier.pressed]) {
    if (!part) continue;
    found.push(withAllergens(part.name, part.allergens));
    const food = 'foodId' in part ? foodOf(pantry.foods, part.foodId) : undefined;
    if (food) found.push({ name: food.name, contents: { ...food, unknown: [] } });
  }
  for (const id of pouredSpreadsOf(tier, pantry)) {
    const spread = pantry.spreads.find((row) => row.id === id);
    if (spread) addRecipe(spread.name, spread.recipeId);
  }
  for (const topping of tier.toppings) {
    if (topping.kind === 'drizzle') continue;
    found.push(withAllergens(topping.name, topping.allergens));
    const food = foodOf(pantry.foods, topping.foodId);
    if (food) found.push({ name: food.name, contents: { ...food, unknown: [] } });
  }
  const fondant = foodOf(pantry.foods, 'fondant');
  if (tier.fondant && fondant)
    found.push({ name: fondant.name, contents: { ...fondant, unknown: [] } });
  return found;
}

/** What the piping of a build holds. */
function pipedHoldings(build: Build, pantry: Pantry): Holding[] {
  return build.piping.flatMap((job) => {
    const spread = pantry.spreads.find((row) => row.id === job.spreadId);
    const recipe = pantry.recipes.find((row) => row.id === spread?.recipeId);
    return spread && recipe
      ? [{ name: spread.name, contents: recipeContents(recipe, pantry) }]
      : [];
  });
}

export interface BuildContents {
  /** By tier, in their order. */
  tiers: Contents[];
  whole: Contents;
  holdings: Holding[];
}

/** What each tier and the whole cake hold. */
export function contentsOf(build: Build, own: Pantry): BuildContents {
  const pantry = withGanaches(build, own);
  const tiers = build.tiers.map((tier) => holdingsOf(tier, pantry));
  const piped = pipedHoldings(build, pantry);
  const merged = (some: readonly Holding[]): Contents => together(some.map((one) => one.contents));
  const holdings = [...tiers.flat(), ...piped];
  return { tiers: tiers.map(merged), whole: merged(holdings), holdings };
}

const from = (holdings: readonly Holding[], has: (one: Contents) => boolean): string =>
  [
    ...new Set(holdings.filter((one) => has(one.contents)).map((one) => one.name.toLowerCase())),
  ].join(', ');

const dietWords: Record<Diet, string> = {
  vegetarian: 'It is not vegetarian',
  vegan: 'It is not vegan',
  'no alcohol': 'It holds alcohol',
  'no gelatine': 'It holds gelatine',
  'no nuts': 'It holds nuts',
  'no gluten': 'It holds gluten',
};

/** Allergens that the brief keeps out, traces of them, and diets that an ingredient breaks. */
export function warnOfContents(build: Build, held: BuildContents, cautions: Caution[]): void {
  const { whole, holdings } = held;
  for (const allergen of build.brief.keepOut) {
    if (whole.allergens.includes(allergen))
      cautions.push({
        id: `allergen/${allergen}`,
        severity: 'stop',
        stage: 'brief',
        part: null,
        title: phrase(`Holds ${allergen}, which the brief keeps out.`),
        todo: phrase(
          `It comes with ${from(holdings, (one) => one.allergens.includes(allergen))}. Choose others, and mind what else was made on the same tools.`,
        ),
      });
    else if (whole.mayContain.includes(allergen))
      cautions.push({
        id: `traces/${allergen}`,
        severity: 'mind',
        stage: 'brief',
        part: null,
        title: phrase(`May contain traces of ${allergen}, which the brief keeps out.`),
        todo: phrase(
          `An ingredient of ${from(holdings, (one) => one.mayContain.includes(allergen))} says so. Ask the guest, or find a maker that rules it out.`,
        ),
      });
  }
  for (const diet of build.brief.diets) {
    if (breaksDiet(diet, whole))
      cautions.push({
        id: `diet/${diet}`,
        severity: 'stop',
        stage: 'brief',
        part: null,
        title: phrase(`${dietWords[diet]}, and the brief asks for ${diet}.`),
        todo: phrase(
          `It comes with ${from(holdings, (one) => breaksDiet(diet, one))}. Take another, or swap the ingredient in its recipe: the pantry works out how much.`,
        ),
      });
  }
  if (whole.unknown.length > 0 && (build.brief.keepOut.length > 0 || build.brief.diets.length > 0))
    cautions.push({
      id: 'contents/unknown',
      severity: 'mind',
      stage: 'brief',
      part: null,
      title: phrase(`Nothing is known of what is in ${whole.unknown.slice(0, 4).join(', ')}.`),
      todo: phrase('Say in its recipe which ingredient of the pantry it is.'),
    });
}
