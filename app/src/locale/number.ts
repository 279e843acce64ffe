import { habits } from './habits.ts';

/** A plain number with so many digits behind the sign for tenths of the region. */
export const fixed = (n: number, digits: number): string =>
  n.toFixed(digits).replace('.', habits.decimal);
