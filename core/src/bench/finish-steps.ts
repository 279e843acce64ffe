import { dripToolNames } from '../document/finish-types.ts';
import type { Build, Colour, Tier } from '../document/types.ts';
import { chocolateOf, type Chocolate } from '../ganache/chocolates.ts';
import type { DripPlan, PourPlan } from '../finish/drips.ts';
import type { PlannedPiping } from '../finish/piping.ts';
import { factorOf, type Corrections } from '../hand/corrections.ts';
import { handsOn, pipingMin, sideScale } from '../labour/minutes.ts';
import { foodOf } from '../pantry/find.ts';
import { hotFor } from '../pantry/hazards.ts';
import type { Food, Ganache, Kitchen, Spread } from '../pantry/types.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { phrase } from '../units/phrase.ts';
import { valueOf } from '../working/staged.ts';
import { probeOf, step, type ListItem, type Step } from './steps.ts';
import { temperNote } from './temper-note.ts';
import { valueWord } from '../units/value-words.ts';

/** What the finish of a tier is done with. */
export interface FinishContext {
  tier: Tier;
  plan: TierPlan;
  foods: readonly Food[];
  colours: readonly Colour[];
}

/** Ganache sets before anything is put on it, min: usual, and from when to look. */
const sets = { minutes: 20, lookMin: 15 } as const;

const hotSugarCaution = phrase(
  'Caramel as warm as this burns deep and sticks to the skin. Test it with a thermometer, never with a finger.',
);
/** Boiled sugar by itself is told from what is only warm above this, C. */
const sugarBurnsC = hotFor.children;

/**
 * The stacked cake goes back into the cold before anything runs over it: hands and the room have warmed its
 * coat since that was set. None where nothing runs, or where it is cold enough.
 *
 * @param minutes until the slowest of the coats is as cold as its drips or pour reckon with
 */
export const flowChillStep = (minutes: number, coatC: number, highMm: number): Step[] =>
  minutes < 1
    ? []
    : [
        step(
          'flow-chill',
          'put in',
          'Finish',
          'Chill it once more before anything runs over it',
          2,
          {
            lead: phrase(
              'Hands and the room have warmed the coat while it was stacked: about {min} in the fridge until the coat is at {cold}. On a warm coat drips run further than planned.',
              { min: [minutes, 'minutes'], cold: [coatC, 'temperature'] },
            ),
            beside: true,
            checks: ['Read just under the coat, at the rim'],
            timer: { label: 'coat cold again', minutes, lookMin: null },
            probe: probeOf(coatC),
            hold: { place: 'fridge', highMm, spoils: false },
          },
        ),
      ];

/** Pour, drip, flood and torch: what is done to a tier before its toppings. */
export function flowSteps({ tier, plan, foods }: FinishContext): Step[] {
  const pour = valueOf(plan.finish.pour);
  const drip = valueOf(plan.finish.drip);
  return [
    ...(pour && tier.pour ? pourSteps(tier, plan, pour, foods) : []),
    ...(drip && tier.drip ? dripSteps(tier, drip) : []),
  ];
}

function pourSteps(tier: Tier, plan: TierPlan, pour: PourPlan, foods: readonly Food[]): Step[] {
  const heavy = (plan.massG ?? 0) > 8000;
  const part = `${tier.id}/pour`;
  const isFrozen = tier.mould?.setIn === 'freezer';
  const lift = heavy
    ? [phrase('It weighs {mass}: two people.', { mass: [plan.massG!, 'weight'] })]
    : [];
  return [
    step(`${tier.id}/rack`, 'transfer', 'Finish', 'Onto the rack', 3, {
      part,
      lead: phrase(
        isFrozen
          ? 'Straight from the freezer, on its card, on a rack over a tray with a rim all round: what thaws on it lets the cover slide.'
          : 'Chilled through, on its card, on a rack over a tray with a rim all round.',
      ),
      checks: [
        isFrozen ? 'Hard all over, frost wiped off with the palm' : 'Cold to the touch all over',
        'Nothing of the rack stands out under the cake',
      ],
      cautions: lift,
      hazards: heavy ? ['heavy lift'] : [],
    }),
    step(
      `${tier.id}/pour`,
      'pour',
      'Finish',
      'Pour it over',
      handsOn.pour * Math.max(0.5, sideScale(tier.outline, plan.stack.finishedMm)),
      {
        part,
        lead: phrase(
          'In one go from the middle of the top, then along the rim; the side keeps {veil}. {tray} comes back in the tray: strain it and use it again while it has touched nothing but the cake.',
          { veil: [pour.veilMm, 'fine'], tray: [pour.trayG, 'bowl'] },
        ),
        amounts: [
          {
            label: pour.row.name.toLowerCase(),
            value: pour.pourG,
            kind: 'bowl',
            figure: `${tier.id}/pour`,
          },
          { label: 'as warm as', value: tier.pour!.fluidC, kind: 'temperature', figure: null },
        ],
        checks: ['No bare place on the side', 'Tapped once, and then left alone'],
        ...warmth(pour.row, tier.pour!.fluidC, chocolateOf(foodOf(foods, pour.row.chocolateId))),
        timer: { label: 'Set', ...sets },
      },
    ),
    step(`${tier.id}/off-rack`, 'transfer', 'Finish', 'Back onto its board', 4, {
      part,
      lead: phrase('A wide spatula or two under the card; drops at the foot are cut off first.'),
      checks: ['The foot is clean and nothing tore'],
      cautions: lift,
      hazards: heavy ? ['heavy lift'] : [],
    }),
  ];
}

