import type { Topping } from '../document/finish-types.ts';
import { gelsIn } from './gel-lines.ts';
import type { Colour, Tier } from '../document/types.ts';
import type { FinishPlan } from '../finish/finish-plan.ts';
import { toppingTinted, type ToppingPlan } from '../finish/toppings.ts';
import { chocolateOf } from '../ganache/chocolates.ts';
import { layerCoolMin } from '../heat/cool-places.ts';
import { handsOn, strewMin } from '../labour/minutes.ts';
import { areaMm2 } from '../outline/outline.ts';
import { foodOf } from '../pantry/find.ts';
import type { Food, Pantry } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import { trayLine, type OperationKind } from '../workflow/operation.ts';
import type { FinishContext } from './finish-steps.ts';
import { holdsCaution } from './holds-caution.ts';
import { hotHazards, takenOf } from './recipe-steps.ts';
import { step, type Step, type Taken } from './steps.ts';
import { temperNote } from './temper-note.ts';

/** Slabs that are made on a tray beforehand, set, and are broken. */
export const traySteps = (
  tier: Tier,
  finish: FinishPlan,
  colours: readonly Colour[],
  { foods, kitchen }: Pantry,
): Step[] =>
  finish.toppings.flatMap((plan) => {
    const { topping, tray, count } = plan;
    if (!tray || count <= 0 || topping.kind === 'drizzle') return [];
    const about = {
      part: `${tier.id}/topping/${tier.toppings.indexOf(topping)}`,
      line: trayLine(topping.id),
      tierId: tier.id,
      beside: true,
    };
    const key = `${topping.id}/tray`;
    const danger = slabDanger(topping, foods);
    const isPieces = topping.kind === 'pieces';
    return [
      step(key, 'pipe piece on tray', 'Bowls', `On a tray: ${topping.name}`, handsOn.tray, {
        ...about,
        lead: phrase('Spread {thick} thick on lined paper, about {side} square.', {
          thick: [topping.tray!.thickMm, 'fine'],
          side: [tray.sideMm, 'size'],
        }),
        amounts: [{ label: topping.name, value: tray.massG, kind: 'bowl', figure: null }],
        ...coloured(plan, colours, foods, topping.eaten ? takenOf(topping, tray.massG) : []),
        ...danger,
      }),
      setStep(`${key}-set`, key, topping, danger, { foods, kitchen }, about),
      step(
        `${topping.id}/break`,
        'break up',
        'Bowls',
        `Break it: ${topping.name}`,
        handsOn.breakUp,
        {
          ...about,
          wholeKey: key,
          lead: phrase(
            isPieces
              ? `{whole} in {count} whole ${count === 1 ? 'piece' : 'pieces'}, {crushed} crushed for between them. Dry hands, or gloves; laid apart, not heaped.`
              : 'Small, and every splinter is used. Dry hands, or gloves; laid apart, not heaped.',
            {
              whole: [tray.wholeG, 'small'],
              crushed: [tray.crushedG, 'small'],
              count: [count, 'count'],
            },
          ),
          checks: ['Dry and closed until it is put on: what is crisp draws water from the air'],
        },
      ),
    ];
  });

/** What is mixed into what pieces are made of, and what they take with it. */
function coloured(
  plan: ToppingPlan,
  colours: readonly Colour[],
  foods: readonly Food[],
  takes: readonly Taken[],
): Pick<Step, 'list' | 'takes'> {
  const tinted = toppingTinted(plan, colours, foods);
  if (!tinted) return { list: [], takes };
  const gels = gelsIn([{ tint: '', note: tinted }]);
  return { list: gels.list, takes: [...takes, ...gels.takes] };
}

/** Tempered chocolate has set through on a cool bench after so long, min (trade custom). */
const temperedMin = 30;
/** Tempered, it is spread at about this, C. */
const spreadC = 32;
/** Within so much of the room it is hard and breaks clean, K. */
const nearRoomK = 3;

