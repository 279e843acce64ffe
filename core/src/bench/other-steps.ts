import { handsOn } from '../labour/minutes.ts';
import { widthMm } from '../outline/outline.ts';
import { isRolled, lotsOf } from '../others/lots.ts';
import type { OtherPlan } from '../others/other-layers.ts';
import type { OtherForm, OtherLayer, Recipe } from '../pantry/types.ts';
import { scaledParts, scaleRecipe, weighedUp } from '../recipes/scale.ts';
import { planHolds } from '../workflow/holds.ts';
import { onLine, otherLine, type OperationKind } from '../workflow/operation.ts';
import { otherKey } from '../workflow/step-keys.ts';
import { dangerOf, holdStep, linesOf, takenBy, takenOf } from './recipe-steps.ts';
import { trayRun } from '../oven/trays.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import { gelatineNote } from './gelatine-note.ts';
import { layersText, layerWaits, thawSteps, whereOf } from './layer-waits.ts';
import { partSteps } from './part-steps.ts';
import type { StackContext } from './stack-context.ts';
import { fromNoLoad, ovenCaution, step, type Chapter, type Step } from './steps.ts';

/*
 * What has to be made or bought besides the baked cakes: layers of other kinds, and what is set inside
 * creams.
 */

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

const wholeLabels: Record<OtherForm, string> = {
  crepe: 'batter in all',
  'crisp disc': 'mixture in all',
  biscuit: 'dough in all',
  mousse: 'in all',
  bought: 'in all',
  foam: 'in all',
};

/** Everything of other kinds that a tier is stacked from, made or unwrapped. */
export function otherSteps(context: StackContext): Step[] {
  const { tier, recipes, kitchen } = context;
  const lots = lotsOf(tier, context.others);
  return lots.flatMap((lot) => {
    const { row, of } = lot;
    const recipe = recipes.find(({ id }) => id === row.recipeId) ?? null;
    const isFirst = lots.find((one) => one.row.recipeId === row.recipeId) === lot;
    const own = lots.filter((one) => one.row.recipeId === row.recipeId).flatMap((one) => one.of);
    return onLine(otherLine(tier.id, lot.lineRowId), [
      ...(isFirst ? mixSteps(context, row, own) : []),
      ...thawSteps(tier, of),
      ...(isRolled(row)
        ? [otherStep(context, of, recipe)]
        : of.map((other) => otherStep(context, [other], recipe))),
      ...layerWaits(tier, of, recipe, kitchen),
    ]);
  });
}

/** How far a recipe is followed before what it makes is shaped: to its first wait, or to the end. */
const mixedAfter = (recipe: Recipe): number =>
  recipe.holds?.find(({ after }) => after < recipe.steps.length)?.after ?? recipe.steps.length;
/** What of a recipe is done when it is shaped or poured. */
export const shapedBy = (recipe: Recipe | null): string =>
  recipe ? recipe.steps.slice(mixedAfter(recipe)).join(' ') : '';

