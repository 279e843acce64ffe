import { foodOf } from './find.ts';
import type { Food } from './types.ts';

/** Fat that is solid and holds water, as butter does. */
const isButtery = ({ fatShare, waterShare }: Food): boolean =>
  fatShare >= 0.6 && waterShare >= 0.08 && waterShare <= 0.25;

/** Solid fat as butter is, and eggs: cold from the fridge they make a batter grainy and split a buttercream. */
export const isBeatenWarm = (food: Food): boolean =>
  isButtery(food) || (food.allergens.includes('eggs') && food.waterShare >= 0.4);

const namesOf = (
  lines: readonly { name: string; foodId: string | null }[],
  foods: readonly Food[],
  isSo: (food: Food) => boolean,
): string[] =>
  lines.flatMap(({ name, foodId }) => {
    const food = foodOf(foods, foodId);
    return food && isSo(food) ? [name] : [];
  });

/** What of a recipe must not be cold when a batter is beaten of it, by name. */
export const beatenWarm = (
  lines: readonly { name: string; foodId: string | null }[],
  foods: readonly Food[],
): string[] => namesOf(lines, foods, isBeatenWarm);

/** What of a recipe must be soft when a cream is beaten of it; eggs and their whites go in as they are. */
export const beatenSoft = (
  lines: readonly { name: string; foodId: string | null }[],
  foods: readonly Food[],
): string[] => namesOf(lines, foods, isButtery);
