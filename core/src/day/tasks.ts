import { syrupBatch } from '../bench/bowl-steps.ts';
import type { Step } from '../bench/steps.ts';
import { isMachined } from '../bench/wash.ts';
import type { Bowl } from '../bowls/bowls.ts';
import type { Build } from '../document/types.ts';
import type { CoolPlace, Spread } from '../pantry/types.ts';
import type { CakePlan, MakingPlan } from '../plan/plan-types.ts';
import { cakeLine, isMadeReadyFor, type Line } from '../workflow/operation.ts';
import { ifThere, valueOf } from '../working/staged.ts';
import { keepingRows, spongeKeepsMin, syrupKeepsMin } from './keeping.ts';
import type { DayTask } from './types.ts';
import { lengthOf } from './usage.ts';

/** Hands-on time that is not worth cutting up, min: longer runs of steps become several tasks. */
const mostHandsMin = 100;
/** Room over a tier on its shelf, mm. */
const overTierMm = 30;

/** What of a plan its tasks are made from. */
type Timed = Pick<CakePlan, 'bowls' | 'tiers' | 'tally' | 'oven'> &
  Pick<MakingPlan, 'steps' | 'serving'>;

const isCooling = ({ kind }: Step): boolean => kind === 'turn out';
const isInFridge = (place: CoolPlace): boolean =>
  place === 'fridge' || place === 'tray in the fridge';
/** It waits in the cold: everything that is put there, and what sets; not what cools from the oven. */
const isForCold = (step: Step): boolean => !isCooling(step) && step.line.preparedFor === null;
/** Steps that count parts out come at the table, after all that is planned here. */
const isAtTable = ({ kind }: Step): boolean => kind === 'count out' || kind === 'cut and serve';

/**
 * The tasks of a build, from its run sheet (docs/model.md#the-day): steps one after the other with one pair
 * of hands become one task, up to the next wait. Bowls are made before what uses them; a tier's own
 * tasks follow each other; the end of the sheet is one chain after all tiers. Hands-on minutes by the
 * user's own clock stand in place of the plan's.
 */
export function dayTasks(build: Build, plan: Timed, spreadOf: (id: string) => Spread): DayTask[] {
  const steps = valueOf(plan.steps);
  if (!steps) return [];
  const stepAt = new Map(steps.map((step) => [step.key, step]));
  const tasks: DayTask[] = [];
  const open = new Map<string, { line: Line; steps: Step[] }>();
  const lastOf = new Map<string, DayTask>();
  const firstOf = new Map<string, DayTask[]>();
  const close = (lineId: string): void => {
    const group = open.get(lineId);
    if (!group || group.steps.length === 0) return;
    open.delete(lineId);
    const task = taskOf(group.line, group.steps, build, plan, tasks);
    const before = lastOf.get(lineId);
    if (before) {
      const last = stepAt.get(before.stepKeys.at(-1)!)!;
      const mostMin = isCooling(last) ? spongeKeepsMin : last.keepsMin;
      task.after.push({ id: before.id, leastMin: 0, mostMin });
    }
    lastOf.set(lineId, task);
    firstOf.set(lineId, [...(firstOf.get(lineId) ?? []), task]);
    tasks.push(task);
  };
  const soon = usedSoon(steps, valueOf(plan.bowls) ?? []);
  const sheet = steps.filter((step) => !isAtTable(step));
  sheet.forEach((step, i) => {
    const { line } = step;
    const now = open.get(line.id);
    const hands = now?.steps.reduce((sum, one) => sum + one.handsOnMin, 0) ?? 0;
    const turnsPage = now && now.steps.at(-1)!.chapter !== step.chapter;
    const isLong = line.load === null && hands + step.handsOnMin > mostHandsMin;
    const isSoon = soon.has(step.key) && !now?.steps.some(({ key }) => soon.has(key));
    if (now && (turnsPage || isLong || isSoon)) close(line.id);
    const group = open.get(line.id) ?? { line, steps: [] };
    group.steps.push(step);
    open.set(line.id, group);
    // a tin comes out the moment it is done: baking and turning out of a load are one
    const isInLoad = line.load !== null && sheet[i + 1]?.line.id === line.id;
    if (waitOf(step) > 0 && !(isInLoad && (step.oven || isCooling(step)))) close(line.id);
  });
  for (const id of [...open.keys()]) close(id);
  linkMade(tasks, stepAt, firstOf);
  linkBowls(tasks, valueOf(plan.bowls) ?? [], spreadOf, stepAt);
  linkSyrup(tasks, plan.tiers);
  linkPrepared(tasks, stepAt);
  linkCake(tasks, lastOf, firstOf);
  const table = steps.find(({ kind }) => kind === 'cut and serve');
  if (table) {
    tasks.push(servingTask(table, lastOf.get(cakeLine.id) ?? null, plan.serving?.outMin ?? 0));
  }
  return withOwn(tasks, build);
}

