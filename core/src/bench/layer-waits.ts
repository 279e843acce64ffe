import { layerCoolMin } from '../heat/cool-places.ts';
import { settingMin } from '../mould/mould-times.ts';
import type { OtherPlan } from '../others/other-layers.ts';
import type { Kitchen, OtherLayer, Recipe } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import { otherKey } from '../workflow/step-keys.ts';
import type { Tier } from '../document/types.ts';
import { step, type Step } from './steps.ts';

/** And keeps so long in the cold, min (usual guidance). */
const setKeepsMin = 3 * 24 * 60;
/** Crepes in a heap give their warmth off so slowly, min (estimate). */
const heapMin = 25;
/** Crisp bits bound with chocolate are firm in the fridge so soon, min (trade custom). */
const firmMin = 30;
/** Not baked: pressed flat and firm as its chocolate sets. */
const isPressed = ({ form, bake }: OtherLayer): boolean => form === 'crisp disc' && bake === null;
/** As warm as it may be when it is filled, C. */
const coldC = 26;
/** Room over a layer on its shelf, mm. */
const overMm = 40;

/** What sets by its recipe, or by how thick it is. Min. */
const setsIn = (recipe: Recipe | null, thickMm: number): number => {
  const own = recipe?.holds?.find(({ after, toC }) => after >= recipe.steps.length && toC === null);
  return own ? own.leastMin : settingMin(thickMm);
};

const wait = (
  key: string,
  title: string,
  minutes: number,
  of: OtherPlan,
  more: Partial<Step>,
): Step =>
  step(key, 'put in', 'Bake', title, 1, {
    beside: true,
    timer: { label: of.row.name, minutes: Math.round(minutes), lookMin: null },
    ...more,
  });

/** "layer 2", "layers 1, 3 and 4" */
export const layersText = (some: readonly OtherPlan[]): string => {
  const numbers = [...new Set(some.map(({ index }) => index + 1))];
  return numbers.length === 1
    ? `layer ${numbers[0]}`
    : `layers ${numbers.slice(0, -1).join(', ')} and ${numbers.at(-1)}`;
};
/** "layer 2", or "what lies in layer 2". */
export const whereOf = (of: readonly OtherPlan[]): string =>
  of.every(({ placed }) => placed !== null)
    ? `what lies in ${layersText(of)}`
    : layersText(of.filter(({ placed }) => placed === null));
/** How high it stands by itself, mm. */
const heightOf = (tier: Tier, { index, placed }: OtherPlan): number =>
  placed ? placed.toMm - placed.fromMm : tier.layers[index]!.heightMm;
/** They wait together, by what they are made of. */
const waitKey = (tier: Tier, { row, placed, index }: OtherPlan, what: string): string =>
  `${tier.id}/other-${what}/${row.id}${placed ? `/${tier.layers[index]!.id}` : ''}`;

/** Bought layers thaw in their wrap before they are unwrapped. */
export function thawSteps(tier: Tier, some: readonly OtherPlan[]): Step[] {
  const [first] = some;
  if (!first || first.packs === null || !first.row.thawH) return [];
  const minutes = first.row.thawH * 60;
  return [
    wait(
      waitKey(tier, first, 'thaw'),
      `Thaw ${first.row.name.toLowerCase()} for ${layersText(some)}`,
      minutes,
      first,
      {
        lead: phrase('In its wrap, so that what condenses stays outside: {time}.', {
          time: [minutes, 'minutes'],
        }),
        checks: ['No ice left in the middle: it bends, or a skewer goes through'],
        hold: { place: 'bench', highMm: 0, spoils: false },
      },
    ),
  ];
}

/**
 * What layers of one kind that were just made wait for before they are filled: they set and are turned
 * out, or they cool, all at once.
 */
