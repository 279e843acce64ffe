import type { Batch } from '../bowls/batches.ts';
import type { Bowl } from '../bowls/bowls.ts';
import { handsOn, mixMinutes } from '../labour/minutes.ts';
import type { Pantry, Recipe, Spread } from '../pantry/types.ts';
import { scalingRules } from '../recipes/rules.ts';
import type { ScaledRecipe } from '../recipes/scale.ts';
import { phrase } from '../units/phrase.ts';
import { perishable } from './perishable.ts';
import { step, type ListItem, type Step } from './steps.ts';

const linesOf = (recipe: ScaledRecipe, mixes: number): ListItem[] =>
  recipe.ingredients.map((i) => ({
    label: i.name,
    value: i.massG,
    kind: i.massG < 20 ? ('fineMass' as const) : ('bowl' as const),
    note: i.pieces === null ? (mixes > 1 ? 'each mixing' : null) : `open ${i.pieces}`,
    foodId: i.foodId,
  }));

const dangerOf = (recipe: Recipe): Pick<Step, 'hazards' | 'hotC'> => ({
  hazards: recipe.hazards,
  hotC: recipe.hottestC,
});

/** The steps of each recipe: its parts, making it, dividing and colouring, setting aside. */
export const bowlSteps = (
  bowls: readonly Bowl[],
  batches: readonly Batch[],
  spreadOf: (id: string) => Spread,
  recipeOf: (id: string) => Recipe,
  pantry: Pantry,
): Step[] =>
  batches.flatMap((batch) => {
    const spread = spreadOf(batch.spreadId);
    const times = batch.mixes === 1 ? '' : `, ${batch.mixes} mixings of the same size`;
    const own = bowls.filter((bowl) => bowl.batchId === batch.id);
    const name = batch.id === batch.spreadId ? batch.name : (own[0]?.name ?? batch.name);
    return [
      ...batch.parts.map((part) =>
        step(
          `bowl/${batch.id}/part/${part.recipeId}`,
          'Bowls',
          `First the ${part.name.toLowerCase()}`,
          mixMinutes(part.recipeId),
          {
            lead: phrase(
              `{make} of it goes into the ${name.toLowerCase()}. ${part.steps.join(' ')}`,
              {
                make: [part.makesG, 'bowl'],
              },
            ),
            list: linesOf(part, 1),
            cautions: part.caution ? [phrase(part.caution)] : [],
            ...dangerOf(recipeOf(part.recipeId)),
            beside: true,
          },
        ),
      ),
      step(
        `bowl/${batch.id}/make`,
        'Bowls',
        `Make the ${name.toLowerCase()}`,
        mixMinutes(spread.recipeId) * batch.mixes,
        {
          lead: phrase(`{make} in all${times}. ${batch.recipe.steps.join(' ')}`, {
            make: [batch.makeG, 'bowl'],
          }),
          list: linesOf(batch.recipe, batch.mixes),
          checks: ['Smooth, and soft enough to spread without pulling crumbs'],
          cautions: [
            ...(batch.recipe.caution ? [phrase(batch.recipe.caution)] : []),
            ...perishable(spread),
            ...scalingRules(recipeOf(spread.recipeId), batch.recipe.factor, null, pantry.foods),
          ],
          ...dangerOf(recipeOf(spread.recipeId)),
          beside: true,
          record: { kind: 'mass', label: 'made in all', planned: batch.makeG, show: 'bowl' },
        },
      ),
      ...divideSteps(batch, own),
      ...own.flatMap(asideSteps),
    ];
  });

/** One batch shared out to bowls of different colours. */
function divideSteps(batch: Batch, bowls: readonly Bowl[]): Step[] {
  const coloured = bowls.filter((bowl) => bowl.tinted);
  if (bowls.length < 2 && coloured.length === 0) return [];
  return [
    step(
      `bowl/${batch.id}/divide`,
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
        checks: ['Covered, so that no skin forms'],
        cautions: coloured.map((bowl) => ({
          ...bowl.tinted!.words,
          text: `${bowl.tint}: ${bowl.tinted!.words.text}`,
        })),
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