/** What must be used within this of being made is made right before its own task begins, min. */
const soonMin = 60;

/** The steps that use what does not wait: a task begins with the first of them. */
function usedSoon(steps: readonly Step[], bowls: readonly Bowl[]): Set<string> {
  const short = new Set(
    steps.flatMap(({ line, keepsMin }) =>
      keepsMin !== null && keepsMin <= soonMin ? [line.batchId] : [],
    ),
  );
  return new Set(
    bowls
      .filter(({ id, batchId }) => short.has(id) || short.has(batchId))
      .flatMap(({ uses }) => uses.flatMap(({ step }) => step ?? [])),
  );
}

/** Shorter waits are part of the work, min. */
const shortWaitMin = 10;
/** How long a step leaves the hands free, min; 0 for what is no wait. */
function waitOf({ oven, timer }: Step): number {
  const minutes = Math.max(oven?.minutes ?? 0, timer?.minutes ?? 0);
  return minutes >= shortWaitMin ? minutes : 0;
}

function taskOf(
  line: Line,
  steps: readonly Step[],
  build: Build,
  plan: Timed,
  known: readonly DayTask[],
): DayTask {
  const [first] = steps;
  const baked = steps.filter(({ oven }) => oven);
  const outAt = line.load === null ? -1 : steps.findIndex(isCooling);
  const own = outAt > 0 ? steps.slice(0, outAt) : steps;
  const cooled = outAt > 0 ? steps.slice(outAt) : [];
  const last = own.at(-1)!;
  const waitMin = last.oven ? Math.max(...baked.map(waitOf)) : waitOf(last);
  const road = steps.some(({ kind }) => kind === 'drive');
  const uses: DayTask['uses'] = [];
  if (last.oven)
    uses.push({
      resource: 'oven',
      amount: 1,
      when: 'wait',
      leadMin: Math.max(...baked.map(({ oven }) => oven!.leadMin)),
    });
  if (steps.some(isMachined)) uses.push({ resource: 'mixer', amount: 1, when: 'hands' });
  const isChilled = waitMin > 0 && !last.oven && isForCold(last);
  if (last.hold) {
    if (waitMin > 0 && isInFridge(last.hold.place))
      uses.push({ resource: 'fridge', amount: last.hold.highMm, when: 'wait' });
  } else if (isChilled) {
    const i = build.tiers.findIndex((tier) => tier.id === line.tierId);
    const high = i >= 0 ? plan.tiers[i]!.stack.finishedMm : plan.tally.heightMm;
    uses.push({ resource: build.day.chillIn, amount: high + overTierMm, when: 'wait' });
  }
  let id = first!.key;
  for (let n = 2; known.some((task) => task.id === id); n++) id = `${first!.key}~${n}`;
  const tiers = [...new Set(steps.flatMap(({ tierId }) => tierId ?? []))];
  return {
    id,
    stepKeys: steps.map((step) => step.key),
    title:
      line.load === null
        ? titleOf(own)
        : loadTitle(own, tiers, build, plan.oven?.loads.length ?? 1),
    chapter: first!.chapter,
    tierId: line.load === null ? line.tierId : tiers.length === 1 ? tiers[0]! : null,
    line,
    handsMin: Math.round(own.reduce((sum, step) => sum + step.handsOnMin, 0)),
    again:
      cooled.length > 0
        ? {
            handsMin: Math.round(cooled.reduce((sum, step) => sum + step.handsOnMin, 0)),
            // the others of a load cool on while what was coldest first is cut
            waitMin: Math.round(Math.min(...cooled.map(waitOf))),
          }
        : null,
    waitMin: Math.round(waitMin + (road ? build.journey.minutes : 0)),
    uses,
    ...(cooled.length > 0 ? { bakes: tiers } : {}),
    after: [],
  };
}

/** "Foundation: level and split cake 1, and 5 more" */
const titleOf = (steps: readonly Step[]): string =>
  steps.length === 1 ? steps[0]!.title : `${steps[0]!.title}, and ${steps.length - 1} more`;

/** "Foundation, Lantern: mix and bake", with which load that is where there are several. */
function loadTitle(
  steps: readonly Step[],
  tierIds: readonly string[],
  { tiers }: Build,
  loads: number,
): string {
  const does = steps.some(({ kind }) => kind === 'mix') ? 'mix and bake' : 'bake what waited';
  const names = tiers.filter(({ id }) => tierIds.includes(id)).map(({ name }) => name);
  const whole =
    tiers.length === 1
      ? does.charAt(0).toUpperCase() + does.slice(1)
      : `${names.join(', ')}: ${does}`;
  return loads === 1 ? whole : `${whole} (load ${steps[0]!.line.load! + 1} of ${loads})`;
}

