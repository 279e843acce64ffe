import { showText } from './format.ts';
import type { Kind, UnitSystem } from './kinds.ts';

/** A sentence with figures in it that are shown in the reader's units: "Pipe {mass} on layer {n}". */
export interface Phrase {
  text: string;
  values?: Record<string, { value: number; kind: Kind }>;
}

/** Puts the figures into a phrase, in the units of `system`. Names without a figure stay as they are. */
export function say(phrase: Phrase, system: UnitSystem): string {
  return inOwnDegrees(phrase.text, system).replace(/\{(\w+)\}/g, (whole, name: string) => {
    const figure = phrase.values?.[name];
    return figure ? showText(figure.value, figure.kind, system) : whole;
  });
}

/** Words of a recipe or a caution that name degrees Celsius, in the reader's degrees. */
export const inOwnDegrees = (text: string, system: UnitSystem): string =>
  text.replace(/(\d+)\s°C/g, (_whole, degrees: string) =>
    showText(Number(degrees), 'temperature', system),
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
