import { pipingSpreadId } from '../document/edit.ts';
import type { PipingJob, Tier } from '../document/types.ts';
import { roomsOf } from '../coat/warm.ts';
import { lieOn } from '../carve/tops.ts';
import { mouldFaces } from '../mould/mould.ts';
import { lieWithin } from '../mould/rim.ts';
import { areaMm2, type Outline } from '../outline/outline.ts';
import { findRow } from '../pantry/find.ts';
import type { Spread } from '../pantry/types.ts';
import type { TierWork, Work } from '../plan/work.ts';
import type { BareTier } from '../plan/tier-plan.ts';
import type { FinishPlan } from './finish-plan.ts';
import { collect, enter, type Collected } from '../working/collected.ts';
import { Known } from '../working/known.ts';
import { attempt, ifThere, valueOf } from '../working/staged.ts';
import { factorOf } from '../hand/corrections.ts';
import { enterFinish } from './finish-figures.ts';
import { planDrips, planPour, type DripPlan, type Side } from './drips.ts';
import { borderTopMm, planPiping, type PlannedPiping } from './piping.ts';
import { planToppings, type Top } from './toppings.ts';
import { warnOfDrips, warnOfPiping, warnOfPour, warnOfToppings } from './finish-cautions.ts';

/** The finish of a whole build: what is piped, and what is on each tier. */
export interface Finish {
  piping: PlannedPiping[];
  tiers: FinishPlan[];
}

const outlineAbove = (tiers: readonly BareTier[], i: number) => tiers[i + 1]?.finished ?? null;

/** Piping first, since drips end at a border; then each tier from the bottom up. */
export function planFinish(tiers: readonly BareTier[], work: Work): Finish {
  const { build, cautions, spreadOf } = work;
  const on = tiers.map(({ tierId, finished, rim, stack }) => ({
    tierId,
    finished,
    rim,
    heightMm: stack.finishedMm,
  }));
  const piping = build.piping.map((job) => {
    const spread = pipingSpreadId(build, job);
    const density = ifThere(() => spreadOf(spread))?.densityGPerMl ?? 1;
    const under = on.find(({ tierId }) => tierId === job.piped?.tierId);
    return pipingKnown.of(
      job,
      [spread, density, under?.finished, under?.rim, under?.heightMm],
      () => planPiping(job, spread, under ?? null, density),
    );
  });
  const pieces = new Map(piping.map((job) => [job.id, job.pieces]));
  const roomC = Math.max(...roomsOf(build, work.pantry.kitchen.roomC).map((room) => room.tempC));
  const finishes = tiers.map((plan, i) => {
    const tier = build.tiers[i]!;
    const beside: Beside = {
      above: outlineAbove(tiers, i),
      borderMm: borderTopMm(piping, tier.id),
      foot: i === 0 ? 'the board' : 'the tier below',
      roomC,
    };
    const { pantry, corrections } = work;
    // pieces of other jobs count only where a topping is counted by them
    const counts = tier.toppings.map(({ linkedTo }) => linkedTo && pieces.get(linkedTo));
    const known = finishesKnown.of(
      plan,
      [tier, pantry, corrections, ...(Object.values(beside) as unknown[]), ...counts],
      () => collect(work, (own) => finishTier(tier, plan, beside, pieces, own)),
    );
    return enter(work, known);
  });
  warnOfPiping(piping, cautions);
  return { piping, tiers: finishes };
}

const pipingKnown = new Known<PipingJob, PlannedPiping>(2);

/** What a tier's finish takes from what is round it. */
interface Beside {
  /** Outline of the tier that stands on it. */
  above: Outline | null;
  /** Top of the border at its foot, mm; 0 for none. */
  borderMm: number;
  foot: 'the board' | 'the tier below';
  /** The warmest room it comes to. */
  roomC: number;
}
export const finishesKnown = new Known<BareTier, Collected<FinishPlan>>();

function finishTier(
  tier: Tier,
  plan: BareTier,
  { above, borderMm: border, foot, roomC }: Beside,
  pieces: ReadonlyMap<string, number>,
  work: TierWork,
): FinishPlan {
  const { pantry, cautions, book } = work;
  const coatSpread = ifThere(() => work.spreadOf(tier.coat.spreadId));
  const side: Side = {
    finished: plan.finished,
    rim: plan.rim,
    heightMm: plan.stack.finishedMm,
    coatSpread: tier.fondant ? null : coatSpread,
    endsAt: border > 0 ? { what: 'a border', mm: border } : { what: foot, mm: 0 },
    takenMm2: above ? areaMm2(above) : 0,
    ...(plan.mould ? { faces: mouldFaces(plan.mould, plan.stack.finishedMm) } : {}),
  };
  const drip = attempt('finish', `${tier.id}/drip`, cautions, () =>
    tier.drip
      ? planDrips(
          tier.drip,
          findRow(pantry, 'ganaches', tier.drip.ganacheId),
          side,
          pantry.foods,
          factorOf(work.corrections, 'drip'),
        )
      : null,
  );
  const pour = attempt('finish', `${tier.id}/pour`, cautions, () =>
    tier.pour
      ? planPour(tier, findRow(pantry, 'ganaches', tier.pour.ganacheId), side, pantry.foods)
      : null,
  );
  const dripPlan = valueOf(drip);
  const pourPlan = valueOf(pour);
  const toppings = planToppings(
    tier.toppings,
    {
      finished: plan.finished,
      rim: plan.rim.outline,
      lieAt: lieOf(plan),
      above,
      spread: topSpread(tier, dripPlan, work),
      tempC: roomC,
      highMm: plan.stack.finishedMm,
      sideSpread: tier.fondant ? null : coatSpread,
      spreadOf: (id) => ifThere(() => work.spreadOf(id)),
    },
    pieces,
  );
  const finish: FinishPlan = {
    drip,
    pour,
    toppings,
    massG:
      (dripPlan?.onCakeG ?? 0) +
      (pourPlan?.staysG ?? 0) +
      toppings.reduce((sum, one) => sum + one.massG, 0),
  };
  if (tier.drip && dripPlan) warnOfDrips(tier, dripPlan, coatSpread, cautions);
  if (tier.pour && pourPlan) warnOfPour(tier, pourPlan, cautions);
  warnOfToppings(tier, toppings, cautions);
  book.later((page) => enterFinish(tier, dripPlan, pourPlan, toppings, page));
  return finish;
}

/** How something lies on the top of a tier: as it was carved, or as its mould rounded it off. */
function lieOf({ carve, rim }: BareTier): Top['lieAt'] {
  const tops = carve?.result?.tops;
  return tops ? (x, y) => lieOn(tops, x, y) : (x, y) => lieWithin(rim, Math.hypot(x, y));
}

/** What lies uppermost on a tier. */
function topSpread(tier: Tier, drip: DripPlan | null, work: TierWork): Spread | null {
  if (tier.fondant) return null;
  const id =
    drip && tier.drip!.floodMm > 0 ? drip.spreadId : (tier.coat.topSpreadId ?? tier.coat.spreadId);
  return ifThere(() => work.spreadOf(id));
}
