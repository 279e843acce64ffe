import { holdsOnSideMm, roomsOf } from '../coat/warm.ts';
import { thicknessOf } from '../coat/thickness.ts';
import { shellReader, slowestShare } from '../heat/body.ts';
import { inRoom, shellMm, shellTargets, type Mass } from '../heat/cooling.ts';
import type { Kitchen } from '../pantry/types.ts';
import type { Work } from '../plan/work.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { ifThere } from '../working/staged.ts';
import { Remembered } from '../working/remembered.ts';

/** How warm the cake is when it gets there, C: the outer 10 mm of the tier that warms soonest, and the middle. */
export interface Arrival {
  /** As it leaves. */
  startC: number;
  skinC: number;
  middleC: number;
  /** Warmest at which every coat stays on its side; null where none slides below 40 C. */
  coatHoldsC: number | null;
}

const warmestTriedC = 40;

const shareOf = (kind: 'skin' | 'middle', mass: Mass, minutes: number, kitchen: Kitchen): number =>
  known.of(JSON.stringify([kind, mass, minutes, kitchen.roomW]), () => {
    const body = inRoom(mass, kitchen);
    return kind === 'skin'
      ? shellReader(body, shellMm)(minutes * 60)
      : slowestShare(body, minutes * 60);
  });
const known = new Remembered<number>();

/**
 * Temperatures on arrival by the heat model: as cold as it was chilled for the road, or from the kitchen's room, into the
 * air of the car for the time of the journey.
 */
export function arrivalOf(tiers: readonly TierPlan[], { build, pantry, spreadOf }: Work): Arrival {
  const { chilled, carC, minutes } = build.journey;
  const { kitchen } = pantry;
  const startC = chilled
    ? Math.max(shellTargets['cold for the road'], kitchen.fridgeC)
    : (build.brief.kitchenC ?? kitchen.roomC);
  const reached = tiers.map((tier, i) => {
    const mass: Mass = {
      outline: build.tiers[i]!.outline,
      heightMm: Math.max(20, Math.round(tier.stack.finishedMm / 5) * 5),
      densityGPerMl: 0.6,
    };
    const at = (kind: 'skin' | 'middle'): number =>
      minutes <= 0
        ? startC
        : carC + (startC - carC) * Math.min(1, shareOf(kind, mass, minutes, kitchen));
    return { skinC: at('skin'), middleC: at('middle') };
  });
  const holds = build.tiers.flatMap((tier) => {
    const spread = ifThere(() => spreadOf(tier.coat.spreadId));
    const { crumbMm, sideMm } = thicknessOf(tier);
    if (!spread || tier.fondant || crumbMm + sideMm <= 0) return [];
    const holdsAt = (c: number): boolean => holdsOnSideMm(spread, c, pantry) >= crumbMm + sideMm;
    if (holdsAt(warmestTriedC)) return [];
    let [low, high] = [0, warmestTriedC];
    while (high - low > 0.25) {
      const middle = (low + high) / 2;
      if (holdsAt(middle)) low = middle;
      else high = middle;
    }
    return [low];
  });
  return {
    startC,
    skinC: Math.max(...reached.map(({ skinC }) => skinC)),
    middleC: Math.max(...reached.map(({ middleC }) => middleC)),
    coatHoldsC: holds.length > 0 ? Math.min(...holds) : null,
  };
}

/** The warmest the cake gets while it is on its way or stands at the venue, C. */
export function warmestC(arrival: Arrival | null, { build, pantry }: Work): number {
  if (arrival && build.journey.byRoad) return arrival.skinC;
  return build.journey.chilled
    ? pantry.kitchen.fridgeC
    : Math.max(...roomsOf(build, pantry.kitchen.roomC).map((room) => room.tempC));
}
