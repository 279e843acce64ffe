import { handsOn } from '../labour/minutes.ts';
import { widthMm } from '../outline/outline.ts';
import type { OtherPlan } from '../others/other-layers.ts';
import type { OtherForm, Recipe } from '../pantry/types.ts';
import { scaledParts, scaleRecipe, weighedUp } from '../recipes/scale.ts';
import { planHolds } from '../workflow/holds.ts';
import { onLine, otherLine, type OperationKind } from '../workflow/operation.ts';
import { otherKey } from '../workflow/step-keys.ts';
import { dangerOf, holdStep, linesOf, takenBy, takenOf } from './recipe-steps.ts';
import { trayRun } from '../oven/trays.ts';
import { phrase } from '../units/phrase.ts';
import { gelatineNote } from './gelatine-note.ts';
import { layerWaits, thawSteps } from './layer-waits.ts';
import { holdsCaution } from './holds-caution.ts';
import { partSteps } from './part-steps.ts';
import { perishable } from './perishable.ts';
import { soakSteps } from './soak-steps.ts';
import type { StackContext } from './stack-context.ts';
import { fromNoLoad, ovenCaution, step, type Step } from './steps.ts';

/** What is bought or cut from foam is cold, C. */
const coldC = 21;

const otherKinds: Record<OtherForm, OperationKind> = {
  crepe: 'cook thin layers',
  'crisp disc': 'pipe disc',
  biscuit: 'cut rounds',
  mousse: 'fold in',
  bought: 'take out',
  foam: 'trim',
};

/** How one sees that a layer is made well. */
const madeWell: Record<OtherForm, string> = {
  crepe: 'Thin and even; the first shows whether the pan is right',
  'crisp disc': 'Dry right through, and cold before it is lifted',
  biscuit: 'Golden at the edge, dry in the middle',
  mousse: 'Smooth, no streaks of cream; poured before it begins to set',
  bought: 'Dry on its face, and cold before it is filled',
  foam: 'Every face wrapped: no foam touches cake',
};

const wholeLabels: Partial<Record<OtherForm, string>> = {
  bought: 'in all',
  mousse: 'mousse in all',
};

/** What has to be made or bought besides the baked cakes. */
export function otherSteps(context: StackContext): Step[] {
  const { tier, others, recipes, kitchen } = context;
  const recipeOf = ({ row }: OtherPlan): Recipe | null =>
    recipes.find((one) => one.id === row.recipeId) ?? null;
  const kinds = [...new Set(others.map(({ row }) => row.id))];
  return kinds.flatMap((id) => {
    const some = others.filter(({ row }) => row.id === id);
    const recipe = recipeOf(some[0]!);
    const isFirst = others.find(({ row }) => row.recipeId === some[0]!.row.recipeId) === some[0];
    return onLine(otherLine(tier.id, id), [
      ...(isFirst ? mixSteps(context, some[0]!) : []),
      ...thawSteps(tier, some),
      ...some.map((other) => otherStep(context, other, recipe)),
      ...layerWaits(tier, some, recipe, kitchen),
    ]);
  });
}

/** How far a recipe is followed before what it makes is shaped: to its first wait, or to the end. */
const mixedAfter = (recipe: Recipe): number =>
  recipe.holds?.find(({ after }) => after < recipe.steps.length)?.after ?? recipe.steps.length;

/** One mixing for all layers of a tier that are made of it, and what it waits for. */
function mixSteps(
  { tier, others, recipes, foods, kitchen }: StackContext,
  { row }: OtherPlan,
): Step[] {
  const recipe = recipes.find((one) => one.id === row.recipeId);
  const grams = others
    .filter((other) => other.row.recipeId === row.recipeId)
    .reduce((sum, { batterG }) => sum + batterG, 0);
  if (!recipe || grams <= 0) return [];
  const scaled = scaleRecipe(recipe, weighedUp(grams));
  const key = `${tier.id}/other-mix/${row.id}`;
  const name = recipe.name.toLowerCase();
  const after = mixedAfter(recipe);
  return [
    ...partSteps(`${tier.id}/${row.id}`, name, scaledParts(scaled, 1, recipes), 'Bake', {
      recipes,
      foods,
      kitchen,
    }),
    step(key, 'mix', 'Bake', `Mix: ${name}`, handsOn.batter / 2, {
      beside: true,
      lead: phrase(`{make} of it. ${recipe.steps.slice(0, after).join(' ')}`, {
        make: [scaled.makesG, 'bowl'],
      }),
      list: linesOf(scaled, 1),
      takes: takenBy(scaled),
      cautions: [
        ...(recipe.caution ? [phrase(recipe.caution)] : []),
        ...gelatineNote(scaled, 1, foods),
      ],
      ...dangerOf(recipe),
    }),
    ...planHolds(recipe, scaled.makesG, row.densityGPerMl, { foods, kitchen })
      .filter((hold) => hold.after <= after && after < recipe.steps.length)
      .flatMap((hold) =>
        holdStep(key, name, hold, recipe, false, 'Bake').map((waits) => ({
          ...waits,
          keepsMin: hold.mostMin,
        })),
      ),
  ];
}

/** The oven is switched off as soon as what dries on in it is baked, min. */
const ovenOffMin = 5;

