import { bakedTint } from '../batter/batter-tints.ts';
import type { InclusionWay, Tier } from '../document/types.ts';
import { doneC } from '../heat/bake-time.ts';
import type { Sponge, Tin } from '../pantry/types.ts';
import { handsOn } from '../labour/minutes.ts';
import type { BatterMixing } from '../oven/mixings.ts';
import type { TierLoad } from '../oven/tier-loads.ts';
import type { BakedCake } from '../tins/bake.ts';
import { phrase } from '../units/phrase.ts';
import { loadLine, type OperationKind } from '../workflow/operation.ts';
import { keyOf, type BakeContext } from './bake-context.ts';
import { mixingSteps } from './batter-steps.ts';
import { holdsCaution } from './holds-caution.ts';
import { takenOf } from './recipe-steps.ts';
import { ovenCaution, step, type Amount, type ListItem, type Step } from './steps.ts';

/** A step of a load, and when in it: tins for somebody else's batter, batter, oven, out. */
export interface LoadStep {
  load: number;
  phase: number;
  step: Step;
}

/** What tiers of one load do together: mixed and filled, baked, turned out. */
const phaseOf = ({ kind }: Step): number => (kind === 'bake' ? 1 : kind === 'turn out' ? 2 : 0);

/** From the ingredients to cold cakes, load by load of the oven. */
export const bakeSteps = (context: BakeContext): LoadStep[] =>
  context.loads.flatMap((load, i) => {
    const mixing = context.mixings.find(
      (one) =>
        one.load === load.index && one.parts.some(({ tierId }) => tierId === context.tier.id),
    );
    const isGuest = mixing !== undefined && mixing.parts[0]!.tierId !== context.tier.id;
    const lined = lineStep(context, load);
    const own: [number, Step][] = isGuest
      ? [[load.reused > 0 ? 0 : -1, lined]]
      : preparing(context, load, i, lined, mixing ?? null).map((one) => [0, one]);
    return [
      ...own,
      ...[fillStep(context, load), ...ovenSteps(context, load, i)].map((one): [number, Step] => [
        phaseOf(one),
        one,
      ]),
    ].map(([phase, one]) => ({
      load: load.index,
      phase,
      step: { ...one, line: loadLine(load.index), wholeKey: wholeKeyOf(context.tier, one) },
    }));
  });

/** Batter and tins: lined while the oven heats, or once they are out of the load before. */
function preparing(
  context: BakeContext,
  load: TierLoad,
  i: number,
  lined: Step,
  mixing: BatterMixing | null,
): Step[] {
  if (!mixing) return [lined];
  const { weighed, mixed } = mixingSteps(context, mixing, i);
  return load.reused > 0 ? [...weighed, ...mixed, lined] : [...weighed, lined, ...mixed];
}

/** Of a step about some of the cakes, the one about all of them. */
const wholeKeyOf = ({ id }: Tier, { key, kind }: Step): string | null => {
  const what = loadKinds[kind];
  return what !== undefined && key.startsWith(`${id}/${what}/`) ? `${id}/${what}` : null;
};
type LoadKey = 'weigh' | 'mix' | 'colour' | 'line' | 'divide' | 'bake' | 'cool';
/** What steps of a load are called in their keys. */
const loadKinds: Partial<Record<OperationKind, LoadKey>> = {
  weigh: 'weigh',
  mix: 'mix',
  colour: 'colour',
  'line tin': 'line',
  'fill tin': 'divide',
  bake: 'bake',
  'turn out': 'cool',
};
/** "tin 2", by the place of its cake among all of the tier. */
const tinName = ({ bake }: BakeContext, { index }: BakedCake): string =>
  bake.cakes.length === 1 ? 'into the tin' : `tin ${index + 1}`;
const tinsOf = (count: number): string => (count === 1 ? 'the tin' : `${count} tins`);

