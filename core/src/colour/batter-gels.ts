import type { Colour } from '../document/types.ts';
import type { BatterMixing } from '../oven/mixings.ts';
import { findRow } from '../pantry/find.ts';
import type { Pantry } from '../pantry/types.ts';
import { colourOf } from './colour.ts';
import { isChocolate, tintNote, type TintNote } from './tint-note.ts';

/** What colours each part of a batter; parts that stay as they are mixed are left out. */
export const batterGels = (
  { recipeId, colours: parts }: Pick<BatterMixing, 'recipeId' | 'colours'>,
  colours: readonly Colour[],
  pantry: Pantry,
): { tint: string; note: TintNote }[] =>
  parts
    .filter(({ tint }) => tint !== '')
    .map(({ tint, massG }) => ({
      tint,
      note: tintNote(
        colourOf(colours, tint),
        massG,
        isChocolate(findRow(pantry, 'recipes', recipeId), pantry.foods),
        pantry.foods,
      ),
    }));