/** How near the working temperature the bowl has to be, C. */
const nearC = 1;
const working = (atC: number): Step['probe'] => ({
  label: 'in the bowl',
  fromC: atC - nearC,
  toC: atC + nearC,
});

const sugarFluids: readonly Ganache['fluid'][] = ['caramel', 'butterscotch sauce'];

/** How warm what is poured is, what that can do, and how chocolate gets to be as it should. */
function warmth(
  { fluid }: Ganache,
  fluidC: number,
  chocolate: Chocolate | null,
): Pick<Step, 'hazards' | 'hotC' | 'cautions'> {
  const burns = sugarFluids.includes(fluid) && fluidC > sugarBurnsC;
  return {
    hotC: fluidC,
    hazards: burns ? ['hot sugar'] : [],
    cautions: [
      ...(burns ? [hotSugarCaution] : []),
      ...(fluid === 'tempered dark chocolate' ? temperNote(chocolate) : []),
    ],
  };
}

function dripSteps(tier: Tier, drip: DripPlan): Step[] {
  const part = `${tier.id}/drip`;
  const { row, spec, amounts, count } = drip;
  const meanG = amounts.dripsG / count;
  const meanMm = drip.drips.reduce((sum, one) => sum + one.lengthMm, 0) / count;
  const kinds = dripKinds(drip);
  const temperature = {
    label: 'as warm as',
    value: spec.fluidC,
    kind: 'temperature' as const,
    figure: null,
  };
  return [
    step(`${tier.id}/test-drip`, 'drip', 'Finish', 'Test one drip at the back', 4, {
      part,
      lead: phrase(
        `Weigh the ${dripToolNames[tier.drip!.tool]} full, run one drip of about {g} down the back, weigh again, and measure after a minute. It should come to about {mm}.`,
        { g: [meanG, 'fineMass'], mm: [meanMm, 'span'] },
      ),
      amounts: [
        temperature,
        { label: 'coat as cold as', value: spec.coatC, kind: 'temperature', figure: null },
      ],
      dripOf: tier.id,
      probe: working(spec.fluidC),
      checks: ['Grams, temperature and length are noted, and the drips planned anew'],
      ...warmth(row, spec.fluidC, drip.chocolate),
      timer: { label: 'Test drip', minutes: 1, lookMin: null },
    }),
    step(`${tier.id}/drip`, 'drip', 'Finish', 'Drips round the rim', handsOn.drip, {
      part,
      ...warmth(row, spec.fluidC, null),
      lead: phrase(
        `{count} drips, {gap} apart, {g} each on average${drip.squeezes ? ' ({squeezes} squeezes)' : ''}${tier.drip!.tool === 'bag' ? '; cut the end of the bag {cut} wide' : ''}${amounts.rimG > 0.5 ? '; {rim} more are the bead along the rim' : ''}${kinds.length > 0 ? `. ${kinds.map(({ name }, k) => (k === 0 ? `Long ones come to {${name}}` : `${name} ones to {${name}}`)).join(', ')}` : ''}. One squeeze onto the scale first. Begin below the amount: more can follow.`,
        {
          count: [count, 'count'],
          gap: [drip.rimMm / count, 'thickness'],
          g: [meanG, 'fineMass'],
          squeezes: [drip.squeezes ?? 0, 'factor'],
          cut: [drip.bagCutMm, 'thickness'],
          rim: [amounts.rimG, 'small'],
          ...Object.fromEntries(
            kinds.map(({ name, lengthMm }) => [name, [lengthMm, 'span'] as [number, 'span']]),
          ),
        },
      ),
      amounts: [
        {
          label: row.name.toLowerCase(),
          value: amounts.dripsG + amounts.rimG,
          kind: 'small',
          figure: `${tier.id}/drips`,
        },
        temperature,
      ],
      list: kinds.map(({ name, count: many, massG }): ListItem => ({
        label: `${name}, ${many} of them`,
        value: massG,
        kind: 'fineMass',
        note: 'each',
      })),
      record: {
        kind: 'length',
        label: 'length of the drips',
        planned: meanMm,
        show: 'span',
        hand: 'drip',
      },
      probe: working(spec.fluidC),
      checks: ['Every drip stands still before the top is flooded'],
    }),
    ...(amounts.floodG > 0
      ? [
          step(`${tier.id}/flood`, 'flood', 'Finish', 'Flood the top', 4, {
            part: `${tier.id}/flood`,
            lead: phrase('From the middle out to the rim, spread while it is soft.'),
            amounts: [
              { label: row.name.toLowerCase(), value: amounts.floodG, kind: 'small', figure: null },
            ],
            ...warmth(row, spec.fluidC, null),
            checks: ['No drip got longer by it'],
            timer: { label: 'Set', ...sets },
          }),
        ]
      : []),
  ];
}