/** The tins of a load lined, or washed and lined once more. */
function lineStep(context: BakeContext, { cakes, reused, index }: TierLoad): Step {
  const { tier, tin, sponge, recipe, bake, pantry } = context;
  const many = cakes.length;
  const title =
    reused > 0
      ? `${many === reused ? 'Wash, cool and line' : 'Wash what was used, and line'} ${tinsOf(many)} again`
      : index === 0
        ? `Line ${tinsOf(many)} and heat the oven`
        : `Line ${tinsOf(many)}`;
  return step(
    keyOf(context, 'line', cakes),
    'line tin',
    'Bake',
    title,
    (handsOn.lineTins / 2) * many + pantry.kitchen.washMin * Math.min(reused, 1),
    {
      part: `${tier.id}/cake`,
      lead: phrase(
        `${reused > 0 ? 'A warm tin melts the fat off its side: cold water, then dried. ' : ''}${tin.name}, {depth} deep. ${greased(tin, sponge)}`,
        { depth: [tin.depthMm, 'thickness'] },
      ),
      amounts: recipe.bake
        ? [{ label: 'oven', value: bake.ovenC, kind: 'temperature', figure: null }]
        : [],
      checks: ['The oven is hot before the batter is mixed'],
      cautions: [ovenCaution],
      hazards: ['oven'],
      beside: true,
    },
  );
}

/** How a tin is made ready: foams want bare sides, and no paper fits a wall that is no plain one. */
const greased = (tin: Tin, sponge: Sponge): string =>
  tin.form !== 'upright' || tin.flutes
    ? `Melted fat brushed into every ${tin.flutes ? 'flute' : 'corner'}, the tin chilled, brushed once more, and floured; tapped out. No paper.`
    : sponge.bareSides
      ? 'Paper on the bottom alone; the sides stay bare, neither greased nor dusted: the foam climbs up them.'
      : 'Grease, line the bottom and the sides, and dust.';

/** The batter of a load into its tins; what is for a later one waits in the bowl. */
function fillStep(context: BakeContext, load: TierLoad): Step {
  const { tier, bake } = context;
  const { cakes } = load;
  const many = cakes.length;
  return step(
    keyOf(context, 'divide', cakes),
    'fill tin',
    'Bake',
    many === 1 ? 'Fill the tin' : 'Divide the batter',
    (handsOn.divide * many) / bake.cakes.length,
    {
      part: `${tier.id}/cake`,
      beside: true,
      lead: phrase(
        many === 1
          ? 'Set the tin on the scale, tare, and pour.'
          : 'Set each tin on the scale, tare, and pour. Equal weights bake to equal heights.',
      ),
      amounts: cakes.map((cake): Amount => ({
        label: [tinName(context, cake), bakedTint(tier, cake.layers[0]!)]
          .filter(Boolean)
          .join(', '),
        value: cake.batterG + cake.foldedG,
        kind: 'bowl',
        figure: `${tier.id}/cake/${cake.index}/batter`,
      })),
      ...laidIn(context, load),
      checks: [
        cakes.some((cake) => cake.fillShare > 2 / 3)
          ? 'Fuller than the customary two thirds: put a tray on the shelf below'
          : many === 1
            ? 'The tin is no more than two thirds full'
            : 'The tins are no more than two thirds full',
        ...(isSharedLater(context, load)
          ? ['The rest of the batter is covered, and not stirred']
          : []),
      ],
    },
  );
}

const laidWords: Record<Exclude<InclusionWay, 'folded in'>, { order: number; label: string }> = {
  'laid under': { order: 0, label: 'first, on the bottom' },
  swirled: { order: 1, label: 'drawn through it with a knife' },
  'laid on top': { order: 2, label: 'on the batter' },
};

/** Pieces that are laid into the tins, in the order they are: beneath, through, on top. */
function laidIn(
  context: BakeContext,
  { cakes }: TierLoad,
): Pick<Step, 'list' | 'takes' | 'cautions'> {
  const { tier, pantry } = context;
  const laid = tier.inclusions
    .flatMap((one, k) => (one.way === 'folded in' ? [] : [{ one, k, ...laidWords[one.way] }]))
    .sort((a, b) => a.order - b.order);
  return {
    list: laid.flatMap(({ one, k, label }) =>
      cakes.map((cake): ListItem => ({
        label: `${one.name}, ${label}${cakes.length > 1 ? `: ${tinName(context, cake)}` : ''}`,
        value: cake.piecesG[k]!,
        kind: 'bowl',
        note: one.eachTin ? `${one.eachTin.count} pieces` : null,
      })),
    ),
    takes: laid.flatMap(
      ({ one, k }) =>
      takenOf(one, cakes.reduce((sum, cake) => sum + cake.piecesG[k]!, 0)), // prettier-ignore
    ),
    cautions: laid.flatMap(({ one }) => holdsCaution(one, pantry.foods)),
  };
}

/** Some of its batter waits for a later load. */
const isSharedLater = ({ loads }: BakeContext, { index }: TierLoad): boolean =>
  loads.some(({ batterFrom }) => batterFrom === index);

