import { show, showText } from './format.ts';
import { dimensionOf, type Kind, type UnitSystem } from './kinds.ts';
import { parseQuantity, type Parsed } from './parse.ts';

/** Least and greatest value that a field takes, in base units. */
export interface Range {
  min: number;
  max: number;
}
/** Least and greatest of a figure, and how it is shown. */
export interface Quantity extends Range {
  kind: Kind;
}

/**
 * What a field holds after a person typed into it. A text left as it was shown gives back the
 * stored value untouched, so that looking at a figure in other units never changes it.
 *
 * @param current the stored value in base units
 */
export function readField(
  typed: string,
  current: number | null,
  kind: Kind,
  system: UnitSystem,
  range: Range,
  densityGPerMl?: number,
): Parsed {
  if (current !== null && typed.trim() === showText(current, kind, system))
    return { ok: true, value: current };
  // a bare number is in the unit that is on the screen
  const shownIn = current === null ? undefined : show(current, kind, system).unit;
  const parsed = parseQuantity(typed, kind, system, densityGPerMl, shownIn);
  if (!parsed.ok) return parsed;
  const { value } = parsed;
  const slack = 1e-9 * Math.max(1, Math.abs(range.max));
  if (value < 0 && range.min >= 0 && dimensionOf[kind] !== 'temperature')
    return { ok: false, problem: 'This cannot be less than nothing.' };
  if (value < range.min - slack)
    return { ok: false, problem: `At least ${showText(range.min, kind, system)}.` };
  if (value > range.max + slack)
    return { ok: false, problem: `At most ${showText(range.max, kind, system)}.` };
  if (kind === 'count' && !Number.isInteger(value))
    return { ok: false, problem: 'A whole number, please.' };
  return parsed;
}

/** One step of plus and minus for a kind: a millimetre or a sixteenth, 5 g or a quarter ounce. */
export function stepOf(kind: Kind, system: UnitSystem): number {
  switch (dimensionOf[kind]) {
    case 'length':
      if (kind === 'fine') return system.length === 'in' ? 0.254 : 0.1;
      if (kind === 'size') return system.length === 'in' ? 25.4 / 4 : 5;
      return system.length === 'in' ? 25.4 / 16 : 1;
    case 'mass':
      return kind === 'small' ? 1 : 5;
    case 'volume':
      return 5;
    case 'temperature':
      return 1;
    case 'share':
      return 0.01;
    default:
      return 1;
  }
}
