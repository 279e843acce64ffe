import { list, record, type Field } from '../fields/field.ts';
import { other, sponge, tin } from './bake-fields.ts';
import { food, ganache, recipe, spread, stock } from './food-fields.ts';
import { type Pantry, type PantryTable } from './types.ts';
import { board, dowel } from './ware-fields.ts';

/** One description for each table: the built-in rows, the user's own and those in files are all of it. */
export const rowFields: { [T in PantryTable]: Field<Pantry[T][number]> } = {
  sponges: sponge.knownAs('sponge'),
  spreads: spread.knownAs('spread'),
  tins: tin.knownAs('tin'),
  boards: board.knownAs('board'),
  others: other.knownAs('other'),
  recipes: recipe.knownAs('recipe'),
  foods: food.knownAs('food'),
  ganaches: ganache.knownAs('ganache'),
  dowels: dowel.knownAs('dowel'),
  stock: stock.knownAs('stock'),
};

/** The rows that travel in a build file. */
export type CarriedRows = Pick<Pantry, PantryTable>;
/** Tables without any rows. */
export const noRows = (): CarriedRows => ({
  sponges: [],
  spreads: [],
  tins: [],
  boards: [],
  others: [],
  recipes: [],
  foods: [],
  ganaches: [],
  dowels: [],
  stock: [],
});
export const carriedRows = record<CarriedRows>({
  sponges: list(rowFields.sponges, 200),
  spreads: list(rowFields.spreads, 200),
  tins: list(rowFields.tins, 200),
  boards: list(rowFields.boards, 200),
  others: list(rowFields.others, 200).since(3),
  recipes: list(rowFields.recipes, 200),
  foods: list(rowFields.foods, 500).since(4),
  ganaches: list(rowFields.ganaches, 200).since(5),
  dowels: list(rowFields.dowels, 200).since(7),
  stock: list(rowFields.stock, 200).since(12),
});
