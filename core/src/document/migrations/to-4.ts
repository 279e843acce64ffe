import { startingFoods } from '../../pantry/starting/foods.ts';
import { startingOthers } from '../../pantry/starting/others.ts';
import { startingSpreads } from '../../pantry/starting/spreads.ts';
import { startingBoards } from '../../pantry/starting/tins.ts';
import { asList, asObject, type Loose } from '../loose.ts';

const buildAdded = {
  boardCoverMm: 0,
  piping: [],
  reserveShare: 0.03,
  shortShare: 0.05,
  batchBy: 'grams',
  apart: [],
  mixedApart: [],
};
const briefAdded = { diets: [], kitchenC: null, venueC: null };
const tierAdded = { fondant: null, pressed: null };
const coatAdded = {
  innerSpreadId: null,
  topSpreadId: null,
  tint: '',
  bands: [],
  blended: false,
  cover: null,
  comb: null,
  rimMm: 0,
};
const pipingThen = {
  id: 'piping-1',
  name: 'piping',
  spreadId: null,
  tint: '',
  pieces: 0,
  lineMm: 0,
};

/** Fields that version 4 added to a build. Frosting kept for piping became a job of its own. */
export function buildFrom3(value: unknown): Loose {
  const { pipingG, ...build } = asObject(value);
  return {
    ...buildAdded,
    ...(typeof pipingG === 'number' && pipingG > 0
      ? { piping: [{ ...pipingThen, massG: pipingG }] }
      : {}),
    ...build,
    brief: { ...briefAdded, ...asObject(build.brief) },
    tiers: asList(build.tiers).map((each) => {
      const tier = asObject(each);
      return { ...tierAdded, ...tier, coat: { ...coatAdded, ...asObject(tier.coat) } };
    }),
  };
}

/** Fields that version 4 added to a pantry row; an ingredient is found again by its name. */
export function rowFrom3(table: string, value: unknown): Loose {
  const row = asObject(value);
  if (table === 'spreads') {
    const known = startingSpreads.find((spread) => spread.id === row.id);
    return { panShare: known?.panShare ?? null, ...row };
  }
  if (table === 'others') {
    const known = startingOthers.find((other) => other.id === row.id);
    return { recipeId: known?.recipeId ?? null, ...row };
  }
  if (table === 'boards') {
    const known = startingBoards.find((board) => board.id === row.id);
    return { price: known?.price ?? null, ...row };
  }
  if (table !== 'recipes') return row;
  return {
    ...row,
    ingredients: asList(row.ingredients).map((each) => {
      const line = asObject(each);
      const food = startingFoods.find((known) => known.name === line.name);
      // what the ingredient says by itself is not said twice
      const known = food?.allergens as unknown[] | undefined;
      const said = asList(line.allergens).every((allergen) => known?.includes(allergen));
      return {
        foodId: food?.id ?? null,
        recipeId: null,
        ...line,
        ...(known && said ? { allergens: [] } : {}),
      };
    }),
  };
}

/** Ingredients that recipes of an older file name, as this program knows them. */
export function foodsFor(recipes: unknown): unknown[] {
  const named = new Set(
    asList(recipes).flatMap((recipe) =>
      asList(asObject(recipe).ingredients).map((line) => asObject(line).foodId),
    ),
  );
  const found = startingFoods.filter((food) => named.has(food.id));
  const whole = startingFoods.filter((food) => found.some((part) => part.boughtAs === food.id));
  return JSON.parse(JSON.stringify([...new Set([...found, ...whole])])) as unknown[];
}
