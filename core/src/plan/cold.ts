import type { Step } from '../bench/steps.ts';
import { outOfCold, warnOfOutOfCold, type OutOfCold } from '../day/clocks.ts';
import { planServing, tellServing, type Serving } from '../day/serving.ts';
import { dayTasks, standingFor } from '../day/tasks.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import { serveKey } from '../workflow/step-keys.ts';
import type { Staged } from '../working/staged.ts';
import type { MakingPlan } from './plan-types.ts';
import type { ShapePlan } from './shape-plan.ts';
import type { Work } from './work.ts';

/** How long it is out of the cold, when it comes out of the fridge to be cut, and the steps that say so. */
export function planCold(
  bare: Staged<Step[]>,
  shape: ShapePlan,
  { build, pantry, spreadOf, cautions }: Work,
): Pick<MakingPlan, 'steps' | 'serving' | 'outOfCold'> {
  if (!bare.ok) return { steps: bare, serving: null, outOfCold: [] };
  const roomC = Math.max(
    build.brief.venueC ?? -Infinity,
    build.brief.kitchenC ?? pantry.kitchen.roomC,
    build.journey.byRoad ? build.journey.carC : -Infinity,
  );
  const tasks = dayTasks(build, { ...shape, steps: bare, serving: null }, spreadOf);
  const outWith = (serving: Serving | null): OutOfCold[] =>
    outOfCold(build, standingFor(tasks, serving), pantry, roomC);
  const before = outWith(null);
  const serving = planServing(build, shape.tiers, pantry.kitchen, before);
  // what does not spoil is not out of the cold for longer by standing on the table
  const out = before.length === 0 ? before : outWith(serving);
  warnOfOutOfCold(out, cautions);
  const over = out
    .filter((one) => one.outMin > one.mostMin)
    .map((one) => ({ ...one, longest: longestOf(one.tasks) }));
  return {
    serving,
    outOfCold: out,
    steps: {
      ok: true,
      value: bare.value.map((step) => {
        const told = step.key === serveKey ? tellServing(step, serving) : step;
        const tooLong = over.filter(
          ({ tierId, longest }) =>
            step.key === serveKey || step.key === longest || step.key === `${tierId}/coat`,
        );
        return tooLong.length === 0
          ? told
          : { ...told, cautions: [...told.cautions, ...tooLong.map(sayTooLong)] };
      }),
    },
  };
}

/** The task that keeps a tier out of the cold longest is where to do something about it. */
const longestOf = (tasks: OutOfCold['tasks']): string | undefined =>
  [...tasks].sort((a, b) => b.minutes - a.minutes)[0]?.taskId;

const sayTooLong = ({ tierName, name, outMin, mostMin }: OutOfCold): Phrase =>
  phrase(
    `${tierName}, with ${name}: {out} out of the cold in all by this plan, of {most}. Back into the fridge whenever hands are off it; a helper shortens it.`,
    { out: [outMin, 'minutes'], most: [mostMin, 'minutes'] },
  );