/** A tin that came out is emptied, washed and cold again after so long, min (estimate). */
const tinFreeMin = 15;

/**
 * What a tier is stacked from is there before it is begun: cakes cold, discs and crepes made. Batter
 * that waits for a later load stands no longer than it can, and tins come out of one load before they
 * go into the next.
 */
function linkMade(
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
        const beforeMin = steps.slice(0, lined).reduce((sum, one) => sum + one.handsOnMin, 0);
        link(made, tins.id, tinFreeMin - tins.again!.waitMin - Math.round(beforeMin), null);
      }
    }
  }
}

/** A bowl is made before the first task that takes from it, and not longer before than it keeps. */
function linkBowls(
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

/** Syrup has cooled before the first layer of a soaked tier is filled. */
function linkSyrup(tasks: readonly DayTask[], tiers: Timed['tiers']): void {
  const made = tasks.findLast(({ line }) => line?.batchId === syrupBatch);
  if (!made) return;
  for (const { tierId, soak } of tiers)
    if (soak.some(({ ml }) => ml > 0))
      userOf(tasks, 'gap', tierId)?.after.push({
        id: made.id,
        leastMin: 0,
        mostMin: syrupKeepsMin,
      });
}

/** What was made ready is there before what takes it, and not longer than it stays fresh. */
function linkPrepared(tasks: readonly DayTask[], stepAt: ReadonlyMap<string, Step>): void {
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
    for (const user of tasks)
      if (user.line && isMadeReadyFor(wanted, user.line) && user.stepKeys.some(takesIt))
        user.after.push({ id: made.id, leastMin: 0, mostMin: step.keepsMin });
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

/** The chain at the end begins when every tier and every tray is done. */
function linkCake(
  tasks: readonly DayTask[],
  lastOf: ReadonlyMap<string, DayTask>,
  firstOf: ReadonlyMap<string, DayTask[]>,
): void {
  const [first] = firstOf.get(cakeLine.id) ?? [];
  if (!first) return;
  for (const [lineId, last] of lastOf) {
    if (lineId === cakeLine.id || last.line?.batchId) continue;
    first.after.push({ id: last.id, leastMin: 0, mostMin: null });
  }
  // a bowl that nothing is known to take from is made before the end
  for (const last of lastOf.values())
    if (last.line?.batchId && !tasks.some((task) => task.after.some(({ id }) => id === last.id)))
      first.after.push({ id: last.id, leastMin: 0, mostMin: null });
}

/** Out of the fridge, and standing until it is cut. */
const servingTask = (step: Step, last: DayTask | null, waitMin: number): DayTask => ({
  id: step.key,
  stepKeys: [step.key],
  title: 'Out of the fridge, to stand until it is cut',
  chapter: step.chapter,
  tierId: null,
  line: cakeLine,
  handsMin: Math.round(step.handsOnMin),
  waitMin,
  again: null,
  uses: [],
  after: last ? [{ id: last.id, leastMin: 0, mostMin: null }] : [],
});

/** The user's own tasks among them, and minutes by the user's own clock. */
function withOwn(tasks: readonly DayTask[], { day }: Build): DayTask[] {
  const pins = new Map(day.pinned.map(({ taskId, startMin }) => [taskId, startMin]));
  const own = new Map(day.minutes.map(({ taskId, handsMin }) => [taskId, handsMin]));
  const all = tasks.map((task) => ({
    ...task,
    handsMin: own.get(task.id) ?? task.handsMin,
    after: [...task.after],
    ...(pins.has(task.id) ? { pinMin: pins.get(task.id)! } : {}),
  }));
  const last = all.at(-1);
  for (const task of day.own) {
    const after = task.after !== null && all.some((one) => one.id === task.after);
    all.push({
      id: task.id,
      stepKeys: [],
      title: task.title,
      chapter: 'Own',
      tierId: null,
      handsMin: task.handsMin,
      waitMin: task.waitMin,
      again: null,
      uses: [],
      ...(pins.has(task.id) ? { pinMin: pins.get(task.id)! } : {}),
      after: after ? [{ id: task.after!, leastMin: 0, mostMin: null }] : [],
    });
    const before = all.find((one) => one.id === task.before) ?? last;
    if (before && before.id !== task.id)
      before.after.push({ id: task.id, leastMin: 0, mostMin: null });
  }
  return all;
}
