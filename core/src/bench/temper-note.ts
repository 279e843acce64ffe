import { temperingOf, type Chocolate } from '../ganache/chocolates.ts';
import { phrase, type Phrase } from '../units/phrase.ts';

/** The three temperatures of a chocolate that is tempered; nothing for any other. */
export const temperNote = (chocolate: Chocolate | null): Phrase[] => {
  const tempering = chocolate && temperingOf(chocolate);
  return tempering
    ? [
        phrase('Tempered: melt to {melt}, cool to {cool}, work at {work}.', {
          melt: [tempering.meltC[1], 'temperature'],
          cool: [tempering.coolC[0], 'temperature'],
          work: [tempering.workC[1], 'temperature'],
        }),
      ]
    : [];
};
