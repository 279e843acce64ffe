import { isNaked } from '../document/edit.ts';
import type { Build } from '../document/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import type { SupportPlan } from './support.ts';

/** One way to get there, with the least margin over a hard stop that it leaves. */
export interface Way {
  title: string;
  margin: number;
  isNow: boolean;
}

/**
 * Ways to be compared: as it stands and warms, fridge-cold all the way, with a rod, and every tier in
 * a box of its own. With a rod the tiers cannot leave each other: what is left is the cake on its board.
 */
export function waysOf({ journey }: Build, plan: SupportPlan): Way[] {
  const whole = plan.whole.tipping?.margin ?? Infinity;
  const stacked = (margin: (tier: SupportPlan['tiers'][number]) => number): number =>
    Math.min(whole, ...plan.tiers.map(margin));
  const atHome = journey.stackAt === 'home';
  return [
    {
      title: 'stacked, as warm as it gets',
      margin: stacked(({ tipping, sliding }) =>
        Math.min(tipping.margin, sliding?.margin ?? Infinity),
      ),
      isNow: atHome && !plan.rod,
    },
    {
      title: 'stacked, fridge-cold all the way',
      margin: stacked(({ tipping, slidingCold }) =>
        Math.min(tipping.margin, slidingCold?.margin ?? Infinity),
      ),
      isNow: false,
    },
    { title: 'stacked, with a rod in the board', margin: whole, isNow: atHome && !!plan.rod },
    {
      title: 'each tier in its own box, stacked there',
      margin: Math.min(...plan.tiers.map(({ alone }) => alone.margin)),
      isNow: !atHome,
    },
  ];
}

/** Where to put the tiers on each other, with the reason; null for a single tier. */
export function stackingAdvice(build: Build, plan: SupportPlan): Phrase | null {
  if (build.tiers.length === 1) return null;
  if (plan.rod)
    return phrase('Stack it at home: the rod holds the tiers to each other and to the board.');
  if (plan.rodWantedBy.length === 0)
    return phrase('Stack it at home: it stands twice a hard braking as it is.');
  const [asIs, , , apart] = waysOf(build, plan);
  return apart!.margin > asIs!.margin
    ? phrase(
        'Stack it there: apart, the tiers stand {apart} times a hard braking, stacked only {stacked} times. Or take a rod.',
        { apart: [apart!.margin, 'margin'], stacked: [asIs!.margin, 'margin'] },
      )
    : phrase('Take a rod: apart, the tiers stand no more than stacked.');
}

/** Something to take along for repairs on arrival. */
export interface Kit {
  what: string;
  /** Grams, where it is weighed. */
  massG: number | null;
}

/** What is worth having along: more of the coat for seams, the nozzle of each border, tools and spares. */
export function kitOf(build: Build, spareG: number | null): Kit[] {
  const dowelled = build.tiers.some((tier) => tier.stand.dowels !== null);
  return [
    ...(build.tiers.every(isNaked)
      ? []
      : [{ what: 'frosting of the coat, bagged', massG: spareG }]),
    ...build.piping.map((job) => ({ what: `a bag for ${job.name}`, massG: null })),
    ...(build.tiers.some((tier) => tier.drip)
      ? [{ what: 'the drip in what it is run from', massG: null }]
      : []),
    { what: 'small offset spatula, scraper, level, paper towels, gloves', massG: null },
    ...(dowelled ? [{ what: 'one spare dowel of each length, and cutters', massG: null }] : []),
    ...(build.tiers.some((tier) => tier.toppings.length > 0)
      ? [{ what: 'a few of each topping', massG: null }]
      : []),
    { what: 'the cutting map with the list of parts that come out', massG: null },
  ];
}
