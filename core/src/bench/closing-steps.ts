import type { BoardCover } from '../covers/fondant.ts';
import { shellTargets } from '../heat/cooling.ts';
import { handsOn } from '../labour/minutes.ts';
import { phrase } from '../units/phrase.ts';
import { cakeLine, washLine } from '../workflow/operation.ts';
import { serveKey } from '../workflow/step-keys.ts';
import { fondantOf } from './cover-steps.ts';
import { heavyCaution, isHeavyLift } from './heavy.ts';
import { takenOf } from './recipe-steps.ts';
import { knifeCaution, step, type Step } from './steps.ts';

/** How long it chills before it travels, and how high it stands in the fridge. */
export interface ForRoad {
  minutes: number;
  highMm: number;
}

/** The board, everything that is finished on the cake, washing up, and handing it over. */
export function closingSteps(
  finishing: readonly Step[],
  lastMoment: readonly Step[],
  journey: readonly Step[],
  countingOut: readonly Step[],
  totalG: number | null,
  servings: number | null,
  boardCover: BoardCover | null,
  forRoad: ForRoad | null,
  holdsAlcohol: boolean,
): Step[] {
  const heavy = isHeavyLift(totalG);
  return [
    ...(boardCover
      ? [
          step('board-cover', 'cover', 'Coat', 'Cover the board', 10, {
            beside: true,
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
            takes: takenOf(fondantOf, boardCover.massG),
            checks: ['No wrinkle where the cake stands'],
          }),
        ]
      : []),
    ...finishing,
    step('box', 'box', 'Serve', 'Box it and keep it cold', handsOn.box, {
      beside: !heavy,
      hazards: heavy ? ['heavy lift'] : [],
      lead: forRoad
        ? phrase(
            'On its board, in a box that leaves room on top, on a flat shelf of the fridge: about {min} until its outside is at {cold}. What goes on the road cold stands it; the chill of the coat alone does not reach that far.',
            {
              min: [forRoad.minutes, 'minutes'],
              cold: [shellTargets['cold for the road'], 'temperature'],
            },
          )
        : phrase('On its board, in a box that leaves room on top, on a flat shelf.'),
      ...(forRoad
        ? {
            timer: { label: 'cold for the road', minutes: forRoad.minutes, lookMin: null },
            hold: { place: 'fridge' as const, highMm: forRoad.highMm, spoils: false },
          }
        : {}),
      checks: [
        ...(countingOut.length > 0
          ? ['The count of anything that is not food is written on the box']
          : []),
        'Allergens are written on the box',
        ...(holdsAlcohol ? ['That it holds alcohol is written on the box'] : []),
      ],
      cautions: heavyCaution(totalG),
    }),
    step('wash-up', 'wash up', 'Serve', 'Wash up', handsOn.washUp, {
      beside: true,
      // a wait of the cold leaves hands free for it
      line: forRoad ? washLine : cakeLine,
      lead: phrase(
        'Bowls, whisks, nozzles, tins, trays and the turntable, and the bench wiped down.',
      ),
      checks: [
        'Nothing is missing: every pick, blade and nozzle that was out is back',
        'No fat or sugar went down the drain: wiped out with paper first',
      ],
    }),
    ...journey,
    ...lastMoment,
    ...countingOut,
    step(serveKey, 'cut and serve', 'Serve', 'Out of the fridge, and cut', 5, {
      hazards: ['knife'],
      cautions: [knifeCaution],
      lead: phrase(
        'Out of the cold two to three hours before, less where a filling is perishable. A hot, sharp knife for clean slices.',
      ),
      amounts:
        servings === null
          ? []
          : [{ label: 'servings', value: servings, kind: 'count', figure: 'servings' }],
      checks: [
        ...(countingOut.length > 0 ? ['Every count of what is not food is closed'] : []),
        'The person who cuts has the cutting map',
      ],
    }),
  ];
}
