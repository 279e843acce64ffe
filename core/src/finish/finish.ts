import type { Tier } from '../build/types.ts';
import { roomsOf } from '../coat/warm.ts';
import { areaMm2 } from '../outline/outline.ts';
import { findRow } from '../pantry/find.ts';
import type { Spread } from '../pantry/types.ts';
import type { Work } from '../plan-tier.ts';
import type { TierPlan } from '../plan-types.ts';
import { attempt, ifThere, valueOf, type Staged } from '../working/staged.ts';
import { factorOf } from '../hand/moves.ts';
import { planDrips, planPour, type DripPlan, type PourPlan, type Side } from './drips.ts';
import { borderTopMm, planPiping, type PlannedPiping } from './piping.ts';
import { planToppings, type ToppingPlan } from './toppings.ts';
import { warnOfDrips, warnOfPiping, warnOfPour, warnOfToppings } from './finish-cautions.ts';

/** What is poured, dripped and put on one tier. */
export interface FinishPlan {
  drip: Staged<DripPlan | null>;
  pour: Staged<PourPlan | null>;
  toppings: ToppingPlan[];
  /** What of it is food and stays on the cake, without the piping, g. */
  massG: number;
}

/** A tier with all but its finish. */
export type BareTier = Omit<TierPlan, 'finish'>;

/** The finish of a whole build: what is piped, and what is on each tier. */
export interface Finish {
  piping: PlannedPiping[];
  tiers: FinishPlan[];
}

const outlineAbove = (tiers: readonly BareTier[], i: number) => tiers[i + 1]?.finished ?? null;

/** Piping first, since drips end at a border; then each tier from the bottom up. */
export function planFinish(tiers: readonly BareTier[], work: Work): Finish {
  const { build, cautions, spreadOf } = work;
  const on = tiers.map(({ tierId, finished, stack }) => ({
    tierId,
    finished,
    heightMm: stack.finishedMm,
  }));
  const piping = build.piping.map((job) =>
    planPiping(
      job,
      build,
      on,
      ifThere(() => spreadOf(job.spreadId ?? build.tiers[0]!.coat.spreadId))?.densityGPerMl ?? 1,
    ),
  );
  const pieces = new Map(piping.map((job) => [job.id, job.pieces]));
  const finishes = tiers.map((plan, i) => finishTier(plan, i, tiers, piping, pieces, work));
  warnOfPiping(piping, cautions);
  return { piping, tiers: finishes };
}

function finishTier(
  plan: BareTier,
  i: number,
  tiers: readonly BareTier[],
  piping: readonly PlannedPiping[],
  pieces: ReadonlyMap<string, number>,
  work: Work,
): FinishPlan {
  const { build, pantry, cautions, book } = work;
  const tier = build.tiers[i]!;
  const above = outlineAbove(tiers, i);
  const coatSpread = ifThere(() => work.spreadOf(tier.coat.spreadId));
  const border = borderTopMm(piping, tier.id);
  const foot = i === 0 ? 'the board' : 'the tier below';
  const side: Side = {
    finished: plan.finished,
    heightMm: plan.stack.finishedMm,
    coatSpread: tier.fondant ? null : coatSpread,
    endsAt: border > 0 ? { what: 'a border', mm: border } : { what: foot, mm: 0 },
    takenMm2: above ? areaMm2(above) : 0,
  };
  const drip = attempt('finish', `${tier.id}/drip`, cautions, () =>
    tier.drip
      ? planDrips(
          tier.drip,
          findRow(pantry, 'ganaches', tier.drip.ganacheId),
          side,
          pantry.foods,
          factorOf(work.moves, 'drip'),
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
      above,
      spread: topSpread(tier, dripPlan, work),
      tempC: Math.max(...roomsOf(build, pantry.kitchen.roomC).map((room) => room.tempC)),
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
  work.workings?.enterFinish(tier, dripPlan, pourPlan, toppings, book);
  return finish;
}

/** What lies uppermost on a tier. */
function topSpread(tier: Tier, drip: DripPlan | null, work: Work): Spread | null {
  if (tier.fondant) return null;
  const id =
    drip && tier.drip!.floodMm > 0 ? drip.spreadId : (tier.coat.topSpreadId ?? tier.coat.spreadId);
  return ifThere(() => work.spreadOf(id));
}
