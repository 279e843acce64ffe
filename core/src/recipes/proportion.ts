import { foodOf } from '../pantry/find.ts';
import type { Food } from '../pantry/types.ts';

/** A line of a recipe that cannot be right beside the others. */
export interface OutOfProportion {
  index: number;
  why: string;
}

/** Salt, leaven, gelatine and strong flavours stay below these shares of a recipe (trade custom). */
const mostSalt = 0.04;
const mostLeaven = 0.05;
/** One line of several is hardly ever more of it than this. */
const mostOfAll = 0.75;
/** Beyond this a line of a home recipe was misread, g. */
const mostG = 5000;

/**
 * Lines out of proportion to the rest, so that a misread one is seen before the recipe is taken over.
 *
 * @param lines grams of each, null where not known
 */
export function outOfProportion(
  lines: readonly { massG: number | null; foodId: string | null }[],
  foods: readonly Food[],
): OutOfProportion[] {
  const total = lines.reduce((sum, line) => sum + (line.massG ?? 0), 0);
  const known = lines.filter((line) => (line.massG ?? 0) > 0).length;
  return lines.flatMap(({ massG, foodId }, index): OutOfProportion[] => {
    if (massG === null || total <= 0) return [];
    const food = foodOf(foods, foodId);
    const share = massG / total;
    if (massG > mostG) return [{ index, why: 'more than five kilograms: is it read right?' }];
    if (food && food.saltShare >= 0.5 && share > mostSalt)
      return [{ index, why: 'far more salt than anything is eaten with' }];
    const leavens = food && food.cupSiftedG === null && food.traits.includes('leaven');
    if (leavens && share > mostLeaven) return [{ index, why: 'far more than raises a cake' }];
    if (food?.traits.includes('gelatine') && share > mostLeaven)
      return [{ index, why: 'far more than sets anything' }];
    return known >= 3 && share > mostOfAll
      ? [{ index, why: 'by far the most of the recipe: is it read right?' }]
      : [];
  });
}