/** Lengths nearer than this are one kind of drip to the hand, mm. */
const alikeMm = 2;
const kindNames: Record<number, string[]> = {
  2: ['long', 'short'],
  3: ['long', 'middle', 'short'],
};

/**
 * Drips as a hand makes them: long, middle and short, with what one of each takes. A hand that
 * squeezes does not weigh thirty drips; it keeps three in mind.
 */
export function dripKinds(
  drip: DripPlan,
): { name: string; count: number; massG: number; lengthMm: number }[] {
  const sorted = [...drip.drips].sort((a, b) => b.lengthMm - a.lengthMm);
  const [first] = sorted;
  const last = sorted.at(-1);
  if (!first || !last || first.lengthMm - last.lengthMm < alikeMm) return [];
  const lengths = new Set(sorted.map(({ lengthMm }) => Math.round(lengthMm / alikeMm)));
  const kinds = Math.min(3, lengths.size, sorted.length);
  const names = kindNames[kinds];
  if (!names) return [];
  // as far from longest to shortest in each kind: those that look alike are made alike
  const wide = (first.lengthMm - last.lengthMm) / kinds;
  return names.flatMap((name, k) => {
    const own = sorted.filter(
      ({ lengthMm }) => Math.min(kinds - 1, Math.floor((first.lengthMm - lengthMm) / wide)) === k,
    );
    if (own.length === 0) return [];
    const mean = (of: (one: (typeof own)[number]) => number): number =>
      own.reduce((sum, one) => sum + of(one), 0) / own.length;
    return [
      {
        name,
        count: own.length,
        massG: mean(({ massG }) => massG),
        lengthMm: mean(({ lengthMm }) => lengthMm),
      },
    ];
  });
}

/** A torched surface, for as long as it is worked, C (estimate). */
const torchC = 200;

/** Browning with a torch: after what is to brown is there, before picks, paper, and what weeps. */
export const torchSteps = ({ tier }: FinishContext): Step[] =>
  tier.torched
    ? [
        step(`${tier.id}/torch`, 'torch', 'Finish', 'Brown it with the torch', handsOn.torch, {
          part: `${tier.id}/coat`,
          lead: phrase('From a hand’s breadth away, always moving, until the ridges are brown.'),
          hazards: ['torch'],
          hotC: torchC,
          checks: ['Cool again before anything is put on it'],
          cautions: [
            phrase(
              'Open flame: hair tied back, nothing that burns within an arm’s length (card, ribbon, picks, kitchen paper), torch on a stand that cannot fall, and off before it is put down.',
            ),
          ],
          timer: { label: 'Cool', minutes: 10, lookMin: null },
        }),
      ]
    : [];

/** Every piping job. */
export const pipingSteps = (
  piping: readonly PlannedPiping[],
  build: Build,
  kitchen: Kitchen,
  spreadOf: (id: string) => Spread,
  corrections: Corrections,
): Step[] =>
  piping
    .filter((job) => job.massG > 0)
    .map((job) => ({ ...job, massG: job.massG * factorOf(corrections, 'piping') }))
    .map((job) =>
      step(`piping/${job.id}`, 'pipe', 'Finish', `Pipe: ${job.name}`, pipingMin(job, kitchen), {
        part: job.piped
          ? `${job.piped.tierId}/piping/${build.piping.findIndex((p) => p.id === job.id)}`
          : null,
        lead: job.piped
          ? phrase(
              `From the bowl set aside for it: ${valueWord(job.piped.form)}, ${valueWord(job.piped.nozzle)} nozzle {wide} wide.${job.piped.where === 'whole side' ? ' Row by row from the foot up, each row in the gaps of the one below, over a thin coat that still takes them.' : ''} Try the hand on a strip of {strip} first.`,
              { wide: [job.piped.wideMm, 'thickness'], strip: [job.practiceMm, 'span'] },
            )
          : phrase('From the bowl set aside for it.'),
        amounts: [
          {
            label: `${spreadOf(job.spread).name.toLowerCase()}${job.tint ? `, ${job.tint}` : ''}`,
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
        record: {
          kind: 'mass',
          label: 'piped in all',
          planned: job.massG,
          show: 'bowl',
          hand: 'piping',
        },
      }),
    );
