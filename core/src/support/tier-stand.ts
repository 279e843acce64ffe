import { innerSpreadId } from '../document/edit.ts';
import { nPerG } from '../units/gravity.ts';
import { spreadStressPa } from '../coat/melting.ts';
import { areaMm2, grownAreaMm2 } from '../outline/outline.ts';
import type { Point } from '../outline/point.ts';
import type { Spread } from '../pantry/types.ts';
import type { Work } from '../plan/work.ts';
import type { ShapePlan } from '../plan/shape-plan.ts';
import type { Foot } from '../stack/feet.ts';
import { ifThere } from '../working/staged.ts';
import type { Lift } from './lifts.ts';
import type { CentredMass } from './masses.ts';
import { rimAt } from './room.ts';
import { slidingOf, type Sliding, type Tipping } from './stability.ts';
import { creepUnder, type LayerStress } from './stress.ts';

/** What speaks for dowels under what stands on a tier, or for a board half-way up. */
export type Need =
  | { why: 'crumb'; layer: number; used: number }
  | { why: 'filling'; gap: number; settledMm: number }
  | { why: 'custom'; aboveG: number }
  | { why: 'tall'; heightMm: number }
  | { why: 'posts' };

/** How one tier stands on what is below it. */
export interface TierStand {
  tierId: string;
  foot: Foot;
  /** The tier itself with its board; then with all that stands on it. From its own axis and foot. */
  body: CentredMass;
  carried: CentredMass;
  stresses: LayerStress[];
  needs: Need[];
  /** Over the edge of its dowels, or of the tier or board below. */
  tipping: Tipping;
  /** By itself, in a box of its own. */
  alone: Tipping;
  /** On the tier below, as warm as it gets and fridge-cold; null for the lowest. */
  sliding: Sliding | null;
  slidingCold: Sliding | null;
  /** The filling that shears first. */
  shear: (Sliding & { gap: number }) | null;
  /** The least of its margins over a hard stop, without a rod. */
  margin: number;
}

/** More cake than this on one board wants another half-way up, mm (trade custom). */
export const mostOnOneBoardMm = 150;
/** An upper tier heavier than this gets dowels by custom, g, unless it stands on a firm crumb. */
const customG = 1000;
const firmCrumbKPa = 5;

/** Rims that a tier tips over: its dowels', or its own and that of the tier below; the lowest's own. */
export function supportOf(
  i: number,
  work: Work,
  lifts: readonly Lift[],
  shape: ShapePlan,
): Point[][] {
  const { build } = work;
  const [x, y] = i > 0 ? build.tiers[i]!.stand.offsetMm : [0, 0];
  const own = ownRim(i, work, shape).map((p): Point => ({ x: p.x + x, y: p.y + y }));
  if (i === 0) return [own];
  const lift = lifts.find((one) => one.tierIndex === i - 1 && one.deck === null);
  if (lift && lift.placed.length > 0) return [lift.placed.map((dowel) => dowel.at)];
  return [own, rimAt(build.tiers[i - 1]!.outline, { x: 0, y: 0 })];
}

/** What a tier stands on by itself: its outline, or the foot the knife left, from its own axis. */
export function ownRim(i: number, { build }: Work, { tiers }: ShapePlan): Point[] {
  const foot = tiers[i]!.carve?.result?.foot;
  return foot && foot.length > 0
    ? thinned(foot.flat()).map(([x, y]): Point => ({ x, y }))
    : rimAt(build.tiers[i]!.outline, { x: 0, y: 0 });
}

/** At most some hundred points of a long line: a hull needs no more. */
const thinned = <T>(line: readonly T[]): T[] => {
  const every = Math.ceil(line.length / 120);
  return line.filter((_, i) => i % every === 0);
};

/** The filling that is sheared first by a hard stop, by its yield stress over what rests on it. */
export function shearOf(
  i: number,
  { tiers }: ShapePlan,
  { build, pantry, spreadOf }: Work,
  tempC: number,
  aboveG: number,
): TierStand['shear'] {
  const tier = build.tiers[i]!;
  const { loads } = tiers[i]!;
  let weakest: TierStand['shear'] = null;
  tier.gaps.forEach((gap, k) => {
    const spread = ifThere(() => spreadOf(gap.spreadId));
    const load = loads?.[k];
    if (!spread || !load || load.loadN <= 0) return;
    const weightN = load.loadN - tier.restG * nPerG + aboveG * nPerG;
    if (weightN <= 0) return;
    const inner = ifThere(() => spreadOf(innerSpreadId(tier)));
    const outerMm2 = grownAreaMm2(tier.outline, -gap.setbackMm);
    const fillMm2 = grownAreaMm2(tier.outline, -(gap.setbackMm + gap.damMm));
    const stressOf = (of: Spread): number => spreadStressPa(of, tempC, pantry);
    // filling and dam hold together, each by its own area
    const held = stressOf(spread) * fillMm2 + (inner ? stressOf(inner) : 0) * (outerMm2 - fillMm2);
    const found = slidingOf(0, held / areaMm2(tier.outline), areaMm2(tier.outline), weightN);
    if (!weakest || found.brakeG < weakest.brakeG) weakest = { ...found, gap: k };
  });
  return weakest;
}

export function needsOf(
  i: number,
  { tiers }: ShapePlan,
  { build, pantry, spreadOf }: Work,
  stresses: readonly LayerStress[],
  aboveG: number,
): Need[] {
  const tier = build.tiers[i]!;
  const plan = tiers[i]!;
  const upper = build.tiers[i + 1];
  const needs: Need[] = [];
  const worst = stresses.reduce((a, b) => (b.used > a.used ? b : a));
  if (worst.used > 1) needs.push({ why: 'crumb', layer: worst.index, used: worst.used });
  const sponge = pantry.sponges.find((row) => row.id === tier.spongeId);
  if (upper && tier.stand.dowels === null)
    for (const creep of ifThere(() => creepUnder(tier, plan, aboveG, spreadOf)) ?? [])
      needs.push({ why: 'filling', gap: creep.index, settledMm: creep.settledMm });
  if (upper && aboveG > customG && (sponge?.allowableKPa ?? 0) < firmCrumbKPa)
    needs.push({ why: 'custom', aboveG });
  if (upper && upper.stand.postMm > 0) needs.push({ why: 'posts' });
  const decks = plan.stack.decks;
  const edges = [0, ...decks.flatMap((deck) => [deck.fromMm, deck.toMm]), plan.stack.stackMm];
  for (let k = 0; k + 1 < edges.length; k += 2) {
    const heightMm = edges[k + 1]! - edges[k]!;
    if (heightMm > mostOnOneBoardMm) {
      needs.push({ why: 'tall', heightMm });
      break;
    }
  }
  return needs;
}
