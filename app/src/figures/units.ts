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

export function useUnits(): InUnits {
  const settings = useSettings();
  return {
    text: (value, kind) => showText(value, kind, settings.system),
    say: (phrase) => say(phrase, settings.system),
    outline: (outline) => outlineText(outline, settings.system),
  };
}
