import { handsOn, sideScale } from '../labour/minutes.ts';
import { phrase } from '../units/phrase.ts';
import type { StackContext } from './stack-context.ts';
import { holdsCaution } from './holds-caution.ts';
import { step, type Step } from './steps.ts';

/** Fondant over a tier, and what is pressed on it. */
export function coverSteps({ tier, stack, fondant, pressed, foods }: StackContext): Step[] {
  const steps: Step[] = [];
  const size = Math.max(0.5, sideScale(tier.outline, stack.finishedMm));
  if (pressed && tier.pressed)
    steps.push(
      step(`${tier.id}/pressed`, 'Coat', `Press on the ${pressed.name}`, handsOn.pressed * size, {
        part: `${tier.id}/coat`,
        lead: phrase(
          `${tier.pressed.bandMm === null ? 'Over the whole side' : 'In a band {band} high from the foot up'}${tier.pressed.onTop ? ', and on top' : ''}, over a tray, while the coat is still soft. {hand} at hand: what falls is lifted and pressed again.`,
          { band: [tier.pressed.bandMm ?? 0, 'span'], hand: [pressed.atHandG, 'bowl'] },
        ),
        amounts: [{ label: pressed.name, value: pressed.massG, kind: 'bowl', figure: null }],
        checks: ['No bare patch a coin wide', 'Loose pieces brushed off the board'],
        cautions: holdsCaution(tier.pressed, foods),
      }),
    );
  if (fondant)
    steps.push(
      step(`${tier.id}/fondant`, 'Coat', 'Cover it with fondant', handsOn.fondant * size, {
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
        checks: ['No air under it', 'No tear at the rim', 'Trimmings wrapped at once'],
      }),
    );
  return steps;
}
