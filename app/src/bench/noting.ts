import { dimensionOf, type Build, type Recordable } from '@pyrgotect/core';

/** What a figure at the bench can be at all: wider than any plan, narrower than a slip of ten zeros. */
export const rangeOf = ({ show }: Pick<Recordable, 'show'>): { min: number; max: number } => {
  switch (dimensionOf[show]) {
    case 'mass':
      return { min: 0, max: 100_000 };
    case 'length':
      return { min: 0, max: 3000 };
    case 'temperature':
      return { min: -40, max: 300 };
    default:
      return { min: 0, max: 20_000 };
  }
};

/** Whole minutes since the step before was ticked off; null where none was. */
export function elapsedMin({ bench }: Build, now: Date): number | null {
  const last = bench.done.at(-1);
  if (!last) return null;
  const minutes = Math.round((now.getTime() - Date.parse(last.at)) / 60_000);
  return minutes >= 1 ? minutes : null;
}
