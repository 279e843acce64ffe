import { gelIdsIn, tintsIn } from '../colour/colour.ts';
import { insetsIn, otherIdsOf, piecesOf, pipingSpreadId, spreadIdsOf } from '../document/edit.ts';
import type { Build, Tier } from '../document/types.ts';
import { pouredSpreadsOf, withGanaches } from '../finish/ganache-recipe.ts';
import { breaksDiet, type Diet } from '../pantry/diets.ts';
import { fondantId, foodOf, gelId } from '../pantry/find.ts';
import type { Allergen, OtherLayer, Pantry } from '../pantry/types.ts';
import {
  foodContents,
  nothing,
  recipeContents,
  together,
  type Contents,
} from '../recipes/parts.ts';
import { isSoaked, soakIdOf } from '../soak/soak.ts';
import { spongeLayers } from '../tins/sponge-layers.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { Known } from '../working/known.ts';

/** Something in a tier and what it holds. */
export interface Holding {
  name: string;
  contents: Contents;
}

/** Something that the pantry does not know: nothing is known of what is in it. */
const unknownOf = (name: string): Holding => ({
  name,
  contents: { ...nothing(), unknown: [name] },
});

/** What a recipe holds; unknown where the pantry has no such recipe. */
function recipeHolding(name: string, recipeId: string | null | undefined, pantry: Pantry): Holding {
  const recipe = recipeId ? pantry.recipes.find((row) => row.id === recipeId) : undefined;
  return recipe ? { name, contents: recipeContents(recipe, pantry) } : unknownOf(name);
}

/** Pieces that are eaten: what their row of the pantry holds, and what was said of them besides. */
function piecesHolding(
  part: { name: string; foodId: string | null; allergens: readonly Allergen[] },
  pantry: Pantry,
): Holding {
  const food = foodOf(pantry.foods, part.foodId);
  const row = food ? foodContents(food) : { ...nothing(), unknown: [part.name] };
  return {
    name: food?.name ?? part.name,
    contents: together([row, { ...nothing(), allergens: [...part.allergens] }]),
  };
}

/** A layer of another kind: its recipe, and what its row says; bought ones by their row alone. */
function otherHolding(other: OtherLayer, pantry: Pantry): Holding {
  const said: Contents = { ...nothing(), allergens: [...other.allergens] };
  if (other.recipeId !== null) {
    const { contents } = recipeHolding(other.name, other.recipeId, pantry);
    return { name: other.name, contents: together([contents, said]) };
  }
  // a bought layer of which no allergen is said has not been looked at
  return other.allergens.length > 0 ? { name: other.name, contents: said } : unknownOf(other.name);
}

/** Every sponge, filling, syrup, piece and cover of a tier with what it holds. */
export const holdingsOf = (tier: Tier, pantry: Pantry): Holding[] =>
  holdingsKnown.of(tier, [pantry], () => holdingsAnew(tier, pantry));
const holdingsKnown = new Known<Tier, Holding[]>();

function holdingsAnew(tier: Tier, pantry: Pantry): Holding[] {
  const found: Holding[] = [];
  const spreadHolding = (id: string): Holding => {
    const spread = pantry.spreads.find((row) => row.id === id);
    return spread ? recipeHolding(spread.name, spread.recipeId, pantry) : unknownOf(id);
  };
  if (spongeLayers(tier).length > 0 || insetsIn(tier).some(({ otherId }) => otherId === null)) {
    const sponge = pantry.sponges.find((row) => row.id === tier.spongeId);
    found.push(
      sponge ? recipeHolding(sponge.name, sponge.recipeId, pantry) : unknownOf(tier.spongeId),
    );
  }
  for (const id of new Set([...spreadIdsOf(tier), ...pouredSpreadsOf(tier, pantry)]))
    found.push(spreadHolding(id));
  for (const id of otherIdsOf(tier)) {
    const other = pantry.others.find((row) => row.id === id);
    if (other?.form === 'foam') continue;
    found.push(other ? otherHolding(other, pantry) : unknownOf(id));
  }
  if (isSoaked(tier)) found.push(soakHolding(tier, pantry));
  for (const part of [...piecesOf(tier), tier.pressed, ...tier.surfaces])
    if (part) found.push(piecesHolding(part, pantry));
  for (const topping of tier.toppings)
    // a drizzle is of its ganache, which is among the spreads above
    if (topping.eaten && (topping.kind !== 'drizzle' || topping.ganacheId === null))
      found.push(piecesHolding(topping, pantry));
  if (tier.fondant) found.push(fondantHolding(pantry));
  return found;
}

/** What the layers are soaked with, by its recipe's own name. */
function soakHolding(tier: Tier, pantry: Pantry): Holding {
  const id = soakIdOf(tier);
  return recipeHolding(
    pantry.recipes.find((row) => row.id === id)?.name ?? 'soaking syrup',
    id,
    pantry,
  );
}

const fondantHolding = (pantry: Pantry): Holding =>
  piecesHolding({ name: 'rolled fondant', foodId: fondantId, allergens: [] }, pantry);

/** What is piped and what covers the board. */
function holdingsBeside(build: Build, pantry: Pantry): Holding[] {
  return [
    ...build.piping.map((job) => {
      const id = pipingSpreadId(build, job);
      const spread = pantry.spreads.find((row) => row.id === id);
      return spread ? recipeHolding(spread.name, spread.recipeId, pantry) : unknownOf(id);
    }),
    ...(build.boardCoverMm > 0 ? [fondantHolding(pantry)] : []),
    ...(tintsIn(build).length > 0
      ? [piecesHolding({ name: 'colour gel', foodId: gelId, allergens: [] }, pantry)]
      : []),
    ...gelIdsIn(build).flatMap((id) => {
      const name = foodOf(pantry.foods, id)?.name;
      return name === undefined ? [] : [piecesHolding({ name, foodId: id, allergens: [] }, pantry)];
    }),
  ];
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
  const beside = holdingsBeside(build, pantry);
  const merged = (some: readonly Holding[]): Contents => together(some.map((one) => one.contents));
  const holdings = [...tiers.flat(), ...beside];
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
  if (whole.unknown.length > 0) {
    const { keepOut, diets } = build.brief;
    const asked = [...keepOut, ...diets];
    cautions.push({
      id: 'contents/unknown',
      severity: keepOut.length > 0 ? 'stop' : diets.length > 0 ? 'mind' : 'note',
      stage: 'brief',
      part: null,
      title: phrase(
        `What is in ${listed(whole.unknown)} is not known${asked.length > 0 ? `, so nobody can say whether it keeps to ${listed(asked)}` : ''}.`,
      ),
      todo: phrase(
        'Choose the ingredient of the pantry that it is, or make one and say what its label says.',
      ),
    });
  }
}

const listed = (names: readonly string[]): string =>
  names.length > 4
    ? `${names.slice(0, 4).join(', ')} and ${names.length - 4} more`
    : names.join(', ');
