import { soakBatch } from '../bench/soak-steps.ts';
import type { Step } from '../bench/steps.ts';
import type { Bowl } from '../bowls/bowls.ts';
import { handsOnOf } from '../labour/hands-on.ts';
import type { Spread } from '../pantry/types.ts';
import type { SoakNeed } from '../soak/soak-needs.ts';
import { cakeLine, isMadeReadyFor, washLine } from '../workflow/operation.ts';
import { ifThere } from '../working/staged.ts';
import { keepingRows, spongeKeepsMin, syrupKeepsMin } from './keeping.ts';
import { isCooling, waitOf } from './step-waits.ts';
import type { DayTask } from './types.ts';
import { lengthOf } from './usage.ts';

/* What a task waits for, beside the one before it on its own line: tasks are linked in place. */

/** A tin that came out is emptied, washed and cold again after so long, min (estimate). */
const tinFreeMin = 15;

/**
 * What a tier is stacked from is there before it is begun: cakes cold, discs and crepes made. Batter
 * that waits for a later load stands no longer than it can, and tins come out of one load before they
 * go into the next.
 */
export function linkMade(
  tasks: readonly DayTask[],
  stepAt: ReadonlyMap<string, Step>,
  firstOf: ReadonlyMap<string, readonly DayTask[]>,
): void {
  const loadAt = new Map(
    tasks.flatMap((task) => (task.bakes ? [[task.line!.load, task] as const] : [])),
  );
  const link = (task: DayTask, id: string, leastMin: number, mostMin: number | null): void => {
    if (task.id === id) return;
    const known = task.after.find((one) => one.id === id);
    if (!known) return void task.after.push({ id, leastMin, mostMin });
    known.leastMin = Math.max(known.leastMin, leastMin);
    if (mostMin !== null) known.mostMin = Math.min(known.mostMin ?? Infinity, mostMin);
  };
  for (const made of tasks) {
    const steps = made.stepKeys.map((key) => stepAt.get(key)!);
    // loads go in as they are numbered: the oven is hot for the first, hands are free for the next
    const load = made.bakes ? made.line!.load! : 0;
    const before = load > 0 ? loadAt.get(load - 1) : undefined;
    if (before) link(made, before.id, before.handsMin - lengthOf(before), null);
    for (const tierId of made.bakes ?? []) {
      const [first] = firstOf.get(tierId) ?? [];
      const cool = steps.find((step) => isCooling(step) && step.tierId === tierId);
      const leastMin = Math.max(0, Math.round(cool ? waitOf(cool) : 0) - made.again!.waitMin);
      if (first) link(first, made.id, leastMin, leastMin + spongeKeepsMin);
    }
    const forTier = made.line?.madeFor ?? null;
    if (forTier !== null) {
      const [first] = firstOf.get(forTier) ?? [];
      if (first) link(first, made.id, 0, spongeKeepsMin);
    }
    for (const { oven } of steps) {
      const batter = oven && loadAt.get(oven.batterFrom);
      // it stands from when it is mixed, and the load before it bakes meanwhile
      if (batter) {
        const out = batter.again!;
        const stood = batter.waitMin + out.handsMin + out.waitMin + made.handsMin;
        link(made, batter.id, -out.waitMin, Math.max(-out.waitMin, oven.waitMin - stood));
      }
      const tins = oven && loadAt.get(oven.tinsFrom);
      // only lining waits for them: what comes before it is done while they are in the oven
      if (tins) {
        const lined = steps.findIndex(({ kind }) => kind === 'line tin');
        const beforeMin = handsOnOf(steps.slice(0, lined));
        link(made, tins.id, tinFreeMin - tins.again!.waitMin - Math.round(beforeMin), null);
      }
    }
  }
}

/** A bowl is made before the first task that takes from it, and not longer before than it keeps. */
export function linkBowls(
  tasks: readonly DayTask[],
  bowls: readonly Bowl[],
  spreadOf: (id: string) => Spread,
  stepAt: ReadonlyMap<string, Step>,
): void {
  const lastOf = new Map<string, DayTask>();
  for (const task of tasks) if (task.line?.batchId) lastOf.set(task.line.batchId, task);
  for (const [batchId, made] of lastOf) {
    const own = bowls.filter((bowl) => bowl.batchId === batchId);
    const spreadId = own[0]?.spreadId;
    const keeps = [
      spreadId ? keepsFor(spreadId, spreadOf) : null,
      stepAt.get(made.stepKeys.at(-1)!)?.keepsMin ?? null,
    ].filter((min) => min !== null);
    const mostMin = keeps.length > 0 ? Math.min(...keeps) : null;
    for (const use of own.flatMap((bowl) => bowl.uses)) {
      const key = use.step;
      const user =
        tasks.find(({ stepKeys }) => key !== null && stepKeys.includes(key)) ??
        userOf(tasks, use.kind, use.part?.split('/')[0] ?? null);
      if (!user || user === made || user.after.some((one) => one.id === made.id)) continue;
      user.after.push({ id: made.id, leastMin: 0, mostMin });
    }
  }
}

