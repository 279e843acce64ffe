import type { Kitchen, Recipe, Tin } from '../pantry/types.ts';
import type { BakedCake, BakePlan } from '../tins/bake.ts';
import type { OvenPlan } from './loads.ts';

/** One load of the oven as a tier sees it. */
export interface TierLoad {
  /** Its place among all loads, from 0. */
  index: number;
  /** Cakes of the tier that bake in it. */
  cakes: BakedCake[];
  /** Cakes whose batter is mixed for it, later loads' among them; none where it stands from before. */
  mixed: BakedCake[];
  /** Tins that were used in an earlier load and are washed, cooled and lined again, and that load. */
  reused: number;
  reusedFrom: number | null;
  /** The oven is taken so long before they go in: heating up, or until it is hot again. */
  leadMin: number;
  /** The load that its batter was mixed for, where that is an earlier one, and how long batter may stand. */
  batterFrom: number | null;
  waitMin: number;
}

/**
 * The loads in which a tier bakes, with what has to be mixed, washed and heated for each
 * (docs/model.md#oven-loads-and-batter-that-waits). A tier whose tins do not fit the oven is taken to bake at once.
 */
export function tierLoads(
  tierId: string,
  tin: Tin,
  bake: BakePlan,
  oven: OvenPlan | null,
  kitchen: Kitchen,
  waitMin: number,
): TierLoad[] {
  const loads = oven?.loads ?? [];
  const inLoad = (index: number): BakedCake[] =>
    loads[index]!.shelves.flat()
      .filter((placed) => placed.tierId === tierId)
      .flatMap(({ cake }) => bake.cakes.find((one) => one.index === cake) ?? [])
      .sort((a, b) => a.index - b.index);
  const own = loads.flatMap((_, index) => {
    const cakes = inLoad(index);
    return cakes.length > 0 ? [{ index, cakes }] : [];
  });
  if (own.length === 0)
    return [
      {
        index: 0,
        cakes: bake.cakes,
        mixed: bake.cakes,
        reused: 0,
        reusedFrom: null,
        leadMin: kitchen.preheatMin,
        batterFrom: null,
        waitMin,
      },
    ];
  const owned = Math.max(1, tin.owned);
  let used = 0;
  const begins = own.map(({ index }, i) => i === 0 || loads[index]!.mixAgain.includes(tierId));
  return own.map(({ index, cakes }, i): TierLoad => {
    const next = begins.indexOf(true, i + 1);
    const group = own.slice(i, next < 0 ? own.length : next);
    const reused = Math.max(0, cakes.length - (owned - used));
    used = Math.min(owned, used + cakes.length);
    const before = loads[index - 1];
    return {
      index,
      cakes,
      mixed: begins[i] ? group.flatMap((one) => one.cakes) : [],
      reused,
      reusedFrom: reused > 0 ? (own[i - 1]?.index ?? null) : null,
      leadMin: before?.ovenC === loads[index]!.ovenC ? kitchen.turnaroundMin : kitchen.preheatMin,
      batterFrom: begins[i] ? null : own[begins.lastIndexOf(true, i)]!.index,
      waitMin,
    };
  });
}

/** Batter stands no higher in the mixer's bowl than this, or it climbs out, share (trade custom). */
const bowlShare = 0.6;

/** In how many equal mixings so much batter is made, mL: no fuller than the mixer's bowl holds. */
export const mixesFor = (
  ml: number,
  { hazards }: Pick<Recipe, 'hazards'>,
  { mixerMl }: Pick<Kitchen, 'mixerMl'>,
): number =>
  hazards.includes('running machine')
    ? Math.max(1, Math.ceil(ml / (mixerMl * bowlShare) - 0.02))
    : 1;
