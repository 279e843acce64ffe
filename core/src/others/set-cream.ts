import type { Inset, Tier } from '../document/types.ts';
import { coarse, depthMm, grow, widthMm, type Outline } from '../outline/outline.ts';
import { foodOf } from '../pantry/find.ts';
import type { Pantry, Recipe } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { mostInset } from './insets.ts';
import type { OtherPlan } from './other-layers.ts';

/** Gelatine of 200 bloom that holds a cream so high without a tin, g to the kilogram, and what each mm more takes (estimates). */
const holds = { gPerKg: 7, mm: 30, gPerKgMm: 0.125 };
/** A disc narrower than this is not worth setting in, mm. */
const leastInsetMm = 30;
/** Recipes are written for this grade, and unknown ones are taken for it, g of bloom (trade custom). */
export const usualBloom = 200;

/**
 * Grams of one gelatine that set as firm as so many of another: strength goes with the square of what is
 * in it, and with the grade (handbook rule for gelatine).
 */
export const bloomGrams = (massG: number, fromBloom: number, toBloom: number): number =>
  massG * Math.sqrt(fromBloom / toBloom);

/** Gelatine in a recipe, as g of 200 bloom to the kilogram of what it yields; 0 for what sets without. */
export const gelatineGPerKg = (
  recipe: Pick<Recipe, 'ingredients' | 'yieldG'>,
  { foods }: Pick<Pantry, 'foods'>,
): number => {
  const grams = recipe.ingredients.reduce((sum, { foodId, massG }) => {
    const food = foodOf(foods, foodId);
    if (!food?.traits.includes('gelatine')) return sum;
    return sum + bloomGrams(massG, food.bloom ?? usualBloom, usualBloom);
  }, 0);
  return recipe.yieldG > 0 ? (1000 * grams) / recipe.yieldG : 0;
};

/** As high as so much gelatine holds a cream that stands free, mm. */
export const heldMm = (gPerKg: number): number =>
  Math.max(0, holds.mm + (gPerKg - holds.gPerKg) / holds.gPerKgMm);
/** Gelatine that holds a cream so high, g to the kilogram. */
export const gelatineFor = (mm: number): number =>
  Math.max(0, holds.gPerKg + (mm - holds.mm) * holds.gPerKgMm);

export const firmnesses = ['tender', 'clean', 'firm'] as const;
/** Barely set, for the spoon; cuts clean with a warm knife; stands a warm room for an hour. */
export type Firmness = (typeof firmnesses)[number];
/** Gelatine over what holds a cream that cuts clean (estimates). */
const firmOver: Record<Firmness, number> = { tender: 0.75, clean: 1, firm: 1.3 };

/** What each gelatine of a recipe has to weigh so that its cream holds so high, as firm as is wanted. */
export interface GelatineWish {
  /** Lines of the recipe by their place, and their grams. */
  lines: { index: number; massG: number }[];
  /** Of 200 bloom to the kilogram of cream, and to the kilogram of water in it; null where that is not known. */
  gPerKg: number;
  gPerKgWater: number | null;
}

/**
 * Gelatine for a cream so high and so firm, by the grade that the recipe's own has: its lines are scaled
 * together, as their strength goes with the square of their mass. Null for a recipe without any.
 */
export function gelatineWish(
  recipe: Pick<Recipe, 'ingredients' | 'yieldG'>,
  { foods }: Pick<Pantry, 'foods'>,
  highMm: number,
  firmness: Firmness,
): GelatineWish | null {
  const now = gelatineGPerKg(recipe, { foods });
  if (now <= 0) return null;
  const gPerKg = Math.max(1, gelatineFor(highMm)) * firmOver[firmness];
  const lines = recipe.ingredients.flatMap(({ foodId, massG }, index) =>
    foodOf(foods, foodId)?.traits.includes('gelatine')
      ? [{ index, massG: (massG * gPerKg) / now }]
      : [],
  );
  const parts = recipe.ingredients.map(({ foodId, massG }) => {
    const food = foodOf(foods, foodId);
    return food ? massG * food.waterShare : null;
  });
  const waterG = parts.includes(null) ? 0 : parts.reduce((sum: number, one) => sum + one!, 0);
  return { lines, gPerKg, gPerKgWater: waterG > 0 ? (gPerKg * recipe.yieldG) / waterG : null };
}

/** How much larger than the least disc is what a margin leaves, mm; below zero where it leaves none. */
function roomAt(outline: Outline, marginMm: number): number {
  const inside = grow(outline, -marginMm);
  return inside === null
    ? -leastInsetMm
    : Math.min(widthMm(inside), depthMm(inside)) - leastInsetMm;
}
/** True where a margin so wide still leaves a disc. */
const leavesDisc = (outline: Outline, marginMm: number): boolean => roomAt(outline, marginMm) >= 0;

