import type { Build } from '../document/types.ts';
import type { Corrections } from '../hand/corrections.ts';
import type { Pantry } from '../pantry/types.ts';
import type { Quantity } from '../units/field.ts';
import { candidatesFor, mostServed, type Narrowed } from './candidates.ts';
import { anyFlavour, nothingServes, type Flavour } from './rows.ts';
import { unbeaten, Weigher, type Tried, type Weights } from './weigh.ts';

/** What a customer wishes besides what a brief says. */
export interface Wish extends Narrowed {
  flavour: Flavour;
  /** Tins that are not owned may be bought or borrowed. */
  mayBuy: boolean;
  /** As low as the box, and as light as the stand bears; null where that does not matter. */
  mostMm: number | null;
  mostG: number | null;
}
export const anyWish: Wish = {
  shape: null,
  tiers: null,
  proportion: null,
  mayKitchen: false,
  mayBuy: false,
  mostMm: null,
  mostG: null,
  flavour: anyFlavour,
};

/** What a design has most of among those that are offered. */
export type Gain =
  | 'fewest over'
  | 'least work'
  | 'least on the day'
  | 'cheapest'
  | 'lowest'
  | 'tallest'
  | 'lightest'
  | 'least left'
  | 'steadiest'
  | 'most tiers';

/** One whole cake that stands, serves everyone and can be baked. */
export interface Design extends Tried {
  gains: Gain[];
}
/** Everything that was planned, for a chart: what it weighs and whether it is offered. */
export interface Weighed {
  key: string;
  tiers: number;
  weights: Weights;
  offered: boolean;
}
export type DesignAnswer =
  | {
      ok: true;
      designs: Design[];
      weighed: Weighed[];
      /** What none of them keeps to, so that those nearest to it are offered. */
      beyond: 'height' | 'weight' | null;
    }
  | { ok: false; problem: string; most: number };

/** Least and greatest of what can be wished for: a single layer, and what fits through a door. */
export const wishLimits = {
  mostMm: { min: 30, max: 2000, kind: 'size' },
  mostG: { min: 200, max: 200_000, kind: 'weight' },
} as const satisfies Record<string, Quantity>;

/** So many are offered at most; more than people compare. */
const mostOffered = 5;
/** So many are planned whole: where there are more, the rest has more portions over of the same kind. */
const mostPlanned = 60;

type Measure = (design: Tried) => number;
/** What each gain is the least of, in the order in which designs are chosen for it. */
const gains: readonly [Gain, Measure][] = [
  ['fewest over', ({ weights }) => weights.over],
  ['least work', ({ weights }) => weights.handsOnMin],
  ['tallest', ({ weights }) => -weights.heightMm],
  ['steadiest', ({ weights }) => -weights.tipsAtG],
  ['cheapest', ({ weights }) => weights.cost],
  ['lowest', ({ weights }) => weights.heightMm],
  ['least on the day', ({ weights }) => weights.lastDayMin ?? Infinity],
  ['least left', ({ weights }) => weights.leftG],
  ['lightest', ({ weights }) => weights.massG],
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

/** So many are shown where none keeps to a wish: the nearest to it. */
const nearest = 3;

/**
 * What is offered of all that were planned: those that fit the days, where any does, and keep to the height and
 * the weight that are wished for; where none does, the nearest to that.
 */
function offered(
  all: readonly Tried[],
  { mostMm, mostG }: Wish,
): Extract<DesignAnswer, { ok: true }> {
  const inTime = all.filter(({ fitsDays }) => fitsDays !== false);
  const fair = inTime.length > 0 ? inTime : all;
  const low = mostMm === null ? fair : fair.filter(({ weights }) => weights.heightMm <= mostMm);
  const light = mostG === null ? low : low.filter(({ weights }) => weights.massG <= mostG);
  const beyond = low.length === 0 ? 'height' : light.length === 0 ? 'weight' : null;
  const missed: Measure = ({ weights }) => (beyond === 'height' ? weights.heightMm : weights.massG);
  const chosen = beyond
    ? [...(beyond === 'height' ? fair : low)]
        .sort((a, b) => missed(a) - missed(b))
        .slice(0, nearest)
    : chosenFrom(light);
  const isKept = new Set(chosen);
  return {
    ok: true,
    beyond,
    designs: chosen.map((design): Design => ({
      ...design,
      gains: gains
        .filter(([, measure]) => {
          const own = measure(design);
          return (
            Number.isFinite(own) &&
            chosen.every((other) => own <= measure(other)) &&
            chosen.some((other) => own < measure(other))
          );
        })
        .map(([gain]) => gain),
    })),
    weighed: all.map((one) => ({
      key: one.key,
      tiers: one.build.tiers.length,
      weights: one.weights,
      offered: isKept.has(one),
    })),
  };
}

/** First offers are shown when so many are planned: the search begins with one of each kind. */
const firstAfter = 8;

/**
 * Whole cakes that serve what the brief asks for, from the tins that are owned: searched over tiers, shapes,
 * tins and heights, planned whole with their days, and those kept that no other beats in portions over, work
 * and work on the last day, cost, height, leftovers and steadiness (docs/model.md#designs). Three to five that
 * differ are offered.
 *
 * @param base what is asked for, as a build; its tiers are replaced
 */
export function findDesigns(...of: Parameters<typeof weighDesigns>): DesignAnswer {
  const search = weighDesigns(...of);
  for (let step = search.next(); ; step = search.next()) if (step.done) return step.value;
}

/** How far a search is. */
export interface SearchStep {
  /** Share of the plans that are done, 0 to 1. */
  share: number;
  /** Once, when some are: what can be offered of them. */
  first?: DesignAnswer;
}

/** The search for designs, plan by plan, for who may want to leave it or to show what is known first. */
export function* weighDesigns(
  base: Build,
  pantry: Pantry,
  wish: Wish = anyWish,
  corrections?: Corrections,
): Generator<SearchStep, DesignAnswer, void> {
  const unserved = nothingServes(pantry, base.brief, wish.flavour);
  if (unserved) return { ok: false, most: 0, problem: unserved };
  const tins = pantry.tins.filter(
    ({ owned, form }) => form === 'upright' && (owned > 0 || wish.mayBuy),
  );
  if (tins.length === 0)
    return { ok: false, most: 0, problem: 'The pantry has no tin. Add one, and draft again.' };
  const candidates = candidatesFor(base.brief, tins, wish, mostPlanned);
  const weigher = new Weigher(base, pantry, wish.flavour, corrections);
  const all: Tried[] = [];
  for (const [i, candidate] of candidates.entries()) {
    const one = weigher.tried(candidate);
    if (one) all.push(one);
    const isFirst = i + 1 === firstAfter && candidates.length > firstAfter && all.length > 0;
    yield {
      share: (i + 1) / candidates.length,
      ...(isFirst ? { first: offered(all, wish) } : {}),
    };
  }
  if (all.length > 0) return offered(all, wish);
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
