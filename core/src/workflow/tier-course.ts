import type { Step } from '../bench/steps.ts';
import type { DayTask, Placed } from '../day/types.ts';
import type { Build, Tier } from '../document/types.ts';
import { coatDepthMm, coldestCoatC, shellMm, shellTargets } from '../heat/cooling.ts';
import { Warmth, type Around } from '../heat/warmth.ts';
import type { Kitchen } from '../pantry/types.ts';
import type { CakePlan } from '../plan/plan-types.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { tierMass } from '../times/tier-times.ts';
import { valueOf } from '../working/staged.ts';
import { cakeLine, tierLine } from './operation.ts';

/** Where a tier stands for a while, min before the deadline. */
export interface CourseStretch {
  fromMin: number;
  toMin: number;
  place: 'room' | 'fridge' | 'freezer' | 'car' | 'venue';
}

/** What the work asks of a tier's warmth when a step begins, and what it is by the plan of the days. */
export interface CourseGate {
  stepKey: string;
  title: string;
  atMin: number;
  /** The next coat, what runs, the knife, the road, the table. */
  what: 'coat' | 'flow' | 'carve' | 'leave' | 'eat';
  /** How deep from the outside it is read, mm. */
  depthMm: number;
  /** No warmer than this, C; null where nothing is asked. */
  wantedC: number | null;
  foundC: number;
  middleC: number;
  /** So much longer in the cold before it is as cold as that: 0 when it is, null when it never gets there. */
  moreMin: number | null;
}

/** How warm one tier is from its first layer on the board to the table. */
export interface TierCourse {
  tierId: string;
  tierName: string;
  points: { atMin: number; outsideC: number; middleC: number }[];
  stretches: CourseStretch[];
  gates: CourseGate[];
}

/** What a course is made from. */
export interface CourseOf {
  build: Build;
  plan: Pick<CakePlan, 'tiers'>;
  steps: readonly Step[];
  tasks: readonly DayTask[];
  placed: readonly Placed[];
  kitchen: Kitchen;
}

/** A hair warmer than asked is as good, K. */
const nearK = 1.5;
/** One point of the course, and a shorter gap between tasks is no way to the fridge and back, min. */
const pointMin = 10;
const shortGapMin = 10;

/**
 * How warm each tier is through its days (docs/model.md#the-day): out of the cold while hands are on it,
 * in the cold between, on the road and at the table; each coat that is laid on warms it. What a thermometer
 * read at one of its steps stands in place of what was reckoned, for all that follows.
 */
export function tierCourses(of: CourseOf): TierCourse[] {
  return of.build.tiers.flatMap((tier, i) => {
    const course = courseOf(of, tier, of.plan.tiers[i]!);
    return course ? [course] : [];
  });
}

/** One thing that happens to a tier: a while in a place, with the step that it is, if any. */
interface Event extends CourseStretch {
  step: Step | null;
  /** A wait for something, with the hands off it. */
  isWait: boolean;
}

function courseOf(of: CourseOf, tier: Tier, plan: TierPlan): TierCourse | null {
  const { build, kitchen } = of;
  const events = eventsOf(of, tier);
  const [first] = events;
  if (!first) return null;
  const roomC = build.brief.kitchenC ?? kitchen.roomC;
  const around = aroundOf(build, kitchen, roomC);
  const warmth = new Warmth(tierMass(tier, plan), startC(tier, plan, kitchen, roomC));
  const points: TierCourse['points'] = [];
  const gates: CourseGate[] = [];
  const point = (atMin: number): void => {
    points.push({ atMin, outsideC: warmth.shellC(shellMm), middleC: warmth.middleC });
  };
  point(first.fromMin);
  let hasFlowed = false;
  let isCarved = false;
  for (const event of events) {
    const { step, isWait } = event;
    if (step && !isWait) {
      const gate = gateOf(step, tier, build, kitchen, { hasFlowed, isCarved });
      if (gate) gates.push(met(gate, step, event.fromMin, warmth, around[build.day.chillIn]));
      hasFlowed ||= isFlow(step);
      isCarved ||= step.kind === 'cut';
    }
    const reading = step && isWait ? readingOf(step, build) : null;
    const length = event.toMin - event.fromMin;
    for (let done = 0; done < length - 1e-9;) {
      const turn = Math.min(pointMin, length - done);
      if (reading && reading.afterMin >= done && reading.afterMin < done + turn)
        warmth.read(coatDepthMm, reading.tempC);
      warmth.pass(turn, around[event.place]);
      done += turn;
      point(event.fromMin + done);
    }
    if (reading && reading.afterMin >= length) warmth.read(coatDepthMm, reading.tempC);
    if (step && !isWait) lay(warmth, step, tier, plan, roomC);
    if (step?.kind === 'cut and serve' && isWait)
      gates.push({
        stepKey: step.key,
        title: step.title,
        atMin: event.toMin,
        what: 'eat',
        depthMm: shellMm,
        wantedC: null,
        foundC: warmth.shellC(shellMm),
        middleC: warmth.middleC,
        moreMin: 0,
      });
  }
  const stretches = events.map(({ fromMin, toMin, place }) => ({ fromMin, toMin, place }));
  return { tierId: tier.id, tierName: tier.name, points, stretches: joined(stretches), gates };
}

