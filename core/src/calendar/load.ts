import { doneOf } from '../day/replan.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import { planDays } from '../day/plan-days.ts';
import type { Hours } from '../day/types.ts';
import type { Build } from '../document/types.ts';
import type { Corrections } from '../hand/corrections.ts';
import type { Pantry } from '../pantry/types.ts';

/** A stretch in which hands are on one cake, of its own chapter of work. */
export interface Stretch {
  /** Milliseconds since 1970. */
  from: number;
  to: number;
  chapter: string;
}

/** What a cake asks of the days before it. */
export interface CakeLoad {
  cakeId: string;
  /** What is still to be done, in order; null where its days cannot be planned within its hours. */
  stretches: Stretch[] | null;
  /** From Monday to Sunday, by how many hands. */
  hours: Hours[];
  people: number;
}

/** Work that follows on within so long is one stretch, ms. */
const goesOn = 15 * 60_000;

/** When hands are on a cake, by the plan of its own days; what is ticked off at the bench is left out. */
export function cakeLoad(
  build: Build,
  pantry: Pantry,
  carved?: CarveAnswers,
  corrections?: Corrections,
): CakeLoad {
  const { hours, people } = build.day;
  const base = { cakeId: build.id, hours, people };
  const days = planDays(build, pantry, carved, corrections);
  if (!days) return { ...base, stretches: null };
  const done = doneOf(build, days.steps);
  const taskOf = new Map(days.tasks.map((task) => [task.id, task]));
  const at = (minutes: number): number => days.deadline.getTime() + minutes * 60_000;
  const pieces = days.placed.flatMap((placed): Stretch[] => {
    const task = taskOf.get(placed.id)!;
    const { chapter, again, stepKeys } = task;
    const open = stepKeys.filter((key) => !done.has(key)).length / Math.max(1, stepKeys.length);
    if (stepKeys.length > 0 && open === 0) return [];
    const share = stepKeys.length > 0 ? open : 1;
    const handsMin = share * (placed.handsEndMin - placed.startMin);
    const first = { from: at(placed.startMin), to: at(placed.startMin + handsMin), chapter };
    return placed.againMin === null || !again
      ? [first]
      : [first, { from: at(placed.againMin), to: at(placed.againMin + again.handsMin), chapter }];
  });
  return { ...base, stretches: joined(pieces.filter(({ from, to }) => to > from)) };
}

/** Stretches of one chapter that follow on each other as one. */
function joined(pieces: Stretch[]): Stretch[] {
  const inOrder = pieces.sort((a, b) => a.from - b.from || a.to - b.to);
  const out: Stretch[] = [];
  for (const piece of inOrder) {
    const last = out.at(-1);
    if (last?.chapter === piece.chapter && piece.from <= last.to + goesOn && sameDay(last, piece))
      last.to = Math.max(last.to, piece.to);
    else out.push({ ...piece });
  }
  return out;
}
const sameDay = (a: Stretch, b: Stretch): boolean => dayOf(a.from) === dayOf(b.from);

const two = (n: number): string => String(n).padStart(2, '0');
/** The day of the calendar where the cake is made, "2027-06-12". */
export function dayOf(ms: number): string {
  const at = new Date(ms);
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}
