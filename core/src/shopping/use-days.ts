import type { Step } from '../bench/steps.ts';
import type { DayTask } from '../day/types.ts';
import type { Pantry } from '../pantry/types.ts';

/** Days on which an ingredient is used, the first and the last of them: "2027-06-10". */
export interface UseSpan {
  first: string;
  last: string;
}

/** Of each ingredient by its id, when a cake takes it. */
export type UseDays = Readonly<Record<string, UseSpan>>;

const dayOf = (ms: number): string => {
  const date = new Date(ms);
  return [date.getFullYear(), date.getMonth() + 1, date.getDate()]
    .map((part) => String(part).padStart(2, '0'))
    .join('-');
};

/**
 * The days on which steps take each ingredient. What is bought as something else, as a yolk in its
 * egg, counts as that.
 *
 * @param startOf when each task begins, ms
 */
export function useDays(
  tasks: readonly DayTask[],
  steps: readonly Step[],
  startOf: ReadonlyMap<string, number>,
  { foods }: Pick<Pantry, 'foods'>,
): UseDays {
  const stepAt = new Map(steps.map((step) => [step.key, step]));
  const boughtAs = new Map(foods.map((food) => [food.id, food.boughtAs ?? food.id]));
  const days: Record<string, UseSpan> = {};
  for (const { id, stepKeys } of tasks) {
    const start = startOf.get(id);
    if (start === undefined) continue;
    const on = dayOf(start);
    for (const { foodId } of stepKeys.flatMap((key) => stepAt.get(key)?.takes ?? [])) {
      if (foodId === null) continue;
      const bought = boughtAs.get(foodId) ?? foodId;
      const known = days[bought];
      days[bought] = {
        first: known && known.first < on ? known.first : on,
        last: known && known.last > on ? known.last : on,
      };
    }
  }
  return days;
}
