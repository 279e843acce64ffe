import { dabSpreadId, innerSpreadId, isNaked } from '../document/edit.ts';
import { handsOn, topScale } from '../labour/minutes.ts';
import { turnsTop } from '../tins/bake.ts';
import type { GapPlan } from '../fill/gaps.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import { fillKey, pileKey } from '../workflow/step-keys.ts';
import { holdsCaution } from './holds-caution.ts';
import { centreFillStep, layerSteps, otherSteps } from './layer-steps.ts';
import { pileSteps } from './pile-steps.ts';
import { perishable } from './perishable.ts';
import { takenOf } from './recipe-steps.ts';
import type { StackContext } from './stack-context.ts';
import { step, type Amount, type Step } from './steps.ts';

const clockAt = (turnSteps: number): string => {
  const hour = Math.round(turnSteps / 2) % 12;
  return `${hour === 0 ? 12 : hour} o’clock`;
};

/** Domes that stand into a gap: from the layer below, and hanging down from the one above, mm. */
const crownsIn = ({ stack }: StackContext, index: number): number =>
  (stack.layers[index]?.crownUpMm ?? 0) + (stack.layers[index + 1]?.crownDownMm ?? 0);

/**
 * How a filling is spread: its own thickness, which pieces and sauce make up to the gap's; and where a
 * dome was left on, that it fills up round it.
 */
function fillLead(gap: GapPlan, crownMm: number): Phrase {
  const ownMl = gap.fillingMl - gap.domeMl;
  const own = gap.areaMm2 > 0 ? (ownMl * 1000) / gap.areaMm2 : gap.heightMm;
  const isShared =
    gap.piecesMl + gap.drizzleMl > 0.01 * ownMl && gap.piecesMl + gap.drizzleMl > 0.5;
  const spread = isShared
    ? 'Spread {own} thick{to}; with what lies in it {high} in all.'
    : 'Spread {high} thick{to}, level.';
  const to =
    gap.damG > 0
      ? ', inside the ring'
      : gap.setbackMm > 0
        ? ' to {back} short of the edge'
        : ' to the edge';
  const ring = gap.damG > 0 ? 'Pipe a ring {wide} wide at the edge, {high} high. ' : '';
  const dome =
    crownMm > 0.5
      ? ' The dome stays on: fill up round it, {rim} at the rim and {high} in the middle.'
      : '';
  return phrase(`${ring}${spread.replace('{to}', to)}${dome}`, {
    high: [gap.heightMm, 'thickness'],
    own: [own, 'thickness'],
    back: [gap.setbackMm, 'thickness'],
    wide: [gap.damMm, 'thickness'],
    rim: [gap.heightMm + crownMm, 'thickness'],
  });
}

/** From the first layer on the board to a stack ready for its coat. */
export function stackSteps(context: StackContext): Step[] {
  const { tier, stack, gaps, dabG, spreadOf } = context;
  const dab = spreadOf(dabSpreadId(tier));
  const each =
    (handsOn.fillAndStack / Math.max(1, gaps.length)) * Math.max(1, topScale(tier.outline));
  const steps: Step[] = [
    ...otherSteps(context),
    ...layerSteps(context),
    step(`${tier.id}/first`, 'set layer on', 'Fill and stack', 'Set layer 1 on the board', 3, {
      part: `${tier.id}/layer/0`,
      layers: [0],
      lead: phrase(
        'A dab in the middle of the board holds it. Something non-slip goes under the board.',
      ),
      amounts: [
        { label: `dab of ${dab.name.toLowerCase()}`, value: dabG, kind: 'small', figure: null },
      ],
      checks: ['In the middle: the same rim of board all round'],
    }),
    ...pileSteps(context, 0),
    ...(tier.centre?.toLayer === 0 ? centreFillStep(context) : []),
  ];
  for (const gap of gaps) {
    const spread = spreadOf(gap.spreadId);
    const top = gap.index === gaps.length - 1;
    const inverted = (top && turnsTop(tier)) !== tier.layers[gap.index + 1]!.flipped;
    const n = gap.index + 1;
    const amounts: Amount[] = [];
    if (gap.damG > 0)
      amounts.push({
        label: `first the dam: ${spreadOf(innerSpreadId(tier)).name.toLowerCase()}`,
        value: gap.damG,
        kind: 'small',
        figure: `${tier.id}/gap/${gap.index}/dam`,
      });
    amounts.push({
      label: spread.name.toLowerCase(),
      value: gap.fillingG,
      kind: 'small',
      figure: `${tier.id}/gap/${gap.index}/filling`,
    });
    const { pieces } = tier.gaps[gap.index]!;
    if (pieces && gap.piecesG > 0)
      amounts.push({
        label: pieces.name,
        value: gap.piecesG,
        kind: 'small',
        figure: `${tier.id}/gap/${gap.index}/pieces`,
      });
    if (gap.drizzleSpreadId !== null)
      amounts.push({
        label: `${spreadOf(gap.drizzleSpreadId).name.toLowerCase()}, run over it`,
        value: gap.drizzleG,
        kind: 'small',
        figure: null,
      });
    const turn = tier.layers[gap.index + 1]!.turnSteps;
    steps.push(
      step(
        fillKey(tier, gap.index),
        'spread',
        'Fill and stack',
        `Fill layer ${n} and set layer ${n + 1} on it`,
        each,
        {
          part: `${tier.id}/gap/${gap.index}`,
          layers: [gap.index + 1],
          lead: fillLead(gap, crownsIn(context, gap.index)),
          amounts,
          takes: pieces ? takenOf(pieces, gap.piecesG) : [],
          checks: [
            ...(gap.damG > 0 ? ['The ring stands as high as the filling all the way round'] : []),
            inverted
              ? `Layer ${n + 1} upside down: its flat base is the top of the cake`
              : `Layer ${n + 1} straight above the one below, looked at from two sides`,
            ...(turn
              ? [`Its mark at ${clockAt(turn)}: ${turn * 15}° round from the front mark`]
              : []),
            'Pressed down lightly; level',
          ],
          cautions: [...perishable(spread), ...(pieces ? holdsCaution(pieces, context.foods) : [])],
          record: {
            kind: 'mass',
            label: `${spread.name.toLowerCase()} on layer ${n}`,
            planned: gap.fillingG,
            show: 'small',
            hand: 'fill',
          },
        },
      ),
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
