import { daysTogether, lastDayHandsMin, type MadeTimes } from '../day/plan-days.ts';
import type { Build } from '../document/types.ts';
import type { Corrections } from '../hand/corrections.ts';
import type { Pantry, Tin } from '../pantry/types.ts';
import type { Plan } from '../plan/plan-types.ts';
import { planBuild } from '../plan/plan.ts';
import { nothingCarved } from '../plan/shape.ts';
import { valueOf } from '../working/staged.ts';
import { buildFrom, kitchenCake } from './build-from.ts';
import type { Candidate } from './candidates.ts';
import type { ProportionId } from './proportions.ts';
import type { Flavour } from './rows.ts';

/** By what designs are weighed; less is better of each, but for steadiness. */
export interface Weights {
  /** Portions over. */
  over: number;
  handsOnMin: number;
  /** Of them on the day when it is served; null where no date is given, or all of it does not fit the hours. */
  lastDayMin: number | null;
  cost: number;
  heightMm: number;
  massG: number;
  /** Cut off cakes and left in bowls, g. */
  leftG: number;
  /** Braking at which it tips on the road, in g; more is steadier. */
  tipsAtG: number;
}

/** A cake that was planned whole, stands, serves everyone and can be baked. */
export interface Tried {
  key: string;
  build: Build;
  /** Plain cakes that are cut out of sight, each a build of its own. */
  kitchen: { build: Build; count: number; each: number; servings: number } | null;
  proportion: ProportionId;
  servings: number;
  /** Tins of it that are not owned. */
  toBuy: Tin[];
  weights: Weights;
  /** It and the plain cakes can be made within the hours before it is served; null where no date is given. */
  fitsDays: boolean | null;
}

/** True where the first is as good as the other in all, and better in one. */
export function beats(one: Weights, other: Weights): boolean {
  const pairs = [
    [one.over, other.over],
    [one.handsOnMin, other.handsOnMin],
    [one.lastDayMin ?? Infinity, other.lastDayMin ?? Infinity],
    [one.cost, other.cost],
    [one.heightMm, other.heightMm],
    [one.leftG, other.leftG],
    [-one.tipsAtG, -other.tipsAtG],
  ] as const;
  return pairs.every(([a, b]) => a <= b) && pairs.some(([a, b]) => a < b);
}
/** Those that no other beats in everything. */
export const unbeaten = <T extends { weights: Weights }>(all: readonly T[]): T[] =>
  all.filter(({ weights }) => !all.some((other) => beats(other.weights, weights)));

/** What a whole plan weighs; null where it has a stop, or something of it could not be computed. */
interface Planned extends Pick<Weights, 'handsOnMin' | 'cost' | 'leftG' | 'massG' | 'heightMm'> {
  build: Build;
  plan: Plan;
}

/** Plans candidates of one wish whole; what several of them have in common is planned once. */
export class Weigher {
  readonly #base: Build;
  readonly #pantry: Pantry;
  readonly #flavour: Flavour;
  readonly #corrections: Corrections | undefined;
  readonly #plain = new Map<string, Planned | null>();

  constructor(base: Build, pantry: Pantry, flavour: Flavour, corrections?: Corrections) {
    this.#base = base;
    this.#pantry = pantry;
    this.#flavour = flavour;
    this.#corrections = corrections;
  }

  /** A candidate planned whole; null where it cannot be made so. A tall one gets a rod where it asks for one. */
  tried(candidate: Candidate): Tried | null {
    const { kitchen, tins } = candidate;
    const main = this.#planned(buildFrom(this.#base, this.#pantry, this.#flavour, candidate));
    const tipping = main?.plan.support?.whole.tipping;
    if (!main || !tipping) return null;
    const plain = kitchen && this.#plainCake(kitchen);
    if (kitchen && !plain) return null;
    const times = kitchen?.count ?? 0;
    const cakes: [MadeTimes, ...MadeTimes[]] = [{ ...main, times: 1 }];
    if (plain) cakes.push({ ...plain, times });
    const { serveAt, servings } = this.#base.brief;
    const days = serveAt === null ? null : daysTogether(cakes, this.#pantry, 0);
    const all = [...tins, ...(kitchen ? [kitchen.tin] : [])];
    return {
      key: `${tins.map(({ id }) => id).join('+')}/${candidate.proportion.id}${kitchen ? `/+${times}` : ''}`,
      build: main.build,
      kitchen:
        plain && kitchen
          ? { build: plain.build, count: times, each: kitchen.each, servings: times * kitchen.each }
          : null,
      proportion: candidate.proportion.id,
      servings: candidate.servings,
      toBuy: all.filter((tin, i) => tin.owned === 0 && all.indexOf(tin) === i),
      weights: {
        over: candidate.servings - servings,
        handsOnMin: main.handsOnMin + times * (plain?.handsOnMin ?? 0),
        lastDayMin: days && lastDayHandsMin(days),
        cost: main.cost + times * (plain?.cost ?? 0),
        leftG: main.leftG + times * (plain?.leftG ?? 0),
        heightMm: main.heightMm,
        massG: main.massG,
        tipsAtG: tipping.brakeG,
      },
      fitsDays: serveAt === null ? null : days !== null,
    };
  }

  #plainCake(kitchen: NonNullable<Candidate['kitchen']>): Planned | null {
    const key = `${kitchen.tin.id}/${kitchen.each}`;
    if (!this.#plain.has(key))
      this.#plain.set(
        key,
        this.#planned(kitchenCake(this.#base, this.#pantry, this.#flavour, kitchen)),
      );
    return this.#plain.get(key)!;
  }

  #planned(asked: Build): Planned | null {
    let build = asked;
    let { plan, stops } = this.#stopsOf(build);
    if (stops.length > 0 && stops.every(({ id }) => id === 'rod/wanted')) {
      const dowelId = build.tiers[0]!.stand.dowels?.dowelId;
      if (!dowelId) return null;
      build = { ...build, rod: { dowelId, at: null } };
      ({ plan, stops } = this.#stopsOf(build));
    }
    const { handsOnMin, massG, heightMm } = plan.tally;
    if (stops.length > 0 || handsOnMin === null || massG === null || !plan.price) return null;
    return {
      build,
      plan,
      handsOnMin,
      massG,
      heightMm,
      cost: plan.price.total,
      leftG: leftOf(plan),
    };
  }

  #stopsOf(build: Build) {
    const plan = planBuild(build, this.#pantry, nothingCarved, this.#corrections);
    return { plan, stops: plan.cautions.filter(({ severity }) => severity === 'stop') };
  }
}

/** What is cut off the cakes and not used, and what stays in the bowls, g. */
const leftOf = ({ tiers, bowls }: Plan): number =>
  tiers.reduce((sum, { bake }) => sum + (valueOf(bake)?.offcutsG ?? 0), 0) +
  (valueOf(bowls) ?? []).reduce((sum, { leftG }) => sum + leftG, 0);