const mostMargins = new WeakMap<Outline, number>();
/** The widest margin that still leaves a disc, mm, and for a drawn outline within 2 mm of it; kept by the outline, as each inset of each layer asks. */
export function mostMarginMm(outline: Outline): number {
  const known = mostMargins.get(outline) ?? mostMarginAnew(outline);
  mostMargins.set(outline, known);
  return known;
}
function mostMarginAnew(outline: Outline): number {
  const half = Math.min(widthMm(outline), depthMm(outline)) / 2;
  // a line of few points says at once about where
  const rough = coarse(outline, fewPoints);
  const isDrawn = !['round', 'square', 'rectangle', 'ring'].includes(outline.kind);
  const about = between(rough, 0, half, isDrawn ? 0.05 : 1e-4);
  if (rough === outline) return about;
  const safe = shorterMm.find((less) => leavesDisc(outline, Math.max(0, about - less)));
  return safe === undefined ? between(outline, 0, half, 0.1) : Math.max(0, about - safe);
}
const fewPoints = 60;
/** By so much less than a rough line of a drawn outline says is its own margin tried, mm. */
const shorterMm = [0.1, 0.4, 1.6];
/** The widest margin that leaves a disc, of two of which the first does and the second does not. */
function between(outline: Outline, fits: number, wide: number, toMm: number): number {
  let [low, high] = [roomAt(outline, fits), roomAt(outline, wide)];
  let isHalved = false;
  while (wide - fits > toMm) {
    // what is left shrinks evenly, but where a part of it breaks off: by turns as the rule says, and by halves
    const share = isHalved || low <= 0 ? 1 / 2 : Math.min(0.99, Math.max(0.01, low / (low - high)));
    const middle = fits + (wide - fits) * share;
    const room = roomAt(outline, middle);
    if (room >= 0) [fits, low] = [middle, room];
    else [wide, high] = [middle, room];
    isHalved = !isHalved;
  }
  return fits;
}

/** As high as a layer must be for all that is set in it: each over the one below, and none more than it may take. */
const layerFor = (insets: readonly Inset[]): number => {
  let toMm = 0;
  for (const { upMm, heightMm } of [...insets].sort((a, b) => a.upMm - b.upMm))
    toMm = Math.max(upMm, toMm) + heightMm;
  return Math.max(toMm, ...insets.map(({ heightMm }) => heightMm / mostInset));
};

/** Creams that stand higher than they hold, and discs inside them that do not fit. */
export function warnOfSetCreams(
  tier: Tier,
  others: readonly OtherPlan[],
  pantry: Pick<Pantry, 'foods' | 'recipes' | 'others'>,
  cautions: Caution[],
): void {
  const nameOf = (id: string | null): string =>
    pantry.others.find((row) => row.id === id)?.name ?? 'The sponge disc';
  for (const { index, row, insets } of others) {
    if (row.form !== 'mousse') continue;
    const placed = insets.flatMap((one) => one.placed ?? []);
    const layer = tier.layers[index]!;
    const part = `${tier.id}/layer/${index}`;
    const recipe = pantry.recipes.find(({ id }) => id === row.recipeId);
    const gPerKg = recipe ? gelatineGPerKg(recipe, pantry) : 0;
    // what sets without gelatine is not judged by it
    if (gPerKg > 0 && layer.heightMm > heldMm(gPerKg) + 0.5)
      cautions.push({
        id: `${tier.id}/held/${index}`,
        severity: 'mind',
        stage: 'stack',
        part,
        title: phrase(
          `${row.name} in layer ${index + 1} is {high} high; its gelatine, {has} to the kilogram, holds about {held}.`,
          {
            high: [layer.heightMm, 'thickness'],
            has: [gPerKg, 'fineMass'],
            held: [heldMm(gPerKg), 'thickness'],
          },
        ),
        todo: phrase(
          '{wants} to the kilogram hold it, of 200 bloom (estimate); or a layer of {held}, or a ring that stays round it until it is cut.',
          {
            wants: [gelatineFor(layer.heightMm), 'fineMass'],
            held: [heldMm(gPerKg), 'thickness'],
          },
        ),
      });
    for (const inset of layer.insets) {
      const found = placed.find((one) => one.inset.id === inset.id);
      const name = nameOf(inset.otherId);
      if (!leavesDisc(tier.outline, inset.marginMm))
        cautions.push({
          id: `${tier.id}/no inset/${index}/${inset.id}`,
          severity: 'stop',
          stage: 'stack',
          part,
          title: phrase(
            `${name} does not fit into layer ${index + 1}: {margin} of cream all round leave nothing of it.`,
            { margin: [inset.marginMm, 'size'] },
          ),
          todo: phrase('A margin of {most} at most.', {
            most: [mostMarginMm(tier.outline), 'size'],
          }),
        });
      else if (!found || found.toMm - found.fromMm < inset.heightMm - 1e-6)
        cautions.push({
          id: `${tier.id}/high inset/${index}/${inset.id}`,
          severity: found ? 'mind' : 'stop',
          stage: 'stack',
          part,
          title: phrase(
            `${name}, {own} high, has room for {room} in layer ${index + 1}, which is {high}: it is reckoned with so much.`,
            {
              own: [inset.heightMm, 'thickness'],
              high: [layer.heightMm, 'thickness'],
              room: [found ? found.toMm - found.fromMm : 0, 'thickness'],
            },
          ),
          todo: phrase(
            'Thinner, or lower, or a layer of {most}: cream belongs below and above it, and nothing lies in anything else.',
            { most: [layerFor(layer.insets), 'thickness'] },
          ),
        });
      else if (found.fromMm > inset.upMm + 0.5)
        cautions.push({
          id: `${tier.id}/raised inset/${index}/${inset.id}`,
          severity: 'mind',
          stage: 'stack',
          part,
          title: phrase(
            `${name} at {up} in layer ${index + 1} would lie in what is below it: it is reckoned at {at}.`,
            { up: [inset.upMm, 'thickness'], at: [found.fromMm, 'thickness'] },
          ),
          todo: phrase('Put it at {at} or higher.', { at: [found.fromMm, 'thickness'] }),
        });
    }
  }
}
