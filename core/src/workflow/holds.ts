import { capacityOf, unknownCapacity } from '../heat/mixture.ts';
import { coolingMin, shelfHighMm, type Cooling } from '../heat/cool-places.ts';
import {
  coolPlaces,
  type CoolPlace,
  type Food,
  type Kitchen,
  type Recipe,
  type RecipeHold,
} from '../pantry/types.ts';

/** Minutes of one place where something could wait. */
export interface HoldWay {
  place: CoolPlace;
  minutes: number;
}

/** A wait of something that was made, in its place: for how long at least and at most, and why. */
export interface PlannedHold {
  /** After so many steps of its recipe. */
  after: number;
  place: CoolPlace;
  /** From and to, C; null where only time counts. */
  fromC: number | null;
  toC: number | null;
  /** As long as it waits here, min. */
  minutes: number;
  /** No longer than so before what follows; null where it keeps. */
  mostMin: number | null;
  /** What decides how long: the temperature it comes to, or the time it rests. */
  why: 'cooled' | 'rested';
  /** The same elsewhere, the quickest first; places that never make it so cold are left out. */
  ways: HoldWay[];
  /** From 60 to 21 C in that place, as food codes time it, min; null where it never comes so far. */
  codeMin: number | null;
  /** Height that it takes on a shelf, mm. */
  highMm: number;
  /** The recipe does not say; it is taken to cool to the room. */
  guessed: boolean;
}

/** Hotter than this nothing is spread, and a recipe that does not say how it cools is taken to, C. */
export const spreadableC = 30;
/** Nothing that was cooked is hotter when it leaves the stove than it boils, C. */
const boilsC = 108;

/** What was cooked and spoils comes from 60 to 21 C within two hours (usual food code; the local one decides). */
export const code = { fromC: 60, toC: 21, mostMin: 120 };

/** Heat capacity of a recipe by what is in it, kJ/kgK. */
export function capacityOfRecipe(recipe: Recipe, foods: readonly Food[]): number {
  let mass = 0;
  let heat = 0;
  for (const { massG, foodId } of recipe.ingredients) {
    const food = foodId === null ? undefined : foods.find(({ id }) => id === foodId);
    mass += massG;
    heat += massG * (food ? capacityOf(food) : unknownCapacity);
  }
  return mass > 0 ? heat / mass : unknownCapacity;
}

/** What a recipe waits for; where it does not say, what was hot cools until it can be used. */
function holdsOf(recipe: Recipe): { holds: RecipeHold[]; guessed: boolean } {
  if (recipe.holds) return { holds: recipe.holds, guessed: false };
  const hot = recipe.hottestC !== null && recipe.hottestC > spreadableC;
  const hold: RecipeHold = {
    after: recipe.steps.length,
    fromC: Math.min(boilsC, recipe.hottestC ?? spreadableC),
    toC: spreadableC - 2,
    where: 'bowl',
    leastMin: 0,
    mostMin: null,
  };
  return { holds: hot ? [hold] : [], guessed: hot };
}

/**
 * The waits of a recipe that was made, in the order of its steps (docs/model.md#holds).
 *
 * @param massG how much of it cools at once
 * @param chosen where the user wants it to cool; null for where the recipe says
 * @param usedC as warm as it is used, where the plan says so, C: it need not be colder
 */
export function planHolds(
  recipe: Recipe,
  massG: number,
  densityGPerMl: number,
  { foods, kitchen }: { foods: readonly Food[]; kitchen: Kitchen },
  chosen: CoolPlace | null = null,
  usedC: number | null = null,
): PlannedHold[] {
  const what: Cooling = { massG, densityGPerMl, capacityKJ: capacityOfRecipe(recipe, foods) };
  const { holds, guessed } = holdsOf(recipe);
  return [...holds]
    .sort((a, b) => a.after - b.after)
    .map((hold) => {
      const after = Math.min(hold.after, recipe.steps.length);
      const isLast = after === recipe.steps.length;
      const wanted = hold.toC === null ? null : Math.max(hold.toC, (isLast && usedC) || -Infinity);
      // in a hot kitchen nothing on the bench gets colder than the room
      const toC =
        wanted === null || hold.where === 'fridge' || hold.where === 'tray in the fridge'
          ? wanted
          : Math.max(wanted, kitchen.roomC + 2);
      const minutesIn = (place: CoolPlace): number | null =>
        hold.fromC === null || toC === null ? 0 : coolingMin(what, hold.fromC, toC, place, kitchen);
      const ways = coolPlaces.flatMap((place): HoldWay[] => {
        const minutes = minutesIn(place);
        return minutes === null ? [] : [{ place, minutes: Math.max(hold.leastMin, minutes) }];
      });
      const way = ways.find(({ place }) => place === chosen) ?? ways.find(({ place }) => place === hold.where); // prettier-ignore
      const cooled = minutesIn(way?.place ?? hold.where) ?? 0;
      return {
        after,
        place: way?.place ?? hold.where,
        fromC: hold.fromC,
        toC,
        minutes: way?.minutes ?? hold.leastMin,
        mostMin: hold.mostMin,
        why: toC !== null && cooled >= hold.leastMin ? ('cooled' as const) : ('rested' as const),
        ways: ways.sort((a, b) => a.minutes - b.minutes),
        codeMin: coolingMin(
          what,
          code.fromC,
          Math.max(code.toC, kitchen.roomC + 1),
          way?.place ?? hold.where,
          kitchen,
        ),
        highMm: shelfHighMm(what, way?.place ?? hold.where),
        guessed,
      };
    });
}
