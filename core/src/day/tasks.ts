import type { Step, StepPlace } from '../bench/steps.ts';
import { isMachined } from '../bench/wash.ts';
import type { Bowl } from '../bowls/bowls.ts';
import type { Build } from '../document/types.ts';
import { handsOnOf } from '../labour/hands-on.ts';
import type { Spread } from '../pantry/types.ts';
import type { CakePlan, MakingPlan } from '../plan/plan-types.ts';
import { cakeLine, type Line } from '../workflow/operation.ts';
import { serveKey } from '../workflow/step-keys.ts';
import { soakNeeds } from '../soak/soak-needs.ts';
import { valueOf } from '../working/staged.ts';
import { spongeKeepsMin } from './keeping.ts';
import type { Serving } from './serving.ts';
import { linkBowls, linkCake, linkMade, linkPrepared, linkSoaks, linkWashing } from './links.ts';
import { isCooling, waitOf } from './step-waits.ts';
import type { DayTask } from './types.ts';

/** Hands-on time that is not worth cutting up, min: longer runs of steps become several tasks. */
const mostHandsMin = 100;
/** Room over a tier on its shelf, mm. */
const overTierMm = 30;

/** What of a plan its tasks are made from. */
type Timed = Pick<CakePlan, 'bowls' | 'tiers' | 'tally' | 'oven'> &
  Pick<MakingPlan, 'steps' | 'serving'>;

const isInFridge = (place: StepPlace): boolean =>
  place === 'fridge' || place === 'tray in the fridge';
/** It waits in the cold: everything that is put there, and what sets; not what cools from the oven. */
const isForCold = (step: Step): boolean =>
  !isCooling(step) && step.kind !== 'drive' && step.line.preparedFor === null;
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
    const hands = handsOnOf(now?.steps ?? []);
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
  linkSoaks(tasks, soakNeeds(build.tiers, plan.tiers));
  linkPrepared(tasks, stepAt);
  linkCake(tasks, lastOf, firstOf, stepAt);
  linkWashing(tasks, stepAt);
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
    if (waitMin > 0 && last.hold.place === 'freezer')
      uses.push({ resource: 'freezer', amount: last.hold.highMm, when: 'wait' });
    if (waitMin > 0 && last.hold.place === 'oven')
      uses.push({ resource: 'oven', amount: 1, when: 'wait' });
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
    handsMin: Math.round(handsOnOf(own)),
    again:
      cooled.length > 0
        ? {
            handsMin: Math.round(handsOnOf(cooled)),
            // the others of a load cool on while what was coldest first is cut
            waitMin: Math.round(Math.min(...cooled.map(waitOf))),
          }
        : null,
    waitMin: Math.round(waitMin),
    uses,
    ...(last.kind === 'box' && waitMin > 0 ? { shortestMin: Math.round(waitMin / 2) } : {}),
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

/** The same tasks where the cake stands as long as `serving` says before it is cut. */
export const standingFor = (tasks: readonly DayTask[], serving: Serving | null): DayTask[] =>
  tasks.map((task) => (task.id === serveKey ? { ...task, waitMin: serving?.outMin ?? 0 } : task));

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