/** A slab sets on its tray: sugar by its heat, tempered chocolate by its crystals. */
function setStep(
  key: string,
  wholeKey: string,
  topping: Topping,
  { hazards, hotC }: Pick<Step, 'hazards' | 'hotC'>,
  { foods, kitchen }: Pick<Pantry, 'foods' | 'kitchen'>,
  about: Partial<Step>,
): Step {
  const isChocolate = chocolateOf(foodOf(foods, topping.foodId)) !== null;
  const fromC = isChocolate ? spreadC : (hotC ?? slabC.sugar);
  const toC = kitchen.roomC + nearRoomK;
  const cooled = layerCoolMin(topping.tray!.thickMm, topping.densityGPerMl, fromC, toC, kitchen);
  const minutes = Math.ceil(Math.max(isChocolate ? temperedMin : 0, cooled ?? 0, 1));
  return step(key, 'put in', 'Bowls', `Let it set: ${topping.name}`, 1, {
    ...about,
    wholeKey,
    lead: phrase('On its tray on a cool, dry bench, flat and not moved: about {min}. Never in the fridge unwrapped: it sweats when it comes out.', { min: [minutes, 'minutes'] }), // prettier-ignore
    checks: ['Set right through before it is broken'],
    hazards: hazards.filter((one) => hotHazards.includes(one)),
    hotC: fromC,
    timer: { label: topping.name, minutes, lookMin: null },
    hold: { place: 'bench', highMm: 0, spoils: false },
  });
}

/** Sugar and water of what was boiled: mostly the one, next to none of the other (estimate). */
const boiledSugar = { sugarShare: 0.35, waterShare: 0.1 };
/** Boiled sugar for brittle, and chocolate melted to be tempered, at their hottest, C. */
const slabC = { sugar: 170, chocolate: 50 };

/** What a slab is made of decides what can burn: chocolate is tempered, sugar is boiled. */
function slabDanger(
  topping: Topping,
  foods: readonly Food[],
): Pick<Step, 'hazards' | 'hotC' | 'cautions'> {
  const food = foodOf(foods, topping.foodId);
  const chocolate = chocolateOf(food);
  const held = holdsCaution(topping, foods);
  if (chocolate) {
    return {
      hazards: [],
      hotC: slabC.chocolate,
      cautions: [
        ...temperNote(chocolate),
        phrase('Melted chocolate burns: dry cloths, and never over {most}.', {
          most: [slabC.chocolate, 'temperature'],
        }),
        ...held,
      ],
    };
  }
  const isBoiled =
    food?.declared &&
    food.sugarShare >= boiledSugar.sugarShare &&
    food.waterShare <= boiledSugar.waterShare;
  if (food?.declared && !isBoiled) return { hazards: ['oven'], hotC: slabC.sugar, cautions: held };
  return {
    hazards: ['hot sugar'],
    hotC: food?.declared ? slabC.sugar : null,
    cautions: [
      phrase(
        `${isBoiled ? 'Hot' : 'If there is boiled sugar in it: hot'} sugar burns deep. Long sleeves, deep pan, a bowl of cold water within reach, nobody small in the kitchen.`,
      ),
      ...held,
    ],
  };
}

/** Heaped, strewn, run over it or set piece by piece. */
const putKind = ({ kind, arrangement }: Topping): OperationKind =>
  kind === 'heap'
    ? 'heap'
    : kind === 'drizzle'
      ? 'drip'
      : kind === 'pieces' && arrangement === 'scattered'
        ? 'strew'
        : 'place topping';

