import { dabSpreadId, isNaked } from '../document/edit.ts';
import { handsOn, topScale } from '../labour/minutes.ts';
import { phrase } from '../units/phrase.ts';
import { pileKey } from '../workflow/step-keys.ts';
import { fillStep } from './gap-steps.ts';
import { centreFillStep, layerSteps } from './layer-steps.ts';
import { mouldSteps } from './mould-steps.ts';
import { otherSteps } from './other-steps.ts';
import { pileSteps } from './pile-steps.ts';
import type { StackContext } from './stack-context.ts';
import { step, type Step } from './steps.ts';

/** How the first layer is held: never by a dab in a hole, and a round belly by what it lies in. */
function firstLead({ outline, asTin, mould }: StackContext['tier']): string {
  const dab =
    outline.kind === 'ring'
      ? 'The dab goes on in four spots under the ring, nothing under its hole.'
      : 'A dab in the middle of the board holds it.';
  const belly =
    asTin === 'mouth to mouth' && mould === null
      ? ' The lower cake lies mouth up, its belly in a collar of foil that keeps it from rolling; the upper one goes on mouth down, and the collar stays until the filling is firm.'
      : '';
  return `${dab}${belly} Something non-slip goes under the board.`;
}

/** From the first layer on the board to a stack ready for its coat. */
export function stackSteps(context: StackContext): Step[] {
  const { tier, stack, gaps, dabG, spreadOf } = context;
  if (tier.mould) return [...otherSteps(context), ...layerSteps(context), ...mouldSteps(context)];
  const dab = spreadOf(dabSpreadId(tier));
  const each =
    (handsOn.fillAndStack / Math.max(1, gaps.length)) * Math.max(1, topScale(tier.outline));
  const steps: Step[] = [
    ...otherSteps(context),
    ...layerSteps(context),
    step(`${tier.id}/first`, 'set layer on', 'Fill and stack', 'Set layer 1 on the board', 3, {
      part: `${tier.id}/layer/0`,
      layers: [0],
      lead: phrase(firstLead(tier)),
      amounts: [
        { label: `dab of ${dab.name.toLowerCase()}`, value: dabG, kind: 'small', figure: null },
      ],
      checks: ['In the middle: the same rim of board all round'],
    }),
    ...pileSteps(context, 0),
    ...(tier.centre?.toLayer === 0 ? centreFillStep(context) : []),
  ];
  for (const gap of gaps) {
    steps.push(
      fillStep(context, gap, each),
      ...pileSteps(context, gap.index + 1),
      ...(tier.centre?.toLayer === gap.index + 1 ? centreFillStep(context) : []),
      ...(context.decks.get(gap.index) ?? []),
    );
  }
  // one layer has nothing between that could settle
  const isPiled = steps.some(({ key }) => key === pileKey(tier, 0));
  if (gaps.length === 0 && tier.restG === 0 && !(isPiled && context.times.firmMin >= 1))
    return steps;
  const under = isNaked(tier)
    ? '. {height} high.'
    : ' under the coat. {height} high before its coat.';
  steps.push(
    step(
      `${tier.id}/settle`,
      tier.restG > 0 ? 'weigh down' : 'put in',
      'Fill and stack',
      tier.restG > 0
        ? 'Rest the stack under a weight, chilled'
        : 'Chill the stack until it is firm',
      2,
      {
        part: `${tier.id}/layer/${tier.layers.length - 1}`,
        lead: phrase(
          tier.restG > 0
            ? `A flat board and {rest} on it, so that it settles now, not later${under}`
            : `It settles now, not later${under}`,
          { height: [stack.stackMm, 'span'], rest: [tier.restG, 'bowl'] },
        ),
        beside: true,
        checks: ['Straight from two sides', 'Filling firm to the touch at the edge'],
        timer: { label: 'settle', minutes: context.times.firmMin, lookMin: null },
        record: {
          kind: 'height',
          label: 'height of the stack',
          planned: stack.stackMm,
          show: 'span',
        },
      },
    ),
  );
  return steps;
}
