import type { Surface, SurfaceWay, Tier } from '../document/types.ts';
import { areaMm2, perimeterMm, type Outline } from '../outline/outline.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';

/** What is put on a surface of one tier: area in mm2, g of all its coats together. */
export interface SurfacePlan {
  surface: Surface;
  mm2: number;
  massG: number;
  /** With what stays on brush, sieve and paper. */
  atHandG: number;
}

/** Share of what is used that stays on brush, sieve, paper or in the air (estimates). */
const goesAstray: Record<SurfaceWay, number> = { glaze: 0.1, paint: 0.3, dust: 0.4, spray: 0.5 };

/** Glaze, paint, dust and spray by area and coats (docs/model.md#covers). */
export const planSurfaces = (tier: Tier, outline: Outline, heightMm: number): SurfacePlan[] =>
  tier.surfaces.map((surface) => {
    const side = surface.where === 'top' ? 0 : perimeterMm(outline) * heightMm;
    const top = surface.where === 'side' ? 0 : areaMm2(outline);
    const massG = ((side + top) / 100) * surface.gPerCm2 * surface.coats;
    return {
      surface,
      mm2: side + top,
      massG,
      atHandG: massG / (1 - goesAstray[surface.way]),
    };
  });

/** What a surface does not take, or what must not be near it. */
export function warnOfSurfaces(tier: Tier, cautions: Caution[]): void {
  const wet = tier.surfaces.find(({ way }) => way !== 'dust');
  if (wet && tier.torched)
    cautions.push({
      id: `${tier.id}/wet under torch`,
      severity: 'mind',
      stage: 'coat',
      part: `${tier.id}/coat`,
      title: phrase(`A torch comes over ${wet.name.toLowerCase()}.`),
      todo: phrase(
        'Nothing wet with alcohol and no spray can near a flame; colour and glaze burn. Torch first, or keep the torched part bare.',
      ),
    });
  const firstDust = tier.surfaces.findIndex(({ way }) => way === 'dust');
  if (firstDust >= 0 && tier.surfaces.slice(firstDust + 1).some(({ way }) => way !== 'dust'))
    cautions.push({
      id: `${tier.id}/wet on dust`,
      severity: 'note',
      stage: 'coat',
      part: `${tier.id}/coat`,
      title: phrase('Something wet comes over dry dust, and takes it up in streaks.'),
      todo: phrase('Dust last.'),
    });
}
