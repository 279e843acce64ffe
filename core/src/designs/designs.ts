import type { Build } from '../document/types.ts';
import type { Corrections } from '../hand/corrections.ts';
import type { Pantry, Tin } from '../pantry/types.ts';
import { planBuild } from '../plan/plan.ts';
import { nothingCarved } from '../plan/shape.ts';
import { cakeDays } from '../shopping/cake-days.ts';
import { buildFrom, kitchenCake } from './build-from.ts';
import { candidatesFor, mostServed, type Candidate, type Narrowed } from './candidates.ts';
import type { ProportionId } from './proportions.ts';
import { anyFlavour, nothingServes, type Flavour } from './rows.ts';

/** What a customer wishes besides what a brief says. */
export interface Wish extends Narrowed {
  flavour: Flavour;
  /** Tins that are not owned may be bought or borrowed. */
  mayBuy: boolean;
}
export const anyWish: Wish = {
  shape: null,
  tiers: null,
  proportion: null,
  mayKitchen: false,
  mayBuy: false,
  flavour: anyFlavour,
};

/** By what designs are weighed; less is better of each, but for steadiness. */
export interface Weights {
  /** Portions over. */
  over: number;
  handsOnMin: number;
  cost: number;
  heightMm: number;
  /** Braking at which it tips on the road, in g; more is steadier. */
  tipsAtG: number;
}
/** What a design has most of among those that are offered. */
export type Gain =
  'fewest over' | 'least work' | 'cheapest' | 'lowest' | 'tallest' | 'steadiest' | 'most tiers';

/** One whole cake that stands, serves everyone and can be baked. */
export interface Design {
  key: string;
  build: Build;
  /** Plain cakes that are cut out of sight, each a build of its own. */
  kitchen: { build: Build; count: number; each: number; servings: number } | null;
  proportion: ProportionId;
  servings: number;
  /** Tins of it that are not owned. */
  toBuy: Tin[];
  weights: Weights;
  gains: Gain[];
  /** It can be made within the hours before it is served; null where no date is given. */
  fitsDays: boolean | null;
}
/** Everything that was planned, for a chart: what it weighs and whether it is offered. */
export interface Weighed {
  key: string;
  tiers: number;
  weights: Weights;
  offered: boolean;
}
export type DesignAnswer =
  | { ok: true; designs: Design[]; weighed: Weighed[] }
  | { ok: false; problem: string; most: number };

/** So many are offered at most; more than people compare. */
const mostOffered = 5;
/** So many are planned whole: where there are more, the rest has more portions over of the same kind. */
const mostPlanned = 60;

type Tried = Omit<Design, 'gains' | 'fitsDays'>;

/** True where the first is as good as the other in all, and better in one. */
export function beats(one: Weights, other: Weights): boolean {
  const pairs = [
    [one.over, other.over],
    [one.handsOnMin, other.handsOnMin],
    [one.cost, other.cost],
    [one.heightMm, other.heightMm],
    [-one.tipsAtG, -other.tipsAtG],
  ] as const;
  return pairs.every(([a, b]) => a <= b) && pairs.some(([a, b]) => a < b);
}
/** Those that no other beats in everything. */
export const unbeaten = <T extends { weights: Weights }>(all: readonly T[]): T[] =>
  all.filter(({ weights }) => !all.some((other) => beats(other.weights, weights)));

const stopOf = (build: Build, pantry: Pantry, corrections?: Corrections) => {
  const plan = planBuild(build, pantry, nothingCarved, corrections);
  return { plan, stops: plan.cautions.filter(({ severity }) => severity === 'stop') };
};

/** A candidate planned whole; null where it cannot be made so. A tall one gets a rod where it asks for one. */
function tried(
  base: Build,
  pantry: Pantry,
  wish: Wish,
  candidate: Candidate,
  corrections?: Corrections,
): Tried | null {
  let build = buildFrom(base, pantry, wish.flavour, candidate);
  let { plan, stops } = stopOf(build, pantry, corrections);
  if (stops.length > 0 && stops.every(({ id }) => id === 'rod/wanted')) {
    const dowelId = build.tiers[0]!.stand.dowels?.dowelId;
    if (!dowelId) return null;
    build = { ...build, rod: { dowelId, at: null } };
    ({ plan, stops } = stopOf(build, pantry, corrections));
  }
  const { handsOnMin } = plan.tally;
  const tipping = plan.support?.whole.tipping;
  if (stops.length > 0 || handsOnMin === null || !plan.price || !tipping) return null;
  const { kitchen } = candidate;
  const beside = kitchen ? kitchenCake(base, pantry, wish.flavour, kitchen) : null;
  const plain = beside ? stopOf(beside, pantry, corrections) : null;
  if (plain && (plain.stops.length > 0 || plain.plan.tally.handsOnMin === null)) return null;
  const times = kitchen?.count ?? 0;
  const tins = [...candidate.tins, ...(kitchen ? [kitchen.tin] : [])];
  return {
    key: `${candidate.tins.map(({ id }) => id).join('+')}/${candidate.proportion.id}${kitchen ? `/+${times}` : ''}`,
    build,
    kitchen:
      beside && kitchen
        ? { build: beside, count: times, each: kitchen.each, servings: times * kitchen.each }
        : null,
    proportion: candidate.proportion.id,
    servings: candidate.servings,
    toBuy: tins.filter((tin, i) => tin.owned === 0 && tins.indexOf(tin) === i),
    weights: {
      over: candidate.servings - base.brief.servings,
      handsOnMin: handsOnMin + times * (plain?.plan.tally.handsOnMin ?? 0),
      cost: plan.price.total + times * (plain?.plan.price?.total ?? 0),
      heightMm: plan.tally.heightMm,
      tipsAtG: tipping.brakeG,
    },
  };
}

