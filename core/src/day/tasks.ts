import { stepOfUse } from '../bench/bowl-run.ts';
import type { Step } from '../bench/steps.ts';
import type { Bowl } from '../bowls/bowls.ts';
import type { Build } from '../document/types.ts';
import type { CoolPlace, Spread } from '../pantry/types.ts';
import type { CakePlan, MakingPlan } from '../plan/plan-types.ts';
import { ifThere, valueOf } from '../working/staged.ts';
import { keepingRows, spongeKeepsMin, syrupKeepsMin } from './keeping.ts';
import type { DayTask } from './types.ts';

/** Hands-on time that is not worth cutting up, min: longer runs of steps become several tasks. */
const mostHandsMin = 100;
/** Room over a tier on its shelf, mm. */
const overTierMm = 30;
/** The end of the run sheet is one chain, whatever tier a step is about. */
const lastChapters = ['Support', 'Finish', 'Serve'];

/** What of a plan its tasks are made from. */
type Timed = Pick<CakePlan, 'bowls' | 'tiers' | 'tally'> & Pick<MakingPlan, 'steps' | 'serving'>;

interface Lane {
  id: string;
  tierId: string | null;
  bowlId: string | null;
}

function laneOf(step: Step, tierIds: readonly string[]): Lane {
  const [head = '', second = ''] = step.key.split('/');
  if (step.key.startsWith('cut/')) return { id: 'saw', tierId: null, bowlId: null };
  if (head === 'bowl') return { id: `bowl/${second}`, tierId: null, bowlId: second };
  if (second === 'tray') return { id: `tray/${head}`, tierId: null, bowlId: null };
  if (!lastChapters.includes(step.chapter) && tierIds.includes(head))
    return { id: head, tierId: head, bowlId: null };
  // dowels and boards half-way up come while a tier is stacked
  const inTier = tierIds.find((id) => step.key.startsWith(`in/${id}/`));
  if (inTier && !lastChapters.includes(step.chapter))
    return { id: inTier, tierId: inTier, bowlId: null };
  return { id: 'cake', tierId: null, bowlId: null };
}

const isBaking = (step: Step): boolean => step.key.endsWith('/bake');
/** It takes the mixer, whatever is made in it. */
const isMachined = (step: Step): boolean =>
  step.chapter === 'Bowls' && step.hazards.includes('running machine');
const isInFridge = (place: CoolPlace): boolean =>
  place === 'fridge' || place === 'tray in the fridge';
const isCooling = (step: Step): boolean => step.key.endsWith('/cool');
/** Steps that count parts out come at the table, after all that is planned here. */
const isAtTable = (step: Step): boolean => step.key.startsWith('out/') || step.key === 'serve';

/**
 * The tasks of a build, from its run sheet (docs/model.md#the-day): steps one after the other with one pair
 * of hands become one task, up to the next wait. Bowls are made before what uses them; a tier's own
 * tasks follow each other; the end of the sheet is one chain after all tiers. Hands-on minutes by the
 * user's own clock stand in place of the plan's.
 */
export function dayTasks(build: Build, plan: Timed, spreadOf: (id: string) => Spread): DayTask[] {
  const steps = valueOf(plan.steps);
  if (!steps) return [];
  const tierIds = build.tiers.map((tier) => tier.id);
  const stepAt = new Map(steps.map((step) => [step.key, step]));
  const tasks: DayTask[] = [];
  const open = new Map<string, { lane: Lane; steps: Step[] }>();
  const lastOf = new Map<string, DayTask>();
  const firstOf = new Map<string, DayTask[]>();
  const close = (laneId: string): void => {
    const group = open.get(laneId);
    if (!group || group.steps.length === 0) return;
    open.delete(laneId);
    const task = taskOf(group.lane, group.steps, build, plan, tasks);
    const before = lastOf.get(laneId);
    if (before) {
      const baked = before.stepKeys.at(-1)!.endsWith('/cool');
      const keepsMin = stepAt.get(before.stepKeys.at(-1)!)?.keepsMin ?? null;
      task.after.push({
        id: before.id,
        leastMin: 0,
        mostMin: baked ? spongeKeepsMin : keepsMin,
      });
    }
    lastOf.set(laneId, task);
    firstOf.set(laneId, [...(firstOf.get(laneId) ?? []), task]);
    tasks.push(task);
  };
  const soon = usedSoon(steps, valueOf(plan.bowls) ?? []);
  for (const step of steps) {
    if (isAtTable(step)) continue;
    const lane = laneOf(step, tierIds);
    const now = open.get(lane.id);
    const hands = now?.steps.reduce((sum, one) => sum + one.handsOnMin, 0) ?? 0;
    const turnsPage = now && now.steps.at(-1)!.chapter !== step.chapter;
    const isLong = hands + step.handsOnMin > mostHandsMin && !isCooling(step);
    const isSoon = soon.has(step.key) && !now?.steps.some(({ key }) => soon.has(key));
    if (now && (turnsPage || isLong || isSoon)) close(lane.id);
    const group = open.get(lane.id) ?? { lane, steps: [] };
    group.steps.push(step);
    open.set(lane.id, group);
    // a tin comes out the moment it is done: turning out belongs to the baking
    const isOven = isBaking(step);
    if (step.timer && step.timer.minutes >= 10 && !isOven) close(lane.id);
  }
  for (const id of [...open.keys()]) close(id);
  linkBowls(tasks, valueOf(plan.bowls) ?? [], spreadOf, stepAt);
  linkSyrup(tasks, plan.tiers);
  linkCake(tasks, lastOf, firstOf);
  const table = steps.find((step) => step.key === 'serve');
  if (table) {
    tasks.push(servingTask(table, lastOf.get('cake') ?? null, plan.serving?.outMin ?? 0));
  }
  return withOwn(tasks, build);
}

