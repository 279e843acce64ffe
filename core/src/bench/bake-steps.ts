import type { Tier } from '../document/types.ts';
import { doneC } from '../heat/bake-time.ts';
import type { TierTimes } from '../times/tier-times.ts';
import { handsOn, topScale } from '../labour/minutes.ts';
import { isBeatenWarm } from '../pantry/beaten-warm.ts';
import { foodOf } from '../pantry/find.ts';
import type { Pantry, Recipe, Sponge, Tin } from '../pantry/types.ts';
import { scalingRules } from '../recipes/rules.ts';
import { scaledParts, type ScaledRecipe } from '../recipes/scale.ts';
import type { BakePlan } from '../tins/bake.ts';
import type { KnifeCut } from '../tins/knife.ts';
import { widthMm } from '../outline/outline.ts';
import { cutKey } from '../workflow/step-keys.ts';
import { phrase } from '../units/phrase.ts';
import { holdsCaution } from './holds-caution.ts';
import { partSteps } from './part-steps.ts';
import { takenBy, takenOf } from './recipe-steps.ts';
import { knifeCaution, ovenCaution, step, type Amount, type Step } from './steps.ts';

export interface BakeContext {
  tier: Tier;
  sponge: Sponge;
  tin: Tin;
  recipe: Recipe;
  scaled: ScaledRecipe;
  bake: BakePlan;
  times: TierTimes;
  pantry: Pantry;
}

const cutTexts: Record<KnifeCut['kind'], string> = {
  level: 'take the dome off at',
  'bottom crust': 'take the bottom crust off at',
  split: 'split at',
};

