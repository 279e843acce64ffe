import type { Build } from '../build/types.ts';
import type { Spread } from '../pantry/types.ts';
import { keepingRows, warmC } from './keeping.ts';
import type { DayTask, Placed } from './types.ts';

/** Time that a perishable part spends out of the cold, over the whole plan. Minutes. */
export interface Clock {
  name: string;
  tierId: string;
  tierName: string;
  outMin: number;
  /** Usual guidance: all in all. */
  mostMin: number;
  /** When it is out: tasks, in minutes before the deadline. */
  spans: { fromMin: number; toMin: number }[];
}

/**
 * Keeping clocks (model section 11): from when a tier is filled, every minute of hands on it and every
 * wait outside the fridge adds up; between tasks it is taken to stand in the cold. For fillings and
 * frostings that keep two hours at room temperature; half of that above 32 C.
 */
export function keepingClocks(
  build: Build,
  tasks: readonly DayTask[],
  placed: readonly Placed[],
  spreadOf: (id: string) => Spread | null,
  roomC: number,
): Clock[] {
  const at = new Map(placed.map((one) => [one.id, one]));
  const byId = new Map(tasks.map((task) => [task.id, task]));
  return build.tiers.flatMap((tier): Clock[] => {
    const ids = [...new Set([...tier.gaps.map((gap) => gap.spreadId), tier.coat.spreadId])];
    const short = ids
      .map(spreadOf)
      .filter((one): one is Spread => one !== null && keepingRows[one.keeping].roomMin <= 120);
    if (short.length === 0) return [];
    const filling = tasks.find(
      (task) => task.tierId === tier.id && task.chapter === 'Fill and stack',
    );
    const from = filling ? at.get(filling.id)?.startMin : undefined;
    if (from === undefined) return [];
    const spans = placed.flatMap((one) => {
      const task = byId.get(one.id)!;
      const isOnIt = task.tierId === tier.id || (task.tierId === null && isCake(task));
      if (!isOnIt || one.startMin < from) return [];
      const isCold = task.uses.some(
        (use) => use.resource === 'fridge' || use.resource === 'freezer',
      );
      const toMin = isCold ? one.handsEndMin : one.endMin;
      return toMin > one.startMin ? [{ fromMin: one.startMin, toMin }] : [];
    });
    const outMin = spans.reduce((sum, span) => sum + span.toMin - span.fromMin, 0);
    const mostMin = Math.min(...short.map((one) => keepingRows[one.keeping].roomMin));
    return [
      {
        name: short.map((one) => one.name.toLowerCase()).join(', '),
        tierId: tier.id,
        tierName: tier.name,
        outMin,
        mostMin: roomC > warmC ? mostMin / 2 : mostMin,
        spans,
      },
    ];
  });
}

/** Tasks at the whole cake; bowls, trays and sawing are beside it. */
const isCake = (task: DayTask): boolean =>
  task.stepKeys.length > 0 &&
  !task.id.startsWith('bowl/') &&
  !task.id.startsWith('cut/') &&
  !/\/tray(~\d+)?$/.test(task.id);
