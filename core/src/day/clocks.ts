import { otherIdsOf, spreadIdsOf } from '../document/edit.ts';
import type { Build, Tier } from '../document/types.ts';
import { pouredSpreadsOf } from '../finish/ganache-recipe.ts';
import type { OtherLayer, Pantry, Spread } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import { cakeLine } from '../workflow/operation.ts';
import { thawKey, unmouldKey } from '../workflow/step-keys.ts';
import type { Caution } from '../working/cautions.ts';
import { keepingRows, warmC } from './keeping.ts';
import type { DayTask, Placed } from './types.ts';

/** Time that the perishable parts of a tier spend out of the cold, over all its tasks. Minutes. */
export interface OutOfCold {
  tierId: string;
  tierName: string;
  /** The perishable parts. */
  name: string;
  outMin: number;
  /** Usual guidance: all in all. */
  mostMin: number;
  /** What each task adds, in working order. */
  tasks: { taskId: string; minutes: number }[];
}

/** The same with when it is out, in minutes before the deadline. */
export interface Clock extends OutOfCold {
  spans: { fromMin: number; toMin: number }[];
}

/** A part is perishable when it may be out of the cold no longer than this in all, min (usual guidance). */
const shortMin = 120;

const isMousse = (row: OtherLayer): boolean => row.form === 'mousse';

/** What of a tier may not stand out of the cold, with how long each may. */
function perishablesOf(tier: Tier, pantry: Pantry): { name: string; roomMin: number }[] {
  const ids = new Set([...spreadIdsOf(tier), ...pouredSpreadsOf(tier, pantry)]);
  const spreads = [...ids].flatMap((id): Spread[] => pantry.spreads.filter((row) => row.id === id));
  const layers = otherIdsOf(tier);
  const set = pantry.others.filter((row) => isMousse(row) && layers.has(row.id));
  return [
    ...spreads.map((row) => ({ name: row.name, roomMin: keepingRows[row.keeping].roomMin })),
    ...set.map((row) => ({ name: row.name, roomMin: shortMin })),
  ].filter(({ roomMin }) => roomMin <= shortMin);
}

/** Minutes of a task outside fridge and freezer. */
const outMinOf = (task: DayTask): number => {
  const isCold = task.uses.some(({ resource }) => resource === 'fridge' || resource === 'freezer');
  return task.handsMin + (isCold ? 0 : task.waitMin);
};

/**
 * Time out of the cold (docs/model.md#the-day): from when a tier is filled, every minute of hands on it and
 * every wait outside the fridge adds up; between tasks it is taken to stand in the cold. For what keeps
 * two hours at room temperature; half of that above 32 C. It does not depend on which days it is done.
 *
 * @param roomC the warmest room that it meets
 */
export function outOfCold(
  build: Build,
  tasks: readonly DayTask[],
  pantry: Pantry,
  roomC: number,
): OutOfCold[] {
  return build.tiers.flatMap((tier): OutOfCold[] => {
    const short = perishablesOf(tier, pantry);
    const filledAt = tasks.findIndex(
      (task) => task.tierId === tier.id && task.chapter === 'Fill and stack',
    );
    if (short.length === 0 || filledAt < 0) return [];
    const isFrozen = frozenTasks(tier, tasks);
    const own = tasks.flatMap((task, i) => {
      const isOnIt =
        !isFrozen(task) &&
        ((task.tierId === tier.id && i >= filledAt) || (task.tierId === null && isCake(task)));
      const minutes = outMinOf(task);
      return isOnIt && minutes > 0 ? [{ taskId: task.id, minutes }] : [];
    });
    const mostMin = Math.min(...short.map((one) => one.roomMin));
    return [
      {
        tierId: tier.id,
        tierName: tier.name,
        name: [...new Set(short.map((one) => one.name.toLowerCase()))].join(', '),
        outMin: own.reduce((sum, one) => sum + one.minutes, 0),
        mostMin: roomC > warmC ? mostMin / 2 : mostMin,
        tasks: own,
      },
    ];
  });
}

/** Tasks at which a tier is frozen hard: from its freezer until it has thawed. None where it never is. */
function frozenTasks(tier: Tier, tasks: readonly DayTask[]): (task: DayTask) => boolean {
  const at = (key: string): number => tasks.findIndex(({ stepKeys }) => stepKeys.includes(key));
  const [from, to] = [at(unmouldKey(tier)), at(thawKey(tier))];
  return (task) => to >= 0 && from >= 0 && tasks.indexOf(task) >= from && tasks.indexOf(task) <= to;
}

/** When each tier is out of the cold, by the plan of the days. */
export function keepingClocks(out: readonly OutOfCold[], placed: readonly Placed[]): Clock[] {
  return out.map((one) => ({
    ...one,
    spans: one.tasks.flatMap(({ taskId, minutes }) => {
      const at = placed.find(({ id }) => id === taskId);
      return at ? [{ fromMin: at.startMin, toMin: at.startMin + minutes }] : [];
    }),
  }));
}

/** A tier that is out of the cold for longer than its most perishable part may be. */
export function warnOfOutOfCold(out: readonly OutOfCold[], cautions: Caution[]): void {
  for (const one of out) {
    if (one.outMin <= one.mostMin) continue;
    cautions.push({
      id: `${one.tierId}/out of cold`,
      severity: one.outMin > 2 * one.mostMin ? 'stop' : 'mind',
      stage: 'day',
      part: one.tierId,
      title: phrase(
        `${one.tierName}, with ${one.name}, is out of the cold for {out} in all; {most} is the usual limit.`,
        { out: [one.outMin, 'minutes'], most: [one.mostMin, 'minutes'] },
      ),
      todo: phrase(
        'Take {less} off: a second pair of hands, a plainer finish, the box kept cold on the road, or a filling that keeps. After {twice} it is not eaten. Usual guidance; your local food code decides.',
        {
          less: [one.outMin - one.mostMin, 'minutes'],
          twice: [2 * one.mostMin, 'minutes'],
        },
      ),
    });
  }
}

/** Tasks at the whole cake; bowls, trays and sawing are beside it. */
const isCake = ({ line }: DayTask): boolean => line?.id === cakeLine.id;
