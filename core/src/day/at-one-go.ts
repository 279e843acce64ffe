import type { DayQuestion } from './plan-types.ts';
import { dayCapacity, type DaySettings, type DayTask } from './types.ts';
import { mostDays } from './hours.ts';

/** Rounds in which a plan without a day is improved. */
const rounds = 400;

/**
 * The question how long a cake takes whose day nobody knows yet: everything at one go, through every hour, with the
 * hands, oven, mixer and cold that there are. Tasks put at a time of their own are let go, as there is no such time.
 */
export const atOneGo = (tasks: readonly DayTask[], settings: DaySettings): DayQuestion => ({
  tasks: tasks.map(({ pinMin, ...task }) => (void pinMin, task)),
  windows: [{ fromMin: -mostDays * 1440, toMin: 0 }],
  capacity: dayCapacity(settings),
  seed: 1,
  rounds,
});
