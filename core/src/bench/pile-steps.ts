import { topScale } from '../labour/minutes.ts';
import { phrase } from '../units/phrase.ts';
import { pileKey } from '../workflow/step-keys.ts';
import { perishable } from './perishable.ts';
import type { StackContext } from './stack-context.ts';
import { step, type Step } from './steps.ts';

/** Spreading one and laying the next on it, for one as large as 20 cm, min (estimate). */
const eachMin = 0.7;
/** The pile is set straight after so many. */
const straightAfter = 5;

/** A layer of many thin ones is built up where it stands: so many grams on each, the last stays bare. */
export function pileSteps({ tier, others, spreadOf }: StackContext, layer: number): Step[] {
  const pile = others.find(({ index }) => index === layer);
  if (!pile || pile.count < 2 || pile.betweenSpreadId === null) return [];
  const { count, betweenG, eachG, row } = pile;
  const spread = spreadOf(pile.betweenSpreadId);
  const name = spread.name.toLowerCase();
  return [
    step(
      pileKey(tier, layer),
      'spread',
      'Fill and stack',
      `Build up layer ${layer + 1}: ${count} pieces, ${name} between them`,
      count * eachMin * Math.max(1, topScale(tier.outline)),
      {
        part: `${tier.id}/layer/${layer}`,
        lead: phrase(
          `{each} of ${name} on each but the last, spread {thick} thin to the edge. A board pressed on lightly after every ${straightAfter}, and each turned a little against the one below, so that thick places do not meet.`,
          {
            each: [eachG, 'small'],
            thick: [tier.layers[layer]!.between!.heightMm, 'fine'],
          },
        ),
        amounts: [
          { label: row.name.toLowerCase(), value: count, kind: 'count', figure: null },
          {
            label: `${name} on each`,
            value: eachG,
            kind: 'small',
            figure: null,
          },
          { label: `${name} in all`, value: betweenG, kind: 'small', figure: null },
        ],
        checks: [
          ...Array.from({ length: Math.ceil(count / straightAfter) }, (_, i) => {
            const to = Math.min(count, (i + 1) * straightAfter);
            const from = i * straightAfter + 1;
            return `${from === to ? to : `${from} to ${to}`} on, straight from two sides`;
          }),
          'The last one bare',
        ],
        cautions: perishable(spread),
        record: {
          kind: 'mass',
          label: `${name} in layer ${layer + 1}`,
          planned: betweenG,
          show: 'small',
          hand: 'fill',
        },
      },
    ),
  ];
}