/** Making or unwrapping what one layer is. */
function otherStep({ tier, kitchen }: StackContext, other: OtherPlan, recipe: Recipe | null): Step {
  const trays = trayRun(other, kitchen);
  const { index, row, count, batterG, traced, packs, inset } = other;
  const rest = recipe ? recipe.steps.slice(mixedAfter(recipe)).join(' ') : '';
  return step(
    otherKey(tier, index),
    otherKinds[row.form],
    'Bake',
    row.form === 'bought'
      ? `Unwrap ${row.name.toLowerCase()} for layer ${index + 1}`
      : row.form === 'foam'
        ? `Cut the foam for layer ${index + 1} and wrap it`
        : `Make layer ${index + 1}: ${row.name.toLowerCase()}`,
    row.form === 'crepe' ? count * 2 : 20,
    {
      part: `${tier.id}/layer/${index}`,
      takes: row.form === 'bought' ? takenOf(row, other.ownG) : [],
      lead: traced
        ? phrase(
            `${rest ? `${rest} ` : ''}Trace a circle {wide} across on the paper’s back: it spreads by {spread} all round.`,
            {
              wide: [widthMm(traced), 'span'],
              spread: [row.spreadMm, 'thickness'],
            },
          )
        : inset
          ? phrase(
              `${rest ? `${rest} ` : ''}From outside in: four tenths of the mousse first, then the sponge disc, {wide} across and {high} high, then the rest to the brim.`,
              { wide: [widthMm(inset.outline), 'span'], high: [inset.heightMm, 'thickness'] },
            )
          : packs !== null
            ? phrase(`${packs} ${packs === 1 ? 'pack' : 'packs'}.`)
            : rest
              ? phrase(rest)
              : null,
      amounts: [
        ...(count > 1
          ? [{ label: 'pieces', value: count, kind: 'count' as const, figure: null }]
          : []),
        {
          label: wholeLabels[row.form] ?? 'batter in all',
          value: batterG,
          kind: 'bowl',
          figure: null,
        },
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
      checks: [
        madeWell[row.form],
        ...(trays && trays.loads > 1
          ? [`${trays.atOnce} at once, in ${trays.loads} loads one after the other`]
          : []),
      ],
      oven: trays ? { minutes: trays.minutes, leadMin: kitchen.preheatMin, ...fromNoLoad } : null,
      // it stays where it is, and the oven is switched off
      keepsMin: row.bake && row.bake.dryMin > 0 ? ovenOffMin : null,
      timer: trays
        ? { label: row.name, minutes: Math.round(trays.minutes), lookMin: row.bake!.minutes }
        : null,
      cautions: [
        ...(recipe?.caution ? [phrase(recipe.caution)] : []),
        ...(row.bake ? [ovenCaution] : []),
      ],
      hazards: [
        ...(recipe?.hazards ?? []),
        ...(row.bake ? (['oven'] as const) : []),
        ...(row.form === 'foam' ? (['knife'] as const) : []),
      ],
      hotC: row.bake ? row.bake.ovenC : recipe ? recipe.hottestC : coldC,
    },
  );
}

/** A hidden centre is filled when its topmost layer is on, before the lid. */
export function centreFillStep({ tier, centre, foods, spreadOf }: StackContext): Step[] {
  if (!tier.centre || !centre) return [];
  const { pieces, spreadId } = tier.centre;
  const name = (pieces ?? spreadOf(spreadId)).name.toLowerCase();
  return [
    step(`${tier.id}/centre-fill`, 'fill centre', 'Fill and stack', 'Fill the hidden centre', 4, {
      part: `${tier.id}/centre`,
      lead: phrase(
        pieces
          ? 'Poured in loosely up to the rim of the hole, not pressed; brushed off the layer round it.'
          : 'Up to the rim of the hole and no further; wiped level with the layer.',
      ),
      amounts: [{ label: name, value: centre.fillG, kind: 'small', figure: `${tier.id}/centre` }],
      takes: pieces ? takenOf(pieces, centre.fillG) : [],
      checks: ['Level with the layer, so that the lid lies flat'],
      cautions: pieces ? holdsCaution(pieces, foods) : perishable(spreadOf(spreadId)),
      record: {
        kind: 'mass',
        label: `${name} in the centre`,
        planned: centre.fillG,
        show: 'small',
      },
    }),
  ];
}

/** What is done to the layers before they are stacked: measured, cored, soaked. */
export function layerSteps({ tier, soak, centre, recipes, foods }: StackContext): Step[] {
  const steps: Step[] = [];
  // one layer stands as it is, and nobody measures a crepe
  if (tier.layers.filter(({ otherId }) => otherId === null).length > 1)
    steps.push(
      step(
        `${tier.id}/rims`,
        'measure',
        'Fill and stack',
        'Measure the layers, if they are not even',
        4,
        {
          part: `${tier.id}/layer/0`,
          lead: phrase(
            'A cocktail stick at one point of each rim marks its 12 o’clock. Height at four points, from the mark on, the way the hands run; the turns that make the stack level follow.',
          ),
          checks: ['Every stick is out again before the layer is covered'],
          rimsOf: tier.id,
        },
      ),
    );
  if (tier.centre && centre)
    steps.push(
      step(`${tier.id}/core`, 'cut rounds', 'Fill and stack', 'Cut the hidden centre', 6, {
        part: `${tier.id}/centre`,
        lead: phrase(
          `Ring cutter {wide} across through layers ${tier.centre.fromLayer + 1} to ${tier.centre.toLayer + 1}; the lid stays whole. It is filled when layer ${tier.centre.toLayer + 1} is on.`,
          { wide: [widthMm(tier.centre.outline), 'span'] },
        ),
        hazards: ['knife'],
        checks: ['Cores kept for offcuts', 'Straight down: the holes meet'],
      }),
    );
  steps.push(...soakSteps(tier, soak, { recipes, foods }));
  return steps;
}
