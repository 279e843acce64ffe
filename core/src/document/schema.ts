import { checksOf, type Checks } from '../fields/checks.ts';
import { record } from '../fields/field.ts';
import { carriedRows, rowFields } from '../pantry/fields.ts';
import { kitchen } from '../pantry/ware-fields.ts';
import type { Pantry, PantryTable } from '../pantry/types.ts';
import { build } from './build-fields.ts';
import { carvings } from './carve-result-fields.ts';
import { outline } from './common-fields.ts';

/* The checks of what is stored, made from its description. */

/** What a build file holds besides its format and version. */
export const contents = record({ build, pantry: carriedRows, carvings: carvings.since(9) });

export const buildSchema = checksOf(build);
export const outlineSchema = checksOf(outline);
export const kitchenSchema = checksOf(kitchen);
export const carriedRowsSchema = checksOf(carriedRows);
export const carvingsSchema = checksOf(carvings);
export const rowSchemas = Object.fromEntries(
  Object.entries(rowFields).map(([table, field]) => [table, checksOf<unknown>(field)]),
) as { [T in PantryTable]: Checks<Pantry[T][number]> };