/** Minutes that differ by less are one to the eye. */
const alikeMin = 1.5;

/** In the oven, out of it tin by tin, and cold. */
function ovenSteps(context: BakeContext, load: TierLoad, i: number): Step[] {
  const { tier, sponge, tin, recipe, bake, times, loads } = context;
  const { cakes } = load;
  const at = `${tier.id}/cake`;
  const timed = cakes.flatMap(({ index, window }) => (window ? [{ index, window }] : []));
  const [first] = [...timed].sort((a, b) => a.window.minutes - b.window.minutes);
  const longestMin = Math.max(0, ...timed.map(({ window }) => window.minutes));
  const tallest = cakes.reduce((a, b) => (b.edgeMm > a.edgeMm ? b : a));
  const number = loads.length > 1 ? `, load ${i + 1} of ${loads.length}` : '';
  const waited =
    load.mixed.length === 0 ? ' The batter has stood meanwhile: not stirred, only poured.' : '';
  return [
    ...(first
      ? [
          step(keyOf(context, 'bake', cakes), 'bake', 'Bake', `Bake${number}`, 5, {
            part: at,
            lead: phrase(
              `${
                recipe.bake
                  ? 'An estimate from the recipe’s own time ({own} in a tin {tin} across), this cake’s size and a batter at {start}: look from {look} on, and go by the tests. It may take until {to}.'
                  : 'An estimate from this cake’s size and a batter at {start}: look from {look} on, and go by the tests. It may take until {to}.'
              }${waited}`,
              {
                own: [recipe.bake?.minutes ?? 0, 'minutes'],
                tin: [recipe.bake?.tinMm ?? 0, 'size'],
                start: [bake.startC, 'temperature'],
                look: [first.window.fromMin, 'minutes'],
                to: [first.window.toMin, 'minutes'],
              },
            ),
            amounts: [
              { label: 'oven', value: bake.ovenC, kind: 'temperature', figure: null },
              {
                label: 'likely done after',
                value: first.window.minutes,
                kind: 'minutes',
                figure: `${tier.id}/cake/${first.index}/minutes`,
              },
            ],
            // each comes out as it is done
            list:
              longestMin - first.window.minutes > alikeMin
                ? timed.map(({ index, window }): ListItem => ({
                    label: `tin ${index + 1}, likely done after`,
                    value: window.minutes,
                    kind: 'minutes',
                    note: null,
                  }))
                : [],
            checks: [
              'A skewer comes out clean',
              'It springs back',
              'It is golden and leaves the side of the tin',
            ],
            cautions: [ovenCaution],
            hazards: ['oven'],
            hotC: bake.ovenC,
            oven: {
              minutes: longestMin,
              leadMin: load.leadMin,
              batterFrom: load.batterFrom,
              waitMin: load.waitMin,
              tinsFrom: load.reusedFrom,
            },
            timer: {
              label: 'bake',
              minutes: Math.round(first.window.minutes),
              lookMin: first.window.fromMin,
            },
            record: {
              kind: 'minutes',
              label: 'minutes in the oven',
              planned: first.window.minutes,
              show: 'minutes',
              hand: 'bake',
            },
          }),
        ]
      : []),
    step(
      keyOf(context, 'cool', cakes),
      'turn out',
      'Bake',
      'Turn out and cool right through',
      handsOn.turnOut,
      {
        part: at,
        hazards: ['oven'],
        hotC: doneC,
        cautions: [ovenCaution],
        beside: true,
        lead: phrase(
          tin.form !== 'upright' || tin.flutes
            ? 'Ten minutes in the tin, no more and no less: warm sugar sticks as it cools. ' +
                (tin.outline.kind === 'ring'
                  ? 'Loosened round rim and hole'
                  : 'Loosened round the rim') +
                ', turned out in one go onto a rack, mouth down.'
            : sponge.bareSides
              ? 'Upside down at once, rim on three cups, until it is cold: right way up it sinks. Then a thin knife along the side, all round in one go.'
              : 'Ten minutes in the tin, then on a rack. Warm cake melts every frosting.',
        ),
        checks: [
          'No warmth at the middle of the underside',
          'Wrapped, and chilled overnight if there is time',
        ],
        timer: { label: 'cool', minutes: times.coolMin, lookMin: null },
        record: {
          kind: 'height',
          label: 'height at the edge',
          planned: tallest.neededMm,
          show: 'thickness',
          hand: 'rise',
        },
      },
    ),
  ];
}
