import { foodOf } from '../pantry/find.ts';
import type { Food, Ingredient, Pantry, Sponge } from '../pantry/types.ts';

/** What a batter is made of, as shares of its mass. */
interface Makeup {
  water: number;
  fat: number;
  sugar: number;
  egg: number;
  dry: number;
}

/** Null where nothing of it is known. */
function makeupOf(
  lines: readonly Pick<Ingredient, 'foodId' | 'massG'>[],
  foods: readonly Food[],
): Makeup | null {
  const known = lines.flatMap(({ foodId, massG }) => {
    const food = foodOf(foods, foodId);
    return food ? [{ food, massG }] : [];
  });
  const total = known.reduce((sum, { massG }) => sum + massG, 0);
  if (total <= 0) return null;
  const share = (of: (food: Food) => number): number =>
    known.reduce((sum, { food, massG }) => sum + of(food) * massG, 0) / total;
  return {
    water: share((food) => food.waterShare),
    fat: share((food) => food.fatShare),
    sugar: share((food) => food.sugarShare),
    egg: share((food) => (food.allergens.includes('eggs') ? 1 : 0)),
    dry: share((food) => Math.max(0, 1 - food.waterShare - food.fatShare - food.sugarShare)),
  };
}

const apart = (a: Makeup, b: Makeup): number =>
  Math.hypot(a.water - b.water, a.fat - b.fat, a.sugar - b.sugar, a.egg - b.egg, a.dry - b.dry);

/**
 * Sponges of the pantry, the most alike first: by water, fat, sugar, egg and what is dry of the batter.
 * From the first of them a recipe of one's own borrows density, rise and dome until it has been baked.
 *
 * @returns none where no ingredient of the lines is known
 */
export function spongesLike(
  lines: readonly Pick<Ingredient, 'foodId' | 'massG'>[],
  { foods, sponges, recipes }: Pick<Pantry, 'foods' | 'sponges' | 'recipes'>,
): Sponge[] {
  const own = makeupOf(lines, foods);
  if (!own) return [];
  return sponges
    .flatMap((sponge) => {
      const recipe = recipes.find(({ id }) => id === sponge.recipeId);
      const makeup = recipe && makeupOf(recipe.ingredients, foods);
      return makeup ? [{ sponge, far: apart(own, makeup) }] : [];
    })
    .sort((a, b) => a.far - b.far)
    .map(({ sponge }) => sponge);
}

/**
 * How deep a batter bakes in the tins it is meant for, mm.
 *
 * @param batterG all of it
 * @param acrossMm of each tin
 */
export function bakedDepthMm(
  batterG: number,
  { batterDensityGPerMl, rise }: Pick<Sponge, 'batterDensityGPerMl' | 'rise'>,
  acrossMm: number,
  tins: number,
): number {
  const areaMm2 = (Math.PI / 4) * acrossMm ** 2 * tins;
  return ((batterG / batterDensityGPerMl) * rise * 1000) / areaMm2;
}
