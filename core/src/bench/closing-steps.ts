import { pipingSpreadId } from '../build/edit.ts';
import type { Build } from '../build/types.ts';
import type { BoardCover } from '../covers/fondant.ts';
import { handsOn, pipingMin } from '../labour/minutes.ts';
import type { Kitchen, Spread } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import { step, type Step } from './steps.ts';

/** Piping, clearing up, and handing the cake over. */
export function closingSteps(
  build: Build,
  totalG: number | null,
  servings: number | null,
  boardCover: BoardCover | null,
  kitchen: Kitchen,
  spreadOf: (id: string) => Spread,
): Step[] {
  const heavy = totalG !== null && totalG > 10000;
  return [
    ...(boardCover
      ? [
          step('board-cover', 'Coat', 'Cover the board', 10, {
            part: 'board',
            lead: phrase(
              'Rolled {mm} thin, in a ring that shows {ring} and goes a finger under the cake; ribbon of {ribbon} round the edge.',
              {
                mm: [boardCover.mm, 'fine'],
                ring: [boardCover.ringMm, 'span'],
                ribbon: [boardCover.ribbonMm, 'size'],
              },
            ),
            amounts: [
              { label: 'rolled fondant', value: boardCover.massG, kind: 'bowl', figure: null },
            ],
            checks: ['No wrinkle where the cake stands'],
          }),
        ]
      : []),
    ...build.piping
      .filter((job) => job.massG > 0)
      .map((job) =>
        step(`piping/${job.id}`, 'Coat', `Pipe: ${job.name}`, pipingMin(job, kitchen), {
          lead: phrase('From the bowl set aside for it.'),
          amounts: [
            {
              label: `${spreadOf(pipingSpreadId(build, job)).name.toLowerCase()}${job.tint ? `, ${job.tint}` : ''}`,
              value: job.massG,
              kind: 'bowl',
              figure: null,
            },
            ...(job.pieces > 0
              ? [{ label: 'pieces', value: job.pieces, kind: 'count' as const, figure: null }]
              : []),
            ...(job.lineMm > 0
              ? [{ label: 'in all', value: job.lineMm, kind: 'span' as const, figure: null }]
              : []),
          ],
          checks: ['Spaced evenly before the first one is piped'],
        }),
      ),
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