function toppingStep(
  tier: Tier,
  plan: ToppingPlan,
  i: number,
  foods: readonly Food[],
  colours: readonly Colour[],
): Step {
  const { topping, count, massG } = plan;
  const isCounted = topping.kind === 'pieces';
  return step(
    `${topping.id}/put`,
    putKind(topping),
    topping.last ? 'Serve' : 'Finish',
    topping.last ? `At the last moment: ${topping.name}` : `Put on: ${topping.name}`,
    topping.kind === 'pieces' && topping.arrangement === 'scattered'
      ? strewMin(areaMm2(tier.outline))
      : Math.max(1, (handsOn.topping * Math.max(1, count)) / 12),
    {
      part: `${tier.id}/topping/${i}`,
      lead: topping.side ? sideLead(plan, topping.side) : phrase(howPlaced(topping)),
      amounts: [
        ...(isCounted
          ? [{ label: topping.name, value: count, kind: 'count' as const, figure: null }]
          : []),
        {
          label: isCounted ? 'in all' : topping.name,
          value: massG,
          kind: 'small' as const,
          figure: null,
        },
        ...(plan.seatG > 0
          ? [{ label: 'seats in all', value: plan.seatG, kind: 'small' as const, figure: null }]
          : []),
        ...(plan.ribbonMm === null
          ? []
          : [
              {
                label: 'ribbon, cut to',
                value: plan.ribbonMm,
                kind: 'span' as const,
                figure: null,
              },
            ]),
      ],
      // of a slab the tray took it, of what runs over it the bowl
      ...(plan.tray || topping.kind === 'drizzle'
        ? {}
        : coloured(plan, colours, foods, topping.eaten ? takenOf(topping, massG) : [])),
      checks: [
        'Even from where the guests stand',
        ...(topping.pick !== 'none' ? [`Every ${topping.pick} counted in`] : []),
        ...(topping.eaten ? [] : ['Not food: counted in, and off before it is cut']),
        ...(plan.sinks ? ['Seated so that it does not sink'] : []),
        ...(plan.onSide?.hold.by === 'coat'
          ? ['The coat is soft enough to take them, and firm enough to hold']
          : []),
        ...(plan.onSide?.hold.by === 'seat'
          ? ['Each is held until its seat takes, and none has moved after ten minutes']
          : []),
      ],
      cautions: topping.eaten && topping.kind !== 'drizzle' ? holdsCaution(topping, foods) : [],
      record:
        topping.pick === 'none' && topping.eaten
          ? null
          : {
              kind: 'count',
              label: `${topping.eaten ? `${topping.pick} of ` : ''}${topping.name}, put in`,
              planned: count,
              show: 'count',
            },
    },
  );
}

/** Where on the side, how high, and what holds it. */
function sideLead(
  { topping, onSide, seatG, count }: ToppingPlan,
  { arrangement, upMm, toMm, dabSpreadId }: NonNullable<Topping['side']>,
): Phrase {
  const model = topping.modelled ? 'Kneaded, coloured, modelled and let firm up. ' : '';
  if (topping.kind === 'ribbon')
    return phrase(
      `Its lower edge {up} above the foot, drawn snug and not tight, its ends over each other at the back${topping.eaten ? '.' : ', with a dab under the end alone. It touches no cream that is eaten: a strip of paper under a cloth one.'}`,
      { up: [upMm, 'span'] },
    );
  const ways: Record<typeof arrangement, string> = {
    round: 'Evenly round the side, {up} above its foot.',
    cascade: 'In a line that winds from {up} above the foot to {to}, the largest first.',
    free: 'Where the unrolled side shows them.',
  };
  const held =
    onSide?.hold.by === 'pick'
      ? ' Its pick goes in slanting down, and is counted.'
      : dabSpreadId === null
        ? ' Pressed in by a third of its thickness.'
        : ` Each on its own seat, {seat} of it.`;
  return phrase(`${model}${ways[arrangement]}${held}`, {
    up: [upMm, 'span'],
    to: [toMm, 'span'],
    seat: [count > 0 ? seatG / count : 0, 'fineMass'],
  });
}

function howPlaced(topping: Topping): string {
  if (topping.modelled) return 'Kneaded, coloured, modelled and let firm up, then set on.';
  if (topping.kind === 'ribbon') return 'Round the side.';
  if (topping.kind === 'heap') return 'Heaped in the middle.';
  if (topping.kind === 'wreath') return 'In a roll along the rim.';
  if (topping.kind === 'drizzle') return 'From a spoon or a bag, in one go, moving from the wrist.';
  const ways: Record<Topping['arrangement'], string> = {
    round: 'Evenly round, the first at the back.',
    clusters: `In clusters of ${topping.clusterOf}, evenly round.`,
    crescent: 'Along part of the rim, the largest in its middle.',
    scattered: 'Strewn, each clear of the next.',
    free: 'Where the drawing from above shows them.',
  };
  return ways[topping.arrangement];
}

/** When a topping comes: before a torch that is to brown it, now, or at the last moment. */
export type ToppingTime = 'torched' | 'now' | 'last';
const timeOf = ({ torched }: Tier, { last, kind, eaten, pick }: Topping): ToppingTime =>
  last ? 'last' : torched && kind === 'heap' && eaten && pick === 'none' ? 'torched' : 'now';

/** Toppings of a tier that come at that time. */
export const toppingSteps = (
  { tier, plan, foods, colours }: FinishContext,
  time: ToppingTime,
): Step[] =>
  plan.finish.toppings
    .map((one, i) => ({ one, i }))
    .filter(({ one }) => timeOf(tier, one.topping) === time && one.count > 0)
    .map(({ one, i }) => toppingStep(tier, one, i, foods, colours));