/** What happens to a tier in the order of time, from its first layer on the board; the gaps are in the cold. */
function eventsOf({ build, steps, tasks, placed }: CourseOf, tier: Tier): Event[] {
  const stepAt = new Map(steps.map((step) => [step.key, step]));
  const own = tierLine(tier.id).id;
  const events: Event[] = [];
  let isOut = false;
  let isAway = false;
  for (const at of [...placed].sort((a, b) => a.startMin - b.startMin)) {
    const task = tasks.find(({ id }) => id === at.id);
    if (!task || (task.line?.id !== own && task.line?.id !== cakeLine.id)) continue;
    const hands = task.stepKeys.flatMap((key) => stepAt.get(key) ?? []);
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
    const last = hands.at(-1) ?? null;
    if (last?.kind === 'drive') isAway = true;
    if (isOut && at.endMin > at.handsEndMin)
      events.push({
        fromMin: at.handsEndMin,
        toMin: at.endMin,
        place: waitPlace(task, last, build, isAway),
        step: last,
        isWait: true,
      });
  }
  return withGaps(events, build);
}

const waitPlace = (
  { uses }: DayTask,
  last: Step | null,
  build: Build,
  isAway: boolean,
): CourseStretch['place'] => {
  if (uses.some(({ resource }) => resource === 'freezer')) return 'freezer';
  if (uses.some(({ resource }) => resource === 'fridge')) return 'fridge';
  if (last?.kind === 'drive') return 'car';
  return isAway || last?.kind === 'cut and serve' ? 'venue' : 'room';
};

/** Between tasks it stands in the cold; a few minutes it is left where it is. */
function withGaps(events: readonly Event[], build: Build): Event[] {
  return events.flatMap((event, i): Event[] => {
    const next = events[i + 1];
    if (!next || next.fromMin - event.toMin < 1e-6) return [event];
    const isShort = next.fromMin - event.toMin < shortGapMin;
    const place = isShort ? event.place : event.place === 'freezer' ? 'freezer' : 'fridge';
    const gap = { fromMin: event.toMin, toMin: next.fromMin, place, step: null, isWait: true };
    return [
      event,
      build.journey.byRoad && event.place === 'car' ? { ...gap, place: 'venue' } : gap,
    ];
  });
}

/** Stretches in one place after each other are one. */
function joined(stretches: readonly CourseStretch[]): CourseStretch[] {
  const all: CourseStretch[] = [];
  for (const stretch of stretches) {
    const last = all.at(-1);
    if (last?.place === stretch.place && stretch.fromMin - last.toMin < 1e-6)
      last.toMin = stretch.toMin;
    else all.push({ ...stretch });
  }
  return all;
}

/** The air of each place: on its board it lets half as much through below. */
function aroundOf(
  build: Build,
  kitchen: Kitchen,
  roomC: number,
): Record<CourseStretch['place'], Around> {
  const still = (tempC: number): Around => ({
    tempC,
    faceW: kitchen.roomW,
    bottomW: kitchen.roomW / 2,
  });
  return {
    room: still(roomC),
    venue: still(build.brief.venueC ?? roomC),
    car: still(build.journey.carC),
    fridge: { tempC: kitchen.fridgeC, faceW: kitchen.fridgeW, bottomW: kitchen.fridgeW / 2 },
    freezer: { tempC: kitchen.freezerC, faceW: kitchen.freezerW, bottomW: kitchen.freezerW / 2 },
  };
}

