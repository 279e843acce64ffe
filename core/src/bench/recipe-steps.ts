import { trayMm } from '../heat/cool-places.ts';
import { hotFor, type Hazard } from '../pantry/hazards.ts';
import type { CoolPlace, Recipe } from '../pantry/types.ts';
import type { ScaledRecipe } from '../recipes/scale.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import { code, type PlannedHold } from '../workflow/holds.ts';
import type { OperationKind } from '../workflow/operation.ts';
import { step, type Chapter, type ListItem, type Step, type Taken } from './steps.ts';

/** What one mixing of a recipe takes, to be weighed. */
export const linesOf = (recipe: ScaledRecipe, mixes: number): ListItem[] =>
  recipe.ingredients.map((i) => ({
    label: i.name,
    value: i.massG,
    kind: i.massG < 20 ? ('fineMass' as const) : ('bowl' as const),
    note: i.pieces === null ? (mixes > 1 ? 'each mixing' : null) : `open ${i.pieces}`,
    foodId: i.foodId,
    ...(mixes > 1 ? { times: mixes } : {}),
  }));

/** Ingredients that so many mixings take; a recipe among them is made at steps of its own. */
export const takenBy = (recipe: ScaledRecipe, mixes = 1): Taken[] =>
  recipe.ingredients
    .filter(({ recipeId, massG }) => recipeId === null && massG > 0)
    .map(({ name, foodId, massG }) => ({ name, foodId, massG: massG * mixes, inRecipe: true }));

/** So much of one ingredient, as pieces, a topping or something bought; nothing of nothing. */
export const takenOf = (part: { name: string; foodId?: string | null }, massG: number): Taken[] =>
  massG > 0 ? [{ name: part.name, foodId: part.foodId ?? null, massG, inRecipe: false }] : [];

/** Hotter than this it is cooked, C. */
const cookedC = 60;
/** What making a recipe is: cooked in a pan, whipped in the machine, or mixed by hand. */
export const makingKind = ({ hottestC, hazards }: Recipe): OperationKind =>
  hazards.includes('running machine') ? 'whip' : (hottestC ?? 0) > cookedC ? 'cook' : 'mix';

/** What can hurt while a recipe is made. */
export const dangerOf = (recipe: Recipe): Pick<Step, 'hazards' | 'hotC'> => ({
  hazards: recipe.hazards,
  hotC: recipe.hottestC,
});

const placeWords: Record<CoolPlace, string> = {
  bowl: 'In its bowl on the bench, stirred now and then',
  tray: 'Spread {thin} thin on a tray, film on its face',
  'cold water': 'The bowl in cold water with some ice, stirred now and then; not a drop gets in',
  fridge: 'In the fridge, film on its face',
  'tray in the fridge': 'Spread {thin} thin on a tray in the fridge, film on its face',
};
const thin: [number, 'thickness'] = [trayMm, 'thickness'];

/** Something that was made waits; none where it is only to be used before long. */
export function holdStep(
  key: string,
  name: string,
  hold: PlannedHold,
  recipe: Recipe,
  spoils: boolean,
  chapter: Chapter = 'Bowls',
): Step[] {
  const { place, fromC, toC, minutes, highMm } = hold;
  if (minutes < 1) return [];
  const tooSlow = spoils && (fromC ?? 0) >= code.fromC && (hold.codeMin ?? Infinity) > code.mostMin;
  const burns =
    (fromC ?? 0) > hotFor.helper ? recipe.hazards.filter((one) => hotHazards.includes(one)) : [];
  const quicker = hold.ways.find((way) => way.minutes < 0.7 * minutes);
  return [
    step(
      `${key}/hold/${hold.after}`,
      'put in',
      chapter,
      `Let the ${name} ${toC === null ? 'rest' : 'cool'}`,
      1,
      {
        lead: phrase(
          `${toC === null ? 'Covered' : placeWords[place]}: about {min}${toC === null ? '' : hold.why === 'cooled' ? ', from {from} to {to}' : ' in all; it is at {to} before that, and sets in the rest'}.${quicker ? ` Sooner: ${placeWords[quicker.place].replace(/^./, (first) => first.toLowerCase())}, {quick}.` : ''}${hold.guessed ? ' The recipe does not say how it cools; cool to the room is meant.' : ''}`,
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
          ...(burns.length > 0 ? [hotWait(fromC ?? boilsC)] : []),
        ],
        hazards: burns,
        hotC: fromC ?? roomC,
        beside: true,
        timer: { label: name, minutes: Math.round(minutes), lookMin: null },
        probe:
          toC === null || hold.why === 'rested'
            ? null
            : { label: 'in the middle', fromC: toC - probeK, toC },
        hold: { place, highMm, spoils },
      },
    ),
  ];
}
/** Said where something burns while it waits. */
const hotWait = (fromC: number): Phrase =>
  phrase(
    'It begins at {from} and sticks to the skin: at the back of the bench, nothing hanging over the edge, everyone told, and children away until it is below {safe}.',
    { from: [fromC, 'temperature'], safe: [hotFor.children, 'temperature'] },
  );
const boilsC = 100;
const roomC = 21;
export const hotHazards: readonly Hazard[] = ['hot sugar', 'hot fat or cream', 'steam'];
/** What has cooled a little further than it must is as good. */
const probeK = 6;
