import type { Layer, SoakStyle, Tier } from '../document/types.ts';
import type { Source } from '../pantry/types.ts';

/** Syrup by style: mL to the cm3 of sponge, and what is left of its strength (docs/model.md#soak-hidden-centre-other-layers). */
export const soakRows: Record<
  SoakStyle,
  { title: string; mlPerMl: number; strength: number; source: Source }
> = {
  none: { title: 'no soak', mlPerMl: 0, strength: 1, source: 'trade custom' },
  light: { title: 'a light soak', mlPerMl: 0.03, strength: 0.9, source: 'estimate' },
  medium: { title: 'a medium soak', mlPerMl: 0.06, strength: 0.75, source: 'estimate' },
  generous: { title: 'a generous soak', mlPerMl: 0.1, strength: 0.55, source: 'estimate' },
};

/** The recipe of the syrup, where the pantry has it. */
export const syrupRecipeId = 'recipe-syrup';

export const syrupGPerMl = 1.2;

export const soakOf = (tier: Tier, layer: Layer): SoakStyle =>
  layer.otherId === null ? (layer.soak ?? tier.soak) : 'none';

/** True where any layer of a tier gets syrup. */
export const isSoaked = (tier: Tier): boolean =>
  tier.layers.some((layer) => soakRows[soakOf(tier, layer)].mlPerMl > 0);

export interface SoakPlan {
  style: SoakStyle;
  ml: number;
  massG: number;
  /** Strength of the soaked sponge over the dry one. */
  strength: number;
}

/** Syrup for one layer. @param spongeMl volume of its sponge */
export function planSoak(tier: Tier, layer: Layer, spongeMl: number): SoakPlan {
  const style = soakOf(tier, layer);
  const ml = spongeMl * soakRows[style].mlPerMl;
  return { style, ml, massG: ml * syrupGPerMl, strength: soakRows[style].strength };
}
