import type { Colour } from '../document/types.ts';
import { foodOf, gelId, oilColourId } from '../pantry/find.ts';
import type { Food, Recipe } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import { depthOf, gelGPerKg, gelShares, shadeOf, type Shade } from './colour.ts';

/** So much of one gel, and which ingredient that is. */
export interface TintGel {
  foodId: string;
  name: string;
  g: number;
}
/** Colour for a bowl, a batter or a fondant: grams of each gel, and what to mind. */
export interface TintNote {
  /** One at least. */
  gels: TintGel[];
  shade: Shade;
  hex: string | null;
  words: Phrase;
  /** What is to mind of it, without its grams: the same for all of a shade. */
  mind: string;
}

/** So much of a recipe and more is chocolate: colour that holds water makes it seize or split (trade custom). */
const mostlyChocolate = 0.4;

/** True for what is chocolate, or mostly so: it takes oil-based colour. */
export const isChocolate = (recipe: Recipe, foods: readonly Food[]): boolean => {
  const all = recipe.ingredients.reduce((sum, { massG }) => sum + massG, 0);
  const chocolate = recipe.ingredients.reduce(
    (sum, { foodId, massG }) => sum + (foodOf(foods, foodId)?.cocoa ? massG : 0),
    0,
  );
  return chocolate >= mostlyChocolate * all && all > 0;
};

const more: Record<Shade, string> = {
  strong:
    'The day before, and two shades lighter than you want: strong shades deepen overnight, and much colour tastes bitter.',
  medium: 'It deepens a little by itself within the hour.',
  pale: 'From the tip of a stick: the butter’s own yellow shows through pale shades, so beat it long first.',
};

/**
 * What colours so much of something.
 *
 * @param colour null where a name was given that nobody has picked a colour for
 * @param ofChocolate it is mostly chocolate, which seizes or splits with water
 */
export function tintNote(
  colour: Colour | null,
  massG: number,
  ofChocolate: boolean,
  foods: readonly Food[],
): TintNote {
  const perKg = gelGPerKg(colour);
  const gelG = (massG * perKg) / 1000;
  const shade = colour ? shadeOf(depthOf(colour.hex)) : 'medium';
  const gels = gelsFor(colour, gelG, ofChocolate, foods);
  const kind = ofChocolate
    ? 'oil-based colour, never water'
    : gels.some(({ foodId }) => foodId !== gelId)
      ? `gel (${gels.map(({ name }) => name).join(', ')}), not liquid colour`
      : 'gel, not liquid colour';
  const tried =
    colour?.gPerKg === null || !colour ? ' A test spot on 100 g first.' : ' By your own test spot.';
  const mind = `${tried} ${more[shade]}`.trim();
  return {
    gels,
    mind,
    shade,
    hex: colour?.hex ?? null,
    words: phrase(`About {gel} of ${kind}, {per} to the kilogram. ${mind}`, {
      gel: [gelG, 'fineMass'],
      per: [perKg, 'fineMass'],
    }),
  };
}

/** Which gels, and how much of each. Gels of a mix hold water: chocolate takes oil-based colour all the same. */
function gelsFor(
  colour: Colour | null,
  gelG: number,
  ofChocolate: boolean,
  foods: readonly Food[],
): TintGel[] {
  if (ofChocolate) return [{ foodId: oilColourId, name: 'oil-based colour', g: gelG }];
  const unnamed = { foodId: gelId, name: 'colour gel', g: gelG };
  const mix = colour ? gelShares(colour) : [];
  if (mix.length === 0) return [unnamed];
  return mix.map(({ foodId, share }) => {
    const name = foodOf(foods, foodId)?.name.toLowerCase();
    return name === undefined ? { ...unnamed, g: gelG * share } : { foodId, name, g: gelG * share };
  });
}
