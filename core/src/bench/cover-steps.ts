import { handsOn, sideScale } from '../labour/minutes.ts';
import { phrase } from '../units/phrase.ts';
import type { StackContext } from './stack-context.ts';
import { fondantId } from '../pantry/find.ts';
import { holdsCaution } from './holds-caution.ts';
import { takenOf } from './recipe-steps.ts';
import { step, type Step } from './steps.ts';

/** Rolled fondant as an ingredient. */
export const fondantOf = { name: 'rolled fondant', foodId: fondantId };

const sizeOf = ({ tier, stack }: StackContext): number =>
  Math.max(0.5, sideScale(tier.outline, stack.finishedMm));

/** What is pressed into the coat, while that still gives. */
export function pressedSteps(context: StackContext): Step[] {
  const { tier, pressed, foods } = context;
  if (!pressed || !tier.pressed) return [];
  return [
    step(
      `${tier.id}/pressed`,
      'press on',
      'Coat',
      `Press on the ${pressed.name}`,
      handsOn.pressed * sizeOf(context),
      {
        part: `${tier.id}/coat`,
        lead: phrase(
          `${tier.pressed.bandMm === null ? 'Over the whole side' : 'In a band {band} high from the foot up'}${tier.pressed.onTop ? ', and on top' : ''}, over a tray, while the coat is still soft. {hand} at hand: what falls is lifted and pressed again.`,
          { band: [tier.pressed.bandMm ?? 0, 'span'], hand: [pressed.atHandG, 'bowl'] },
        ),
        amounts: [{ label: pressed.name, value: pressed.massG, kind: 'bowl', figure: null }],
        takes: takenOf(tier.pressed, pressed.atHandG),
        checks: [
          'The coat gives under a finger and sticks to it; where it has dried, it is warmed or dabbed with syrup',
          'No bare patch a coin wide',
          'Loose pieces brushed off the board',
        ],
        cautions: holdsCaution(tier.pressed, foods),
      },
    ),
  ];
}

/** Fondant over a tier. */
export function coverSteps(context: StackContext): Step[] {
  const { tier, fondant } = context;
  const steps: Step[] = [];
  if (fondant)
    steps.push(
      step(
        `${tier.id}/fondant`,
        'cover',
        'Coat',
        'Cover it with fondant',
        handsOn.fondant * sizeOf(context),
        {
          part: `${tier.id}/fondant`,
          lead: phrase(
            `Rolled {mm} thick to a ${fondant.sheet.isDisc ? 'disc of {across}' : 'sheet of {across} by {deep}'}. From the middle out, the rim first, then the side downwards without pulling; trim at the foot. {trim} comes back as trimmings.`,
            {
              mm: [fondant.mm, 'fine'],
              across: [fondant.sheet.acrossMm, 'size'],
              deep: [fondant.sheet.deepMm, 'size'],
              trim: [fondant.trimG, 'bowl'],
            },
          ),
          amounts: [
            {
              label: `rolled fondant${fondant.tint ? `, ${fondant.tint}` : ''}`,
              value: fondant.rolledG,
              kind: 'bowl',
              figure: null,
            },
          ],
          takes: takenOf(fondantOf, fondant.rolledG),
          checks: ['No air under it', 'No tear at the rim', 'Trimmings wrapped at once'],
        },
      ),
    );
  return steps;
}
