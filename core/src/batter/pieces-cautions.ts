import type { Tier } from '../document/types.ts';
import type { Sponge } from '../pantry/types.ts';
import type { BakePlan } from '../tins/bake.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { juiceG, sinks } from './pieces.ts';

/** More of the baked cake than this is pieces and not crumb: it falls apart when it is cut (estimate). */
const mostShare = 0.45;
/** From here on juice is felt in the crumb, share of the batter (estimate). */
const wetShare = 0.03;
/** Starch that binds the juice of water-rich pieces, to their mass (trade custom). */
const starchShare = 0.05;

/** Pieces that leave no room for batter, that sink, and that wet the crumb. */
export function warnOfPieces(
  tier: Tier,
  sponge: Sponge,
  plan: BakePlan,
  cautions: Caution[],
): void {
  if (tier.inclusions.length === 0 || plan.cakes.length === 0) return;
  const part = `${tier.id}/cake`;
  const say = (id: string, severity: Caution['severity'], title: Caution['title'], todo: Caution['todo']): void => void cautions.push({ id: `${tier.id}/${id}`, severity, stage: 'bake', part, title, todo }); // prettier-ignore
  const [first] = plan.cakes;
  const ml = first!.edgeMl + first!.capMl;
  const piecesMl = tier.inclusions.reduce((sum, { densityGPerMl }, k) => sum + first!.piecesG[k]! / densityGPerMl, 0); // prettier-ignore
  if (piecesMl > mostShare * ml)
    say(
      'too many pieces',
      first!.batterG <= 0 ? 'stop' : 'mind',
      first!.batterG <= 0
        ? phrase('The pieces alone fill the tin: there is no room for batter.')
        : phrase('{share} of the cake is pieces: it falls apart when it is cut.', {
            share: [piecesMl / ml, 'share'],
          }),
      phrase('At most {most} of it: no more than {g} of pieces to each tin.', {
        most: [mostShare, 'share'],
        g: [(first!.inclusionG * mostShare * ml) / piecesMl, 'bowl'],
      }),
    );
  for (const one of tier.inclusions)
    if (sinks(one, sponge.batterDensityGPerMl))
      say(
        `sinks/${one.id}`,
        'note',
        phrase(`${one.name} is heavier than the batter ({own} against {batter}) and sinks.`, {
          own: [one.densityGPerMl, 'density'],
          batter: [sponge.batterDensityGPerMl, 'density'],
        }),
        phrase('Chop it small and dust it with flour, or lay half of it on the batter in the tin.'),
      );
  const juice = tier.inclusions.reduce((sum, one, k) => sum + juiceG(one, plan.piecesG[k]!), 0);
  const wet = tier.inclusions.reduce((sum, one, k) => sum + (juiceG(one, 1) > 0 ? plan.piecesG[k]! : 0), 0); // prettier-ignore
  if (juice > wetShare * plan.batterG)
    say(
      'juice',
      'note',
      phrase('{juice} of juice go into the crumb as it bakes (estimate).', {
        juice: [juice, 'small'],
      }),
      phrase('Toss the pieces in {starch} of starch, and test the middle twice.', {
        starch: [wet * starchShare, 'small'],
      }),
    );
}
