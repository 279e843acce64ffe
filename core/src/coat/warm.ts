import type { Build } from '../document/types.ts';
import type { Larder } from '../recipes/parts.ts';
import { spreadStressPa } from './melting.ts';
import type { Pantry, Spread } from '../pantry/types.ts';
import { gravity } from '../units/gravity.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { thicknessOf } from './thickness.ts';

/** Less than this over what a side holds is within what a hand spreads. */
const worthMm = 0.5;
const worthShare = 0.05;

/**
 * Thickest coat that stays on an upright side at a temperature, mm: its yield stress there over rho·g
 * (docs/model.md#coat).
 */
export const holdsOnSideMm = (spread: Spread, tempC: number, larder: Larder): number =>
  spreadStressPa(spread, tempC, larder) / (spread.densityGPerMl * gravity);

/** Yield stress of a spread of which a coat of `mm` is the thickest that stays on a side, Pa. */
export const stressFromSlideMm = (mm: number, densityGPerMl: number): number =>
  mm * densityGPerMl * gravity;

/** Frostings that stay on a side at `mm` and `tempC`, the stiffest first. */
export function holdInstead(
  { spreads, ...larder }: Pick<Pantry, 'spreads' | 'recipes' | 'foods'>,
  mm: number,
  tempC: number,
): Spread[] {
  const holds = (spread: Spread): number => holdsOnSideMm(spread, tempC, larder);
  return spreads
    .filter((spread) => spread.canCoat && holds(spread) >= mm)
    .sort((a, b) => holds(b) - holds(a));
}

/** Which rooms a build meets, C: where it is coated, and where it stands. */
export const roomsOf = (
  build: Build,
  kitchenC: number,
): { name: string; where: 'kitchen' | 'venue'; tempC: number }[] => [
  { name: 'the kitchen', where: 'kitchen', tempC: build.brief.kitchenC ?? kitchenC },
  ...(build.brief.venueC === null
    ? []
    : [
        {
          name: build.brief.place || 'where it is served',
          where: 'venue' as const,
          tempC: build.brief.venueC,
        },
      ]),
];

/** A coat that slides off in one of its rooms, with how thick it could be and what would hold. */
export function warnOfWarmth(build: Build, pantry: Pantry, cautions: Caution[]): void {
  for (const tier of build.tiers) {
    const t = thicknessOf(tier);
    const peak = tier.coat.style === 'combed' ? (tier.coat.comb?.peakMm ?? t.sideMm) : t.sideMm;
    const thick = t.crumbMm * (t.cover < 1 ? t.cover : 1) + peak;
    const spread = pantry.spreads.find((row) => row.id === tier.coat.spreadId);
    if (!spread || thick <= 0) continue;
    for (const room of roomsOf(build, pantry.kitchen.roomC)) {
      const holds = holdsOnSideMm(spread, room.tempC, pantry);
      // a hair more than it holds is no news
      if (holds >= thick - Math.max(worthMm, worthShare * thick)) continue;
      const others = holdInstead(pantry, thick, room.tempC)
        .filter((row) => row.id !== spread.id)
        .slice(0, 2)
        .map((row) => row.name.toLowerCase());
      cautions.push({
        id: `${tier.id}/warm/${room.where}`,
        severity: 'mind',
        stage: 'coat',
        part: `${tier.id}/coat`,
        title: phrase(
          `{thick} of ${spread.name.toLowerCase()} slides off an upright side at {temp}, in ${room.name}.`,
          { thick: [thick, 'thickness'], temp: [room.tempC, 'temperature'] },
        ),
        todo: phrase(
          `At that warmth it holds {holds}${others.length > 0 ? `; ${others.join(' or ')} would stay` : ''}. Or keep it cold until it is cut. An estimate from its stiffness.`,
          { holds: [holds, 'fine'] },
        ),
      });
    }
  }
}
