import { limits } from './limits.ts';
import type { Build, Gap, Tier } from './types.ts';

/*
 * The edits of a build, each a change made in place on a draft: the store records the patches,
 * which gives undo and history. Values arrive validated; what follows from an edit is kept whole
 * here (one gap fewer than layers, a filling below the height of the cake).
 */

/** The tier with this id, or the first. */
export const tierOf = (build: Build, tierId: string): Tier =>
  build.tiers.find((tier) => tier.id === tierId) ?? build.tiers[0]!;

const clamp = (n: number, { min, max }: { min: number; max: number }): number =>
  Math.min(max, Math.max(min, n));

const cakeMm = (tier: Tier): number => tier.layers.reduce((sum, layer) => sum + layer.heightMm, 0);

/** Sets the number of layers; new ones copy the top layer and the top gap. */
export function setLayerCount(tier: Tier, count: number): void {
  const wanted = Math.round(clamp(count, limits.layers));
  while (tier.layers.length < wanted) {
    tier.layers.push({ heightMm: tier.layers.at(-1)!.heightMm });
    const last = tier.gaps.at(-1);
    tier.gaps.push(last ? { ...last } : { heightMm: 7, spreadId: tier.coat.spreadId, damMm: 0 });
  }
  tier.layers.length = wanted;
  tier.gaps.length = wanted - 1;
  keepGapsBelowCake(tier);
}

/** Sets one layer's height, or every layer's where `index` is null. Fillings never exceed the cake. */
export function setLayerHeight(tier: Tier, index: number | null, heightMm: number): void {
  tier.layers.forEach((layer, i) => {
    if (index === null || i === index) layer.heightMm = clamp(heightMm, limits.layerMm);
  });
  keepGapsBelowCake(tier);
}

/** Sets one gap's thickness, or every gap's where `index` is null, at most the height of the cake. */
export function setGapHeight(tier: Tier, index: number | null, heightMm: number): void {
  const most = Math.min(cakeMm(tier), limits.gapMm.max);
  tier.gaps.forEach((gap, i) => {
    if (index === null || i === index) gap.heightMm = Math.min(most, clamp(heightMm, limits.gapMm));
  });
}

/** Changes what fills one gap, or all of them. */
export function setGap(tier: Tier, index: number | null, change: Partial<Gap>): void {
  tier.gaps.forEach((gap, i) => {
    if (index === null || i === index) Object.assign(gap, change);
  });
}

/**
 * Stretches the layers so that the tier gains `byMm` in height; fillings and coat stay. Each layer
 * keeps its share of the cake.
 */
export function stretchLayers(tier: Tier, byMm: number): void {
  const now = cakeMm(tier);
  const wanted = Math.max(now + byMm, tier.layers.length * limits.layerMm.min);
  const factor = wanted / now;
  for (const layer of tier.layers) layer.heightMm = clamp(layer.heightMm * factor, limits.layerMm);
  keepGapsBelowCake(tier);
}

function keepGapsBelowCake(tier: Tier): void {
  const most = cakeMm(tier);
  for (const gap of tier.gaps) gap.heightMm = Math.min(gap.heightMm, most);
}
