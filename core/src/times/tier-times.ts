import type { Build, Tier } from '../document/types.ts';
import { areaMm2 } from '../outline/outline.ts';
import type { Kitchen, Tin } from '../pantry/types.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { valueOf } from '../working/staged.ts';
import { doneC } from '../heat/bake-time.ts';
import {
  chillCoatMin,
  chillShellMin,
  coldestCoatC,
  coolMin,
  finishedC,
  type Mass,
  type ShellTarget,
} from '../heat/cooling.ts';
import { mouldTimes, type MouldTimes } from '../mould/mould-times.ts';
import { Remembered } from '../working/remembered.ts';

/** Density of a tier whose weight is not known, g/mL: sponge and filling together. */
const usualDensity = 0.6;
/** Where the model gives no time, for instance in a fridge that is too warm, min (trade custom). */
const customMin = { cool: 120, firm: 20, nextCoat: 60, carve: 120, road: 240 } as const;

const roundTo = (value: number, step: number): number =>
  Math.max(step, Math.round(value / step) * step);

/** The deepest baked cake of a tier as it comes from its tin; null where nothing is baked. */
export function cakeMass(plan: Pick<TierPlan, 'bake'>, tin: Tin): Mass | null {
  const bake = valueOf(plan.bake);
  if (!bake || bake.cakes.length === 0) return null;
  const ml = Math.max(...bake.cakes.map((cake) => cake.edgeMl + cake.capMl));
  return {
    outline: tin.outline,
    heightMm: roundTo((ml * 1000) / areaMm2(tin.outline), 1),
    densityGPerMl: roundTo(bake.bakedDensity, 0.02),
  };
}

/**
 * The finished tier as one body. Height to the half centimetre and density to a twentieth: minutes
 * do not depend on more, and a hair of filling does not ask for the whole sum anew.
 */
export function tierMass(tier: Tier, plan: Pick<TierPlan, 'stack' | 'massG'>): Mass {
  const ml = (areaMm2(tier.outline) * plan.stack.stackMm) / 1000;
  const density = plan.massG === null || ml <= 0 ? usualDensity : plan.massG / ml;
  return {
    outline: tier.outline,
    heightMm: Math.max(10, roundTo(plan.stack.finishedMm, 5)),
    densityGPerMl: roundTo(density, 0.05),
  };
}

/** How long a tier waits for heat to leave it, min, before the hand's own correction. */
export interface TierTimes {
  /** On the rack until it can be cut. */
  coolMin: number;
  /** In the cold until the crumb coat is firm, until it is ready for the next coat, firm to carve. */
  firmMin: number;
  nextCoatMin: number;
  carveMin: number;
  /** In its box in the fridge, finished, until it is cold enough to travel. */
  roadMin: number;
  /**
   * Until its coat is as cold as what runs over it reckons with: freshly coated, and once more after it was
   * stacked. 0 where nothing runs.
   */
  flowMin: { coated: number; stacked: number };
  /** In its mould, and thawing once it is out; 0 for what is stacked free. */
  mould: MouldTimes;
}

const noMould: MouldTimes = { setMin: 0, thawMin: 0 };

/** Where nobody asks for times. */
export const noTimes: TierTimes = {
  coolMin: 0,
  firmMin: 0,
  nextCoatMin: 0,
  carveMin: 0,
  roadMin: 0,
  flowMin: { coated: 0, stacked: 0 },
  mould: noMould,
};

/** The kitchen whose cold is the one that this build is chilled in. */
export const chilledIn = (kitchen: Kitchen, chillIn: Build['day']['chillIn']): Kitchen =>
  chillIn === 'freezer'
    ? { ...kitchen, fridgeC: kitchen.freezerC, fridgeW: kitchen.freezerW }
    : kitchen;

const chilled = new Remembered<number>();
const chillMin = (
  mass: Mass,
  target: ShellTarget,
  kitchen: Kitchen,
  fromC = kitchen.roomC,
): number =>
  chilled.of(JSON.stringify([mass, target, fromC, kitchen.fridgeC, kitchen.fridgeW]), () =>
    chillShellMin(mass, fromC, target, kitchen),
  );
/** However cold it is, nothing is firm sooner than this, min (trade custom). */
const soonestMin = 10;
const or = (minutes: number, custom: number): number =>
  Number.isFinite(minutes) ? Math.max(soonestMin, Math.round(minutes)) : custom;

function flowMin(tier: Tier, mass: Mass, kitchen: Kitchen): TierTimes['flowMin'] {
  const flow = tier.pour ?? tier.drip;
  // frozen through it is colder than anything asks
  if (!flow || tier.mould?.setIn === 'freezer') return { coated: 0, stacked: 0 };
  const from = (fromC: number): number =>
    fromC <= coldestCoatC(flow.coatC, kitchen)
      ? 0
      : or(
          chilled.of(
            JSON.stringify([mass, 'flow', flow.coatC, fromC, kitchen.fridgeC, kitchen.fridgeW]),
            () => chillCoatMin(mass, fromC, flow.coatC, kitchen),
          ),
          customMin.nextCoat,
        );
  return { coated: from(kitchen.roomC), stacked: from(Math.min(finishedC, kitchen.roomC)) };
}

/** Share of a tier that is set cream, and its thickest layer of it, mm. */
function creamIn(
  tier: Tier,
  { others, massG }: Pick<TierPlan, 'others' | 'massG'>,
): [number, number] {
  const creams = (valueOf(others) ?? []).filter(({ row }) => row.form === 'mousse');
  const creamG = creams.reduce((sum, { ownG }) => sum + ownG, 0);
  const thickest = Math.max(0, ...creams.map(({ index }) => tier.layers[index]!.heightMm));
  return [massG ? Math.min(1, creamG / massG) : 0, thickest];
}

/** The waits of one tier: the figures of the bench, the day, and heat and cold alike. */
export function tierTimes(
  tier: Tier,
  plan: Pick<TierPlan, 'bake' | 'stack' | 'massG' | 'carve' | 'others'>,
  tin: Tin | null,
  own: Kitchen,
  chillIn: Build['day']['chillIn'],
): TierTimes {
  const kitchen = chilledIn(own, chillIn);
  const cake = tin && cakeMass(plan, tin);
  const mass = tierMass(tier, plan);
  return {
    coolMin: cake
      ? Math.ceil(or(coolMin(cake, doneC, own), customMin.cool) / 5) * 5
      : customMin.cool,
    firmMin: or(chillMin(mass, 'crumb coat firm', kitchen), customMin.firm),
    nextCoatMin: or(
      chillMin(mass, 'ready for the next coat or for drips', kitchen),
      customMin.nextCoat,
    ),
    carveMin: plan.carve
      ? or(chillMin(mass, 'firm to carve', kitchen), customMin.carve)
      : customMin.carve,
    // what thaws in the fridge until the end is cold
    roadMin:
      tier.mould?.setIn === 'freezer'
        ? 0
        : or(
            chillMin(mass, 'cold for the road', own, Math.min(finishedC, own.roomC)),
            customMin.road,
          ),
    flowMin: flowMin(tier, mass, kitchen),
    mould: tier.mould ? mouldTimes(mass, tier.mould.setIn, ...creamIn(tier, plan), own) : noMould,
  };
}
