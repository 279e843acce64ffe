import type { Bowl } from '../bowls/bowls.ts';
import type { Build, Tier } from '../build/types.ts';
import type { CoatPlan } from '../coat/coat.ts';
import type { CentrePlan } from '../fill/centre.ts';
import type { GapPlan } from '../fill/gaps.ts';
import type { OtherPlan } from '../others/other-layers.ts';
import type { SoakPlan } from '../soak/soak.ts';
import { turnsTop } from '../tins/bake.ts';
import { coatMin, handsOn, mixMinutes, sideScale, topScale } from '../labour/minutes.ts';
import { styleRows } from '../pantry/styles.ts';
import type { Spread } from '../pantry/types.ts';
import type { StackPlan } from '../stack/stack.ts';
import { phrase } from '../units/phrase.ts';
import { widthMm } from '../outline/outline.ts';
import { ovenCaution, step, type Amount, type Step } from './steps.ts';

const coldClasses = [
  'yolk buttercream, cream cheese',
  'whipped cream',
  'stabilised cream',
  'curd',
  'compote',
];
const perishable = (spread: Spread) =>
  coldClasses.includes(spread.keeping)
    ? [
        phrase(
          `${spread.name} is perishable: no more than 2 h out of the cold in all, 1 h above {warm}. Usual guidance; your local food code decides.`,
          { warm: [32, 'temperature'] },
        ),
      ]
    : [];

/** One step for each bowl: what to weigh, how to make it, and what to set aside before starting. */
export const bowlSteps = (bowls: readonly Bowl[], spreadOf: (id: string) => Spread): Step[] =>
  bowls.flatMap((bowl) => {
    const spread = spreadOf(bowl.spreadId);
    const times = bowl.mixes === 1 ? '' : `, ${bowl.mixes} mixings of the same size`;
    const aside = bowl.uses.filter((use) => use.kind === 'piping' || use.kind === 'coat');
    const asideG = aside.reduce((sum, use) => sum + use.massG, 0);
    return [
      step(
        `bowl/${bowl.spreadId}/make`,
        'Bowls',
        `Make the ${bowl.name.toLowerCase()}`,
        mixMinutes(bowl.spreadId) * bowl.mixes,
        {
          lead: phrase(`{make} in all${times}. ${bowl.recipe.steps.join(' ')}`, {
            make: [bowl.makeG, 'bowl'],
          }),
          list: bowl.recipe.ingredients.map((i) => ({
            label: i.name,
            value: i.massG,
            kind: i.massG < 20 ? ('small' as const) : ('bowl' as const),
            note: i.pieces === null ? (bowl.mixes > 1 ? 'each mixing' : null) : `open ${i.pieces}`,
          })),
          checks: ['Smooth, and soft enough to spread without pulling crumbs'],
          cautions: [
            ...(bowl.recipe.caution ? [phrase(bowl.recipe.caution)] : []),
            ...perishable(spread),
          ],
          record: { kind: 'mass', label: 'made in all', planned: bowl.makeG, show: 'bowl' },
        },
      ),
      ...(asideG > 0 && bowl.uses.length > aside.length
        ? [
            step(
              `bowl/${bowl.spreadId}/aside`,
              'Bowls',
              'Set aside first, so that the coat never runs short',
              3,
              {
                lead: phrase('Into covered bowls of their own, before the first layer is filled.'),
                amounts: aside.map((use) => ({
                  label: use.label,
                  value: use.massG,
                  kind: 'bowl' as const,
                  figure: use.figure,
                })),
                checks: ['Covered and labelled'],
              },
            ),
          ]
        : []),
    ];
  });

export interface StackContext {
  tier: Tier;
  stack: StackPlan;
  gaps: GapPlan[];
  others: OtherPlan[];
  soak: SoakPlan[];
  centre: CentrePlan | null;
  coat: CoatPlan;
  dabG: number;
  spreadOf: (id: string) => Spread;
}

