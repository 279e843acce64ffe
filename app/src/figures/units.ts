import { outlineText, say, showText, type Kind, type Outline, type Phrase } from '@pyrgotect/core';
import { useSettings } from '../stores/settings.ts';

/** Figures in the reader's units: what is drawn with them follows when the units are switched. */
export interface InUnits {
  /** "12 cm", "4 3/4 in" */
  text: (value: number, kind: Kind) => string;
  /** A sentence with its figures. */
  say: (phrase: Phrase) => string;
  /** "round 20 cm" */
  outline: (outline: Outline) => string;
}

const unitAfter =
  /(\d) (?=(?:mg|g|kg|oz|lb|mL|L|fl oz|mm|cm|m|in|min|h|s|cm²|in²|kPa|cups?|tbsp|tsp)(?![\p{L}])|[%°])/gu;
const noBreak = '\u00a0';
/** A number and its unit, or an hour and its minutes, that no line's end parts. */
export const keptTogether = (text: string): string =>
  text.replace(unitAfter, `$1${noBreak}`).replace(/(\dh|\d\u00a0h|lb) (?=\d)/g, `$1${noBreak}`);

export function useUnits(): InUnits {
  const settings = useSettings();
  return {
    text: (value, kind) => keptTogether(showText(value, kind, settings.system)),
    say: (phrase) => keptTogether(say(phrase, settings.system)),
    outline: (outline) => outlineText(outline, settings.system),
  };
}
