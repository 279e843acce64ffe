import { asObject, type Loose } from '../loose.ts';

/* From version 17 to 18: a gel is an ingredient, and says what it colours. */

/** Fields that version 18 added to a row: of what was kept before, nothing is known to be a gel. */
export function rowFrom17(table: string, value: unknown): Loose {
  const row = asObject(value);
  return table === 'foods' ? { gel: null, ...row } : row;
}

/** A build is as it was. */
export const buildFrom17 = (value: unknown): Loose => asObject(value);
