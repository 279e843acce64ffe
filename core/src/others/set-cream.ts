import type { Tier } from '../document/types.ts';
import { depthMm, grow, widthMm, type Outline } from '../outline/outline.ts';
import { foodOf } from '../pantry/find.ts';
import type { Pantry, Recipe } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { mostInset, type OtherPlan } from './other-layers.ts';

/** Gelatine of 200 bloom that holds a cream so high without a tin, g to the kilogram, and what each mm more takes (estimates). */
const holds = { gPerKg: 7, mm: 30, gPerKgMm: 0.125 };
/** A disc narrower than this is not worth setting in, mm. */
const leastInsetMm = 30;
/** Gelatine in a recipe, g to the kilogram of what it yields; 0 for what sets without. */
export const gelatineGPerKg = (recipe: Recipe, { foods }: Pick<Pantry, 'foods'>): number => {
  const grams = recipe.ingredients
    .filter(({ foodId }) => foodOf(foods, foodId)?.traits.includes('gelatine'))
    .reduce((sum, { massG }) => sum + massG, 0);
  return recipe.yieldG > 0 ? (1000 * grams) / recipe.yieldG : 0;
};

/** As high as so much gelatine holds a cream that stands free, mm. */
export const heldMm = (gPerKg: number): number =>
  Math.max(0, holds.mm + (gPerKg - holds.gPerKg) / holds.gPerKgMm);
/** Gelatine that holds a cream so high, g to the kilogram. */
export const gelatineFor = (mm: number): number =>
  Math.max(0, holds.gPerKg + (mm - holds.mm) * holds.gPerKgMm);

/** The widest margin that still leaves a disc, mm. */
export function mostMarginMm(outline: Outline): number {
  const leavesDisc = (margin: number): boolean => {
    const inside = grow(outline, -margin);
    return inside !== null && Math.min(widthMm(inside), depthMm(inside)) >= leastInsetMm;
  };
  let [fits, wide] = [0, Math.max(widthMm(outline), depthMm(outline))];
  for (let i = 0; i < 30; i++) {
    const middle = (fits + wide) / 2;
    if (leavesDisc(middle)) fits = middle;
    else wide = middle;
  }
  return fits;
}

/** Creams that stand higher than they hold, and discs inside them that do not fit. */
export function warnOfSetCreams(
  tier: Tier,
  others: readonly OtherPlan[],
  pantry: Pick<Pantry, 'foods' | 'recipes'>,
  cautions: Caution[],
): void {
  for (const { index, row, inset } of others) {
    if (row.form !== 'mousse') continue;
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
    if (!layer.inset) continue;
    if (!inset)
      cautions.push({
        id: `${tier.id}/no inset/${index}`,
        severity: 'stop',
        stage: 'stack',
        part,
        title: phrase(
          `No disc fits into layer ${index + 1}: {margin} of cream all round leave nothing of it.`,
          { margin: [layer.inset.marginMm, 'size'] },
        ),
        todo: phrase('A margin of {most} at most.', {
          most: [mostMarginMm(tier.outline), 'size'],
        }),
      });
    else if (layer.inset.heightMm > layer.heightMm * mostInset + 1e-6)
      cautions.push({
        id: `${tier.id}/high inset/${index}`,
        severity: 'mind',
        stage: 'stack',
        part,
        title: phrase(
          `The disc inside layer ${index + 1} is {own} high, in a layer of {high}: cream lies neither below nor above it.`,
          { own: [layer.inset.heightMm, 'thickness'], high: [layer.heightMm, 'thickness'] },
        ),
        todo: phrase('{most} at most; it is reckoned with so much.', {
          most: [layer.heightMm * mostInset, 'thickness'],
        }),
      });
  }
}