/** What must be used within this of being made is made right before its own task begins, min. */
const soonMin = 60;

/** The steps that use what does not wait: a task begins with the first of them. */
function usedSoon(steps: readonly Step[], bowls: readonly Bowl[]): Set<string> {
  const short = new Set(
    steps.flatMap(({ key, keepsMin }) =>
      keepsMin !== null && keepsMin <= soonMin ? [key.split('/')[1]!] : [],
    ),
  );
  return new Set(
    bowls
      .filter(({ id, batchId }) => short.has(id) || short.has(batchId))
      .flatMap(({ uses }) => uses.flatMap((use) => stepOfUse(use) ?? [])),
  );
}

function taskOf(
  lane: Lane,
  steps: readonly Step[],
  build: Build,
  plan: Timed,
  known: readonly DayTask[],
): DayTask {
  const [first] = steps;
  const cooled = isCooling(steps.at(-1)!) && steps.some(isBaking) ? steps.at(-1)! : null;
  const own = cooled ? steps.slice(0, -1) : steps;
  const last = own.at(-1)!;
  const waitMin = last.timer && last.timer.minutes >= 10 ? last.timer.minutes : 0;
  const road = steps.some((step) => step.key === 'road');
  const uses: DayTask['uses'] = [];
  if (isBaking(last)) uses.push({ resource: 'oven', amount: 1, when: 'wait' });
  if (steps.some((step) => step.key.endsWith('/mix') || isMachined(step)))
    uses.push({ resource: 'mixer', amount: 1, when: 'hands' });
  const isChilled = waitMin > 0 && !isBaking(last) && !isCooling(last);
  if (last.hold) {
    if (waitMin > 0 && isInFridge(last.hold.place))
      uses.push({ resource: 'fridge', amount: last.hold.highMm, when: 'wait' });
  } else if (isChilled) {
    const i = build.tiers.findIndex((tier) => tier.id === lane.tierId);
    const high = i >= 0 ? plan.tiers[i]!.stack.finishedMm : plan.tally.heightMm;
    uses.push({ resource: build.day.chillIn, amount: high + overTierMm, when: 'wait' });
  }
  let id = first!.key;
  for (let n = 2; known.some((task) => task.id === id); n++) id = `${first!.key}~${n}`;
  return {
    id,
    stepKeys: steps.map((step) => step.key),
    title: titleOf(own),
    chapter: first!.chapter,
    tierId: lane.tierId,
    handsMin: Math.round(own.reduce((sum, step) => sum + step.handsOnMin, 0)),
    again: cooled
      ? {
          handsMin: Math.round(cooled.handsOnMin),
          waitMin: Math.round(cooled.timer?.minutes ?? 0),
        }
      : null,
    waitMin: Math.round(waitMin + (road ? build.journey.minutes : 0)),
    uses,
    after: [],
  };
}

/** "Foundation: level and split cake 1, and 5 more" */
function titleOf(steps: readonly Step[]): string {
  const [first] = steps;
  const last = steps.at(-1)!;
  if (steps.length === 1) return first!.title;
  if (isBaking(last))
    return last.title.replace(/bake$/i, (word) =>
      word === 'Bake' ? 'Mix and bake' : 'mix and bake',
    );
  return `${first!.title}, and ${steps.length - 1} more`;
}

/** A bowl is made before the first task that takes from it, and not longer before than it keeps. */
function linkBowls(
  tasks: readonly DayTask[],
  bowls: readonly Bowl[],
  spreadOf: (id: string) => Spread,
  stepAt: ReadonlyMap<string, Step>,
): void {
  const lastOf = new Map<string, DayTask>();
  for (const task of tasks) {
    const [head, bowlId] = task.id.split('/');
    if (head === 'bowl') lastOf.set(bowlId!, task);
  }
  for (const [bowlId, made] of lastOf) {
    const own = bowls.filter((bowl) => bowl.id === bowlId || bowl.batchId === bowlId);
    const spreadId = own[0]?.spreadId;
    const keeps = [
      spreadId ? keepsFor(spreadId, spreadOf) : null,
      stepAt.get(made.stepKeys.at(-1)!)?.keepsMin ?? null,
    ].filter((min) => min !== null);
    const mostMin = keeps.length > 0 ? Math.min(...keeps) : null;
    for (const use of own.flatMap((bowl) => bowl.uses)) {
      const key = stepOfUse(use);
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
  const made = tasks.find(({ id }) => id === 'bowl/syrup/make');
  if (!made) return;
  for (const { tierId, soak } of tiers)
    if (soak.some(({ ml }) => ml > 0))
      userOf(tasks, 'gap', tierId)?.after.push({
        id: made.id,
        leastMin: 0,
        mostMin: syrupKeepsMin,
      });
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
  const [first] = firstOf.get('cake') ?? [];
  if (!first) return;
  for (const [laneId, last] of lastOf) {
    if (laneId === 'cake' || laneId.startsWith('bowl/')) continue;
    first.after.push({ id: last.id, leastMin: 0, mostMin: null });
  }
  // a bowl that nothing is known to take from is made before the end
  for (const [laneId, last] of lastOf)
    if (
      laneId.startsWith('bowl/') &&
      !tasks.some((task) => task.after.some(({ id }) => id === last.id))
    )
      first.after.push({ id: last.id, leastMin: 0, mostMin: null });
}

/** Out of the fridge, and standing until it is cut. */
const servingTask = (step: Step, last: DayTask | null, waitMin: number): DayTask => ({
  id: step.key,
  stepKeys: [step.key],
  title: 'Out of the fridge, to stand until it is cut',
  chapter: step.chapter,
  tierId: null,
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
