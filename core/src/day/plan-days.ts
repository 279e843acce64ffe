import type { Step } from '../bench/steps.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import type { Build } from '../document/types.ts';
import { correctionsFor, type Corrections, noCorrections } from '../hand/corrections.ts';
import { findRow } from '../pantry/find.ts';
import type { Pantry } from '../pantry/types.ts';
import type { Plan } from '../plan/plan-types.ts';
import { planBuild } from '../plan/plan.ts';
import { nothingCarved } from '../plan/shape.ts';
import { windowsBefore } from './hours.ts';
import { scheduleDay } from './schedule.ts';
import { dayTasks } from './tasks.ts';
import { dayCapacity, type DayTask, type Placed } from './types.ts';

/** The days of one cake: what it is planned to be, its tasks, and when each of them is. */
export interface PlannedDays {
  plan: Plan;
  steps: Step[];
  tasks: DayTask[];
  placed: Placed[];
  /** When all is done: serving, less the minutes in hand. */
  deadline: Date;
}

/** Rounds enough where days count and minutes do not. */
const rounds = 60;

/**
 * Plans the days of a cake by its own hours (docs/model.md#the-day), other cakes left out. Null where it
 * is a pattern, has no date, is finished, or cannot be planned within its hours.
 */
export function planDays(
  build: Build,
  pantry: Pantry,
  carved: CarveAnswers = nothingCarved,
  corrections: Corrections = noCorrections,
): PlannedDays | null {
  const { brief, day, bench, isPattern } = build;
  if (brief.serveAt === null || bench.finished || isPattern) return null;
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
  return { plan, steps: plan.steps.value, tasks, placed: answer.plan.placed, deadline };
}
