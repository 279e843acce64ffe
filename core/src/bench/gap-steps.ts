import { innerSpreadId, isBare } from '../document/edit.ts';
import type { GapPlan } from '../fill/gaps.ts';
import type { Gap, GapLaid } from '../document/types.ts';
import { turnsTop } from '../tins/bake.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import { fillKey } from '../workflow/step-keys.ts';
import { holdsCaution } from './holds-caution.ts';
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

/** How what is not spread is laid. */
const laidWords: Partial<Record<GapLaid, string>> = {
  rings: 'Pipe rings that touch{to}, from the outside in, {high} high.',
  spiral:
    'Pipe one spiral{to}, from the outside to the middle, each turn touching the last, {high} high.',
  dots: 'Pipe dots side by side{to}, in rings from the outside in, {high} high.',
  loose: 'Nothing but the pieces{to}, {high} high, poured in and not pressed.',
};

/**
 * How a filling is laid: its own thickness, which pieces and sauce make up to the gap's; and where a
 * dome was left on, that it fills up round it.
 */
function fillLead(gap: GapPlan, { order }: Gap, crownMm: number): Phrase {
  const ownMl = gap.fillingMl - gap.domeMl;
  const own = gap.areaMm2 > 0 ? (ownMl * 1000) / gap.areaMm2 : gap.heightMm;
  const isShared =
    gap.piecesMl + gap.drizzleMl > 0.01 * ownMl && gap.piecesMl + gap.drizzleMl > 0.5;
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
  const laid = laidWords[gap.laid];
  const first = gap.piecesG > 0 && order === 'pieces first' ? 'The pieces first. ' : '';
  const spread =
    laid ??
    (isShared
      ? 'Spread {own} thick{to}; with what lies in it {high} in all.'
      : 'Spread {high} thick{to}, level.');
  return phrase(`${ring}${first}${spread.replace('{to}', to)}${dome}`, {
    high: [gap.heightMm, 'thickness'],
    own: [own, 'thickness'],
    back: [gap.setbackMm, 'thickness'],
    wide: [gap.damMm, 'thickness'],
    rim: [gap.heightMm + crownMm, 'thickness'],
  });
}

/** What of a gap is weighed, in the order in which it is laid. */
function amountsOf({ tier, spreadOf }: StackContext, gap: GapPlan): Amount[] {
  const spread = spreadOf(gap.spreadId);
  const amounts: Amount[] = [];
  if (gap.damG > 0)
    amounts.push({
      label: `first the dam: ${spreadOf(innerSpreadId(tier)).name.toLowerCase()}`,
      value: gap.damG,
      kind: 'small',
      figure: `${tier.id}/gap/${gap.index}/dam`,
    });
  const { pieces, order } = tier.gaps[gap.index]!;
  const filling: Amount[] =
    gap.fillingG > 0
      ? [
          {
            label: spread.name.toLowerCase(),
            value: gap.fillingG,
            kind: 'small',
            figure: `${tier.id}/gap/${gap.index}/filling`,
          },
        ]
      : [];
  const lying = pieces.flatMap(({ id, name }, k): Amount[] =>
    gap.pieces[k]!.g > 0
      ? [
          {
            label: name,
            value: gap.pieces[k]!.g,
            kind: 'small',
            figure: `${tier.id}/gap/${gap.index}/pieces/${id}`,
          },
        ]
      : [],
  );
  amounts.push(...(order === 'pieces first' ? [...lying, ...filling] : [...filling, ...lying]));
  if (gap.drizzleSpreadId !== null)
    amounts.push({
      label: `${spreadOf(gap.drizzleSpreadId).name.toLowerCase()}, run over it`,
      value: gap.drizzleG,
      kind: 'small',
      figure: null,
    });
  return amounts;
}

/** What a gap takes, and what to mind and note of it. */
function gapParts(context: StackContext, gap: GapPlan): Partial<Step> {
  const { tier, foods, spreadOf } = context;
  const spread = spreadOf(gap.spreadId);
  const own = tier.gaps[gap.index]!;
  return {
    part: `${tier.id}/gap/${gap.index}`,
    lead: fillLead(gap, own, crownsIn(context, gap.index)),
    amounts: amountsOf(context, gap),
    takes: own.pieces.flatMap((one, k) => takenOf(one, gap.pieces[k]!.g)),
    cautions: [
      ...(gap.fillingG > 0 ? perishable(spread) : []),
      ...own.pieces.flatMap((one) => holdsCaution(one, foods)),
    ],
    record:
      gap.fillingG > 0
        ? {
            kind: 'mass',
            label: `${spread.name.toLowerCase()} on layer ${gap.index + 1}`,
            planned: gap.fillingG,
            show: 'small',
            hand: 'fill',
          }
        : null,
  };
}

/** Setting a layer on without spreading anything, min (estimate). */
const setOnMin = 2;
/** A dome higher than this rocks under what lies on it bare, mm (estimate). */
const rocksMm = 2;

/** One layer on the other, nothing between: what to mind of it. */
function bareParts(context: StackContext, gap: GapPlan): Partial<Step> {
  const crownMm = crownsIn(context, gap.index);
  return {
    part: `${context.tier.id}/gap/${gap.index}`,
    lead: phrase('Nothing between them: dry on dry, face to face.'),
    cautions:
      crownMm > rocksMm
        ? [
            phrase('A dome of {high} is left on: without filling round it the layer above rocks and cracks. Level it, or spread something.', { high: [crownMm, 'thickness'] }), // prettier-ignore
          ]
        : [],
  };
}

/** Filling a gap, and the layer over it set on. */
export function fillStep(context: StackContext, gap: GapPlan, minutes: number): Step {
  const { tier, gaps } = context;
  const n = gap.index + 1;
  const top = gap.index === gaps.length - 1;
  const above = tier.layers[gap.index + 1]!;
  const inverted = (top && turnsTop(tier)) !== above.flipped;
  const bare = isBare(gap);
  return step(
    fillKey(tier, gap.index),
    bare ? 'set layer on' : 'spread',
    'Fill and stack',
    bare ? `Set layer ${n + 1} on layer ${n}` : `Fill layer ${n} and set layer ${n + 1} on it`,
    bare ? Math.min(minutes, setOnMin) : minutes,
    {
      ...(bare ? bareParts(context, gap) : gapParts(context, gap)),
      layers: [gap.index + 1],
      checks: [
        ...(gap.damG > 0 ? ['The ring stands as high as the filling all the way round'] : []),
        inverted
          ? `Layer ${n + 1} upside down: its flat base is the top of the cake`
          : `Layer ${n + 1} straight above the one below, looked at from two sides`,
        ...(above.turnSteps
          ? [
              `Its mark at ${clockAt(above.turnSteps)}: ${above.turnSteps * 15}° round from the front mark`,
            ]
          : []),
        'Pressed down lightly; level',
      ],
    },
  );
}

/** Filling a gap inside a mould, on whatever lies there. */
export const spreadInMould = (context: StackContext, gap: GapPlan, minutes: number): Step =>
  step(
    fillKey(context.tier, gap.index),
    'spread',
    'Fill and stack',
    `Fill between layers ${gap.index + 1} and ${gap.index + 2}`,
    minutes,
    { ...gapParts(context, gap), checks: ['To the wall, level'] },
  );
