import { foodOf } from '../pantry/find.ts';
import { pantryLimits } from '../pantry/limits.ts';
import type { ReadMethod } from './read-method.ts';
import type { Food, Ingredient, Pantry, Recipe, Sponge } from '../pantry/types.ts';

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

/** A tin that home recipes are written for where they name none, mm. */
const usualTinMm = 200;
/** No home recipe bakes deeper than this: a tin more, or a larger one, mm. */
const deepMm = 90;

/** Oven, minutes and tins that a recipe was written for; null where nobody has said. */
export interface WrittenFor {
  ovenC: number | null;
  minutes: number | null;
  tinMm: number;
  tins: number;
}

/** As a method says it, minutes by the middle of what it gives. */
export const writtenFor = ({ bake, tins }: ReadMethod): WrittenFor => ({
  ovenC: bake?.ovenC ?? null,
  minutes: bake && Math.round((bake.fromMin + bake.toMin) / 2),
  tinMm: tins?.acrossMm ?? usualTinMm,
  tins: tins?.count ?? 1,
});

/**
 * How a pasted batter bakes as it was written: how deep, whether that is too deep for one tin, and the
 * rule its recipe keeps; null until oven and minutes are known.
 */
export function bakeAsWritten(
  { ovenC, minutes, tinMm, tins }: WrittenFor,
  batterG: number,
  like: Sponge,
): { depthMm: number; isDeep: boolean; bake: Recipe['bake'] } {
  const depthMm = bakedDepthMm(batterG, like, tinMm, tins);
  const { min, max } = pantryLimits.bakeDepthMm;
  return {
    depthMm,
    isDeep: depthMm > deepMm,
    bake:
      ovenC === null || minutes === null
        ? null
        : { ovenC, minutes, tinMm, depthMm: Math.round(Math.min(max, Math.max(min, depthMm))) },
  };
}