export function layerWaits(
  tier: Tier,
  some: readonly OtherPlan[],
  recipe: Recipe | null,
  kitchen: Kitchen,
): Step[] {
  const [first] = some;
  if (!first) return [];
  const { row } = first;
  const name = row.name.toLowerCase();
  const highest = Math.max(...some.map((one) => heightOf(tier, one)));
  const where = whereOf(some);
  if (row.form === 'mousse') {
    const minutes = setsIn(recipe, highest);
    return [
      wait(waitKey(tier, first, 'set'), `Let ${where} set: ${name}`, minutes, first, {
        lead: phrase(
          'In ring or mould on a flat shelf of the fridge, covered: {time}, or overnight.',
          { time: [minutes, 'minutes'] },
        ),
        checks: ['Firm in the middle: it does not tremble when the shelf is tapped'],
        cautions: [
          phrase(
            'Raw pineapple, kiwi, papaya, fig or ginger in it keep gelatine from setting: they are heated first.',
          ),
        ],
        hold: { place: 'fridge', highMm: highest + overMm, spoils: true },
        keepsMin: setKeepsMin,
      }),
      ...some.map((one) =>
        step(
          `${otherKey(tier, one.index, one.placed?.inset.id)}/unmould`,
          'unmould',
          'Bake',
          `Turn out ${whereOf([one])}: ${name}`,
          5,
          {
            part: `${tier.id}/layer/${one.index}`,
            lead: phrase(
              'A warm cloth round ring or mould for half a minute, then straight off, onto film on a flat board. Back into the cold until it is set on.',
            ),
            checks: ['The side is smooth and whole'],
          },
        ),
      ),
    ];
  }
  if (isPressed(row))
    return [
      wait(waitKey(tier, first, 'firm'), `Chill ${where}: ${name}`, firmMin, first, {
        lead: phrase(
          'Flat on its paper in the fridge: {time}. Cut to its circle when it is half firm, before it breaks.',
          { time: [firmMin, 'minutes'] },
        ),
        checks: ['It lifts off the paper in one piece'],
        hold: { place: 'fridge', highMm: highest + overMm, spoils: false },
      }),
    ];
  if (row.bake && row.bake.dryMin > 0) return [dryStep(tier, some, row.bake, kitchen)];
  const minutes =
    row.form === 'crepe'
      ? heapMin
      : row.bake
        ? (layerCoolMin(row.thicknessMm, row.densityGPerMl, row.bake.ovenC, coldC, kitchen) ??
          heapMin)
        : 0;
  if (minutes < 1) return [];
  return [
    wait(waitKey(tier, first, 'cool'), `Let ${where} cool: ${name}`, minutes, first, {
      lead: phrase(
        row.form === 'crepe'
          ? 'In a heap under a cloth, so that they stay soft: {time}. What is warm melts what is spread on it.'
          : 'On the paper on a rack, not moved while warm: {time}. It gets crisp as it cools.',
        { time: [minutes, 'minutes'] },
      ),
      checks: ['Cold: no warmth in the middle of the underside'],
      hold: { place: 'tray', highMm: highest + overMm, spoils: false },
      hotC: row.bake ? row.bake.ovenC : (recipe?.hottestC ?? null),
    }),
  ];
}

/** A shut oven comes down to the room so slowly: the time for all but a third of its warmth, min (estimate). */
const ovenTauMin = 60;

/** What dries on in the oven, switched off: nothing else bakes meanwhile. It comes out cold. */
function dryStep(
  tier: Tier,
  some: readonly OtherPlan[],
  { ovenC, dryMin }: NonNullable<OtherLayer['bake']>,
  { roomC }: Kitchen,
): Step {
  const [first] = some;
  const name = first!.row.name.toLowerCase();
  const coldMin = ovenTauMin * Math.log(Math.max(1, (ovenC - roomC) / Math.max(1, coldC - roomC)));
  const minutes = Math.ceil(Math.max(dryMin, coldMin) / 5) * 5;
  return step(
    waitKey(tier, first!, 'dry'),
    'dry',
    'Bake',
    `Let ${whereOf(some)} dry in the oven: ${name}`,
    1,
    {
      beside: true,
      lead: phrase(
        'Switched off, the door held ajar by a wooden spoon: {time} until it is dry and cold, or overnight. Nothing else bakes meanwhile.',
        { time: [minutes, 'minutes'] },
      ),
      checks: ['It comes off the paper by itself, and sounds hollow'],
      timer: { label: first!.row.name, minutes, lookMin: null },
      hold: { place: 'oven', highMm: 0, spoils: false },
      hazards: ['oven'],
      hotC: ovenC,
    },
  );
}
