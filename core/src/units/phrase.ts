import { asFraction, showText } from './format.ts';
import { MM_PER_IN, type Kind, type UnitSystem } from './kinds.ts';

/** A sentence with figures in it that are shown in the reader's units: "Pipe {mass} on layer {n}". */
export interface Phrase {
  text: string;
  values?: Record<string, { value: number; kind: Kind }>;
}

/** Puts the figures into a phrase, in the units of `system`. Names without a figure stay as they are. */
export function say(phrase: Phrase, system: UnitSystem): string {
  return inOwnUnits(phrase.text, system).replace(/\{(\w+)\}/g, (whole, name: string) => {
    const figure = phrase.values?.[name];
    return figure ? showText(figure.value, figure.kind, system) : whole;
  });
}

/** Words of a recipe or a caution that name degrees Celsius, in the reader's degrees. */
export const inOwnDegrees = (text: string, system: UnitSystem): string =>
  text.replace(/(\d+)\s°C/g, (_whole, degrees: string) =>
    showText(Number(degrees), 'temperature', system),
  );

/** Sizes of tins and boards are nominal: in inches they go by halves, as they are sold. */
const nominalFromMm = 50;

const inches = (mm: number): string =>
  mm >= nominalFromMm
    ? asFraction(Math.round((2 * mm) / MM_PER_IN) / 2, 2)
    : asFraction(mm / MM_PER_IN, 16);

/** Names and words with sizes or degrees in them, "Round 20 cm", in the reader's units. */
export const inOwnUnits = (text: string, system: UnitSystem): string =>
  system.length === 'cm'
    ? inOwnDegrees(text, system)
    : inOwnDegrees(text, system).replace(
        /(\d+(?:\.\d+)?)(?:\s*(×|\/)\s*(\d+(?:\.\d+)?))?\s(cm|mm)\b(?!²)/g,
        (
          _whole,
          first: string,
          sign: string | undefined,
          second: string | undefined,
          unit: string,
        ) => {
          const factor = unit === 'cm' ? 10 : 1;
          const each = [first, second].flatMap((n) => (n ? [inches(Number(n) * factor)] : []));
          return `${each.join(` ${sign ?? ''} `)} in`;
        },
      );

/** Short for writing phrases in core. */
export function phrase(
  text: string,
  values: Record<string, [value: number, kind: Kind]> = {},
): Phrase {
  const named: NonNullable<Phrase['values']> = {};
  for (const name in values) {
    const [value, kind] = values[name]!;
    named[name] = { value, kind };
  }
  return { text, values: named };
}
