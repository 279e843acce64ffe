import type { Build } from '../build/types.ts';
import { coatMin, handsOn, sideScale } from '../labour/minutes.ts';
import { styleRows } from '../pantry/styles.ts';
import type { Spread } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import type { StackContext } from './stack-context.ts';
import { step, type Step } from './steps.ts';

/** Crumb coat and coat of one tier. */
export function coatSteps({ tier, stack, coat, spreadOf }: StackContext): Step[] {
  const spread = spreadOf(tier.coat.spreadId);
  const style = styleRows[tier.coat.style];
  const steps: Step[] = [];
  if (coat.crumbG > 0)
    steps.push(
      step(
        `${tier.id}/crumb`,
        'Coat',
        tier.coat.style === 'semi-naked' ? 'Scrape on the thin coat' : 'Crumb coat',
        handsOn.crumbCoat * Math.max(1, sideScale(tier.outline, stack.stackMm)),
        {
          part: `${tier.id}/crumb`,
          lead: phrase(
            '{thick} thick, just enough to hold the crumbs. What comes off the scraper is full of crumbs: do not put it back.',
            {
              thick: [coat.crumbMm, 'thickness'],
            },
          ),
          amounts: [
            {
              label: spread.name.toLowerCase(),
              value: coat.crumbG,
              kind: 'bowl',
              figure: `${tier.id}/crumb`,
            },
          ],
          checks:
            tier.coat.style === 'semi-naked'
              ? ['Layers show through evenly', 'Scraper wiped at every turn']
              : ['No bare sponge', 'No crumbs loose on the outside'],
          record: { kind: 'mass', label: 'left in the bowl', planned: 0, show: 'bowl' },
        },
      ),
      step(`${tier.id}/crumb-chill`, 'Coat', 'Chill the crumb coat', 1, {
        part: `${tier.id}/crumb`,
        lead: phrase('Twenty minutes in the fridge, or about ten in the freezer.'),
        checks: ['Dry and firm: a finger leaves no mark'],
        timer: { label: 'crumb coat', minutes: 20, lookMin: null },
      }),
    );
  if (coat.coatG > 0)
    steps.push(
      step(
        `${tier.id}/coat`,
        'Coat',
        `Coat it: ${style.title.toLowerCase()}`,
        coatMin(tier.coat.style, tier.outline, stack.stackMm),
        {
          part: `${tier.id}/coat`,
          lead: phrase(
            `{side} on the side and {top} on top, ${style.words}. Strips of paper under the edge keep the board clean.`,
            {
              side: [coat.sideMm, 'thickness'],
              top: [coat.topMm, 'thickness'],
            },
          ),
          amounts: [
            {
              label: spread.name.toLowerCase(),
              value: coat.coatG,
              kind: 'bowl',
              figure: `${tier.id}/coat`,
            },
          ],
          checks: [
            'The cake does not show through',
            'The side is upright against a set square',
            'Paper strips drawn out',
          ],
          record: { kind: 'mass', label: 'left in the bowl', planned: 0, show: 'bowl' },
        },
      ),
      step(`${tier.id}/coat-chill`, 'Coat', 'Chill until the coat is set', 1, {
        part: `${tier.id}/coat`,
        checks: ['Firm enough to lift by the board'],
        timer: { label: 'coat sets', minutes: 60, lookMin: null },
        record: {
          kind: 'height',
          label: 'finished height',
          planned: stack.finishedMm,
          show: 'span',
        },
      }),
    );
  return steps;
}

/** Piping, clearing up, and handing the cake over. */
export function closingSteps(
  build: Build,
  totalG: number | null,
  servings: number | null,
  coatSpread: Spread,
): Step[] {
  const heavy = totalG !== null && totalG > 10000;
  return [
    ...(build.pipingG > 0
      ? [
          step('piping', 'Coat', 'Pipe', (build.pipingG / 100) * handsOn.pipingPer100G, {
            lead: phrase('From the bowl set aside for it.'),
            amounts: [
              {
                label: coatSpread.name.toLowerCase(),
                value: build.pipingG,
                kind: 'bowl',
                figure: null,
              },
            ],
            checks: ['Spaced evenly before the first one is piped'],
          }),
        ]
      : []),
    step('box', 'Serve', 'Clear up, box it and keep it cold', handsOn.box + handsOn.washUp, {
      lead: phrase('On its board, in a box that leaves room on top, on a flat shelf.'),
      checks: [
        'The count of anything that is not food is written on the box',
        'Allergens are written on the box',
      ],
      cautions: heavy
        ? [phrase('It weighs {mass}: two people or a trolley.', { mass: [totalG, 'weight'] })]
        : [],
    }),
    step('serve', 'Serve', 'Out of the fridge, and cut', 5, {
      lead: phrase(
        'Out of the cold two to three hours before, less where a filling is perishable. A hot, sharp knife for clean slices.',
      ),
      amounts:
        servings === null
          ? []
          : [{ label: 'servings', value: servings, kind: 'count', figure: 'servings' }],
      checks: [
        'Every pick and stick is out before it is cut',
        'The person who cuts has the cutting map',
      ],
    }),
  ];
}
