import type { Build } from '../document/types.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import { dayCapacity } from '../day/types.ts';
import { windowsBefore } from '../day/hours.ts';
import { scheduleDay } from '../day/schedule.ts';
import { dayTasks } from '../day/tasks.ts';
import { correctionsFor, type Corrections, noCorrections } from '../hand/corrections.ts';
import { findRow } from '../pantry/find.ts';
import type { Pantry } from '../pantry/types.ts';
import { planBuild } from '../plan/plan.ts';
import { nothingCarved } from '../plan/shape.ts';

/** Days on which an ingredient is used, the first and the last of them: "2027-06-10". */
export interface UseSpan {
  first: string;
  last: string;
}

/** Of each ingredient by its id, when a cake takes it. */
export type UseDays = Readonly<Record<string, UseSpan>>;

/** The plan of the days is improved in so many rounds: enough for days, where minutes do not count. */
const rounds = 60;

const dayOf = (date: Date): string =>
  [date.getFullYear(), date.getMonth() + 1, date.getDate()]
    .map((part) => String(part).padStart(2, '0'))
    .join('-');

/**
 * The days on which a cake takes each ingredient, by the plan of its own days (docs/model.md#the-day),
 * other cakes left out. What is bought as something else, as a yolk in its egg, counts as that.
 * Null where it has no date, is finished, or cannot be planned within its hours.
 */
export function useDays(
  build: Build,
  pantry: Pantry,
  carved: CarveAnswers = nothingCarved,
  corrections: Corrections = noCorrections,
): UseDays | null {
  const { brief, day, bench } = build;
  if (brief.serveAt === null || bench.finished) return null;
  const plan = planBuild(build, pantry, carved, correctionsFor(build, corrections));
  if (!plan.steps.ok) return null;
  const deadline = new Date(new Date(brief.serveAt).getTime() - day.spareMin * 60_000);
  const tasks = dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));
  const answer = scheduleDay({
    tasks,
    windows: windowsBefore(deadline, day.hours),
    capacity: dayCapacity(day),
    seed: 1,
    rounds,
  });
  if (!answer.ok) return null;
  const dayOfTask = new Map(
    answer.plan.placed.map(({ id, startMin }) => [
      id,
      dayOf(new Date(deadline.getTime() + startMin * 60_000)),
    ]),
  );
  const stepAt = new Map(plan.steps.value.map((step) => [step.key, step]));
  const boughtAs = new Map(pantry.foods.map((food) => [food.id, food.boughtAs ?? food.id]));
  const days: Record<string, UseSpan> = {};
  for (const { id, stepKeys } of tasks) {
    const on = dayOfTask.get(id);
    if (on === undefined) continue;
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
