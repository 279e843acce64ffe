import type { Batch } from '../bowls/batches.ts';
import type { Bowl } from '../bowls/bowls.ts';
import { handsOn, mixMinutes } from '../labour/minutes.ts';
import type { Hazard } from '../pantry/hazards.ts';
import type { CoolPlace, Pantry, Recipe, Spread } from '../pantry/types.ts';
import { scalingRules } from '../recipes/rules.ts';
import { scaleRecipe, type ScaledRecipe } from '../recipes/scale.ts';
import { phrase } from '../units/phrase.ts';
import { trayMm } from '../heat/cool-places.ts';
import { code, planHolds, type PlannedHold } from '../work/holds.ts';
import { isPerishable, perishable } from './perishable.ts';
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

/** What the bowls' steps are made from, beside the bowls. */
export interface BowlContext {
  spreadOf: (id: string) => Spread;
  recipeOf: (id: string) => Recipe;
  pantry: Pantry;
}

/** The steps of each recipe: its parts, making it, what it waits for, dividing and colouring, setting aside. */
export const bowlSteps = (
  bowls: readonly Bowl[],
  batches: readonly Batch[],
  context: BowlContext,
): Step[] =>
  batches.flatMap((batch) => {
    const own = bowls.filter((bowl) => bowl.batchId === batch.id);
    return [
      ...batch.parts.flatMap((part) => partSteps(batch, part, context)),
      ...makeSteps(batch, own, context),
      ...divideSteps(batch, own),
      ...own.flatMap(asideSteps),
    ];
  });

const nameOf = (batch: Batch, own: readonly Bowl[]): string =>
  (batch.id === batch.spreadId ? batch.name : (own[0]?.name ?? batch.name)).toLowerCase();

/** A recipe that goes into another one, and how it cools before it may. */
function partSteps(batch: Batch, part: ScaledRecipe, { recipeOf, pantry }: BowlContext): Step[] {
  const recipe = recipeOf(part.recipeId);
  const name = part.name.toLowerCase();
  const key = `bowl/${batch.id}/part/${part.recipeId}`;
  const holds = planHolds(recipe, part.makesG, usualDensity, pantry);
  return [
    step(key, 'Bowls', `First the ${name}`, mixMinutes(part.recipeId), {
      lead: phrase(
        `{make} of it goes into the ${batch.name.toLowerCase()}. ${part.steps.join(' ')}`,
        {
          make: [part.makesG, 'bowl'],
        },
      ),
      list: linesOf(part, 1),
      cautions: part.caution ? [phrase(part.caution)] : [],
      ...dangerOf(recipe),
      beside: true,
    }),
    ...holds.flatMap((hold) => holdStep(key, name, hold, recipe, true)),
  ];
}
/** What is brushed on is boiled, and cools before it is: hot syrup on cold cake makes it tear. */
export function syrupSteps(massG: number, recipe: Recipe | null, pantry: Pantry): Step[] {
  if (massG <= 0 || !recipe) return [];
  const name = recipe.name.toLowerCase();
  const scaled = scaleRecipe(recipe, Math.ceil(massG / 5) * 5);
  return [
    step('bowl/syrup/make', 'Bowls', `Make the ${name}`, handsOn.syrup, {
      lead: phrase(`{make} of it. ${recipe.steps.join(' ')}`, { make: [scaled.makesG, 'bowl'] }),
      list: linesOf(scaled, 1),
      cautions: recipe.caution ? [phrase(recipe.caution)] : [],
      ...dangerOf(recipe),
      beside: true,
    }),
    ...planHolds(recipe, scaled.makesG, usualDensity, pantry).flatMap((hold) =>
      holdStep('bowl/syrup', name, hold, recipe, false),
    ),
  ];
}

/** Of what is not a filling by itself, g/mL. */
const usualDensity = 1.05;

