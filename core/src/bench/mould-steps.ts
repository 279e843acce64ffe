import { isBare } from '../document/edit.ts';
import { handsOn, topScale } from '../labour/minutes.ts';
import { shelfMm } from '../mould/mould.ts';
import type { OtherPlan } from '../others/other-layers.ts';
import { phrase } from '../units/phrase.ts';
import { onLine, tierLine } from '../workflow/operation.ts';
import { mouldKey, otherKey, thawKey, unmouldKey } from '../workflow/step-keys.ts';
import { spreadInMould } from './gap-steps.ts';
import { centreFillStep } from './layer-steps.ts';
import { pouringLead, mixSteps, shapedBy } from './other-steps.ts';
import { pileSteps } from './pile-steps.ts';
import { dangerOf } from './recipe-steps.ts';
import type { StackContext } from './stack-context.ts';
import { step, type Step } from './steps.ts';

/** Out of the freezer it is glazed or sprayed before it takes on damp, min (trade custom). */
const bareMin = 15;
/** Turned out of the fridge it waits in the cold; what is frozen through keeps, min (usual guidance). */
const keeps = { fridge: 3 * 24 * 60, freezer: 21 * 24 * 60 };
/** Thawed once it is eaten, and not frozen again, min (usual guidance). */
const thawedMin = 2 * 24 * 60;

/**
 * A tier built up in its ring or mould, in the order of the hands: foot first, or top first where it is
 * turned out; then it sets or freezes through, and comes out.
 */
export function mouldSteps(context: StackContext): Step[] {
  const { tier, mould } = context;
  if (!tier.mould) return [];
  const isTurned = tier.mould.order === 'upside down';
  const order = tier.layers.map((_, i) => i);
  if (isTurned) order.reverse();
  return onLine(tierLine(tier.id), [
    step(`${tier.id}/first`, 'line tin', 'Fill and stack', `Make ready: ${mould.name}`, 4, {
      part: `${tier.id}/layer/${order[0]!}`,
      lead: phrase(
        isTurned
          ? 'Clean and dry inside, on a flat board that goes into the cold with it. It is built up top first.'
          : 'A strip of film round the inside, on a flat board with film or its cake card; the board goes into the cold with it.',
      ),
      checks: ['The board stands level in fridge or freezer, and there is room for it'],
    }),
    ...order.flatMap((layer, at) => [
      ...(at > 0 ? betweenSteps(context, Math.min(layer, order[at - 1]!)) : []),
      ...layerSteps(context, layer, at === order.length - 1),
      ...pileSteps(context, layer),
      ...(layer === (isTurned ? tier.centre?.fromLayer : tier.centre?.toLayer)
        ? centreFillStep(context)
        : []),
    ]),
    setStep(context),
    ...turnOutSteps(context),
  ]);
}

/** Filling takes so long in a mould of a usual size, min (estimate). */
const fillMin = 4;

/** What lies between two layers, and the board over it where there is one. */
function betweenSteps(context: StackContext, index: number): Step[] {
  const gap = context.gaps[index];
  if (!gap) return [];
  return [
    ...(isBare(gap)
      ? []
      : [spreadInMould(context, gap, fillMin * Math.max(1, topScale(context.tier.outline)))]),
    ...(context.decks.get(index) ?? []),
  ];
}

/** One layer of it: a cream made and poured, or something set in. */
function layerSteps(context: StackContext, index: number, isLast: boolean): Step[] {
  const { tier, others } = context;
  const other = others.find((one) => one.index === index);
  if (other?.row.form === 'mousse') return pourSteps(context, other);
  return [
    step(
      mouldKey(tier, index),
      'set layer on',
      'Fill and stack',
      `Set layer ${index + 1} into the mould`,
      4,
      {
        part: `${tier.id}/layer/${index}`,
        layers: [index],
        lead: phrase(
          isLast && tier.mould!.order === 'upside down'
            ? 'Pressed in level with the brim: it is the foot of the cake. What rises is struck off.'
            : 'Flat, in the middle, pressed lightly so that no air stays under it.',
        ),
        checks: ['It touches the wall nowhere that a cream should show, or all round'],
      },
    ),
  ];
}

