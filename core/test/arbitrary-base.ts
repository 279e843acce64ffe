import fc from 'fast-check';
import { startingPantry, type Pantry, type Range } from '../src/index.ts';

export const pantry: Pantry = startingPantry();

export const between = ({ min, max }: Range) =>
  fc.double({ min, max, noNaN: true, noDefaultInfinity: true });
export const idOf = <T extends { id: string }>(rows: readonly T[]) =>
  fc.constantFrom(...rows.map((r) => r.id));
export const orNull = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: null });