/** What a tier is soaked with has cooled before its first layer is filled. */
export function linkSoaks(tasks: readonly DayTask[], needs: readonly SoakNeed[]): void {
  for (const { recipeId, tiers: own } of needs) {
    const made = tasks.findLast(({ line }) => line?.batchId === soakBatch(recipeId));
    if (!made) continue;
    for (const { tierId } of own)
      userOf(tasks, 'gap', tierId)?.after.push({
        id: made.id,
        leastMin: 0,
        mostMin: syrupKeepsMin,
      });
  }
}

/**
 * What was made ready is there before what takes it, and not longer than it stays fresh; for what is
 * put on at the venue, before the road.
 */
export function linkPrepared(tasks: readonly DayTask[], stepAt: ReadonlyMap<string, Step>): void {
  const roadAt = tasks.findIndex(({ stepKeys }) => stepAt.get(stepKeys.at(-1)!)?.kind === 'drive');
  const road = tasks[roadAt];
  for (const made of tasks) {
    const step = stepAt.get(made.stepKeys.at(-1)!);
    const wanted = step?.line.preparedFor;
    if (!step || !wanted) continue;
    const foods = new Set(step.takes.map(({ foodId }) => foodId));
    const takesIt = (key: string): boolean => {
      const one = stepAt.get(key)!;
      return (
        (one.chapter === 'Serve') === wanted.last &&
        one.takes.some(({ foodId }) => foods.has(foodId))
      );
    };
    tasks.forEach((user, i) => {
      if (!user.line || !isMadeReadyFor(wanted, user.line) || !user.stepKeys.some(takesIt)) return;
      const isThere = road !== undefined && i > roadAt && user.line.id === cakeLine.id;
      const underwayMin = isThere ? lengthOf(road) : 0;
      (isThere ? road : user).after.push({
        id: made.id,
        leastMin: 0,
        mostMin: step.keepsMin === null ? null : Math.max(0, step.keepsMin - underwayMin),
      });
    });
  }
}

/** Null for what is poured, which has no row among the spreads. */
const keepsFor = (spreadId: string, spreadOf: (id: string) => Spread): number | null => {
  const spread = ifThere(() => spreadOf(spreadId));
  return spread ? keepingRows[spread.keeping].fridgeMin : null;
};

/** The first task that takes a kind of use of one tier. */
function userOf(
  tasks: readonly DayTask[],
  kind: Bowl['uses'][number]['kind'],
  tierId: string | null,
): DayTask | undefined {
  const inChapter = (chapter: string): DayTask | undefined =>
    tasks.find((task) => task.chapter === chapter && task.tierId === tierId);
  switch (kind) {
    case 'dab':
    case 'dam':
    case 'gap':
      return inChapter('Fill and stack');
    case 'glue':
      return inChapter('Carve') ?? inChapter('Coat');
    case 'crumb':
    case 'coat':
    case 'inlay':
      return inChapter('Coat');
    case 'reserve':
      return undefined;
    default:
      return tasks.find((task) => task.chapter === 'Finish');
  }
}

/** Washing up is done in the wait of the box, and before the cake leaves. */
export function linkWashing(tasks: readonly DayTask[], stepAt: ReadonlyMap<string, Step>): void {
  const washing = tasks.find(({ line }) => line?.id === washLine.id);
  const onCake = tasks.filter(({ line }) => line?.id === cakeLine.id);
  const boxAt = onCake.findIndex(({ stepKeys }) => stepAt.get(stepKeys.at(-1)!)?.kind === 'box');
  const box = onCake[boxAt];
  if (!washing || !box) return;
  washing.after.push({ id: box.id, leastMin: -box.waitMin, mostMin: null });
  onCake[boxAt + 1]?.after.push({ id: washing.id, leastMin: 0, mostMin: null });
}

/** The chain at the end begins when every tier and every tray is done. */
export function linkCake(
  tasks: readonly DayTask[],
  lastOf: ReadonlyMap<string, DayTask>,
  firstOf: ReadonlyMap<string, DayTask[]>,
  stepAt: ReadonlyMap<string, Step>,
): void {
  const [first] = firstOf.get(cakeLine.id) ?? [];
  if (!first) return;
  for (const [lineId, last] of lastOf) {
    if (lineId === cakeLine.id || lineId === washLine.id) continue;
    // a bowl, or what was made ready, is there for what takes it; where nothing is known to, for the end
    const isForOne = Boolean(last.line?.batchId ?? last.line?.preparedFor);
    if (isForOne && tasks.some((task) => task.after.some(({ id }) => id === last.id))) continue;
    // what came out of the freezer bare is covered before it takes on damp
    const bare = stepAt.get(last.stepKeys.at(-1)!);
    const mostMin = bare?.kind === 'unmould' ? bare.keepsMin : null;
    first.after.push({ id: last.id, leastMin: 0, mostMin });
  }
}
