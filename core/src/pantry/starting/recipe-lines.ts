import type { Hazard } from '../hazards.ts';
import {
  usualMakeMin,
  type CoolPlace,
  type Ingredient,
  type Recipe,
  type RecipeHold,
} from '../types.ts';
import { startingFoods } from './foods.ts';

/* How recipes of the house are written down: lines by their ingredient, a recipe by its lines. */

const foods = new Map(startingFoods.map((food) => [food.id, food]));

/** A line of a recipe; its allergens come with the ingredient. */
export const of = (foodId: string, massG: number): Ingredient => {
  const food = foods.get(foodId)!;
  return {
    name: food.name,
    massG,
    ...(food.pieceG === null ? {} : { pieceG: food.pieceG }),
    allergens: [],
    foodId,
    recipeId: null,
  };
};
/** Another recipe used as an ingredient. */
export const made = (recipeId: string, name: string, massG: number): Ingredient => ({
  name,
  massG,
  allergens: [],
  foodId: null,
  recipeId: `recipe-${recipeId}`,
});
export const whole = (count: number): Ingredient => of('eggs', count * 50);
export const whites = (count: number): Ingredient => of('egg-whites', count * 33);
export const yolks = (count: number): Ingredient => of('egg-yolks', count * 17);
export const flour = (g: number): Ingredient => of('plain-flour', g);
export const butter = (g: number): Ingredient => of('butter', g);
export const sugar = (g: number): Ingredient => of('caster-sugar', g);
export const icing = (g: number): Ingredient => of('icing-sugar', g);
export const dark = (g: number): Ingredient => of('dark-chocolate', g);
export const cream = (g: number): Ingredient => of('whipping-cream', g);
export const lift = (g: number): Ingredient => of('baking-powder', g);

interface Extra {
  bake?: Recipe['bake'];
  caution?: string;
  /** What can hurt, and how hot it gets, C; cold work where nothing is said. */
  hazards?: Hazard[];
  hotC?: number;
  /** What it waits for; nothing where nothing is said. */
  holds?: RecipeHold[];
  /** What is lost by scraping and by boiling away, as a share. */
  loss?: number;
  /** Hands-on minutes for one mixing. */
  makeMin?: number;
  /** What is brushed on layers, g/mL. */
  soakGPerMl?: number;
}

export function recipe(
  id: string,
  name: string,
  ingredients: Ingredient[],
  steps: string[],
  extra: Extra = {},
): Recipe {
  const total = ingredients.reduce((sum, i) => sum + i.massG, 0);
  return {
    id: `recipe-${id}`,
    name,
    source: 'estimate',
    ranges: {},
    yieldG: Math.round(total * (1 - (extra.loss ?? 0.02))),
    ingredients,
    steps,
    bake: extra.bake ?? null,
    caution: extra.caution ?? null,
    hazards: extra.hazards ?? [],
    hottestC: extra.hotC ?? 21,
    holds: extra.holds ?? [],
    makeMin: extra.makeMin ?? usualMakeMin,
    soakGPerMl: extra.soakGPerMl ?? null,
  };
}

export const baked = (ovenC: number, minutes: number, depthMm = 50): Recipe['bake'] => ({
  ovenC,
  minutes,
  tinMm: 200,
  depthMm,
});

/** It cools after so many of its steps, from one temperature to another; at least so long, and so long at most. */
export const cools = (
  after: number,
  fromC: number,
  toC: number,
  where: CoolPlace,
  leastMin = 0,
  mostMin: number | null = null,
): RecipeHold => ({ after, fromC, toC, where, leastMin, mostMin });
/** It rests after so many of its steps, by the clock alone. */
export const rests = (
  after: number,
  leastMin: number,
  mostMin: number | null = null,
): RecipeHold => ({
  after,
  fromC: null,
  toC: null,
  where: 'bowl',
  leastMin,
  mostMin,
});

export const syrup =
  'Sugar syrup above 100 °C sticks to the skin and burns. Heatproof bowl, long sleeves, children and pets out of the kitchen.';
export const scalds = (what: string): string =>
  `${what} scalds: dry cloths, a deep pan, nobody small beside the stove.`;
export const raw =
  'Raw or lightly cooked egg: use pasteurised egg for guests at risk, and follow the local food code.';

/** Milk, yolks and starch, boiled with what gives the taste. */
export const custard = (
  id: string,
  name: string,
  milkG: number,
  starchG: number,
  taste: Ingredient[],
): Recipe =>
  recipe(
    id,
    name,
    [of('milk', milkG), sugar(110), yolks(5), of('cornflour', starchG), ...taste],
    [
      'Whisk yolks, sugar and cornflour; pour the hot milk on, whisking.',
      'Boil it, stirring, one minute from the first bubble.',
      'Beat in what gives the taste; chill on a tray under film.',
    ],
    {
      makeMin: 15,
      holds: [cools(3, 90, 8, 'tray in the fridge')],
      hazards: ['hot fat or cream', 'steam'],
      hotC: 98,
      caution: scalds('Boiling custard'),
      loss: 0.08,
    },
  );

/** Sugar melted to amber, let down with cream and cooked to so many degrees. */
export const caramel = (
  id: string,
  name: string,
  lines: Ingredient[],
  melted: string,
  cookedC: number,
): Recipe =>
  recipe(
    id,
    name,
    lines,
    [
      melted,
      'Add the warm cream slowly, at arm’s length.',
      `Stir in butter and salt; cook to ${cookedC} °C; cool.`,
    ],
    {
      makeMin: 15,
      holds: [cools(3, cookedC - 2, 28, 'bowl')],
      hazards: ['hot sugar', 'hot fat or cream', 'steam'],
      hotC: 180,
      caution: `${syrup} Add the cream slowly, in a deep pan.`,
      loss: 0.08,
    },
  );

/** Juice, sugar and eggs thickened over water, with butter beaten in. */
export const curd = (id: string, name: string, lines: Ingredient[]): Recipe =>
  recipe(
    id,
    name,
    lines,
    [
      'Whisk everything but the butter over water until 82 °C.',
      'Strain, beat in the butter, chill under film.',
    ],
    {
      makeMin: 15,
      holds: [cools(2, 75, 8, 'tray in the fridge')],
      hazards: ['hot fat or cream', 'steam'],
      hotC: 82,
      caution: scalds('Hot curd'),
      loss: 0.05,
    },
  );
