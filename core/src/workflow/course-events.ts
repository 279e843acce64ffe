import type { Step } from '../bench/steps.ts';
import type { DayTask, Placed } from '../day/types.ts';
import type { Build, Tier } from '../document/types.ts';
import type { Pantry } from '../pantry/types.ts';
import type { CakePlan } from '../plan/plan-types.ts';
import { cakeLine, tierLine } from './operation.ts';

/** Where a tier stands for a while, min before the deadline. */
export interface CourseStretch {
  fromMin: number;
  toMin: number;
  place: 'room' | 'fridge' | 'freezer' | 'car' | 'venue';
}

/** What a course is made from. */
export interface CourseOf {
  build: Build;
  plan: Pick<CakePlan, 'tiers' | 'bowls' | 'batches'>;
  steps: readonly Step[];
  tasks: readonly DayTask[];
  placed: readonly Placed[];
  pantry: Pantry;
}

/** A shorter gap between tasks is no way to the fridge and back, min. */
export const shortGapMin = 10;

/** One thing that happens to a tier: a while in a place, with the step that it is, if any. */
export interface CourseEvent extends CourseStretch {
  step: Step | null;
  /** A wait for something, with the hands off it. */
  isWait: boolean;
}

/** What happens to a tier in the order of time, from its first layer on the board; the gaps are in the cold. */
export function eventsOf({ steps, tasks, placed }: CourseOf, tier: Tier): CourseEvent[] {
  const stepAt = new Map(steps.map((step) => [step.key, step]));
  const own = tierLine(tier.id).id;
  const events: CourseEvent[] = [];
  let isOut = false;
  let isAway = false;
  for (const at of [...placed].sort((a, b) => a.startMin - b.startMin)) {
    const task = tasks.find(({ id }) => id === at.id);
    if (!task || (task.line?.id !== own && task.line?.id !== cakeLine.id)) continue;
    const hands = task.stepKeys.flatMap((key) => stepAt.get(key) ?? []);
    const last = hands.at(-1) ?? null;
    const usual = hands.reduce((sum, step) => sum + step.handsOnMin, 0);
    const factor = usual > 0 ? (at.handsEndMin - at.startMin) / usual : 1;
    let now = at.startMin;
    for (const step of hands) {
      const toMin = now + step.handsOnMin * factor;
      isOut ||= step.key === `${tier.id}/first`;
      if (isOut)
        events.push({
          fromMin: now,
          toMin,
          place: isAway ? 'venue' : 'room',
          step,
          isWait: false,
        });
      now = toMin;
    }
    const isDriven = last?.kind === 'drive';
    isAway ||= isDriven;
    if (isOut && at.endMin > at.handsEndMin)
      events.push({
        fromMin: at.handsEndMin,
        toMin: at.endMin,
        place: isDriven ? 'car' : waitPlace(task, last, isAway),
        step: last,
        isWait: true,
      });
  }
  return withGaps(events);
}

const waitPlace = (
  { uses }: DayTask,
  last: Step | null,
  isAway: boolean,
): CourseStretch['place'] => {
  if (uses.some(({ resource }) => resource === 'freezer')) return 'freezer';
  if (uses.some(({ resource }) => resource === 'fridge')) return 'fridge';
  return isAway || last?.kind === 'cut and serve' ? 'venue' : 'room';
};

/** Between tasks it is taken to stand in the cold, as by the clocks of what spoils; for a few minutes, and once it is away, it is left where it is. */
const withGaps = (events: readonly CourseEvent[]): CourseEvent[] =>
  events.flatMap((event, i): CourseEvent[] => {
    const next = events[i + 1];
    if (!next || next.fromMin - event.toMin < 1e-6) return [event];
    const isShort = next.fromMin - event.toMin < shortGapMin;
    // nobody has a fridge of the house where it stands for granted
    const isAway = event.place === 'car' || event.place === 'venue';
    const place = isAway ? 'venue' : isShort || event.place === 'freezer' ? event.place : 'fridge';
    return [event, { fromMin: event.toMin, toMin: next.fromMin, place, step: null, isWait: true }];
  });

/** Stretches in one place after each other are one. */
export function joined(stretches: readonly CourseStretch[]): CourseStretch[] {
  const all: CourseStretch[] = [];
  for (const stretch of stretches) {
    const last = all.at(-1);
    if (last?.place === stretch.place && stretch.fromMin - last.toMin < 1e-6)
      last.toMin = stretch.toMin;
    else all.push({ ...stretch });
  }
  return all;
}
