import type { Step } from '../bench/steps.ts';
import type { Build, Tier } from '../document/types.ts';
import { coatDepthMm, coldestCoatC, shellMm, shellTargets } from '../heat/cooling.ts';
import { Warmth, type Around } from '../heat/warmth.ts';
import type { Kitchen } from '../pantry/types.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { tierMass } from '../times/tier-times.ts';
import { valueOf } from '../working/staged.ts';
import { eventsOf, joined, type CourseOf, type CourseStretch } from './course-events.ts';
import { partsAtStacking, togetherC, type PartWarmth } from './part-warmth.ts';

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
  /** What runs was reckoned over another coat than it meets. */
  isOff: boolean;
}

/** How warm one tier is from its first layer on the board to the table. */
export interface TierCourse {
  tierId: string;
  tierName: string;
  /** What it is stacked from, and how warm all of that is together, C. */
  parts: PartWarmth[];
  stackedC: number;
  points: { atMin: number; outsideC: number; middleC: number }[];
  stretches: CourseStretch[];
  gates: CourseGate[];
}

/** A hair warmer than asked is as good, K. */
const nearK = 1.5;
/** What runs stops where it should over a coat no further from what it was reckoned over, K. */
const offK = 1.5;
/** One point of the course, min. */
const pointMin = 10;

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

function courseOf(of: CourseOf, tier: Tier, plan: TierPlan): TierCourse | null {
  const { build } = of;
  const { kitchen } = of.pantry;
  const events = eventsOf(of, tier);
  const [first] = events;
  if (!first) return null;
  const roomC = build.brief.kitchenC ?? kitchen.roomC;
  const around = aroundOf(build, kitchen, roomC);
  const parts = partsAtStacking(tier, plan, { of, roomC, atMin: first.fromMin });
  const stackedC = togetherC(parts) ?? roomC;
  const warmth = new Warmth(tierMass(tier, plan), stackedC);
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
      const isOwn = step.tierId === tier.id;
      hasFlowed ||= isOwn && isFlow(step);
      isCarved ||= isOwn && step.kind === 'cut';
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
        isOff: false,
      });
  }
  const stretches = events.map(({ fromMin, toMin, place }) => ({ fromMin, toMin, place }));
  return {
    tierId: tier.id,
    tierName: tier.name,
    parts,
    stackedC,
    points,
    stretches: joined(stretches),
    gates,
  };
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

const isFlow = ({ kind }: Step): boolean => kind === 'pour' || kind === 'drip' || kind === 'flood';

type Asked = Pick<CourseGate, 'what' | 'depthMm' | 'wantedC'> & {
  /** The coat that drips or pour were reckoned over, C. */
  reckonedC?: number;
};

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
    return {
      what: 'flow',
      depthMm: coatDepthMm,
      wantedC: coldestCoatC(poured.coatC, kitchen),
      reckonedC: poured.coatC,
    };
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

const met = (
  { reckonedC, ...asked }: Asked,
  step: Step,
  atMin: number,
  warmth: Warmth,
  cold: Around,
): CourseGate => {
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
    isOff: reckonedC !== undefined && Math.abs(foundC - reckonedC) > offK,
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
