import type { Tier } from '../document/types.ts';
import { handsOn } from '../labour/minutes.ts';
import { findRow } from '../pantry/find.ts';
import type { Pantry, Recipe } from '../pantry/types.ts';
import { alcoholShareOf, type RecipeBook } from '../recipes/alcohol.ts';
import { scaledParts, scaleRecipe, weighedUp } from '../recipes/scale.ts';
import type { SoakNeed } from '../soak/soak-needs.ts';
import { soakIdOf, syrupRecipeId, type SoakPlan } from '../soak/soak.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import { planHolds } from '../workflow/holds.ts';
import { batchLine, onLine } from '../workflow/operation.ts';
import { ifThere } from '../working/staged.ts';
import { partSteps, usualDensity } from './part-steps.ts';
import { dangerOf, holdStep, linesOf, makingKind, takenBy } from './recipe-steps.ts';
import { step, type ListItem, type Step } from './steps.ts';
import { valueWord } from '../units/value-words.ts';

/** The batch of a soak, which no bowl of filling or frosting is made from. */
export const soakBatch = (recipeId: string): string =>
  recipeId === syrupRecipeId ? 'syrup' : `soak/${recipeId}`;

/** Whatever is brushed on is made and cools before it is: hot syrup on cold cake makes it tear. */
export const soakMaking = (needs: readonly SoakNeed[], pantry: Pantry): Step[] =>
  needs.flatMap(({ recipeId, massG }) => {
    const recipe = ifThere(() => findRow(pantry, 'recipes', recipeId));
    return recipe ? makingOf(recipe, massG, pantry) : [];
  });

function makingOf(recipe: Recipe, massG: number, pantry: Pantry): Step[] {
  const name = recipe.name.toLowerCase();
  const batchId = soakBatch(recipe.id);
  const scaled = scaleRecipe(recipe, weighedUp(massG));
  const holds = planHolds(recipe, scaled.makesG, recipe.soakGPerMl ?? usualDensity, pantry);
  const { steps } = recipe;
  const first = Math.min(holds[0]?.after ?? steps.length, steps.length);
  const rest = steps.slice(first);
  return onLine(batchLine(batchId), [
    ...partSteps(`bowl/${batchId}`, name, scaledParts(scaled, 1, pantry.recipes), 'Bowls', pantry),
    step(`bowl/${batchId}/make`, makingKind(recipe), 'Bowls', `Make the ${name}`, recipe.makeMin, {
      lead: phrase(`{make} of it. ${steps.slice(0, first).join(' ')}`, {
        make: [scaled.makesG, 'bowl'],
      }),
      list: linesOf(scaled, 1),
      takes: takenBy(scaled),
      cautions: recipe.caution ? [phrase(recipe.caution)] : [],
      ...dangerOf(recipe),
      beside: true,
    }),
    ...holds.flatMap((hold) => holdStep(`bowl/${batchId}`, name, hold, recipe, false)),
    ...(rest.length > 0
      ? [
          step(`bowl/${batchId}/then/${first}`, 'mix', 'Bowls', `Finish the ${name}`, 2, {
            lead: phrase(rest.join(' ')),
            cautions: awayFromFlames(recipe, pantry),
            beside: true,
          }),
        ]
      : []),
  ]);
}

/** Said wherever something with alcohol in it is open. */
const awayFromFlames = (recipe: Recipe, book: RecipeBook): Phrase[] =>
  alcoholShareOf(recipe, book) > 0
    ? [phrase('Alcohol: no flame, torch or hot hob beside it while it is open. It stays in the cake, which is not for children.')] // prettier-ignore
    : [];

/** Brushing it on, layer by layer and face by face. */
export function soakSteps(tier: Tier, soak: readonly SoakPlan[], book: RecipeBook): Step[] {
  if (soak.every((each) => each.ml <= 0)) return [];
  const recipe = book.recipes.find(({ id }) => id === soakIdOf(tier));
  const ml = soak.reduce((sum, each) => sum + each.ml, 0);
  return [
    step(`${tier.id}/soak`, 'brush syrup', 'Fill and stack', 'Soak the cut faces', handsOn.soak, {
      beside: true,
      part: `${tier.id}/layer/0`,
      lead: phrase(
        'Cold, on a cold layer: hot on cold, the crumb tears. From the edge in; what is in the brush last goes to the middle.',
      ),
      amounts: [
        { label: recipe?.name.toLowerCase() ?? 'syrup', value: ml, kind: 'volume', figure: `${tier.id}/soak` }, // prettier-ignore
      ],
      list: soak.flatMap((each, i): ListItem[] =>
        each.ml > 0
          ? [
              {
                label: `layer ${i + 1}${each.faces === 2 ? ', each of both faces' : ', its upper face'}`,
                value: each.faceG,
                kind: 'small',
                note: valueWord(each.style),
              },
            ]
          : [],
      ),
      checks: ['Damp, not wet: nothing runs out when it is pressed'],
      cautions: recipe ? awayFromFlames(recipe, book) : [],
    }),
  ];
}