/** From the first layer on the board to a stack ready for its coat. */
export function stackSteps(context: StackContext): Step[] {
  const { tier, stack, gaps, dabG, spreadOf } = context;
  const coat = spreadOf(tier.coat.spreadId);
  const each =
    (handsOn.fillAndStack / Math.max(1, gaps.length)) * Math.max(1, topScale(tier.outline));
  const steps: Step[] = [
    ...otherSteps(context),
    ...layerSteps(context),
    step(`${tier.id}/first`, 'Fill and stack', 'Set layer 1 on the board', 3, {
      part: `${tier.id}/layer/0`,
      lead: phrase(
        'A dab in the middle of the board holds it. Something non-slip goes under the board.',
      ),
      amounts: [
        { label: `dab of ${coat.name.toLowerCase()}`, value: dabG, kind: 'small', figure: null },
      ],
      checks: ['In the middle: the same rim of board all round'],
    }),
  ];
  for (const gap of gaps) {
    const spread = spreadOf(gap.spreadId);
    const top = gap.index === gaps.length - 1;
    const inverted = (top && turnsTop(tier)) !== tier.layers[gap.index + 1]!.flipped;
    const n = gap.index + 1;
    const amounts: Amount[] = [];
    if (gap.damG > 0)
      amounts.push({
        label: `first the dam: ${coat.name.toLowerCase()}`,
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
        `${tier.id}/fill/${gap.index}`,
        'Fill and stack',
        `Fill layer ${n} and set layer ${n + 1} on it`,
        each,
        {
          part: `${tier.id}/gap/${gap.index}`,
          lead:
            gap.damG > 0
              ? phrase('Pipe a ring {wide} wide at the edge, {high} high, and fill inside it.', {
                  wide: [gap.damMm, 'thickness'],
                  high: [gap.heightMm, 'thickness'],
                })
              : phrase(
                  gap.setbackMm > 0
                    ? 'Spread {high} thick, level, to {back} short of the edge.'
                    : 'Spread {high} thick to the edge, level.',
                  {
                    high: [gap.heightMm, 'thickness'],
                    back: [gap.setbackMm, 'thickness'],
                  },
                ),
          amounts,
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
          cautions: perishable(spread),
          record: {
            kind: 'mass',
            label: `${spread.name.toLowerCase()} on layer ${n}`,
            planned: gap.fillingG,
            show: 'small',
          },
        },
      ),
    );
  }
  steps.push(
    step(
      `${tier.id}/settle`,
      'Fill and stack',
      tier.restG > 0
        ? 'Rest the stack under a weight, chilled'
        : 'Chill the stack until it is firm',
      2,
      {
        part: `${tier.id}/layer/${tier.layers.length - 1}`,
        lead: phrase(
          tier.restG > 0
            ? 'A flat board and {rest} on it, so that it settles now, not later under the coat. {height} high before its coat.'
            : 'It settles now, not later under the coat. {height} high before its coat.',
          { height: [stack.stackMm, 'span'], rest: [tier.restG, 'bowl'] },
        ),
        checks: ['Straight from two sides', 'Filling firm to the touch at the edge'],
        timer: { label: 'settle', minutes: 30, lookMin: null },
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

const clockAt = (turnSteps: number): string => {
  const hour = Math.round(turnSteps / 2) % 12;
  return `${hour === 0 ? 12 : hour} o’clock`;
};

/** What has to be made or bought besides the baked cakes. */
function otherSteps({ tier, others }: StackContext): Step[] {
  return others.map(({ index, row, count, ownG, traced, packs, inset }) =>
    step(
      `${tier.id}/other/${index}`,
      'Bake',
      row.form === 'bought'
        ? `Unwrap ${row.name.toLowerCase()} for layer ${index + 1}`
        : `Make layer ${index + 1}: ${row.name.toLowerCase()}`,
      row.form === 'crepe' ? count * 2 : 20,
      {
        part: `${tier.id}/layer/${index}`,
        lead: traced
          ? phrase(
              'Trace a circle {wide} across on the paper’s back: it spreads by {spread} all round.',
              {
                wide: [widthMm(traced), 'span'],
                spread: [row.spreadMm, 'thickness'],
              },
            )
          : inset
            ? phrase(
                'From outside in: four tenths of the mousse first, then the sponge disc, {wide} across and {high} high, then the rest to the brim. Set it cold before it is turned out.',
                { wide: [widthMm(inset.outline), 'span'], high: [inset.heightMm, 'thickness'] },
              )
            : packs !== null
              ? phrase(`${packs} ${packs === 1 ? 'pack' : 'packs'}; thaw {time} in the wrap.`, {
                  time: [(row.thawH ?? 0) * 60, 'minutes'],
                })
              : null,
        amounts: [
          ...(count > 1
            ? [{ label: 'pieces', value: count, kind: 'count' as const, figure: null }]
            : []),
          { label: 'in all', value: ownG, kind: 'bowl', figure: null },
          ...(row.bake
            ? [
                {
                  label: 'oven',
                  value: row.bake.ovenC,
                  kind: 'temperature' as const,
                  figure: null,
                },
              ]
            : []),
        ],
        checks:
          row.form === 'crisp disc'
            ? ['Dry right through, and cold before it is lifted']
            : ['Cold before it is filled'],
        timer: row.bake ? { label: row.name, minutes: row.bake.minutes, lookMin: null } : null,
        cautions: row.bake ? [ovenCaution] : [],
      },
    ),
  );
}

/** What is done to the layers before they are stacked: measured, cored, soaked. */
function layerSteps({ tier, soak, centre, spreadOf }: StackContext): Step[] {
  const steps: Step[] = [
    step(`${tier.id}/rims`, 'Fill and stack', 'Measure the layers, if they are not even', 4, {
      part: `${tier.id}/layer/0`,
      lead: phrase(
        'A cocktail stick at one point of each rim marks its 12 o’clock. Height at four points, from the mark on, the way the hands run; the turns that make the stack level follow.',
      ),
      checks: ['Every stick is out again before the layer is covered'],
      rimsOf: tier.id,
    }),
  ];
  if (tier.centre && centre)
    steps.push(
      step(`${tier.id}/core`, 'Fill and stack', 'Cut the hidden centre', 6, {
        part: `${tier.id}/centre`,
        lead: phrase(
          `Ring cutter {wide} across through layers ${tier.centre.fromLayer + 1} to ${tier.centre.toLayer + 1}; the lid stays whole. Fill it when layer ${tier.centre.toLayer + 1} is on.`,
          { wide: [widthMm(tier.centre.outline), 'span'] },
        ),
        amounts: [
          {
            label: spreadOf(tier.centre.spreadId).name.toLowerCase(),
            value: centre.fillG,
            kind: 'small',
            figure: `${tier.id}/centre`,
          },
        ],
        checks: ['Cores kept for offcuts', 'Straight down: the holes meet'],
      }),
    );
  if (soak.some((each) => each.ml > 0))
    steps.push(
      step(`${tier.id}/soak`, 'Fill and stack', 'Soak the cut faces', handsOn.soak, {
        part: `${tier.id}/layer/0`,
        lead: phrase(
          'Brush it on, from the edge in; what is in the brush last goes to the middle.',
        ),
        list: soak.flatMap((each, i) =>
          each.ml > 0
            ? [
                {
                  label: `layer ${i + 1}`,
                  value: each.ml,
                  kind: 'volume' as const,
                  note: each.style,
                },
              ]
            : [],
        ),
        checks: ['Damp, not wet: nothing runs out when it is pressed'],
      }),
    );
  return steps;
}

/** Crumb coat and coat of one tier. */
export function coatSteps({ tier, stack, coat, spreadOf }: StackContext): Step[] {
  const spread = spreadOf(tier.coat.spreadId);
  const style = styleRows[tier.coat.style];
  const steps: Step[] = [];
  if (coat.crumbG > 0)
    steps.push(
      step(
        `${tier.id}/crumb`,
        'Coat',
        tier.coat.style === 'semi-naked' ? 'Scrape on the thin coat' : 'Crumb coat',
        handsOn.crumbCoat * Math.max(1, sideScale(tier.outline, stack.stackMm)),
        {
          part: `${tier.id}/crumb`,
          lead: phrase(
            '{thick} thick, just enough to hold the crumbs. What comes off the scraper is full of crumbs: do not put it back.',
            {
              thick: [coat.crumbMm, 'thickness'],
            },
          ),
          amounts: [
            {
              label: spread.name.toLowerCase(),
              value: coat.crumbG,
              kind: 'bowl',
              figure: `${tier.id}/crumb`,
            },
          ],
          checks:
            tier.coat.style === 'semi-naked'
              ? ['Layers show through evenly', 'Scraper wiped at every turn']
              : ['No bare sponge', 'No crumbs loose on the outside'],
          record: { kind: 'mass', label: 'left in the bowl', planned: 0, show: 'bowl' },
        },
      ),
      step(`${tier.id}/crumb-chill`, 'Coat', 'Chill the crumb coat', 1, {
        part: `${tier.id}/crumb`,
        lead: phrase('Twenty minutes in the fridge, or about ten in the freezer.'),
        checks: ['Dry and firm: a finger leaves no mark'],
        timer: { label: 'crumb coat', minutes: 20, lookMin: null },
      }),
    );
  if (coat.coatG > 0)
    steps.push(
      step(
        `${tier.id}/coat`,
        'Coat',
        `Coat it: ${style.title.toLowerCase()}`,
        coatMin(tier.coat.style, tier.outline, stack.stackMm),
        {
          part: `${tier.id}/coat`,
          lead: phrase(
            `{side} on the side and {top} on top, ${style.words}. Strips of paper under the edge keep the board clean.`,
            {
              side: [coat.sideMm, 'thickness'],
              top: [coat.topMm, 'thickness'],
            },
          ),
          amounts: [
            {
              label: spread.name.toLowerCase(),
              value: coat.coatG,
              kind: 'bowl',
              figure: `${tier.id}/coat`,
            },
          ],
          checks: [
            'The cake does not show through',
            'The side is upright against a set square',
            'Paper strips drawn out',
          ],
          record: { kind: 'mass', label: 'left in the bowl', planned: 0, show: 'bowl' },
        },
      ),
      step(`${tier.id}/coat-chill`, 'Coat', 'Chill until the coat is set', 1, {
        part: `${tier.id}/coat`,
        checks: ['Firm enough to lift by the board'],
        timer: { label: 'coat sets', minutes: 60, lookMin: null },
        record: {
          kind: 'height',
          label: 'finished height',
          planned: stack.finishedMm,
          show: 'span',
        },
      }),
    );
  return steps;
}

/** Piping, clearing up, and handing the cake over. */
export function closingSteps(
  build: Build,
  totalG: number | null,
  servings: number | null,
  coatSpread: Spread,
): Step[] {
  const heavy = totalG !== null && totalG > 10000;
  return [
    ...(build.pipingG > 0
      ? [
          step('piping', 'Coat', 'Pipe', (build.pipingG / 100) * handsOn.pipingPer100G, {
            lead: phrase('From the bowl set aside for it.'),
            amounts: [
              {
                label: coatSpread.name.toLowerCase(),
                value: build.pipingG,
                kind: 'bowl',
                figure: null,
              },
            ],
            checks: ['Spaced evenly before the first one is piped'],
          }),
        ]
      : []),
    step('box', 'Serve', 'Clear up, box it and keep it cold', handsOn.box + handsOn.washUp, {
      lead: phrase('On its board, in a box that leaves room on top, on a flat shelf.'),
      checks: [
        'The count of anything that is not food is written on the box',
        'Allergens are written on the box',
      ],
      cautions: heavy
        ? [phrase('It weighs {mass}: two people or a trolley.', { mass: [totalG, 'weight'] })]
        : [],
    }),
    step('serve', 'Serve', 'Out of the fridge, and cut', 5, {
      lead: phrase(
        'Out of the cold two to three hours before, less where a filling is perishable. A hot, sharp knife for clean slices.',
      ),
      amounts:
        servings === null
          ? []
          : [{ label: 'servings', value: servings, kind: 'count', figure: 'servings' }],
      checks: [
        'Every pick and stick is out before it is cut',
        'The person who cuts has the cutting map',
      ],
    }),
  ];
}
