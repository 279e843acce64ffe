import { type Corrections, noCorrections } from '../hand/corrections.ts';
import { limits } from '../document/limits.ts';
import type { Build, Tier } from '../document/types.ts';
import type { Outline } from '../outline/outline.ts';
import type { Kitchen, Pantry } from '../pantry/types.ts';
import { planShape } from '../plan/shape.ts';
import { knifeworkOf } from '../tins/bake.ts';
import { cakesOf, spongeLayers } from '../tins/sponge-layers.ts';
import { edgeHeightMm } from '../tins/knife.ts';

/** A tier solved again from what came out of the oven. */
export interface Rebaked {
  tier: Tier;
  /** Finished height before and after, mm. */
  plannedMm: number;
  heightMm: number;
  /** What could not be kept, in words; null when the height is kept. */
  misses: string | null;
}

/** Layer heights that a cake of this edge gives, equal slices of all of it. */
function slicesFrom(edgeMm: number, slices: number, tier: Tier, kitchen: Kitchen): number {
  const lost = edgeHeightMm(Array<number>(slices).fill(0), knifeworkOf(tier, kitchen));
  return (edgeMm - lost) / slices;
}

/** The cake's outline cut down to the smallest diameter that came out; only rounds can tell. */
function shrunk(tier: Tier): Outline {
  const across = tier.asBaked.flatMap((b) => b.acrossMm ?? []);
  if (tier.outline.kind !== 'round' || across.length === 0) return tier.outline;
  const diameterMm = Math.min(tier.outline.diameterMm, ...across);
  return { kind: 'round', diameterMm: Math.max(limits.sideMm.min, diameterMm) };
}

/**
 * Layers, gaps and knife heights from the heights and diameters that were measured: every layer of
 * a cake as thick as its cake allows but no thicker than planned, the outline cut to the smallest
 * diameter, and the fillings made thicker or thinner alike until the finished height is the planned
 * one again, within their limits.
 *
 * @param build the whole build, for its plan; @param tierId the tier that was measured
 */
export function solveAsBaked(
  build: Build,
  tierId: string,
  pantry: Pantry,
  corrections: Corrections = noCorrections,
): Rebaked {
  const index = build.tiers.findIndex((tier) => tier.id === tierId);
  const tier = build.tiers[index]!;
  const planned = planShape(build, pantry, undefined, corrections).tiers[index]!.stack.finishedMm;
  const next: Tier = JSON.parse(JSON.stringify(tier)) as Tier;
  next.outline = shrunk(next);
  cakesOf(spongeLayers(next), next.slicesPerCake).forEach((layers, cake) => {
    const edge = next.asBaked[cake]?.edgeMm;
    if (edge === undefined) return;
    const each = slicesFrom(edge, layers.length, next, pantry.kitchen);
    for (const i of layers)
      next.layers[i]!.heightMm = Math.max(
        limits.layerMm.min,
        Math.min(next.layers[i]!.heightMm, each),
      );
  });
  const cakeMm = next.layers.reduce((sum, layer) => sum + layer.heightMm, 0);
  const own = tier.gaps.map((gap) => gap.heightMm);
  /** The tier with its fillings so many times as thick. */
  const tierWith = (factor: number): Tier => ({
    ...next,
    gaps: next.gaps.map((gap, i) => ({
      ...gap,
      heightMm: Math.min(
        cakeMm,
        Math.max(limits.gapMm.min, Math.min(limits.gapMm.max, own[i]! * factor)),
      ),
    })),
  });
  const heightOf = (changed: Tier): number => {
    const tiers = build.tiers.map((t, i) => (i === index ? changed : t));
    return planShape({ ...build, tiers }, pantry, undefined, corrections).tiers[index]!.stack
      .finishedMm;
  };
  // fillings up to twice or down to half as thick; more is another cake
  let [low, high] = [0.5, 2];
  if (own.length > 0)
    for (let i = 0; i < 24; i++) {
      const middle = (low + high) / 2;
      if (heightOf(tierWith(middle)) < planned) low = middle;
      else high = middle;
    }
  const found = tierWith((low + high) / 2);
  const heightMm = heightOf(found);
  const off = heightMm - planned;
  return {
    tier: found,
    plannedMm: planned,
    heightMm,
    misses:
      Math.abs(off) < 0.3
        ? null
        : off < 0
          ? 'lower than planned: the fillings are at twice their thickness'
          : 'higher than planned: the fillings are at half their thickness',
  };
}
