import type { Topping } from '../document/finish-types.ts';
import { usualOf } from '../fields/usual.ts';
import { foodPiece } from '../pantry/food-fields.ts';
import type { Food, FoodPiece } from '../pantry/types.ts';

/** A berry, until somebody measures one. */
export const newFoodPiece = (): FoodPiece => usualOf(foodPiece);

/**
 * What an ingredient is as a topping: its name, and where the pantry knows one of it, its size, weight,
 * look, and when it is put on. What the pantry does not know stays as it was.
 */
export const toppingOf = ({ id, name, piece }: Food): Partial<Topping> => ({
  foodId: id,
  name,
  allergens: [],
  ...(piece
    ? {
        pieceG: piece.massG,
        acrossMm: piece.acrossMm,
        highMm: piece.highMm,
        tone: piece.tone,
        last: piece.last,
        crisp: piece.crispMm === null ? null : { thickMm: piece.crispMm, filmed: false },
      }
    : {}),
});
