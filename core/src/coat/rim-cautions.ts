import type { Tier } from '../document/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { roundestRimMm } from './shell.ts';
import { thicknessOf } from './thickness.ts';

/** A rim rounded so far that cake would show. */
export function warnOfRoundRim(tier: Tier, cautions: Caution[]): void {
  const t = thicknessOf(tier);
  const most = roundestRimMm(t.crumbMm + t.sideMm, t.crumbMm + t.topMm);
  if (tier.coat.rimMm <= most + 0.01) return;
  cautions.push({
    id: `${tier.id}/round rim`,
    severity: 'mind',
    stage: 'coat',
    part: `${tier.id}/coat`,
    title: phrase('A rim rounded to {rim} cuts through the coat into the cake.', {
      rim: [tier.coat.rimMm, 'thickness'],
    }),
    todo: phrase('At most {most} under this coat, or cut the edge of the top layer round first.', {
      most: [most, 'thickness'],
    }),
    // in whole millimetres, which a hand can round to
    advised: { do: 'rim', tierId: tier.id, mm: Math.floor(most) },
  });
}