/** A cream is made when it is its turn, and poured before it begins to set. */
function pourSteps(context: StackContext, other: OtherPlan): Step[] {
  const { tier, recipes } = context;
  const { row, index } = other;
  const recipe = recipes.find(({ id }) => id === row.recipeId) ?? null;
  const rest = shapedBy(recipe);
  return [
    ...mixSteps(context, row, [other], {
      chapter: 'Fill and stack',
      key: `${otherKey(tier, index)}/mix`,
      parts: otherKey(tier, index),
    }),
    step(
      otherKey(tier, index),
      'fold in',
      'Fill and stack',
      `Pour ${row.name.toLowerCase()} for layer ${index + 1}`,
      handsOn.batter / 2,
      {
        part: `${tier.id}/layer/${index}`,
        layers: [index],
        lead: pouringLead(rest ? `${rest} ` : '', other),
        amounts: [{ label: 'in all', value: other.ownG, kind: 'bowl', figure: null }],
        checks: [
          'Smooth, no streaks of cream; poured before it begins to set',
          'Tapped on the bench: no air at the wall',
        ],
        ...(recipe ? dangerOf(recipe) : {}),
        record: {
          kind: 'mass',
          label: `${row.name.toLowerCase()} in layer ${index + 1}`,
          planned: other.ownG,
          show: 'bowl',
        },
      },
    ),
  ];
}

function setStep({ tier, stack, times, mould }: StackContext): Step {
  const { setIn } = tier.mould!;
  const isFrozen = setIn === 'freezer';
  const minutes = times.mould.setMin;
  return step(
    `${tier.id}/settle`,
    'put in',
    'Fill and stack',
    isFrozen ? 'Freeze it through' : 'Let it set in the fridge',
    2,
    {
      part: `${tier.id}/layer/0`,
      beside: true,
      lead: phrase(
        isFrozen
          ? 'Covered, flat: {time} until it is hard to the middle, or overnight. What is not frozen through tears when it is turned out.'
          : 'Covered, flat: {time}, or overnight.',
        { time: [minutes, 'minutes'] },
      ),
      checks: [
        isFrozen ? 'A skewer does not go into the middle' : 'It does not tremble when tapped',
      ],
      timer: { label: isFrozen ? 'frozen through' : 'set', minutes, lookMin: null },
      hold: {
        place: setIn,
        highMm: shelfMm(mould.shape, stack.stackMm),
        spoils: true,
      },
      keepsMin: keeps[setIn],
      record: {
        kind: 'height',
        label: 'height in the mould',
        planned: stack.stackMm,
        show: 'span',
      },
    },
  );
}

/** Straight off a ring, or turned over; what is frozen is covered at once. */
function turnOutSteps({ tier, mould, stack }: StackContext): Step[] {
  const { order, setIn } = tier.mould!;
  const isFrozen = setIn === 'freezer';
  return [
    step(unmouldKey(tier), 'unmould', 'Coat', `Turn it out of: ${mould.name}`, 5, {
      part: `${tier.id}/layer/${tier.layers.length - 1}`,
      lead: phrase(
        order === 'upside down'
          ? 'Turned over onto its card, mould off; a hard one needs a warm cloth for half a minute. {high} high.'
          : 'A warm cloth round the ring for half a minute, then straight up, and the film off last. {high} high.',
        { high: [stack.stackMm, 'span'] },
      ),
      checks: ['The side is smooth and whole; a tear is closed with a warm palette knife'],
      cautions: isFrozen
        ? [phrase('What is frozen burns wet skin: dry gloves or a cloth, and metal not by hand.')]
        : [],
      keepsMin: isFrozen ? bareMin : null,
    }),
  ];
}

/** Glazed, it thaws in the fridge before anybody cuts it; none where it was not frozen. */
export function thawSteps({ tier, stack, times }: StackContext): Step[] {
  const minutes = times.mould.thawMin;
  if (tier.mould?.setIn !== 'freezer' || minutes < 1) return [];
  return [
    step(thawKey(tier), 'put in', 'Finish', 'Let it thaw in the fridge', 2, {
      part: `${tier.id}/cake`,
      beside: true,
      lead: phrase(
        'On its board, in a box so that no damp settles on it: {time}, or overnight. Cut before that, its middle is ice.',
        { time: [minutes, 'minutes'] },
      ),
      checks: ['A thin skewer goes through the middle without a grain of ice'],
      timer: { label: 'thawed', minutes, lookMin: null },
      hold: { place: 'fridge', highMm: shelfMm(null, stack.finishedMm), spoils: true },
      keepsMin: thawedMin,
    }),
  ];
}
