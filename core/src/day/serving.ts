import type { Step } from '../bench/steps.ts';
import type { Build } from '../document/types.ts';
import { servedC, warmMin } from '../heat/cooling.ts';
import { areaMm2 } from '../outline/outline.ts';
import type { Kitchen } from '../pantry/types.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { Remembered } from '../working/remembered.ts';
import { phrase } from '../units/phrase.ts';
import type { OutOfCold } from './clocks.ts';

/** How long the cake stands out of the cold before it is cut: the one figure of bench, day and heat. */
export interface Serving {
  outMin: number;
  /** What the outside of the largest tier would need to be at its best. */
  warmMin: number;
  /** What it is cut short by; null for nothing. */
  shortBy: OutOfCold | null;
}

/** Nobody lets a cake stand longer than this, however large it is, min (trade custom). */
const longestMin = 180;
const stepMin = 5;
const warmed = new Remembered<number>();

/** Minutes until the outer 10 mm of the slowest tier are at 15 C on average, where it is served. */
function warmingMin(build: Build, tiers: readonly TierPlan[], own: Kitchen): number {
  const kitchen = { ...own, roomC: build.brief.venueC ?? build.brief.kitchenC ?? own.roomC };
  if (kitchen.roomC <= servedC + 0.5) return longestMin;
  const each = tiers.map((plan, i) => {
    const { outline } = build.tiers[i]!;
    const stackMl = (areaMm2(outline) * plan.stack.stackMm) / 1000;
    // rounded, so that a hair of filling does not ask for the whole sum anew
    const heightMm = Math.max(10, Math.round(plan.stack.finishedMm / 5) * 5);
    const density = plan.massG === null ? 0.6 : plan.massG / Math.max(1, stackMl);
    const mass = { outline, heightMm, densityGPerMl: Math.round(density * 20) / 20 || 0.05 };
    const key = JSON.stringify([mass, kitchen.roomC, kitchen.fridgeC, kitchen.roomW]);
    return warmed.of(key, () => warmMin(mass, kitchen));
  });
  return Math.min(longestMin, Math.max(...each));
}

/**
 * When to take the cake out of the fridge: as long before as its outside takes to warm up, or as much
 * sooner as its perishable parts have left of their time.
 *
 * @param out time out of the cold without the standing before it is cut
 */
export function planServing(
  build: Build,
  tiers: readonly TierPlan[],
  kitchen: Kitchen,
  out: readonly OutOfCold[],
): Serving {
  const warm = warmingMin(build, tiers, kitchen);
  let shortBy: OutOfCold | null = null;
  let outMin = Math.round(warm / stepMin) * stepMin;
  for (const one of out) {
    const left = Math.max(0, Math.floor((one.mostMin - one.outMin) / stepMin) * stepMin);
    if (left < outMin) [outMin, shortBy] = [left, one];
  }
  return { outMin, warmMin: warm, shortBy };
}

/** Says at the last step when the cake comes out of the fridge. */
export const tellServing = (step: Step, { outMin, shortBy }: Serving): Step => ({
  ...step,
  title: outMin > 0 ? step.title : 'Straight from the fridge, and cut',
  lead: phrase(
    `${outMin > 0 ? 'Out of the cold {out} before it is cut' : 'It comes out of the cold when it is cut'}${shortBy ? `: ${shortBy.name} has been out for {used} of {most} by then` : ''}. A hot, sharp knife for clean slices.`,
    {
      out: [outMin, 'minutes'],
      used: [shortBy?.outMin ?? 0, 'minutes'],
      most: [shortBy?.mostMin ?? 0, 'minutes'],
    },
  ),
});
