import type { Layer, SoakStyle, Tier } from '../document/types.ts';
import type { Source } from '../pantry/types.ts';

/** Soak by style: mL to the cm3 of sponge, and what is left of its strength (docs/model.md#soak-hidden-centre-other-layers). */
export const soakRows: Record<
  SoakStyle,
  { title: string; mlPerMl: number; strength: number; source: Source }
> = {
  none: { title: 'no soak', mlPerMl: 0, strength: 1, source: 'trade custom' },
  light: { title: 'a light soak', mlPerMl: 0.03, strength: 0.9, source: 'estimate' },
  medium: { title: 'a medium soak', mlPerMl: 0.06, strength: 0.75, source: 'estimate' },
  generous: { title: 'a generous soak', mlPerMl: 0.1, strength: 0.55, source: 'estimate' },
};

/** The recipe of plain syrup, where nothing else is said. */
export const syrupRecipeId = 'recipe-syrup';
/** Density of plain syrup, and of what does not say its own, g/mL. */
export const syrupGPerMl = 1.2;

/** The recipe that a tier is soaked with. */
export const soakIdOf = ({ soakId }: Pick<Tier, 'soakId'>): string => soakId ?? syrupRecipeId;

export const soakOf = (tier: Tier, layer: Layer): SoakStyle =>
  layer.otherId === null ? (layer.soak ?? tier.soak) : 'none';

/** True where any layer of a tier is soaked. */
export const isSoaked = (tier: Tier): boolean =>
  tier.layers.some((layer) => soakRows[soakOf(tier, layer)].mlPerMl > 0);

/** Every recipe that something is soaked with, each once. */
export const soakIdsIn = (tiers: readonly Tier[]): string[] => [
  ...new Set(tiers.filter(isSoaked).map(soakIdOf)),
];

export interface SoakPlan {
  style: SoakStyle;
  ml: number;
  massG: number;
  /** Cut faces that it is brushed on, and g for each. */
  faces: 1 | 2;
  faceG: number;
  /** Strength of the soaked sponge over the dry one. */
  strength: number;
}

/** What is brushed on one face goes no deeper than this, mm (trade custom): thicker layers get it from both. */
const oneFaceMm = 20;

/**
 * What one layer is soaked with.
 * @param spongeMl volume of its sponge; @param gPerMl density of what is brushed on
 */
export function planSoak(
  tier: Tier,
  layer: Layer,
  spongeMl: number,
  gPerMl: number = syrupGPerMl,
): SoakPlan {
  const style = soakOf(tier, layer);
  const ml = spongeMl * soakRows[style].mlPerMl;
  const massG = ml * gPerMl;
  const faces = layer.heightMm > oneFaceMm ? 2 : 1;
  return { style, ml, massG, faces, faceG: massG / faces, strength: soakRows[style].strength };
}
