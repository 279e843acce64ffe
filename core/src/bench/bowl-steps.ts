import type { Batch } from '../bowls/batches.ts';
import type { Bowl } from '../bowls/bowls.ts';
import { handsOn } from '../labour/minutes.ts';
import type { Pantry, Recipe, Spread } from '../pantry/types.ts';
import { beatenSoft } from '../pantry/beaten-warm.ts';
import { scalingRules } from '../recipes/rules.ts';
import { phrase } from '../units/phrase.ts';
import { gelsIn } from './gel-lines.ts';
import { dangerOf, holdStep, hotHazards, linesOf, makingKind, takenBy } from './recipe-steps.ts';
import { partSteps } from './part-steps.ts';
import { isPerishable, perishable } from './perishable.ts';
import { batchLine, onLine } from '../workflow/operation.ts';
import { gelatineNote } from './gelatine-note.ts';
import { stockBowlSteps } from './stock-steps.ts';
import { step, type Step } from './steps.ts';

/** What the bowls' steps are made from, beside the bowls. */
export interface BowlContext {
  spreadOf: (id: string) => Spread;
  recipeOf: (id: string) => Recipe;
  pantry: Pantry;
}

/** From here on butter is melted, C. */
const meltedFromC = 35;

/** The steps of each recipe: its parts, making it, what it waits for, dividing and colouring, setting aside. */
export const bowlSteps = (
  bowls: readonly Bowl[],
  batches: readonly Batch[],
  context: BowlContext,
): Step[] =>
  batches.flatMap((batch) => {
    const own = bowls.filter((bowl) => bowl.batchId === batch.id);
    return onLine(batchLine(batch.id), [
      ...partSteps(`bowl/${batch.id}`, batch.name, batch.parts, 'Bowls', context.pantry),
      ...stockBowlSteps(batch, nameOf(batch, own), context.spreadOf(batch.spreadId)),
      ...(batch.mixes > 0 ? makeSteps(batch, own, context) : []),
      ...divideSteps(batch, own),
      ...own.flatMap(asideSteps),
    ]);
  });

const nameOf = (batch: Batch, own: readonly Bowl[]): string =>
  (batch.id === batch.spreadId ? batch.name : (own[0]?.name ?? batch.name)).toLowerCase();

/** Making a batch: its recipe's steps as far as the first wait, the wait, and what is done after it. */
function makeSteps(batch: Batch, own: readonly Bowl[], context: BowlContext): Step[] {
  const spread = context.spreadOf(batch.spreadId);
  const recipe = context.recipeOf(spread.recipeId);
  const name = nameOf(batch, own);
  const times = batch.mixes === 1 ? '' : `, ${batch.mixes} mixings of the same size`;
  const { steps } = batch.recipe;
  const { holds } = batch;
  const freshG = batch.mixes * batch.eachMixG;
  const minutes = recipe.makeMin * batch.mixes;
  const share = (from: number, to: number): number =>
    steps.length === 0 ? minutes : (minutes * (to - from)) / steps.length;
  const first = holds[0]?.after ?? steps.length;
  const isWhole = first >= steps.length;
  // what waits because it is hot has its butter melted in it
  const isHot = holds.some(({ fromC }) => fromC !== null && fromC >= meltedFromC);
  const soft =
    recipe.hazards.includes('running machine') && !isHot
      ? beatenSoft(batch.recipe.ingredients, context.pantry.foods)
      : [];
  const sheet: Step[] = [
    step(
      `bowl/${batch.id}/make`,
      makingKind(recipe),
      'Bowls',
      `Make the ${name}`,
      share(0, first),
      {
        lead: phrase(`{make} in all${times}. ${steps.slice(0, first).join(' ')}`, {
          make: [freshG, 'bowl'],
        }),
        list: linesOf(batch.recipe, batch.mixes),
        takes: takenBy(batch.recipe, batch.mixes),
        checks: [
          ...(soft.length > 0
            ? [`Soft enough to leave a dent, not melting, before it is beaten: ${soft.join(', ')}`]
            : []),
          ...(isWhole && holds.length === 0
            ? ['Smooth, and soft enough to spread without pulling crumbs']
            : []),
        ],
        cautions: [
          ...(batch.recipe.caution ? [phrase(batch.recipe.caution)] : []),
          ...gelatineNote(batch.recipe, batch.mixes, context.pantry.foods),
          ...perishable(spread),
          ...scalingRules(recipe, batch.recipe.factor, null, context.pantry.foods),
        ],
        ...dangerOf(recipe),
        beside: true,
        record: { kind: 'mass', label: 'made in all', planned: freshG, show: 'bowl' },
      },
    ),
  ];
  holds.forEach((hold, i) => {
    sheet.push(...holdStep(`bowl/${batch.id}`, name, hold, recipe, isPerishable(spread)));
    sheet.at(-1)!.keepsMin = hold.mostMin;
    const next = holds[i + 1]?.after ?? steps.length;
    if (next <= hold.after) return;
    sheet.push(
      step(
        `bowl/${batch.id}/then/${hold.after}`,
        recipe.hazards.includes('running machine') ? 'whip' : 'mix',
        'Bowls',
        `Finish the ${name}`,
        share(hold.after, next),
        {
          lead: phrase(steps.slice(hold.after, next).join(' ')),
          checks: ['Smooth, and soft enough to spread without pulling crumbs'],
          // cold by now; machine and egg are what they were
          hazards: recipe.hazards.filter((one) => !hotHazards.includes(one)),
          beside: true,
        },
      ),
    );
  });
  return sheet;
}

/** One batch shared out to bowls of different colours. */
function divideSteps(batch: Batch, bowls: readonly Bowl[]): Step[] {
  const coloured = bowls.filter((bowl) => bowl.tinted);
  if (bowls.length < 2 && coloured.length === 0) return [];
  return [
    step(
      `bowl/${batch.id}/divide`,
      coloured.length > 0 ? 'colour' : 'divide',
      'Bowls',
      bowls.length < 2 ? 'Colour it' : 'Divide it, and colour each bowl',
      3 + handsOn.colour * coloured.length,
      {
        lead: phrase(
          bowls.length < 2
            ? 'A little at a time, and all of it at once: a second bowl never matches.'
            : 'Weighed, before any of it is coloured.',
        ),
        amounts: bowls.map((bowl) => ({
          label: bowl.name,
          value: bowl.makeG,
          kind: 'bowl' as const,
          figure: `bowl/${bowl.id}/make`,
        })),
        ...gelsIn(coloured.map(({ tint, tinted }) => ({ tint, note: tinted! }))),
        checks: ['Covered, so that no skin forms'],
        // what is the same for several of them is said once
        cautions: [...new Set(coloured.map(({ tinted }) => tinted!.mind))].map((mind) => {
          const of = coloured.filter(({ tinted }) => tinted!.mind === mind);
          return phrase(`${of.map(({ tint }) => tint).join(', ')}: ${mind}`);
        }),
      },
    ),
  ];
}

/** What coating must not eat up. */
function asideSteps(bowl: Bowl): Step[] {
  const aside = setAsideOf(bowl);
  if (aside.length === 0) return [];
  return [
    step(
      `bowl/${bowl.id}/aside`,
      'divide',
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
        beside: true,
      },
    ),
  ];
}

/** Uses that are weighed off before filling begins; none where the bowl has no other. */
export const setAsideOf = (bowl: Bowl): Bowl['uses'] => {
  const aside = bowl.uses.filter((use) => use.kind === 'piping' || use.kind === 'coat');
  const rest = bowl.uses.filter((use) => use.kind !== 'reserve');
  return aside.length < rest.length ? aside : [];
};