/** From the ingredients to cold, level, split layers. */
export function bakeSteps({
  tier,
  sponge,
  tin,
  recipe,
  scaled,
  bake,
  times,
  pantry,
}: BakeContext): Step[] {
  const { foods } = pantry;
  const warm = recipe.hazards.includes('running machine')
    ? scaled.ingredients.flatMap(({ name, foodId }) => {
        const food = foodOf(foods, foodId);
        return food && isBeatenWarm(food) ? [name] : [];
      })
    : [];
  const at = `${tier.id}/cake`;
  const many = bake.cakes.length;
  const tins = many === 1 ? 'the tin' : `${many} tins`;
  const scale = topScale(tier.outline);
  const steps: Step[] = [
    ...partSteps(tier.id, recipe.name, scaledParts(scaled, 1, pantry.recipes), 'Bake', pantry),
    step(`${tier.id}/weigh`, 'weigh', 'Bake', `Weigh out for ${recipe.name}`, handsOn.weigh, {
      part: at,
      beside: true,
      list: [
        ...scaled.ingredients.map((i) => ({
          label: i.name,
          value: i.massG,
          kind: i.massG < 20 ? ('fineMass' as const) : ('bowl' as const),
          note: i.pieces === null ? null : `open ${i.pieces}`,
          foodId: i.foodId,
        })),
        ...(tier.inclusion
          ? [
              {
                label: `${tier.inclusion.name}, to fold in`,
                value: bake.inclusionG,
                kind: 'bowl' as const,
                note: 'dust with flour',
              },
            ]
          : []),
      ],
      takes: [
        ...takenBy(scaled),
        ...(tier.inclusion ? takenOf(tier.inclusion, bake.inclusionG) : []),
      ],
      checks:
        warm.length > 0
          ? [`At room temperature, or the batter will look grainy: ${warm.join(', ')}`]
          : [],
      cautions: [
        ...(tier.inclusion ? holdsCaution(tier.inclusion, foods) : []),
        ...scalingRules(recipe, scaled.factor, widthMm(tin.outline), foods),
      ],
    }),
    step(
      `${tier.id}/line`,
      'line tin',
      'Bake',
      `Line ${tins} and heat the oven`,
      (handsOn.lineTins / 2) * many,
      {
        part: at,
        lead: phrase(
          `${tin.name}, {depth} deep. Grease, line the bottom and the sides, and dust.`,
          {
            depth: [tin.depthMm, 'thickness'],
          },
        ),
        amounts: recipe.bake
          ? [{ label: 'oven', value: bake.ovenC, kind: 'temperature', figure: null }]
          : [],
        checks: ['The oven is hot before the batter is mixed'],
        cautions: [ovenCaution],
        hazards: ['oven'],
        beside: true,
      },
    ),
    step(
      `${tier.id}/mix`,
      'mix',
      'Bake',
      'Mix the batter',
      handsOn.batter * Math.max(1, Math.sqrt(scale)),
      {
        part: at,
        lead: phrase(recipe.steps.join(' ')),
        amounts: [
          {
            label: 'batter in all',
            value: bake.batterG + bake.inclusionG,
            kind: 'bowl',
            figure: `${tier.id}/batter`,
          },
        ],
        checks: ['No dry flour shows', 'The batter is smooth, not grainy'],
        cautions: recipe.caution ? [phrase(recipe.caution)] : [],
        hazards: recipe.hazards,
        hotC: recipe.hottestC,
        record: {
          kind: 'mass',
          label: 'batter in the bowl',
          planned: bake.batterG + bake.inclusionG,
          show: 'bowl',
          hand: 'batter',
        },
      },
    ),
    step(
      `${tier.id}/divide`,
      'fill tin',
      'Bake',
      many === 1 ? 'Fill the tin' : 'Divide the batter',
      handsOn.divide,
      {
        part: at,
        beside: true,
        lead: phrase(
          many === 1
            ? 'Set the tin on the scale, tare, and pour.'
            : 'Set each tin on the scale, tare, and pour. Equal weights bake to equal heights.',
        ),
        amounts: bake.cakes.map((cake): Amount => ({
          label: many === 1 ? 'into the tin' : `tin ${cake.index + 1}`,
          value: cake.batterG + cake.inclusionG,
          kind: 'bowl',
          figure: `${tier.id}/cake/${cake.index}/batter`,
        })),
        checks: bake.cakes.some((c) => c.fillShare > 2 / 3)
          ? ['Fuller than the customary two thirds: put a tray on the shelf below']
          : [
              many === 1
                ? 'The tin is no more than two thirds full'
                : 'The tins are no more than two thirds full',
            ],
      },
    ),
  ];
  const windows = bake.cakes.flatMap((cake) => cake.window ?? []);
  const first = windows.reduce((a, w) => (!a || w.minutes < a.minutes ? w : a), windows[0]);
  if (first) {
    steps.push(
      step(`${tier.id}/bake`, 'bake', 'Bake', 'Bake', 5, {
        part: at,
        lead: phrase(
          recipe.bake
            ? 'An estimate from the recipe’s own time ({own} in a tin {tin} across), this cake’s size and a batter at {start}: look from {look} on, and go by the tests. It may take until {to}.'
            : 'An estimate from this cake’s size and a batter at {start}: look from {look} on, and go by the tests. It may take until {to}.',
          {
            own: [recipe.bake?.minutes ?? 0, 'minutes'],
            tin: [recipe.bake?.tinMm ?? 0, 'size'],
            start: [bake.startC, 'temperature'],
            look: [first.fromMin, 'minutes'],
            to: [first.toMin, 'minutes'],
          },
        ),
        amounts: [
          { label: 'oven', value: bake.ovenC, kind: 'temperature', figure: null },
          {
            label: 'likely done after',
            value: first.minutes,
            kind: 'minutes',
            figure: `${tier.id}/cake/${bake.cakes.find((c) => c.window === first)!.index}/minutes`,
          },
        ],
        checks: [
          'A skewer comes out clean',
          'It springs back',
          'It is golden and leaves the side of the tin',
        ],
        cautions: [ovenCaution],
        hazards: ['oven'],
        hotC: bake.ovenC,
        timer: { label: 'bake', minutes: Math.round(first.minutes), lookMin: first.fromMin },
        record: {
          kind: 'minutes',
          label: 'minutes in the oven',
          planned: first.minutes,
          show: 'minutes',
          hand: 'bake',
        },
      }),
    );
  }
  const tallest = bake.cakes.reduce((a, b) => (b.edgeMm > a.edgeMm ? b : a));
  steps.push(
    step(
      `${tier.id}/cool`,
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
        lead: phrase('Ten minutes in the tin, then on a rack. Warm cake melts every frosting.'),
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
    ...bake.cakes
      .filter((cake) => cake.cuts.length > 0)
      .map((cake) =>
        step(
          cutKey(tier, cake.layers[0]!),
          'level',
          'Fill and stack',
          many === 1 ? 'Level and split the cake' : `Level and split cake ${cake.index + 1}`,
          (handsOn.levelAndSplit / many) * Math.max(1, scale),
          {
            part: `${tier.id}/layer/${cake.layers[0]!}`,
            layers: cake.layers,
            lead: phrase('Blade at these heights above the board, in this order.'),
            amounts: cake.cuts.map((cut, i) => ({
              label: `${i + 1}. ${cutTexts[cut.kind]}`,
              value: cut.atMm,
              kind: 'thickness' as const,
              figure: `${tier.id}/cake/${cake.index}/edge`,
            })),
            checks: [
              'Same height at four points round the rim',
              `Layers marked on one side, bottom ${cake.layers[0]! + 1} to top ${cake.layers.at(-1)! + 1}`,
              'Offcuts kept, in a covered bowl',
            ],
            cautions: [knifeCaution],
            hazards: ['knife'],
            record: {
              kind: 'mass',
              label: 'offcuts',
              planned: cake.domeG + cake.trimG,
              show: 'bowl',
            },
          },
        ),
      ),
  );
  if (sponge.minSliceMm > Math.min(...tier.layers.map((l) => l.heightMm)))
    steps.at(-1)!.checks.push('Thin slices: slide a cake card under each before lifting it');
  return steps;
}
