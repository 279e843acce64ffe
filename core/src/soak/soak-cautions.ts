import type { Tier } from '../document/types.ts';
import type { Sponge } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { soakOf, soakRows } from './soak.ts';

/** Warns of more syrup than the sponge holds; the first layer that has too much stands for all. */
export function warnOfSoak(tier: Tier, sponge: Sponge, cautions: Caution[]): void {
  const at = tier.layers.findIndex(
    (layer) => soakRows[soakOf(tier, layer)].mlPerMl > sponge.soakMlPerMl + 1e-9,
  );
  if (at < 0) return;
  const style = soakRows[soakOf(tier, tier.layers[at]!)];
  cautions.push({
    id: `${tier.id}/soak`,
    severity: 'mind',
    stage: 'stack',
    part: `${tier.id}/layer/${at}`,
    title: phrase(
      `${sponge.name} holds about {most} of syrup to the litre of cake; ${style.title} gives it {given}.`,
      {
        most: [sponge.soakMlPerMl * 1000, 'volume'],
        given: [style.mlPerMl * 1000, 'volume'],
      },
    ),
    todo: phrase('Soak it less, or it sags and weeps onto the board.'),
  });
}
