import type { Centre, Tier } from '../document/types.ts';
import type { Spread } from '../pantry/types.ts';
import { areaMm2, fitsInside, grow } from '../outline/outline.ts';

/** The hidden centre of a tier, with what it takes from layers and gaps. Volumes in mL. */
export interface CentrePlan {
  areaMm2: number;
  heightMm: number;
  /** Filling to put in. */
  fillMl: number;
  fillG: number;
  /** Sponge that comes out. */
  spongeMl: number;
  spongeG: number;
  /** Layers above it and below it. */
  lidLayers: number;
  floorLayers: number;
  inside: boolean;
}

export const isInCentre = (centre: Centre | null, layer: number): boolean =>
  centre !== null && layer >= centre.fromLayer && layer <= centre.toLayer;

/** True for a gap that the core runs through: one with a cut layer on both sides. */
export const runsThroughGap = (centre: Centre | null, gap: number): boolean =>
  centre !== null && gap >= centre.fromLayer && gap < centre.toLayer;

/** Density of what fills a core as it lies in it, g/mL: a spread, or loose pieces with their air. */
export const centreDensity = (
  { pieces, spreadId }: Centre,
  spreadOf: (id: string) => Pick<Spread, 'densityGPerMl'>,
): number => (pieces ? pieces.densityGPerMl * pieces.share : spreadOf(spreadId).densityGPerMl);

/**
 * A core of its own outline through chosen layers, with what lies above as its lid and what lies
 * below as its floor.
 *
 * @param gapMm settled thickness of each gap; @param spongeDensity, fillDensity in g/mL
 */
export function planCentre(
  tier: Tier,
  gapMm: readonly number[],
  spongeDensity: number,
  fillDensity: number,
): CentrePlan | null {
  const { centre } = tier;
  if (!centre) return null;
  const area = areaMm2(centre.outline);
  let spongeMm = 0;
  let heightMm = 0;
  for (let i = centre.fromLayer; i <= centre.toLayer; i++) {
    spongeMm += tier.layers[i]!.heightMm;
    heightMm += tier.layers[i]!.heightMm + (i < centre.toLayer ? gapMm[i]! : 0);
  }
  const wall = grow(tier.outline, -wallMm);
  return {
    areaMm2: area,
    heightMm,
    fillMl: (area * heightMm) / 1000,
    fillG: (area * heightMm * fillDensity) / 1000,
    spongeMl: (area * spongeMm) / 1000,
    spongeG: (area * spongeMm * spongeDensity) / 1000,
    lidLayers: tier.layers.length - 1 - centre.toLayer,
    floorLayers: centre.fromLayer,
    inside: wall !== null && fitsInside(centre.outline, wall),
  };
}

/** Cake that has to stand round a core, mm (estimate). */
export const wallMm = 30;