type Measure = (design: Tried) => number;
/** What each gain is the least of, in the order in which designs are chosen for it. */
const gains: readonly [Gain, Measure][] = [
  ['fewest over', ({ weights }) => weights.over],
  ['least work', ({ weights }) => weights.handsOnMin],
  ['tallest', ({ weights }) => -weights.heightMm],
  ['steadiest', ({ weights }) => -weights.tipsAtG],
  ['cheapest', ({ weights }) => weights.cost],
  ['lowest', ({ weights }) => weights.heightMm],
  ['most tiers', ({ build }) => -build.tiers.length],
];

/** Two designs that somebody would call the same: as many tiers of the same shape and proportion. */
const alike = (a: Tried, b: Tried): boolean =>
  a.build.tiers.length === b.build.tiers.length &&
  a.build.tiers[0]!.outline.kind === b.build.tiers[0]!.outline.kind &&
  a.proportion === b.proportion &&
  (a.kitchen === null) === (b.kitchen === null);

/** Three to five that differ truly, each the best in something. */
function chosenFrom(all: readonly Tried[]): Tried[] {
  const chosen: Tried[] = [];
  const best = unbeaten(all);
  for (const [gain, measure] of gains) {
    if (chosen.length === mostOffered) break;
    // the tallest and the one of most tiers are wished for, whatever they cost
    const from = gain === 'tallest' || gain === 'most tiers' ? all : best;
    const next = [...from]
      .filter((one) => !chosen.some((other) => alike(one, other)))
      .sort((a, b) => measure(a) - measure(b) || a.weights.over - b.weights.over)[0];
    if (next) chosen.push(next);
  }
  return chosen;
}

/**
 * Those that are chosen and can be made in time: what cannot is left out and another chosen, as long as there
 * is one. Where nothing can be made in time, what was chosen first.
 */
function inTime(
  { brief }: Build,
  pantry: Pantry,
  all: readonly Tried[],
  corrections?: Corrections,
): (Tried & Pick<Design, 'fitsDays'>)[] {
  if (brief.serveAt === null) return chosenFrom(all).map((one) => ({ ...one, fitsDays: null }));
  const fits = new Map<Tried, boolean>();
  let left = [...all];
  for (let round = 0; round < mostRounds; round++) {
    const chosen = chosenFrom(left);
    for (const one of chosen)
      if (!fits.has(one))
        fits.set(one, cakeDays(one.build, pantry, nothingCarved, corrections) !== null);
    const late = chosen.filter((one) => !fits.get(one));
    if (late.length === 0) return chosen.map((one) => ({ ...one, fitsDays: true }));
    left = left.filter((one) => !late.includes(one));
  }
  const good = chosenFrom(left).filter((one) => fits.get(one));
  return good.length > 0
    ? good.map((one) => ({ ...one, fitsDays: true }))
    : chosenFrom(all).map((one) => ({ ...one, fitsDays: false }));
}
/** So often others are chosen in place of those that come too late: planning days takes time. */
const mostRounds = 3;

/**
 * Whole cakes that serve what the brief asks for, from the tins that are owned: searched over tiers, shapes,
 * tins and heights, planned whole, and those kept that no other beats in portions over, work, cost, height and
 * steadiness (docs/model.md#designs). Three to five that differ are offered.
 *
 * @param base what is asked for, as a build; its tiers are replaced
 * @param progress share of the plans that are done, 0 to 1
 */
export function findDesigns(
  base: Build,
  pantry: Pantry,
  wish: Wish = anyWish,
  corrections?: Corrections,
  progress: (share: number) => void = () => undefined,
): DesignAnswer {
  const unserved = nothingServes(pantry, base.brief, wish.flavour);
  if (unserved) return { ok: false, most: 0, problem: unserved };
  const tins = pantry.tins.filter(
    ({ owned, form }) => form === 'upright' && (owned > 0 || wish.mayBuy),
  );
  if (tins.length === 0)
    return { ok: false, most: 0, problem: 'The pantry has no tin. Add one, and draft again.' };
  const candidates = candidatesFor(base.brief, tins, wish, mostPlanned);
  const all = candidates.flatMap((candidate, i) => {
    const one = tried(base, pantry, wish, candidate, corrections);
    progress((i + 1) / candidates.length);
    return one ? [one] : [];
  });
  const chosen = inTime(base, pantry, all, corrections);
  if (chosen.length === 0) {
    const most = mostServed(base.brief, tins, wish);
    const help = wish.mayKitchen ? '' : ', or let plain cakes cut in the kitchen serve the rest';
    return {
      ok: false,
      most,
      problem:
        most < base.brief.servings
          ? `Your tins give at most ${most} servings${wish.tiers === null ? '' : ` in ${wish.tiers} ${wish.tiers === 1 ? 'tier' : 'tiers'}`}. Choose smaller portions, add a larger tin to the pantry${help}.`
          : 'Nothing that serves so many stands and bakes as wished: leave the shape or the number of tiers open.',
    };
  }
  const kept = new Set(chosen.map(({ key }) => key));
  return {
    ok: true,
    designs: chosen.map(({ fitsDays, ...design }): Design => ({
      ...design,
      gains: gains
        .filter(([, measure]) => chosen.every((other) => measure(design) <= measure(other)))
        .map(([gain]) => gain),
      fitsDays,
    })),
    weighed: all.map(({ key, build, weights }) => ({
      key,
      tiers: build.tiers.length,
      weights,
      offered: kept.has(key),
    })),
  };
}