/** One mixing for all layers of a tier that are made of it, and what it waits for; by the key of its row, or its own. */
export function mixSteps(
  { tier, recipes, foods, kitchen }: StackContext,
  row: OtherLayer,
  of: readonly OtherPlan[],
  { chapter, key, parts }: { chapter: Chapter; key: string; parts: string } = {
    chapter: 'Bake',
    key: `${tier.id}/other-mix/${row.id}`,
    parts: `${tier.id}/${row.id}`,
  },
): Step[] {
  const recipe = recipes.find((one) => one.id === row.recipeId);
  const grams = of.reduce((sum, { batterG }) => sum + batterG, 0);
  if (!recipe || grams <= 0) return [];
  const scaled = scaleRecipe(recipe, weighedUp(grams));
  const name = recipe.name.toLowerCase();
  const after = mixedAfter(recipe);
  return [
    ...partSteps(parts, name, scaledParts(scaled, 1, recipes), chapter, {
      recipes,
      foods,
      kitchen,
    }),
    step(key, 'mix', chapter, `Mix: ${name}`, handsOn.batter / 2, {
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
        holdStep(key, name, hold, recipe, false, chapter).map((waits) => ({
          ...waits,
          keepsMin: hold.mostMin,
        })),
      ),
  ];
}

/** The oven is switched off as soon as what dries on in it is baked, min. */
const ovenOffMin = 5;

function titleOf(row: OtherLayer, of: readonly OtherPlan[]): string {
  const name = row.name.toLowerCase();
  if (row.form === 'bought') return `Unwrap ${name} for ${layersText(of)}`;
  if (row.form === 'foam') return `Cut the foam for ${layersText(of)} and wrap it`;
  return `Make ${whereOf(of)}: ${name}`;
}

/** What is done with the mixture: traced and cut, poured round what is set in, or as its recipe says. */
function leadOf(row: OtherLayer, of: readonly OtherPlan[], recipe: Recipe | null): Phrase | null {
  const rest = shapedBy(recipe);
  const before = rest ? `${rest} ` : '';
  const [first] = of;
  if (first!.traced) {
    const sizes = [
      ...new Set(of.flatMap(({ traced }) => (traced ? Math.round(widthMm(traced)) : []))),
    ];
    const values = Object.fromEntries(
      sizes.map((mm, i) => [`wide${i}`, [mm, 'span'] as [number, 'span']]),
    );
    const spread =
      row.spreadMm > 0
        ? ': it spreads by {spread} all round'
        : '; it comes out as large as it is drawn';
    return phrase(
      `${before}Trace ${sizes.length === 1 ? 'circles {wide0}' : `circles ${sizes.map((_, i) => `{wide${i}}`).join(' and ')}`} across on the paper’s back${spread}.`,
      { ...values, spread: [row.spreadMm, 'thickness'] },
    );
  }
  if (first!.insets.length > 0) return pouringLead(before, first!);
  if (first!.placed)
    return phrase(`${before}In a ring or mould {wide} across, {high} high, on film.`, {
      wide: [widthMm(first!.placed.outline), 'span'],
      high: [first!.placed.toMm - first!.placed.fromMm, 'thickness'],
    });
  const packs = of.reduce((sum, one) => sum + (one.packs ?? 0), 0);
  if (packs > 0) return phrase(`${packs} ${packs === 1 ? 'pack' : 'packs'}.`);
  return rest ? phrase(rest) : null;
}

/** "First 320 g, 10 mm high; then … set in and pressed until it rises round it; then 280 g to the brim." */
export function pouringLead(before: string, { pourings, row, insets }: OtherPlan): Phrase {
  const values: Record<string, [number, 'bowl' | 'thickness']> = {};
  const parts = pourings.map(({ toMm, ml, then }, i) => {
    values[`g${i}`] = [ml * row.densityGPerMl, 'bowl'];
    values[`up${i}`] = [toMm, 'thickness'];
    const pour = `${i === 0 ? '{g0}' : `then {g${i}}`} ${then ? `to {up${i}}` : 'to the top, level'}`;
    const name = insets.find(({ placed }) => placed === then)?.row.name.toLowerCase();
    return then ? `${pour}; ${name} set in and pressed until it rises all round` : pour;
  });
  return phrase(`${before}Poured: ${parts.join('; ')}.`, values);
}

/** Making or unwrapping layers of one kind, or what lies in them. */
function otherStep(
  { tier, kitchen }: StackContext,
  of: readonly OtherPlan[],
  recipe: Recipe | null,
): Step {
  const last = of.at(-1)!;
  const { row, index, placed } = last;
  const count = of.reduce((sum, one) => sum + one.count, 0);
  const sum = (figure: (one: OtherPlan) => number): number =>
    of.reduce((all, one) => all + figure(one), 0);
  const trays = trayRun({ row, count, traced: widest(of) }, kitchen);
  return step(
    // all are made once the last is
    otherKey(tier, index, placed?.inset.id),
    otherKinds[row.form],
    'Bake',
    titleOf(row, of),
    row.form === 'crepe' ? count * 2 : 20,
    {
      part: `${tier.id}/layer/${index}`,
      layers: [...new Set(of.filter((one) => one.placed === null).map((one) => one.index))],
      takes:
        row.form === 'bought'
          ? takenOf(
              row,
              sum(({ ownG }) => ownG),
            )
          : [],
      lead: leadOf(row, of, recipe),
      amounts: [
        ...(count > 1
          ? [{ label: 'pieces', value: count, kind: 'count' as const, figure: null }]
          : []),
        {
          label: wholeLabels[row.form],
          value: sum(({ batterG }) => batterG),
          kind: 'bowl',
          figure: null,
        },
        ...(count > 1 && row.form !== 'bought'
          ? [
              {
                label: 'for each',
                value: sum(({ batterG }) => batterG) / count,
                kind: 'small' as const,
                figure: null,
              },
            ]
          : []),
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

/** The largest circle of them all: so many of those lie on a tray. */
const widest = (of: readonly OtherPlan[]): OtherPlan['traced'] =>
  of.reduce<OtherPlan['traced']>(
    (most, { traced }) => (traced && (!most || widthMm(traced) > widthMm(most)) ? traced : most),
    null,
  );