/** Cold layers and fillings as warm as the room give a stack between the two. */
function startC(tier: Tier, plan: TierPlan, { fridgeC }: Kitchen, roomC: number): number {
  if (tier.stackedAt === 'room') return roomC;
  const filledG = (valueOf(plan.gaps) ?? []).reduce(
    (sum, gap) => sum + gap.damG + gap.fillingG + gap.piecesG + gap.drizzleG,
    0,
  );
  const layersG = (plan.layersG ?? []).reduce((sum, g) => sum + g, 0);
  const all = layersG + filledG;
  return all > 0 ? (layersG * fridgeC + filledG * roomC) / all : fridgeC;
}

const isFlow = ({ kind }: Step): boolean => kind === 'pour' || kind === 'drip' || kind === 'flood';

type Asked = Pick<CourseGate, 'what' | 'depthMm' | 'wantedC'>;

/** What a step asks of the tier when it begins; null for nothing. */
function gateOf(
  step: Step,
  tier: Tier,
  build: Build,
  kitchen: Kitchen,
  { hasFlowed, isCarved }: { hasFlowed: boolean; isCarved: boolean },
): Asked | null {
  const isOwn = step.tierId === tier.id;
  if (isOwn && step.kind === 'coat' && step.key === `${tier.id}/coat`)
    return { what: 'coat', depthMm: coatDepthMm, wantedC: shellTargets['crumb coat firm'] };
  const poured = tier.pour ?? tier.drip;
  if (isOwn && isFlow(step) && !hasFlowed && poured)
    return { what: 'flow', depthMm: coatDepthMm, wantedC: coldestCoatC(poured.coatC, kitchen) };
  if (isOwn && step.kind === 'cut' && !isCarved)
    return { what: 'carve', depthMm: shellMm, wantedC: shellTargets['firm to carve'] };
  if (step.kind === 'drive')
    return {
      what: 'leave',
      depthMm: shellMm,
      wantedC: build.journey.chilled
        ? Math.max(shellTargets['cold for the road'], kitchen.fridgeC)
        : null,
    };
  return null;
}

const met = (asked: Asked, step: Step, atMin: number, warmth: Warmth, cold: Around): CourseGate => {
  const foundC = warmth.shellC(asked.depthMm);
  const isMet = asked.wantedC === null || foundC <= asked.wantedC + nearK;
  return {
    ...asked,
    stepKey: step.key,
    title: step.title,
    atMin,
    foundC,
    middleC: warmth.middleC,
    moreMin: isMet ? 0 : warmth.minutesUntil(asked.depthMm, asked.wantedC! + nearK, cold),
  };
};

/** What is put on at a step brings its own warmth. */
function lay(warmth: Warmth, step: Step, tier: Tier, plan: TierPlan, roomC: number): void {
  if (step.tierId !== tier.id) return;
  const coat = valueOf(plan.coat);
  if (step.kind === 'crumb' && coat) warmth.lay(coat.crumbMm, roomC);
  if (step.kind === 'coat' && coat) warmth.lay(Math.max(coat.sideMm, coat.topMm), roomC);
  if ((step.kind === 'cover' || step.kind === 'panel') && plan.fondant)
    warmth.lay(plan.fondant.mm, roomC);
  const pour = valueOf(plan.finish.pour);
  if (step.kind === 'pour' && pour && tier.pour) warmth.lay(pour.veilMm, tier.pour.fluidC);
  if (step.kind === 'flood' && tier.drip) warmth.lay(tier.drip.floodMm, tier.drip.fluidC, false);
}

/** The last reading of a step's wait: how long after it was begun, by its timer; else at its end. */
function readingOf(step: Step, { bench }: Build): { tempC: number; afterMin: number } | null {
  const last = bench.notes
    .filter(
      ({ stepKey, kind, value }) =>
        stepKey === step.key && kind === 'temperature' && value !== null,
    ) // prettier-ignore
    .sort((a, b) => a.at.localeCompare(b.at))
    .at(-1);
  if (!last) return null;
  const begun = bench.timers.find(({ stepKey }) => stepKey === step.key)?.startedAt;
  const after = begun === undefined ? Infinity : (Date.parse(last.at) - Date.parse(begun)) / 60_000;
  return { tempC: last.value!, afterMin: Math.max(0, after) };
}
