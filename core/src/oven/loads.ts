import { grow, widthMm, type Outline } from '../outline/outline.ts';
import type { Kitchen, Sponge, Tin } from '../pantry/types.ts';
import type { BakePlan } from '../tins/bake.ts';
import { Shelf } from './shelf.ts';

/** One tin on a shelf: its middle, in mm from the shelf's front left corner. */
export interface PlacedTin {
  tierId: string;
  cake: number;
  outline: Outline;
  x: number;
  y: number;
  turned: boolean;
  grams: number;
}

export interface OvenLoad {
  ovenC: number;
  /** Longest of its cakes, min; null where one is never done. */
  minutes: number | null;
  shelves: PlacedTin[][];
  /** How long the batter of this load stood while others baked, min. */
  waitMin: number;
  waitAllowedMin: number;
  /** Tiers whose batter waits longer than it can: they want a mix of their own. */
  mixAgain: string[];
}

export interface OvenPlan {
  loads: OvenLoad[];
  /** Tins that do not fit the oven at all. */
  tooLarge: { tierId: string; tin: Tin }[];
}

/** The cakes of one tier, with what decides how they bake. */
export interface TierBaking {
  tierId: string;
  sponge: Sponge;
  tin: Tin;
  bake: BakePlan;
}

interface Item {
  tierId: string;
  cake: number;
  tin: Tin;
  rim: Outline;
  ovenC: number;
  minutes: number | null;
  grams: number;
  allowed: number;
}

/** A shelf with the tins that found room on it. */
class Filling {
  readonly placed: PlacedTin[] = [];
  private readonly shelf: Shelf;
  constructor(kitchen: Kitchen) {
    this.shelf = new Shelf(kitchen);
  }
  add({ tierId, cake, rim, grams }: Item): boolean {
    const stand = this.shelf.place(rim);
    if (!stand) return false;
    this.placed.push({ tierId, cake, outline: rim, ...stand, grams });
    return true;
  }
}

/** How many of one tin bake at once, shelves and tins owned considered; 0 when it does not fit. */
export function fitAtOnce(tin: Tin, owned: number, kitchen: Kitchen): number {
  const rim = rimOf(tin);
  let fits = 0;
  for (let s = 0; s < kitchen.shelves; s++) {
    const shelf = new Shelf(kitchen);
    while (fits < owned && shelf.place(rim)) fits += 1;
  }
  return fits;
}

const rimOf = (tin: Tin): Outline => grow(tin.outline, tin.flareMm) ?? tin.outline;

/**
 * Oven loads of all tiers: batter that stands worst goes first, larger tins before smaller, tins in
 * one load share its temperature and no tin is used twice at once. Batter is mixed once for a tier;
 * what waits longer than its sponge allows is told, to be mixed again.
 */
export function planLoads(tiers: readonly TierBaking[], kitchen: Kitchen): OvenPlan {
  const tooLarge: OvenPlan['tooLarge'] = [];
  const waiting: Item[] = tiers.flatMap(({ tierId, sponge, tin, bake }) => {
    if (bake.cakes.length > 0 && fitAtOnce(tin, 1, kitchen) === 0) {
      tooLarge.push({ tierId, tin });
      return [];
    }
    return bake.cakes.map((cake) => ({
      tierId,
      cake: cake.index,
      tin,
      rim: rimOf(tin),
      ovenC: bake.ovenC,
      minutes: cake.window?.minutes ?? null,
      grams: cake.batterG + cake.inclusionG,
      allowed: sponge.waitMin,
    }));
  });
  const order = (a: Item, b: Item): number =>
    a.allowed - b.allowed || a.ovenC - b.ovenC || widthMm(b.rim) - widthMm(a.rim);
  let left = [...waiting].sort(order);
  const loads: OvenLoad[] = [];
  const firstLoad = new Map<string, number>();
  let clock = 0;
  while (left.length > 0) {
    const shelves = Array.from({ length: kitchen.shelves }, () => new Filling(kitchen));
    const { ovenC } = left[0]!;
    const used = new Map<string, number>();
    const inside: Item[] = [];
    const later: Item[] = [];
    for (const item of left) {
      const taken = used.get(item.tin.id) ?? 0;
      const free = item.ovenC === ovenC && taken < Math.max(1, item.tin.owned);
      if (free && shelves.some((shelf) => shelf.add(item))) {
        used.set(item.tin.id, taken + 1);
        inside.push(item);
      } else later.push(item);
    }
    const minutes = inside.some((i) => i.minutes === null)
      ? null
      : Math.max(...inside.map((i) => i.minutes!));
    let waitMin = 0;
    const mixAgain: string[] = [];
    for (const item of inside) {
      const began = firstLoad.get(item.tierId) ?? clock;
      if (!firstLoad.has(item.tierId)) firstLoad.set(item.tierId, clock);
      waitMin = Math.max(waitMin, clock - began);
      if (clock - began > item.allowed && !mixAgain.includes(item.tierId))
        mixAgain.push(item.tierId);
    }
    for (const tierId of mixAgain) firstLoad.set(tierId, clock);
    loads.push({
      ovenC,
      minutes,
      shelves: shelves.map((shelf) => shelf.placed),
      waitMin,
      waitAllowedMin: Math.min(...inside.map((i) => i.allowed)),
      mixAgain,
    });
    clock += (minutes ?? 60) + kitchen.turnaroundMin;
    left = later;
  }
  return { loads, tooLarge };
}