/** Making a batch: its recipe's steps as far as the first wait, the wait, and what is done after it. */
function makeSteps(batch: Batch, own: readonly Bowl[], context: BowlContext): Step[] {
  const spread = context.spreadOf(batch.spreadId);
  const recipe = context.recipeOf(spread.recipeId);
  const name = nameOf(batch, own);
  const times = batch.mixes === 1 ? '' : `, ${batch.mixes} mixings of the same size`;
  const { steps } = batch.recipe;
  const holds = batch.holds;
  const minutes = mixMinutes(spread.recipeId) * batch.mixes;
  const share = (from: number, to: number): number =>
    steps.length === 0 ? minutes : (minutes * (to - from)) / steps.length;
  const first = holds[0]?.after ?? steps.length;
  const isWhole = first >= steps.length;
  const sheet: Step[] = [
    step(`bowl/${batch.id}/make`, 'Bowls', `Make the ${name}`, share(0, first), {
      lead: phrase(`{make} in all${times}. ${steps.slice(0, first).join(' ')}`, {
        make: [batch.makeG, 'bowl'],
      }),
      list: linesOf(batch.recipe, batch.mixes),
      checks:
        isWhole && holds.length === 0
          ? ['Smooth, and soft enough to spread without pulling crumbs']
          : [],
      cautions: [
        ...(batch.recipe.caution ? [phrase(batch.recipe.caution)] : []),
        ...perishable(spread),
        ...scalingRules(recipe, batch.recipe.factor, null, context.pantry.foods),
      ],
      ...dangerOf(recipe),
      // what is whipped or folded in comes after the wait, and so does the machine
      hazards: isWhole ? recipe.hazards : recipe.hazards.filter((one) => one !== 'running machine'),
      beside: true,
      record: { kind: 'mass', label: 'made in all', planned: batch.makeG, show: 'bowl' },
    }),
  ];
  holds.forEach((hold, i) => {
    sheet.push(...holdStep(`bowl/${batch.id}`, name, hold, recipe, isPerishable(spread)));
    sheet.at(-1)!.keepsMin = hold.mostMin;
    const next = holds[i + 1]?.after ?? steps.length;
    if (next <= hold.after) return;
    sheet.push(
      step(
        `bowl/${batch.id}/then/${hold.after}`,
        'Bowls',
        `Finish the ${name}`,
        share(hold.after, next),
        {
          lead: phrase(steps.slice(hold.after, next).join(' ')),
          checks: ['Smooth, and soft enough to spread without pulling crumbs'],
          hazards: recipe.hazards.filter((one) => one === 'running machine'),
          beside: true,
        },
      ),
    );
  });
  return sheet;
}

const placeWords: Record<CoolPlace, string> = {
  bowl: 'In its bowl on the bench, stirred now and then',
  tray: 'Spread {thin} thin on a tray, film on its face',
  'cold water': 'The bowl in cold water with some ice, stirred now and then; not a drop gets in',
  fridge: 'In the fridge, film on its face',
  'tray in the fridge': 'Spread {thin} thin on a tray in the fridge, film on its face',
};
const thin: [number, 'thickness'] = [trayMm, 'thickness'];

/** Something that was made waits; none where it is only to be used before long. */
function holdStep(
  key: string,
  name: string,
  hold: PlannedHold,
  recipe: Recipe,
  spoils: boolean,
): Step[] {
  const { place, fromC, toC, minutes, highMm } = hold;
  if (minutes < 1) return [];
  const tooSlow = spoils && (fromC ?? 0) >= code.fromC && (hold.codeMin ?? Infinity) > code.mostMin;
  const quicker = hold.ways.find((way) => way.minutes < 0.7 * minutes);
  return [
    step(
      `${key}/hold/${hold.after}`,
      'Bowls',
      toC === null ? `The ${name} rests` : `Let the ${name} cool`,
      1,
      {
        lead: phrase(
          `${placeWords[place]}: about {min}${toC === null ? '' : hold.why === 'cooled' ? ', from {from} to {to}' : ' in all; it is at {to} before that, and sets in the rest'}.${quicker ? ` Sooner: ${placeWords[quicker.place].replace(/^./, (first) => first.toLowerCase())}, {quick}.` : ''}${hold.guessed ? ' The recipe does not say how it cools; cool to the room is meant.' : ''}`,
          {
            min: [minutes, 'minutes'],
            quick: [quicker?.minutes ?? minutes, 'minutes'],
            thin,
            from: [fromC ?? 0, 'temperature'],
            to: [toC ?? 0, 'temperature'],
          },
        ),
        checks: toC === null ? [] : ['Cold enough all through: stirred, then read in the middle'],
        cautions: [
          ...(tooSlow
            ? [
                phrase(
                  'Too slow for what spoils: from {from} to {to} within 2 h, usual food code; yours decides. Spread it on a tray in the fridge, or set the bowl in ice and water.',
                  { from: [code.fromC, 'temperature'], to: [code.toC, 'temperature'] },
                ),
              ]
            : []),
        ],
        hazards:
          (fromC ?? 0) > hotC ? recipe.hazards.filter((one) => hotHazards.includes(one)) : [],
        hotC: fromC ?? roomC,
        beside: true,
        timer: { label: name, minutes: Math.round(minutes), lookMin: null },
        probe:
          toC === null || hold.why === 'rested'
            ? null
            : { label: 'in the middle', fromC: toC - probeK, toC },
        hold: { place, highMm },
      },
    ),
  ];
}
/** Hot enough to hurt until it has cooled. */
const hotC = 50;
const roomC = 21;
const hotHazards: readonly Hazard[] = ['hot sugar', 'hot fat or cream'];
/** What has cooled a little further than it must is as good. */
const probeK = 6;

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
